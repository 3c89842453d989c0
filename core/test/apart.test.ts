import fc from 'fast-check';
import {
  CLEAR_LIGHTNESS,
  apart,
  contrastKept,
  deltaE,
  readColour,
  seenDifference,
  weakestPair,
  whatHelps,
  type Lab,
} from '#core/colour';

const lab = fc.record({
  l: fc.double({ min: 5, max: 98, noNaN: true }),
  a: fc.double({ min: -50, max: 50, noNaN: true }),
  b: fc.double({ min: -50, max: 50, noNaN: true }),
});
/** Colours that there are. */
const surface = fc.integer({ min: 0, max: 0xffffff }).map((n) => readColour(n.toString(16).padStart(6, '0')));
const width = fc.double({ min: 0.01, max: 4, noNaN: true });

describe('the eye’s blur', () => {
  test('keeps more the wider the stripes: nearly all of wide ones, nothing of the finest', () => {
    fc.assert(
      fc.property(width, width, (p, q) => {
        expect(contrastKept(Math.max(p, q))).toBeGreaterThanOrEqual(contrastKept(Math.min(p, q)) - 1e-6);
      }),
    );
    expect(contrastKept(2)).toBeGreaterThan(0.995);
    expect(contrastKept(0.02)).toBeLessThan(0.01);
  });

  test('agrees with a stripe pattern blurred point by point', () => {
    const sigma = 0.1 / (2 * Math.sqrt(2 * Math.LN2));
    for (const w of [0.08, 0.1, 0.15, 0.3]) {
      let [sum, total] = [0, 0];
      for (let x = -2; x <= 2; x += 0.0005) {
        const weight = Math.exp(-(x * x) / (2 * sigma * sigma));
        const stripe = Math.floor((x + w / 2) / w);
        sum += weight * (Math.abs(stripe) % 2 === 0 ? 1 : -1);
        total += weight;
      }
      expect(contrastKept(w)).toBeCloseTo(sum / total, 2);
    }
  });

  test('never makes two colours differ more than they do side by side, and is the same both ways', () => {
    fc.assert(
      fc.property(surface, surface, width, (p, q, w) => {
        expect(seenDifference(p, q, w)).toBeCloseTo(seenDifference(q, p, w), 9);
        expect(seenDifference(p, q, 5)).toBeLessThanOrEqual(deltaE(p, q) + 0.5);
      }),
    );
  });
});

describe('staying apart', () => {
  test('the width at which two run together is where the eye stops telling them apart', () => {
    fc.assert(
      fc.property(surface, surface, (p, q) => {
        const { runTogetherBelow: w, dL, lamp } = apart(p, q);
        expect(lamp).toBe(['lost', 'faint', 'clear'][Number(dL >= 6) + Number(dL >= 15)]);
        if (w === null) {
          expect(seenDifference(p, q, 5)).toBeLessThan(5);
          return;
        }
        if (w < 4.9) expect(seenDifference(p, q, w)).toBeCloseTo(5, 1);
      }),
      { numRuns: 60 },
    );
  });

  test('black and white hold out longer than two reds; the same colour never holds', () => {
    const [chalk, soot, radish, beet] = ['F1EEE4', '26242A', 'D23B5E', '7B1E4B'].map(readColour) as [
      Lab,
      Lab,
      Lab,
      Lab,
    ];
    expect(apart(chalk, soot).runTogetherBelow ?? 9).toBeLessThan(apart(radish, beet).runTogetherBelow ?? 9);
    expect(apart(radish, radish)).toMatchObject({ dL: 0, lamp: 'lost', runTogetherBelow: null });
  });
});

describe('what helps', () => {
  test('is never worse than before, and says truly what it gives', () => {
    fc.assert(
      fc.property(fc.array(lab, { minLength: 2, maxLength: 6 }), fc.array(lab, { maxLength: 5 }), (stack, sheets) => {
        const now = weakestPair(stack).dL;
        const help = whatHelps(stack, sheets);
        if (!help) return;
        const after = [...stack];
        if (help.kind === 'swap')
          [after[help.first], after[help.second]] = [after[help.second] as Lab, after[help.first] as Lab];
        else after.splice(help.at + 1, 0, sheets[help.sheet] as Lab);
        expect(weakestPair(after).dL).toBeCloseTo(help.dL, 9);
        expect(help.dL).toBeGreaterThan(now);
      }),
    );
  });

  test('a light sheet between two middling ones; a change of order where that is enough', () => {
    const [chalk, leek, radish, soot] = ['F1EEE4', '4F7F45', 'D23B5E', '26242A'].map(readColour) as [
      Lab,
      Lab,
      Lab,
      Lab,
    ];
    expect(weakestPair([leek, radish]).dL).toBeLessThan(CLEAR_LIGHTNESS);
    expect(whatHelps([leek, radish], [chalk, soot])).toMatchObject({ kind: 'between', at: 0, sheet: 0 });
    expect(whatHelps([leek, radish, chalk, soot], [])).toMatchObject({ kind: 'swap' });
    expect(whatHelps([chalk, soot], [leek])).toBeNull();
  });
});
