/** @jest-environment ./web/test/page.mjs */
import fc from 'fast-check';
import type { Step, StepOf } from '#core/cane';
import { pigmentOf, readColour } from '#core/colour';
import { machines, setup } from '#demo';
import type { CaneMaterial } from '../src/stations/canes/clay/materials.js';
import { SameSize } from '../src/stations/canes/steps/SameSize.js';
import {
  asHeavy,
  faceOf,
  gramsOfWound,
  ofTape,
  tapeIn,
  withFace,
  type Wound,
} from '../src/stations/canes/steps/sameSize.js';
import { SHELF, clayId } from './kitchen.js';
import { expectWhole, shown, typeInto, type Shown } from './screen.js';

const plug = (more: Partial<StepOf<'plug'>> = {}): StepOf<'plug'> => ({
  ...{ id: 'p', do: 'plug', of: 'blend:fade', wound: 'rolled', inside: 'first', width: 30, depth: 20, length: 60 },
  ...more,
});
const log: StepOf<'log'> = { id: 'l', do: 'log', of: 'blend:fade', diameter: 20, length: 50 };
const any = fc.constantFrom<Wound>(plug(), plug({ wound: 'fan' }), log);
const amount = fc.double({ min: 0.5, max: 900, noNaN: true });

describe('one size in several ways', () => {
  test('a round plug of 30 mm, 60 mm long, at 1.9 g/cm³ is 80.6 g, or 471 mm of tape at 1.5 mm', () => {
    expect(gramsOfWound(plug(), 1.9)).toBeCloseTo((Math.PI * 15 * 15 * 60 * 1.9) / 1000, 9);
    expect(tapeIn(plug(), 1.5)).toBeCloseTo((Math.PI * 225) / 1.5, 9);
    expect(faceOf(plug({ wound: 'fan' }))).toBe(600);
  });

  test('what was said is what it is then, at the same length and in the same proportions', () => {
    fc.assert(
      fc.property(any, amount, (step, said) => {
        const heavy = asHeavy(step, said, 1.85);
        expect(gramsOfWound(heavy, 1.85)).toBeCloseTo(said, 6);
        expect(heavy.length).toBe(step.length);
        const wound = ofTape(step, said, 1.2);
        expect(tapeIn(wound, 1.2)).toBeCloseTo(said, 6);
        const face = withFace(step, said);
        expect(faceOf(face)).toBeCloseTo(said, 6);
        if (face.do === 'plug' && step.do === 'plug')
          expect(face.width / face.depth).toBeCloseTo(step.width / step.depth, 9);
      }),
    );
  });

  test('three ways of saying it lead to one plug', () => {
    const wanted = plug({ width: 36 });
    const grams = asHeavy(plug(), gramsOfWound(wanted, 1.9), 1.9);
    const tape = ofTape(plug(), tapeIn(wanted, 1.5), 1.5);
    expect(grams.width).toBeCloseTo(36, 9);
    expect(tape.width).toBeCloseTo(36, 9);
  });
});

describe('the fields for it', () => {
  const fade: CaneMaterial = {
    ...{ key: 'blend:fade', name: 'Straw fade', hexes: ['F0CB55'], paint: Uint8Array.from([0, 0, 0]), density: 1.9 },
    ...{
      pigment: pigmentOf('F0CB55', 1),
      mica: false,
      micaShare: 0,
      edgeLight: 0.3,
      lab: readColour('F0CB55'),
      hides: 0.3,
      bakes: [],
      old: false,
    },
    crumbly: false,
    shares: [
      { clayId: clayId('Corn'), mass: 0.25 },
      { clayId: clayId('Squash'), mass: 0.75 },
    ],
  };
  function fields<S extends Wound>(
    step: S,
    units: 'metric' | 'imperial' = 'metric',
  ): Shown & { readonly changes: Step[] } {
    const changes: Step[] = [];
    const page = shown(
      <SameSize
        what={step.do}
        of={{
          ...{ step, materials: new Map([['blend:fade', fade]]), blends: [], canes: [], insides: [], shelf: SHELF },
          ...{ name: 'Straw', before: [], now: null as never, onOpen: () => undefined },
          onChange: (next) => changes.push(next),
        }}
      />,
      units,
      [[['/api/machines'], { machines, setup }]],
    );
    return { ...page, changes };
  }

  test.each(['metric', 'imperial'] as const)('are whole in the %s system', (units) => {
    const page = fields(plug(), units);
    expectWhole(page);
    const words = page.words().replace(/\s+/g, ' ');
    expect(words).toContain(
      units === 'metric' ? '60 mm of it are 80.6 g : 20.1 g Corn + 60.4 g Squash' : ' oz Corn + ',
    );
  });

  test('grams of one colour say how thick it is', async () => {
    const page = fields(plug());
    await typeInto(page, 'Grams of Corn in the plug', '30 g');
    expect(gramsOfWound(page.changes[0] as Wound, 1.9)).toBeCloseTo(120, 6);
    await typeInto(page, 'Weight of the plug', '40.29 g');
    expect((page.changes[1] as StepOf<'plug'>).width).toBeCloseTo(30 / Math.SQRT2, 1);
  });

  test('so does the tape, at a setting of one’s own machine', async () => {
    const page = fields(plug());
    await typeInto(page, 'Thickness of the tape in the plug', 'my 6');
    await typeInto(page, 'Length of the tape in the plug', '400 mm');
    expect(faceOf(page.changes[0] as Wound)).toBeCloseTo(400 * 0.94, 6);
  });

  test('a log is not wound, and what lies there ready has its size', () => {
    expect(fields(log).queryByLabelText(/tape/)).toBeNull();
    expect(fields(plug({ made: 'x' })).words()).not.toContain('80.6');
  });
});
