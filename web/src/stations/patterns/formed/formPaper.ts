import { showLength, showMass, type UnitSystem } from '#core/units';
import type { PatternAnswer } from '#contract';
import { Column, TITLE } from '../../../parts/paperColumn.js';
import { PaperBook } from '../../../parts/pdfPage.js';
import { saveFile } from '../../../parts/saveFile.js';
import type { Paper } from '../../../state/view.js';
import type { PatternToMake } from '../../../workers/pattern.js';
import { cutLines } from '../making/patternPaper.js';
import type { FormPlan, FormTakes } from './formPlan.js';
import { FORM_NAMES, blankWords, formSize, handsFor, squeezedWords } from './formWords.js';
import type { StillMaker } from './turned.js';

/** What the sheet of a form on paper is made of. */
export interface FormSheet {
  readonly pattern: PatternAnswer;
  readonly plan: PatternToMake;
  readonly own: FormPlan;
  readonly takes: FormTakes;
  readonly still: StillMaker | null;
  readonly units: UnitSystem;
  readonly size: Paper;
}

/** mm that the words below a drawing take. */
const BELOW = 14;

/** A still of it, what it takes, how hands do it, and what is cut at true size. */
export async function saveFormSheet({ pattern, plan, own, takes, still, units, size }: FormSheet): Promise<void> {
  const name = `${pattern.name}, ${FORM_NAMES[own.form.kind]}`;
  const book = await PaperBook.open(name, size);
  const column = new Column(book);
  const { blank, grams, core, coreGrams, squeezed } = takes;
  column.line(`A ${FORM_NAMES[own.form.kind]}, ${formSize(own.form, units)}.`);
  const cut = blank ? blankWords(blank, units) : 'slices all around';
  column.line(`Cut ${cut}, ${showLength(plan.sheet.thick, units, true)} thick: ${showMass(grams, units)}.`);
  if (own.form.kind !== 'dome') column.line(`Core: ${formSize(core, units)}, ${showMass(coreGrams, units)}.`);
  if (squeezed !== null) column.line(squeezedWords(squeezed, own.form));
  column.gap();
  for (const line of handsFor(own.form, own.way)) column.line(`• ${line}`);
  column.gap();
  await column.faces('As it will look', [
    { title: name, words: [], picture: async () => (await still?.take()) ?? null },
  ]);
  if (blank) {
    const { page, y } = book.drawing(blank.width, blank.height, cutLines(blank, [], 0), BELOW);
    page.text('What is cut: true size', book.left, y + 8, TITLE, true);
  }
  saveFile(name, 'pdf', 'application/pdf', await book.bytes());
}
