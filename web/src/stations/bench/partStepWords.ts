import { showLength, showMass, showMinutes, type UnitSystem } from '#core/units';
import type { PlainStep } from '#contract';
import { finishWords, shapeWords } from '../batches/assembled/partWords.js';
import type { Worded } from './worded.js';

type Shaping = Extract<PlainStep, { kind: 'shape' }>;

/** What the clay of one of them is measured with. */
function measuredWith({ balls, punch, count }: Shaping, units: UnitSystem): string[] {
  if (balls)
    return [
      `Roll a snake of ${showLength(balls.snake, units, true)}, ${showLength(balls.length, units)} long, ` +
        `and cut it in ${count}: every ${showLength(balls.each, units, true)}.`,
    ];
  if (!punch) return [];
  const at = punch.machineName === '' ? 'between guides of' : `at ${punch.settingLabel} of the ${punch.machineName},`;
  return [
    `Punch each of a sheet ${at} ${showLength(punch.mm, units, true)}, with a cutter of ` +
      `${showLength(punch.across, units)}: then all are equal.`,
  ];
}

const INSIDE = { covered: 'the core', twist: 'the other snake' } as const;
const insideOf = ({ shape }: Shaping): string => (shape.is === 'covered' ? INSIDE.covered : INSIDE.twist);

const shape: Worded<'shape'> = (step, units) => ({
  title: step.inside ? `Shape ${insideOf(step)} of ${step.partName}` : `Shape ${step.partName}`,
  lines: [
    `for ${step.pieceName}, of ${step.clay.name}: ${shapeWords(step.shape, units)}`,
    ...measuredWith(step, units),
    ...(step.slices === null ? [] : [`${step.slices} slices on each, pressed on and rolled until no seam is felt.`]),
    `${showMass(step.grams, units)} of clay for all of them`,
  ],
  figure: String(step.count),
  of: step.inside ? `times ${insideOf(step)}` : step.partName,
  caution: null,
});

type Assembling = Extract<PlainStep, { kind: 'assemble' }>;

function lyingWords({ name, count, lies, gaps, on, under }: Assembling['parts'][number]): string {
  const where: Readonly<Record<typeof lies, string>> = {
    at: '',
    ring: gaps ? ' in the gaps of that ring' : ' in a ring',
    row: ' in a row',
    scatter: ' scattered',
    pair: ' as a pair, one mirrored',
    stack: ' on top of each other',
  };
  return `${count} × ${name}${where[lies]}${on === null ? '' : `, on each ${on}`}${under ? ', underneath' : ''}`;
}

const assemble: Worded<'assemble'> = ({ pieceName, count, parts, thickest }, units) => ({
  title: `Put ${pieceName} together`,
  lines: [
    ...parts.map((part, i) => `${i + 1}. ${lyingWords(part)}`),
    `thickest ${showLength(thickest, units)} of clay`,
  ],
  figure: String(count),
  of: pieceName,
  caution: null,
});

const clean: Worded<'clean'> = ({ after, before }) => ({
  title: 'Clean rollers, blade and hands',
  lines: [`${after.name} was on them, and ${before.name} is light: a trace of it would be seen.`],
  figure: 'clean',
  of: `before ${before.name}`,
  caution: null,
});

const CAUTIONS: Readonly<Partial<Record<string, string>>> = {
  sand: 'Wet, with a mask: the dust is fine.',
  resin: 'Gloves and air, and the times of its packet.',
  glue: 'Two-part glue: gloves, air, and the times of its packet.',
  drill: 'Hold it in a vice or in putty, not in the fingers.',
  cool: 'The tray is hot.',
};

const finish: Worded<'finish'> = ({ pieceName, count, step }) => {
  const said = finishWords({ ...step, grits: [...step.grits], hours: 0 });
  const minutes = step.once + step.each * count;
  return {
    title: `${said.charAt(0).toUpperCase()}${said.slice(1)}`,
    lines: [
      `${count} ${pieceName}`,
      ...(minutes > 0 ? [`~${showMinutes(minutes)} by hand`] : []),
      ...(step.hours > 0 ? [`then leave it alone for ${showMinutes(step.hours * 60)}`] : []),
    ],
    figure: String(count),
    of: pieceName,
    caution: CAUTIONS[step.kind] ?? null,
  };
};

/** Steps of pieces of many parts, and what is done after the oven. */
export const PART_WORDS = { shape, assemble, clean, finish };
