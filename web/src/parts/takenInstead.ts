import { useState } from 'react';
import type { StockAnswer, TakenBy, TakenDto } from '#contract';
import type { Planned } from './ClayUsed.js';

/** Something that lay there and went in instead of clay off the shelf. */
export interface Instead {
  readonly of: TakenBy<'taken'>;
  readonly name: string;
  /** of it there is */
  readonly there: number;
  readonly grams: number;
  /** clays in it, by mass */
  readonly clays: readonly { readonly clayId: string; readonly mass: number }[];
}

type Lying = Omit<Instead, 'grams' | 'of' | 'name'>;

/** What is known of a thing or a tub that was picked; undefined where it does not lie there any more. */
export function lyingOf(of: TakenBy<'taken'>, stock: StockAnswer): Lying | undefined {
  if (of.kind === 'made') {
    const thing = stock.things.find((t) => t.id === of.id);
    return thing && { there: thing.left, clays: thing.clays };
  }
  const tub = stock.tubs.find((t) => t.id === of.id);
  return tub && { there: tub.grams, clays: tub.clays.map((c) => ({ clayId: c.clayId, mass: c.grams / tub.grams })) };
}

const gramsOf = (planned: readonly Planned[], clayId: string): number =>
  planned.reduce((sum, p) => sum + (p.clayId === clayId ? p.grams : 0), 0);

/** The most of it that goes into a plan: until a clay of it is used up; what the plan does not hold is no matter. */
export function mostOf({ there, clays }: Lying, planned: readonly Planned[]): number {
  const limits = clays.map(({ clayId, mass }) => gramsOf(planned, clayId) / mass).filter((g) => g > 0);
  return Math.round(10 * Math.min(there, ...(limits.length > 0 ? limits : [0]))) / 10;
}

/** What still comes off the shelf. */
export function lessTaken(planned: readonly Planned[], taken: readonly Instead[]): Planned[] {
  const sums = new Map<string, number>();
  for (const { clayId, grams } of planned) sums.set(clayId, (sums.get(clayId) ?? 0) + grams);
  for (const { clays, grams } of taken)
    for (const { clayId, mass } of clays) {
      const before = sums.get(clayId);
      if (before !== undefined) sums.set(clayId, Math.max(0, before - mass * grams));
    }
  return [...sums].map(([clayId, grams]) => ({ clayId, grams }));
}

/** Clays in it that the plan does not hold: they change its colour. */
export const strangeIn = ({ clays }: Lying, planned: readonly Planned[]): readonly string[] =>
  clays.filter(({ clayId }) => gramsOf(planned, clayId) === 0).map((c) => c.clayId);

const NOTHING: readonly Instead[] = [];

/** Things that went in instead of clay, as they are said. @param first what is taken where nothing was said yet */
export function useTakenInstead(planned: readonly Planned[], first: readonly Instead[] = NOTHING) {
  const [said, setTaken] = useState<readonly Instead[] | null>(null);
  const taken = said ?? first;
  return {
    taken,
    /** what still comes off the shelf */
    rest: lessTaken(planned, taken),
    ready: taken.map(({ of, grams }): TakenDto => ({ of, grams })),
    add: (of: TakenBy<'taken'>, name: string, stock: StockAnswer): void => {
      const lying = lyingOf(of, stock);
      if (!lying || taken.some((t) => t.of.id === of.id)) return;
      setTaken([...taken, { of, name, ...lying, grams: mostOf(lying, lessTaken(planned, taken)) }]);
    },
    say: (id: string, grams: number): void => {
      setTaken(taken.map((t) => (t.of.id === id ? { ...t, grams } : t)));
    },
    out: (id: string): void => {
      setTaken(taken.filter((t) => t.of.id !== id));
    },
  };
}
