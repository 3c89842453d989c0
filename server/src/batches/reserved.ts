import { Inject, Injectable } from '@nestjs/common';
import { refused } from '../access/problem.js';
import { CanesTold } from '../canes/canes.told.js';
import type { Row } from '../db/journal.js';
import { StockStore } from '../stock/stock.store.js';

/** Things that lie there and that an open plan counts on. */
@Injectable()
export class ReservedThings {
  constructor(
    @Inject(StockStore) private readonly stock: StockStore,
    @Inject(CanesTold) private readonly canes: CanesTold,
  ) {}

  /** @throws ProblemException where another plan than this batch counts on it */
  async check(thing: Pick<Row<'sheet'>, 'id' | 'name'>, batchId: string, at: string): Promise<void> {
    const counting = [...(await this.stock.countedOn()), ...(await this.canes.countedOn())];
    const other = counting.find((c) => c.madeId === thing.id && c.id !== batchId);
    if (other) throw refused(`${thing.name} is reserved for ${other.name}. Take it out there first.`, at);
  }
}
