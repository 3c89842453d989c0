import { formsOf, regionAround, type Forms } from '#core/colour';
import { Kernel, type Tree } from './kernel.js';
import { EDGE, WHOLE } from './ratios.js';
import { CLASSES, classOf, type Found, type Search } from './search.js';

const TREES: readonly Tree[] = [
  { root: EDGE, regionOf: classOf },
  { root: WHOLE, regionOf: classOf },
];
const OF_TWO = 0;
const OF_THREE = 1;
/** A region is drawn closer when what is found has come closer by this share. */
const CLOSER = 0.97;
/** Triples looked at between two answers. */
const STRIDE = 8000;

/** The regions in which mixes of each class have to lie, kept close about the target while better ones are found. */
class Regions {
  private readonly limits = CLASSES.map(() => NaN);

  constructor(
    private readonly kernel: Kernel,
    private readonly forms: Forms,
  ) {}

  follow(search: Search): void {
    for (let place = 0; place < CLASSES.length; place++) {
      const limit = search.limitOf(place);
      if (limit > (this.limits[place] as number) * CLOSER) continue;
      this.limits[place] = limit;
      this.kernel.setRegion(place, regionAround(this.forms, limit));
    }
  }
}

/**
 * The search with vector instructions: they let through what may be nearer
 * than what was found, and each of those is worked out in full.
 * @returns null where they are not to be had
 */
export function searchByKernel(search: Search): Generator<readonly Found[]> | null {
  const { input } = search;
  const forms = formsOf(input.target);
  const kernel = Kernel.over(
    input.clays.map((c) => c.pigment),
    forms,
    TREES,
    CLASSES.length,
  );
  return kernel && searching(search, kernel, new Regions(kernel, forms));
}

function* searching(search: Search, kernel: Kernel, regions: Regions): Generator<readonly Found[]> {
  const tryThrough = (tree: number, of: readonly number[], [i, j, k]: readonly [number, number, number]): void => {
    const through = kernel.search(tree, i, j, k);
    if (through.length === 0) return;
    search.tryAll(of, through);
    regions.follow(search);
  };
  regions.follow(search);
  if (search.input.mostClays > 1) for (const [i, j] of search.pairs()) tryThrough(OF_TWO, [i, j], [i, j, j]);
  yield search.found();
  if (search.input.mostClays < 3) return;
  let looked = 0;
  for (const of of search.threes()) {
    tryThrough(OF_THREE, of, of);
    looked++;
    if (looked % STRIDE === 0) yield search.found();
  }
}
