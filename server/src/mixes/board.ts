import { Inject, Injectable, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import { chromaHue, deltaE, type Lab } from '#core/colour';
import { colourOf, flatten, normalForm, normalKey, untilGone } from '#core/mix';
import type { MixCard, MixListAnswer, MixName, MixSort } from '#contract';
import { Studio, type Touched } from './studio.js';
import { WordSearch } from './wordSearch.js';

/** A mix worked out, kept as small as the board needs it. */
interface Worked {
  readonly shares: readonly { readonly clay: { readonly id: string }; readonly mass: number }[];
  readonly key: string;
  readonly card: Omit<MixCard, 'possibleGrams'>;
  /** small letters: the name, the notation and all clays, to search in */
  readonly words: string;
  /** grows with each new mix */
  readonly rank: number;
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

/** A mix that looks like something else. */
interface Near {
  readonly kind: 'mix';
  readonly id: string;
  readonly revisionId: string;
  readonly name: string;
  readonly hex: string;
  readonly deltaE: number;
  /** that the shelf gives */
  readonly grams: number;
}

/** Its baked colour. */
function labIn({ card: { lightness: l, chroma, hue } }: Worked): Lab {
  const angle = (hue * Math.PI) / 180;
  return { l, a: chroma * Math.cos(angle), b: chroma * Math.sin(angle) };
}

interface Shown {
  readonly mixes: readonly Worked[];
  readonly search: () => WordSearch;
}

type Order = (a: Worked, b: Worked) => number;
/** Greys stand behind all hues, light to dark. */
const hueKey = ({ card }: Worked): number => (card.chroma < 8 ? 1000 - card.lightness : card.hue);
const byText = (a: string, b: string): number => Number(a > b) - Number(a < b);
const ORDERS: Readonly<Record<MixSort, Order>> = {
  hue: (a, b) => hueKey(a) - hueKey(b) || b.card.lightness - a.card.lightness || a.rank - b.rank,
  name: (a, b) => byText(a.card.name, b.card.name) || a.rank - b.rank,
  newest: (a, b) => b.rank - a.rank,
};
const SORTS = Object.keys(ORDERS) as MixSort[];
/** More stale mixes than this are cheaper to sort anew than to put in one by one. */
const MOST_INSERTED = 100;

/** From this share of translucent clay on, by mass, a mix is glass: an assumption. */
const MOSTLY = 0.5;

/** Where `mix` belongs in a sorted list. */
function placeOf(mix: Worked, list: readonly Worked[], order: Order): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const other = list[middle];
    if (other && order(other, mix) < 0) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The chip board: every mix worked out once to its colour, and again when something under it changes. */
/** Mixes that are worked out before others have their turn. */
const AT_ONCE = 50;

@Injectable()
export class Board implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly worked = new Map<string, Worked>();
  private readonly byKey = new Map<string, Set<string>>();
  private readonly ranks = new Map<string, number>();
  private sorted: Record<MixSort, Worked[]> | null = null;
  private readonly stale = new Set<string>();
  private readonly views = new Map<string, Shown>();

  private ended = false;

  constructor(@Inject(Studio) private readonly studio: Studio) {
    studio.onTouched((touched) => {
      this.follow(touched);
    });
  }

  /**
   * Works the mixes out after the start, a few at a time, so that the first who looks does not wait for all of
   * them.
   */
  onApplicationBootstrap(): void {
    const waiting = this.studio.all('mix').map((mix) => mix.id);
    const next = (): void => {
      if (this.ended || this.sorted) return;
      for (const id of waiting.splice(-AT_ONCE)) if (!this.worked.has(id)) this.work(id);
      if (waiting.length > 0) setImmediate(next);
      else this.upToDate();
    };
    setImmediate(next);
  }

  onApplicationShutdown(): void {
    this.ended = true;
  }

  /** Chips whose name, notation or clays hold every word of the search. */
  list({ search, now, retired, sort, offset, limit }: BoardQuery): MixListAnswer {
    const words = search
      .toLowerCase()
      .split(/[\s,+]+/)
      .filter((word) => word !== '');
    const left = this.gramsLeft();
    const { mixes, search: texts } = this.shown(sort, retired);
    const named =
      words.length === 0
        ? mixes
        : texts()
            .find(words)
            .flatMap((i) => mixes[i] ?? []);
    const found = now <= 0 ? named : named.filter((mix) => untilGone(mix, left).grams >= now);
    return {
      total: found.length,
      cards: found
        .slice(offset, offset + limit)
        .map((mix) => ({ ...mix.card, possibleGrams: untilGone(mix, left).grams })),
    };
  }

  /** Revisions of mixes that are mostly translucent, so many of all their hues. */
  glass(most: number): string[] {
    const all = this.shown('hue', false).mixes.filter((mix) => this.isGlass(mix));
    const count = Math.min(most, all.length);
    return Array.from({ length: count }, (_, i) => all[Math.floor((i * all.length) / count)]!.card.revisionId);
  }

  /** Mixes that look most like something, without a clay, and of which the shelf gives so much; nearest first. */
  near(lab: Lab, { without, grams, most }: { without: string; grams: number; most: number }): Near[] {
    const left = this.gramsLeft();
    const all = this.shown('name', false)
      .mixes.filter((mix) => !mix.shares.some(({ clay }) => clay.id === without))
      .map((mix) => ({ mix, apart: deltaE(lab, labIn(mix)) }))
      .sort((a, b) => a.apart - b.apart);
    const found: Near[] = [];
    for (const { mix, apart } of all) {
      if (found.length >= most) break;
      const { id, revisionId, name, hex } = mix.card;
      const possible = untilGone(mix, left).grams;
      if (possible >= grams) found.push({ kind: 'mix', id, revisionId, name, hex, deltaE: apart, grams: possible });
    }
    return found;
  }

  private isGlass({ shares }: Worked): boolean {
    const clear = shares.filter(({ clay }) => this.studio.one('clay', clay.id)?.kind === 'translucent');
    return clear.reduce((sum, { mass }) => sum + mass, 0) > MOSTLY;
  }

  /** Other mixes of the same normal form. */
  twinsOf(mixId: string): MixName[] {
    this.upToDate();
    const key = this.worked.get(mixId)?.key ?? '';
    return [...(this.byKey.get(key) ?? [])]
      .filter((id) => id !== mixId)
      .flatMap((id) => {
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

  /** The mixes of the board in an order, and the search in their words; kept until one of them changes. */
  private shown(sort: MixSort, retired: boolean): Shown {
    const all = this.upToDate()[sort];
    const name = `${sort} ${String(retired)}`;
    const known = this.views.get(name);
    if (known) return known;
    const mixes = all.filter((mix) => mix.card.retired === retired);
    let texts: WordSearch | null = null;
    const made: Shown = { mixes, search: () => (texts ??= new WordSearch(mixes.map((mix) => mix.words))) };
    this.views.set(name, made);
    return made;
  }

  private upToDate(): Record<MixSort, Worked[]> {
    if (this.sorted && this.stale.size === 0) return this.sorted;
    if (!this.sorted || this.stale.size > MOST_INSERTED) return this.sortAll();
    const { sorted } = this;
    for (const id of this.stale) {
      const before = this.worked.get(id);
      const after = this.work(id);
      for (const sort of SORTS) {
        const [list, order] = [sorted[sort], ORDERS[sort]];
        if (before) list.splice(placeOf(before, list, order), 1);
        if (after) list.splice(placeOf(after, list, order), 0, after);
      }
    }
    this.stale.clear();
    this.views.clear();
    return sorted;
  }

  private sortAll(): Record<MixSort, Worked[]> {
    for (const id of this.stale) this.forget(id);
    this.stale.clear();
    const all = this.studio.all('mix').flatMap((mix) => this.worked.get(mix.id) ?? this.work(mix.id) ?? []);
    const by = (sort: MixSort): Worked[] => [...all].sort(ORDERS[sort]);
    this.views.clear();
    this.sorted = { hue: by('hue'), name: by('name'), newest: by('newest') };
    return this.sorted;
  }

  private work(mixId: string): Worked | undefined {
    this.forget(mixId);
    const mix = this.studio.one('mix', mixId);
    const revision = this.studio.newest(mixId);
    const recipe = revision && this.studio.recipe(revision.id);
    if (!mix || !revision || !recipe) return undefined;
    const flat = flatten(recipe, this.studio);
    const { hex, lab } = colourOf(flat, 'baked', this.studio.pigments);
    const { c, h } = chromaHue(lab);
    const notation = this.studio.notation(recipe);
    const rank = this.ranks.get(mixId) ?? this.ranks.size;
    this.ranks.set(mixId, rank);
    const worked: Worked = {
      shares: flat.shares.map(({ clay, mass }) => ({ clay, mass: mass.valueOf() })),
      key: normalKey(normalForm(flat, recipe.basis)),
      rank,
      card: {
        id: mixId,
        revisionId: revision.id,
        name: mix.name,
        notation,
        hex,
        lightness: lab.l,
        hue: h,
        chroma: c,
        retired: mix.retired,
      },
      words: [mix.name, notation, ...flat.shares.map((s) => s.clay.name)].join(' ').toLowerCase(),
    };
    this.worked.set(mixId, worked);
    this.byKey.set(worked.key, (this.byKey.get(worked.key) ?? new Set()).add(mixId));
    return worked;
  }

  private forget(mixId: string): void {
    this.byKey.get(this.worked.get(mixId)?.key ?? '')?.delete(mixId);
    this.worked.delete(mixId);
  }

  private follow({ all, mixes }: Touched): void {
    if (all) {
      this.worked.clear();
      this.byKey.clear();
      this.sorted = null;
    }
    for (const id of mixes) this.stale.add(id);
  }
}
