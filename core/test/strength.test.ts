import fc from 'fast-check';
import { toughnessOf, type Firmness } from '#core/clay';
import { SAFE_SHARE, SNAPS_BELOW, strengthOf } from '#core/stock';

const layer = fc.record({
  mm: fc.double({ min: 0.2, max: 4, noNaN: true }),
  share: fc.double({ min: 0, max: 1, noNaN: true }),
  assumed: fc.boolean(),
});

test('a line is what one says; until then what its firmness suggests, and that is assumed', () => {
  const all: [Firmness, string][] = [
    ['soft', 'brittle'],
    ['crumbly', 'brittle'],
    ['medium', 'flexible'],
    ['firm', 'flexible'],
  ];
  for (const [firmness, usual] of all) {
    expect(toughnessOf({ firmness })).toEqual({ toughness: usual, assumed: true });
    expect(toughnessOf({ firmness, toughness: 'flexible' })).toEqual({ toughness: 'flexible', assumed: false });
  }
});

test('a piece is as thick and as brittle as its layers together', () => {
  fc.assert(
    fc.property(fc.array(layer, { minLength: 1, maxLength: 5 }), (layers) => {
      const { mm, share, assumed, snaps } = strengthOf(layers);
      expect(mm).toBeCloseTo(
        layers.reduce((a, l) => a + l.mm, 0),
        9,
      );
      expect(share * mm).toBeCloseTo(
        layers.reduce((a, l) => a + l.mm * l.share, 0),
        9,
      );
      expect(assumed).toBe(layers.some((l) => l.assumed));
      if (snaps) expect(mm < SNAPS_BELOW && share > SAFE_SHARE).toBe(true);
    }),
  );
});

test('with the backing that is told it holds, and with the share of flexible clay too', () => {
  fc.assert(
    fc.property(fc.array(layer, { minLength: 1, maxLength: 3 }), (layers) => {
      const { snaps, backing, flexible } = strengthOf(layers);
      if (!snaps) return;
      const backed = [{ mm: backing + 1e-9, share: 0, assumed: false }, ...layers];
      expect(strengthOf(backed).snaps).toBe(false);
      const stirred = layers.map((l) => ({ ...l, share: l.share * (1 - flexible) }));
      expect(strengthOf(stirred).snaps).toBe(false);
      // less does not do
      expect(strengthOf([{ mm: backing - 0.16, share: 0, assumed: false }, ...layers]).snaps).toBe(true);
    }),
  );
});

test('1.6 mm of pure brittle clay: 0.9 mm of backing, or half of a flexible line', () => {
  expect(strengthOf([{ mm: 1.6, share: 1, assumed: false }])).toMatchObject({
    snaps: true,
    backing: expect.closeTo(0.9, 9) as number,
    flexible: 0.5,
  });
});
