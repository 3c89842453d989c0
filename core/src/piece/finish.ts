import type { Minutes } from '#core/units';

export const FINISH_KINDS = [
  ...(['cool', 'sand', 'buff', 'drill', 'glaze', 'resin', 'glue', 'string', 'card', 'own'] as const),
] as const;
export type FinishKind = (typeof FINISH_KINDS)[number];

/** One thing that is done to each piece after the oven. */
export interface FinishStep {
  readonly id: string;
  readonly kind: FinishKind;
  /** what a step of one's own is called; of the others what more there is to say */
  readonly name: string;
  /** minutes by hand: for each piece, and once for all of them */
  readonly each: Minutes;
  readonly once: Minutes;
  /** hours it is left alone afterwards */
  readonly hours: number;
  /** of sanding, in their order, wet */
  readonly grits: readonly number[];
}

type Usual = Pick<FinishStep, 'each' | 'once' | 'hours' | 'grits'>;

const usual = (each: Minutes, once: Minutes, hours: number, grits: readonly number[] = []): Usual => ({
  ...{ each, once, hours, grits },
});

/** Minutes of each kind until the bench has counted some, and how long it is left alone: assumptions. */
export const USUAL_FINISH: Readonly<Record<FinishKind, Usual>> = {
  cool: usual(0, 1, 0.5),
  sand: usual(3, 5, 0, [400, 800, 1200]),
  buff: usual(1, 2, 0),
  drill: usual(1, 2, 0),
  glaze: usual(1.5, 5, 2),
  resin: usual(2, 10, 24),
  glue: usual(1.5, 5, 24),
  string: usual(3, 2, 0),
  card: usual(1, 2, 0),
  own: usual(1, 0, 0),
};

export const newFinish = (id: string, kind: FinishKind): FinishStep => ({ id, kind, name: '', ...USUAL_FINISH[kind] });

/** Minutes by hand for so many pieces. */
export const handMinutes = ({ each, once }: Pick<FinishStep, 'each' | 'once'>, count: number): Minutes =>
  count > 0 ? once + each * count : 0;
