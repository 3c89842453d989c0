import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { fewFaults } from '#core/formats';
import { colourOf, flatten } from '#core/mix';
import type { TakeInAnswer, TakeInDto, TakeOutAnswer } from '#contract';
import { inBreaths } from '../aside/breath.js';
import { columnsFor } from '../db/references.js';
import { Journal, type Draft, type Row } from '../db/journal.js';
import { Studio } from '../mixes/studio.js';
import { understand, type Incoming, type Understood } from './incoming.js';

/** Mixes out to files and in from them. */
@Injectable()
export class ExchangeService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
  ) {}

  async out(): Promise<TakeOutAnswer> {
    const all: TakeOutAnswer[number][] = [];
    await inBreaths(
      this.studio.all('mix').filter((m) => !m.retired),
      (mix) => {
        const recipe = this.studio.recipe(this.studio.newest(mix.id)?.id ?? '');
        if (!recipe) return;
        const { lab, hex } = colourOf(flatten(recipe, this.studio), 'baked', this.studio.pigments);
        all.push({
          name: mix.name,
          recipe: this.studio.notation(recipe),
          basis: recipe.basis,
          note: mix.note,
          lab,
          hex,
        });
      },
    );
    return all;
  }

  /** Shows what the mixes of a file would be; with `sure` takes all of them in, as one change, if none is wrong. */
  async takeIn(changeId: string, { mixes, sure }: TakeInDto): Promise<TakeInAnswer> {
    let understood = await understand(mixes, this.studio);
    if (!sure || understood.faults.length > 0) return answerOf(understood, null);
    // understood anew in its turn: nothing else is written between the look and the deed
    await this.journal.change(changeId, async (draft) => {
      understood = await understand(mixes, this.studio);
      if (understood.faults.length > 0) return;
      const fresh = freshOf(understood);
      for (const one of fresh) await this.write(draft, one);
      draft.summary =
        fresh.length === 1 ? `took in the mix ${fresh[0]?.line.name.trim() ?? ''}` : `took in ${fresh.length} mixes`;
    });
    return answerOf(understood, understood.faults.length > 0 ? null : freshOf(understood).length);
  }

  private async write(draft: Draft, { line, mixId, revisionId, recipe }: Incoming): Promise<void> {
    await draft.put('mix', {
      id: mixId,
      version: draft.version,
      name: line.name.trim(),
      note: line.note,
      retired: false,
      wantedHex: null,
    });
    await draft.put('revision', {
      id: revisionId,
      mixId,
      number: 1,
      basis: recipe.basis,
      createdAt: new Date().toISOString(),
    });
    draft.replace(
      'ingredient',
      [],
      recipe.ingredients.map(({ parts, of }, position): Row<'ingredient'> => ({
        id: randomUUID(),
        revisionId,
        position,
        parts: parts.toFraction(),
        ...columnsFor('ingredient', of),
      })),
    );
  }
}

const freshOf = ({ incoming }: Understood): Incoming[] => incoming.filter((i) => !i.there);

function answerOf({ incoming, faults }: Understood, taken: number | null): TakeInAnswer {
  const shown = incoming.map(({ line, notation, hex, there }) => ({
    row: line.row,
    name: line.name.trim(),
    notation,
    hex,
    there,
  }));
  return { mixes: shown.sort((a, b) => a.row - b.row), faults: fewFaults(faults), taken };
}
