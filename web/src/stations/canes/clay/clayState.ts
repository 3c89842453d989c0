import { ageInMonths, squeezeOf, type Squeeze } from '#core/clay';
import type { BlockDto, ShelfAnswer } from '#contract';

/** A clay and its share by mass. */
interface Share {
  readonly clayId: string;
  readonly mass: number;
}

/** From so many months on clay is taken to be old: an assumption. */
const OLD_MONTHS = 48;
/** From this share on a mix crumbles as its crumbly clay does: an assumption. */
const CRUMBLES = 0.25;

const blocksOf = (clayId: string, { blocks }: ShelfAnswer): readonly BlockDto[] =>
  blocks.filter((b) => b.clayId === clayId && b.leftGrams > 0);

/** Whether a block cracks or crumbles: as it was squeezed, else by its age. @param on ISO date */
function isOldBlock(block: BlockDto, on: string): boolean {
  const squeeze = squeezeOf(block, on);
  if (squeeze) return squeeze === 'cracks' || squeeze === 'crumbles';
  return block.madeOn !== null && ageInMonths(block.madeOn, on) >= OLD_MONTHS;
}

/** Whether a block of some clays is old, by what it does between the fingers or by its age. @param on ISO date */
export const isOld = (shares: readonly Share[], shelf: ShelfAnswer, on: string): boolean =>
  shares.some(({ clayId }) => blocksOf(clayId, shelf).some((block) => isOldBlock(block, on)));

/** Whether a clay crumbles: as its blocks were squeezed where all were, else as its line does. */
function crumbles(clayId: string, shelf: ShelfAnswer, on: string): boolean {
  const squeezed = blocksOf(clayId, shelf).map((b): Squeeze | null => squeezeOf(b, on));
  if (squeezed.includes('crumbles')) return true;
  if (squeezed.length > 0 && !squeezed.includes(null)) return false;
  const lineId = shelf.clays.find((c) => c.id === clayId)?.lineId;
  return shelf.lines.find((l) => l.id === lineId)?.firmness === 'crumbly';
}

/** Whether so much of some clays crumbles that all of it does. @param on ISO date */
export function isCrumbly(shares: readonly Share[], shelf: ShelfAnswer, on: string): boolean {
  const share = shares.reduce((sum, { clayId, mass }) => (crumbles(clayId, shelf, on) ? sum + mass : sum), 0);
  return share >= CRUMBLES;
}
