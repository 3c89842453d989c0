import { BANDS, WEIGHTS, deltaE, labOf, reflectanceOf, xyzOfHex } from '#core/colour';
import { seeded } from '#core/units';
import { type Table } from './measure.js';

const COLOURS = 10_000;

/** Curves of random sRGB colours: how fast, and how far their colour is from the stated one at the worst. */
export function upsampling(clock: () => number): Table {
  const random = seeded(11);
  const hexes = Array.from({ length: COLOURS }, () =>
    Math.floor(random() * 0x1000000)
      .toString(16)
      .padStart(6, '0'),
  );
  const start = clock();
  const curves = hexes.map(reflectanceOf);
  const rate = (COLOURS * 1000) / (clock() - start);
  let worst = 0;
  curves.forEach((curve, i) => {
    const [x = 0, y = 0, z = 0] = [0, 1, 2].map((row) =>
      curve.reduce((sum, r, band) => sum + r * (WEIGHTS[row * BANDS + band] ?? 0), 0),
    );
    worst = Math.max(worst, deltaE(labOf({ x, y, z }), labOf(xyzOfHex(hexes[i] ?? ''))));
  });
  return {
    title: `Reflectance curves of ${COLOURS.toLocaleString('en')} random sRGB colours`,
    figures: [
      { what: 'curves', value: rate, unit: 'a second', goal: '>= 2,000', met: rate >= 2000 },
      { what: 'worst round trip', value: worst, unit: 'ΔE00', goal: '< 0.05', met: worst < 0.05 },
    ],
  };
}
