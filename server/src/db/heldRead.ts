import type { Journal } from './journal.js';
import type { TableName } from './schema.js';

/** Something that is read once and held until a table under it changes; where reading fails it is read again. */
export class HeldRead<T> {
  private known: Promise<T> | null = null;

  constructor(
    journal: Journal,
    restsOn: readonly TableName[],
    private readonly read: () => Promise<T>,
  ) {
    const tables = new Set(restsOn);
    journal.onChange((writes) => {
      if (writes.some(({ table }) => tables.has(table))) this.known = null;
    });
  }

  get(): Promise<T> {
    this.known ??= this.read().catch((error: unknown) => {
      this.known = null;
      throw error;
    });
    return this.known;
  }
}
