import { NOTHING_KNOWN, causesFor, type Symptom, type TroubleFacts } from '#core/trouble';
import type { Table } from './measure.js';

/** What was known of a piece, and what it turned out to be. */
export type Case = readonly [symptom: Symptom, known: Partial<TroubleFacts>, right: string];
export const CASES: readonly Case[] = [
  ['cracks at a fold', { passes: 0.5, crumbly: 1 }, 'too few passes'],
  ['cracks at a fold', { months: 60, passes: 1.1 }, 'old clay'],
  ['cracks at a fold', { passes: 1.2, months: 6, crumbly: 0, roomC: 21 }, 'too dry'],
  ['cracks when sliced', { roomC: 14, restedDays: 3, months: 8 }, 'cold or hard cane'],
  ['cracks when sliced', { restedDays: 200, roomC: 20, months: 10, passes: 1 }, 'cold or hard cane'],
  ['cracks when sliced', { months: 70, crumbly: 0.8, roomC: 21, restedDays: 2 }, 'old clay'],
  ['cracks after baking', { hottestC: 105, lowC: 125, baked: 0.4, thickMm: 6 }, 'too cool or too short'],
  ['cracks after baking', { hottestC: 131, lowC: 125, highC: 135, baked: 1.1, thickMm: 18 }, 'shock of cold'],
  ['cracks after baking', { hottestC: 130, lowC: 125, baked: 1, thickMm: 4, layers: 5 }, 'air between layers'],
  ['bubbles', { layers: 4, translucent: 0 }, 'air between layers'],
  ['bubbles', { layers: 1, translucent: 0.9 }, 'moisture'],
  ['bubbles', { layers: 1, translucent: 0, hottestC: 150, highC: 135, thickMm: 12 }, 'heated too fast'],
  ['mud', { beyond: 2, roomC: 20 }, 'beyond the stop line'],
  ['mud', { beyond: 0, roomC: 29, soft: 0.9 }, 'too warm to fold'],
  ['mud', { beyond: 0, roomC: 20, soft: 0 }, 'colours too near'],
  ['colours run together', { reduced: 20, restedDays: 3 }, 'reduced too far'],
  ['colours run together', { reduced: 3, restedDays: 3, roomC: 20, soft: 0 }, 'too near in lightness'],
  ['colours run together', { reduced: 3, restedDays: 0, roomC: 29, soft: 1 }, 'cut while it was warm'],
  ['brittle', { hottestC: 110, lowC: 125, baked: 0.5, brittle: 0 }, 'too cool or too short'],
  ['brittle', { hottestC: 130, lowC: 125, baked: 1, brittle: 1, thickMm: 1.5 }, 'a brittle line'],
  ['pale or soft', { hottestC: 112, lowC: 125, baked: 0.2 }, 'too cool or too short'],
  ['pale or soft', { hottestC: 130, lowC: 125, baked: 1.1, thickMm: 14 }, 'crowded oven'],
  ['scorched', { hottestC: 165, highC: 135, maxC: 150 }, 'too hot'],
  ['scorched', { hottestC: 130, highC: 135, maxC: 150, baked: 1 }, 'too near the heat'],
  ['taper', { reduced: 2, ends: 1 }, 'one hand stronger'],
  ['taper', { reduced: 16, ends: 1.6 }, 'reduced in few steps'],
  ['smeared face', { restedDays: 0, roomC: 27, sliceMm: 2 }, 'cut while it was warm'],
  ['smeared face', { restedDays: 4, roomC: 20, sliceMm: 2, soft: 0 }, 'dull blade'],
  ['distorted outer rings', { soft: 0.9, months: 50 }, 'soft coat on a hard core'],
  ['distorted outer rings', { reduced: 12, restedDays: 0, soft: 0 }, 'reduced too fast'],
  ['distorted outer rings', { ends: 0.2, reduced: 3, soft: 0, restedDays: 2 }, 'ends not cut'],
  ['dull mica', { sheenPasses: 0.4, mica: 1, beyond: 0 }, 'sheen not even'],
  ['dull mica', { sheenPasses: 1.2, mica: 1, beyond: 1 }, 'rolled too far'],
  ['dull mica', { sheenPasses: 1, mica: 0.2, beyond: 0 }, 'too much else in it'],
  ['gouged mica', { roomC: 28, soft: 0.8, thickMm: 3 }, 'too soft to shave'],
  ['walls bleed', { wall: 0.4, translucent: 0.1 }, 'walls too thin'],
  ['split edges of a blend', { passes: 0.4, months: 10 }, 'too few passes'],
  ['streaks', { blendPasses: 0.5, crumbly: 0 }, 'too few blend passes'],
  ['streaks', { blendPasses: 1.4, crumbly: 0, months: 5 }, 'folded the wrong way'],
  ['ripples', { roomC: 30, soft: 0.8 }, 'soft sheet'],
  ['twins unlike', { roomC: 30, soft: 0.9, ends: 1 }, 'stretched when laid'],
  ['cloudy glaze', { roomC: 12 }, 'damp or cold'],
];

/** How often the right cause is among the first so many, by all that is known, and by how often causes are alone. */
export function rightAmong(first: number, knowing: boolean): number {
  const right = CASES.filter(([symptom, known, id]) => {
    const facts = knowing ? { ...NOTHING_KNOWN, ...known } : NOTHING_KNOWN;
    return causesFor(symptom, facts)
      .slice(0, first)
      .some(({ cause }) => cause.id === id);
  });
  return right.length / CASES.length;
}

/** Share of the cases in which the right cause has to be among the first two. */
export const WANTED = 0.9;

/** What went wrong, of cases of ours. */
export function troubles(): Table {
  const among = rightAmong(2, true);
  return {
    title: `What went wrong: ${CASES.length} cases of ours`,
    figures: [
      {
        ...{ what: 'the right cause among the first two', value: 100 * among, unit: '%' },
        ...{ goal: `≥ ${100 * WANTED} %`, met: among >= WANTED },
      },
      { what: 'the right cause first', value: 100 * rightAmong(1, true), unit: '%' },
      { what: 'among the first two, nothing known of the piece', value: 100 * rightAmong(2, false), unit: '%' },
      { what: 'first, nothing known of the piece', value: 100 * rightAmong(1, false), unit: '%' },
    ],
  };
}
