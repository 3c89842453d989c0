import { partOrderId } from '#core/batch';
import { massOf } from '#core/clay';
import { materialIn } from '#core/material';
import { amountsOf, type LaidPart, type PartAmount } from '#core/piece';
import type { AssemblyDto, PlanAnswer } from '#contract';

/** g/cm³ where the clay of a part is not chosen yet. */
const USUAL_DENSITY = 1.9;

/** g that all pieces have of a part, as it is planned: of a sheet at the setting it is rolled at. null: not planned. */
function plannedGrams(id: string, plan: PlanAnswer): number | null {
  const sheet = plan.pieces.find((p) => p.id === id);
  if (sheet?.wrong === null) return (sheet.layers[0]?.grams ?? 0) - sheet.scrapGrams;
  const lump = plan.lumps.find((l) => l.id === id);
  return lump ? lump.grams - lump.scrapGrams : null;
}

/** g that one piece has of it by its size, before it is planned. */
function sizedGrams({ of, volume, count }: PartAmount, { materials }: PlanAnswer): number {
  const material = of === null ? null : materialIn(of);
  return massOf(volume * count, (material && materials[material.id]?.density) ?? USUAL_DENSITY);
}

/** g of a part that one piece has: what is taken for it is more. */
export function gramsOfPart(laid: LaidPart, { id, count, spare }: AssemblyDto, plan: PlanAnswer): number {
  return amountsOf([laid]).reduce((sum, amount) => {
    const planned = plannedGrams(partOrderId(id, amount), plan);
    return sum + (planned === null ? sizedGrams(amount, plan) : planned / (count + spare));
  }, 0);
}
