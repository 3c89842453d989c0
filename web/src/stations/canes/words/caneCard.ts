import type { UnitSystem } from '#core/units';
import type { CaneAnswer } from '#contract';
import { shareWords, type CardLine, type PictureCard } from '../../../parts/card/pictureCard.js';
import { faceFile } from '../../../workers/cane.js';
import type { PlainStep } from '../../../workers/canePlain.js';
import type { BenchCane } from '../clay/useCane.js';
import { sizeWords } from './sizeWords.js';

/** px of the face on a card. */
const FACE_PX = 900;

/** What a face is made of, by area, most first. */
function linesOf({ amounts }: PlainStep, { materials }: BenchCane): readonly CardLine[] {
  const total = amounts.reduce((sum, [, area]) => sum + area, 0);
  return [...amounts]
    .sort(([, a], [, b]) => b - a)
    .map(([key, area]) => {
      const material = materials.get(key);
      return { hexes: material?.hexes ?? [], name: material?.name ?? '…', amount: shareWords(area, total) };
    });
}

/** What the card of a cane shows: its last face, and what that is made of. */
export async function caneCard({ name, note }: CaneAnswer, bench: BenchCane, units: UnitSystem): Promise<PictureCard> {
  const steps = bench.worked?.steps ?? [];
  const at = steps.findLastIndex((s) => s.there);
  const last = steps[at];
  const bytes =
    bench.worked && last ? await faceFile({ id: bench.worked.id, at, size: FACE_PX, paints: bench.paints }) : null;
  const hexes = [...bench.materials.values()].flatMap((m) => m.hexes);
  return {
    name,
    about: last ? `Cane, ${sizeWords(last, units)}` : 'Cane',
    picture: bytes ? { of: 'png', bytes } : { of: 'colours', hexes },
    lines: last ? linesOf(last, bench) : [],
    note,
  };
}
