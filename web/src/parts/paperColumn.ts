import { PT, type PaperBook, type PaperPage } from './pdfPage.js';

/** Points of plain words, of titles and of small words; mm of a line for a point, and of it above its foot. */
const [PLAIN, TINY, LINE, ABOVE, AFTER] = [9.5, 7, 0.46, 0.4, 1.2];
export const [TITLE, SMALL] = [12, 8] as const;

/** mm of a face, and of the words below it. */
const [FACE, WORDS] = [36, 18.6];
/** px of its picture. */
export const FACE_PX = 240;
/** mm of the narrowest column that holds a face with its words. */
const COLUMN = 44;

/** A step with its picture, as it stands on paper. */
export interface PaperFace {
  readonly title: string;
  readonly words: readonly string[];
  /** a PNG file, square; null where there is nothing to see */
  readonly picture: () => Promise<Uint8Array | null>;
}

/** Pages that are written from top to bottom. */
export class Column {
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

  /** Pictures with their words, row by row. */
  async faces(title: string, all: readonly PaperFace[]): Promise<void> {
    const { room, left } = this.book;
    const perRow = Math.max(1, Math.floor(room.width / COLUMN));
    const width = room.width / perRow;
    // the title does not stay behind alone
    this.room(10 + FACE + WORDS);
    this.line(title, TITLE, true);
    for (let i = 0; i < all.length; i += perRow) {
      this.room(FACE + WORDS);
      for (const [k, face] of all.slice(i, i + perRow).entries()) await this.face(face, left + k * width);
      this.y += FACE + WORDS;
    }
  }

  /** @param x mm from the left */
  private async face({ title, words, picture }: PaperFace, x: number): Promise<void> {
    const { book, page, y } = this;
    const png = await picture();
    if (png) {
      const image = await book.document.embedPng(png);
      const foot = page.page.getHeight() - (y + FACE) * PT;
      page.page.drawImage(image, { x: x * PT, y: foot, width: FACE * PT, height: FACE * PT });
    }
    page.text(title, x, y + FACE + 4, SMALL, true);
    words.forEach((part, n) => {
      page.text(part, x, y + FACE + 8 + 3.6 * n, TINY);
    });
  }
}
