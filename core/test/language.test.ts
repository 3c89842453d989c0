import fc from 'fast-check';
import { nearestNames, printNotation, parseNotation, readRecipe } from '#core/mix';
import { readInstruction, readThickness, thicknesses, type Reader } from '#core/sheet';
import { readLength, readMass, readSize, readTemperature, withDigits, type UnitSystem } from '#core/units';
import { bench, blue, machine } from './machines.js';
import { refused as wrong } from './refused.js';

const reader: Reader = {
  machines: [bench, blue],
  own: bench,
  cardMm: 0.29,
  system: 'metric',
  gauges: [
    { name: 'packet card', mm: 0.4, sigmaMm: 0.02 },
    { name: 'penny', mm: 1.65, sigmaMm: 0.02 },
  ],
  last: { mm: 1.2, sigmaMm: 0, machine: null, label: null, assumed: false },
};
/** mm of a setting of a machine nobody has, from the widest of so many on. */
const strange = (at: number, count: number): number =>
  thicknesses(
    machine(
      'x',
      Array.from({ length: count }, (_, i) => String(i)),
      [],
    ),
  )[at]?.mm ?? 0;

describe('measures, as people write them', () => {
  test.each<[string, number]>([
    ['1,5 mm', 1.5],
    ['1.5 Millimetres', 1.5],
    ['2 centimeters', 20],
    ['1/2”', 12.7],
    ["1/2''", 12.7],
    ['1-1/2 in', 38.1],
    ['1½ in.', 38.1],
    ['3/4 of an inch', 19.05],
    ['half an inch', 12.7],
    ['a quarter inch', 6.35],
    ['three quarters of an inch', 19.05],
    ['an eighth of an inch', 3.175],
    ['an inch and a half', 38.1],
    ['one and a half inches', 38.1],
    ['1 ft 2 in', 355.6],
    ['about 5 mm', 5],
    ['~5 mm', 5],
    ['5 mm or so', 5],
    ['1 mm thick', 1],
    ['1 cm 5 mm', 15],
    ['1/16th in', 1.5875],
    ['twenty-five mm', 25],
    ['half inch', 12.7],
    ['five mm', 5],
  ])('a length: %s', (text, mm) => {
    expect(readLength(text, 'metric')).toBeCloseTo(mm, 9);
  });
  test.each<[string, number]>([
    ['1 lb 2 oz', 510.29141625],
    ['1 lb. 2 oz.', 510.29141625],
    ['half a pound', 226.796185],
    ['a quarter of an ounce', 7.08738078125],
    ['100 gr', 100],
    ['2 kilos', 2000],
    ['1 kg 200 g', 1200],
    ['1 pound, 2 ounces', 510.29141625],
    ['0,5 kg', 500],
  ])('a weight: %s', (text, grams) => {
    expect(readMass(text, 'metric')).toBeCloseTo(grams, 6);
  });
  test.each<[string, number]>([
    ['265 degrees F', 129.4444],
    ['265 deg F', 129.4444],
    ['265 F.', 129.4444],
    ['130 degrees celsius', 130],
    ['130º C', 130],
    ['275 fahrenheit', 135],
    ['130 °', 130],
  ])('a temperature: %s', (text, c) => {
    expect(readTemperature(text, 'metric')).toBeCloseTo(c, 3);
  });
  test.each<[string, readonly [number, number | null]]>([
    ['12 by 30 mm', [12, 30]],
    ['12mm x 30mm', [12, 30]],
    ['18 mm round', [18, null]],
    ['Ø 18 mm', [18, null]],
    ['a 1 inch circle', [25.4, null]],
    ['20 mm square', [20, 20]],
    ['12 mm × 30', [12, 30]],
    ['1-1/2 in x 2', [38.1, 50.8]],
  ])('a cutter: %s', (text, [width, height]) => {
    expect(readSize(text, 'metric')).toEqual({
      width: expect.closeTo(width, 9),
      height: height === null ? null : expect.closeTo(height, 9),
    });
  });

  test('a side without a unit has that of the other, in both systems', () => {
    expect(readSize('12 mm × 30', 'imperial')).toEqual({ width: 12, height: 30 });
    expect(readSize('12 × 30 mm', 'imperial')).toEqual({ width: 12, height: 30 });
  });
  test.each([
    '-5 mm',
    '1-2 mm',
    '1 to 2 mm',
    'between 1 and 2 mm',
    '5 mm 3',
    '2 oz',
    '1:2',
    '1/0 in',
    '1e3',
    'mm',
    '5 mm 1 cm',
    '1 in 16',
    '5 mm 5 mm',
    '3 or 4 mm',
    '1.5.2 mm',
    '5°',
    '1 and 2 mm',
  ])('no length: %s', (text) => {
    expect(wrong(() => readLength(text, 'metric')).code).toBe('unit/unreadable');
  });
  test.each(['1 lb 20 oz', '5 mm', '2-3 oz', '-1 g'])('no weight: %s', (text) => {
    expect(wrong(() => readMass(text, 'metric')).code).toBe('unit/unreadable');
  });

  test('what has two meanings offers both, each of which can be typed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 999 }),
        fc.integer({ min: 100, max: 999 }),
        fc.constantFrom<UnitSystem>('metric', 'imperial'),
        (thousands, rest, system) => {
          const { choices } = wrong(() => readMass(`${thousands},${rest} g`, system));
          expect(choices.map((c) => readMass(c, system))).toEqual([
            expect.closeTo(thousands + rest / 1000, 9),
            thousands * 1000 + rest,
          ]);
        },
      ),
    );
  });
  test('numbers in words', () => {
    expect(
      ['one and a half', 'three quarters', '1-1/2', 'an eighth', 'twenty-five', 'half and half'].map(withDigits),
    ).toEqual(['1 1/2', '3/4', '1 1/2', '1/8', '25', '1/2 and 1/2']);
  });
});

describe('instructions, as people write them', () => {
  test.each<[string, number]>([
    ['next to thickest', strange(1, 9)],
    ['next to the thinnest', strange(7, 9)],
    ['about 5 cards', 1.45],
    ['a stack of five cards', 1.45],
    ['setting 5 of 7, 1 thickest', strange(4, 7)],
    ['5 of 7 (1 is thickest)', strange(4, 7)],
    ['setting 4 on a machine where 9 is thinnest and 0 widest', strange(4, 10)],
    ['eighth of an inch', 3.175],
    ['1 mm or so', 1],
    ['one thinner than my 3', 1.52],
    ['two settings thinner than my 4', 0.94],
    ['one notch thinner than the thickest', thicknesses(bench)[1]?.mm ?? 0],
    ['same as last', 1.2],
    ['thickest', 3.2],
    ['the thinnest setting', 0.42],
    ['third thickest', strange(2, 9)],
    ['third thickest on my machine', thicknesses(bench)[2]?.mm ?? 0],
    ['my #3', 2.06],
    ['3 on mine', 2.06],
    ['Blue travel crank, setting 4', 1.5],
    ['3 of 9 where 1 is thickest', strange(2, 9)],
    ['4 on the blue', 1.5],
    ['twice my 3', 4.12],
    ['half as thick as my 3', 1.03],
    ['my 3 doubled', 4.12],
    ['four of the packet card', 1.6],
    ['two pennies', 3.3],
    ['1/16', 1.5875],
    ['the widest but one', strange(1, 9)],
    ['middle setting', 1.52],
    ['no. 4 (thickest is 1)', strange(3, 9)],
    ['setting 2 on a machine that goes from 1 (thickest) to 9', strange(1, 9)],
    ['setting 5 out of 7 where 7 is thinnest', strange(4, 7)],
    ['thickest setting on Blue travel crank', 2.9],
    ['1 1/2 mm', 1.5],
    ['1,5 mm', 1.5],
  ])('%s', (text, mm) => {
    expect(readInstruction(text, reader).mm).toBeCloseTo(mm, 6);
  });

  test('a setting by what its maker calls it, one’s own first; what nobody calls so is read as before', () => {
    const calling = (machine: typeof bench, label: string, called: string): typeof bench => ({
      ...machine,
      settings: machine.settings.map((s) => (s.label === label ? { ...s, called } : s)),
    });
    const own = calling(bench, '4', 'my earring setting');
    const other = calling(blue, '4', 'Earring setting');
    const named = { ...reader, own, machines: [other, own] };
    for (const text of ['my earring setting', 'the Earring setting', ' at my earring  setting ', 'earring setting'])
      expect([readInstruction(text, named).mm, readThickness(text, named)]).toEqual([1.52, 1.52]);
    expect(readInstruction('earring setting', { ...named, own: null }).mm).toBeCloseTo(1.5, 6);
    expect(wrong(() => readInstruction('brooch setting', named)).code).toBe('thickness/unreadable');
  });

  test.each<[string, string, readonly string[]]>([
    ['#3', 'instruction/ambiguous', ['my 3', '3 where 1 is thickest', '3 where 0 is thickest']],
    ['number three', 'instruction/ambiguous', ['my 3', '3 where 1 is thickest', '3 where 0 is thickest']],
    ['3', 'instruction/ambiguous', ['3 mm', 'my 3', '3 where 1 is thickest', '3 where 0 is thickest']],
    ['5 of 7', 'instruction/ambiguous', ['5 of 7, 1 thickest', '5 of 7, 7 thickest']],
    ['1/4', 'instruction/ambiguous', ['1/4 mm', '1/4 in']],
  ])('%s is asked back', (text, code, choices) => {
    const complaint = wrong(() => readInstruction(text, reader));
    expect([complaint.code, complaint.choices]).toEqual([code, choices]);
    for (const choice of choices) expect(readInstruction(choice, reader).mm).toBeGreaterThan(0);
  });

  test.each<[string, string]>([
    ['76 mm', 'thickness/range'],
    ['0.06 mm', 'thickness/range'],
    ['400 cards', 'thickness/range'],
    ['3-4', 'thickness/unreadable'],
    ['my 3 or 4', 'thickness/unreadable'],
    ['thinner than my 3', 'thickness/unreadable'],
    ['3 cards and 2 sheets', 'thickness/unreadable'],
    ['3 mm wide', 'thickness/unreadable'],
    ['5 cards wide', 'thickness/unreadable'],
    ['one thicker than my 0', 'instruction/beyond'],
    ['1 in 16', 'thickness/unreadable'],
    ['between my 3 and my 4', 'thickness/unreadable'],
    ['a machine where 9 is thinnest and 0 widest', 'instruction/which'],
    ['9 where 7 is widest', 'setting/unknown'],
  ])('%s is nothing else', (text, code) => {
    expect(wrong(() => readInstruction(text, reader)).code).toBe(code);
  });

  test.each<[string, number]>([
    ['three layers of #4', 3 * 1.52],
    ['twice 4', 2 * 1.52],
    ['2 sheets of setting 4', 2 * 1.52],
  ])('%s: each meaning keeps what stands around the number', (text, mm) => {
    const { choices } = wrong(() => readInstruction(text, reader));
    expect(choices.map((choice) => readInstruction(choice, reader).mm)).toContainEqual(expect.closeTo(mm, 6));
    expect(choices).not.toContain('my 4');
  });
  test('of the neighbour of a number only those meanings are offered that have neighbours', () => {
    expect(wrong(() => readInstruction('one thinner than #4', reader)).choices).toEqual(['1 thinner than my 4']);
  });

  test(
    'where one says one’s own, a setting is one’s own and a number a length, unless it stands on the ' + 'dial too',
    () => {
      expect(['1.5', 'my 4', 'setting 4', '5 cards', '12', 'thickest'].map((t) => readThickness(t, reader))).toEqual(
        [1.5, 1.52, 1.52, 1.45, 12, 3.2].map((mm) => expect.closeTo(mm, 6)),
      );
      expect(wrong(() => readThickness('4', reader)).choices).toEqual(['4 mm', 'my 4']);
      expect(wrong(() => readThickness('4', { ...reader, system: 'imperial' })).choices).toEqual(['my 4']);
      expect(readThickness('4', { ...reader, own: null })).toBe(4);
      expect(wrong(() => readInstruction('same as last', { ...reader, last: null })).code).toBe('instruction/last');
    },
  );
});

describe('recipes, as people write them', () => {
  const NAMES = [
    'Chalk',
    'Corn',
    'Leek',
    'Beetroot',
    'Soot',
    'Outer leek',
    'Salt and pepper',
    'Mix 1',
    'Two tone',
    'Cabbage vein',
    'Chalk of Hearth Firm',
  ];
  const two = '2 Chalk + 1 Corn';
  test.each<[string, string]>([
    ['2:1 Chalk Corn', two],
    ['2:1 Chalk:Corn', two],
    ['Chalk Corn 2:1', two],
    ['Chalk/Corn 2:1', two],
    ['Chalk : Corn = 2 : 1', two],
    ['Chalk 2, Corn 1', two],
    ['2 Chalk 1 Corn', two],
    ['2 chalk and 1 corn', two],
    ['2x Chalk + 1x Corn', two],
    ['Chalk x2 + Corn x1', two],
    ['two Chalk + one Corn', two],
    ['2 Chalk\n1 Corn', two],
    ['- 2 Chalk\n- 1 Corn', two],
    ['Chalk\t2\nCorn\t1', two],
    ['2 chalks + 1 corn', two],
    ['2 discs of chalk and a disc of corn', two],
    ['2 parts Chalk: 1 part Corn', two],
    ['3 Chalk / 1 Corn', '3 Chalk + 1 Corn'],
    ['Chalk (2) + Corn (1)', two],
    ['2 parts Chalk to 1 part Leek', '2 Chalk + 1 Leek'],
    ['2 parts of Chalk and one of Leek', '2 Chalk + 1 Leek'],
    ['half a part Soot + 4 Chalk', '½ Soot + 4 Chalk'],
    ['4 Chalk and a pinch of Soot', '4 Chalk + ⅛ Soot'],
    ['75 % Chalk, rest Corn', '75 Chalk + 25 Corn'],
    ['Chalk 75%, Corn 25%', '75 Chalk + 25 Corn'],
    ['equal parts of Chalk, Corn and Leek', '1 Chalk + 1 Corn + 1 Leek'],
    ['Chalk and Corn half and half', '1 Chalk + 1 Corn'],
    ['50/50 Chalk and Corn', '50 Chalk + 50 Corn'],
    ['1/2/1 Chalk Corn Leek', '1 Chalk + 2 Corn + 1 Leek'],
    ['2 Chalk + 1 (Leek and Corn)', '2 Chalk + 1 (1 Leek + 1 Corn)'],
    ['2 Salt and pepper + 1 Chalk', '2 Salt and pepper + 1 Chalk'],
    ['Salt and pepper and Chalk', '1 Salt and pepper + 1 Chalk'],
    ['3 Mix 1 + 1 Chalk', '3 Mix 1 + 1 Chalk'],
    ['Two tone and Chalk 1:1', '1 Two tone + 1 Chalk'],
    ['one third Chalk two thirds Corn', '⅓ Chalk + ⅔ Corn'],
    ['2 outer leek and 1 chalk', '2 Outer leek + 1 Chalk'],
    ['2 chalk of hearth firm + 1 corn', '2 Chalk of Hearth Firm + 1 Corn'],
    ['2 Chalk + 1 Cabbage vein #2', '2 Chalk + 1 Cabbage vein #2'],
    ['1,5 Chalk + 0,5 Corn', '1½ Chalk + ½ Corn'],
  ])('%j', (text, notation) => {
    const said = readRecipe(text, NAMES);
    expect([said.notation, said.basis]).toEqual([notation, null]);
  });
  test.each([
    '30 g Chalk + 10 g Corn',
    'Chalk 30 g, Corn 10 g',
    '10 grams of Corn and 30 grams of Chalk',
    '1 oz Chalk + ½ oz Corn',
  ])('by weight: %s', (text) => {
    expect(readRecipe(text, NAMES).basis).toBe('mass');
  });

  test.each<[string, string]>([
    ['2 Chalk - 1 Corn', 'notation/unexpected'],
    ['2 Chalk or 1 Corn', 'notation/unknown'],
    ['2 Chalk + 3', 'notation/parts'],
    ['2, 5 Chalk', 'notation/parts'],
    ['2 Corn husk + 1 Chalk', 'notation/unknown'],
    ['10% Chalk + 20% Corn', 'notation/per cent'],
    ['2 discs Chalk + 10 g Corn', 'notation/units'],
    ['2 Chalk + Corn 3 Leek', 'notation/parts'],
    ['2:1 Chalk Corn Leek', 'notation/shares'],
    ['2 Chalk Corn', 'notation/unexpected'],
    ['1-2 Chalk + 1 Corn', 'notation/unexpected'],
    ['2 to 3 Chalk and 1 Corn', 'notation/unexpected'],
    ['110 % Chalk, rest Corn', 'notation/rest'],
    ['', 'notation/empty'],
  ])('%j is nothing else', (text, code) => {
    expect(wrong(() => readRecipe(text, NAMES)).code).toBe(code);
  });

  test('a misspelt name is asked back, and so is a number with two meanings', () => {
    const complaint = wrong(() => readRecipe('2 Betroot + 1 Chalk', NAMES));
    expect([
      complaint.message.includes('Did you mean Beetroot?'),
      complaint.choices.map((c) => readRecipe(c, NAMES).notation),
    ]).toEqual([true, ['2 Beetroot + 1 Chalk']]);
    expect(wrong(() => readRecipe('1,250 Chalk + 1 Corn', NAMES)).choices).toEqual([
      '1.250 Chalk + 1 Corn',
      '1250 Chalk + 1 Corn',
    ]);
    expect(nearestNames('Zucchini', NAMES)).toEqual([]);
  });

  test('Sledge’s own notation is read as it always was', () => {
    const term = fc.tuple(fc.integer({ min: 1, max: 9 }), fc.constantFrom(...NAMES));
    fc.assert(
      fc.property(fc.array(term, { minLength: 1, maxLength: 4 }), (terms) => {
        const text = terms.map(([n, name]) => `${n} ${name}`).join(' + ');
        expect(readRecipe(text, NAMES).notation).toBe(printNotation(parseNotation(text)));
      }),
    );
  });
});
