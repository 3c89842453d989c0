import type { EvenAfter } from '#core/mica';
import { stopLine, type Judged } from '#core/pattern';
import type { UnitSystem } from '#core/units';
import type { MachineDto, PatternStopDto } from '#contract';
import type { BenchWords } from '../../../parts/BenchSteps.js';
import type { PatternToMake, PlainBody } from '../../../workers/pattern.js';
import { startWords } from '../planWords.js';
import { evenWords, isCounted } from '../stageWords.js';
import { stepTitle, viewOf } from '../steps/index.js';

/** A step at the bench, and the body that it leads to. */
export interface PatternWords extends BenchWords {
  readonly face: number;
  /** of a step that is counted: its id and kind */
  readonly counted?: Pick<PatternStopDto, 'step' | 'kind'>;
}

export interface SheenToSay {
  readonly keys: readonly string[];
  readonly even: EvenAfter;
}

export interface PatternToSay {
  readonly plan: PatternToMake;
  readonly bodies: readonly PlainBody[];
  /** the sheet after each fold, as it looks at arm's length */
  readonly stages: readonly (Judged | null)[] | null;
  /** its mica clays, and after how many passes their sheen is even; null: there are none */
  readonly sheen: SheenToSay | null;
  readonly name: (key: string) => string;
  readonly own: MachineDto | undefined;
  readonly units: UnitSystem;
}

/** How often a step is done at the stop line; null where all that was looked at can be told apart, or nothing was. */
function stopCount(stages: PatternToSay['stages']): number | null {
  const known = stages?.filter((s) => s !== null) ?? [];
  const stop = stopLine(known) + 1;
  return known.length === 0 || stop >= known.length ? null : stop;
}

/** What is said before the hands begin, where the stop line comes before the plan ends. */
function stopCaution(stop: number | null, planned: number): string | null {
  if (stop === null || stop >= planned) return null;
  return stop === 0
    ? 'The stop line is before the first: its colours run together at arm’s length.'
    : `Stop at ${stop}: beyond it runs together at arm’s length.`;
}

/** Where it rings: at the stop line, also where the hands go on beyond the plan. */
const ringsAt = (stop: number | null): Pick<BenchWords, 'rings'> =>
  stop === null || stop === 0 ? {} : { rings: { at: stop, says: 'The stop line: look before you go on.' } };

/** The whole sheet as bench steps: what is rolled first, then each step with what to reach. */
export function patternSteps({ plan, bodies, stages, sheen, name, own, units }: PatternToSay): PatternWords[] {
  const { steps, makes } = plan;
  const again = makes > 1 ? ` All of it ${makes} times, one after the other.` : '';
  const last = steps.findLastIndex(isCounted);
  return steps.flatMap((step, i): PatternWords[] => {
    const after = bodies[i];
    if (!after?.there) return [];
    const before = bodies[i - 1];
    const view = viewOf(step.do);
    const line = view.line(step, { units, own, name, before: before?.there ? before : null, after });
    const counted = view.counted?.(step) ?? null;
    const stop = i === last ? stopCount(stages) : null;
    const caution = stopCaution(stop, counted?.about ?? 0);
    const words: PatternWords = {
      face: i,
      title: stepTitle(step, units),
      line: i === 0 ? `${line}${again}` : line,
      caution: caution ?? view.caution ?? null,
      ...(counted && isCounted(step)
        ? { about: counted.about, enough: 'Enough', counted: { step: step.id, kind: step.do }, ...ringsAt(stop) }
        : {}),
    };
    return i === 0 ? [...evenSheen(sheen, name), toRoll(plan, name, units), words] : [words];
  });
}

/** Mica clay is passed until all its flakes lie one way: before that no relief is seen in it. */
function evenSheen(sheen: SheenToSay | null, name: (key: string) => string): PatternWords[] {
  if (!sheen) return [];
  const { keys, even } = sheen;
  return [
    {
      ...{ face: 0, title: 'Pass it until its sheen is even' },
      line:
        `${keys.map(name).join(', ')}: on your thinnest, folded and fed the same way each time, about ` +
        `${even.passes} passes (${evenWords(even)}). The side that shines more is its best: it lies down on the stamp.`,
      ...{ about: even.passes, enough: 'The sheen is even', counted: { step: 'sheen', kind: 'sheen' } },
    },
  ];
}

/** Everything that has to lie ready. */
const toRoll = ({ starts }: PatternToMake, name: (key: string) => string, units: UnitSystem): PatternWords => ({
  face: 0,
  title: 'Get ready',
  line: `${starts.map((s) => startWords(s, name, units)).join('; ')}.`,
  figure: String(starts.length),
  of: starts.length === 1 ? 'piece' : 'pieces',
});

/** Where one stopped, by what was counted; what was not counted is as planned. */
export function stopsPlanned(
  words: readonly PatternWords[],
  counts: readonly number[],
  stages: PatternToSay['stages'],
): PatternStopDto[] {
  return words.flatMap(({ counted, about }, i) => {
    if (!counted) return [];
    const own = counts[i] ?? 0;
    // passes that nobody counted teach nothing
    if (counted.kind === 'sheen' && own === 0) return [];
    const times = own > 0 ? own : (about ?? 0);
    const vein = counted.kind === 'sheen' ? 0 : (stages?.[times - 1]?.vein ?? 0);
    return [{ ...counted, times, veinMm: Number.isFinite(vein) ? Math.min(1000, vein) : 0 }];
  });
}
