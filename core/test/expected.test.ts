import fc from 'fast-check';
import { BANDS, deltaE, labOf, mixPigments, pigmentOf, statedPigment, type Lab } from '#core/colour';
import { choleskyInPlace } from '#core/linear';
import type { Clay } from '#core/clay';
import { CURVE_TERMS, correctedPigment, expectedOf, learn, offsetOf, shapes, type Evidence } from '#core/mix';
import { seeded } from '#core/units';
import { hiddenStudio, type HiddenStudio, type Mixed } from '../bench/studio.js';

const clayOf = (hex: string): Clay => ({
  id: 'one',
  lineId: 'line',
  name: 'One',
  kind: 'opaque',
  rawHex: hex,
  bakedHex: hex,
  strength: null,
});
const colours = fc.integer({ min: 0x101010, max: 0xf0f0f0 }).map((n) => n.toString(16).toUpperCase());

describe('what is expected of the curve of a clay', () => {
  test('pigments that were made up are of all hues, and always the same', () => {
    const hues = new Set(
      shapes()
        .filter(({ lab }) => Math.hypot(lab.a, lab.b) > 30)
        .map(({ lab }) => Math.floor((Math.atan2(lab.b, lab.a) * 6) / Math.PI)),
    );
    expect(hues.size).toBeGreaterThanOrEqual(11);
    expect(shapes()).toBe(shapes());
    const offsets = shapes()
      .filter((_, i) => i % 20 === 0)
      .map(offsetOf);
    expect(offsets.every((offset) => offset.length === BANDS && offset.every(Number.isFinite))).toBe(true);
  });

  test('mean and certainty are finite and the certainty is positive definite, whatever the colour', () => {
    fc.assert(
      fc.property(colours, (hex) => {
        const { mean, precision } = expectedOf(clayOf(hex));
        expect(mean.every(Number.isFinite)).toBe(true);
        expect(choleskyInPlace(precision.slice(), CURVE_TERMS)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  test('a clay with the curve that is expected has nearly the colour it is said to have', () => {
    const off = ['7B1E4B', 'E29A2E', '4F7F45', 'CDA9CB', 'F1EEE4', '3D2551'].map((hex) => {
      const curve = Array.from(expectedOf(clayOf(hex)).mean);
      const bent = correctedPigment(statedPigment(clayOf(hex), 'baked'), { logStrength: 0, curve });
      return deltaE(labOf(mixPigments([bent], [1])), labOf(mixPigments([pigmentOf(hex, 1)], [1])));
    });
    expect(Math.max(...off)).toBeLessThan(8);
  });

  test('what was learned from sixty chips of a studio built on another theory foretells mixes that nobody made', () => {
    const random = seeded(41);
    const studio = hiddenStudio(13, random);
    const some = (): Mixed => {
      const first = Math.floor(random() * 13);
      return {
        of: [first, (first + 1 + Math.floor(random() * 12)) % 13],
        parts: [1 + Math.floor(random() * 6), 1 + Math.floor(random() * 6)],
      };
    };
    const { learned } = learn(
      studio.clays,
      Array.from({ length: 60 }, (_, n) => chip(studio, some(), n)),
    );
    const pigments = studio.clays.map((clay) =>
      correctedPigment(statedPigment(clay, 'baked'), learned[clay.id] ?? { logStrength: 0, curve: [] }),
    );
    const foretold = ({ of, parts }: Mixed): Lab =>
      labOf(
        mixPigments(
          of.flatMap((i) => pigments[i] ?? []),
          parts,
        ),
      );
    const errors = Array.from({ length: 200 }, some)
      .map((mix) => deltaE(studio.truth(mix), foretold(mix)))
      .sort((a, b) => a - b);
    expect(errors[100]).toBeLessThan(0.95);
    expect(errors[180]).toBeLessThan(1.9);
  });
});

function chip(studio: HiddenStudio, mix: Mixed, n: number): Evidence {
  const whole = mix.parts.reduce((a, b) => a + b, 0);
  return {
    id: `chip ${n}`,
    shares: mix.of.map((i, k) => ({ clayId: studio.clays[i]?.id ?? '', volume: (mix.parts[k] ?? 0) / whole })),
    stage: 'baked',
    lab: studio.read(mix),
    way: 'colour reader',
  };
}
