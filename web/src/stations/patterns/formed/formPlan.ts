import {
  FORMS,
  WAYS,
  blankFor,
  edgeShare,
  formVolume,
  formWithin,
  squeezedAt,
  surfaceOf,
  waysFor,
  type Blank,
  type FormKind,
  type RoundForm,
  type Way,
} from '#core/pattern';
import { attempt, type Grams, type Mm } from '#core/units';

/** What a sheet is laid on, and how, as it stands in the address of the page. */
export interface FormPlan {
  readonly form: RoundForm;
  readonly way: Way;
}

const BEGIN: FormPlan = { form: { kind: 'ball', width: 20, length: 28 }, way: 'strip' };
/** Largest and smallest size, mm. */
const [MOST, LEAST] = [500, 2];

const among = <T extends string>(all: readonly T[], text: string | null, otherwise: T): T =>
  all.find((one) => one === text) ?? otherwise;
const size = (text: string | null, otherwise: number): number => {
  const mm = Number(text ?? Number.NaN);
  return Number.isFinite(mm) && mm >= LEAST && mm <= MOST ? mm : otherwise;
};

/** Reads a plan from the address; what makes no sense there is as at the beginning. */
export function readFormPlan(query: URLSearchParams): FormPlan {
  const kind = among<FormKind>(FORMS, query.get('form'), BEGIN.form.kind);
  const form = {
    kind,
    width: size(query.get('width'), BEGIN.form.width),
    length: size(query.get('length'), BEGIN.form.length),
  };
  const way = among<Way>(WAYS, query.get('way'), BEGIN.way);
  return { form, way: waysFor(form).includes(way) ? way : (waysFor(form)[0] ?? BEGIN.way) };
}

export const writeFormPlan = ({ form, way }: FormPlan): URLSearchParams =>
  new URLSearchParams({ form: form.kind, width: String(form.width), length: String(form.length), way });

/** What a form takes of a sheet, and what lies under it. */
export interface FormTakes {
  /** null: slices go onto it */
  readonly blank: Blank | null;
  /** of the sheet, or of the slices without their overlap */
  readonly grams: Grams;
  /** what it goes onto: a core, or the form itself */
  readonly core: RoundForm;
  /** g/cm³ times mm³: of a core of the same density */
  readonly coreGrams: Grams;
  /** by how much a sheet is squeezed around near its edge; null: slices are not */
  readonly squeezed: number | null;
}

/** @param mm thickness of the sheet @param density g/cm³; a sentence where it cannot be */
export function takenFor({ form, way }: FormPlan, mm: Mm, density: number): FormTakes | string {
  return attempt(
    (): FormTakes | string => {
      const core = formWithin(form, mm, 'core');
      const { area } = surfaceOf(formWithin(form, mm, 'middle'));
      const sheet = way === 'slices' ? null : way;
      return {
        core,
        blank: sheet && blankFor(form, sheet, mm),
        grams: (area * mm * density) / 1000,
        coreGrams: (formVolume(core) * density) / 1000,
        squeezed: sheet && squeezedAt(form, sheet, mm, edgeShare(form, sheet)),
      };
    },
    (wrong) => wrong.message,
  );
}
