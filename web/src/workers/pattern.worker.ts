import { expose } from 'comlink';
import { featuresOf } from '#core/cane';
import type { Lab } from '#core/colour';
import { cutterOf, type PlainCutter } from '#core/cutter';
import {
  darkestOf,
  judgeLook,
  lookAt,
  planPattern,
  proposeCuts,
  type CutPlace,
  type CutWish,
  type Judged,
  type Proposal,
  type View,
} from '#core/pattern';
import { paintedForm, type FormPicture, type FormWish } from './formed.js';
import { stop } from './long.js';
import { coarse, fine, paintedFile } from './painting.js';
import {
  finishedSheets,
  groundIn,
  loadPattern,
  lookedAt,
  paintablePattern,
  type PatternPaints,
  type PlainCut,
  type PlainPattern,
} from './patternLoaded.js';
import { plainBody, plainPattern, type PatternToMake, type PlainBody } from './patternPlain.js';
import { keepComplaints } from './thrown.js';

keepComplaints();

/** A picture that is asked for: of which pattern, after which step, how it is looked at, and pixels a side. */
export interface PatternWish {
  readonly pattern: PlainPattern;
  readonly at: number;
  readonly view: View;
  readonly size: number;
  readonly paints: PatternPaints;
  /** a piece that is cut out of it; left out: all of it */
  readonly cut?: PlainCut | null;
}
/** What is asked about where to cut: the wish, and how often the sheets are made. */
export interface PlainCutWish extends Omit<CutWish, 'cutter' | 'beside'> {
  readonly makes: number;
  readonly cutter: PlainCutter;
  readonly beside: readonly { readonly cutter: PlainCutter; readonly place: CutPlace }[];
}
/** The colours of materials, along their fades, and the one that all of them mix to. */
export interface PatternColours {
  readonly labs: Readonly<Record<string, readonly Lab[]>>;
  /** of mica clays: as {@link PatternPaints} */
  readonly deep: PatternPaints['deep'];
  readonly mixed: Lab;
}

/** What is planned, whoever's hands make it. */
export type PlanWish = Pick<PlainPattern, 'steps' | 'canes'>;

const GREY: Lab = { l: 50, a: 0, b: 0 };

/** The colour of a value of a face. */
function colourOf(materials: readonly string[], { labs }: PatternColours): (value: number) => Lab {
  return (value) => {
    const index = Math.floor(value);
    const along = labs[materials[index] ?? ''] ?? [GREY];
    return along[Math.min(along.length - 1, Math.floor((value - index) * along.length))] ?? GREY;
  };
}

const worker = {
  load(pattern: PlainPattern): PlainBody[] {
    return loadPattern(pattern).results.map(plainBody);
  },
  /** @param every blocks of so many pixels: a coarser picture at once @param name that it can be stopped by */
  async face(wish: PatternWish, every: number, name: string): Promise<ImageData | null> {
    const { pattern, at, view, size, paints, cut } = wish;
    const painted = paintablePattern(pattern, at, view, paints, cut);
    if (!painted) return null;
    return every > 1 ? coarse(painted, size, every) : fine(painted, size, name);
  },
  async file(wish: PatternWish, name: string, tell: (share: number) => void): Promise<Uint8Array | null> {
    const painted = paintablePattern(wish.pattern, wish.at, wish.view, wish.paints);
    return painted && paintedFile(painted, wish.size, name, tell);
  },
  stop,
  /** The surface of a form with the sheet on it; null where it was stopped. @throws Complaint of the form */
  formed: (wish: FormWish, name: string): Promise<FormPicture | null> => paintedForm(wish, name),
  /** What comes of it looks like at arm's length; null where it cannot be made. */
  judge(pattern: PlainPattern, colours: PatternColours): Judged | null {
    const { results, context } = loadPattern(pattern);
    const body = results.at(-1)?.body;
    if (!body) return null;
    return judgeLook(lookAt(body, context, { of: 'face' }), colourOf(context.materials, colours), colours.mixed);
  },
  /** mm that each material is wide at its narrowest on the finished face, by its key; null: it cannot be made. */
  walls(pattern: PlainPattern): Readonly<Record<string, number>> | null {
    const { results, context } = loadPattern(pattern);
    const body = results.at(-1)?.body;
    if (!body) return null;
    const { byMaterial } = featuresOf(lookAt(body, context, { of: 'face' }));
    return Object.fromEntries([...byMaterial].map(([index, mm]) => [context.materials[index] ?? '', mm]));
  },
  /** How much of the face colour the darkest places of its mica clays show, by their keys; null: it cannot be made. */
  darkest(pattern: PlainPattern, deep: PatternPaints['deep']): Readonly<Record<string, number>> | null {
    const looked = lookedAt(pattern, pattern.steps.length - 1, { of: 'face' }, deep);
    if (!looked) return null;
    const { materials } = looked.context;
    const found = darkestOf(looked.look, looked.depths);
    return Object.fromEntries([...found].map(([number, share]) => [materials[number] ?? '', share]));
  },
  /** Where pieces are best cut of what comes of it. */
  propose(pattern: PlainPattern, colours: PatternColours, { makes, cutter, beside, ...wish }: PlainCutWish): Proposal {
    const sheets = finishedSheets(pattern, makes, colours.deep);
    const { materials } = loadPattern(pattern).context;
    const ground = groundIn(pattern.steps);
    const seen = colourOf(materials, colours);
    const colour = (value: number): Lab | null =>
      value < 0 || materials[Math.floor(value)] === ground ? null : seen(value);
    const others = beside.map((b) => ({ ...b, cutter: cutterOf(b.cutter) }));
    return proposeCuts(sheets, colour, { ...wish, cutter: cutterOf(cutter), beside: others });
  },
  /** @param wanted mm² of the sheet; null: as much as the steps make @throws Complaint of a step */
  plan: ({ steps, canes }: PlanWish, wanted: number | null): PatternToMake =>
    plainPattern(planPattern(steps, wanted, canes)),
};
export type PatternWorker = typeof worker;

expose(worker);
