/** @jest-environment ./web/test/page.mjs */
import fc from 'fast-check';
import { readLength, showLength, showMass, showTemperature, type UnitSystem } from '#core/units';
import { Choice } from '../src/parts/Choice.js';
import { CountValue, LengthValue, MassValue, TemperatureValue, TextValue } from '../src/parts/Value.js';
import { expectWhole, shown, typeInto } from './screen.js';

const SYSTEMS: readonly UnitSystem[] = ['metric', 'imperial'];
const mm = fc.double({ min: 0.1, max: 900, noNaN: true });

describe('a value that is edited where it stands', () => {
  test.each(SYSTEMS)('shows itself as a person of the %s system writes it', (units) => {
    fc.assert(
      fc.property(mm, (value) => {
        const page = shown(
          <>
            <LengthValue label="Length" value={value} onChange={() => undefined} />
            <MassValue label="Weight" value={value} onChange={() => undefined} />
            <TemperatureValue label="Oven" value={100 + value / 10} onChange={() => undefined} />
            <CountValue label="Pieces" value={Math.round(value)} onChange={() => undefined} />
          </>,
          units,
        );
        const of = (label: string): string => (page.getByLabelText(label) as HTMLInputElement).value;
        expect(of('Length')).toBe(showLength(value, units));
        expect(of('Weight')).toBe(showMass(value, units));
        expect(of('Oven')).toBe(showTemperature(100 + value / 10, units));
        expect(of('Pieces')).toBe(String(Math.round(value)));
        expectWhole(page);
        page.unmount();
      }),
      { numRuns: 20 },
    );
  });

  test.each([
    ['12.5 mm', 'metric', 12.5],
    ['1/8 in', 'metric', 3.175],
    ['3½', 'imperial', 88.9],
    ['2 cm', 'imperial', 20],
  ] as const)('%s in the %s system is kept with Enter', async (typed, units, value) => {
    const kept: number[] = [];
    const page = shown(<LengthValue label="Length" value={40} onChange={(v) => kept.push(v)} />, units);
    await typeInto(page, 'Length', typed);
    expect(kept).toEqual([expect.closeTo(value, 9)]);
    expect(kept[0]).toBeCloseTo(readLength(typed, units), 9);
  });

  test('is let go with Escape, and nothing is kept', async () => {
    const kept: number[] = [];
    const page = shown(<LengthValue label="Length" value={40} onChange={(v) => kept.push(v)} />);
    const field = page.getByLabelText('Length') as HTMLInputElement;
    await page.user.clear(field);
    await page.user.type(field, '7 mm{Escape}');
    expect(field.value).toBe('40 mm');
    await page.user.tab();
    expect(kept).toEqual([]);
  });

  test('that cannot be read stays as it was typed, with a sentence beside it', async () => {
    const kept: number[] = [];
    const page = shown(<LengthValue label="Length" value={40} onChange={(v) => kept.push(v)} />);
    const field = page.getByLabelText('Length') as HTMLInputElement;
    await page.user.clear(field);
    await page.user.type(field, 'as long as a carrot{Enter}');
    expect(field.value).toBe('as long as a carrot');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(page.getByRole('status').textContent).toMatch(/\.$/);
    expect(kept).toEqual([]);
    await page.user.clear(field);
    await page.user.type(field, '9 mm{Enter}');
    expect(kept).toEqual([9]);
    expect(page.queryByRole('status')).toBeNull();
  });

  test('with two meanings offers both, and takes the one that is chosen', async () => {
    const kept: number[] = [];
    const page = shown(<MassValue label="Weight" value={40} onChange={(v) => kept.push(v)} />);
    const field = page.getByLabelText('Weight');
    await page.user.clear(field);
    await page.user.type(field, '1,250 g{Enter}');
    const meanings = page.getAllByRole('button');
    expect(meanings.length).toBeGreaterThan(1);
    await page.user.click(meanings[0]!);
    expect(kept).toHaveLength(1);
    expect([1.25, 1250]).toContain(kept[0]);
  });

  test('is kept when it is left, once, and not where nothing was changed', async () => {
    const kept: string[] = [];
    const page = shown(
      <>
        <TextValue label="Note" value="for the drops" onChange={(v) => kept.push(v)} />
        <button type="button">on</button>
      </>,
    );
    const field = page.getByLabelText('Note');
    await page.user.click(field);
    await page.user.tab();
    expect(kept).toEqual([]);
    await page.user.clear(field);
    await page.user.type(field, '  for the hoops ');
    await page.user.tab();
    expect(kept).toEqual(['for the hoops']);
  });

  test('shows what the server said against it', () => {
    const page = shown(
      <LengthValue label="Length" value={40} onChange={() => undefined} refusal="There is no sheet so long." />,
    );
    const field = page.getByLabelText('Length');
    expect(field.getAttribute('aria-describedby')).not.toBeNull();
    expect(page.getByRole('status').textContent).toBe('There is no sheet so long.');
  });
});

describe('one of a few', () => {
  const SHAPES = [
    { value: 'round', text: 'a round' },
    { value: 'square', text: 'a square' },
    { value: 'petal', text: 'a petal' },
  ] as const;

  test('is chosen by its words, and told by its value', async () => {
    const chosen: string[] = [];
    const page = shown(<Choice label="Shape" value="round" options={SHAPES} onChange={(v) => chosen.push(v)} />);
    expect(page.words()).toContain('a round');
    await page.user.selectOptions(page.getByLabelText('Shape'), 'a petal');
    expect(chosen).toEqual(['petal']);
  });

  test('that may not be changed cannot be', () => {
    const page = shown(<Choice label="Shape" value="square" options={SHAPES} disabled onChange={() => undefined} />);
    expect((page.getByLabelText('Shape') as HTMLSelectElement).disabled).toBe(true);
  });
});
