import { converter, formatHex, type Lab65 } from 'culori';
import { deltaE, labOf, mixPigments, readColour, statedPigment, type Lab } from '#core/colour';
import { correctedPigment, learn, nextChips, type Evidence, type Learned } from '#core/mix';
import { seeded } from '#core/units';
import { median, percentile, type Figure, type Table } from './measure.js';
import { hiddenStudio, type HiddenStudio, type Mixed } from './studio.js';

const CLAYS = 13;
const STUDIOS = 6;
const HELD_OUT = 200;
const PARTS = [1, 2, 3, 4, 6, 8];

export type Mixer = (hexes: readonly string[], parts: readonly number[]) => string;

function someMix(random: () => number): Mixed {
  const of: number[] = [];
  const wanted = random() < 0.6 ? 2 : 3;
  while (of.length < wanted) {
    const i = Math.floor(random() * CLAYS);
    if (!of.includes(i)) of.push(i);
  }
  return { of, parts: of.map(() => PARTS[Math.floor(random() * PARTS.length)] ?? 1) };
}

const evidence = (studio: HiddenStudio, mix: Mixed, n: number): Evidence => {
  const whole = mix.parts.reduce((a, b) => a + b, 0);
  return {
    id: `chip ${n}`,
    shares: mix.of.map((i, k) => ({ clayId: studio.clays[i]?.id ?? '', volume: (mix.parts[k] ?? 0) / whole })),
    stage: 'baked',
    lab: studio.read(mix),
    way: 'colour reader',
  };
};

function errors(studio: HiddenStudio, held: readonly Mixed[], learned: Learned): number[] {
  const pigments = studio.clays.map((clay) => {
    const own = learned[clay.id];
    return own ? correctedPigment(statedPigment(clay, 'baked'), own) : statedPigment(clay, 'baked');
  });
  return held.map((mix) =>
    deltaE(
      studio.truth(mix),
      labOf(
        mixPigments(
          mix.of.flatMap((i) => pigments[i] ?? []),
          mix.parts,
        ),
      ),
    ),
  );
}

const toLab = converter('lab65');
const averaged: Mixer = (hexes, parts) => {
  const whole = parts.reduce((a, b) => a + b, 0);
  const sum = hexes.reduce(
    (lab, hex, i) => {
      const { l, a, b } = toLab(`#${hex}`) as Lab65;
      const share = (parts[i] ?? 0) / whole;
      return { mode: 'lab65' as const, l: lab.l + l * share, a: lab.a + a * share, b: lab.b + b * share };
    },
    { mode: 'lab65' as const, l: 0, a: 0, b: 0 },
  );
  return formatHex(sum).slice(1);
};

const mixedBy = (studio: HiddenStudio, held: readonly Mixed[], mix: Mixer): number[] =>
  held.map((m) => {
    const lab: Lab = readColour(
      mix(
        m.of.map((i) => studio.clays[i]?.bakedHex ?? ''),
        m.parts,
      ),
    );
    return deltaE(studio.truth(m), lab);
  });

/** Chips made one after the other, each the most telling one by then. */
function chosen(studio: HiddenStudio, count: number, keep: (n: number, learned: Learned) => void): Evidence[] {
  const chips: Evidence[] = [];
  const ids = studio.clays.map((c) => c.id);
  for (let n = 1; n <= count; n++) {
    const [next] = nextChips(learn(studio.clays, chips), ids, 1);
    if (!next) throw new Error('No chip is worth making.');
    chips.push(evidence(studio, { of: next.clayIds.map((id) => ids.indexOf(id)), parts: next.parts }, n));
    keep(n, learn(studio.clays, chips).learned);
  }
  return chips;
}

const figure = (what: string, value: number, goal?: number): Figure => ({
  what,
  value,
  unit: 'ΔE00',
  ...(goal === undefined ? {} : { goal: `<= ${goal}`, met: value <= goal }),
});

/**
 * What is learned from chips of a hidden studio: ΔE00 of held-out mixes.
 * @param spectral mixes sRGB colours as another package does
 */
export function learning(clock: () => number, spectral: Mixer): Table {
  const of: Record<string, number[]> = {};
  const add = (what: string, values: readonly number[]): void => {
    (of[what] ??= []).push(...values);
  };
  for (let s = 0; s < STUDIOS; s++) {
    const random = seeded(40 + s);
    const studio = hiddenStudio(CLAYS, random);
    const held = Array.from({ length: HELD_OUT }, () => someMix(random));
    add('averaged in Lab', mixedBy(studio, held, averaged));
    add('spectral.js', mixedBy(studio, held, spectral));
    add('no chips', errors(studio, held, {}));
    const made = chosen(studio, 24, (n, learned) => {
      if (n === 12 || n === 24) add(`${n} chips, each the next worth making`, errors(studio, held, learned));
    });
    const others = Array.from({ length: 60 }, (_, i) => evidence(studio, someMix(random), made.length + i));
    add(
      '60 chips, 24 of them chosen',
      errors(studio, held, learn(studio.clays, [...made, ...others.slice(0, 36)]).learned),
    );
    for (const n of [12, 24, 60])
      add(`${n} chips at random`, errors(studio, held, learn(studio.clays, others.slice(0, n)).learned));
  }
  const goals: Readonly<Record<string, readonly [number, number?]>> = {
    'no chips': [6],
    '12 chips, each the next worth making': [3],
    '24 chips, each the next worth making': [1, 3],
    '60 chips, 24 of them chosen': [0.8],
  };
  const figures = Object.entries(of).flatMap(([what, values]): Figure[] => {
    const [middle, high] = goals[what] ?? [];
    return [
      figure(`${what}, median`, median(values), middle),
      figure(`${what}, 90th percentile`, percentile(values, 0.9), high),
    ];
  });
  const better = median(of['24 chips at random'] ?? []) / median(of['24 chips, each the next worth making'] ?? []);
  return {
    title: `Learning in a hidden studio: ${STUDIOS} studios of ${CLAYS} clays, ${HELD_OUT} held-out mixes each`,
    figures: [
      ...figures,
      {
        what: 'times closer with 24 chosen chips than with 24 at random',
        value: better,
        unit: 'times',
        goal: '> 1',
        met: better > 1,
      },
      fitting(clock),
    ],
  };
}

/** The time of one fit of 60 chips over 20 clays. */
function fitting(clock: () => number): Figure {
  const random = seeded(77);
  const studio = hiddenStudio(20, random);
  const mix = (): Mixed => {
    const i = Math.floor(random() * 20);
    return {
      of: [i, (i + 1 + Math.floor(random() * 19)) % 20],
      parts: [1 + Math.floor(random() * 4), 1 + Math.floor(random() * 4)],
    };
  };
  const chips = Array.from({ length: 60 }, (_, n) => evidence(studio, mix(), n));
  const times = Array.from({ length: 7 }, () => {
    const start = clock();
    if (learn(studio.clays, chips).residuals.length !== 60) throw new Error('A chip was lost.');
    return clock() - start;
  });
  return {
    what: 'one fit of 60 chips over 20 clays',
    value: median(times),
    unit: 'ms',
    goal: '< 500',
    met: median(times) < 500,
  };
}
