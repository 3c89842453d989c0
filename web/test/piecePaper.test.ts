import { PIECE_MODELS } from '#core/piece';
import type { BatchAnswer } from '#contract';
import { drawnPiece } from '../src/parts/pieces/drawn.js';
import { LABEL, labelGrid, labelsOf, pricesOf } from '../src/stations/batches/making/labels.js';
import { pieceLines } from '../src/stations/batches/making/piecePaper.js';

const [blossom] = PIECE_MODELS;
const pin = blossom!.piece.parts.map((part) =>
  part.shape.is === 'finding' ? { ...part, shape: { ...part.shape, finding: 'f1' } } : part,
);
const batch = {
  pieces: [{ id: 'd', name: 'Drop', count: 2, prices: null }],
  assemblies: [{ id: 'b', name: 'Blossom', count: 3, prices: [18, 24], piece: { ...blossom!.piece, parts: pin } }],
  plan: { findings: [{ id: 'f1', name: 'Pin back, 25 mm' }] },
} as unknown as BatchAnswer;

test('each piece that is sold has a label with its materials and its first price', () => {
  const labels = labelsOf(batch, '€');
  expect(labels.map((l) => l.name)).toEqual(['Drop', 'Drop', 'Blossom', 'Blossom', 'Blossom']);
  expect(labels[0]).toMatchObject({ materials: 'Polymer clay', price: '' });
  expect(labels[2]).toMatchObject({ materials: 'Polymer clay, pin back, 25 mm', price: '18.00 €' });
  expect(pricesOf(batch, '€')).toEqual([{ name: 'Blossom', count: 3, price: '18.00 €' }]);
});

test('labels fill the page and do not go beyond it', () => {
  for (const room of [
    { width: 124, height: 160 },
    { width: 186, height: 247 },
    { width: 30, height: 20 },
  ]) {
    const { across, down } = labelGrid(room);
    expect(across * down).toBeGreaterThan(0);
    if (across > 1) expect(across * LABEL.width).toBeLessThanOrEqual(room.width);
    if (down > 1) expect(down * LABEL.height).toBeLessThanOrEqual(room.height);
  }
});

test.each(PIECE_MODELS.map((m) => [m.name, m.piece] as const))(
  '%s is drawn at true size within its box',
  (_, piece) => {
    const settled = drawnPiece(piece).settled!;
    const { width, height, lines } = pieceLines(settled);
    expect(width).toBeCloseTo(settled.extent.width, 6);
    expect(height).toBeCloseTo(settled.extent.height + 8 + settled.top - settled.bottom, 6);
    for (const [x1, y1, x2, y2] of lines) {
      expect(Math.min(x1, x2, y1, y2)).toBeGreaterThan(-0.5);
      expect(Math.max(x1, x2)).toBeLessThan(width + 0.5);
      expect(Math.max(y1, y2)).toBeLessThan(height + 0.5);
    }
  },
);
