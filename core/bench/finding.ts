import { ciede2000, labOf, mixPigments, pigmentOf, xyzOfHex, type Lab } from '#core/colour';
import { find, ratios, type Candidate } from '#core/mix';
import { seeded } from '#core/units';
import { median, type Table } from './measure.js';

const CLAYS = 120;
const TARGETS = 9;
/** Targets that are also looked for with plain numbers. */
const PLAIN_TARGETS = 3;

/**
 * Finding a mix among 120 clays, the same with plain numbers, and
 * plain enumeration of a part of the same mixes with the same prediction.
 */
export function finding(clock: () => number): Table {
  const random = seeded(3);
  const hex = (): string =>
    Array.from({ length: 3 }, () =>
      Math.floor(20 + random() * 220)
        .toString(16)
        .padStart(2, '0'),
    ).join('');
  const clays: Candidate[] = Array.from({ length: CLAYS }, (_, i) => ({
    id: String(i),
    pigment: pigmentOf(hex(), 1),
    density: 1.9,
    left: 57,
  }));
  const targets = Array.from({ length: TARGETS }, () => labOf(xyzOfHex(hex())));
  const whole: number[] = [];
  const first: number[] = [];
  const timed = (wanted: Lab, plainly: boolean): readonly [number, number] => {
    const start = clock();
    const search = find({ target: wanted, clays, grams: 0, locked: [], mostClays: 3 }, plainly);
    let step = search.next();
    const untilFirst = clock() - start;
    while (!step.done) step = search.next();
    if (step.value.length === 0) throw new Error('Nothing was found.');
    return [untilFirst, clock() - start];
  };
  for (const wanted of targets) {
    const [untilFirst, untilLast] = timed(wanted, false);
    first.push(untilFirst);
    whole.push(untilLast);
  }
  const plain = targets.slice(0, PLAIN_TARGETS).map((wanted) => timed(wanted, true)[1]);
  // every mix of three of the first clays: the rest takes as long for each
  const three = ratios(3);
  const few = clays.slice(0, 8);
  const target = targets[0] ?? { l: 50, a: 0, b: 0 };
  let tried = 0;
  let least = Infinity;
  const start = clock();
  for (const a of few)
    for (const b of few)
      for (const c of few) {
        if (!(a.id < b.id && b.id < c.id)) continue;
        const pigments = [a.pigment, b.pigment, c.pigment];
        for (const units of three) {
          const lab = labOf(mixPigments(pigments, units));
          least = Math.min(least, ciede2000(target.l, target.a, target.b, lab.l, lab.a, lab.b));
          tried++;
        }
      }
  const each = (clock() - start) / tried;
  const all =
    CLAYS + ((CLAYS * (CLAYS - 1)) / 2) * ratios(2).length + ((CLAYS * (CLAYS - 1) * (CLAYS - 2)) / 6) * three.length;
  if (!Number.isFinite(least)) throw new Error('Nothing was tried.');
  const exact = median(whole);
  return {
    title: `Finding a mix: ${CLAYS} clays, up to 3 of them, up to 8 parts with halves, medians of ${TARGETS} targets`,
    figures: [
      { what: 'first answer', value: median(first), unit: 'ms', goal: '< 150', met: median(first) < 150 },
      { what: 'exact answer', value: exact, unit: 'ms', goal: '< 3,000', met: exact < 3000 },
      { what: 'slowest exact answer', value: Math.max(...whole), unit: 'ms' },
      { what: `exact answer with plain numbers, of ${PLAIN_TARGETS}`, value: median(plain), unit: 'ms' },
      { what: 'all mixes', value: all, unit: 'mixes' },
      { what: `plain enumeration of all, from ${tried.toLocaleString('en')} of them`, value: all * each, unit: 'ms' },
      {
        what: 'times faster than plain enumeration',
        value: (all * each) / exact,
        unit: 'times',
        goal: '>= 10',
        met: (all * each) / exact >= 10,
      },
    ],
  };
}
