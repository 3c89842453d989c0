import type { PartOf, PieceDocument, Value } from './document.js';

type AnyPart = PartOf<Value>;

/** Fields that are lengths of a piece; thicknesses of sheets are none: they are rolled as before. */
const LENGTHS: ReadonlySet<string> = new Set([
  ...['width', 'height', 'length', 'core', 'slice', 'rim', 'cup'],
  ...['x', 'y', 'radius', 'apart'],
]);

const follows = (value: unknown): value is Exclude<Value, number> =>
  typeof value === 'object' && value !== null && 'size' in value && 'times' in value;

/** Fields of a part, or of a shape or place of it, in another size. @param mm ids of the sizes that are lengths */
function scaledFields<T extends object>(of: T, factor: number, mm: ReadonlySet<string>, stays: boolean): T {
  const fields = Object.entries(of).map(([field, value]: [string, unknown]) => {
    const grows = LENGTHS.has(field) && !stays;
    if (follows(value)) {
      // what follows a size that grows, and does not grow itself, follows it by less
      const kept = mm.has(value.size) && !grows;
      return [field, kept ? { ...value, times: value.times / factor } : value];
    }
    if (typeof value === 'number') return [field, grows ? value * factor : value];
    if (field === 'outline' && typeof value === 'object' && value !== null)
      return [field, scaledFields(value, factor, mm, stays)];
    return [field, value];
  });
  return Object.fromEntries(fields) as T;
}

/**
 * A piece in another size: widths, lengths and places, the thicknesses of its sheets as they were, and its findings
 * too.
 * @param factor 0.8 is a fifth smaller
 */
export function scaledPiece(piece: PieceDocument, factor: number): PieceDocument {
  const mm = new Set(piece.sizes.filter((s) => s.unit === 'mm').map((s) => s.id));
  const sizes = piece.sizes.map((s) => (s.unit === 'mm' ? { ...s, value: s.value * factor } : s));
  const parts = piece.parts.map((part): AnyPart => ({
    ...part,
    shape: scaledFields(part.shape, factor, mm, part.shape.is === 'finding'),
    place: scaledFields(part.place, factor, mm, false),
  }));
  return { ...piece, sizes, parts };
}
