import { ballSolid } from './ballParts.js';
import type { Shape, ShapeIs } from './document.js';
import { cutSolid, sliceSolid } from './flatParts.js';
import { snakeSolid, twistSolid } from './longParts.js';
import { complaint } from './sentences.js';
import { coveredSolid, findingSolid, veneerSolid } from './shellParts.js';
import type { Solid } from './solid.js';

type OfKind<K extends ShapeIs> = Extract<Shape, { is: K }>;

/** How each shape becomes a body: one that is missing does not compile. */
const SOLIDS: { readonly [K in ShapeIs]: (shape: OfKind<K>, name: string) => Solid } = {
  cut: cutSolid,
  slice: sliceSolid,
  ball: ballSolid,
  snake: snakeSolid,
  twist: twistSolid,
  covered: coveredSolid,
  veneer: veneerSolid,
  finding: findingSolid,
};

/** The sizes of a shape by their names, those of an outline too. */
function sizesIn(shape: Shape): [string, number][] {
  const flat = 'outline' in shape ? { ...shape, ...shape.outline } : shape;
  const entries: [string, unknown][] = Object.entries(flat);
  const named = ['width', 'height', 'length', 'mm', 'core', 'wall', 'slice', 'ratio'];
  return entries.filter((entry): entry is [string, number] => named.includes(entry[0]) && typeof entry[1] === 'number');
}

const CALLED: Readonly<Record<string, string>> = { mm: 'thickness', slice: 'size of the slices' };

/**
 * The body of a part.
 * @param name of the part, for sentences
 * @throws Complaint `piece/positive` of a size that is not more than 0, `piece/ratio`
 */
export function solidOf(shape: Shape, name: string): Solid {
  const none = sizesIn(shape).find(([, value]) => !(value > 0));
  if (none) throw complaint('piece/positive', { name, what: CALLED[none[0]] ?? none[0] });
  return (SOLIDS[shape.is] as (s: Shape, n: string) => Solid)(shape, name);
}
