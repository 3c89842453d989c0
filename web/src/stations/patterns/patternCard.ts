import type { UnitSystem } from '#core/units';
import type { PatternAnswer } from '#contract';
import type { PictureCard } from '../../parts/card/pictureCard.js';
import { patternFile } from '../../workers/pattern.js';
import { sizeWords } from './PatternRow.js';
import type { BenchPattern } from './usePattern.js';

/** px of the face on a card. */
const FACE_PX = 900;

/** What the card of a patterned sheet shows: its last face, and what it is made of. */
export async function patternCard(
  { name, note }: PatternAnswer,
  bench: BenchPattern,
  units: UnitSystem,
): Promise<PictureCard> {
  const bodies = bench.bodies ?? [];
  const at = bodies.findLastIndex((b) => b.there);
  const last = bodies[at];
  const wish = { pattern: bench.plain, at, view: { of: 'face' } as const, size: FACE_PX, paints: bench.paints };
  const bytes = last ? await patternFile(wish) : null;
  const materials = [...bench.materials.values()];
  return {
    name,
    about: last ? `Patterned sheet, ${sizeWords(last, units)}` : 'Patterned sheet',
    picture: bytes ? { of: 'png', bytes } : { of: 'colours', hexes: materials.flatMap((m) => m.hexes) },
    lines: materials.map((m) => ({ hexes: m.hexes, name: m.name, amount: '' })),
    note,
  };
}
