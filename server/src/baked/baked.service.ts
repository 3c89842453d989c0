import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { readingsOf, trackBake, wishOf } from '#core/oven';
import type { BakedDto, OvenReadingDto } from '#contract';
import { notThere, refused } from '../access/problem.js';
import { DaysService } from '../days/days.service.js';
import { Journal, type Draft, type Row } from '../db/journal.js';
import { writeEntry } from '../db/writeEntry.js';

/** Readings of an oven that are kept; of older ones the newest stay. */
const MOST_READINGS = 200;
const MINUTE = 60_000;
/** Names of a load that stand in its title; of more it says how many. */
const MOST_NAMED = 3;

/** Writes loads that were baked into the diary. */
@Injectable()
export class BakedService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(DaysService) private readonly days: DaysService,
  ) {}

  /**
   * The diary gets the load with its curve, the days what is done of them, and the oven what the curve tells of it; in
   * one change.
   */
  async baked(changeId: string, ovenId: string, dto: BakedDto): Promise<{ entryId: string }> {
    checkLoad(dto);
    await this.journal.change(changeId, async (draft) => {
      const oven = await draft.find('oven', ovenId);
      if (!oven) throw notThere('This oven');
      const title = `Baked: ${namesIn(dto)}`;
      await writeEntry(draft, dto, { title, words: [oven.name, ...dto.items.map(({ name }) => name)] });
      await draft.put('entryBake', rowOf(dto, oven.name));
      await learn(draft, oven, dto);
      await this.days.markBaked(draft, dto.items, Math.round(Date.now() / MINUTE));
      draft.summary = `baked ${namesIn(dto)}`;
    });
    return { entryId: dto.entryId };
  }
}

/** @throws ProblemException where the figures contradict each other, or the curve runs backwards */
function checkLoad({ celsius, low, maxC, curve }: BakedDto): void {
  if (celsius > maxC) throw refused('The temperature is above the maximum of what is in the oven.', 'celsius');
  if (low > celsius) throw refused('The lowest temperature is above the one that is wished.', 'low');
  curve.forEach((point, i) => {
    const before = curve[i - 1];
    if (before && point.at <= before.at)
      throw refused('The points of a curve come one after the other.', `curve.${i}.at`);
  });
}

function namesIn({ items }: BakedDto): string {
  const names = items.map(({ name, count, cores }) => `${count} ${name}${cores ? ', cores' : ''}`);
  const told = names.slice(0, MOST_NAMED).join('; ');
  return names.length > MOST_NAMED ? `${told} and ${names.length - MOST_NAMED} more kinds` : told;
}

/** Minutes within the band and the hottest moment are worked out here, from the curve. */
function rowOf(dto: BakedDto, ovenName: string): Row<'entryBake'> {
  const { entryId, dial, celsius, low, maxC, minutes, lasted, items, curve } = dto;
  const wish = wishOf(dto);
  const told = trackBake(curve, wish);
  return {
    ...{ id: randomUUID(), entryId, ovenName, dial, celsius, low, high: wish.high, maxC, minutes, lasted, items },
    inBand: curve.length > 1 ? told.inBand : null,
    hottest: told.hottest,
    curve: curve.map(({ at, celsius: c }) => [at, c] as const),
  };
}

/** What the curve tells of the oven goes among its readings. */
async function learn(
  draft: Draft,
  oven: Row<'oven'>,
  { dial, dialFrom, curve, madeOn, learn: wanted }: BakedDto,
): Promise<void> {
  if (!wanted || dial === null) return;
  const since = curve.filter(({ at }) => at >= dialFrom);
  const told = readingsOf(since, dial).map((r): OvenReadingDto => ({ id: randomUUID(), readOn: madeOn, ...r }));
  if (told.length === 0) return;
  const readings = [...oven.readings, ...told].slice(-MOST_READINGS);
  await draft.put('oven', { ...oven, readings, version: draft.version });
}
