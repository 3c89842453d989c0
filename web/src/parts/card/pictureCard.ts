/** What a line of a card names, with its colours and how much there is of it. */
export interface CardLine {
  /** six digits each */
  readonly hexes: readonly string[];
  readonly name: string;
  /** smaller below the name */
  readonly detail?: string;
  readonly amount: string;
}

/** What a card shows large: a picture (PNG, or SVG as text), or colours along a strip. */
export type CardPicture =
  | { readonly of: 'png'; readonly bytes: Uint8Array }
  | { readonly of: 'svg'; readonly text: string }
  | { readonly of: 'colours'; readonly hexes: readonly string[] };

/** A thing as it is shown to others. */
export interface PictureCard {
  readonly name: string;
  /** what it is, with its size: `Cane, 24 mm across` */
  readonly about: string;
  readonly picture: CardPicture;
  readonly lines: readonly CardLine[];
  readonly note: string;
}

/** Lines that have room on a card; of more, how many they are. */
const MOST_LINES = 11;

/** `14.2 %`, `31 %`: the share of one of several amounts. */
export function shareWords(amount: number, total: number): string {
  if (total <= 0) return '';
  const percent = (100 * amount) / total;
  return `${percent < 10 ? percent.toFixed(1) : Math.round(percent)} %`;
}

/** Lines as they have room: the last one counts those that have none. */
export function linesWithRoom(lines: readonly CardLine[]): readonly CardLine[] {
  if (lines.length <= MOST_LINES) return lines;
  const shown = lines.slice(0, MOST_LINES - 1);
  return [...shown, { hexes: [], name: `and ${lines.length - shown.length} more`, amount: '' }];
}

/**
 * Words in lines that are no wider than there is room; what has no room ends in dots.
 * @param widthOf px of a text @param most lines
 */
export function wrapped(text: string, widthOf: (text: string) => number, room: number, most: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/).filter((w) => w !== '')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line !== '' && widthOf(longer) > room) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  if (line !== '') lines.push(line);
  const kept = lines.slice(0, most);
  const last = kept.at(-1);
  if (last !== undefined) kept[kept.length - 1] = fitting(last, widthOf, room, lines.length > most);
  return kept.map((one) => fitting(one, widthOf, room));
}

/** A text as far as there is room for it. @param goesOn it ends in dots in any case */
export function fitting(text: string, widthOf: (text: string) => number, room: number, goesOn = false): string {
  const whole = goesOn ? `${text} …` : text;
  if (widthOf(whole) <= room) return whole;
  let kept = text;
  while (kept !== '' && widthOf(`${kept} …`) > room) kept = kept.slice(0, -1).trimEnd();
  return `${kept} …`;
}
