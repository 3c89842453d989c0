import type { Paint } from '#core/cane';
import { showLength, showMass, type UnitSystem } from '#core/units';
import type { CaneAnswer, MachineDto } from '#contract';
import { PT, PaperBook, type PaperPage } from '../../../parts/pdfPage.js';
import type { Paper } from '../../../state/view.js';
import { faceFile } from '../../../workers/cane.js';
import type { FaceSize, PlainPlan } from '../../../workers/canePlain.js';
import { saveFile } from '../../../parts/saveFile.js';
import { gramsOf, longWords, pathWords, slicesWords, startWords, volumesToRoll, wrapWords } from './caneWords.js';
import type { CaneMaterial } from '../clay/materials.js';
import { heapLine, heapsOf } from './scrapWords.js';
import { stepTitle, viewOf } from '../steps/index.js';
import { partWords } from './caneSteps.js';
import { sizeWords } from './sizeWords.js';

/** mm of a face, and of the words below it; px of its picture. */
const [FACE, WORDS] = [36, 18.6];
const FACE_PX = 240;
/** mm of the narrowest column that holds a face with its words. */
const COLUMN = 44;

/** What a build sheet is made of. */
export interface BuildSheet {
  readonly cane: CaneAnswer;
  readonly plan: PlainPlan;
  /** how large it is after each step */
  readonly sizes: readonly FaceSize[];
  /** mm that is there of things that were made, by their ids */
  readonly there: ReadonlyMap<string, number>;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly own: MachineDto | undefined;
  readonly coreMm: number;
  readonly units: UnitSystem;
  readonly size: Paper;
}

/** Points of plain words, of titles and of small words; mm of a line for a point, and of it above its foot. */
const [PLAIN, TITLE, SMALL, TINY, LINE, ABOVE, AFTER] = [9.5, 12, 8, 7, 0.46, 0.4, 1.2];

/** Pages that are written from top to bottom. */
class Column {
  private paper: PaperPage;
  y: number;

  constructor(readonly book: PaperBook) {
    this.paper = book.next();
    this.y = book.top;
  }

  get page(): PaperPage {
    return this.paper;
  }

  /** Goes on to the next page where less than this many mm are left. */
  room(needed: number): void {
    if (this.y + needed <= this.book.top + this.book.room.height) return;
    this.paper = this.book.next();
    this.y = this.book.top;
  }

  line(words: string, points = PLAIN, heavy = false): void {
    const { book } = this;
    const height = book.linesOf(words, points, book.room.width, heavy) * points * LINE;
    this.room(height);
    this.y += points * ABOVE;
    this.paper.text(words, book.left, this.y, points, heavy);
    this.y += height - points * ABOVE + AFTER;
  }

  gap(): void {
    this.y += 2;
  }
}

/** What the cane begins with, piece by piece, where it is built of several. */
function writeLaid(column: Column, { materials, own, units }: BuildSheet, { step, length }: Start): void {
  const beginning = {
    names: (key: string): string => materials.get(key)?.name ?? '…',
    densities: (key: string): number | undefined => materials.get(key)?.density,
    ...{ own, units, length },
  };
  for (const { title, line, figure, of } of viewOf(step.do).laid?.(step, beginning) ?? [])
    column.line(`   ${figure} ${of}, ${title}: ${line}`, SMALL);
}
type Start = PlainPlan['starts'][number];

/** What is made first, what the cane begins with, and what is left over. */
function writeClay(column: Column, sheet: BuildSheet): void {
  const { cane, plan, there, materials, own, coreMm, units } = sheet;
  const names = (key: string): string => materials.get(key)?.name ?? '…';
  const { mixed, total } = gramsOf(volumesToRoll(plan, there), materials);
  const each = showLength(cane.sliceMm, units);
  column.line(`${slicesWords(plan, cane.slices)}, each ${each} thick; ${showMass(total, units)} of clay.`);
  const first = mixed.map(({ material, grams }) => `${material.name} ${showMass(grams, units)}`);
  if (first.length > 0) column.line(`To make first: ${first.join(', ')}.`);
  column.gap();
  column.line('Start with', TITLE, true);
  for (const start of plan.starts) {
    column.line(`– ${startWords(start, names, own, units)}${pathWords(start.path)}`);
    if (start.path.length === 0) writeLaid(column, sheet, start);
  }
  for (const wrap of plan.wraps) column.line(`– ${wrapWords(wrap, names, own, units)}${pathWords(wrap.path)}`);
  column.gap();
  column.line(`Scrap, for cores of ${showLength(coreMm, units)}`, TITLE, true);
  for (const heap of heapsOf(plan, materials)) column.line(`– ${heapLine(heap, materials, coreMm, units)}`);
  column.gap();
}

/** The canes that it takes in, each with its own steps, in the order of making. */
function writeParts(column: Column, { plan, materials, own, units }: BuildSheet): void {
  const names = (key: string): string => materials.get(key)?.name ?? '…';
  for (const part of plan.parts) {
    column.line(`First, ${part.name}`, TITLE, true);
    for (const { title, line, figure = '', of = '' } of partWords(part, { plan, names, own, units }))
      column.line(`– ${title.slice(part.name.length + 2)}: ${figure} ${of}. ${line}`);
    column.gap();
  }
}

type Paints = Readonly<Record<string, Paint>>;

/** The face after a step, with its words below. @param x mm from the left */
async function writeFace(column: Column, sheet: BuildSheet, paints: Paints, at: number, x: number): Promise<void> {
  const { cane, plan, sizes, units } = sheet;
  const [step, stage] = [cane.program.steps[at], plan.stages[at]];
  const picture = await faceFile({ id: cane.id, at, size: FACE_PX, paints });
  const { book, page, y } = column;
  if (picture) {
    const image = await book.document.embedPng(picture);
    const foot = page.page.getHeight() - (y + FACE) * PT;
    page.page.drawImage(image, { x: x * PT, y: foot, width: FACE * PT, height: FACE * PT });
  }
  if (step) page.text(`${at + 1} ${stepTitle(step, units)}`, x, y + FACE + 4, SMALL, true);
  const reached = sizes[at];
  const words = [
    ...(reached ? [sizeWords(reached, units)] : []),
    ...(stage ? longWords(stage, units).split('; ') : []),
  ];
  words.forEach((part, n) => {
    page.text(part, x, y + FACE + 8 + 3.6 * n, TINY);
  });
}

/** Every step with its face, row by row. */
async function writeSteps(column: Column, sheet: BuildSheet): Promise<void> {
  const { room, left } = column.book;
  const { steps } = sheet.cane.program;
  const paints = Object.fromEntries([...sheet.materials].map(([key, m]) => [key, m.paint]));
  const perRow = Math.max(1, Math.floor(room.width / COLUMN));
  const width = room.width / perRow;
  // the title does not stay behind alone
  column.room(10 + FACE + WORDS);
  column.line('Steps', TITLE, true);
  for (let i = 0; i < steps.length; i += perRow) {
    column.room(FACE + WORDS);
    for (let k = 0; k < perRow && i + k < steps.length; k++)
      await writeFace(column, sheet, paints, i + k, left + k * width);
    column.y += FACE + WORDS;
  }
}

/** What to begin with, and every step with its face, on paper. */
export async function saveBuildSheet(sheet: BuildSheet): Promise<void> {
  const name = `${sheet.cane.name}, build sheet`;
  const book = await PaperBook.open(name, sheet.size);
  const column = new Column(book);
  writeClay(column, sheet);
  writeParts(column, sheet);
  await writeSteps(column, sheet);
  saveFile(name, 'pdf', 'application/pdf', await book.bytes());
}
