import type { Celsius, Minutes, Mm } from '#core/units';

/** Kinds of pieces that bake by themselves, or under cover: they brown, or take colour, or shed. */
export const ALONE = ['light', 'translucent', 'glitter'] as const;
export type Alone = (typeof ALONE)[number];

/** Pieces of one kind that go into the oven. */
export interface LoadItem {
  readonly id: string;
  readonly pieceId: string;
  readonly count: number;
  /** around one of them */
  readonly box: { readonly width: Mm; readonly height: Mm };
  /** true temperatures at which it bakes: wished, at the least, and never above */
  readonly celsius: Celsius;
  readonly low: Celsius;
  readonly maxC: Celsius;
  readonly minutes: Minutes;
  readonly alone: Alone | null;
  /** cores, which are covered afterwards */
  readonly cores: boolean;
  /** it lies on a form, which takes heat of its own */
  readonly onForm: boolean;
  readonly lineIds: readonly string[];
  /** what its lines would bake at by themselves */
  readonly wished: readonly Celsius[];
  /** by the maker's own figures below the packet's */
  readonly below: boolean;
}

/** What goes in together. */
export interface OvenLoad {
  readonly celsius: Celsius;
  /** at the least */
  readonly low: Celsius;
  readonly maxC: Celsius;
  readonly minutes: Minutes;
  readonly alone: Alone | null;
  readonly items: readonly { readonly id: string; readonly count: number }[];
  /** of the tray that is taken */
  readonly share: number;
  /** so many trays of just this, one after the other */
  readonly times: number;
  readonly cores: boolean;
  readonly onForm: boolean;
  readonly lineIds: readonly string[];
  /** lines that want different temperatures bake together */
  readonly compromise: boolean;
  readonly below: boolean;
}

export interface Tray {
  readonly width: Mm;
  readonly length: Mm;
}

/** mm between two pieces on a tray: an assumption. */
export const TRAY_GAP: Mm = 5;

/** How many pieces lie on a tray, in rows, with gaps; 0 where one is too large for it. */
export function onTray({ width, height }: LoadItem['box'], tray: Tray | null, gap = TRAY_GAP): number {
  if (tray === null) return Infinity;
  const rows = (side: Mm, along: Mm): number => Math.max(0, Math.floor((along + gap) / (side + gap)));
  return Math.max(
    rows(width, tray.width) * rows(height, tray.length),
    rows(height, tray.width) * rows(width, tray.length),
  );
}

/** Some pieces of one kind that lie on one tray, and what share of it they take. */
interface Portion {
  readonly item: LoadItem;
  readonly count: number;
  readonly share: number;
}

/** A kind of piece as full trays, and what is left of it. */
function portionsOf(item: LoadItem, tray: Tray | null): Portion[] {
  const fits = onTray(item.box, tray);
  if (fits === 0) return [];
  if (fits === Infinity) return [{ item, count: item.count, share: 0 }];
  const full = Math.floor(item.count / fits);
  const rest = item.count - full * fits;
  const trays = Array.from({ length: full }, (): Portion => ({ item, count: fits, share: 1 }));
  return rest > 0 ? [...trays, { item, count: rest, share: rest / fits }] : trays;
}

type Together = readonly Portion[];
const HAIR = 1e-9;

/** Whether some portions bake together: on one tray, at a temperature that all of them stand and bake at. */
function fitTogether(portions: Together): boolean {
  const low = Math.max(...portions.map((p) => p.item.low));
  const maxC = Math.min(...portions.map((p) => p.item.maxC));
  const share = portions.reduce((sum, p) => sum + p.share, 0);
  return low <= maxC && share <= 1 + HAIR && new Set(portions.map((p) => p.item.alone)).size === 1;
}

/** Each into the first load that it fits, the largest first. */
function firstFit(portions: Together): Together[] {
  const loads: Portion[][] = [];
  for (const portion of [...portions].sort((a, b) => b.share - a.share)) {
    const load = loads.find((l) => fitTogether([...l, portion]));
    if (load) load.push(portion);
    else loads.push([portion]);
  }
  return loads;
}

/** Every way to share portions out, none worse than the best so far. */
function best(portions: Together, atMost: readonly Together[]): readonly Together[] {
  let found = atMost;
  const share = (at: number, loads: readonly Together[]): void => {
    if (loads.length >= found.length) return;
    const portion = portions[at];
    if (!portion) {
      found = loads;
      return;
    }
    loads.forEach((load, i) => {
      if (fitTogether([...load, portion]))
        share(
          at + 1,
          loads.map((l, k) => (k === i ? [...l, portion] : l)),
        );
    });
    share(at + 1, [...loads, [portion]]);
  };
  share(0, []);
  return found;
}

/** Up to so many portions every way is tried. */
const EVERY = 10;

/** One load less, where all of the emptiest one has room in others, moved there one by one. */
function exchanged(loads: readonly Together[]): readonly Together[] {
  const emptiest = [...loads].sort((a, b) => a.length - b.length)[0];
  if (!emptiest) return loads;
  let others = loads.filter((l) => l !== emptiest);
  for (const portion of emptiest) {
    const at = others.findIndex((l) => fitTogether([...l, portion]));
    if (at < 0) return loads;
    others = others.map((l, i) => (i === at ? [...l, portion] : l));
  }
  return exchanged(others);
}

const asLoad = (portions: Together): OvenLoad => {
  const items = portions.map((p) => p.item);
  const maxC = Math.min(...items.map((i) => i.maxC));
  return {
    maxC,
    low: Math.max(...items.map((i) => i.low)),
    celsius: Math.min(maxC, Math.max(...items.map((i) => i.celsius))),
    minutes: Math.max(...items.map((i) => i.minutes)),
    alone: items[0]?.alone ?? null,
    items: portions.map(({ item, count }) => ({ id: item.id, count })),
    share: portions.reduce((sum, p) => sum + p.share, 0),
    times: 1,
    cores: items.some((i) => i.cores),
    onForm: items.some((i) => i.onForm),
    lineIds: [...new Set(items.flatMap((i) => i.lineIds))],
    compromise: new Set(items.flatMap((i) => i.wished)).size > 1,
    below: items.some((i) => i.below),
  };
};

/** Trays of just the same pieces are told once. */
function told(loads: readonly OvenLoad[]): OvenLoad[] {
  const same = new Map<string, OvenLoad>();
  for (const load of loads) {
    const key = JSON.stringify([load.cores, load.celsius, load.items]);
    const known = same.get(key);
    same.set(key, known ? { ...known, times: known.times + 1 } : load);
  }
  return [...same.values()];
}

function fewest(items: readonly LoadItem[], tray: Tray | null): OvenLoad[] {
  const portions = items.flatMap((item) => portionsOf(item, tray));
  const first = exchanged(firstFit(portions));
  const loads = portions.length <= EVERY ? best(portions, first) : first;
  return told(loads.map(asLoad)).sort((a, b) => a.celsius - b.celsius || b.share - a.share);
}

/**
 * The fewest loads: which pieces go into the oven together, on one tray each, at the highest temperature that is
 * wished and that none of them forbids, as long as the longest wants. First fit decreasing, then exchange; of up to ten
 * portions every way. Cores go before everything else, since they are covered in between.
 * @param tray null: any is large enough
 * @returns cores, then the coolest first; `tooLarge`: ids of pieces that no tray holds
 */
export function ovenLoads(
  items: readonly LoadItem[],
  tray: Tray | null,
): { readonly loads: readonly OvenLoad[]; readonly tooLarge: readonly string[] } {
  const cores = items.filter((i) => i.cores);
  const others = items.filter((i) => !i.cores);
  return {
    loads: [...fewest(cores, tray), ...fewest(others, tray)],
    tooLarge: items.filter((item) => onTray(item.box, tray) === 0).map((item) => item.id),
  };
}

/** Trays in all. */
export const traysIn = (loads: readonly Pick<OvenLoad, 'times'>[]): number =>
  loads.reduce((sum, { times }) => sum + times, 0);
