import type { BalanceAnswer } from '#contract';

/** One place where clay is, or went. */
export interface Place {
  readonly name: string;
  readonly grams: number;
  /** what it means, where that is not plain */
  readonly hint?: string;
}

/** Less than this is told nowhere. */
const HARDLY_ANY = 0.05;

/** Where all the clay is that ever came in; places without any are left out. */
export function placesOf(balance: BalanceAnswer): Place[] {
  const { onShelf, lyingThere, inTubs, inPieces, thrown, lost, unsaid } = balance;
  const places: Place[] = [
    { name: 'on the shelf', grams: onShelf },
    { name: 'lies there', grams: lyingThere },
    { name: 'in tubs', grams: inTubs },
    { name: 'in what was made', grams: inPieces },
    { name: 'thrown away', grams: thrown },
    { name: 'gone without a word', grams: lost, hint: 'on rollers and hands, or weighed too little' },
    { name: 'not written down', grams: unsaid, hint: 'taken off a block by hand, or before this was counted' },
  ];
  return places.filter((p) => p.grams > HARDLY_ANY);
}

/** All that ever came in. */
export const cameIn = ({ bought, found }: BalanceAnswer): number => bought + found;
