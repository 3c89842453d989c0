import { keyOf } from '#core/material';
import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { readNumber } from '#core/units';
import { checkParts, flattenNew, openBrackets, readRecipe, restsOn, type Recipe } from '#core/mix';
import type { ChipDto, IngredientDto, MixAnswer, MixDto, NotationAnswer, RevisionAnswer } from '#contract';
import { checkVersion, inUse, notThere, refused, refusedAt } from '../access/problem.js';
import { Journal, type Draft, type Row } from '../db/journal.js';
import { columnsFor } from '../db/references.js';
import { Revisions, type Written } from '../revisions/revisions.js';
import { Board } from './board.js';
import { MixesStore } from './mixes.store.js';
import { meantIn, namesIn } from './names.js';
import { Studio } from './studio.js';

@Injectable()
export class MixesService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(Board) private readonly board: Board,
    @Inject(MixesStore) private readonly store: MixesStore,
    @Inject(Revisions) private readonly revisionRule: Revisions,
  ) {}

  async open(id: string): Promise<MixAnswer> {
    const mix = this.studio.one('mix', id);
    if (!mix) throw notThere('This mix');
    const rows = this.studio.revisions(id);
    const referenced = new Set(rows.flatMap((r) => [...restsOn(this.recipeOf(r.id), this.studio)]));
    const users = new Map(rows.flatMap((r) => this.studio.usersOf(r.id)).map((m) => [m.id, m.name]));
    return {
      id,
      version: mix.version,
      name: mix.name,
      note: mix.note,
      retired: mix.retired,
      wantedHex: mix.wantedHex,
      revisions: await this.answers(rows.map((r) => r.id)),
      referenced: await this.answers([...referenced, ...this.newerThan(referenced)]),
      chips: await this.store.chipsOf(rows.map((r) => r.id)),
      sameAs: this.board.twinsOf(id),
      usedIn: [...users].map(([user, name]) => ({ id: user, name })),
    };
  }

  /** A revision and all it rests on. */
  async withAll(revisionId: string): Promise<RevisionAnswer[]> {
    if (!this.studio.one('revision', revisionId)) throw notThere('This recipe');
    return this.answers([revisionId, ...restsOn(this.recipeOf(revisionId), this.studio)]);
  }

  /** Understands typed notation with the names on the shelf and the board. */
  async read(text: string): Promise<NotationAnswer> {
    const { terms: said, basis } = readRecipe(text, namesIn(this.studio));
    const terms = openBrackets(said);
    const ingredients = terms.map(({ parts, of }) => ({
      parts: parts.toFraction(),
      of: meantIn(text, of, this.studio),
    }));
    checkParts(terms.map(({ parts, of }) => ({ parts, name: of.name })));
    const recipe = this.toRecipe('volume', ingredients);
    return { basis, ingredients, referenced: await this.answers([...restsOn(recipe, this.studio)]) };
  }

  async save(changeId: string, dto: MixDto): Promise<MixAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('mix', dto.id);
      await checkVersion(stored?.name ?? 'This mix', stored?.version, dto.version, () => this.open(dto.id));
      this.checkName(dto);
      const recipe = this.checkedRecipe(dto);
      await draft.put('mix', {
        id: dto.id,
        version: draft.version,
        name: dto.name.trim(),
        note: dto.note,
        retired: dto.retired,
        wantedHex: dto.wantedHex === undefined ? (stored?.wantedHex ?? null) : (dto.wantedHex?.toUpperCase() ?? null),
      });
      const newest = this.studio.newest(dto.id);
      const before = newest && this.recipeOf(newest.id);
      const changed = !before || !sameRecipe(before, recipe);
      if (changed) await this.writeRecipe(draft, dto, await this.revisionRule.written('mix', newest, changed));
      const name = dto.name.trim();
      const what = changed ? `${name} is now ${this.studio.notation(recipe)}` : `changed ${name}`;
      draft.summary = stored ? what : `new mix ${name}`;
    });
    return this.open(dto.id);
  }

  async saveChip(changeId: string, dto: ChipDto): Promise<ChipDto> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('chip', dto.id);
      const revision = this.studio.one('revision', dto.revisionId);
      if (!revision) throw refused('The recipe of this chip is not there any more.', 'revisionId');
      await checkVersion('This chip', stored?.version, dto.version, () => stored);
      await draft.put('chip', { ...dto, version: draft.version });
      draft.summary = `${stored ? 'changed a chip' : 'new chip'} of ${this.studio.nameOf(dto.revisionId)}`;
    });
    return (await this.store.chip(dto.id)) ?? dto;
  }

  async removeChip(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const chip = await draft.find('chip', id);
      if (!chip) throw notThere('This chip');
      await checkVersion('This chip', chip.version, version, () => chip);
      draft.remove('chip', [chip]);
      draft.summary = `struck out a chip of ${this.studio.nameOf(chip.revisionId)}`;
    });
  }

  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const mix = await draft.find('mix', id);
      if (!mix) throw notThere('This mix');
      await checkVersion(mix.name, mix.version, version, () => this.open(id));
      const { usedIn } = await this.open(id);
      const revisions = this.studio.revisions(id);
      const uses = [
        ...usedIn.map((m) => `the mix ${m.name}`),
        ...(await this.store.usesOf(revisions.map((r) => r.id))),
      ];
      if (uses.length > 0)
        throw inUse(
          `${mix.name} is used by ` +
            `${uses.slice(0, 6).join(', ')}${uses.length > 6 ? ` and ${uses.length - 6} more` : ''}. Retire it ` +
            'instead: it leaves the board and stays in them.',
        );
      draft.remove(
        'ingredient',
        revisions.flatMap((r) => this.studio.ingredients(r.id)),
      );
      draft.remove('revision', revisions);
      draft.remove('mix', [mix]);
      draft.summary = `took ${mix.name} off the board`;
    });
  }

  private async writeRecipe(
    draft: Draft,
    dto: MixDto,
    { id, number, createdAt, before: kept }: Written<Row<'revision'>>,
  ): Promise<void> {
    const revision = { id, mixId: dto.id, number, basis: dto.basis, createdAt };
    await draft.put('revision', revision);
    const before = kept ? this.studio.ingredients(kept.id) : [];
    const wanted = dto.ingredients.map((ingredient, position) => ({
      id: before[position]?.id ?? randomUUID(),
      revisionId: revision.id,
      position,
      parts: readNumber(ingredient.parts).toFraction(),
      ...columnsFor('ingredient', ingredient.of),
    }));
    draft.replace('ingredient', before, wanted);
  }

  private checkName({ id, name }: MixDto): void {
    const wanted = name.trim().toLowerCase();
    if ((this.studio.mixNamed(name)?.id ?? id) !== id) {
      throw refused(`There is a mix called ${name.trim()} already.`, 'name');
    }
    if (this.studio.all('clay').some((c) => c.name.toLowerCase() === wanted)) {
      throw refused(`${name.trim()} is the name of a clay on the shelf. Call the mix something else.`, 'name');
    }
  }

  /** @throws ProblemException with the field of the ingredient that is wrong */
  private checkedRecipe(dto: MixDto): Recipe {
    dto.ingredients.forEach(({ of, parts }, i) => {
      if (!this.studio.has(of))
        throw refused('This ingredient is not on the shelf and not on the board.', `ingredients.${i}.of`);
      refusedAt(`ingredients.${i}.parts`, () => {
        checkParts([{ parts: readNumber(parts), name: this.studio.called(of) }]);
      });
    });
    const recipe = this.toRecipe(dto.basis, dto.ingredients);
    const own = new Set(this.studio.revisions(dto.id).map((r) => r.id));
    const self = [...restsOn(recipe, this.studio)].find((id) => own.has(id));
    if (self !== undefined) {
      const through = recipe.ingredients.flatMap(({ of }) =>
        of.kind === 'mix' && !own.has(of.id) ? [this.studio.nameOf(of.id)] : [],
      );
      throw refused(
        `A mix cannot contain itself: ${[dto.name, ...through.slice(0, 1), dto.name].join(' contains ')}.`,
        'ingredients',
      );
    }
    refusedAt('ingredients', () => {
      flattenNew(recipe, this.studio);
    });
    return recipe;
  }

  private toRecipe(basis: Recipe['basis'], ingredients: readonly IngredientDto[]): Recipe {
    return { basis, ingredients: ingredients.map(({ parts, of }) => ({ parts: readNumber(parts), of })) };
  }

  private recipeOf(revisionId: string): Recipe {
    return this.studio.recipe(revisionId) ?? { basis: 'volume', ingredients: [] };
  }

  /** Newer recipes of the mixes that older ones are used of. */
  private newerThan(revisionIds: ReadonlySet<string>): string[] {
    return [...revisionIds].flatMap((id) => {
      const newest = this.studio.newerThan(id);
      return newest && !revisionIds.has(newest.id) ? [newest.id] : [];
    });
  }

  private async answers(revisionIds: readonly string[]): Promise<RevisionAnswer[]> {
    const made = await this.revisionRule.madeOf('mix', revisionIds);
    return revisionIds
      .flatMap((id) => this.studio.one('revision', id) ?? [])
      .map((r) => this.revisionAnswer(r, made.has(r.id)));
  }

  private revisionAnswer(row: Row<'revision'>, made: boolean): RevisionAnswer {
    return {
      id: row.id,
      mixId: row.mixId,
      mixName: this.studio.nameOf(row.id),
      number: row.number,
      newest: this.studio.newerThan(row.id) === undefined,
      basis: row.basis,
      made,
      createdAt: row.createdAt,
      ingredients: this.recipeOf(row.id).ingredients.map(({ parts, of }) => ({ parts: parts.toFraction(), of })),
    };
  }
}

function sameRecipe(a: Recipe, b: Recipe): boolean {
  const text = ({ basis, ingredients }: Recipe): string =>
    JSON.stringify([basis, ingredients.map(({ parts, of }) => [parts.toFraction(), keyOf(of)])]);
  return text(a) === text(b);
}
