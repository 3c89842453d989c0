import { dialLabels } from './machine.js';
import { thicknesses, type SettingThickness } from './thickness.js';
import { LABEL, PLACE, isWide } from './phrase.js';
import { complaint } from './sentences.js';

/** Settings of a machine of which nothing is said: an assumption. */
const USUAL_SETTINGS = 9;
const MOST_SETTINGS = 20;

/** Settings of a machine that nobody here has: only its dial is known. */
const strange = (labels: readonly string[]): SettingThickness[] =>
  thicknesses({
    id: '',
    name: '',
    rollerWidthMm: 145,
    settings: labels.map((label) => ({ id: label, label })),
    readings: [],
  });

/** The so-manyth setting from one end of a dial of so many. @throws Complaint `instruction/rank` */
export function strangeRank(rank: number, fromWidest: boolean, count = USUAL_SETTINGS): SettingThickness {
  if (count < 2 || count > MOST_SETTINGS || rank < 1 || rank > count)
    throw complaint('instruction/rank', { rank, count });
  const all = strange(Array.from({ length: count }, (_, i) => String(i)));
  return all[fromWidest ? rank - 1 : count - rank] as SettingThickness;
}

/** What is said of a dial: numbers at its ends, and how many settings it has. */
interface Facts {
  readonly widest: number | null;
  readonly thinnest: number | null;
  readonly count: number | null;
}

/** The labels of a dial from its widest to its thinnest, as far as they follow from what is said. */
function labelsOf({ widest, thinnest, count: said }: Facts, at: number): string[] {
  if (widest !== null && thinnest !== null) return dialLabels(String(widest), String(thinnest), '1');
  const end = widest ?? thinnest ?? 0;
  // a dial that begins at 0 or 1 counts up from there; one that begins higher counts down to 1
  const usual = USUAL_SETTINGS + (end === 0 ? 1 : 0);
  const count = said ?? (end > 1 ? end : usual);
  if (count < 2 || count > MOST_SETTINGS) throw complaint('instruction/rank', { rank: at, count });
  const other = Math.max(0, end > 1 ? end - count + 1 : end + count - 1);
  return widest !== null ? dialLabels(String(end), String(other), '1') : dialLabels(String(other), String(end), '1');
}

const FILLING = [
  'a|an|the|it|its|machine|one|that|which|where|when|with|whose|has|having|goes|going|runs|running',
  'is|are|being|as|and|on|of|in|for|if|dial|setting|settings|number|numbers|from|to|at|pasta|clay|roller|rollers',
].join('|');
const FILLERS = new RegExp(`\\b(?:${FILLING})\\b|[,:=#-]`, 'g');

/** What an instruction says of a dial, and the setting on it; null where anything else stands in it. */
function dialIn(text: string): { readonly at: string | null; readonly facts: Facts } | null {
  let [widest, thinnest, count]: [number | null, number | null, number | null] = [null, null, null];
  let rest = text;
  const end = (number: string, place: string): string => {
    if (isWide(place)) widest = Number(number);
    else thinnest = Number(number);
    return ' ';
  };
  // 7 being the thickest, 9 = thinnest, and: thickest is 1
  rest = rest.replace(
    new RegExp(
      '(?<![\\d.#])(\\d+)(?:\\s*[=:]|\\s+(?:is|being|as|was|are))?\\s+(?:the\\s+)?' +
        `(${PLACE})\\b(?:\\s+(?:one|setting|gap))?`,
      'g',
    ),
    (_, number: string, place: string) => end(number, place),
  );
  rest = rest.replace(
    new RegExp(`\\b(${PLACE})\\b(?:\\s+(?:one|setting|gap))?\\s*(?:=|is|being|at)\\s*#?(\\d+)(?![\\d.])`, 'g'),
    (_, place: string, number: string) => end(number, place),
  );
  rest = rest.replace(new RegExp(`\\b(?:from|to) (\\d+), (${PLACE})\\b`, 'g'), (_, number: string, place: string) =>
    end(number, place),
  );
  rest = rest.replace(/\b(?:to|through) (\d+)\b/, (whole: string, number: string) =>
    widest === null ? whole : end(number, 'thinnest'),
  );
  rest = rest.replace(/\b(?:of |out of |has |with )?(\d+)[ -]settings?\b/, (_, number: string) => {
    count = Number(number);
    return ' ';
  });
  rest = rest.replace(/\b(?:out )?of (?:a )?(\d+)\b/, (_, number: string) => {
    count = Number(number);
    return ' ';
  });
  const label = new RegExp(`(?:^|\\s|#)(${LABEL})(?=\\s|$|,)`).exec(rest);
  if (label) rest = rest.replace(label[0], ' ');
  if (rest.replace(FILLERS, ' ').trim() !== '') return null;
  return { at: label?.[1]?.trim() ?? null, facts: { widest, thinnest, count } };
}

/**
 * A setting of a dial that is only described: `3 where 0 is widest, ten
 * settings`, `setting 5 of 7, 1 thickest`.
 * @returns null where it is no such thing
 * @throws Complaint `instruction/which`, `instruction/ambiguous`, `setting/unknown`, `instruction/rank`
 */
export function strangeDial(text: string, said: string): SettingThickness | null {
  const dial = dialIn(text);
  if (!dial) return null;
  const { at, facts } = dial;
  const ends = facts.widest !== null || facts.thinnest !== null;
  if (!ends && facts.count === null) return null;
  if (at === null) {
    if (!ends) return null;
    throw complaint('instruction/which', {
      text: said,
      choices: labelsOf(facts, 0)
        .slice(0, MOST_OFFERED)
        .map((label) => `${label} on ${said}`),
    });
  }
  if (!ends)
    throw complaint('instruction/ambiguous', {
      text: said,
      choices: ['1', String(facts.count)].map((n) => `${at} of ${facts.count ?? 0}, ${n} thickest`),
    });
  const labels = labelsOf(facts, Number(at));
  const place = labels.indexOf(String(Number(at)));
  if (place < 0)
    throw complaint('setting/unknown', { label: at, machine: 'Such a machine', labels: labels.join(', ') });
  return strange(labels)[place] as SettingThickness;
}
const MOST_OFFERED = 10;
