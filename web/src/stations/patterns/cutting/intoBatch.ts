import type {
  BatchDto,
  LayerDto,
  MachinesAnswer,
  PatternAnswer,
  PatternCutDto,
  PieceDto,
  StockAnswer,
  TakenBy,
} from '#contract';
import { thicknesses } from '#core/sheet';
import { ownMachine } from '../../../state/bench.js';
import { placesOn, type SheetsToCut } from './cutMoves.js';

/** What the pieces are laid on in the batch. */
export interface Backing {
  readonly of: TakenBy<'layer'>;
  readonly settingId: string;
}

/** The setting of one's own machine that is nearest to a thickness; null where there is no machine. */
export function nearestSetting(machines: MachinesAnswer, mm: number): string | null {
  const own = ownMachine(machines);
  if (!own) return null;
  const off = (s: { readonly mm: number }): number => Math.abs(s.mm - mm);
  return [...thicknesses(own)].sort((a, b) => off(a) - off(b))[0]?.id ?? null;
}

interface Making {
  readonly pattern: Pick<PatternAnswer, 'revisionId'>;
  readonly cuts: readonly PatternCutDto[];
  readonly sheets: SheetsToCut;
  readonly hands: number;
  /** the setting that stands for the sheet, which is not rolled again */
  readonly settingId: string;
  readonly backing: Backing | null;
  readonly stock: StockAnswer | undefined;
}

/** The sheet itself where it lies there by now and nobody counts on it, or else the plan of it. */
export function sheetAsLayer({ pattern, stock }: Making, sheet: number): TakenBy<'layer'> {
  const lying = stock?.things.find(
    ({ patterned, reservedFor, left }) =>
      patterned?.revisionId === pattern.revisionId && patterned.sheet === sheet && reservedFor.length === 0 && left > 0,
  );
  return lying ? { kind: 'made', id: lying.id } : { kind: 'pattern', id: pattern.revisionId };
}

/** Pieces for a batch: one kind for each cutter on each sheet, put where they were put. */
export function piecesFor(making: Making): PieceDto[] {
  const { cuts, sheets, hands, settingId, backing } = making;
  const layer = (of: TakenBy<'layer'>, at: string): LayerDto => ({ id: crypto.randomUUID(), of, settingId: at });
  return cuts.flatMap((cut) => {
    const used = [...new Set(cut.places.map((p) => p.sheet))].sort((a, b) => a - b);
    return used.map((sheet): PieceDto => {
      const { id: _, name, bridgeMm, places: __, ...cutter } = cut;
      const places = placesOn(cut, sheet).map(({ sheet: ___, ...place }) => place);
      return {
        ...cutter,
        id: crypto.randomUUID(),
        name: used.length > 1 ? `${name}, sheet ${sheet + 1}`.slice(0, 80) : name,
        count: places.length,
        spare: 0,
        bridgeMm,
        pairs: places.some((p) => p.flip === true),
        sheetWidthMm: sheets.ground.width,
        sheetLengthMm: sheets.ground.length,
        placed: { round: sheets.round, mm: sheets.thick, sheet, hands, places },
        layers: [
          ...(backing ? [layer(backing.of, backing.settingId)] : []),
          layer(sheetAsLayer(making, sheet), settingId),
        ],
      };
    });
  });
}

/** A batch of just these pieces. */
export const newBatchOf = (name: string, pieces: readonly PieceDto[]): BatchDto => ({
  id: crypto.randomUUID(),
  version: 0,
  name,
  note: '',
  dueOn: null,
  pieces: [...pieces],
});
