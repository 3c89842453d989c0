import { extentOf, outlineOf } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';
import { PaperBook } from '../../../parts/pdfPage.js';
import type { Paper } from '../../../state/view.js';
import { saveFile } from '../../../parts/saveFile.js';
import type { CaneMaterial } from '../clay/materials.js';
import { fillName, orderOf, type Template } from './templateMoves.js';

/** The template on paper at true size, every region with a number, and the order to build them in from one side. */
export async function saveTemplatePdf(
  name: string,
  step: Template,
  materials: ReadonlyMap<string, CaneMaterial>,
  units: UnitSystem,
  paper: Paper,
): Promise<void> {
  const [ground] = step.regions;
  if (!ground) return;
  const { left, top, width, height } = extentOf({ points: ground.points, round: false });
  const book = await PaperBook.open(`${name}, template`, paper);
  const order = orderOf(step);
  const segments = order.flatMap(({ points }) =>
    points.map(([x, y], k) => {
      const [u, v] = points[(k + 1) % points.length] ?? [x, y];
      return [x - left, top - y, u - left, top - v] as const;
    }),
  );
  const { page, y: end, single } = book.drawing(width, height, segments, LINE * (order.length + 3));
  // numbers stand in a drawing of one page; on several the words tell the regions apart
  if (single) {
    order.forEach((region, i) => {
      if (region === ground) return;
      const [cx, cy] = outlineOf(region.points).moved;
      page.text(String(i), book.left + cx - left - 0.8, book.top + top - cy + 0.8, 6);
    });
  }
  let [words, y] = single ? [page, end + 8] : [book.next(), book.top];
  words.text(
    `${showLength(width, units)} × ${showLength(height, units)}, ${showLength(step.length, units)} long. ` +
      'Build it from the left:',
    book.left,
    y,
    9,
  );
  for (const [i, region] of order.entries()) {
    const what = fillName(region.fill, (key) => materials.get(key)?.name ?? '');
    y += LINE;
    if (y > book.top + book.room.height) [words, y] = [book.next(), book.top];
    words.text(
      `${region === ground ? '–' : i} ${region === ground ? 'ground' : region.name}: ${what}`,
      book.left,
      y,
      8,
    );
  }
  saveFile(`${name}, template`, 'pdf', 'application/pdf', await book.bytes());
}
/** mm of a line of words. */
const LINE = 4.8;
