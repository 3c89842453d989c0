import { extentOf, outlineOf, type Step } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';
import { controlLine, paperPage } from '../../parts/pdfPage.js';
import { saveFile } from '../mixes/exchange/saveFile.js';
import type { CaneMaterial } from './materials.js';

/** The template on paper at true size, every region with a number, and the order to build them in from one side. */
export async function saveTemplatePdf(name: string, { regions, length }: Extract<Step, { do: 'template' }>, materials: ReadonlyMap<string, CaneMaterial>, units: UnitSystem): Promise<void> {
  const [ground] = regions;
  if (!ground) return;
  const { left, top, width, height } = extentOf({ points: ground.points, round: false });
  const paper = await paperPage(Math.max(148, width + 24), Math.max(210, height + 70 + 5 * regions.length));
  const [x0, y0] = [12, 24];
  paper.text(name, x0, 14, 14, true);
  // from the left: what lies farther left is laid first
  const order = [...regions].map((region) => ({ region, from: extentOf({ points: region.points, round: false }).left })).sort((a, b) => (a.region === ground ? -1 : b.region === ground ? 1 : a.from - b.from));
  order.forEach(({ region }, i) => {
    region.points.forEach(([x, y], k) => {
      const [u, v] = region.points[(k + 1) % region.points.length] ?? [x, y];
      paper.line(x0 + x - left, y0 + top - y, x0 + u - left, y0 + top - v, 0.2);
    });
    if (region !== ground) {
      const [cx, cy] = outlineOf(region.points).moved;
      paper.text(String(i), x0 + cx - left - 0.8, y0 + top - cy + 0.8, 6);
    }
  });
  let y = y0 + height + 10;
  paper.text(`${showLength(width, units)} × ${showLength(height, units)}, ${showLength(length, units)} long. Build it from the left:`, x0, y, 9);
  for (const [i, { region }] of order.entries()) {
    const { fill } = region;
    const what = 'of' in fill ? materials.get(fill.of)?.name : 'blend' in fill ? materials.get(fill.blend)?.name : fill.cane.name;
    y += 4.6;
    paper.text(`${region === ground ? '–' : i} ${region === ground ? 'ground' : region.name}: ${what ?? ''}`, x0, y, 8);
  }
  controlLine(paper, x0, y + 10);
  saveFile(`${name}, template`, 'pdf', 'application/pdf', await paper.document.save());
}
