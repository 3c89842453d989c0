/** The names that long work goes by, in the worker that does it and in the window that stops it. */
export const SEARCH = 'search';
/** One search among several. */
export const searchName = (number: number): string => `${SEARCH} ${number}`;
/** A picture as a file, of a cane after one of its steps. */
export const fileName = ({ id, at }: { readonly id: string; readonly at: number }): string => `file ${id} ${at}`;
