import { LENGTH, list, material, number, object, whole } from '#core/document';
import type { MaterialKey } from '#core/cane';
import { withBits, type Body } from '#core/pattern/body';
import { MOST_OF, type Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { BeginKind } from './kind.js';
import { numberOf, positive, tidy } from './measure.js';

/** Bits of an edge, mixed, and pressed to a log; of each colour so many parts by volume. */
export interface Chop extends Doing<'chop'> {
  readonly bits: readonly { readonly of: MaterialKey; readonly parts: number }[];
  readonly edge: Mm;
  readonly diameter: Mm;
  readonly length: Mm;
  readonly seed: number;
}

const volumeOf = ({ diameter, length }: Chop): number => (Math.PI / 4) * diameter * diameter * length;
const partsOf = ({ bits }: Chop): number => bits.reduce((sum, b) => sum + b.parts, 0);
/** Nobody chops finer than this share of a log across. */
const FINEST = 1 / 60;

export const chop: BeginKind<Chop> = {
  fields: {
    bits: list(object({ of: material, parts: number(0.01, 1000) }), 1, MOST_OF),
    edge: LENGTH,
    diameter: LENGTH,
    length: LENGTH,
    seed: whole(0, 1_000_000),
  },
  starts: (step) =>
    step.bits.map(({ of, parts }) => ({
      what: 'bits',
      of,
      volume: (volumeOf(step) * parts) / partsOf(step),
      sizes: [step.edge],
    })),
  times: (step, factor) => ({ ...step, length: tidy(step.length * factor) }),
  begin: (step, context): Body => {
    const diameter = positive(step.diameter, 'The log');
    const thick = positive(step.length, 'The length');
    const edge = Math.max(positive(step.edge, 'The bits'), diameter * FINEST);
    const colours = step.bits.map(({ of, parts }) => ({ material: numberOf(context, of), share: parts }));
    const size = { width: diameter, height: diameter, thick, round: true };
    const field = withBits(size, edge, colours, step.seed + 7919 * context.seed);
    const volumes = new Map<number, number>();
    for (const { material: index, share } of colours)
      volumes.set(index, (volumes.get(index) ?? 0) + (volumeOf(step) * share) / partsOf(step));
    return { form: 'rope', ...size, field, count: 1, volumes: () => volumes, specks: [] };
  },
};
