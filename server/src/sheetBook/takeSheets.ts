import { inBoth, showLong } from '#core/units';
import type { CaneTakenDto } from '#contract';
import { refused } from '../access/problem.js';
import type { Account } from '../stock/account.js';
import { whole } from '../stock/leftOf.js';

/** mm of a plug that nobody keeps, and that hands do not miss. */
const [SCRAP, HAIR] = [1, 0.5];

/**
 * Takes parts of plugs and rolled sheets out of the sheet book: what is left
 * stays there with its weight, of next to nothing it is noted as used up.
 * @throws ProblemException where one is not there, or is too short
 */
export async function takeSheets(account: Account, taken: readonly CaneTakenDto[]): Promise<void> {
  for (const [i, { sheetId, lengthMm }] of taken.entries()) {
    const found = await account.thing(sheetId);
    const sheet = found && whole(found);
    if (!sheet || sheet.gone)
      throw refused(
        `${sheet?.name ?? 'What the cane was begun with'} is used up: it does not lie in the sheet book any more.`,
        `taken.${i}.sheetId`,
      );
    const side = sheet.form === 'sheet' ? 'widthMm' : 'lengthMm';
    const left = sheet[side] - lengthMm;
    if (left < -HAIR)
      throw refused(
        `There are only ${inBoth((u) => showLong(sheet[side], u))} of ${sheet.name}.`,
        `taken.${i}.lengthMm`,
      );
    const gone = left < SCRAP;
    const grams = gone ? sheet.grams : (sheet.grams * left) / sheet[side];
    const rest = gone ? {} : { [side]: left, grams };
    await account.takenOf({ ...sheet, ...rest, gone }, gone ? grams : sheet.grams - grams);
  }
}
