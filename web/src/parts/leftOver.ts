import { useState } from 'react';
import { sameMaterial } from '#core/material';
import type { OwnColour } from '#core/stock';
import type { LeftDto, TubAnswer } from '#contract';

/** What is left over, as planned, with what it is called. */
export interface LeftPlanned {
  readonly name: string;
  /** one colour, or those of all that is in it */
  readonly hexes: readonly string[];
  readonly parts: readonly { readonly of: OwnColour; readonly grams: number }[];
}

/** Where it goes: to the tub that fits, to one of the tubs, kept as a lump, thrown away. */
export type Goes = 'fits' | 'lump' | 'thrown' | `tub ${string}`;
export interface Said {
  readonly grams: number;
  readonly goes: Goes;
}

const TENTH = 10;
const sumOf = (parts: LeftPlanned['parts']): number => parts.reduce((sum, p) => sum + p.grams, 0);
/** To a tenth of a gram, as it is weighed. */
const weighed = (grams: number): number => Math.round(grams * TENTH) / TENTH;

/** One material alone, which can be kept as a lump. */
export function aloneIn({ parts }: LeftPlanned): OwnColour | null {
  const [first, ...others] = parts;
  return first && first.of.kind !== 'blend' && others.every((p) => sameMaterial(p.of, first.of)) ? first.of : null;
}

/** What can be said of a left-over. */
export function choicesOf(left: LeftPlanned, tubs: readonly TubAnswer[]): { value: Goes; text: string }[] {
  return [
    { value: 'fits', text: 'to the tub that fits' },
    ...tubs.map((t) => ({ value: `tub ${t.id}` as const, text: `to ${t.name}` })),
    ...(aloneIn(left) ? [{ value: 'lump' as const, text: 'kept as a lump' }] : []),
    { value: 'thrown', text: 'thrown away' },
  ];
}

/** As it is sent: the planned proportions, with the weight that was said. */
export function leftDto(left: LeftPlanned, { grams, goes }: Said): LeftDto {
  const planned = sumOf(left.parts);
  const k = planned > 0 ? grams / planned : 0;
  const parts = left.parts.map(({ of, grams: g }) => ({ of, grams: g * k }));
  if (goes === 'lump' || goes === 'thrown') return { parts, to: goes };
  return { parts, to: 'tub', tubId: goes === 'fits' ? null : goes.slice('tub '.length) };
}

/** How much really went in, as a share of what was planned. */
export function shareUsed(used: readonly { grams: number }[], planned: readonly { grams: number }[]): number {
  const sum = (list: readonly { grams: number }[]): number => list.reduce((all, one) => all + one.grams, 0);
  return sum(planned) > 0 ? sum(used) / sum(planned) : 1;
}

/**
 * What becomes of all that is left over: as planned, for what really went in, until somebody says otherwise.
 * @param share of the planned clay that went in: of less clay less is left
 */
export function useLeftOver(
  planned: readonly LeftPlanned[],
  share = 1,
): {
  readonly said: readonly Said[];
  readonly say: (at: number, part: Partial<Said>) => void;
  readonly left: LeftDto[];
} {
  const [own, setOwn] = useState<Readonly<Record<number, Partial<Said>>>>({});
  const said = planned.map((left, i): Said => ({
    grams: weighed(sumOf(left.parts) * Math.min(1, share)),
    goes: 'fits',
    ...own[i],
  }));
  return {
    said,
    say: (at, part) => {
      setOwn({ ...own, [at]: { ...own[at], ...part } });
    },
    left: planned.flatMap((left, i) => {
      const one = said[i];
      return one && one.grams > 0 ? [leftDto(left, one)] : [];
    }),
  };
}
