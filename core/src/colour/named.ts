/**
 * Plain words for colours as clay has them: not those of a screen, which no clay reaches. Assumptions, to be
 * measured.
 */
const NAMED: Readonly<Record<string, string>> = {
  white: 'F4F2EC',
  ivory: 'F1EAD6',
  cream: 'F0E4C4',
  beige: 'D9C6A5',
  black: '1E1C1E',
  grey: '8C8A88',
  gray: '8C8A88',
  silver: 'B9B8B5',
  red: 'B9232B',
  scarlet: 'C22B22',
  crimson: '9C1B33',
  pink: 'E08CA4',
  magenta: 'B01E6B',
  orange: 'E0742A',
  peach: 'EDB08C',
  gold: 'B98B35',
  yellow: 'EFC62F',
  ochre: 'C08A2E',
  brown: '6B4A33',
  tan: 'B98F66',
  green: '3C7A45',
  lime: '9DBB3A',
  olive: '74743A',
  teal: '1F7A78',
  turquoise: '37A7A2',
  blue: '2B549C',
  navy: '22305C',
  violet: '5E3B8C',
  purple: '6A2C7C',
  lilac: 'AF93C4',
};
const SHADE: Readonly<Record<string, number>> = { light: 0.4, pale: 0.55, dark: -0.35, deep: -0.25 };

/** One channel nearer to white, or to black for less than nothing. */
const shaded = (value: number, by: number): number =>
  Math.round(by >= 0 ? value + (255 - value) * by : value * (1 + by));

/** Six hex digits for a plain colour word, `light blue` too; null where it is none. */
export function namedColour(text: string): string | null {
  const words = text
    .trim()
    .toLowerCase()
    .split(/[\s-]+/);
  const hex = NAMED[words.at(-1) ?? ''];
  if (hex === undefined || words.length > 2) return null;
  if (words.length === 1) return hex;
  const by = SHADE[words[0] ?? ''];
  if (by === undefined) return null;
  return [0, 2, 4]
    .map((at) =>
      shaded(parseInt(hex.slice(at, at + 2), 16), by)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')
    .toUpperCase();
}
