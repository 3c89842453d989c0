import type { Celsius, Minutes, Mm } from '#core/units';

/** Kinds of pieces that bake by themselves, or under cover: they brown, or take colour, or shed. */
export const ALONE = ['light', 'translucent', 'glitter'] as const;
export type Alone = (typeof ALONE)[number];

/** Pieces of one kind that go into the oven. */
export interface LoadItem {
  readonly id: string;
  readonly count: number;
  /** around one of them */
  readonly box: { readonly width: Mm; readonly height: Mm };
  /** true temperatures at which it bakes: wished, at the least, and never above */
  readonly celsius: Celsius;
  readonly low: Celsius;
  readonly maxC: Celsius;
  readonly minutes: Minutes;
  readonly alone: Alone | null;
}

/** What goes in together. */
export interface OvenLoad {
  readonly celsius: Celsius;
  readonly maxC: Celsius;
  readonly minutes: Minutes;
  readonly alone: Alone | null;
  readonly items: readonly { readonly id: string; readonly count: number }[];
  /** of the tray that is taken */
  readonly share: number;
}

export interface Tray {
  readonly width: Mm;
  readonly length: Mm;
}

/** mm between two pieces on a tray: an assumption. */
export const TRAY_GAP: Mm = 5;

/** How many pieces lie on a tray, in rows, with gaps; 0 where one is too large for it. */
export function onTray({ width, height }: LoadItem['box'], tray: Tray, gap = TRAY_GAP): number {
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
function portionsOf(item: LoadItem, tray: Tray): Portion[] {
  const fits = onTray(item.box, tray);
  if (fits === 0) return [];
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
  const maxC = Math.min(...portions.map((p) => p.item.maxC));
  return {
    maxC,
    celsius: Math.min(maxC, Math.max(...portions.map((p) => p.item.celsius))),
    minutes: Math.max(...portions.map((p) => p.item.minutes)),
    alone: portions[0]?.item.alone ?? null,
    items: portions.map(({ item, count }) => ({ id: item.id, count })),
    share: portions.reduce((sum, p) => sum + p.share, 0),
  };
};

/**
 * The fewest loads: which pieces go into the oven together, on one tray each, at the highest temperature that is
 * wished and that none of them forbids, as long as the longest wants. First fit decreasing, then exchange; of up to ten
 * portions every way.
 * @returns coolest first; `tooLarge`: ids of pieces that no tray holds
 */
export function ovenLoads(
  items: readonly LoadItem[],
  tray: Tray,
): { readonly loads: readonly OvenLoad[]; readonly tooLarge: readonly string[] } {
  const portions = items.flatMap((item) => portionsOf(item, tray));
  const first = exchanged(firstFit(portions));
  const loads = portions.length <= EVERY ? best(portions, first) : first;
  return {
    loads: loads.map(asLoad).sort((a, b) => a.celsius - b.celsius || b.share - a.share),
    tooLarge: items.filter((item) => onTray(item.box, tray) === 0).map((item) => item.id),
  };
}
