import { showLength, showMass, type UnitSystem } from '#core/units';
import type { CaneAnswer, MachineDto } from '#contract';
import { PT, PaperBook, type PaperPage } from '../../../parts/pdfPage.js';
import type { Paper } from '../../../state/view.js';
import { faceFile } from '../../../workers/cane.js';
import type { PlainPlan } from '../../../workers/canePlain.js';
import { saveFile } from '../../../parts/saveFile.js';
import { gramsOf, longWords, pathWords, slicesWords, startWords, volumesToRoll, wrapWords } from './caneWords.js';
import type { CaneMaterial } from '../clay/materials.js';
import { heapLine, heapsOf } from './scrapWords.js';
import { stepTitle } from '../steps/index.js';

/** mm of a face, and of the words below it; px of its picture. */
const [FACE, WORDS] = [36, 15];
const FACE_PX = 240;
/** mm of the narrowest column that holds a face with its words. */
const COLUMN = 44;

/** What to begin with, and every step with its face, on paper. */
export async function saveBuildSheet(
  cane: CaneAnswer,
  plan: PlainPlan,
  there: ReadonlyMap<string, number>,
  materials: ReadonlyMap<string, CaneMaterial>,
  own: MachineDto | undefined,
  coreMm: number,
  units: UnitSystem,
  size: Paper,
): Promise<void> {
  const names = (key: string): string => materials.get(key)?.name ?? '…';
  const paints = Object.fromEntries([...materials].map(([key, m]) => [key, m.paint]));
  const book = await PaperBook.open(`${cane.name}, build sheet`, size);
  const bottom = book.top + book.room.height;
  let paper: PaperPage = book.next();
  let y = book.top;
  const room = (needed: number): void => {
    if (y + needed <= bottom) return;
    paper = book.next();
    y = book.top;
  };
  const line = (words: string, points = 9.5, heavy = false): void => {
    const height = book.linesOf(words, points, book.room.width, heavy) * points * 0.46;
    room(height);
    y += points * 0.4;
    paper.text(words, book.left, y, points, heavy);
    y += height - points * 0.4 + 1.2;
  };
  const { mixed, total } = gramsOf(volumesToRoll(plan, there), materials);
  line(
    `${slicesWords(plan, cane.slices)}, each ${showLength(cane.sliceMm, units)} thick; ` +
      `${showMass(total, units)} of clay.`,
  );
  if (mixed.length > 0)
    line(
      `To make first: ${mixed.map(({ material, grams }) => `${material.name} ${showMass(grams, units)}`).join(', ')}.`,
    );
  y += 2;
  line('Start with', 12, true);
  for (const start of plan.starts) line(`– ${startWords(start, names, own, units)}${pathWords(start.path)}`);
  for (const wrap of plan.wraps) line(`– ${wrapWords(wrap, names, own, units)}${pathWords(wrap.path)}`);
  y += 2;
  line(`Scrap, for cores of ${showLength(coreMm, units)}`, 12, true);
  for (const heap of heapsOf(plan, materials)) line(`– ${heapLine(heap, materials, coreMm, units)}`);
  y += 2;
  const perRow = Math.max(1, Math.floor(book.room.width / COLUMN));
  const column = book.room.width / perRow;
  const { steps } = cane.program;
  // the title does not stay behind alone
  room(10 + FACE + WORDS);
  line('Steps', 12, true);
  for (let i = 0; i < steps.length; i += perRow) {
    room(FACE + WORDS);
    for (let k = 0; k < perRow && i + k < steps.length; k++) await face(i + k, book.left + k * column);
    y += FACE + WORDS;
  }
  saveFile(`${cane.name}, build sheet`, 'pdf', 'application/pdf', await book.bytes());

  async function face(at: number, x: number): Promise<void> {
    const [step, stage] = [steps[at], plan.stages[at]];
    const picture = await faceFile({ id: cane.id, at, size: FACE_PX, paints });
    if (picture) {
      const image = await book.document.embedPng(picture);
      paper.page.drawImage(image, {
        x: x * PT,
        y: paper.page.getHeight() - (y + FACE) * PT,
        width: FACE * PT,
        height: FACE * PT,
      });
    }
    if (step) paper.text(`${at + 1} ${stepTitle(step, units)}`, x, y + FACE + 4, 8, true);
    const words = stage ? longWords(stage, units).split('; ') : [];
    words.forEach((part, n) => {
      paper.text(part, x, y + FACE + 8 + 3.6 * n, 7);
    });
  }
}
