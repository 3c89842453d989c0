import type { PDFDocument, PDFFont, PDFPage } from 'pdf-lib';

/** Points of a millimetre on paper. */
export const PT = 72 / 25.4;

export interface PaperPage {
  readonly document: PDFDocument;
  readonly page: PDFPage;
  readonly font: PDFFont;
  readonly bold: PDFFont;
  /** in mm from the upper left corner */
  readonly text: (words: string, x: number, y: number, size?: number, heavy?: boolean) => void;
  readonly line: (x1: number, y1: number, x2: number, y2: number, thick?: number) => void;
}

/** Letters that every reader of PDF has without a font of its own: accents it lacks are dropped rather than the name. */
export const plainText = (words: string): string => words.normalize('NFC').replace(/[^\x20-\x7E\u00A0-\u00FF–—‘’“”•…€]/g, (c) => {
  const [base = '?'] = c.normalize('NFD');
  return /[\x20-\x7E]/.test(base) ? base : c === '×' ? '×' : '?';
});

/** A sheet of paper in millimetres; the packages that write it are fetched when the first one is wanted. */
export async function paperPage(widthMm: number, heightMm: number, before?: PaperPage): Promise<PaperPage> {
  const { PDFDocument: Document, StandardFonts, rgb } = await import('pdf-lib');
  const document = before?.document ?? await Document.create();
  const [font, bold] = before ? [before.font, before.bold] : await Promise.all([document.embedFont(StandardFonts.Helvetica), document.embedFont(StandardFonts.HelveticaBold)]);
  const page = document.addPage([widthMm * PT, heightMm * PT]);
  const up = (y: number): number => (heightMm - y) * PT;
  return {
    document, page, font, bold,
    text: (words, x, y, size = 10, heavy = false) => { page.drawText(plainText(words), { x: x * PT, y: up(y), size, font: heavy ? bold : font, color: rgb(0, 0, 0), maxWidth: (widthMm - x - 8) * PT, lineHeight: size * 1.35 }); },
    line: (x1, y1, x2, y2, thick = 0.25) => { page.drawLine({ start: { x: x1 * PT, y: up(y1) }, end: { x: x2 * PT, y: up(y2) }, thickness: thick * PT, color: rgb(0, 0, 0) }); },
  };
}

/** The line by which a print is checked: 50 mm long, with the words beside it. */
export function controlLine({ line, text }: PaperPage, x: number, y: number): void {
  line(x, y, x + 50, y, 0.3);
  line(x, y - 2, x, y + 2, 0.3);
  line(x + 50, y - 2, x + 50, y + 2, 0.3);
  text('50 mm: measure it. If it is shorter, print at 100 %.', x + 54, y + 1, 8);
}
