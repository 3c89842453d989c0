import { Inject, Injectable } from '@nestjs/common';
import { ageInMonths, squeezeOf, type Clay, type Line } from '#core/clay';
import { DROP, hardnessOf, rescued, type Added, type Rescued, type Remedy, type ToRescue } from '#core/conditioning';
import { ofClay } from '#core/material';
import { flatten } from '#core/mix';
import type { RescuedAnswer, RescuedDto } from '#contract';
import { checkVersion, notThere, refused } from '../access/problem.js';
import { Journal, type Draft, type Row } from '../db/journal.js';
import { writeEntry } from '../db/writeEntry.js';
import { Studio } from '../mixes/studio.js';
import { Accounts } from '../stock/accounts.js';
import type { Account } from '../stock/account.js';

/** A clay with its line. */
interface Known {
  readonly clay: Clay;
  readonly line: Line;
}

/** All that a rescue rests on, looked up and checked. */
interface Looked extends Known {
  readonly block: Row<'block'>;
  readonly other: (Known & { readonly block: Row<'block'> }) | null;
  readonly remedy: Remedy;
  readonly becomes: Rescued;
}

/** Shares of a mix may be off what was worked in by so much. */
const NEARLY = 0.03;

/** Blocks that are brought back: softener or other clay is worked in, and a block in its new state lies there. */
@Injectable()
export class RescueService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(Accounts) private readonly accounts: Accounts,
  ) {}

  async rescued(changeId: string, id: string, dto: RescuedDto): Promise<RescuedAnswer> {
    let grams = 0;
    await this.journal.change(changeId, async (draft) => {
      const looked = await this.look(draft, id, dto);
      const { clay, line, other, becomes } = looked;
      grams = becomes.grams;
      const words = ['brought back', clay.name, line.name, dto.from, other?.clay.name ?? 'softener'];
      await writeEntry(draft, dto, { title: `${clay.name} brought back`, words });
      const account = this.accounts.open(draft, dto.entryId);
      await this.takeOff(account, looked, dto);
      const lost = { parts: [{ of: ofClay(clay.id), grams: dto.lostGrams }], to: dto.lostTo };
      await account.putAway([lost], 'lost');
      if (dto.revisionId) await account.lumpAs(dto.newId, { kind: 'mix', id: dto.revisionId }, becomes.grams);
      else await account.ontoShelf(await this.blockOf(draft, looked, dto));
      await account.close('lost');
      draft.summary = `brought ${clay.name} back`;
    });
    return { entryId: dto.entryId, made: dto.revisionId ? 'lump' : 'block', grams };
  }

  private known(clayId: string): Known | null {
    const clay = this.studio.clay(clayId);
    const line = this.studio.line(clay?.lineId ?? '');
    return clay && line ? { clay, line } : null;
  }

  /** @throws ProblemException where something is not there, is too little, or shows and has no mix of its own */
  private async look(draft: Draft, id: string, dto: RescuedDto): Promise<Looked> {
    const block = await draft.find('block', id);
    const own = block && this.known(block.clayId);
    if (!block || !own) throw notThere('This block');
    await checkVersion(`The block of ${own.clay.name}`, block.version, dto.version, () => block);
    if (dto.lostGrams >= dto.grams)
      throw refused('All of it was lost: there is nothing left to bring back.', 'lostGrams');
    const other = await this.otherBlock(draft, id, dto);
    const remedy = {
      added: other && this.addedOf(other, dto.madeOn),
      addedGrams: dto.added?.grams ?? 0,
      drops: dto.drops,
    };
    const becomes = rescued(this.toRescue(own, dto), remedy);
    this.checkColour(own, other, dto, becomes);
    return { ...own, block, other, remedy, becomes };
  }

  private toRescue({ clay, line }: Known, { grams, lostGrams, from }: RescuedDto): ToRescue {
    return { clay, density: line.density, grams: grams - lostGrams, from, pigments: this.studio.pigments };
  }

  private addedOf({ clay, line, block }: Known & { readonly block: Row<'block'> }, on: string): Added {
    const months = block.madeOn === null ? null : ageInMonths(block.madeOn, on);
    const hardness = hardnessOf({ firmness: line.firmness, squeeze: squeezeOf(block, on), months });
    return { clay, density: line.density, grams: block.leftGrams, hardness };
  }

  private async otherBlock(draft: Draft, id: string, { added }: RescuedDto): Promise<Looked['other']> {
    if (!added) return null;
    if (added.blockId === id) throw refused('A block is not worked into itself. Choose another one.', 'added.blockId');
    const block = await draft.find('block', added.blockId);
    const known = block && this.known(block.clayId);
    if (!block || !known) throw refused('This block is not there any more.', 'added.blockId');
    return { ...known, block };
  }

  /** A colour that shows is a mix: it is not the clay that its block says. */
  private checkColour({ clay }: Known, other: Looked['other'], dto: RescuedDto, becomes: Rescued): void {
    if (!dto.revisionId) {
      if (!becomes.shows) return;
      throw refused(
        `With so much ${other?.clay.name ?? ''} it is seen that it is no ${clay.name} any more: keep it as a mix.`,
        'revisionId',
      );
    }
    const recipe = this.studio.recipe(dto.revisionId);
    if (!recipe || !other) throw refused('This mix is not there any more.', 'revisionId');
    const own = dto.grams - dto.lostGrams;
    const wanted = own / (own + (dto.added?.grams ?? 0));
    const { shares } = flatten(recipe, this.studio);
    const others = shares.filter((s) => s.clay.id !== clay.id && s.clay.id !== other.clay.id);
    const share = shares.find((s) => s.clay.id === clay.id)?.mass.valueOf() ?? 0;
    if (others.length > 0 || Math.abs(share - wanted) > NEARLY)
      throw refused('This mix is not what was worked together here.', 'revisionId');
  }

  private async takeOff(
    account: Account,
    { block, other }: Looked,
    { grams, added, drops }: RescuedDto,
  ): Promise<void> {
    await account.offBlock(block, grams, 'grams');
    if (other && added) await account.offBlock(other.block, added.grams, 'added.grams');
    await account.softener(drops * DROP);
  }

  /** The block that lies there now: as old as it was, at the price of what went in. */
  private async blockOf(draft: Draft, { block, other, becomes }: Looked, dto: RescuedDto): Promise<Row<'block'>> {
    if (await draft.find('block', dto.newId))
      throw refused('This block lies there already, under the same id.', 'newId');
    const { added, drops } = dto;
    const netGrams = becomes.grams;
    return {
      id: dto.newId,
      version: draft.version,
      clayId: block.clayId,
      ...{ netGrams, leftGrams: netGrams, madeOn: block.madeOn, dateCode: block.dateCode },
      price: priceOf(block, dto.grams, other?.block ?? null, added?.grams ?? 0),
      squeezed: dto.squeezed ?? becomes.squeeze,
      squeezedOn: dto.madeOn,
      inside: { clays: other && added ? [{ clayId: other.clay.id, grams: added.grams }] : [], drops },
    };
  }
}

/** What went into it has cost; null where a price is not known. */
function priceOf(block: Row<'block'>, grams: number, other: Row<'block'> | null, more: number): number | null {
  const costs = [[block, grams] as const, ...(other ? [[other, more] as const] : [])].map(([{ price, netGrams }, g]) =>
    price === null ? null : (price * g) / netGrams,
  );
  const known = costs.filter((cost) => cost !== null);
  return known.length < costs.length ? null : known.reduce((a, b) => a + b, 0);
}
