/** @jest-environment ./web/test/page.mjs */
import { ofClay } from '#core/material';
import type { UnitSystem } from '#core/units';
import { machines, setup } from '#demo';
import type { BatchAnswer, MachinesAnswer, PieceDto, PlanAnswer } from '#contract';
import { newPiece, settingsOf, type FieldSentence } from '../src/stations/batches/batchMoves.js';
import { Piece } from '../src/stations/batches/Piece.js';
import { mostWords } from '../src/stations/batches/pieceWords.js';
import { clayId } from './kitchen.js';
import { expectWhole, shown, typeInto, type Shown } from './screen.js';

const KNOWN = { machines, setup } as unknown as MachinesAnswer;
const BATCH = { id: 'b', version: 1, name: 'Drops', note: '', dueOn: null, pieces: [] } as unknown as BatchAnswer;
const CHALK = clayId('Chalk');
const MATERIALS = { [CHALK]: { name: 'Chalk', hex: 'F1EEE4' } } as unknown as PlanAnswer['materials'];

const drop: PieceDto = { ...newPiece(BATCH, KNOWN, ofClay(CHALK))!, name: 'Drop', widthMm: 18 };

interface AtPiece extends Shown {
  readonly changes: PieceDto[];
  readonly removed: () => number;
}

interface More {
  readonly disabled?: boolean;
  readonly refused?: readonly FieldSentence[];
  readonly units?: UnitSystem;
}

function atPiece(piece: PieceDto = drop, { disabled = false, refused = [], units = 'metric' }: More = {}): AtPiece {
  const changes: PieceDto[] = [];
  let removed = 0;
  const page = shown(
    <Piece
      batchId="b1"
      piece={piece}
      plan={undefined}
      breakage={null}
      materials={MATERIALS}
      settings={settingsOf(KNOWN)}
      disabled={disabled}
      refused={refused}
      onChange={(next) => changes.push(next)}
      onRemove={() => (removed += 1)}
    />,
    units,
  );
  return { ...page, changes, removed: () => removed };
}

const whole = { rimMm: null, points: null } as const;
const leaf = { shape: 'leaf', points: null } as const;

describe('a piece of a batch', () => {
  test.each(['metric', 'imperial'] as const)('shows its values in the %s system, each under a name', (units) => {
    const page = atPiece(drop, { units });
    expectWhole(page);
    expect((page.getByLabelText('Size of the cutter') as HTMLInputElement).value).toBe(
      units === 'metric' ? '18 mm round' : '0.71 in round',
    );
    expect(page.words()).toContain('Chalk');
  });

  test.each<[string, string, Partial<PieceDto>]>([
    ['Number of pieces', '24', { count: 24 }],
    ['Number of spares', '3', { spare: 3 }],
    ['Size of the cutter', '22 mm', { ...whole, widthMm: 22, heightMm: null, shape: 'round' }],
    ['Size of the cutter', '18 × 30 mm leaf, rim 4 mm', { ...leaf, widthMm: 18, heightMm: 30, rimMm: 4 }],
    ['Size of the cutter', '30 × 12 mm', { ...whole, widthMm: 30, heightMm: 12, shape: 'rectangle' }],
    ['Bridge of clay between cuts', '3 mm', { bridgeMm: 3 }],
    ['Ragged edge of the sheets', '5 mm', { edgeMm: 5 }],
    ['Largest sheet', '100 × 180 mm', { sheetWidthMm: 100, sheetLengthMm: 180 }],
    ['Largest sheet', '90 mm', { sheetWidthMm: 90, sheetLengthMm: 90 }],
    ['Name of the piece', 'Hoop', { name: 'Hoop' }],
  ])('%s is kept as %s', async (label, text, wanted) => {
    const page = atPiece();
    await typeInto(page, label, text);
    expect(page.changes).toEqual([{ ...drop, ...wanted }]);
  });

  test('a rectangle becomes round again by one size', async () => {
    const page = atPiece({ ...drop, shape: 'rectangle', widthMm: 30, heightMm: 12 });
    await typeInto(page, 'Size of the cutter', '20 mm round');
    expect(page.changes).toEqual([{ ...drop, ...whole, shape: 'round', widthMm: 20, heightMm: null }]);
  });

  test('another setting of a layer is of one’s own machine, or of another that is named', async () => {
    const page = atPiece();
    const layer = page.getByLabelText('Setting of the layer');
    const options = [...layer.querySelectorAll('option')].map((o) => o.textContent ?? '');
    expect(options.some((text) => / of Blue travel crank$/.test(text))).toBe(true);
    expect(options.some((text) => /^\d$/.test(text))).toBe(true);
    await page.user.selectOptions(layer, options.at(-1)!);
    const [change] = page.changes;
    expect(change?.layers[0]?.settingId).not.toBe(drop.layers[0]?.settingId);
    expect(change?.layers[0]?.of).toEqual(drop.layers[0]?.of);
  });

  test('what the server refused is said at its field, and what no field says below', () => {
    const page = atPiece(drop, {
      refused: [
        { field: 'count', sentence: 'A batch has at most 5,000 pieces.' },
        { field: 'layers', sentence: 'A piece has at least one layer.' },
      ],
    });
    expect(page.getByLabelText('Number of pieces').getAttribute('aria-invalid')).toBe('true');
    expect(page.getByLabelText('Number of spares').getAttribute('aria-invalid')).not.toBe('true');
    expect(page.getAllByRole('status').map((s) => s.textContent)).toEqual([
      'A batch has at most 5,000 pieces.',
      'A piece has at least one layer.',
    ]);
  });

  test('can be left out; of a batch that is done nothing can be changed', async () => {
    const page = atPiece();
    await page.user.click(page.getByRole('button', { name: 'Leave this piece out' }));
    expect(page.removed()).toBe(1);
    page.unmount();
    const done = atPiece(drop, { disabled: true });
    expect(done.queryByRole('button', { name: 'Leave this piece out' })).toBeNull();
    for (const field of done.container.querySelectorAll('input, select'))
      expect((field as HTMLInputElement).disabled).toBe(true);
  });
});

describe('as many as there is clay for', () => {
  test.each([
    [{ count: 47, runsOut: 'Chalk' }, 2, '47 and 2 spare: Chalk runs out first'],
    [{ count: 4000, runsOut: null }, 0, '4000: nothing runs out'],
    [{ count: 0, runsOut: 'Soot' }, 1, 'not one: Soot is short already'],
  ])('%j, %d spare', (most, spare, words) => {
    expect(mostWords(most, spare)).toBe(words);
  });
});
