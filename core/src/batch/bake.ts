import { bakedTogether, type Line } from '#core/clay';
import type { Book } from '#core/mix';
import type { Celsius, Minutes, Mm } from '#core/units';

export interface BakeItem {
  readonly pieceId: string;
  readonly count: number;
  readonly mm: Mm;
  readonly lines: readonly string[];
  /** cores of these pieces, baked before they are covered */
  readonly cores?: boolean;
}

/** Pieces that go into the oven together. */
export interface BakeLoad {
  readonly lineIds: readonly string[];
  readonly celsius: Celsius;
  readonly minutes: Minutes;
  /** the lowest stated maximum of the lines */
  readonly maxC: Celsius;
  /** lines with different packet temperatures bake together */
  readonly compromise: boolean;
  /** cores, that are covered afterwards */
  readonly cores: boolean;
  readonly pieces: readonly { readonly pieceId: string; readonly count: number }[];
}

/** The packet's minutes for a thickness; never less than for the packet's own. */
export function minutesFor(line: Pick<Line, 'bakeMinutes' | 'bakePerMm'>, mm: Mm): Minutes {
  return line.bakeMinutes * Math.max(1, mm / line.bakePerMm);
}

const CORES = 'cores ';

/**
 * Oven loads by line (docs/models.md §8): pieces of the same lines go
 * together. Where lines meet in one piece, the highest packet temperature
 * that none of them forbids, for the longest of their times. Cores that are baked before they
 * are covered come first, then the coolest.
 */
export function bakeLoads(items: readonly BakeItem[], book: Book): BakeLoad[] {
  const groups = new Map<string, BakeItem[]>();
  for (const item of items) {
    const key = `${item.cores === true ? CORES : ''}${[...new Set(item.lines)].sort().join()}`;
    groups.set(key, [...(groups.get(key) ?? []), item]);
  }
  return [...groups]
    .map(([key, together]) => {
      const cores = key.startsWith(CORES);
      const lineIds = key.slice(cores ? CORES.length : 0).split(',');
      const lines = lineIds.flatMap((id) => book.line(id) ?? []);
      return {
        lineIds,
        cores,
        ...bakedTogether(lines),
        minutes: Math.max(...together.flatMap(({ mm }) => lines.map((line) => minutesFor(line, mm)))),
        pieces: together.map(({ pieceId, count }) => ({ pieceId, count })),
      };
    })
    .sort((a, b) => Number(b.cores) - Number(a.cores) || a.celsius - b.celsius);
}
