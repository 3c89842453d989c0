import fc from 'fast-check';
import { conditioningBench } from '#core/conditioning';
import { pigmentsWith } from '#core/mix';
import { machines } from '#demo';
import type { BlendPlanDto, MachineDto } from '#contract';
import { blendSteps } from '../src/stations/blends/blendSteps.js';
import { endOptions, feedWords, leadOf, smoothWords, tapeFeeds, wideWords } from '../src/stations/blends/tapeWords.js';
import { coloursIn, compensatedIn, workedBlend, type WorkedBlend } from '../src/stations/blends/workedBlend.js';
import { SHELF, blend, plan } from './kitchen.js';

const own = machines[0] as MachineDto;
function worked(of: BlendPlanDto, machine: MachineDto | undefined): WorkedBlend {
  const base = coloursIn(blend(of), SHELF, pigmentsWith(null));
  if (typeof base === 'string') throw new Error(base);
  return workedBlend(blend(of), of.cuts, base, compensatedIn(of, base), machine);
}

const plans = fc
  .record({
    names: fc.shuffledSubarray(['Chalk', 'Soot', 'Beetroot', 'Leek'], { minLength: 2, maxLength: 3 }),
    layers: fc.integer({ min: 1, max: 4 }),
    turning: fc.constantFrom('folded' as const, 'rolled' as const, 'cut' as const),
    plug: fc.constantFrom('rolled' as const, 'fan' as const),
    inside: fc.constantFrom('first' as const, 'last' as const),
  })
  .map(({ names, ...more }) => plan(names, more));
const machine = fc.constantFrom(undefined, own);

const conditioning = conditioningBench({}, null, []);

describe('a blend at the bench', () => {
  test('begins with conditioning every clay, rolls every colour, and ends with the plug', () => {
    fc.assert(
      fc.property(plans, machine, (of, m) => {
        const w = worked(of, m);
        const titles = blendSteps({
          blend: blend(of),
          worked: w,
          own: m,
          shelf: SHELF,
          units: 'metric',
          conditioning,
        }).map((s) => s.title);
        for (const c of w.colours) {
          expect(titles.some((title) => title.startsWith(`Condition ${c.name}`))).toBe(true);
          expect(titles).toContain(`Roll ${c.name}`);
        }
        expect(titles.at(-1)).toBe(of.plug === 'rolled' ? 'Roll it up' : 'Fold it like a fan');
        expect(titles.indexOf('Cut and swap')).toBeLessThan(titles.indexOf('Fold and pass'));
      }),
      { numRuns: 8 },
    );
  });

  test('counts the passes of one step and no other, and says a size in both systems', () => {
    fc.assert(
      fc.property(plans, fc.constantFrom('metric' as const, 'imperial' as const), (of, units) => {
        const w = worked(of, own);
        const steps = blendSteps({ blend: blend(of), worked: w, own, shelf: SHELF, units, conditioning });
        expect(steps.filter((s) => s.about !== undefined).map((s) => s.about)).toEqual([w.passes.enough]);
        const words = steps.map((s) => `${s.line} ${s.figure ?? ''} ${s.of ?? ''}`).join(' ');
        expect(words).toMatch(units === 'metric' ? / mm/ : / in/);
        expect(words).not.toMatch(/NaN|undefined|Infinity/);
      }),
      { numRuns: 8 },
    );
  });

  test('an odd number of layers says what stays over, an even one does not', () => {
    for (const layers of [1, 2, 3, 4]) {
      const of = plan(['Chalk', 'Leek'], { layers });
      const cut = blendSteps({
        blend: blend(of),
        worked: worked(of, own),
        own,
        shelf: SHELF,
        units: 'metric',
        conditioning,
      }).find((s) => s.title === 'Cut and swap');
      expect(cut?.line.includes('stay over')).toBe(layers % 2 === 1);
    }
  });
});

describe('the words of a tape', () => {
  test('the lighter end goes in first where nobody says which', () => {
    fc.assert(
      fc.property(fc.constantFrom(['Chalk', 'Soot'], ['Soot', 'Chalk']), (names) => {
        const of = plan(names);
        const { colours } = worked(of, own);
        expect(leadOf(of, colours)).toBe(names[0] === 'Chalk' ? 'first' : 'last');
        expect(leadOf({ ...of, lead: 'last' }, colours)).toBe('last');
        expect(endOptions(colours).map((o) => o.text)).toEqual(names);
      }),
    );
  });

  test('it gets longer from setting to setting and stays as wide; without a machine nothing is said', () => {
    fc.assert(
      fc.property(plans, (of) => {
        const { turning } = worked(of, own);
        const plan = tapeFeeds(own, turning, of.width);
        const lengths = plan?.feeds.map((f) => f.length) ?? [];
        expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
        if (plan && plan.feeds.length > 0)
          expect(feedWords(plan, turning.turned.width, 'metric')).toMatch(/wide all the way$/);
        expect(tapeFeeds(undefined, turning, of.width)).toBeNull();
      }),
      { numRuns: 6 },
    );
  });

  test('a tape wider than the rollers, or nearly, is warned of', () => {
    const rollers = own.rollerWidthMm;
    expect(wideWords(own, rollers * 0.5, 'metric')).toBeNull();
    expect(wideWords(own, rollers * 0.9, 'metric')).toMatch(/splits/);
    expect(wideWords(own, rollers + 1, 'metric')).toMatch(/fold it once more/);
    expect(wideWords(undefined, rollers + 1, 'metric')).toBeNull();
  });

  test('it is smooth, or its steps are seen', () => {
    fc.assert(
      fc.property(plans, (of) => {
        expect(smoothWords(worked(of, own).turning, of.tapeSettingId === null)).toMatch(/^smooth|^steps are seen/);
      }),
      { numRuns: 6 },
    );
  });
});
