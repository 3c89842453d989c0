import { showLength, showMass, type UnitSystem } from '#core/units';
import type { CaneAnswer, MachineDto } from '#contract';
import { PT, controlLine, paperPage, type PaperPage } from '../../parts/pdfPage.js';
import { caneWorker } from '../../workers/cane.js';
import type { PlainPlan } from '../../workers/cane.worker.js';
import { saveFile } from '../mixes/exchange/saveFile.js';
import { gramsOf, longWords, pathWords, slicesWords, startWords, volumesToRoll, wrapWords } from './caneWords.js';
import type { CaneMaterial } from './materials.js';
import { heapLine, heapsOf } from './scrapWords.js';
import { stepTitle } from './stepWords.js';

/** A4 upright, mm. */
const [WIDTH, HEIGHT, MARGIN] = [210, 297, 14];
const FACE = 40;
const FACE_PX = 240;
const PER_ROW = 4;

/** What to begin with, and every step with its face, on paper. */
export async function saveBuildSheet(cane: CaneAnswer, plan: PlainPlan, there: ReadonlyMap<string, number>, materials: ReadonlyMap<string, CaneMaterial>, own: MachineDto | undefined, coreMm: number, units: UnitSystem): Promise<void> {
  const names = (key: string): string => materials.get(key)?.name ?? '…';
  const paints = Object.fromEntries([...materials].map(([key, m]) => [key, m.paint]));
  let paper: PaperPage = await paperPage(WIDTH, HEIGHT);
  let y = 20;
  const room = async (needed: number): Promise<void> => {
    if (y + needed < HEIGHT - 22) return;
    paper = await paperPage(WIDTH, HEIGHT, paper);
    y = 20;
  };
  const line = async (words: string, size = 10, heavy = false): Promise<void> => {
    // about so many letters fit in a line of this size
    const letters = Math.floor((WIDTH - 2 * MARGIN) / (size * 0.18));
    await room(6 * Math.ceil(words.length / letters));
    paper.text(words, MARGIN, y, size, heavy);
    y += (size * 0.5) * Math.ceil(words.length / letters) + 1;
  };
  const { mixed, total } = gramsOf(volumesToRoll(plan, there), materials);
  await line(cane.name, 18, true);
  y += 2;
  await line(`${slicesWords(plan, cane.slices)}, each ${showLength(cane.sliceMm, units)} thick; ${showMass(total, units)} of clay.`);
  if (mixed.length > 0) await line(`To make first: ${mixed.map(({ material, grams }) => `${material.name} ${showMass(grams, units)}`).join(', ')}.`);
  y += 3;
  await line('Start with', 13, true);
  for (const start of plan.starts) await line(`– ${startWords(start, names, own, units)}${pathWords(start.path)}`);
  for (const wrap of plan.wraps) await line(`– ${wrapWords(wrap, names, own, units)}${pathWords(wrap.path)}`);
  y += 3;
  await line(`Scrap, for cores of ${showLength(coreMm, units)}`, 13, true);
  for (const heap of heapsOf(plan, materials)) await line(`– ${heapLine(heap, materials, coreMm, units)}`);
  y += 4;
  await line('Steps', 13, true);
  y += 1;
  const steps = cane.program.steps;
  for (let i = 0; i < steps.length; i += PER_ROW) {
    await room(FACE + 26);
    for (let k = 0; k < PER_ROW && i + k < steps.length; k++) {
      const step = steps[i + k];
      const picture = await caneWorker().png(cane.id, i + k, FACE_PX, paints);
      const x = MARGIN + k * ((WIDTH - 2 * MARGIN) / PER_ROW);
      if (picture) {
        const image = await paper.document.embedPng(picture);
        paper.page.drawImage(image, { x: x * PT, y: (HEIGHT - y - FACE) * PT, width: FACE * PT, height: FACE * PT });
      }
      const stage = plan.stages[i + k];
      if (step) paper.text(`${i + k + 1} ${stepTitle(step, units)}`, x, y + FACE + 5, 8.5, true);
      for (const [n, words] of (stage ? longWords(stage, units).split('; ') : []).entries()) paper.text(words, x, y + FACE + 9.5 + 4 * n, 8.5);
    }
    y += FACE + 20;
  }
  await room(16);
  controlLine(paper, MARGIN, y + 4);
  saveFile(`${cane.name}, build sheet`, 'pdf', 'application/pdf', await paper.document.save());
}

