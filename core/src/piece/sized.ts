import type { Part, PieceDocument, Size, Value } from './document.js';
import { complaint } from './sentences.js';

const follows = (value: unknown): value is Exclude<Value, number> =>
  typeof value === 'object' && value !== null && 'size' in value && 'times' in value;

/** Everything of a part with its sizes as numbers. */
function numbers(value: unknown, sizes: ReadonlyMap<string, Size>, name: string): unknown {
  if (follows(value)) {
    const size = sizes.get(value.size);
    if (!size) throw complaint('piece/size', { name });
    return size.value * value.times;
  }
  if (Array.isArray(value)) return value;
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([field, inner]) => [field, numbers(inner, sizes, name)]));
  return value;
}

/** The parts of a piece with every size as a number. @throws Complaint `piece/size` */
export function sizedParts({ sizes, parts }: PieceDocument): readonly Part[] {
  const byId = new Map(sizes.map((s) => [s.id, s]));
  return parts.map((part) => numbers(part, byId, part.name) as Part);
}

/** What a value is with the sizes of a piece. @throws Complaint `piece/size` */
export function numberOf(value: Value, sizes: readonly Size[], name = 'a part'): number {
  return numbers(value, new Map(sizes.map((s) => [s.id, s])), name) as number;
}
