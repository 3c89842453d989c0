import { randomUUID } from 'node:crypto';
import { ASSUMED_DENSITY } from '#core/clay';
import { fewFaults, type FileFault } from '#core/formats';
import type { ShelfListAnswer, ShelfRowDto } from '#contract';
import type { Draft, Row } from '../db/journal.js';
import type { Studio } from '../mixes/studio.js';

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
/** In the place of a colour that nobody has said. */
const NO_COLOUR = '999999';
/** Of a line whose packet nobody has read yet: assumptions, as in the form for a new line. */
const USUAL_PACKET = { bakeC: 130, bakeMinutes: 30, bakePerMm: 6, maxC: 150 } as const;

/** Everything that a list puts on the shelf. */
export interface Brought {
  readonly lines: readonly Row<'line'>[];
  readonly clays: readonly Row<'clay'>[];
  readonly blocks: readonly Row<'block'>[];
  readonly faults: readonly FileFault[];
}

/** A list on its way to the shelf: what is there is used, what is not is new. */
class Bringing {
  readonly lines: Row<'line'>[] = [];
  readonly clays: Row<'clay'>[] = [];
  readonly blocks: Row<'block'>[] = [];
  readonly faults: FileFault[] = [];

  constructor(
    private readonly studio: Studio,
    private readonly version: number,
  ) {}

  private line(name: string): string {
    const known = [...this.studio.all('line'), ...this.lines].find((l) => same(l.name, name));
    if (known) return known.id;
    const line: Row<'line'> = {
      ...{ id: randomUUID(), version: this.version, name: name.trim(), firmness: 'medium', toughness: null },
      ...{ density: ASSUMED_DENSITY, densityMeasured: false, ...USUAL_PACKET, ownC: null, ownMinutes: null },
    };
    this.lines.push(line);
    return line.id;
  }

  private clay({ name, kind, hex }: ShelfRowDto, lineId: string): string {
    const known = [...this.studio.all('clay'), ...this.clays].find((c) => c.lineId === lineId && same(c.name, name));
    if (known) return known.id;
    const colour = (hex ?? NO_COLOUR).toUpperCase();
    const clay: Row<'clay'> = {
      ...{ id: randomUUID(), version: this.version, lineId, name: name.trim(), kind },
      ...{ rawHex: colour, bakedHex: colour, edgeHex: null, strength: null, retired: false },
    };
    this.clays.push(clay);
    return clay.id;
  }

  add(row: ShelfRowDto): void {
    if (this.studio.mixNamed(row.name)) {
      const sentence = `There is a mix called ${row.name.trim()}. Call the clay something else.`;
      this.faults.push({ row: row.row, sentence });
      return;
    }
    const clayId = this.clay(row, this.line(row.line));
    for (let i = 0; i < row.blocks; i++)
      this.blocks.push({
        ...{ id: randomUUID(), version: this.version, clayId, netGrams: row.grams, leftGrams: row.grams },
        ...{ madeOn: null, dateCode: '', price: row.price, squeezed: null, squeezedOn: null, inside: null },
      });
  }
}

/** What a list puts on the shelf. @param version of the change that does it */
export function bringIn(rows: readonly ShelfRowDto[], studio: Studio, version: number): Brought {
  const bringing = new Bringing(studio, version);
  for (const row of rows) bringing.add(row);
  const { lines, clays, blocks, faults } = bringing;
  return { lines, clays, blocks, faults: fewFaults(faults) };
}

export async function writeBrought(draft: Draft, { lines, clays, blocks }: Brought): Promise<void> {
  for (const line of lines) await draft.put('line', line);
  for (const clay of clays) await draft.put('clay', clay);
  for (const block of blocks) await draft.put('block', block);
}

export const toldOf = ({ lines, clays, blocks, faults }: Brought): ShelfListAnswer => ({
  ...{ lines: lines.map((l) => l.name), clays: clays.length, blocks: blocks.length, faults },
  grams: blocks.reduce((sum, b) => sum + b.netGrams, 0),
  colourless: clays.filter((c) => c.bakedHex === NO_COLOUR).length,
});
