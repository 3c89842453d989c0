import { CUTTER_SHAPES, LARGEST_CUTTER, MOST_CUTTER_POINTS, type Cutter } from '#core/cutter';
import { among, list, material, number, object, readAs, text, whole, type Check } from '#core/document';
import { MOST_COLOURS } from '#core/picture';
import type { MaterialKey } from '#core/material';
import type { Mm } from '#core/units';
import { LOST } from './amounts.js';
import { MOST_DIAMETERS, type MosaicWish } from './mosaic.js';
import { complaint } from './sentences.js';

/** A shade of the threads: the colour that was wanted, the one it has, and what it is made of once that is known. */
export interface MosaicShade {
  readonly l: number;
  readonly a: number;
  readonly b: number;
  /** sRGB, six digits */
  readonly hex: string;
  /** a clay or a mix; left out: it was not looked for yet */
  readonly of?: MaterialKey;
}

/** A mosaic as it is kept: a readable document. Lengths in mm. */
export interface MosaicDocument extends Omit<MosaicWish, 'picture' | 'shades' | 'bezel'> {
  readonly version: typeof MOSAIC_VERSION;
  readonly bezel: Cutter;
  /** the kept picture; left out: there is none yet */
  readonly pictureId?: string;
  /** shades beside each colour: 1, or 3 with a lighter and a darker one */
  readonly run: number;
  readonly shades: readonly MosaicShade[];
  /** of the clay that tesserae are pressed into */
  readonly bed: Mm;
  readonly bedOf?: MaterialKey;
  /** tesserae that one's own hands lay in an hour */
  readonly pace: number;
  /** thread that is made more than is laid, as a share */
  readonly lost: number;
  /** patches that are laid, by their numbers */
  readonly done: readonly number[];
}
export const MOSAIC_VERSION = 1;
/** Shades of one mosaic, and patches of one, at the most. */
export const [MOST_SHADES, MOST_PATCHES] = [3 * MOST_COLOURS, 4000];

const version: Check = number(MOSAIC_VERSION, MOSAIC_VERSION);
const bezel = object({
  shape: among(...CUTTER_SHAPES),
  width: number(1, LARGEST_CUTTER),
  height: number(1, LARGEST_CUTTER),
  'points?': list(list(number(-5000, 5000), 2, 2), 3, MOST_CUTTER_POINTS),
});
const shade = object({
  l: number(-20, 130),
  a: number(-200, 200),
  b: number(-200, 200),
  hex: text(6),
  'of?': material,
});
const mosaic = object({
  version,
  bezel,
  'pictureId?': text(36),
  colours: whole(1, MOST_COLOURS),
  run: whole(1, 3),
  diameters: list(number(0.2, 10), 1, MOST_DIAMETERS),
  shortest: number(0.2, 60),
  longest: number(0.2, 60),
  gap: number(0, 2),
  shades: list(shade, 0, MOST_SHADES),
  bed: number(0.1, 50),
  'bedOf?': material,
  pace: number(1, 10_000),
  lost: number(0, 3),
  done: list(whole(0, MOST_PATCHES), 0, MOST_PATCHES),
});

/** Takes a mosaic out of a document. @throws Complaint `mosaic/newer`, `mosaic/format` with the place */
export function readMosaic(value: unknown): MosaicDocument {
  const written = typeof value === 'object' && value !== null && 'version' in value ? value.version : undefined;
  if (typeof written === 'number' && written > MOSAIC_VERSION)
    throw complaint('mosaic/newer', { version: String(written) });
  readAs(
    () => {
      mosaic(value, '', { steps: () => undefined });
    },
    (not) => complaint('mosaic/format', not),
  );
  return value as MosaicDocument;
}

/** A mosaic to begin with. */
export const newMosaic = (pictureId: string | undefined): MosaicDocument => ({
  version: MOSAIC_VERSION,
  bezel: { shape: 'oval', width: 18, height: 25 },
  ...(pictureId === undefined ? {} : { pictureId }),
  ...{ colours: 7, run: 3, diameters: [1, 0.65, 0.45], shortest: 1, longest: 2.4, gap: 0.02 },
  ...{ shades: [], bed: 1.5, pace: 120, lost: LOST, done: [] },
});

/** What a plan follows from: where one of these changes, patches are others. */
export const planKey = ({ bezel: of, pictureId, colours, diameters, shortest, longest, gap }: MosaicDocument): string =>
  JSON.stringify([of, pictureId ?? null, colours, diameters, shortest, longest, gap]);

/** A mosaic with some of it changed; what was laid stays laid only where its patches stay the same. */
export function withChange(mosaic: MosaicDocument, part: Partial<MosaicDocument>): MosaicDocument {
  const next = { ...mosaic, ...part };
  return planKey(next) === planKey(mosaic) ? next : { ...next, done: [] };
}

/** Every clay and mix that a mosaic names, each once. */
export const mosaicMaterials = ({
  shades,
  bedOf,
}: Pick<MosaicDocument, 'shades' | 'bedOf'>): readonly MaterialKey[] => [
  ...new Set([...shades.map((s) => s.of), bedOf].filter((of) => of !== undefined)),
];
