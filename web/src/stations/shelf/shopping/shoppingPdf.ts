import { PaperBook } from '../../../parts/pdfPage.js';
import { saveFile } from '../../../parts/saveFile.js';
import type { UnitSystem } from '#core/units';
import type { ShoppingAnswer } from '#contract';
import type { Paper } from '../../../state/view.js';
import { blocksWords, findingPlans, money, plansWords, shortByLine, shortFindings } from './shoppingWords.js';

/** Points of words, and mm from line to line. */
const [HEAD, PLAIN, SMALL] = [13, 11, 8.5];
const [LINE, NOTE, BOX] = [6.4, 4.6, 3.6];

interface ToTick {
  readonly what: string;
  readonly why: string;
}

/** Clay by line, and then findings. */
function partsOf(answer: ShoppingAnswer, units: UnitSystem): readonly { line: string; rows: readonly ToTick[] }[] {
  const clay = shortByLine(answer).map(({ line, rows }) => ({
    line,
    rows: rows.map((row) => ({ what: `${row.name}: ${blocksWords(row, units)}`, why: plansWords(row, units) })),
  }));
  const findings = shortFindings(answer).map((f) => ({ what: `${f.name}: ${f.short}`, why: findingPlans(f) }));
  return findings.length > 0 ? [...clay, { line: 'Findings', rows: findings }] : clay;
}

/** The list to take along: a box for each clay, by line, and for each finding. */
export async function saveShopping(answer: ShoppingAnswer, units: UnitSystem, paper: Paper): Promise<void> {
  const book = await PaperBook.open('Clay to buy', paper);
  let page = book.next();
  let y = book.top;
  const room = (needed: number): void => {
    if (y + needed <= book.top + book.room.height) return;
    page = book.next();
    y = book.top;
  };
  for (const { line, rows } of partsOf(answer, units)) {
    room(LINE * 2);
    page.text(line, book.left, (y += LINE), HEAD, true);
    for (const { what, why } of rows) {
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
      page.text(what, book.left + LINE, y, PLAIN, true);
      page.text(why, book.left + LINE, y + NOTE, SMALL);
      y += NOTE * lines;
    }
    y += NOTE;
  }
  if (answer.cost !== null)
    page.text(`In all ${money(answer.cost, answer.currency)}`, book.left, y + LINE, PLAIN, true);
  saveFile('Clay to buy', 'pdf', 'application/pdf', await book.bytes());
}
