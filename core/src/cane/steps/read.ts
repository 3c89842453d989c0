import {
  MEANT,
  MOST_CANES_DEEP,
  MOST_POINTS,
  MOST_STEPS,
  PROGRAM_VERSION,
  among,
  list,
  object,
  readAs,
  text,
  wrong,
  type AnyStep,
  type Check,
  type Inner,
  type MaterialKey,
} from '#core/cane/document';
import { fieldsOf, isBegin, isKnown, type Program, type Step } from './kinds.js';
import { complaint } from './sentences.js';

const kindIn = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && 'do' in value ? value.do : undefined;

const step: Check = (value, where, inner) => {
  const kind = kindIn(value);
  const called = typeof kind === 'string' ? ` (“${kind.slice(0, 40)}”)` : '';
  if (typeof kind !== 'string' || !isKnown(kind)) return wrong(`a step that Sledge does not know${called}`, where);
  object({ id: text(80), 'name?': text(80), do: among(kind), ...fieldsOf(kind) })(value, where, inner);
};

/** Checks the steps of a cane that stands inside so many others. */
const stepsWithin = (canes: number): Inner => ({
  steps: (value, where) => {
    if (canes >= MOST_CANES_DEEP) throw complaint('cane/deep', { most: MOST_CANES_DEEP });
    list(step, 1, MOST_STEPS)(value, where, stepsWithin(canes + 1));
    (value as readonly AnyStep[]).forEach((s, i) => {
      if (isBegin(s) !== (i === 0))
        wrong(i === 0 ? 'it does not begin with clay' : 'it begins anew', `${where} ${i + 1}`);
    });
  },
});

/** Points of all outlines in a document whose steps were checked. */
function pointsIn(value: unknown): number {
  if (Array.isArray(value)) return value.reduce((sum: number, item) => sum + pointsIn(item), 0);
  if (typeof value !== 'object' || value === null) return 0;
  return Object.entries(value).reduce(
    (sum, [name, item]) => sum + (name === 'points' && Array.isArray(item) ? item.length : pointsIn(item)),
    0,
  );
}

const version: Check = (value, where) => {
  if (value !== PROGRAM_VERSION) wrong('the version is not known', where);
};
const program = object({
  version,
  steps: (value, where, inner) => {
    inner.steps(value, where);
  },
  'meant?': among(...MEANT),
});

/**
 * Takes a cane out of a document that somebody wrote or changed.
 * @param value as JSON gives it @throws Complaint `cane/newer`, `cane/format` with the place
 */
export function readProgram(value: unknown): Program {
  const written = typeof value === 'object' && value !== null && 'version' in value ? value.version : undefined;
  if (typeof written === 'number' && written > PROGRAM_VERSION)
    throw complaint('cane/newer', { version: String(written) });
  readAs(
    () => {
      program(value, '', stepsWithin(0));
    },
    (not) => complaint('cane/format', not),
  );
  const points = pointsIn(value);
  if (points > MOST_POINTS) throw complaint('cane/points', { points, most: MOST_POINTS });
  return value as Program;
}

/** Some steps with one material in the place of another, also in canes of their own. */
export function withMaterial(all: readonly Step[], of: MaterialKey, other: MaterialKey): Step[] {
  const exchanged = (value: unknown, name: string): unknown => {
    if (Array.isArray(value)) return value.map((item) => exchanged(item, ''));
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries(Object.entries(value).map(([field, item]) => [field, exchanged(item, field)]));
    return value === of && (name === 'of' || name === 'blend') ? other : value;
  };
  return exchanged(all, '') as Step[];
}

/** Every text that stands in a field of one of these names, each once. */
function textsIn(all: readonly Step[], ...fields: readonly string[]): string[] {
  const texts = new Set<string>();
  const look = (value: unknown, name: string): void => {
    if (Array.isArray(value)) for (const item of value) look(item, '');
    else if (typeof value === 'object' && value !== null)
      for (const [field, item] of Object.entries(value)) look(item, field);
    else if (typeof value === 'string' && fields.includes(name)) texts.add(value);
  };
  look(all, '');
  return [...texts];
}

/** Every clay, mix and blend, and every other cane, that some steps name. */
export const usedIn = (
  all: readonly Step[],
): { readonly materials: readonly string[]; readonly canes: readonly string[] } => ({
  materials: textsIn(all, 'of', 'blend'),
  canes: textsIn(all, 'ref'),
});

/** Things that lie there already, by their ids, with which some steps begin. */
export const madeIn = (all: readonly Step[]): readonly string[] => textsIn(all, 'made');
