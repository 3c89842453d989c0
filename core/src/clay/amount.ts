import { readMass, readNumber, type Grams, type UnitSystem } from '#core/units';

const SHARES: Readonly<Record<string, number>> = {
  half: 0.5,
  'a half': 0.5,
  quarter: 0.25,
  'a quarter': 0.25,
  a: 1,
  '': 1,
};
const BLOCKS = /^(.*?)(?:\s+(?:of\s+)?(?:an?\s+)?)?\bblocks?\b(?:\s+of\s+each)?$/i;

/**
 * An amount of clay as a maker says it: `14 g`, `½ oz`, or in blocks, `half a block`, `1½ blocks`.
 * @param block g of one @throws Complaint as `readMass`
 */
export function readAmount(text: string, system: UnitSystem, block: Grams): Grams {
  const said = text.trim().replace(/\s+(?:of\s+)?each$/i, '');
  const blocks = BLOCKS.exec(said);
  if (!blocks) return readMass(said, system);
  const number = (blocks[1] ?? '').trim().toLowerCase();
  return block * (SHARES[number] ?? readNumber(number).valueOf());
}
