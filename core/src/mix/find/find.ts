import { searchByKernel } from './byKernel.js';
import { searchPlainly } from './plainly.js';
import { ratios } from './ratios.js';
import { Search, type FindInput, type Found } from './search.js';

/**
 * Which mixes come nearest to a colour: the exact best for one clay, two
 * clays and three, the last two also with few parts, as if every mix had
 * been tried (docs/models.md §4). Gives the short list again and again while
 * it gets better; the last one is exact.
 * @param plainly without vector instructions, as where they are not to be had; the answer is the same
 */
export function* find(input: FindInput, plainly = false): Generator<readonly Found[], readonly Found[]> {
  const search = new Search(input);
  if (!search.possible) return [];
  for (const i of input.clays.keys()) if (search.wants([i])) search.tryAll([i], ratios(1));
  const ways = plainly ? null : searchByKernel(search);
  yield* ways ?? searchPlainly(search);
  return search.found();
}
