import type { Lab } from '#core/colour';
import { contrastOf, facingOf, press, reliefOf, relit, rolled, shave, tiltsAt } from '#core/mica';
import { perSecond, type Table } from './measure.js';

/** px of a side, and pictures a second that a lamp under the hand wants. */
const [SIDE, FLUENT] = [512, 30];
const COLOURS: { readonly face: Lab; readonly edge: Lab } = {
  face: { l: 72, a: 6, b: 40 },
  edge: { l: 38, a: 8, b: 26 },
};

/** A relief in mica under a lamp that is moved. @param clock milliseconds, rising */
export function relighting(clock: () => number): Table {
  const pressed = press(reliefOf('seed head', { width: 60, height: 60 }, 6, SIDE), 3, 1);
  const tilts = tiltsAt(pressed, shave(pressed, { height: pressed.valley }).surface);
  const facing = facingOf(tilts);
  const shares = new Float32Array(SIDE * SIDE);
  const lit = perSecond(
    (times) => {
      for (let i = 0; i < times; i++) relit(facing, { from: 10 * i, above: 50 }, shares);
    },
    100,
    clock,
  );
  const filled = perSecond(
    (times) => {
      for (let i = 0; i < times; i++) shares.fill(i);
    },
    1000,
    clock,
  );
  const contrasts = perSecond(
    (times) => {
      for (let i = 0; i < times; i++) contrastOf(rolled(tilts, 0.9 - 0.01 * (i % 20), 'by machine'), COLOURS);
    },
    10,
    clock,
    5,
  );
  return {
    title: `A relief in mica of ${SIDE} × ${SIDE} places`,
    figures: [
      {
        what: 'relit, pictures a second, without painting them',
        value: lit,
        unit: '',
        goal: `> ${FLUENT}`,
        met: lit > FLUENT,
      },
      { what: 'the same picture filled with one number, as a baseline', value: filled, unit: '' },
      { what: 'what a setting leaves, worked out', value: 1000 / contrasts, unit: 'ms' },
    ],
  };
}
