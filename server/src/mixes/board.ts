import { Inject, Injectable } from '@nestjs/common';
import { chromaHue } from '#core/colour';
import { colourOf, flatten, normalForm, normalKey, restsOn, untilGone, type Flat } from '#core/mix';
import type { MixCard, MixListAnswer, MixName, MixSort } from '#contract';
import { Studio, type Touched } from './studio.js';

interface Worked {
  readonly flat: Flat;
  readonly rests: ReadonlySet<string>;
  readonly key: string;
  readonly card: Omit<MixCard, 'possibleGrams'>;
  /** small letters: the name, the notation and all clays, to search in */
  readonly words: string;
}

export interface BoardQuery {
  readonly search: string;
  /** only mixes of which so many grams can be made; 0 for all */
  readonly now: number;
  readonly retired: boolean;
  readonly sort: MixSort;
  readonly offset: number;
  readonly limit: number;
}

/** Greys stand behind all hues, light to dark. */
const hueKey = ({ card }: Worked): number => (card.chroma < 8 ? 1000 - card.lightness : card.hue);
const ORDERS: Readonly<Record<MixSort, (a: Worked, b: Worked) => number>> = {
  hue: (a, b) => hueKey(a) - hueKey(b) || b.card.lightness - a.card.lightness,
  name: (a, b) => (a.card.name < b.card.name ? -1 : 1),
  newest: () => 0,
};

/** The chip board: every mix worked out once to its colour, and again when something under it changes. */
@Injectable()
export class Board {
  private readonly worked = new Map<string, Worked>();
  private readonly byKey = new Map<string, Set<string>>();
  private readonly inOrder = new Map<MixSort, readonly Worked[]>();

  constructor(@Inject(Studio) private readonly studio: Studio) {
    studio.onTouched((touched) => { this.forget(touched); });
  }

  /** Chips whose name, notation or clays hold every word of the search. */
  list({ search, now, retired, sort, offset, limit }: BoardQuery): MixListAnswer {
    const words = search.toLowerCase().split(/[\s,+]+/).filter((word) => word !== '');
    const left = this.gramsLeft();
    const found = this.ordered(sort).filter((mix) => mix.card.retired === retired
      && words.every((word) => mix.words.includes(word))
      && (now <= 0 || untilGone(mix.flat, left).grams >= now));
    return {
      total: found.length,
      cards: found.slice(offset, offset + limit)
        .map((mix) => ({ ...mix.card, possibleGrams: untilGone(mix.flat, left).grams })),
    };
  }

  /** Other mixes of the same normal form. */
  twinsOf(mixId: string): MixName[] {
    this.ordered('newest');
    const key = this.work(mixId)?.key ?? '';
    return [...this.byKey.get(key) ?? []].filter((id) => id !== mixId).flatMap((id) => {
      const card = this.worked.get(id)?.card;
      return card && !card.retired ? [{ id, name: card.name }] : [];
    });
  }

  private gramsLeft(): (clayId: string) => number {
    const known = new Map<string, number>();
    return (clayId) => {
      const grams = known.get(clayId) ?? this.studio.gramsLeft(clayId);
      known.set(clayId, grams);
      return grams;
    };
  }

  private ordered(sort: MixSort): readonly Worked[] {
    const known = this.inOrder.get(sort);
    if (known) return known;
    const all = this.studio.all('mix').flatMap((mix) => this.work(mix.id) ?? []);
    const sorted = sort === 'newest' ? all.reverse() : all.sort(ORDERS[sort]);
    this.inOrder.set(sort, sorted);
    return sorted;
  }

  private work(mixId: string): Worked | undefined {
    const known = this.worked.get(mixId);
    if (known) return known;
    const mix = this.studio.one('mix', mixId);
    const revision = this.studio.newest(mixId);
    const recipe = revision && this.studio.recipe(revision.id);
    if (!mix || !revision || !recipe) return undefined;
    const flat = flatten(recipe, this.studio);
    const { hex, lab } = colourOf(flat, 'baked', this.studio.pigments);
    const { c, h } = chromaHue(lab);
    const notation = this.studio.notation(recipe);
    const worked: Worked = {
      flat, rests: restsOn(recipe, this.studio), key: normalKey(normalForm(flat, recipe.basis)),
      card: {
        id: mixId, revisionId: revision.id, name: mix.name, notation, hex,
        lightness: lab.l, hue: h, chroma: c, retired: mix.retired,
      },
      words: [mix.name, notation, ...flat.shares.map((s) => s.clay.name)].join(' ').toLowerCase(),
    };
    this.worked.set(mixId, worked);
    const twins = this.byKey.get(worked.key) ?? new Set();
    this.byKey.set(worked.key, twins.add(mixId));
    return worked;
  }

  private forget({ all, mixes, revisions }: Touched): void {
    if (!all && mixes.size === 0 && revisions.size === 0) return;
    this.inOrder.clear();
    for (const [mixId, { rests, key }] of this.worked) {
      if (!all && !mixes.has(mixId) && ![...rests].some((id) => revisions.has(id))) continue;
      this.worked.delete(mixId);
      this.byKey.get(key)?.delete(mixId);
    }
  }
}
