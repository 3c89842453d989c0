import { ofClay } from '#core/material';
import { readFileSync } from 'node:fs';
import { againstShelf, takeFrom } from '#core/batch';
import { minutesFor } from '#core/clay';
import { cutterOfSize, cuttingLayout, sheetLeft } from '#core/cutter';
import {
  conditionPlan,
  conditioningBench,
  conditioningOf,
  rescueWays,
  type Conditioner,
  type RescuedFrom,
} from '#core/conditioning';
import { learnedOf } from '#core/learned';
import { type Block, type Squeeze, type Clay, type Firmness, type Kind } from '#core/clay';
import {
  apart,
  chromaHue,
  deltaE,
  hexOf,
  kOverS,
  labOf,
  mixPigments,
  pigmentOf,
  readColour,
  reflectance,
  xyzOfHex,
  xyzOfLab,
  statedPigment,
  hidingThickness,
} from '#core/colour';
import { neutralGains } from '#core/picture';
import {
  colourOf,
  correct,
  equalSteps,
  fewestDiscs,
  find,
  flatten,
  learn,
  nextChips,
  normalForm,
  partsOf,
  pigmentOfMix,
  openBrackets,
  parseNotation,
  printNotation,
  toDiscs,
  untilGone,
  type Basis,
  type Book,
  type Evidence,
  type Recipe,
} from '#core/mix';
import {
  areasOf,
  compensate,
  fadeOf,
  forecast,
  fractionsAt,
  keptFrom,
  layoutOf,
  radiusOf,
  rollUp,
  tapeOf,
  unevenness,
  type CountedBlend,
  type LayoutKind,
  marry,
  sheetForPieces,
  type FadeShown,
  stripsOf,
} from '#core/blend';
import { slicesRolled } from '#core/stock';
import {
  areaOf as caneArea,
  beyond,
  bundleCells,
  circle,
  contextOf,
  coresFrom,
  learnedEnds,
  planBackwards,
  pressOf,
  reachOf,
  scaled,
  shapeOutline,
  signedArea,
  sortScrap,
  sunflower,
  throughPress,
  type ShapeKind,
} from '#core/cane';
import {
  areaOfSheet,
  dialLabels,
  feedPlan,
  gaugedByCards,
  gaugedByDisc,
  wearOf,
  readInstruction,
  discVolume,
  massOfSheet,
  thicknesses,
  thicknessOfSheet,
  translate,
  type Machine,
} from '#core/sheet';
import { readLength, readMass, readTemperature, seeded, showNumber } from '#core/units';

type Dial = readonly [string, string, string];
type Rows = readonly (readonly [number, string | null, number | null])[];
/** Everything that some example may give; each has its own share of it. */
interface Given {
  squeeze: Squeeze | null;
  ratios: number[];
  rescue: { hex: string; grams: number; from: RescuedFrom; clays: [string, number, number][] };
  readonly colour: string;
  readonly clays: readonly string[];
  readonly text: string;
  readonly notation: string;
  readonly basis: Basis;
  readonly one: string;
  readonly other: string;
  readonly area: number;
  readonly thickness: number;
  readonly density: number;
  readonly mass: number;
  readonly diameter: number;
  readonly discVolume: number;
  readonly grams: number;
  readonly left: Readonly<Record<string, number>>;
  readonly reflectance: number;
  readonly kOverS: number;
  readonly strengths: readonly number[];
  readonly dial: Dial;
  readonly readings: Readonly<Record<string, number>>;
  readonly mm: number;
  readonly cutter: readonly [number, number?];
  readonly count: number;
  readonly sheet: readonly [number, number];
  readonly bridge: number;
  readonly chips: readonly { readonly recipe: string; readonly reads: string }[];
  readonly reads: string;
  readonly wanted: string;
  readonly patch: readonly [number, number, number];
  readonly said: string;
  readonly layout: LayoutKind;
  readonly colours: readonly string[];
  readonly size: readonly [number, number];
  readonly pure: number;
  readonly at: number;
  readonly contrast: number;
  readonly counted: readonly CountedBlend[];
  readonly blend: readonly [number, number, number];
  readonly tape: readonly [number, number];
  readonly layers: number;
  readonly from: string;
  readonly to: string;
  readonly areas: readonly number[];
  readonly labs: readonly (readonly [number, number, number])[];
  readonly lumps: readonly (readonly number[])[];
  readonly shapes: readonly [ShapeKind, ShapeKind];
  readonly turn: number;
  readonly log: number;
  readonly reduceTo: number;
  readonly slices: number;
  readonly trims: readonly (readonly [number, number])[];
  readonly across: number;
  readonly share: number;
  readonly cards: number;
  readonly cardMm: number;
  readonly read: readonly (readonly [string, string, number])[];
  readonly roomC: number;
  readonly school: Conditioner;
  readonly took: readonly number[];
  readonly overlap: number;
  readonly ends: readonly [readonly [number, number, number], readonly [number, number, number]];
  readonly shows: FadeShown;
  readonly along: number;
  readonly rollers: readonly [number, number, number];
  readonly slice: readonly [number, number, number];
  readonly backing: number;
  readonly passes: readonly number[];
  readonly turned: boolean;
  readonly blocks: Rows;
  readonly firmness: Firmness;
  readonly months: number;
  readonly minutes: number;
  readonly perMm: number;
}
interface Example {
  readonly name: string;
  readonly given: Given;
  readonly gives: unknown;
}

/** The worked examples of docs/models.md: blocks of JSON that name a model, what is given and what it gives. */
const examples: readonly Example[] = [
  ...readFileSync(new URL('../../docs/models.md', import.meta.url), 'utf8').matchAll(/```json example\n([\s\S]*?)```/g),
].map(([, text = '']) => {
  const { gives, ...rest } = JSON.parse(text) as Record<string, unknown>;
  const [[name = '', given] = []] = Object.entries(rest);
  return { name, given: given as Given, gives };
});

const DENSITIES: Readonly<Record<string, number>> = { 'Hearth Firm': 1.9, 'Oldrow Crumble': 1.95, Clearpane: 1.75 };
const CLAYS: Readonly<Record<string, readonly [string, string, Kind]>> = {
  Chalk: ['Hearth Firm', 'F1EEE4', 'opaque'],
  Beetroot: ['Hearth Firm', '7B1E4B', 'opaque'],
  Radish: ['Hearth Firm', 'D23B5E', 'opaque'],
  Carrot: ['Oldrow Crumble', 'E7712C', 'opaque'],
  Clearpane: ['Clearpane', 'E4E0D2', 'translucent'],
};
const book: Book = {
  line: (id) => ({
    id,
    name: id,
    firmness: 'medium',
    density: DENSITIES[id] ?? 1.9,
    bakeC: 130,
    bakeMinutes: 30,
    bakePerMm: 6,
    maxC: 150,
  }),
  clay: (id): Clay | undefined => {
    const [lineId, bakedHex, kind] = CLAYS[id] ?? [];
    return lineId && bakedHex && kind
      ? { id, lineId, name: id, kind, rawHex: bakedHex, bakedHex, strength: null }
      : undefined;
  },
  recipe: () => undefined,
  nameOf: () => '',
};
const recipe = (notation: string, basis: Basis = 'volume'): Recipe => ({
  basis,
  ingredients: openBrackets(parseNotation(notation)).map(({ parts, of }) => ({ parts, of: ofClay(of.name) })),
});
const machine = ({ dial: [widest, thinnest, step], readings }: Pick<Given, 'dial' | 'readings'>): Machine => ({
  id: 'm',
  name: 'Bench roller',
  rollerWidthMm: 145,
  settings: dialLabels(widest, thinnest, step).map((label) => ({ id: label, label })),
  readings: Object.entries(readings).map(([label, mm]) => ({
    id: label,
    settingId: label,
    mm,
    sigmaMm: 0.05,
    way: 'calipers',
  })),
});
const blocks = (rows: Rows): Block[] =>
  rows.map(([leftGrams, madeOn, price], i) => ({
    id: `block ${i + 1}`,
    clayId: 'Chalk',
    netGrams: 57,
    leftGrams,
    madeOn,
    price,
  }));

const clays = Object.keys(CLAYS).flatMap((id) => book.clay(id) ?? []);
const evidenceOf = (chips: Given['chips']): Evidence[] =>
  chips.map(({ recipe: notation, reads }, i) => ({
    id: String(i),
    stage: 'baked',
    way: 'colour reader',
    lab: readColour(reads),
    shares: flatten(recipe(notation), book).shares.map((s) => ({ clayId: s.clay.id, volume: s.volume.valueOf() })),
  }));

const BENCH = machine({ dial: ['0', '9', '1'], readings: { 0: 3.2, 3: 2.06, 4: 1.52, 6: 0.94, 9: 0.42 } });

/** Each model as the document names it. */
const MODELS: Readonly<Record<string, (given: Given) => unknown>> = {
  readLength: ({ text }) => readLength(text, 'metric'),
  readMass: ({ text }) => readMass(text, 'metric'),
  readTemperature: ({ text }) => readTemperature(text, 'metric'),
  massOfSheet: ({ area, thickness, density }) => massOfSheet(area, thickness, density),
  areaOfSheet: ({ mass, thickness, density }) => areaOfSheet(mass, thickness, density),
  thicknessOfSheet: ({ mass, area, density }) => thicknessOfSheet(mass, area, density),
  discVolume: ({ diameter, thickness }) => discVolume(diameter, thickness),
  openBrackets: ({ notation }) => printNotation(openBrackets(parseNotation(notation))),
  shares: ({ notation, basis }) =>
    Object.fromEntries(
      flatten(recipe(notation, basis), book).shares.map((s) => [s.clay.name, [s.volume.valueOf(), s.mass.valueOf()]]),
    ),
  normalForm: ({ notation }) =>
    Object.fromEntries(
      normalForm(flatten(recipe(notation), book), 'volume').parts.map((p) => [p.clayId, Number(p.parts)]),
    ),
  toDiscs: ({ notation, grams, discVolume: volume }) => {
    const count = toDiscs(recipe(notation), book, grams, volume);
    return { discs: count.discs.map((d) => d.valueOf()), grams: count.grams, deltaE: count.error };
  },
  untilGone: ({ notation, left }) => untilGone(flatten(recipe(notation), book), (id) => left[id] ?? 0),
  kOverS: ({ reflectance: r }) => kOverS(r),
  reflectance: ({ kOverS: q }) => reflectance(q),
  colourOf: ({ notation }) => {
    const { hex, lab } = colourOf(flatten(recipe(notation), book), 'baked');
    return { hex, l: lab.l, chroma: chromaHue(lab).c };
  },
  strengths: ({ strengths }) =>
    hexOf(
      mixPigments(
        ['F1EEE4', '7B1E4B'].map((hex, i) => pigmentOf(hex, strengths[i] ?? 1)),
        [1, 1],
      ),
    ),
  find: ({ colour, clays }) => {
    const candidates = clays
      .flatMap((id) => book.clay(id) ?? [])
      .map((c) => ({ id: c.id, pigment: statedPigment(c, 'baked'), density: 1.9, left: 57 }));
    const search = find({ target: labOf(xyzOfHex(colour)), clays: candidates, grams: 0, locked: [], mostClays: 3 });
    let step = search.next();
    while (!step.done) step = search.next();
    return step.value.map(({ clayIds, units, deltaE: d }) => [
      partsOf(units)
        .map((p, i) => `${showNumber(p)} ${clayIds[i] ?? ''}`)
        .join(' + '),
      d,
    ]);
  },
  learn: ({ chips }) => {
    const { learned, residuals } = learn(clays, evidenceOf(chips));
    return {
      strengths: Object.fromEntries(
        clays
          .filter((c) => (learned[c.id]?.chips ?? 0) > 0)
          .map((c) => [c.name, Math.exp(learned[c.id]?.logStrength ?? 0)]),
      ),
      before: residuals.map((r) => r.before),
      after: residuals.map((r) => r.after),
    };
  },
  nextChips: ({ chips }) =>
    nextChips(
      learn(clays, evidenceOf(chips)),
      clays.map((c) => c.id),
      1,
    ).map((n) => [n.parts.map((p, i) => `${p} ${n.clayIds[i] ?? ''}`).join(' + '), n.before, n.after]),
  correct: ({ notation, grams, reads, wanted }) => {
    const flat = flatten(recipe(notation), book);
    const candidates = clays.map((c) => ({
      id: c.id,
      pigment: statedPigment(c, 'baked'),
      density: DENSITIES[c.lineId] ?? 1.9,
      left: 57,
    }));
    return correct({
      grams,
      reads: readColour(reads),
      wanted: readColour(wanted),
      pigment: pigmentOfMix(flat, 'baked', statedPigment),
      density: flat.density,
      clays: candidates,
    }).map((c) => [c.adds.map((a) => `${a.grams} g ${a.clayId}`).join(' + '), c.deltaE]);
  },
  neutralGains: ({ patch }) => neutralGains(patch),
  equalSteps: ({ one, other, count }) =>
    equalSteps([pigmentOf(one, 1), pigmentOf(other, 1)], count).map((r) => [r.units.join(':'), hexOf(xyzOfLab(r.lab))]),
  fewestDiscs: ({ one, other, count }) => {
    const ends = [pigmentOf(one, 1), pigmentOf(other, 1)] as const;
    return fewestDiscs(ends, equalSteps(ends, count), 1.5);
  },
  apart: ({ one, other }) => apart(readColour(one), readColour(other)),
  deltaE: ({ one, other }) => deltaE(labOf(xyzOfHex(one)), labOf(xyzOfHex(other))),
  thicknesses: (given) => Object.fromEntries(thicknesses(machine(given)).map((s) => [s.label, [s.mm, s.knowledge]])),
  translate: (given) => {
    const { setting, errorMm, layers } = translate({ mm: given.mm, sigmaMm: 0 }, machine(given));
    return { setting: setting.label, errorMm, layers };
  },
  readInstruction: ({ said }) => {
    const { mm, assumed } = readInstruction(said, { machines: [BENCH], own: BENCH, cardMm: null, system: 'metric' });
    return { mm, assumed };
  },
  feedPlan: ({ layers, from, to, size: [width, length] }) => {
    const mm = layers * (thicknesses(BENCH).find((s) => s.label === from)?.mm ?? 0);
    const { byHandTo, feeds } = feedPlan({
      machine: BENCH,
      mm,
      width,
      length,
      settingId: to,
      thinning: 'straight',
      turns: false,
    });
    return { byHandTo, feeds: feeds.map((f) => [f.setting.label, f.mm, f.length]) };
  },
  pressArea: ({ shapes: [from, to], turn, count }) => {
    const before = scaled(shapeOutline({ shape: from }), 10);
    const press = pressOf(before, shapeOutline({ shape: to }), turn);
    const [x, y] = [throughPress((a) => a, press), throughPress((_, b) => b, press)];
    const [chance, reach, h] = [seeded(5), reachOf(press.outline), 1e-5];
    let [near, tried] = [0, 0];
    while (tried < count) {
      const [px, py] = [(chance() - 0.5) * 30, (chance() - 0.5) * 30];
      if (beyond(reach, px, py) > 0.999) continue;
      tried++;
      const jacobian =
        ((x(px + h, py) - x(px - h, py)) * (y(px, py + h) - y(px, py - h)) -
          (x(px, py + h) - x(px, py - h)) * (y(px + h, py) - y(px - h, py))) /
        (4 * h * h);
      if (Math.abs(jacobian - 1) < 0.01) near++;
    }
    return {
      areaKept: Math.abs(caneArea(press.outline) / caneArea(before) - 1) < 1e-9,
      within1percent: near / tried > 0.985,
    };
  },
  planBackwards: ({ log, reduceTo, slices, thickness, share }) => {
    const plan = planBackwards(
      [
        { id: 'a', do: 'log', of: 'clay:a', diameter: log, length: 60 },
        { id: 'b', do: 'reduce', to: 'diameter', value: reduceTo },
      ],
      { slices, thickness },
      contextOf(undefined, 0, 1, { share, trimming: 'once at the end' }),
    );
    return {
      cutOffEach: plan.stages[1]?.cut,
      length: plan.starts[0]?.length,
      mm3: plan.volumes.get('clay:a'),
      scrap: plan.offcuts.reduce((sum, o) => sum + (o.volumes.get('clay:a') ?? 0), 0),
    };
  },
  bundleCells: ({ areas }) => {
    const sum = areas.reduce((a, b) => a + b, 0);
    const cells = bundleCells(
      circle(2 * Math.sqrt(sum / Math.PI)),
      areas,
      sunflower(areas.length).map(([x, y]) => [8 * x, 8 * y] as const),
    );
    return { shares: cells.map((c) => signedArea(c) / sum) };
  },
  sortScrap: ({ labs, lumps, across }) =>
    sortScrap(
      lumps.map((volumes) => ({
        why: 'ends' as const,
        volumes: new Map(volumes.flatMap((v, i): [string, number][] => (v > 0 ? [[String(i), v]] : []))),
      })),
      (key) => {
        const [l, a, b] = labs[Number(key)] as readonly [number, number, number];
        return { lab: { l, a, b }, mica: false };
      },
    ).map(({ group, volume }) => ({ group, mm3: volume, cores: coresFrom(volume, across) })),
  learnedEnds: ({ trims }) => learnedEnds(trims.map(([lostMm, unitMm]) => ({ lostMm, unitMm }))),
  hidingThickness: ({ colour, strengths }) => strengths.map((s) => hidingThickness(pigmentOf(colour, s))),
  gaugedByDisc: ({ grams, cutter: [cutter], density }) => gaugedByDisc(grams, cutter, density, false),
  gaugedByCards: ({ cards, cardMm }) => gaugedByCards(cards, cardMm),
  wearOf: ({ read }) =>
    wearOf({
      readings: read.map(([settingId, takenOn, mm], i) => ({
        id: String(i),
        settingId,
        takenOn,
        mm,
        sigmaMm: 0.02,
        way: 'calipers',
      })),
    }),
  conditionPlan: ({ firmness, months, grams, roomC, school, took }) => {
    const { passes, portions, steps, warnings } = conditionPlan({
      lineId: 'own',
      firmness,
      months,
      grams,
      roomC,
      school,
      machine: BENCH,
      counted: took.map((passes) => ({ lineId: 'own', firmness, months, roomC, school, passes, grams })),
      ownPasses: null,
      workingSettingId: null,
    });
    return { passes, portions, steps: steps.map((s) => s.kind), warnings };
  },
  sheetLeft: ({ sheet: [widthMm, lengthMm], cutter: [width, height], count, bridge }) => {
    const { length, pieces, scrap } = sheetLeft({ widthMm, lengthMm }, [
      { cutter: cutterOfSize(width, height ?? null), count, bridge },
    ]);
    return { length, pieces, scrap };
  },
  sheetForPieces: ({ shows, count, along, across, bridge, mm, rollers: [layerMm, widestMm, rollerWidth] }) => {
    const wanted = { shows, count, shades: 1, along, across, bridge, mm };
    const { width, height, layers, fade, length, tape } = sheetForPieces(wanted, { layerMm, widestMm, rollerWidth });
    return { width, height, layers, fade, length, tape };
  },
  slicesRolled: ({ slice: [along, across, mm], backing, passes, turned }) => {
    const { backing: _, ...after } = slicesRolled({ along, across, mm, backing, passes, turned });
    return after;
  },
  stripsOf: ({ colours, strengths, count }) =>
    stripsOf(
      layoutOf('pure ends', colours.length, 100, 50, 10),
      colours.map((c, i) => pigmentOf(c, strengths[i] ?? 1)),
      count,
    ).map((s) => s.quarters.join(':')),
  marry: ({ ends: [[w1, h1, p1], [w2, h2, p2]], overlap }) => {
    const made = marry(layoutOf('pure ends', 2, w1, h1, p1), layoutOf('pure ends', 2, w2, h2, p2), false, overlap);
    return { size: [made.width, made.height], joint: made.cuts[1] };
  },
  fractionsAt: ({ layout, colours, size: [width, height], pure, at }) =>
    fractionsAt(layoutOf(layout, colours.length, width, height, pure), at),
  areasOf: ({ layout, colours, size: [width, height], pure }) =>
    areasOf(layoutOf(layout, colours.length, width, height, pure)),
  compensate: ({ layout, colours, size: [width, height], pure, strengths }) => {
    const cut = layoutOf(layout, colours.length, width, height, pure);
    const pigments = colours.map((c, i) => pigmentOf(c, strengths[i] ?? 1));
    const { gain, layout: made } = compensate(cut, pigments, pure);
    return { before: unevenness(fadeOf(cut, pigments)), gain, points: made.cuts.map((c) => c.length) };
  },
  forecast: ({ contrast, counted }) => forecast(contrast, keptFrom(counted), 20).enough,
  tapeOf: ({ blend: [width, height, thickness], tape: [wide, thin] }) => {
    const tape = tapeOf({ width, height, thickness }, wide, thin);
    const plug = rollUp(tape, 'first');
    return { length: tape.length, diameter: plug.diameter, firstTenthWithin: 2 * radiusOf(plug, 0.1) };
  },
  cuttingLayout: ({ cutter: [width, height], count, sheet: [w, l], bridge }) => {
    const {
      pattern,
      perSheet,
      sheets,
      width: wide,
      length,
      scrap,
    } = cuttingLayout(cutterOfSize(width, height ?? null), count, { width: w, length: l, bridge });
    return { pattern, perSheet, sheets, width: wide, length, scrap };
  },
  takeFrom: ({ blocks: rows, grams }) => takeFrom(blocks(rows), grams),
  againstShelf: ({ blocks: rows, grams }) => {
    const { short, blocksToBuy, usedCost, buyCost } = againstShelf(blocks(rows), grams);
    return { short, blocksToBuy, usedCost, buyCost };
  },
  conditioningOf: ({ firmness, months, squeeze, grams }) => {
    const clay = { lineId: '', firmness, months, squeeze, grams };
    const { minutes, warms, useSameDay, softener } = conditioningOf(clay, conditioningBench({}, BENCH, []));
    return { minutes, warms, useSameDay, softener };
  },
  rescueWays: ({ rescue: { hex, grams, from, clays } }) => {
    const clay = (rawHex: string): Clay => ({
      ...{ id: rawHex, lineId: '', name: '', kind: 'opaque', strength: null },
      ...{ rawHex, bakedHex: rawHex },
    });
    const added = clays.map(([of, there, hardness]) => ({ clay: clay(of), density: 1.9, grams: there, hardness }));
    const block = { clay: clay(hex), density: 1.9, grams, from, pigments: statedPigment };
    return rescueWays(block, added).map((way) => [
      way.added?.clay.id ?? 'softener',
      ...[way.addedGrams, way.drops, way.becomes.deltaE, way.enough],
    ]);
  },
  learnedOf: ({ ratios }) => learnedOf(ratios, { each: 0.25, bench: 0.5 }),
  minutesFor: ({ minutes, perMm, thickness }) => minutesFor({ bakeMinutes: minutes, bakePerMm: perMm }, thickness),
};

/** As exact as the document writes it: numbers to four places. */
const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 1e4) / 1e4 : v)));

describe('docs/models.md', () => {
  test.each(examples)('$name $given', ({ name, given, gives }) => {
    const model = MODELS[name];
    if (!model) throw new Error(`The document names a model that is not here: ${name}`);
    expect(rounded(model(given))).toEqual(gives);
  });

  test('every model has a worked example', () => {
    expect(Object.keys(MODELS).filter((name) => !examples.some((e) => e.name === name))).toEqual([]);
  });
});
