import { mixTitle } from '../../parts/making.js';
import { showCutter } from '#core/cutter';
import { showAge } from '#core/clay';
import {
  Fraction,
  showLength,
  showMass,
  showMinutes,
  showNumber,
  showSize,
  showTemperature,
  type UnitSystem,
} from '#core/units';
import type { PlainStep } from '#contract';
import { ALONE_WORDS, BELOW_PACKET, ON_FORMS } from '../batches/ovens/loadWords.js';
import { PART_WORDS } from './partStepWords.js';
import { howWords } from '../../parts/conditioning/howWords.js';
import { listed, type StepWords, type Worded } from './worded.js';

export { listed, type StepWords } from './worded.js';

/** Which part of the clay it is, where blocks of several ages go in. */
function lotWords({ months, bought, lots }: Extract<PlainStep, { kind: 'condition' }>): string[] {
  if (bought) return ['New clay, which has to be bought.'];
  if (lots > 1) return [months === null ? 'The block without a date.' : `The block that is ${showAge(months)} old.`];
  return months !== null && months >= 18 ? [`${showAge(months)} old.`] : [];
}

const condition: Worded<'condition'> = (step, units) => ({
  title: `Condition ${step.clay.name}`,
  lines: [...lotWords(step), ...howWords(step.how)],
  figure: showMass(step.grams, units),
  of: `~${showMinutes(step.how.minutes)} of work`,
  caution: null,
});

const mix: Worded<'mix'> = ({ mix: { name }, made, portions, discError }, units) => ({
  title: mixTitle(name),
  lines: [
    ...portions.map((p) =>
      p.discs === null
        ? `${showMass(p.grams, units)} ${p.name}`
        : `${showNumber(new Fraction(p.discs))} ${p.discs === '1' ? 'disc' : 'discs'} ${p.name}, ` +
          `${showMass(p.grams, units)}`,
    ),
    'Fold and pass until no streak is left.',
  ],
  figure: showMass(made, units),
  of: 'in all',
  caution:
    discError >= 1
      ? `Quarter discs move this colour by ΔE ${discError.toFixed(1)}. Weigh it where that matters.`
      : null,
});

interface Fetching {
  readonly title: (name: string) => string;
  readonly line: string;
}
/** What is done first with what is no clay off the shelf. */
const FETCHED: Readonly<Record<'scrap' | 'pattern' | 'blend' | 'cane' | 'made', Fetching>> = {
  scrap: {
    title: (name) => `Mix ${name} through`,
    line: 'Out of its tub. Fold and pass until it is one colour: it need not be even where it is covered.',
  },
  pattern: {
    title: (name) => `Make ${name}`,
    line: 'A patterned sheet: its own steps stand at Patterns. Lay it flat and do not roll it again.',
  },
  blend: {
    title: (name) => `Make ${name}`,
    line: 'A fade: its own steps stand at Blends. Roll it as wide as the parts are long, so that each has all of it.',
  },
  cane: {
    title: (name) => `Slice ${name}`,
    line: 'A cane: its own steps stand at Canes. Let it rest, then cut straight down.',
  },
  made: {
    title: (name) => `Fetch ${name}`,
    line: 'It lies there already: warm it in the hands and pass it until it is smooth again.',
  },
};

const fetchedAs = ({ kind }: { readonly kind: string }): Fetching =>
  Object.hasOwn(FETCHED, kind) ? FETCHED[kind as keyof typeof FETCHED] : FETCHED.made;

const ready: Worded<'ready'> = ({ what, grams, short }, units) => ({
  title: fetchedAs(what.of).title(what.name),
  lines: [fetchedAs(what.of).line],
  figure: showMass(grams, units),
  of: 'of it',
  caution: short > HARDLY_SHORT ? `${showMass(short, units)} more than there is of it.` : null,
});

/** g that nobody misses. */
const HARDLY_SHORT = 0.1;

/** Sheets of a roll, and what they are for. */
const rolledWords = (
  { pieceName, width, length, sheets }: Extract<PlainStep, { kind: 'roll' }>['more'][number],
  units: UnitSystem,
): string =>
  `for ${pieceName}: ${sheets === 1 ? 'one sheet' : `${sheets} sheets`} of ${showSize(width, length, units)}`;

const roll: Worded<'roll'> = (
  { sheet, pieceName, machineName, settingLabel, mm, assumed, width, length, sheets, grams, more },
  units,
) => ({
  title: `Roll ${sheet.name}`,
  lines: [
    ...[{ pieceName, width, length, sheets }, ...more].map((one) => rolledWords(one, units)),
    machineName === ''
      ? `between guides of ${showLength(mm, units, true)}`
      : `${machineName}, one setting at a time down to ${settingLabel}: ` +
        `${assumed ? '~' : ''}${showLength(mm, units, true)}`,
    `${showMass(grams, units)} of clay`,
  ],
  figure: machineName === '' ? showLength(mm, units, true) : settingLabel,
  of: machineName === '' ? 'guides on both sides' : `on the ${machineName}`,
  caution: 'Folded edge first or to the side, never last: it traps air.',
});

const stack: Worded<'stack'> = ({ pieceName, layers, sheets }) => ({
  title: `Stack for ${pieceName}`,
  lines: [
    `From the bottom: ${layers.map((l) => l.name).join(', then ')}.`,
    'Lay each down from one edge, smooth out the air.',
  ],
  figure: String(layers.length),
  of: `layers${sheets > 1 ? `, ${sheets} times` : ''}`,
  caution: null,
});

const ROWS: Readonly<Record<string, string>> = {
  hexagonal: 'each row in the gaps of the one before',
  nested: 'close into each other, as drawn',
};

function rowsOf({ pattern, turned }: { readonly pattern: string; readonly turned: boolean }): string {
  const rows = ROWS[pattern] ?? 'in straight rows';
  return `${rows}${turned ? ', long side across' : ''}`;
}

const cut: Worded<'cut'> = ({ pieceName, cutter, count, spare, layout, bridge, film, pairs }, units) => ({
  title: `Cut ${pieceName}`,
  lines: [
    `${showCutter(cutter, units)}, ${rowsOf(layout)}`,
    `${showLength(bridge, units)} of clay between the cuts and at the edge`,
    ...(layout.sheets > 1 ? [`${layout.perSheet} from each of ${layout.sheets} sheets`] : []),
    ...(film ? ['film over the clay first: the edge comes out rounded'] : []),
    ...(pairs ? ['every second one mirrored: one left to each right'] : []),
  ],
  figure: String(count),
  of: spare > 0 ? `pieces, ${spare} of them spare` : 'pieces',
  caution: null,
});

/** What else is to be known of a load. */
type Bake = Extract<PlainStep, { kind: 'bake' }>;
const ofLoad = ({ compromise, below, alone, onForm, tooLarge, times }: Bake): string[] => [
  ...(times > 1 ? [`${times} trays of this, one after the other`] : []),
  ...(compromise ? ['These lines bake differently: this is the highest temperature that all of them stand.'] : []),
  ...(alone === null ? [] : [ALONE_WORDS[alone]]),
  ...(onForm ? [ON_FORMS] : []),
  ...(below ? [BELOW_PACKET] : []),
  ...(tooLarge ? ['larger than your tray: bake it in another oven, or standing'] : []),
];

const bake: Worded<'bake'> = (step, units) => ({
  title: step.cores ? 'Bake the cores' : `Bake ${listed(step.lines)}`,
  lines: [
    step.pieces.map((p) => `${p.count} ${p.name}`).join(', '),
    `${showMinutes(step.minutes)}, a separate thermometer beside the pieces`,
    ...ofLoad(step),
  ],
  figure: showTemperature(step.celsius, units),
  of: showMinutes(step.minutes),
  caution:
    `Never above ${showTemperature(step.maxC, units)}: scorched clay gives off irritating fumes. Switch off, ` +
    'air the room, leave it.',
});

const WORDS: { readonly [K in PlainStep['kind']]: Worded<K> } = {
  ...{ condition, mix, ready, roll, stack, cut, bake },
  ...PART_WORDS,
};

export const wordsOf = (step: PlainStep, units: UnitSystem): StepWords =>
  (WORDS[step.kind] as Worded<typeof step.kind>)(step as never, units);
