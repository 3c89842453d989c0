import { isMixable, keyOf, type MaterialKey } from '#core/material';
import { lookUp, type Looking, type MaterialBook } from '#core/stock';
import { cutterBox } from '#core/cutter';
import { extentOfAll } from '#core/piece';
import type { PigmentSource } from '#core/colour';
import type { Block } from '#core/clay';
import { pigmentsWith } from '#core/mix';
import { attempt, type Grams, type Mm } from '#core/units';
import {
  coreOf,
  materialsOfAssembly,
  partOrders,
  type AssemblyOrder,
  type LumpOrder,
  type PartOrders,
} from './assembly.js';
import { aloneOf } from './alone.js';
import { bakeLoads, loadItem, type BakeItem, type BakeLoad } from './bake.js';
import { planPiece, type LayerPlan, type PiecePlan } from './cutPlan.js';
import { demandOf, type Demand, type Measuring } from './demand.js';
import { planLump, type LumpPlan } from './lumpPlan.js';
import { thicknessOf, toCut, type LayerOf, type PieceOrder, type Ready } from './order.js';
import { againstShelf, type AgainstShelf } from './shelf.js';
import { complaint } from './sentences.js';
import type { LoadItem, Tray } from './ovenLoads.js';
import { sumKnown } from './sumKnown.js';
import type { Working } from './alone.js';

export type { LayerPlan, PiecePlan } from './cutPlan.js';
export type { LumpPlan } from './lumpPlan.js';

export interface ClayDemand extends AgainstShelf {
  readonly clayId: string;
  readonly grams: Grams;
}

/** How much of something that lies there a batch takes. */
export interface ReadyDemand {
  readonly of: Ready;
  readonly grams: Grams;
  /** of it there is */
  readonly there: Grams;
  readonly short: Grams;
}

/** A kind of assembled piece, or the sentence that says why it cannot be planned. */
export interface AssemblyPlan {
  readonly id: string;
  /** of all of its sheets and lumps */
  readonly grams: Grams;
  readonly thickest: Mm;
  readonly wrong: string | null;
}

export interface BatchPlan {
  /** kinds of pieces that are cut as they are, and after them the cut parts of assembled ones */
  readonly pieces: readonly PiecePlan[];
  readonly lumps: readonly LumpPlan[];
  readonly assemblies: readonly AssemblyPlan[];
  /** each thing once */
  readonly ready: readonly ReadyDemand[];
  readonly demand: Demand;
  readonly clays: readonly ClayDemand[];
  /** everything that goes into the oven, kind by kind */
  readonly bakes: readonly LoadItem[];
  readonly loads: readonly BakeLoad[];
  readonly totalGrams: Grams;
  readonly scrapGrams: Grams;
  /** null where a price is not known */
  readonly usedCost: number | null;
  readonly buyCost: number | null;
}

export interface PlanInput {
  readonly pieces: readonly PieceOrder[];
  readonly assemblies?: readonly AssemblyOrder[];
  readonly book: MaterialBook;
  readonly blocks: readonly Block[];
  readonly measuring: Measuring;
  /** g of each thing that lies there, in each tub, and of each patterned sheet together */
  readonly there?: ReadonlyMap<MaterialKey, Grams>;
  readonly pigments?: PigmentSource;
  /** of the oven; null or left out: any is large enough */
  readonly tray?: Tray | null;
}

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

/** What lies there, against what is wanted of it. */
function readyDemand(wanted: readonly LayerPlan[], there: ReadonlyMap<MaterialKey, Grams>): ReadyDemand[] {
  const sums = new Map<MaterialKey, { of: Ready; grams: Grams }>();
  for (const { of, grams } of wanted) {
    if (isMixable(of)) continue;
    sums.set(keyOf(of), { of, grams: (sums.get(keyOf(of))?.grams ?? 0) + grams });
  }
  return [...sums].map(([key, { of, grams }]) => {
    const left = there.get(key) ?? 0;
    return { of, grams, there: left, short: Math.max(0, grams - left) };
  });
}

/** An assembled piece with the orders of its parts, or why it has none. */
interface Assembled {
  readonly order: AssemblyOrder;
  readonly parts: PartOrders;
  readonly wrong: string | null;
}

const NO_PARTS: PartOrders = { cuts: [], lumps: [], unchosen: [] };

/** What the parts of an assembled piece ask for; where one has no clay yet, nothing of it is planned. */
function assembled(order: AssemblyOrder): Assembled {
  const { wrong = null } = order;
  if (wrong !== null) return { order, parts: NO_PARTS, wrong };
  return attempt(
    () => {
      if (order.laid.length === 0) throw complaint('batch/nothing');
      const parts = partOrders(order);
      if (parts.unchosen.length > 0) throw complaint('batch/unchosen', { parts: parts.unchosen.join(', ') });
      return { order, parts, wrong: null };
    },
    ({ message }) => ({ order, parts: NO_PARTS, wrong: message }),
  );
}

const linesOf = (materials: readonly LayerOf[], { book, looking }: Working): string[] =>
  materials.flatMap((of) => lookUp(of, book, looking).lines.map((line) => line.id));

/** What goes into the oven for an assembled piece: it, and before that its cores. */
function itemsOf({ order, parts }: Assembled, working: Working): BakeItem[] {
  const materials = materialsOfAssembly(order);
  const extent = extentOfAll(order.laid) ?? { width: 1, height: 1 };
  const whole: BakeItem = {
    pieceId: order.id,
    count: toCut(order),
    mm: order.thickest,
    lines: linesOf(materials, working),
    box: { width: extent.width, height: extent.height },
    alone: aloneOf(materials, working),
    onForm: order.laid.some(({ part }) => part.shape.is === 'veneer'),
  };
  const cores = parts.lumps.flatMap((lump): BakeItem[] => {
    const mm = coreOf(lump);
    if (mm === null) return [];
    const box = { width: mm, height: mm };
    const lines = linesOf([lump.of], working);
    return [{ pieceId: order.id, count: lump.count, mm, lines, box, alone: null, cores: true }];
  });
  return [...cores, whole];
}

function itemOf(piece: PieceOrder, working: Working): BakeItem {
  const materials = piece.layers.map(({ of }) => of);
  return {
    pieceId: piece.id,
    count: toCut(piece),
    mm: thicknessOf(piece),
    lines: linesOf(materials, working),
    box: cutterBox(piece.cutter),
    alone: aloneOf(materials, working),
  };
}

/** How an assembled piece came out: a part that cannot be cut spoils all of it. */
function assemblyPlan(
  one: Assembled,
  cuts: readonly PiecePlan[],
  lumps: readonly LumpPlan[],
  spoiled: ReadonlyMap<string, string>,
): AssemblyPlan {
  const { order, parts } = one;
  const own = cuts.filter(({ id }) => parts.cuts.some((c) => c.id === id));
  const sheets = own.flatMap((p) => (p.wrong === null ? p.layers.map((l) => l.grams) : []));
  const shaped = lumps.filter(({ id }) => parts.lumps.some((l) => l.id === id)).map((l) => l.grams);
  const [part] = [...parts.cuts, ...parts.lumps];
  const wrong = one.wrong ?? spoiled.get(part?.id ?? '') ?? null;
  return { id: order.id, grams: sum([...sheets, ...shaped]), thickest: order.thickest, wrong };
}

const clayDemand = (demand: Demand, blocks: readonly Block[]): ClayDemand[] =>
  [...demand.clays].map(([clayId, grams]) => ({
    clayId,
    grams,
    ...againstShelf(
      blocks.filter((b) => b.clayId === clayId),
      grams,
    ),
  }));

/** The first thing that is wrong with the parts of an assembled piece: a sheet too large, clay that is gone. */
function spoiledBy(
  { parts }: Assembled,
  sheets: readonly PiecePlan[],
  shaped: ReadonlyMap<string, LumpPlan | string>,
): string | null {
  const cut = sheets.find((p) => p.wrong !== null && parts.cuts.some((c) => c.id === p.id))?.wrong ?? null;
  const lump = parts.lumps.map(({ id }) => shaped.get(id)).find((plan) => typeof plan === 'string');
  return cut ?? lump ?? null;
}

/** Everything that is rolled, and everything that is shaped, of all kinds of pieces. */
function wantedOf(input: PlanInput, all: readonly Assembled[], { book, looking }: Working) {
  const orders = [...input.pieces, ...all.flatMap(({ parts }) => parts.cuts)];
  const planned = orders.map((piece) => planPiece(piece, orders, book, looking));
  const shaped = new Map(
    all.flatMap(({ parts }) => parts.lumps).map((lump) => [lump.id, lumpOrWrong(lump, book, looking)]),
  );
  // a part that cannot be made spoils its piece: nothing is rolled for the others then
  const spoiled = new Map<string, string>();
  for (const one of all) {
    const wrong = spoiledBy(one, planned, shaped);
    if (wrong !== null) for (const { id } of [...one.parts.cuts, ...one.parts.lumps]) spoiled.set(id, wrong);
  }
  const pieces = planned.map((p): PiecePlan => {
    const wrong = spoiled.get(p.id);
    return wrong === undefined ? p : { id: p.id, wrong };
  });
  const lumps = [...shaped].flatMap(([id, plan]) => (typeof plan === 'string' || spoiled.has(id) ? [] : [plan]));
  const sheets = pieces.flatMap((piece) => (piece.wrong === null ? piece.layers : []));
  return { pieces, lumps, spoiled, wanted: [...sheets, ...lumps.map(({ of, grams }) => ({ of, grams }))] };
}

const lumpOrWrong = (lump: LumpOrder, book: MaterialBook, looking: Looking): LumpPlan | string =>
  attempt(
    (): LumpPlan | string => planLump(lump, book, looking),
    ({ message }) => message,
  );

/**
 * Everything a batch takes: a cutting layout for each kind of piece and for each cut part of an assembled one, what is
 * shaped by hand, the mixes in making order, each clay against the shelf, the oven loads, the cost. A piece that cannot
 * be made says why and is left out of the sums.
 */
export function planBatch(input: PlanInput): BatchPlan {
  const { book, pigments = pigmentsWith(null) } = input;
  const working: Working = { book, looking: { stage: 'raw', pigments } };
  const all = (input.assemblies ?? []).map(assembled);
  const { pieces, lumps, spoiled, wanted } = wantedOf(input, all, working);
  const fresh = wanted.flatMap(({ of, grams }) => (isMixable(of) ? [{ of, grams }] : []));
  const demand = demandOf(fresh, book, input.measuring, pigments);
  const ready = readyDemand(wanted, input.there ?? new Map<MaterialKey, Grams>());
  const clays = clayDemand(demand, input.blocks);
  const assemblies = all.map((one) => assemblyPlan(one, pieces, lumps, spoiled));
  const good = input.pieces.filter((_, i) => pieces[i]?.wrong === null);
  const whole = all.filter((_, i) => assemblies[i]?.wrong === null);
  const baked = [...good.map((p) => itemOf(p, working)), ...whole.flatMap((a) => itemsOf(a, working))];
  const items = baked.flatMap((item) => loadItem(item, book) ?? []);
  return {
    ...{ pieces, lumps, assemblies, ready, demand, clays },
    bakes: items,
    loads: bakeLoads(items, input.tray ?? null),
    totalGrams: sum(clays.map((c) => c.grams)) + sum(ready.map((r) => r.grams)),
    scrapGrams: sum([...pieces.map((p) => (p.wrong === null ? p.scrapGrams : 0)), ...lumps.map((l) => l.scrapGrams)]),
    usedCost: sumKnown(clays.map((c) => c.usedCost)),
    buyCost: sumKnown(clays.map((c) => c.buyCost)),
  };
}
