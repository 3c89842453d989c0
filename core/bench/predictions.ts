import { converter, parse, type Color } from 'culori';
import { labOf, mixPigments, mixerOf, pigmentOf, type Pigment } from '#core/colour';
import { seeded } from '#core/units';
import { perSecond, type Table } from './measure.js';

const CLAYS = [
  'F1EEE4',
  '26242A',
  '7B1E4B',
  'D23B5E',
  'E7712C',
  'E29A2E',
  'F0CB55',
  '93B84C',
  '4F7F45',
  'CDA9CB',
  '3D2551',
  'B08A3C',
  '9A9DA3',
];
const MIXES = 4096;
const TIMES = 200_000;
const VECTOR_TIMES = 200 * MIXES;
const SLOW_TIMES = 2000;

/**
 * Colours of three-clay mixes on one core: pigments, the same mixes averaged
 * in Lab by the package culori, and mixed by the package spectral.js.
 * @param prepare makes a mixer of three colours, as that package wants them
 */
export function predictions(
  clock: () => number,
  prepare: (hexes: readonly string[], parts: readonly number[]) => () => number,
): Table {
  const random = seeded(1);
  const pigments = CLAYS.map((hex) => pigmentOf(hex, 1));
  const colours = CLAYS.map((hex) => parse(`#${hex}`) as Color);
  const toLab = converter('lab65');
  const pick = (): number => Math.floor(random() * CLAYS.length);
  const mixes = Array.from({ length: MIXES }, () => ({
    of: [pick(), pick(), pick()],
    volumes: [random(), random(), random()].map((v) => v + 0.05),
  }));
  const asPigments = mixes.map(({ of, volumes }) => ({ pigments: of.map((i) => pigments[i] as Pigment), volumes }));
  const asColours = mixes.map(({ of, volumes }) => ({ colours: of.map((i) => colours[i] as Color), volumes }));
  let sink = 0;
  const ours = perSecond(
    (times) => {
      for (let i = 0; i < times; i++) {
        const mix = asPigments[i % MIXES];
        if (mix) sink += labOf(mixPigments(mix.pigments, mix.volumes)).l;
      }
    },
    TIMES,
    clock,
  );
  const mixer = mixerOf(pigments, MIXES);
  const places = mixes.flatMap((mix) => mix.of);
  const parts = mixes.flatMap((mix) => mix.volumes);
  const lay = (): void => {
    for (let place = 0; place < 3 * MIXES; place++) {
      mixer.pigments[place] = places[place] as number;
      mixer.volumes[place] = parts[place] as number;
    }
  };
  const byVectors = perSecond(
    (times) => {
      for (let done = 0; done < times; done += MIXES) {
        lay();
        mixer.run(MIXES);
        sink += mixer.colours[3] ?? NaN;
      }
    },
    VECTOR_TIMES,
    clock,
  );
  const averaged = perSecond(
    (times) => {
      for (let i = 0; i < times; i++) {
        const mix = asColours[i % MIXES];
        if (!mix) continue;
        let [total, l, a, b] = [0, 0, 0, 0];
        mix.colours.forEach((colour, k) => {
          const lab = toLab(colour);
          const volume = mix.volumes[k] ?? 0;
          total += volume;
          l += lab.l * volume;
          a += lab.a * volume;
          b += lab.b * volume;
        });
        sink += l / total + a / total + b / total;
      }
    },
    TIMES,
    clock,
  );
  const prepared = mixes.map(({ of, volumes }) =>
    prepare(
      of.map((i) => CLAYS[i] ?? ''),
      volumes,
    ),
  );
  const bySpectral = perSecond(
    (times) => {
      for (let i = 0; i < times; i++) sink += prepared[i % MIXES]?.() ?? 0;
    },
    SLOW_TIMES,
    clock,
  );
  if (!Number.isFinite(sink)) throw new Error('A prediction is no number.');
  return {
    title: 'Three-clay mixes, one core',
    figures: [
      {
        what: 'predicted with vector instructions, mixes laid down and L*, a*, b* included',
        value: byVectors,
        unit: 'a second',
        goal: '>= 3,000,000',
        met: byVectors >= 3_000_000,
      },
      { what: 'ratio, vector instructions to plain numbers', value: byVectors / ours, unit: 'times' },
      {
        what: 'predicted by pigments, one at a time, in plain numbers',
        value: ours,
        unit: 'a second',
        goal: '>= 500,000',
        met: ours >= 500_000,
      },
      { what: 'averaged in Lab (culori)', value: averaged, unit: 'a second' },
      { what: 'mixed by spectral.js', value: bySpectral, unit: 'a second' },
      {
        what: 'ratio, pigments to spectral.js',
        value: ours / bySpectral,
        unit: 'times',
        goal: '>= 30',
        met: ours / bySpectral >= 30,
      },
      { what: 'ratio, pigments to averaging', value: ours / averaged, unit: 'times' },
    ],
  };
}
