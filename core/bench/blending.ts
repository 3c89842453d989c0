import { compensate, fadeOf, layoutOf, unevenness } from '#core/blend';
import { pigmentOf } from '#core/colour';
import { seeded } from '#core/units';
import { median, type Table } from './measure.js';

const PAIRS = 50;
const FADES = 400;

/** The compensated cut of strong with weak colours against corner to corner, and how fast a fade is worked out. */
export function blending(clock: () => number): Table {
  const random = seeded(21);
  const hex = (low: number, high: number): string =>
    Array.from({ length: 3 }, () =>
      Math.floor(low + random() * (high - low))
        .toString(16)
        .padStart(2, '0'),
    ).join('');
  const gains: number[] = [];
  while (gains.length < PAIRS) {
    const pair = [pigmentOf(hex(20, 160), 2 + 3 * random()), pigmentOf(hex(120, 245), 0.2 + 0.6 * random())];
    const cut = layoutOf('corner', 2, 140, 60, 0);
    const fade = fadeOf(cut, pair);
    // two colours that hardly differ need no cut
    if (fade.way < 25) continue;
    gains.push(1 - unevenness(fadeOf(compensate(cut, pair, 0).layout, pair)) / unevenness(fade));
  }
  const three = ['4F7F45', 'F0CB55', 'D23B5E'].map((h) => pigmentOf(h, 1));
  const cut = layoutOf('V', 3, 140, 60, 14);
  const times = Array.from({ length: FADES }, () => {
    const start = clock();
    if (fadeOf(cut, three).labs.length === 0) throw new Error('No fade.');
    return clock() - start;
  });
  const gain = 100 * median(gains);
  return {
    title: `Blends: ${PAIRS} random pairs of a strong and a weak colour`,
    figures: [
      {
        what: 'unevenness that the compensated cut takes away, median',
        value: gain,
        unit: '%',
        goal: '>= 40',
        met: gain >= 40,
      },
      {
        what: 'a fade of three colours, worked out',
        value: median(times),
        unit: 'ms',
        goal: '< 16',
        met: median(times) < 16,
      },
    ],
  };
}
