import type { Row } from '../db/journal.js';
import type { PlanName, RevisionTable, ThingTable } from './kinds.js';
import type { Revisions } from './revisions.js';

/** What lists tell of the newest revisions of things, read once for each version of a thing. */
export class ReadOnce<K extends PlanName, T> {
  private readonly known = new Map<string, { readonly version: number; readonly what: T }>();

  /** @param read what is told of a revision */
  constructor(
    private readonly rule: Revisions,
    private readonly kind: K,
    private readonly read: (revision: Row<RevisionTable<K>>) => T,
  ) {}

  /** By the ids of the things. */
  async of(things: readonly Row<ThingTable<K>>[]): Promise<ReadonlyMap<string, T>> {
    const changed = things.filter(({ id, version }) => this.known.get(id)?.version !== version);
    if (changed.length > 0) await this.readNewest(changed);
    return new Map(
      things.flatMap(({ id }) => {
        const known = this.known.get(id);
        return known ? [[id, known.what] as const] : [];
      }),
    );
  }

  private async readNewest(things: readonly Row<ThingTable<K>>[]): Promise<void> {
    const newest = await this.rule.newestOfMany(
      this.kind,
      things.map((thing) => thing.id),
    );
    for (const { id, version } of things) {
      const revision = newest.get(id);
      if (revision) this.known.set(id, { version, what: this.read(revision) });
    }
  }
}
