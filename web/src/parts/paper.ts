import type { Paper } from '../state/view.js';

/** Sizes of paper as a print style names them. */
export const PAPER_SIZE: Readonly<Record<Paper, string>> = {
  A5: '148mm 210mm',
  A4: '210mm 297mm',
  Letter: '8.5in 11in',
};
