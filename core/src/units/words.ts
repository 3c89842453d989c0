const COUNTS = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
  'twenty',
];
const TENS: Readonly<Record<string, number>> = {
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
const PARTS: Readonly<Record<string, number>> = {
  half: 2,
  halves: 2,
  third: 3,
  thirds: 3,
  quarter: 4,
  quarters: 4,
  fourth: 4,
  fourths: 4,
  eighth: 8,
  eighths: 8,
  sixteenth: 16,
  sixteenths: 16,
};
export const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
];

const anyOf = (words: readonly string[]): string => [...words].sort((a, b) => b.length - a.length).join('|');
const NUMERALS = anyOf([...COUNTS, ...Object.keys(TENS)]);
/** Parts of one that need no number before them: `half`, `quarter`. */
const ALONE = anyOf(Object.keys(PARTS));

const valueOf = (word: string): number => TENS[word] ?? COUNTS.indexOf(word);

/** The steps by which written numbers become digits, one after the other. */
const STEPS: readonly (readonly [RegExp, (...found: string[]) => string])[] = [
  // 1-1/2, one-half, twenty-five
  [/(\d)\s*[-–]\s*(?=\d+\s*\/\s*\d)/g, (_, whole = '') => `${whole} `],
  [
    new RegExp(`\\b(${anyOf(Object.keys(TENS))}|twenty)[- ](${anyOf(COUNTS.slice(1, 10))})\\b`, 'g'),
    (_, tens = '', one = '') => String(valueOf(tens) + valueOf(one)),
  ],
  [new RegExp(`\\b(${NUMERALS})-(?=${ALONE})`, 'g'), (_, n = '') => `${n} `],
  // three quarters, 3 eighths, one third
  [
    new RegExp(`\\b(${NUMERALS}|\\d+) (${ALONE})\\b`, 'g'),
    (_, n = '', part = '') => `${/\d/.test(n) ? n : valueOf(n)}/${PARTS[part] ?? 1}`,
  ],
  // a quarter, half a, an eighth
  [new RegExp(`\\b(?:an? )?(${ALONE})(?: an?)?\\b`, 'g'), (_, part = '') => `1/${PARTS[part] ?? 1}`],
  [new RegExp(`\\b(${NUMERALS})\\b`, 'g'), (_, n = '') => String(valueOf(n))],
  // one and a half
  [/(?<![\d/.])(\d+) (?:and|&) (?=\d+\/\d+)/g, (_, whole = '') => `${whole} `],
];

/**
 * A text in small letters with the numbers that are written out as digits:
 * `one and a half` becomes `1 1/2`, `an eighth` `1/8`, `1-1/2` `1 1/2`.
 */
export const withDigits = (text: string): string =>
  STEPS.reduce(
    (said, [pattern, digits]) => said.replace(pattern, (...found: string[]) => digits(...found)),
    text.toLowerCase().replace(/\s+/g, ' ').trim(),
  );

/** What makes a number a round one, and changes nothing of its sense. */
const BEFORE =
  /^(?:about|around|approximately|approx\.?|ca\.?|circa|roughly|some|nearly|almost|just under|just over|~|≈)\s*/i;
const AFTER = /\s*(?:or so|ish|or thereabouts|approximately|roughly)$/i;

/** A text without `about`, `or so` and their like. */
export function withoutRoughly(text: string): string {
  const trimmed = text.trim().replace(BEFORE, '').replace(AFTER, '');
  return trimmed === text.trim() ? trimmed : withoutRoughly(trimmed);
}

/** A name for one thing and for several of it, as people write it. */
export const namesOf = (name: string): string[] => [name, `${name}s`, `${name}es`, name.replace(/y$/, 'ies')];

/** A text to be looked for as it stands, within a pattern. */
export const literally = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
