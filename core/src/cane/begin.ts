import { complaint } from '#core/units';
import { areaOf, circle, rectangle } from './outline.js';
import type { Begin, SheetLayer } from './program.js';
import { FADE, numberOf, one, sumOf, type CaneContext, type CaneState, type Sampler } from './state.js';

export function positive(value: number, what: string): number {
  if (!(value > 0) || !Number.isFinite(value)) throw complaint('cane/positive', { what });
  return value;
}

const MOST_LAYERS = 12;
function layersOf(
  layers: readonly SheetLayer[],
  context: CaneContext,
): { readonly index: readonly number[]; readonly ends: readonly number[]; readonly whole: number } {
  if (layers.length < 1 || layers.length > MOST_LAYERS) throw complaint('cane/layers');
  const ends: number[] = [];
  for (const { thickness } of layers) ends.push((ends.at(-1) ?? 0) + positive(thickness, 'A sheet'));
  return { index: layers.map((l) => numberOf(context, l.of)), ends, whole: ends.at(-1) ?? 1 };
}

/** Which of the sheets lies at a height within the stack. */
const layerAt = (ends: readonly number[], height: number): number => {
  let i = 0;
  while (i < ends.length - 1 && height >= (ends[i] as number)) i++;
  return i;
};

type Of<K extends Begin['do']> = Extract<Begin, { do: K }>;
type Maker<K extends Begin['do']> = (step: Of<K>, context: CaneContext) => CaneState;

const plain = (
  outline: CaneState['outline'],
  length: number,
  sample: Sampler,
  amounts: CaneState['amounts'],
): CaneState => ({
  outline,
  length: positive(length, 'The length'),
  count: 1,
  sample,
  amounts,
  reductions: 0,
  spoilt: [],
  endsEach: 0,
});

const log: Maker<'log'> = ({ of, diameter, length }, context) => {
  const outline = circle(positive(diameter, 'The log'));
  const index = numberOf(context, of);
  return plain(outline, length, () => index, one(index, areaOf(outline)));
};

const block: Maker<'block'> = ({ of, width, height, length }, context) => {
  const outline = rectangle(positive(width, 'The width'), positive(height, 'The height'));
  const index = numberOf(context, of);
  return plain(outline, length, () => index, one(index, areaOf(outline)));
};

/** Rolled up, the area law: what lies at radius r is at (r/R)² of the tape. Folded like a fan, the fade runs across. */
const plug: Maker<'plug'> = ({ of, wound, inside, width, depth, length }, context) => {
  const index = numberOf(context, of);
  if (wound === 'fan') {
    const outline = rectangle(positive(width, 'The width'), positive(depth, 'The depth'));
    return plain(
      outline,
      length,
      (x) => index + FADE * Math.min(1, Math.max(0, x / width + 0.5)),
      one(index, areaOf(outline)),
    );
  }
  const outline = circle(positive(width, 'The plug'));
  const inverse = 4 / (width * width);
  const sample: Sampler =
    inside === 'first'
      ? (x, y) => index + FADE * Math.min(1, (x * x + y * y) * inverse)
      : (x, y) => index + FADE * Math.max(0, 1 - (x * x + y * y) * inverse);
  return plain(outline, length, sample, one(index, areaOf(outline)));
};

/** Sheets rolled up: an Archimedean spiral, as thick a turn as the stack; πR² is the area of their edge. */
const roll: Maker<'roll'> = ({ layers, rolled, length }, context) => {
  const { index, ends, whole } = layersOf(layers, context);
  positive(rolled, 'The length of the sheets');
  const radius = Math.sqrt((whole * rolled) / Math.PI);
  const outline = circle(2 * radius);
  const turn = whole / (2 * Math.PI);
  const sample: Sampler = (x, y) => {
    const r = Math.hypot(x, y);
    const angle = Math.atan2(y, x);
    const turns = (r - turn * (angle < 0 ? angle + 2 * Math.PI : angle)) / whole;
    return index[layerAt(ends, (turns - Math.floor(turns)) * whole)] as number;
  };
  const amounts = sumOf(...layers.map((l, i) => [one(index[i] as number, l.thickness * rolled), 1] as const));
  return plain(outline, length, sample, amounts);
};

/** A stripe loaf: the stack of sheets so many times over. */
const loaf: Maker<'loaf'> = ({ layers, times, width, length }, context) => {
  const { index, ends, whole } = layersOf(layers, context);
  if (!Number.isInteger(times) || times < 1 || times > 400)
    throw complaint('cane/count', { what: 'The number of stacks', low: 1, high: 400 });
  const height = whole * times;
  const outline = rectangle(positive(width, 'The width'), height);
  const sample: Sampler = (_, y) => {
    const at = (y + height / 2) / whole;
    return index[layerAt(ends, (at - Math.floor(at)) * whole)] as number;
  };
  return plain(
    outline,
    length,
    sample,
    sumOf(...layers.map((l, i) => [one(index[i] as number, l.thickness * width * times), 1] as const)),
  );
};

/** Beginnings that need no other cane; those that do are in `run.ts`. */
export const BEGIN: { readonly [K in Exclude<Begin['do'], 'cane' | 'template'>]: Maker<K> } = {
  log,
  block,
  plug,
  roll,
  loaf,
};
