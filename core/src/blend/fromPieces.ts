import type { Mm } from '#core/units';
import { complaint } from './sentences.js';

/** Every piece shows all of the fade, or one shade of it. */
export const FADE_SHOWN = ['whole', 'shade'] as const;
export type FadeShown = (typeof FADE_SHOWN)[number];

/** Pieces that a blend is made for. */
export interface FadePieces {
  readonly shows: FadeShown;
  readonly count: number;
  /** beside each other along the fade, where each shows one shade */
  readonly shades: number;
  /** of a piece along the fade, and across it */
  readonly along: Mm;
  readonly across: Mm;
  /** left between pieces, and at the edges */
  readonly bridge: Mm;
  /** of the finished sheet */
  readonly mm: Mm;
}

/** What it is rolled on: the thickness of each layer, of the widest gap, and the width of the rollers. */
export interface FadeRollers {
  readonly layerMm: Mm;
  readonly widestMm: Mm;
  readonly rollerWidth: Mm;
}

/** The sheet to cut for pieces, from the pieces back. */
export interface SheetForPieces {
  /** of the cut sheet: along the fade, up, and in how many layers */
  readonly width: Mm;
  readonly height: Mm;
  readonly layers: number;
  /** pure at each end: where each piece shows all of the fade, what lies beside it */
  readonly pure: Mm;
  /** the finished blend is turned and rolled along its fade */
  readonly tape: boolean;
  /** mm of the blend before it is turned */
  readonly passMm: Mm;
  /** the finished sheet: along the fade, and up */
  readonly fade: Mm;
  readonly length: Mm;
  /** pieces beside each other along the fade, and above each other */
  readonly columns: number;
  readonly rows: number;
}

/** Lower than this a sheet can hardly be folded and fed; higher it hangs over the hands. Assumptions. */
const [LOWEST, HIGHEST]: readonly [Mm, Mm] = [40, 160];
const MOST_LAYERS = 8;

const rowOf = (count: number, size: Mm, bridge: Mm): Mm => count * (size + bridge) + bridge;

/** The fewest layers, two by two, that keep the cut sheet in hand; more than there are is higher. */
function layersFor(height: (layers: number) => Mm): number {
  for (let layers = 2; layers < MOST_LAYERS; layers += 2) if (height(layers) <= HIGHEST) return layers;
  return MOST_LAYERS;
}

/**
 * The sheet that gives the pieces wanted. Where its fade fits between the rollers it runs across them, and the sheet is
 * rolled out along its folds; a longer fade is turned and rolled along itself (a tape). Clay stays the same: width ·
 * height · layers · layerMm = fade · length · mm.
 * @throws Complaint `count/whole`, `amount/positive`, `blend/thick` where the layers are too thin for the finished
 * sheet, `blend/long` where even a tape of the width of the rollers does not reach
 */
export function sheetForPieces(wanted: FadePieces, rollers: FadeRollers): SheetForPieces {
  const { shows, count, along, across, bridge, mm } = wanted;
  const { layerMm, widestMm, rollerWidth } = rollers;
  const columns = shows === 'whole' ? 1 : wanted.shades;
  for (const n of [count, columns]) if (!Number.isInteger(n) || n < 1 || n > 5000) throw complaint('count/whole');
  for (const [what, value] of [
    ['A piece', Math.min(along, across)],
    ['The thickness of the pieces', mm],
  ] as const)
    if (!(value > 0) || !Number.isFinite(value)) throw complaint('amount/positive', { what });
  const rows = Math.ceil(count / columns);
  const [fade, length] = [rowOf(columns, along, bridge), rowOf(rows, across, bridge)];
  const tape = fade > rollerWidth;
  const passMm = tape ? widestMm : mm;
  if (mm > 2 * layerMm || mm > passMm) throw complaint('blend/thick', { mm });
  const width = (fade * mm) / passMm;
  const longest = (rollerWidth * widestMm) / mm;
  if (fade > longest) throw complaint('blend/long', { fits: Math.floor((longest - bridge) / (along + bridge)) });
  const heightOf = (layers: number): Mm => (length * passMm) / (layers * layerMm);
  const layers = layersFor(heightOf);
  const height = Math.max(LOWEST, heightOf(layers));
  const pure = shows === 'whole' ? (bridge * mm) / passMm : 0;
  return {
    ...{ width, height, layers, pure, tape, passMm, fade, columns, rows },
    length: (length * height) / heightOf(layers),
  };
}

/** Middles of the pieces on the finished sheet, along the fade then up, mm: as many to a row as there are columns. */
export function placesOnFade({ count, along, across, bridge }: FadePieces, { columns }: SheetForPieces): Float64Array {
  const middles = new Float64Array(2 * count);
  for (let i = 0; i < count; i++) {
    middles[2 * i] = bridge + along / 2 + (i % columns) * (along + bridge);
    middles[2 * i + 1] = bridge + across / 2 + Math.floor(i / columns) * (across + bridge);
  }
  return middles;
}
