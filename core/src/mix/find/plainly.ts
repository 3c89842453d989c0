import { WHOLE, ratios, unitsOf, type Cell } from './ratios.js';
import { CLASSES, type Found, type Search, type Three } from './search.js';
import { Tray } from './tray.js';

const RATIOS_OF_TWO = ratios(2);
const FEW_OF_THREE = ratios(3).filter((r) => unitsOf(r) <= 5);
const FEW = CLASSES.findIndex((c) => c.clays === 3);
const ANY = CLASSES.length - 1;
/** Triples looked at between two answers. */
const STRIDE = 400;

/**
 * The search in plain numbers, where vector instructions are not to be had:
 * triangles of clays, and cells of them, are left out where a lower bound
 * shows that nothing in them is closer than what was found.
 */
export function* searchPlainly(search: Search): Generator<readonly Found[]> {
  const { input } = search;
  if (input.mostClays > 1) for (const of of search.pairs()) search.tryAll(of, RATIOS_OF_TWO);
  yield search.found();
  if (input.mostClays < 3) return;

  const tray = new Tray(
    input.clays.map((c) => c.pigment),
    input.target,
  );
  const searchCell = (of: Three, cell: Cell): void => {
    if (cell.children.length === 0) search.tryAll(of, cell.ratios);
    for (const child of cell.children) if (tray.bound(child) < search.limitOf(ANY)) searchCell(of, child);
  };
  const triples = Array.from(search.threes(), (of) => {
    tray.take(of);
    return { of, bound: tray.bound(WHOLE) };
  }).sort((a, b) => a.bound - b.bound);
  for (const [n, { of, bound }] of triples.entries()) {
    if (bound >= search.limitOf(FEW)) break;
    search.tryAll(of, FEW_OF_THREE);
    if (bound < search.limitOf(ANY)) {
      tray.take(of);
      searchCell(of, WHOLE);
    }
    if (n % STRIDE === STRIDE - 1) yield search.found();
  }
}
