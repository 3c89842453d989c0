/** Words of the trade in a sentence each, as somebody would say them across the table. */
export const TRADE_WORDS: Readonly<Record<string, string>> = {
  batch: 'pieces that are made together, from the same clay and in the same load of the oven',
  bead: 'a piece with a hole through it',
  bezel: 'a setting of metal with a rim that clay is filled into',
  blend: 'a sheet that goes from one colour into another, folded and passed until no streak is left',
  block: 'a packet of clay as it is bought',
  cane: 'a log with a picture through its whole length: every slice shows it',
  chip: 'a small tile of a mix, baked and kept, to see what a colour came out as',
  condition: 'knead clay, or pass it folded through the machine, until it is soft and even',
  crazing: 'fine cracks that show after baking',
  film: 'kitchen film between cutter and clay: it rounds the edge',
  finding: 'what is not clay: ear hooks, pin backs, jump rings, cord',
  line: 'clays of one make that feel alike and bake at the same heat',
  mica: 'flakes that shine: they lie flat where clay was rolled, and catch the light',
  parts: 'shares by weight or volume: 3 parts to 1 is three of the one for each of the other',
  pass: 'once folded and once through the rollers',
  plug: 'a thick disc that a tape of blended clay was wound up to',
  reading: 'a thickness that was measured, with calipers or against a card',
  reduce: 'make a cane longer and thinner by squeezing it, with the picture inside',
  relief: 'ridges and valleys that a texture leaves in clay',
  setting: 'a number on the dial of a pasta machine: each machine has its own thickness for it',
  softener: 'a liquid that makes hard clay soft again, by the drop',
  spare: 'cut beyond the number that is wanted, since some do not come out',
  tent: 'foil or card over pieces in the oven, so that no heat scorches them',
  veneer: 'a thin patterned sheet that is laid on something else',
};

/** A run of a sentence, and the word of the trade that it is; null: ordinary words. */
export interface Run {
  readonly text: string;
  readonly word: string | null;
}

/** Words that are done as well as named. */
const DONE = ['condition', 'reduce', 'blend'];
const MANY = '(?:s|es)?';
const DOING = '(?:s|d|ed|ing)?';

/** A word as it stands in sentences: with a capital or without, one of it or several. */
function formsOf(word: string): string {
  if (!DONE.includes(word)) return `${word}${MANY}`;
  return word.endsWith('e') ? `${word.slice(0, -1)}(?:e|es|ed|ing)` : `${word}${DOING}`;
}

/** The longest first, so that a word of two is not taken for its second. */
const WORDS = Object.keys(TRADE_WORDS).sort((a, b) => b.length - a.length);
const STANDING = new RegExp(`(?<![\\p{L}-])(?:${WORDS.map((w) => `(${formsOf(w)})`).join('|')})(?![\\p{L}-])`, 'giu');

const wordOf = (match: RegExpMatchArray): string => WORDS[match.slice(1).findIndex((form) => form !== undefined)] ?? '';

/** A sentence in runs: the first standing of each word of the trade apart, everything else as it is. */
export function tradeRuns(sentence: string): readonly Run[] {
  const runs: Run[] = [];
  const told = new Set<string>();
  let from = 0;
  for (const match of sentence.matchAll(STANDING)) {
    const word = wordOf(match);
    if (told.has(word)) continue;
    told.add(word);
    if (match.index > from) runs.push({ text: sentence.slice(from, match.index), word: null });
    runs.push({ text: match[0], word });
    from = match.index + match[0].length;
  }
  if (from < sentence.length) runs.push({ text: sentence.slice(from), word: null });
  return runs;
}
