import { randomUUID } from 'node:crypto';
import { takeFrom } from '#core/batch';
import { inBoth, showMass } from '#core/units';
import type { UsedDto } from '#contract';
import { refused } from '../access/problem.js';
import type { Draft } from '../db/journal.js';
import type { Studio } from '../mixes/studio.js';

/**
 * Takes clay off its blocks, oldest first, and notes it with a diary entry.
 * @throws ProblemException at `used.<i>` for a clay that is not there, stands there twice, or of which there is
 * too little
 */
export async function takeClay(draft: Draft, studio: Studio, entryId: string, used: readonly UsedDto[]): Promise<void> {
  const seen = new Set<string>();
  for (const [i, { clayId, grams }] of used.entries()) {
    const clay = studio.clay(clayId);
    if (!clay || seen.has(clayId))
      throw refused('This clay is not on the shelf, or stands here twice.', `used.${i}.clayId`);
    seen.add(clayId);
    const { takings, short } = takeFrom(studio.blocksOf(clayId), grams);
    if (short > 0) {
      const left = inBoth((system) => showMass(grams - short, system));
      throw refused(
        `There are only ${left} of ${clay.name} on the shelf. Add the block you used, or write what you really took.`,
        `used.${i}.grams`,
      );
    }
    for (const { blockId, grams: taken } of takings) {
      const block = await draft.find('block', blockId);
      if (block)
        await draft.put('block', { ...block, leftGrams: Math.max(0, block.leftGrams - taken), version: draft.version });
    }
    await draft.put('entryTaking', { id: randomUUID(), entryId, clayId, grams });
  }
}
