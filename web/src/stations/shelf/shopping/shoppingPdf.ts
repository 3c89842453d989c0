import { PaperBook } from '../../../parts/pdfPage.js';
import { saveFile } from '../../../parts/saveFile.js';
import type { UnitSystem } from '#core/units';
import type { ShoppingAnswer } from '#contract';
import type { Paper } from '../../../state/view.js';
import { blocksWords, money, plansWords, shortByLine } from './shoppingWords.js';

/** Points of words, and mm from line to line. */
const [HEAD, PLAIN, SMALL] = [13, 11, 8.5];
const [LINE, NOTE, BOX] = [6.4, 4.6, 3.6];

/** The list to take along: a box for each clay, by line. */
export async function saveShopping(answer: ShoppingAnswer, units: UnitSystem, paper: Paper): Promise<void> {
  const book = await PaperBook.open('Clay to buy', paper);
  let page = book.next();
  let y = book.top;
  const room = (needed: number): void => {
    if (y + needed <= book.top + book.room.height) return;
    page = book.next();
    y = book.top;
  };
  for (const { line, rows } of shortByLine(answer)) {
    room(LINE * 2);
    page.text(line, book.left, (y += LINE), HEAD, true);
    for (const row of rows) {
      const why = plansWords(row, units);
      const lines = book.linesOf(why, SMALL, book.room.width - LINE);
      room(LINE + NOTE * lines);
      y += LINE;
      for (const [x1, y1, x2, y2] of [
        [0, 0, BOX, 0],
        [BOX, 0, BOX, BOX],
        [BOX, BOX, 0, BOX],
        [0, BOX, 0, 0],
      ] as const)
        page.line(book.left + x1, y - BOX + y1, book.left + x2, y - BOX + y2);
      page.text(`${row.name}: ${blocksWords(row, units)}`, book.left + LINE, y, PLAIN, true);
      page.text(why, book.left + LINE, y + NOTE, SMALL);
      y += NOTE * lines;
    }
    y += NOTE;
  }
  if (answer.cost !== null)
    page.text(`In all ${money(answer.cost, answer.currency)}`, book.left, y + LINE, PLAIN, true);
  saveFile('Clay to buy', 'pdf', 'application/pdf', await book.bytes());
}
