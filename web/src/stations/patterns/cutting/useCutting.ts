import { useState } from 'react';
import type { CutAim } from '#core/pattern';
import { sentenceOf } from '#core/units';
import type { PatternAnswer, PatternCutDto } from '#contract';
import { proposedCuts, type PlainPattern } from '../../../workers/pattern.js';
import type { BenchPattern } from '../usePattern.js';
import { besides, foundWords, newCut, proposed, withPlacesOn, type SheetsToCut } from './cutMoves.js';
import type { HandPlace } from '#core/cutter';

export interface Cutting {
  readonly cuts: readonly PatternCutDto[];
  readonly chosen: PatternCutDto;
  readonly choose: (id: string) => void;
  readonly sheet: number;
  readonly setSheet: (sheet: number) => void;
  readonly change: (part: Partial<PatternCutDto>) => void;
  readonly put: (places: readonly HandPlace[]) => void;
  readonly add: () => void;
  readonly remove: () => void;
  readonly find: (count: number, aim: CutAim) => Promise<void>;
  readonly finding: boolean;
  /** what was found, or why nothing was */
  readonly told: string | null;
}

interface CuttingOf {
  readonly pattern: PatternAnswer;
  readonly bench: BenchPattern;
  /** as large as it is made */
  readonly plain: PlainPattern;
  readonly makes: number;
  readonly sheets: SheetsToCut;
  readonly save: (cuts: readonly PatternCutDto[]) => void;
}

/** One kind is always there to be cut, although it is kept only once something is put. */
function useKinds({ pattern }: CuttingOf): readonly PatternCutDto[] {
  const [first] = useState(() => newCut([]));
  const kept = pattern.cuts ?? [];
  return kept.length === 0 && first ? [first] : kept;
}

/** The places that pieces are cut at, by hand and proposed. */
export function useCutting(of: CuttingOf): Cutting {
  const { bench, plain, makes, sheets, save } = of;
  const cuts = useKinds(of);
  const [id, choose] = useState<string | null>(null);
  const [at, setSheet] = useState(0);
  const [finding, setFinding] = useState(false);
  const [told, setTold] = useState<string | null>(null);
  const chosen = cuts.find((c) => c.id === id) ?? (cuts[0] as PatternCutDto);
  const sheet = Math.min(at, sheets.count - 1);
  const keep = (next: PatternCutDto): void => {
    save(cuts.map((c) => (c.id === chosen.id ? next : c)));
  };
  const find = async (count: number, aim: CutAim): Promise<void> => {
    setFinding(true);
    setTold(null);
    try {
      const wish = { makes, cutter: chosen, count, bridge: chosen.bridgeMm, aim, beside: besides(cuts, chosen) };
      const found = await proposedCuts(plain, bench.colours, wish);
      setTold(foundWords(found, count));
      if (found.places.length > 0) keep(proposed(chosen, found));
    } catch (error) {
      setTold(sentenceOf(error));
    }
    setFinding(false);
  };
  return {
    ...{ cuts, chosen, choose, sheet, setSheet, find, finding, told },
    change: (part) => {
      setTold(null);
      keep({ ...chosen, ...part });
    },
    put: (places) => {
      setTold(null);
      keep(withPlacesOn(chosen, sheet, places));
    },
    add: () => {
      const next = newCut(cuts);
      if (!next) return;
      save([...cuts, next]);
      choose(next.id);
    },
    remove: () => {
      save(cuts.filter((c) => c.id !== chosen.id));
    },
  };
}
