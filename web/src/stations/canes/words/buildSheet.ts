import { showLength, showMass, type UnitSystem } from '#core/units';
import type { CaneAnswer, MachineDto } from '#contract';
import { Column, FACE_PX, SMALL, TITLE, type PaperFace } from '../../../parts/paperColumn.js';
import { PaperBook } from '../../../parts/pdfPage.js';
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

/** Every step with its face, row by row. */
function writeSteps(column: Column, sheet: BuildSheet): Promise<void> {
  const { cane, plan, sizes, materials, units } = sheet;
  const paints = Object.fromEntries([...materials].map(([key, m]) => [key, m.paint]));
  const faces = cane.program.steps.map((step, at): PaperFace => {
    const [reached, stage] = [sizes[at], plan.stages[at]];
    return {
      title: `${at + 1} ${stepTitle(step, units)}`,
      words: [...(reached ? [sizeWords(reached, units)] : []), ...(stage ? longWords(stage, units).split('; ') : [])],
      picture: () => faceFile({ id: cane.id, at, size: FACE_PX, paints }),
    };
  });
  return column.faces('Steps', faces);
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
