import { ASSUMED_CARD, USUAL_GUIDES, thicknesses, type Knowledge } from '#core/sheet';
import { MM_PER_INCH, showLength, type UnitSystem } from '#core/units';
import type { BenchSetupDto, MachineDto } from '#contract';
import type { Edge, Equals, Rung } from './equals.js';

/** Of the drawing, in pixels: left of the scale, above it, and how high it is. */
export const [LEFT, TOP, HEIGHT] = [64, 8, 520];
/** Room under the scale for the names of the machines. */
export const FOOT = 64;
/** Room for one machine, and for cards or guides. */
const [MACHINE, PLAIN] = [224, 132];
/** Nearer than this two figures would lie over each other. */
export const CLEAR = 17;
const MOST_CARDS = 12;

/** Moves figures apart where edges lie close; each keeps as near to its edge as it can. */
export function spread(ys: readonly number[]): number[] {
  const out: number[] = [];
  for (const y of ys) out.push(Math.max(y, (out.at(-1) ?? -Infinity) + CLEAR));
  const over = (out.at(-1) ?? 0) - HEIGHT;
  return over <= 0 ? out : out.map((y, i) => Math.min(y, HEIGHT - (out.length - 1 - i) * CLEAR));
}

/** Every machine, cards and guides, with their edges. @param show a thickness in words */
export function rungsOf(machines: readonly MachineDto[], setup: BenchSetupDto, show: (mm: number) => string): Rung[] {
  const card = setup.cardMm ?? ASSUMED_CARD;
  const knowledge: Knowledge = setup.cardMm == null ? 'assumed' : 'measured';
  return [
    ...machines.map((m): Rung => ({
      id: m.id,
      name: m.name,
      edges: thicknesses(m).map((s) => ({
        id: s.id,
        label: s.label,
        words: `Setting ${s.label} of ${m.name}`,
        mm: s.mm,
        knowledge: s.knowledge,
      })),
    })),
    {
      id: 'cards',
      name: 'Cards',
      edges: Array.from({ length: MOST_CARDS }, (_, i): Edge => ({
        id: `card${i}`,
        label: String(MOST_CARDS - i),
        words: MOST_CARDS - i === 1 ? 'One card' : `${MOST_CARDS - i} cards`,
        mm: (MOST_CARDS - i) * card,
        knowledge,
      })),
    },
    {
      id: 'guides',
      name: 'Guides',
      edges: [...(setup.guides ?? USUAL_GUIDES)]
        .sort((a, b) => b - a)
        .map((mm): Edge => ({
          id: `guide${mm}`,
          label: '',
          words: `Guides of ${show(mm)}`,
          mm,
          knowledge: setup.guides == null ? 'assumed' : 'measured',
        })),
    },
  ];
}

/** Cards and guides: they have no machine and no rollers. */
export const isPlain = (rung: Rung): boolean => rung.id === 'cards' || rung.id === 'guides';

/** The scale that all stand against. */
export interface LadderScale {
  /** mm between two lines, and of the highest one */
  readonly step: number;
  readonly top: number;
  readonly pxPerMm: number;
  readonly y: (mm: number) => number;
  readonly lines: readonly { readonly y: number; readonly words: string }[];
}

/** Space above the thickest edge, as a share. */
const HEADROOM = 1.04;
/** Lines of the scale: so many mm apart, or so many to an inch. */
const [MM_STEP, PER_INCH] = [0.5, 32];

/** As high as the thickest sheet of a machine, or the thickness that is asked for. */
export function scaleFor(rungs: readonly Rung[], pointed: number | null, units: UnitSystem): LadderScale {
  const machines = rungs.filter((r) => !isPlain(r));
  const widest = Math.max(1, pointed ?? 0, ...machines.flatMap((m) => m.edges.map((e) => e.mm)));
  const step = units === 'metric' ? MM_STEP : MM_PER_INCH / PER_INCH;
  const top = Math.ceil((widest * HEADROOM) / step) * step;
  const pxPerMm = HEIGHT / top;
  const y = (mm: number): number => HEIGHT - mm * pxPerMm;
  const words = (i: number): string => (units === 'metric' ? `${+(i * step).toFixed(1)} mm` : `${i}/${PER_INCH} in`);
  const lines = Array.from({ length: Math.round(top / step) + 1 }, (_, i) => ({ y: y(i * step), words: words(i) }));
  return { step, top, pxPerMm, y, lines };
}

/** Left of every rung, and at last the width of them all, in pixels. */
export function columnsOf(rungs: readonly Rung[]): readonly number[] {
  const at = [LEFT];
  for (const rung of rungs) at.push((at.at(-1) ?? 0) + (isPlain(rung) ? PLAIN : MACHINE));
  return at;
}

/** Nearer than this is the same, mm. */
const SAME = 0.005;

/** One of the equals of an edge, in words. @param show a thickness in words */
export function nearWords({ edge, rung, off }: Equals['near'][number], show: (mm: number) => string): string {
  const words = edge.words.toLowerCase();
  const name = words.startsWith('setting') ? `${edge.label} of ${rung.name}` : words;
  if (Math.abs(off) < SAME) return `${name}, the same`;
  return `${name} (${show(Math.abs(off))} ${off > 0 ? 'thicker' : 'thinner'})`;
}

/** The words of a thickness without its unit, where the scale says it. */
export const figureOf = (mm: number, units: UnitSystem): string =>
  showLength(mm, units, true).replace(' mm', '').replace(' in', '');
