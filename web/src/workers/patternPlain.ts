import { planArea, type Body, type Form, type PatternPlan, type PatternResult, type Start } from '#core/pattern';

/** A body after a step, in plain figures. */
export interface PlainBody {
  readonly wrong: string | null;
  readonly there: boolean;
  readonly form: Form;
  readonly round: boolean;
  readonly width: number;
  readonly height: number;
  readonly thick: number;
  readonly count: number;
}

const NOT_THERE = { there: false, form: 'block', round: false, width: 0, height: 0, thick: 0, count: 0 } as const;

const sizes = ({ form, round, width, height, thick, count }: Body): Omit<PlainBody, 'wrong' | 'there'> => ({
  ...{ form, round, width, height, thick, count },
});

export function plainBody({ body, wrong }: PatternResult): PlainBody {
  if (!body) return { ...NOT_THERE, wrong: wrong?.message ?? null };
  return { wrong: null, there: true, ...sizes(body) };
}

type Amounts = readonly (readonly [key: string, volume: number])[];

/** What has to be rolled and what comes of it, in plain figures; mm³ by the keys of materials. */
export interface PatternToMake {
  readonly steps: PatternPlan['steps'];
  readonly makes: number;
  readonly starts: readonly Start[];
  readonly taken: Amounts;
  readonly given: Amounts;
  readonly left: readonly { readonly step: string; readonly volumes: Amounts }[];
  /** mm² of all sheets */
  readonly area: number;
  readonly sheet: Omit<PlainBody, 'wrong' | 'there'> & { readonly each: number };
}

export const plainPattern = ({ steps, makes, starts, taken, given, left, area, body }: PatternPlan): PatternToMake => ({
  ...{ steps, makes, starts, area },
  taken: [...taken],
  given: [...given],
  left: left.map(({ step, volumes }) => ({ step, volumes: [...volumes] })),
  sheet: { ...sizes(body), each: planArea(body) },
});
