import { transfer } from 'comlink';
import { areaOf, type Paint } from '#core/cane';
import {
  blankFor,
  faceOfCane,
  formWithin,
  formedComplaint,
  liesAcross,
  onSheet,
  slicesOver,
  surfaceOf,
  type FormSample,
  type PatternContext,
  type PatternStep,
  type RoundForm,
  type SliceOf,
  type Way,
} from '#core/pattern';
import { OVERLAP } from '#core/stock';
import { beginLong } from './long.js';
import { lookedAt, type PatternPaints, type PlainPattern } from './patternLoaded.js';

/** A form with a sheet, or its slices, on it: what is asked for. */
export interface FormWish {
  readonly pattern: PlainPattern;
  readonly paints: PatternPaints;
  readonly form: RoundForm;
  readonly way: Way;
  /** px around the axis; half as many from end to end */
  readonly size: number;
}

/** The surface as a picture: turns around the axis from left to right, area from the first end upwards. */
export interface FormPicture {
  readonly picture: ImageData;
  /** slices that lie on it; null: a sheet does */
  readonly slices: number | null;
}

/** The slices that a sheet is made of. */
function slicesIn(steps: readonly PatternStep[]): SliceOf | null {
  const step = steps.find((s) => s.do === 'slab' || s.do === 'inlay');
  return step && 'slices' in step ? (step.slices[0] ?? null) : null;
}

/** What lies at each place of the form. @throws Complaint of the form, or of a sheet that is too small */
function sampleOf(wish: FormWish): {
  readonly at: FormSample;
  readonly context: PatternContext;
  readonly slices: number | null;
} {
  const { pattern, paints, form, way } = wish;
  const looked = lookedAt(pattern, pattern.steps.length - 1, { of: 'face' }, paints.deep);
  if (!looked || looked.body.form === 'rope') throw formedComplaint('pattern/form rope');
  const { body, context, look } = looked;
  if (way !== 'slices') {
    const blank = blankFor(form, way, body.thick);
    const across = liesAcross(blank, body);
    const place = onSheet(blank);
    const at: FormSample = (turns, share) => {
      const [x, y] = place(turns, share);
      return across ? look.sample(-y, x) : look.sample(x, y);
    };
    return { at, context, slices: null };
  }
  const slice = slicesIn(pattern.steps);
  if (!slice) throw formedComplaint('pattern/no slices');
  const face = faceOfCane(slice.of, context);
  const { area } = surfaceOf(formWithin(form, slice.thickness, 'middle'));
  const slices = Math.max(1, Math.ceil(((1 + OVERLAP) * area) / areaOf(face.outline) - 1e-9));
  return { at: slicesOver(form, slice.thickness, face, slices), context, slices };
}

/** A clay that nobody has given a colour. */
const GREY = Uint8Array.from([153, 153, 153]);
/** Places a side that are looked at for a pixel, and rows in one go. */
const [WITHIN, CHUNK] = [2, 8];

/** Adds the colour of a value to three sums. */
function add(sums: Float64Array, value: number, list: readonly Paint[]): void {
  const index = Math.max(0, Math.floor(value));
  const paint = value < 0 ? GREY : (list[index] ?? GREY);
  const from = paint.length === 3 ? 0 : 3 * Math.floor((value - index) * 256);
  for (let k = 0; k < 3; k++) sums[k] = (sums[k] as number) + (paint[from + k] as number);
}

/** Paints the surface of a form; null where it was stopped. @throws Complaint as {@link sampleOf} */
export async function paintedForm(wish: FormWish, name: string): Promise<FormPicture | null> {
  const { at, context, slices } = sampleOf(wish);
  const list = context.materials.map((key) => wish.paints.colours[key] ?? GREY);
  const goesOn = beginLong(name);
  const [wide, high] = [wish.size, Math.round(wish.size / 2)];
  const pixels = new Uint8ClampedArray(4 * wide * high);
  const sums = new Float64Array(3);
  for (let j = 0; j < high; j++) {
    if (j % CHUNK === 0 && !(await goesOn())) return null;
    for (let i = 0; i < wide; i++) {
      sums.fill(0);
      for (let n = 0; n < WITHIN * WITHIN; n++) {
        const [u, v] = [i + ((n % WITHIN) + 0.5) / WITHIN, j + (Math.floor(n / WITHIN) + 0.5) / WITHIN];
        // the first row of a picture is the upper end
        add(sums, at(u / wide, 1 - v / high), list);
      }
      const to = 4 * (j * wide + i);
      for (let k = 0; k < 3; k++) pixels[to + k] = (sums[k] as number) / (WITHIN * WITHIN);
      pixels[to + 3] = 255;
    }
  }
  return { picture: transfer(new ImageData(pixels, wide, high), [pixels.buffer]), slices };
}
