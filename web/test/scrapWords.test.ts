import { pigmentOf } from '#core/colour';
import { heapLine, heapWords, heapsOf, kneaded } from '../src/stations/canes/words/scrapWords.js';
import type { CaneMaterial } from '../src/stations/canes/clay/materials.js';

const clay = (key: string, hex: string, lab: CaneMaterial['lab'], strength = 1): CaneMaterial => ({
  key,
  name: key,
  hexes: [hex],
  paint: Uint8Array.from([0, 0, 0]),
  density: 2,
  pigment: pigmentOf(hex, strength),
  mica: false,
  micaShare: 0,
  edgeLight: 0.3,
  shares: [{ clayId: key, mass: 1 }],
  lab,
  hides: 0.3,
  bakes: [{ bakeC: 130, maxC: 150 }],
  old: false,
  crumbly: false,
});
const MATERIALS = new Map(
  [clay('leek', '7A9A4B', { l: 60, a: -20, b: 38 }), clay('chalk', 'F4F1E8', { l: 95, a: 0, b: 4 })].map((m) => [
    m.key,
    m,
  ]),
);

test('heaps are told by where they go, their grams and how many cores they give, in both systems', () => {
  const [mixed, greens] = heapsOf(
    {
      offcuts: [
        {
          why: 'ends',
          volumes: [
            ['leek', 2000],
            ['chalk', 2000],
          ],
        },
        { why: 'pieces', volumes: [['leek', 600]] },
      ],
    },
    MATERIALS,
  );
  if (!mixed || !greens) throw new Error('two heaps');
  expect([mixed, greens].map(heapWords)).toEqual([
    'several colours together, for dark cores',
    'greens, with their own',
  ]);
  expect(heapLine(mixed, MATERIALS, 12, 'metric')).toBe('several colours together, for dark cores: 8 g, 4 cores');
  expect(heapLine(greens, MATERIALS, 10, 'metric')).toBe('greens, with their own: 1.2 g, 1 core');
  expect(heapLine(greens, MATERIALS, 12, 'metric')).toBe('greens, with their own: 1.2 g, not enough for a core');
  expect(heapLine(mixed, MATERIALS, 12, 'imperial')).toMatch(/oz, 4 cores$/);
});

test('the colour of a heap is that of its clays kneaded through, between them and nearer to the larger', () => {
  const light = (hex: string): number => parseInt(hex.slice(0, 2), 16);
  const shades = [0, 0.2, 0.5, 0.8, 1].map((share) =>
    light(
      kneaded(
        new Map([
          ['leek', share + 1e-9],
          ['chalk', 1 - share + 1e-9],
        ]),
        MATERIALS,
      ),
    ),
  );
  expect(shades).toEqual([...shades].sort((a, b) => b - a));
  expect([shades[0], shades[4]]).toEqual([0xf4, 0x7a]);
  expect(kneaded(new Map([['gone', 4]]), MATERIALS)).toBe('999999');
});
