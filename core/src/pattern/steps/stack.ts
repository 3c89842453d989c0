import { LENGTH, layers as sheets } from '#core/document';
import type { SheetLayer } from '#core/cane';
import { FADE, waved, type Body, type Field, type Volumes } from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { BeginKind, PatternContext } from './kind.js';
import { numberOf, positive, saltOf, tidy } from './measure.js';

/** Sheets stacked, the first at the bottom. Of a blend the fade runs along the width. */
export interface Stack extends Doing<'stack'> {
  readonly width: Mm;
  readonly height: Mm;
  readonly layers: readonly SheetLayer[];
}

/** Which layer lies at each height. */
function layered(layers: readonly SheetLayer[], width: Mm, context: PatternContext): Field {
  const tops: Mm[] = [];
  let top = 0;
  for (const { thickness } of layers) tops.push((top += thickness));
  const numbers = layers.map(({ of }) => numberOf(context, of));
  const fades = layers.map(({ of }) => of.startsWith('blend:') && !of.includes('@'));
  const last = layers.length - 1;
  return (x, _, z) => {
    let n = 0;
    while (n < last && z > (tops[n] as number)) n++;
    const number = numbers[n] as number;
    return fades[n] ? number + FADE * Math.min(1, Math.max(0, x / width + 0.5)) : number;
  };
}

function volumesOf({ width, height, layers }: Stack, context: PatternContext): Volumes {
  const volumes = new Map<number, number>();
  for (const { of, thickness } of layers) {
    const number = numberOf(context, of);
    volumes.set(number, (volumes.get(number) ?? 0) + width * height * thickness);
  }
  return volumes;
}

export const stack: BeginKind<Stack> = {
  fields: { width: LENGTH, height: LENGTH, layers: sheets },
  starts: ({ width, height, layers }) =>
    layers.map(({ of, thickness }) => ({
      what: 'sheet',
      of,
      volume: width * height * thickness,
      sizes: [width, height, thickness],
    })),
  times: (step, factor) => {
    const by = Math.sqrt(factor);
    return { ...step, width: tidy(step.width * by), height: tidy(step.height * by) };
  },
  begin: (step, context): Body => {
    const width = positive(step.width, 'The width');
    const height = positive(step.height, 'The length');
    const thick = step.layers.reduce((sum, l) => sum + positive(l.thickness, 'The thickness of a sheet'), 0);
    const volumes = volumesOf(step, context);
    const laid: Field = context.heights ? (_, __, z) => z : layered(step.layers, width, context);
    const field = waved(laid, thick, context.wobble, saltOf(context, 0));
    return { form: 'block', round: false, width, height, thick, field, count: 1, volumes: () => volumes, specks: [] };
  },
};
