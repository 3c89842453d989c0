import boldUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import plainUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import type { PDFDocument, PDFFont, PDFPage } from 'pdf-lib';
import type { Paper } from '../state/view.js';
import { showDate, today } from '../state/today.js';
import { OVERLAP, clippedLine, tilesOf } from './tiles.js';

/** Points of a millimetre on paper. */
export const PT = 72 / 25.4;
/** Width and height of each paper, mm. */
const SIZES: Readonly<Record<Paper, readonly [number, number]>> = {
  A5: [148, 210],
  A4: [210, 297],
  Letter: [215.9, 279.4],
};
/** mm around all that is printed, and what its head and its foot take of a page. */
const [MARGIN, HEAD, FOOT] = [12, 12, 14];

export interface PaperPage {
  readonly page: PDFPage;
  /** in mm from the upper left corner of the page */
  readonly text: (words: string, x: number, y: number, size?: number, heavy?: boolean) => void;
  readonly line: (x1: number, y1: number, x2: number, y2: number, thick?: number) => void;
}

interface Fonts {
  readonly plain: PDFFont;
  readonly bold: PDFFont;
  readonly known: ReadonlySet<number>;
}

/** Letters that the type lacks are written as the plain letter they are made of, rather than dropped with the name. */
function writable(words: string, known: ReadonlySet<number>): string {
  return Array.from(words.normalize('NFC'), (c) => {
    if (known.has(c.codePointAt(0) ?? 0)) return c;
    const [base = '?'] = c.normalize('NFD');
    return known.has(base.codePointAt(0) ?? 0) ? base : '?';
  }).join('');
}

/**
 * Pages of paper in millimetres, in the type of the application: each has the
 * name, the date, its number, and the line to check the printer by.
 */
export class PaperBook {
  private readonly pages: PaperPage[] = [];
  readonly room: { readonly width: number; readonly height: number };

  private constructor(
    readonly document: PDFDocument,
    private readonly fonts: Fonts,
    private readonly name: string,
    private readonly size: readonly [number, number],
    private readonly black: ReturnType<typeof import('pdf-lib').rgb>,
  ) {
    this.room = { width: size[0] - 2 * MARGIN, height: size[1] - 2 * MARGIN - HEAD - FOOT };
  }

  /** The packages and the type are fetched when the first paper is wanted. */
  static async open(name: string, paper: Paper): Promise<PaperBook> {
    const [{ PDFDocument: Document, rgb }, fontkit] = await Promise.all([
      import('pdf-lib'),
      import('@pdf-lib/fontkit'),
    ]);
    const document = await Document.create();
    document.registerFontkit(fontkit.default);
    document.setTitle(name);
    const bytes = await Promise.all([plainUrl, boldUrl].map(async (url) => (await fetch(url)).arrayBuffer()));
    const [plain, bold] = (await Promise.all(bytes.map((b) => document.embedFont(b, { subset: true })))) as [
      PDFFont,
      PDFFont,
    ];
    return new PaperBook(
      document,
      { plain, bold, known: new Set(plain.getCharacterSet()) },
      name,
      SIZES[paper],
      rgb(0, 0, 0),
    );
  }

  /** Upper left corner of the room on a page, mm. */
  readonly left = MARGIN;
  readonly top = MARGIN + HEAD;

  next(): PaperPage {
    const [width, height] = this.size;
    const page = this.document.addPage([width * PT, height * PT]);
    const up = (y: number): number => (height - y) * PT;
    const made: PaperPage = {
      page,
      text: (words, x, y, size = 10, heavy = false) => {
        page.drawText(writable(words, this.fonts.known), {
          x: x * PT,
          y: up(y),
          size,
          font: heavy ? this.fonts.bold : this.fonts.plain,
          color: this.black,
          maxWidth: (width - x - MARGIN) * PT,
          lineHeight: size * 1.3,
        });
      },
      line: (x1, y1, x2, y2, thick = 0.25) => {
        page.drawLine({
          start: { x: x1 * PT, y: up(y1) },
          end: { x: x2 * PT, y: up(y2) },
          thickness: thick * PT,
          color: this.black,
        });
      },
    };
    this.pages.push(made);
    return made;
  }

  /** How many lines some words take in so much width, mm. */
  linesOf(words: string, size: number, width: number, heavy = false): number {
    const font = heavy ? this.fonts.bold : this.fonts.plain;
    let [lines, now] = [1, ''];
    for (const word of writable(words, this.fonts.known).split(' ')) {
      const longer = now === '' ? word : `${now} ${word}`;
      if (now !== '' && font.widthOfTextAtSize(longer, size) > width * PT) {
        lines++;
        now = word;
      } else now = longer;
    }
    return lines;
  }

  /**
   * A drawing of lines at true size, on as many pages as it takes: with marks
   * where they overlap, and each with its place among them.
   * @param segments mm, y downwards from the upper left corner of the drawing
   * @param below mm that have to stay free below it on its last page
   * @param thick mm of its lines
   * @returns the last page, and where its part of the drawing ends
   */
  drawing(
    width: number,
    height: number,
    segments: readonly (readonly [number, number, number, number])[],
    below: number,
    thick = 0.25,
  ): { readonly page: PaperPage; readonly y: number; readonly single: boolean } {
    const fits = height + below <= this.room.height && width <= this.room.width;
    const tiles = tilesOf(width, height, fits ? this.room : { ...this.room, height: this.room.height - 6 });
    let page = this.next();
    tiles.forEach((tile, n) => {
      if (n > 0) page = this.next();
      const [x0, y0] = [this.left - tile.x, this.top - tile.y];
      for (const segment of segments) {
        const part = clippedLine(segment, tile);
        if (part) page.line(x0 + part[0], y0 + part[1], x0 + part[2], y0 + part[3], thick);
      }
      if (tiles.length > 1) this.marks(page, tile);
    });
    const last = tiles.at(-1);
    return { page, y: this.top + (last?.height ?? 0), single: tiles.length === 1 };
  }

  /** Where a page is glued to its neighbours, and which of them it is. */
  private marks(
    page: PaperPage,
    { column, row, columns, rows, width, height }: ReturnType<typeof tilesOf>[number],
  ): void {
    const [x, y] = [this.left, this.top];
    const cross = (cx: number, cy: number): void => {
      page.line(cx - 2, cy, cx + 2, cy, 0.15);
      page.line(cx, cy - 2, cx, cy + 2, 0.15);
    };
    for (const cx of [
      ...(column > 0 ? [x + OVERLAP / 2] : []),
      ...(column < columns - 1 ? [x + width - OVERLAP / 2] : []),
    ]) {
      cross(cx, y + 4);
      cross(cx, y + height - 4);
    }
    for (const cy of [...(row > 0 ? [y + OVERLAP / 2] : []), ...(row < rows - 1 ? [y + height - OVERLAP / 2] : [])]) {
      cross(x + 4, cy);
      cross(x + width - 4, cy);
    }
    page.text(
      `part ${row * columns + column + 1} of ${rows * columns}: lay the crosses on each other`,
      x,
      y + height + 4,
      7,
    );
  }

  /** All pages, each with its name, its date and the line to check it by. */
  async bytes(): Promise<Uint8Array> {
    const [width, height] = this.size;
    const many = this.pages.length;
    this.pages.forEach(({ text, line }, i) => {
      text(this.name, MARGIN, MARGIN + 4, 12, true);
      text(`${showDate(today())}${many > 1 ? ` · ${i + 1} of ${many}` : ''}`, width - MARGIN - 46, MARGIN + 4, 8);
      const y = height - MARGIN - 2;
      line(MARGIN, y, MARGIN + 50, y, 0.3);
      line(MARGIN, y - 2, MARGIN, y + 2, 0.3);
      line(MARGIN + 50, y - 2, MARGIN + 50, y + 2, 0.3);
      text('50 mm: measure it. If it is shorter, print at 100 %.', MARGIN + 54, y + 1, 8);
    });
    return this.document.save();
  }
}
