import type { Paint } from '#core/cane';
import { cutterOf, type HandPlace, type PlainCutter } from '#core/cutter';
import {
  lookAt,
  once,
  patternMaterials,
  pieceLook,
  seamsOf,
  type Body,
  type CutCanes,
  type CutSheet,
  patternContext,
  runPattern,
  type Look,
  type PatternContext,
  type PatternResult,
  type PatternStep,
  type View,
} from '#core/pattern';
import type { Mm } from '#core/units';

/** A patterned sheet as it crosses to the worker: its steps, and whose hands make it. */
export interface PlainPattern {
  readonly steps: readonly PatternStep[];
  /** 0: hands of a machine; 1: honest ones */
  readonly wobble: number;
  readonly seed: number;
  /** that slices of it are cut of; left out: none */
  readonly canes?: CutCanes;
}

/** What materials are painted in, by their keys. */
export interface PatternPaints {
  /** one colour, those along a fade, or of a mica clay those from the flat of its flakes to their edges */
  readonly colours: Readonly<Record<string, Paint>>;
  /** of mica clays: mm below the surface that their light comes from on the middle */
  readonly deep: Readonly<Record<string, Mm>>;
}

interface Loaded {
  readonly key: string;
  readonly context: PatternContext;
  readonly results: readonly PatternResult[];
  /** the same, each place of which tells how high it lay in its stack */
  readonly heights: () => readonly PatternResult[];
}

/** Patterned sheets that are kept worked out: the one on the bench, its stages, and others beside it. */
const MOST_LOADED = 60;
const loaded = new Map<string, Loaded>();

/** Works a patterned sheet out; one that is known is not worked out anew. */
export function loadPattern(pattern: PlainPattern): Loaded {
  const key = JSON.stringify(pattern);
  const known = loaded.get(key);
  if (known) return known;
  const contextNow = (): PatternContext => patternContext(pattern.wobble, pattern.seed, pattern.canes);
  const context = contextNow();
  const now: Loaded = {
    ...{ key, context, results: runPattern(pattern.steps, context) },
    heights: once(() => runPattern(pattern.steps, { ...contextNow(), heights: true })),
  };
  loaded.set(key, now);
  for (const old of [...loaded.keys()].slice(0, Math.max(0, loaded.size - MOST_LOADED))) loaded.delete(old);
  return now;
}

/** A piece that is cut out of a face: with which cutter, and where. */
export interface PlainCut {
  readonly cutter: PlainCutter;
  readonly place: HandPlace;
}

/** Sheets that pieces are looked for on, at the most: on more of the same there is nothing better. */
const MOST_SHEETS = 24;

/** The finished sheets of so many makes, each make by other hands; none where it cannot be made. */
export function finishedSheets(pattern: PlainPattern, makes: number, deep: PatternPaints['deep']): readonly CutSheet[] {
  const sheets: CutSheet[] = [];
  for (let make = 0; make < makes && sheets.length < MOST_SHEETS; make++) {
    const one = { ...pattern, seed: pattern.seed + make };
    const { results } = loadPattern(one);
    const body = results.at(-1)?.body;
    if (!body || body.form === 'rope') return [];
    const [last, before] = [pattern.steps.at(-1), results.at(-2)?.body];
    const seams = last?.do === 'lay' && before ? { seams: seamsOf(before, last) } : {};
    for (let piece = 0; piece < body.count && sheets.length < MOST_SHEETS; piece++) {
      const { width, height, round } = body;
      const looked = lookedAt(one, results.length - 1, { of: 'face', piece }, deep);
      if (looked) sheets.push({ width, height, round, ...seams, look: looked.look });
    }
  }
  return sheets;
}

/** What pieces are laid on, where nothing else of the sheet is made of it: it shows in gaps alone. */
export function groundIn(steps: readonly PatternStep[]): string | null {
  const last = steps.findLast((s) => s.do === 'lay' || s.do === 'shingle');
  if (!last || !('of' in last)) return null;
  const others = patternMaterials(steps.filter((s) => s !== last));
  return others.includes(last.of) ? null : last.of;
}

/** A clay that nobody has given a colour. */
const GREY = Uint8Array.from([153, 153, 153]);

/** A body after a step as it is looked at, with the sheen of its mica clays; null where it is not there. */
export function lookedAt(pattern: PlainPattern, at: number, view: View, deep: PatternPaints['deep']): Looked | null {
  const { results, context, heights } = loadPattern(pattern);
  const body = results[at]?.body;
  if (!body) return null;
  const depths = context.materials.map((key) => deep[key] ?? null);
  const layers = depths.some((mm) => mm !== null) ? heights()[at]?.body : null;
  const sheen = layers ? { heights: layers, deep: depths } : null;
  return { body, context, depths, look: lookAt(body, context, view, sheen) };
}
interface Looked {
  readonly body: Body;
  readonly context: PatternContext;
  /** of each material by its number */
  readonly depths: readonly (Mm | null)[];
  readonly look: Look;
}

/** What is painted: a look at the body after a step, in those paints; null where it is not there. */
export function paintablePattern(
  pattern: PlainPattern,
  at: number,
  view: View,
  { colours, deep }: PatternPaints,
  cut: PlainCut | null = null,
): { readonly state: Look; readonly list: readonly Paint[] } | null {
  const looked = lookedAt(pattern, at, view, deep);
  if (!looked) return null;
  const { body, look: face, context } = looked;
  const state = cut ? pieceLook(face, body, cutterOf(cut.cutter), cut.place) : face;
  return { state, list: context.materials.map((key) => colours[key] ?? GREY) };
}
