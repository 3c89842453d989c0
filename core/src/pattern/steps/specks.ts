import { material, number } from '#core/document';
import type { MaterialKey } from '#core/cane';
import { sumOf, volumeOf, type Body, type Specks } from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import type { Mm, Mm3 } from '#core/units';
import type { ChangeKind } from './kind.js';
import { numberOf, positive } from './measure.js';
import { moved } from './plain.js';
import { complaint } from './sentences.js';

/** Seeds and specks worked in: balls of a size, so many in a cubic centimetre. */
export interface SpecksIn extends Doing<'specks'> {
  readonly of: MaterialKey;
  readonly diameter: Mm;
  readonly perCm3: number;
}

/** They would touch each other beyond this share of the whole. */
const MOST_SHARE = 0.3;

const shareOf = ({ diameter, perCm3 }: SpecksIn): number => ((perCm3 / 1000) * Math.PI * diameter ** 3) / 6;
/** mm³ of specks that are worked into a body. */
const specksIn = (step: SpecksIn, body: Body): Mm3 => {
  const share = shareOf(step);
  return (volumeOf(body) * body.count * share) / (1 - share);
};

export const specks: ChangeKind<SpecksIn> = {
  fields: { of: material, diameter: number(0.05, 10), perCm3: number(0.001, 100_000) },
  starts: (step, before) =>
    before ? [{ what: 'specks', of: step.of, volume: specksIn(step, before), sizes: [step.diameter] }] : [],
  to: ['block', 'sheet', 'rope'],
  change: (body, step, context) => {
    positive(step.diameter, 'The speck');
    const share = shareOf(step);
    if (share > MOST_SHARE) throw complaint('pattern/specks');
    const index = numberOf(context, step.of);
    // the clay makes room: it is as much as before, and the whole is larger by the specks
    const by = Math.cbrt(1 / (1 - share));
    const own: Specks = { material: index, diameter: step.diameter, number: step.perCm3 / 1000 };
    const { shut } = body;
    const larger = (one: Body): Body => ({
      ...one,
      width: one.width * by,
      height: one.height * by,
      thick: one.thick * by,
      ...moved(one, (field) => (x, y, z) => field(x / by, y / by, z / by)),
      specks: [...one.specks, own],
      volumes: () => sumOf([body.volumes(), 1], [new Map([[index, specksIn(step, body)]]), 1]),
    });
    return { ...larger(body), ...(shut && { shut: () => larger(shut()) }) };
  },
};
