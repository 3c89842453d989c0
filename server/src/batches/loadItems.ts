import type { Alone, AssemblyOrder, BatchPlan, LoadItem, PieceOrder } from '#core/batch';
import { materialsOfAssembly, minutesFor } from '#core/batch';
import { bakedTogether } from '#core/clay';
import { cutterBox } from '#core/cutter';
import type { Material } from '#core/material';
import { extentOfAll } from '#core/piece';
import { lookUp, type Looking, type MaterialBook } from '#core/stock';
import { attempt } from '#core/units';

/** °C around what is wished within which a part bakes: an assumption. */
const BAND = 5;
/** L* from which a colour browns before others are baked, and the share of a kind that counts: assumptions. */
const [LIGHT, MOSTLY] = [85, 0.5];

export interface Planned {
  readonly plan: BatchPlan;
  readonly orders: readonly PieceOrder[];
  readonly assemblies: readonly AssemblyOrder[];
}

/** Whether some materials want to bake by themselves. */
function aloneOf(materials: readonly Material[], book: MaterialBook, looking: Looking): Alone | null {
  const known = materials.flatMap((of) =>
    attempt(
      () => [lookUp(of, book, looking)],
      () => [],
    ),
  );
  if (known.some(({ kinds }) => (kinds.glitter ?? 0) > 0)) return 'glitter';
  if (known.some(({ kinds }) => (kinds.translucent ?? 0) > MOSTLY)) return 'translucent';
  const light = known.length > 0 && known.every(({ labs }) => labs.every((lab) => lab.l > LIGHT));
  return light ? 'light' : null;
}

/** What of a planned batch goes into the oven, each kind with its temperatures and its size. */
export function loadItemsOf(
  batchId: string,
  { plan, orders, assemblies }: Planned,
  book: MaterialBook,
  looking: Looking,
): LoadItem[] {
  return plan.bakes.flatMap(({ pieceId, count, mm, lines: lineIds, cores }): LoadItem[] => {
    const lines = [...new Set(lineIds)].flatMap((id) => book.line(id) ?? []);
    if (lines.length === 0) return [];
    const order = orders.find((o) => o.id === pieceId);
    const assembly = assemblies.find((a) => a.id === pieceId);
    const { celsius, maxC } = bakedTogether(lines);
    const extent = assembly && extentOfAll(assembly.laid);
    const cut = order && cutterBox(order.cutter);
    const round = cores === true ? { width: mm, height: mm } : null;
    const box = round ?? extent ?? cut ?? { width: mm, height: mm };
    const materials = assembly ? materialsOfAssembly(assembly) : (order?.layers.map((l) => l.of) ?? []);
    return [
      {
        id: `${batchId} ${pieceId}${cores === true ? ' cores' : ''}`,
        ...{ count, box: { width: box.width, height: box.height }, celsius, maxC },
        low: Math.min(celsius - BAND, maxC),
        minutes: Math.max(...lines.map((line) => minutesFor(line, mm))),
        alone: cores === true ? null : aloneOf(materials, book, looking),
      },
    ];
  });
}
