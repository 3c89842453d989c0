import { learnedOf } from '#core/learned';
import { seeded } from '#core/units';
import { median, percentile, type Table } from './measure.js';

/** A figure of a bench that is simulated: how single days differ, as its learning takes for granted (ln). */
export const FIGURES = [
  { what: 'passes by line', noise: 0.12, each: 0.25 },
  { what: 'minutes by step', noise: 0.18, each: 0.4 },
  { what: 'ends of canes', noise: 0.15, each: 0.35 },
  { what: 'passes of blends', noise: 0.15, each: 0.4 },
] as const;
type Simulated = (typeof FIGURES)[number];

/** Of so many days one is odd: so many times too much or too little, and half as much again. */
const [ODD_DAYS, ODD_FROM, ODD_MORE] = [0.1, 2, 2];
/** How far benches are off what is assumed (ln). */
const BENCH = 0.5;
const BENCHES = 400;

/** Two random numbers of a normal distribution (G. E. P. Box, M. E. Muller). */
const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** What is counted on a day, against what is assumed. */
function dayOf(truth: number, noise: number, random: () => number): number {
  const usual = truth * Math.exp(noise * normal(random));
  if (random() >= ODD_DAYS) return usual;
  const odd = ODD_FROM + ODD_MORE * random();
  return random() < 1 / 2 ? usual * odd : usual / odd;
}

/** How far a figure is off the truth after so many counts, over many benches: learned, and as the plain mean. */
export function offAfter(
  counts: number,
  { noise, each }: Simulated,
  seed: number,
): { readonly learned: readonly number[]; readonly mean: readonly number[] } {
  const random = seeded(seed);
  const benches = Array.from({ length: BENCHES }, () => {
    const truth = Math.exp(BENCH * 0.6 * normal(random));
    const seen = Array.from({ length: counts }, () => dayOf(truth, noise, random));
    const mean = seen.reduce((a, b) => a + b, 0) / counts;
    const { factor } = learnedOf(seen, { each, bench: BENCH });
    return { learned: Math.abs(factor / truth - 1), mean: Math.abs(mean / truth - 1) };
  });
  return { learned: benches.map((b) => b.learned), mean: benches.map((b) => b.mean) };
}

/** Counts after which a figure is known. */
const AFTER = 8;
/** Off the truth by no more than this. */
export const WITHIN = 0.1;

/** What is learned on a simulated bench, against its truth and against the plain mean. */
export function teaching(): Table {
  const figures = FIGURES.flatMap((figure, i) => {
    const { learned, mean } = offAfter(AFTER, figure, 71 + i);
    const percent = (value: number): number => Math.round(1000 * value) / 10;
    const off = median(learned);
    return [
      {
        ...{ what: `${figure.what}: off the truth after ${AFTER} counts, middle`, value: percent(off), unit: '%' },
        ...{ goal: `≤ ${100 * WITHIN} %, one day in ten odd`, met: off <= WITHIN },
      },
      {
        what: `${figure.what}: nine of ten benches are no further off`,
        value: percent(percentile(learned, 0.9)),
        unit: '%',
      },
      { what: `${figure.what}: the plain mean, middle`, value: percent(median(mean)), unit: '%' },
      { what: `${figure.what}: the plain mean, nine of ten`, value: percent(percentile(mean, 0.9)), unit: '%' },
    ];
  });
  return { title: 'What a simulated bench teaches', figures };
}
