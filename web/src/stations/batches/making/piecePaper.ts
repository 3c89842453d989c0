import { edgeAt, type SettledPiece } from '#core/piece';
import type { Point } from '#core/outline';
import { showLength, showMass, type UnitSystem } from '#core/units';
import type { AssemblyDto, BatchAnswer } from '#contract';
import { Column, SMALL, TITLE } from '../../../parts/paperColumn.js';
import { PaperBook, type PaperPage } from '../../../parts/pdfPage.js';
import { drawnPiece, type DrawnPiece } from '../../../parts/pieces/drawn.js';
import { saveFile } from '../../../parts/saveFile.js';
import type { Paper } from '../../../state/view.js';
import { wordsOf } from '../../bench/stepWords.js';
import { gramsOfPart } from '../assembled/partGrams.js';
import { nameOf } from '../assembled/MadeOfWhat.js';
import { finishWords, placeWords, shapeWords } from '../assembled/partWords.js';
import { LABEL, MOST_LABELS, labelGrid, labelsOf, pricesOf, type Label } from './labels.js';

/** What is put on paper of a batch. */
export interface OnPaper {
  readonly batch: BatchAnswer;
  readonly currency: string;
  readonly units: UnitSystem;
  readonly size: Paper;
}

export type Segment = readonly [number, number, number, number];

const closed = (points: readonly Point[], [x0, y0]: Point): Segment[] =>
  points.map(([x, y], i): Segment => {
    const [u, v] = points[(i + 1) % points.length] as Point;
    return [x - x0, y0 - y, u - x0, y0 - v];
  });

/** mm between the drawings from above and from the side. */
const BETWEEN = 8;

/** A piece from above, and below that from the side, as lines at true size; y downwards from the upper left corner. */
export function pieceLines({ parts, extent, bottom, top }: SettledPiece): {
  readonly width: number;
  readonly height: number;
  readonly lines: readonly Segment[];
} {
  const from: Point = [extent.left, extent.top];
  const above = parts.flatMap(({ edge, solid, place }) => [
    ...closed(edge, from),
    ...(solid.opening ? closed(edgeAt(solid.opening, place), from) : []),
  ]);
  const down = extent.height + BETWEEN;
  const side = parts.flatMap((s) => closed(s.side, [extent.left, top]));
  return {
    width: extent.width,
    height: down + top - bottom,
    lines: [...above, ...side.map(([a, b, c, d]): Segment => [a, b + down, c, d + down])],
  };
}

/** The parts of one piece in words, with their grams. */
function partWords({ laid }: DrawnPiece, assembly: AssemblyDto, { batch, units }: OnPaper): string[] {
  return laid.map((one) => {
    const { part, lying } = one;
    const of = part.of === null ? '' : `, ${nameOf(part.of, batch.plan.materials)}`;
    const where = placeWords(part);
    const grams = part.shape.is === 'finding' ? '' : `, ${showMass(gramsOfPart(one, assembly, batch.plan), units)}`;
    const what = shapeWords(part.shape, units);
    return `${lying.length} × ${part.name}${of}: ${what}${where === '' ? '' : `, ${where}`}${grams}`;
  });
}

/** mm that stay free below a drawing. */
const BELOW = 10;

/** One kind of assembled piece: its drawing at true size, and what it is put together of. */
function writePiece(book: PaperBook, assembly: AssemblyDto, paper: OnPaper): void {
  const drawn = drawnPiece(assembly.piece);
  if (!drawn.settled) return;
  const { width, height, lines } = pieceLines(drawn.settled);
  book.drawing(width, height, lines, BELOW);
  const column = new Column(book);
  const { extent, top, bottom } = drawn.settled;
  column.line(`${assembly.count} ${assembly.name}, and ${assembly.spare} spare`, TITLE, true);
  column.line(
    `${showLength(extent.width, paper.units)} wide, ${showLength(extent.height, paper.units)} long, ` +
      `${showLength(top - bottom, paper.units)} high: at true size on the page before, from above and from the side.`,
  );
  for (const words of partWords(drawn, assembly, paper)) column.line(words);
  if (assembly.finish.length === 0) return;
  column.gap();
  column.line('Afterwards', TITLE, true);
  for (const step of assembly.finish) column.line(finishWords(step));
}

/** The build card: each piece with its drawing, and every step at the bench. */
export async function saveBuildCard(paper: OnPaper): Promise<void> {
  const { batch, units, size } = paper;
  const name = `${batch.name}, build card`;
  const book = await PaperBook.open(name, size);
  for (const assembly of batch.assemblies) writePiece(book, assembly, paper);
  const column = new Column(book);
  column.line('Step by step', TITLE, true);
  for (const step of batch.plan.steps) {
    const { title, lines, figure, of } = wordsOf(step, units);
    column.line(`${title}: ${figure} ${of}`, SMALL + 1.5, true);
    column.line(lines.join(' · '), SMALL);
  }
  saveFile(name, 'pdf', 'application/pdf', await book.bytes());
}

function writeLabel(page: PaperPage, { name, materials, care, price }: Label, x: number, y: number): void {
  const { width, height } = LABEL;
  for (const [x1, y1, x2, y2] of [
    [x, y, x + width, y],
    [x, y + height, x + width, y + height],
    [x, y, x, y + height],
    [x + width, y, x + width, y + height],
  ] as const)
    page.line(x1, y1, x2, y2, 0.1);
  page.text(name, x + 3, y + 7, 11, true);
  page.text(materials, x + 3, y + 13, 7);
  // its care in two lines, so that it stays on the label
  const [first = '', second = ''] = care.split('. ');
  page.text(`${first}.`, x + 3, y + 19, 7);
  page.text(second, x + 3, y + 23, 7);
  page.text(price, x + 3, y + 30.5, 12, true);
}

/** A label for each piece, to be cut apart along its lines. */
export async function saveLabels({ batch, currency, size }: OnPaper): Promise<void> {
  const name = `${batch.name}, labels`;
  const book = await PaperBook.open(name, size);
  const labels = labelsOf(batch, currency).slice(0, MOST_LABELS);
  const { across, down } = labelGrid(book.room);
  let page = book.next();
  labels.forEach((label, i) => {
    const at = i % (across * down);
    if (i > 0 && at === 0) page = book.next();
    writeLabel(page, label, book.left + (at % across) * LABEL.width, book.top + Math.floor(at / across) * LABEL.height);
  });
  saveFile(name, 'pdf', 'application/pdf', await book.bytes());
}

/** What each kind of piece costs, for the table at the market. */
export async function savePriceList({ batch, currency, size }: OnPaper): Promise<void> {
  const name = `${batch.name}, prices`;
  const book = await PaperBook.open(name, size);
  const column = new Column(book);
  for (const { name: piece, count, price } of pricesOf(batch, currency)) {
    column.room(14);
    column.page.text(price, book.left + book.room.width - 34, column.y + 6, 16, true);
    column.line(piece, 16, true);
    column.line(`${count} of them`, SMALL);
    column.gap();
  }
  saveFile(name, 'pdf', 'application/pdf', await book.bytes());
}
