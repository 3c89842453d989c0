import { HARDLY_ANY } from '../../parts/amounts.js';
import type { Turned, Turning } from '#core/blend';
import type { Lot } from '#core/batch';
import { showAge } from '#core/clay';
import type { ConditioningBench } from '#core/conditioning';
import { cutterOf, showCutter } from '#core/cutter';
import { showLength, showLong, showMass, showSize, type UnitSystem } from '#core/units';
import type { BlendAnswer, MachineDto, ShelfAnswer } from '#contract';
import type { BenchWords } from '../../parts/BenchSteps.js';
import { howWords } from '../../parts/conditioning/howWords.js';
import { lotsToCondition, sittingFor } from '../../parts/conditioning/sitting.js';
import { mixTitle } from '../../parts/making.js';
import { today } from '../../state/today.js';
import { entryFeeds, foldedMm, rectanglesOf } from './stripPlan.js';
import { tapeFeeds } from './tapeWords.js';
import type { WorkedBlend } from './workedBlend.js';

/** A blend on its way to the bench. */
export interface Bench {
  readonly blend: BlendAnswer;
  readonly worked: WorkedBlend;
  readonly own: MachineDto | undefined;
  readonly shelf: ShelfAnswer;
  readonly units: UnitSystem;
  readonly conditioning: ConditioningBench;
}

/** Clay of several blocks is conditioned block by block. */
function conditionTitle(name: string, { months, bought }: Lot, lots: number): string {
  if (lots < 2) return `Condition ${name}`;
  if (bought) return `Condition ${name}, the new block`;
  return `Condition ${name}, ${months === null ? 'without a date' : `${showAge(months)} old`}`;
}

/** Clay is made ready and mixes are mixed before anything is rolled. */
function readySteps({ blend: { plan }, worked, shelf, units, conditioning }: Bench): BenchWords[] {
  const grams = new Map<string, number>();
  for (const { clayId, grams: g } of worked.colours.flatMap((c) => c.perClay))
    grams.set(clayId, (grams.get(clayId) ?? 0) + g);
  const amounts = [...grams].map(([clayId, g]) => ({ clayId, grams: g }));
  const lots = lotsToCondition(amounts, shelf, today());
  const sitting = sittingFor(lots, conditioning);
  const turns = typeof sitting === 'string' ? [] : sitting.turns;
  const condition = turns.map(({ of: { clay, lot }, how }): BenchWords => ({
    title: conditionTitle(clay.name, lot, lots.filter((one) => one.clay === clay).length),
    line: `${showMass(lot.grams, units)}. ${howWords(how).join(' ')}`,
    figure: showMass(lot.grams, units),
    of: 'to condition',
  }));
  const mix = worked.colours.flatMap((c, i): BenchWords[] => {
    if (plan.colours[i]?.kind !== 'mix') return [];
    const of = c.perClay
      .map((p) => `${showMass(p.grams, units)} ${shelf.clays.find((x) => x.id === p.clayId)?.name ?? ''}`)
      .join(' and ');
    return [
      {
        title: mixTitle(c.name),
        line: `${of}, until no streak is left. Make a chip of it.`,
        figure: showMass(c.grams + c.over, units),
        of: `of ${c.name}`,
      },
    ];
  });
  return [...condition, ...mix];
}

function rollSteps({ blend: { plan }, worked, units }: Bench): BenchWords[] {
  const yours = worked.setting ? `your ${worked.setting.label}` : showLength(worked.mm, units);
  const rectangles = rectanglesOf(plan);
  return worked.colours.map((c) => ({
    title: `Roll ${c.name}`,
    figure: rectangles === 1 ? showMass(c.grams + c.over, units) : `${rectangles} ×`,
    of: rectangles === 1 ? `at ${yours}` : 'rectangles',
    line:
      `${rectangles === 1 ? 'One rectangle' : `${rectangles} rectangles`} at ${yours}, ` +
      `${showSize((2 * c.area) / plan.height, plan.height, units)}, ${showMass(c.grams + c.over, units)} ` +
      'in all. One cut gives its piece for two layers.',
  }));
}

const endName = (worked: WorkedBlend, end: 'first' | 'last'): string =>
  (end === 'first' ? worked.colours[0] : worked.colours.at(-1))?.name ?? '';

/** The pieces are cut and laid together. */
function cutStep({ blend: { plan }, worked, units }: Bench): BenchWords {
  const layers = plan.layers === 1 ? 'one layer' : `${plan.layers} layers`;
  const over = worked.over > HARDLY_ANY ? ` The other halves, ${showMass(worked.over, units)}, stay over.` : '';
  return {
    title: 'Cut and swap',
    line: `Cut from the paper template, lay the pieces edge to edge in ${layers}, press the joints together.${over}`,
  };
}

/** Folded and passed, until no streak is left: the passes are counted. */
function passStep({ blend: { plan }, worked, own, units }: Bench): BenchWords {
  const entry = entryFeeds(plan, worked, own);
  const byHand = entry?.byHandTo ? `By hand to ${showLength(entry.byHandTo, units)}, then ` : '';
  const first = entry?.feeds[0] ? `your ${entry.feeds[0].setting.label}` : 'the widest gap';
  const thick = showLength(foldedMm(plan, worked), units);
  return {
    title: 'Fold and pass',
    line: `Fold bottom to top, ${thick} thick. ${byHand}${first}, fold first. Always the same way.`,
    about: worked.passes.enough,
    enough: 'No streak left',
    caution: 'One fold the other way and the fade is lost.',
  };
}

/** Turned, so that the fade runs into the rollers. */
function turnStep({ blend: { plan }, worked, units }: Bench): BenchWords {
  const { finished, turned } = worked.turning;
  return {
    title: TURN_TITLES[plan.turning ?? 'folded'],
    line:
      `It lies there ${showSize(finished.width, finished.length, units)}, ` +
      `${showLength(finished.mm, units, true)} thick. Trim both sides and turn it a quarter, so that the ` +
      `fade runs into the rollers. ${turnLine(plan, turned, units)}`,
    figure: showLength(turned.width, units),
    of: 'wide',
  };
}

/** Rolled to the tape. */
function tapeStep({ blend: { plan }, worked, own, units }: Bench): BenchWords {
  const { tape, turning } = worked;
  const down = tapeFeeds(own, turning, turning.finished.width)?.feeds ?? [];
  const thinner =
    down.length > 0
      ? `Your ${down.map((f) => f.setting.label).join(', then ')}`
      : `Thinner and thinner, to ${showLength(tape.thickness, units, true)}`;
  return {
    title: 'Roll the tape',
    line: `${endName(worked, plan.lead ?? 'first')} goes in first. ${thinner}. It gets longer and no wider.`,
    figure: showLong(tape.length, units),
    of: `long at ${showLength(tape.thickness, units, true)}`,
    caution: 'A wide tape splits where it goes in: press that end thin by hand.',
  };
}

/** Wound up to the plug. */
function plugStep({ worked, units }: Bench): BenchWords {
  const { plug } = worked;
  if (plug.kind === 'rolled')
    return {
      title: 'Roll it up',
      line: `${endName(worked, plug.inside)} inside, tight and without air, the edges even.`,
      figure: showLength(plug.diameter, units),
      of: `across, ${showLength(plug.height, units)} high`,
    };
  return {
    title: 'Fold it like a fan',
    line: `To and fro, ${showLength(plug.depth, units)} deep, without air between the folds.`,
    figure: String(plug.folds),
    of: `folds, ${showLength(plug.width, units)} wide`,
  };
}

const TURN_TITLES: Readonly<Record<Turning, string>> = {
  folded: 'Turn and fold',
  rolled: 'Turn and roll up',
  cut: 'Turn and cut',
};
function turnLine(plan: BlendAnswer['plan'], turned: Turned, units: UnitSystem): string {
  switch (plan.turning ?? 'folded') {
    case 'rolled':
      return `Roll it to a snake along the fade, and flatten it to ${showLength(turned.mm, units, true)}.`;
    case 'cut':
      return turned.parts === 1
        ? 'It is narrow enough as it is.'
        : `Cut it along the fade in ${turned.parts} strips and lay them on each other, like on like.`;
    case 'folded':
      return turned.parts === 1
        ? 'It is narrow enough as it is.'
        : `Fold it along the fade in ${turned.parts}, like on like.`;
  }
}

/** What to do, one step at a time, from the block to the plug; the last but those of the tape counts the passes. */
export const blendSteps = (bench: Bench): BenchWords[] => [
  ...readySteps(bench),
  ...rollSteps(bench),
  cutStep(bench),
  passStep(bench),
  ...lastSteps(bench),
];

/** What becomes of it: pieces, where it was planned for them; else a plug. */
function lastSteps(bench: Bench): BenchWords[] {
  const { blend, worked, units } = bench;
  const { wanted } = blend.plan;
  const { sheet } = worked.turning;
  if (!wanted || !sheet) return [turnStep(bench), tapeStep(bench), plugStep(bench)];
  const cut: BenchWords = {
    title: 'Cut the pieces',
    line:
      `${showCutter(cutterOf(wanted), units)}, all the same way round, its ${wanted.along} along the fade. ` +
      'What is left lies in the sheet book.',
    figure: String(wanted.count),
    of: 'pieces',
  };
  if (sheet.tape) return [turnStep(bench), tapeStep(bench), cut];
  const out: BenchWords = {
    title: 'Roll it out',
    line: `Fold first, thinner and thinner, to ${showLength(wanted.mm, units, true)}. Its fade stays as wide as it is.`,
    figure: showLong(sheet.length, units),
    of: `long at ${showLength(wanted.mm, units, true)}`,
  };
  return [out, cut];
}
