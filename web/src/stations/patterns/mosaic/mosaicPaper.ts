import { areaOfConvex, bezelEdge, middleOf, type Mosaic, type Tessera } from '#core/mosaic';
import type { Point } from '#core/outline';
import { showLength, showMass, type UnitSystem } from '#core/units';
import { Column, SMALL, TITLE } from '../../../parts/paperColumn.js';
import { PaperBook, type PaperPage } from '../../../parts/pdfPage.js';
import { saveFile } from '../../../parts/saveFile.js';
import type { Paper } from '../../../state/view.js';
import { hoursWords, shadeThreads, threadWords } from './mosaicMoves.js';
import type { OnMosaic } from './useMosaic.js';

interface PlanOnPaper {
  readonly name: string;
  readonly on: OnMosaic;
  readonly plan: Mosaic;
  readonly paper: Paper;
  readonly units: UnitSystem;
}

type Segment = readonly [number, number, number, number];

const closed = (points: readonly Point[], scale: number): Segment[] =>
  points.map(([x, y], i): Segment => {
    const [u, v] = points[(i + 1) % points.length] as Point;
    return [x * scale, y * scale, u * scale, v * scale];
  });

/** mm of lines between tesserae: at true size they are close together. */
const THIN = 0.1;

/** All lines of a plan, mm, so many times as large. */
export const planLines = (plan: Mosaic, edge: readonly Point[], scale: number): readonly Segment[] => [
  ...closed(edge, scale),
  ...plan.tesserae.flatMap(({ points }) => closed(points, scale)),
];

/** mm of a tessera on paper from which on the number of its shade can be read in it, and points of it a mm. */
const [READABLE, POINTS] = [1.8, 1.5];

/** The numbers of shades, each in its tessera. */
function numbers(page: PaperPage, tesserae: readonly Tessera[], scale: number, left: number, top: number): void {
  for (const { points, shade } of tesserae) {
    const [x, y] = middleOf(points);
    const wide = Math.sqrt(areaOfConvex(points)) * scale;
    const size = Math.min(6, Math.max(2.5, wide * POINTS));
    if (wide >= READABLE)
      page.text(String(shade + 1), left + x * scale - size * 0.18, top + y * scale + size * 0.12, size);
  }
}

/** The threads by shade, in words. */
function threadLines({ on, plan, units }: PlanOnPaper): readonly string[] {
  return shadeThreads(plan, on.known, on.mosaic.lost).map((row) => {
    const each = row.threads.map((t) => `${threadWords(t.length, units)} of ${showLength(t.diameter, units, true)}`);
    const grams = row.grams === null ? '' : `, ${showMass(row.grams, units)}`;
    const name = row.name === '' ? `#${row.hex}` : row.name;
    return `${row.shade + 1}  ${name}: ${row.count} tesserae, ${each.join(', ')}${grams}`;
  });
}

/** The placing plan: the threads, the drawing at its true size, and one as large as the paper with the shades. */
export async function saveMosaicPlan(all: PlanOnPaper): Promise<void> {
  const { name, on, plan, paper } = all;
  const { bezel, pace } = on.mosaic;
  const book = await PaperBook.open(name, paper);
  const column = new Column(book);
  const whole = plan.tesserae.length;
  column.line(`${whole.toLocaleString('en')} tesserae, ${hoursWords(whole, pace)} to lay`, TITLE, true);
  for (const line of threadLines(all)) column.line(line, SMALL);
  column.gap();
  column.line('Light before dark, each patch row by row from its edge inwards. Patches in working order:', SMALL);
  column.line(plan.patches.map(({ count }, k) => `${k + 1}: ${count}`).join('  ·  '), SMALL);
  const edge = bezelEdge(bezel);
  book.drawing(bezel.width, bezel.height, planLines(plan, edge, 1), 0, THIN);
  const scale = Math.min(book.room.width / bezel.width, book.room.height / bezel.height);
  const large = book.drawing(bezel.width * scale, bezel.height * scale, planLines(plan, edge, scale), 0, THIN);
  numbers(large.page, plan.tesserae, scale, book.left, book.top);
  saveFile(`${name}, placing plan`, 'pdf', 'application/pdf', await book.bytes());
}
