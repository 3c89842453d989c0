import { randomUUID } from 'node:crypto';
import { ofClay, ofMix, type Mixable } from '#core/material';
import { keyOf } from '#core/material';
import { seeded } from '#core/units';
import type {
  BalanceAnswer,
  BatchAnswer,
  BatchDto,
  BlendAnswer,
  CaneAnswer,
  ClayDto,
  DescentAnswer,
  DiaryAnswer,
  LeftDto,
  MadeAnswer,
  MadeDto,
  MixAnswer,
  PieceDto,
  Problem,
  ShelfAnswer,
  ShoppingAnswer,
  StockAnswer,
  TakenDto,
  ThereAnswer,
  TubAnswer,
} from '#contract';
import { Api, block, clay, fade, line, machine, mix } from './api.js';
import { caneOf, log } from './canes.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const DAY = '2026-11-20';
const stock = async (): Promise<StockAnswer> => (await api.get<StockAnswer>('/api/stock')).body;
const balance = async (): Promise<BalanceAnswer> => (await stock()).balance;
const noted = (name: string, grams: number, more: Partial<MadeDto> = {}): MadeDto => ({
  id: randomUUID(),
  version: 0,
  name,
  note: '',
  form: 'lump',
  widthMm: 27,
  lengthMm: 27,
  mm: 27,
  layers: 1,
  grams,
  cuts: [],
  gone: false,
  keptIn: 'green tin',
  ...more,
});
const note = (thing: MadeDto, of: object): ReturnType<typeof api.ask<MadeAnswer & Problem>> =>
  api.ask('POST', `/api/made/${thing.id}/noted`, { thing, of, entryId: randomUUID(), madeOn: DAY, note: '' });
const left = (to: LeftDto['to'], grams: number, ...of: LeftDto['parts'][number]['of'][]): LeftDto => ({
  parts: of.map((one) => ({ of: one, grams: grams / of.length })),
  to,
});

const rounds = (count: number): MadeDto['cuts'][number] => ({
  id: randomUUID(),
  name: 'Drops',
  shape: 'round',
  widthMm: 20,
  heightMm: null,
  count,
  bridgeMm: 2,
});

/** A thing as it is sent. */
const made = (thing: MadeAnswer): MadeDto => ({ ...noted(thing.name, thing.grams), ...onlySent(thing) });
const onlySent = ({ id, version, form, widthMm, lengthMm, mm, cuts, gone }: MadeAnswer): Partial<MadeDto> => ({
  ...{ id, version, form, widthMm, lengthMm, mm, cuts, gone },
});

interface Garden {
  readonly clays: readonly ClayDto[];
  readonly pink: { readonly id: string; readonly version: number; readonly revisionId: string };
  readonly blend: BlendAnswer;
  readonly cane: CaneAnswer;
  readonly settingId: string;
}

/** A shelf of three clays, one of them mica, a mix, a blend, a cane and a machine. */
async function garden(): Promise<Garden> {
  const own = (await api.put('lines', line('Hearth Firm'))).body;
  const clays: ClayDto[] = [];
  for (const [name, hex, kind] of [
    ['Chalk', 'F1EEE4', 'opaque'],
    ['Beetroot', '7B1E4B', 'opaque'],
    ['Pewter Lustre', '9A9A98', 'mica'],
  ] as const) {
    const one = (await api.put('clays', clay(own.id, name, hex, { kind }))).body;
    clays.push(one);
    for (let i = 0; i < 8; i++) await api.put('blocks', block(one.id));
  }
  const [chalk, beet] = clays as [ClayDto, ClayDto];
  const dto = mix('Radish', ['2', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
  const made = (await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto)).body;
  const pink = { id: made.id, version: made.version, revisionId: made.revisions[0]?.id ?? '' };
  const blend = (await api.put('blends', fade('Dusk', chalk, beet))).body as BlendAnswer;
  const cane = (await api.put('canes', caneOf('Bean', log(keyOf(ofMix(pink.revisionId)))))).body as CaneAnswer;
  const own2 = machine('Bench roller');
  await api.put('machines', own2);
  return { clays, pink, blend, cane, settingId: own2.settings[3]?.id ?? '' };
}

const piece = (of: PieceDto['layers'][number]['of'], settingId: string, count = 6): PieceDto => ({
  id: randomUUID(),
  name: 'Drop',
  shape: 'round',
  widthMm: 20,
  heightMm: null,
  count,
  spare: 0,
  bridgeMm: 2,
  sheetWidthMm: 120,
  sheetLengthMm: 200,
  layers: [{ id: randomUUID(), of, settingId }],
});
const batchOf = (...pieces: PieceDto[]): BatchDto => ({
  id: randomUUID(),
  version: 0,
  name: `Drops ${randomUUID().slice(0, 4)}`,
  note: '',
  dueOn: null,
  pieces,
});

/** Does things at random, as a maker would: most of them work, some are refused and then change nothing. */
class Errand {
  readonly done: string[] = [];
  constructor(
    private readonly chance: () => number,
    private readonly of: Garden,
  ) {}

  private pick<T>(list: readonly T[]): T | undefined {
    return list[Math.floor(this.chance() * list.length)];
  }
  private grams = (most: number): number => Math.round(this.chance() * most * 1000) / 1000 + 0.001;
  private clayId = (): string => (this.pick(this.of.clays) as ClayDto).id;
  private used = (): { clayId: string; grams: number }[] => [{ clayId: this.clayId(), grams: this.grams(30) }];
  private mixable = (): Mixable => (this.chance() < 0.5 ? ofClay(this.clayId()) : ofMix(this.of.pink.revisionId));

  private async left(): Promise<LeftDto[]> {
    if (this.chance() < 0.3) return [];
    const tub = this.chance() < 0.3 ? this.pick((await stock()).tubs) : undefined;
    const to = this.pick(['tub', 'tub', 'lump', 'thrown'] as const) ?? 'tub';
    const several = to === 'tub' && this.chance() < 0.5;
    const of = several ? [this.mixable(), ofClay(this.clayId())] : [this.mixable()];
    return [{ ...left(to, this.grams(4), ...of), tubId: to === 'tub' ? (tub?.id ?? null) : null }];
  }

  private async taken(): Promise<TakenDto[]> {
    const { things, tubs } = await stock();
    const thing = this.chance() < 0.5 ? this.pick(things) : undefined;
    const tub = this.chance() < 0.5 ? this.pick(tubs.filter((t) => t.grams > 0)) : undefined;
    return [
      ...(thing ? [{ of: { kind: 'made' as const, id: thing.id }, grams: thing.grams * this.chance() }] : []),
      ...(tub ? [{ of: { kind: 'scrap' as const, id: tub.id }, grams: tub.grams * this.chance() }] : []),
    ];
  }

  private entry = () => ({ entryId: randomUUID(), madeOn: DAY, note: '' });

  private readonly moves: Readonly<Record<string, () => Promise<number>>> = {
    buy: async () => (await api.put('blocks', block(this.clayId()))).status,
    roll: async () => {
      const sheet = noted('A sheet', this.grams(30), { form: 'sheet', widthMm: 90, lengthMm: 120, mm: 1.5 });
      const body = {
        sheet,
        of: this.mixable(),
        rolledAt: '3',
        ...this.entry(),
        used: this.used(),
        ready: await this.taken(),
        left: await this.left(),
      };
      return (await api.ask('POST', `/api/sheets/${sheet.id}/rolled`, body)).status;
    },
    have: async () => (await note(noted('A lump', this.grams(40)), this.mixable())).status,
    batch: async () => {
      const { body } = await api.put('batches', batchOf(piece(this.mixable(), this.of.settingId)));
      const dto = {
        version: body.version,
        ...this.entry(),
        used: this.used(),
        taken: await this.taken(),
        left: await this.left(),
      };
      return (await api.ask('POST', `/api/batches/${body.id}/done`, dto)).status;
    },
    blend: async () => {
      const sheet = noted('Dusk', this.grams(20), { form: 'sheet', widthMm: 90, lengthMm: 50, mm: 1.5 });
      const { id, version } = this.of.blend;
      const kept = this.chance() < 0.6 ? { sheet } : {};
      const [ready, left] = [await this.taken(), await this.left()];
      const dto = { version, ...this.entry(), passes: 12, used: this.used(), ready, left, ...kept };
      return (await api.ask('POST', `/api/blends/${id}/done`, dto)).status;
    },
    cane: async () => {
      const { id, version } = this.of.cane;
      const form = this.chance() < 0.7 ? ('cane' as const) : ('slices' as const);
      const kept = { id: randomUUID(), name: 'Bean', form, keptIn: '' };
      const dto = {
        version,
        ...this.entry(),
        diameterMm: 12,
        lengthMm: 80,
        slices: 20,
        trims: [],
        used: this.used(),
        ready: await this.taken(),
        left: await this.left(),
        kept: this.chance() < 0.7 ? kept : null,
      };
      return (await api.ask('POST', `/api/canes/${id}/done`, dto)).status;
    },
    slice: async () => {
      const cane = this.pick((await stock()).things.filter((t) => t.form === 'cane'));
      if (!cane) return 0;
      const { entryId, madeOn } = this.entry();
      const dto = {
        version: cane.version,
        entryId,
        madeOn,
        slicesId: randomUUID(),
        name: 'Slices',
        count: 7,
        mm: 2,
        keptIn: '',
      };
      return (await api.ask('POST', `/api/made/${cane.id}/sliced`, dto)).status;
    },
    away: async () => {
      const thing = this.pick((await stock()).things);
      if (!thing) return 0;
      const { entryId, madeOn } = this.entry();
      const dto = { version: thing.version, entryId, madeOn, to: this.chance() < 0.7 ? 'tub' : 'thrown' };
      return (await api.ask('POST', `/api/made/${thing.id}/away`, dto)).status;
    },
    cut: async () => {
      const sheet = this.pick((await stock()).things.filter((t) => t.form === 'sheet'));
      if (!sheet) return 0;
      const again = sheet.cuts.length > 0 && this.chance() < 0.3;
      const cuts = again ? sheet.cuts.slice(1) : [...sheet.cuts, rounds(3)];
      return (await api.ask('PUT', `/api/sheets/${sheet.id}`, { ...made(sheet), cuts })).status;
    },
    empty: async () => {
      const tub = this.pick((await stock()).tubs.filter((t) => t.grams > 0));
      if (!tub || this.chance() < 0.7) return 0;
      const { entryId, madeOn } = this.entry();
      return (await api.ask('POST', `/api/tubs/${tub.id}/emptied`, { version: tub.version, entryId, madeOn })).status;
    },
    stretch: async () => {
      const tub = this.pick((await stock()).tubs);
      if (!tub) return 0;
      const { entryId, madeOn } = this.entry();
      const dto = { version: tub.version, entryId, madeOn, used: this.used() };
      return (await api.ask('POST', `/api/tubs/${tub.id}/stretched`, dto)).status;
    },
    undo: async () => (await api.ask('POST', '/api/undo')).status,
    redo: async () => (await api.ask('POST', '/api/redo')).status,
  };

  async step(): Promise<void> {
    const name = this.pick([...Object.keys(this.moves), 'undo']) as string;
    const status = await (this.moves[name] as () => Promise<number>)();
    this.done.push(`${name} ${status}`);
  }
}

const GRAMS = 6;

test.each([1, 2, 3, 4])(
  'nothing comes from nowhere and nothing is lost without a word, over 40 steps at random (%d)',
  async (seed) => {
    const errand = new Errand(seeded(seed), await garden());
    for (let i = 0; i < 40; i++) {
      await errand.step();
      const now = await balance();
      expect([errand.done.slice(-2), Math.abs(now.unsaid) < 10 ** -GRAMS]).toEqual([errand.done.slice(-2), true]);
      expect(Object.values(now).every((grams) => grams > -(10 ** -GRAMS))).toBe(true);
    }
    const worked = errand.done.filter((d) => d.endsWith('200') || d.endsWith('201'));
    expect(worked.length).toBeGreaterThan(20);
    expect(errand.done.some((d) => / 5\d\d$/.test(d))).toBe(false);
  },
  60_000,
);

test('what is left of a batch goes to the tubs that fit, and comes out of them as it went in', async () => {
  const { clays, pink, settingId } = await garden();
  const [chalk, beet, pewter] = clays as [ClayDto, ClayDto, ClayDto];
  const radish = ofMix(pink.revisionId);
  const batch = (await api.put('batches', batchOf(piece(radish, settingId)))).body as unknown as BatchAnswer;
  expect(batch.plan.left).toEqual([
    { why: 'cut', parts: [{ of: radish, grams: expect.closeTo(batch.plan.scrapGrams, 6) }] },
  ]);
  const dto = {
    version: batch.version,
    entryId: randomUUID(),
    madeOn: DAY,
    note: '',
    used: [
      { clayId: chalk.id, grams: 20 },
      { clayId: beet.id, grams: 10 },
    ],
    left: [left('tub', 6, radish), left('tub', 4, radish, ofClay(chalk.id)), left('tub', 2, ofClay(pewter.id))],
  };
  expect((await api.ask('POST', `/api/batches/${batch.id}/done`, dto)).status).toBe(200);
  const { tubs, balance: now } = await stock();
  expect(tubs.map((t) => [t.name, t.rule, t.grams])).toEqual([
    ['Dark scrap', 'dark', expect.closeTo(4, 9)],
    ['Pewter Lustre', 'own', expect.closeTo(2, 9)],
    ['Radish', 'own', expect.closeTo(6, 9)],
  ]);
  const own = tubs.find((t) => t.name === 'Radish') as TubAnswer;
  // the mix is its clays: two parts to one of the same density
  expect(own.clays.map((c) => [c.name, c.grams])).toEqual([
    ['Chalk', expect.closeTo(4, 9)],
    ['Beetroot', expect.closeTo(2, 9)],
  ]);
  expect([now.inTubs, now.inPieces]).toEqual([expect.closeTo(12, 9), expect.closeTo(18, 9)]);
  const entry = (await api.get<DiaryAnswer>(`/api/diary/${dto.entryId}`)).body;
  expect(entry.flows.map((f) => [f.kind, f.name]).sort()).toEqual(
    [
      ['pieces', null],
      ['toTub', 'Dark scrap'],
      ['toTub', 'Pewter Lustre'],
      ['toTub', 'Radish'],
    ].sort(),
  );
});

test('a layer is rolled of a lump: no clay comes off the shelf for it, and the plan says what is short', async () => {
  const { clays, settingId } = await garden();
  const [chalk] = clays as [ClayDto];
  const lump = (await note(noted('Old chalk', 12), ofClay(chalk.id))).body;
  const of = { kind: 'made' as const, id: lump.id };
  const batch = (await api.put('batches', batchOf(piece(of, settingId, 9)))).body as unknown as BatchAnswer;
  expect([batch.plan.clays, batch.plan.mixes]).toEqual([[], []]);
  const [ready] = batch.plan.ready;
  expect(ready).toMatchObject({ of, name: 'Old chalk', there: 12, short: expect.closeTo((ready?.grams ?? 0) - 12, 9) });
  expect(batch.plan.steps.map((s) => s.kind)).toEqual(['ready', 'roll', 'cut', 'bake']);
  // it says so, and no other batch gets it
  const there = (await stock()).things[0] as ThereAnswer;
  expect(there.reservedFor).toEqual([{ kind: 'batch', id: batch.id, name: batch.name }]);
  const other = await api.ask<Problem>('PUT', '/api/batches/x', batchOf(piece(of, settingId)));
  expect(other.status).toBe(400);
  const second = batchOf(piece(of, settingId));
  const refused = await api.ask<Problem>('PUT', `/api/batches/${second.id}`, second);
  expect([refused.status, refused.body.detail]).toEqual([
    422,
    `Old chalk is reserved for ${batch.name}. Take it out there first.`,
  ]);
  // done, it is taken, once
  const dto = {
    version: batch.version,
    entryId: randomUUID(),
    madeOn: DAY,
    note: '',
    used: [],
    taken: [{ of, grams: 9 }],
  };
  expect((await api.ask('POST', `/api/batches/${batch.id}/done`, dto)).status).toBe(200);
  const [after] = (await stock()).things;
  expect(after).toMatchObject({ grams: 3, reservedFor: [] });
  // what was made leads back to what it was made of
  const { made: descent } = (await api.get<DescentAnswer>(`/api/diary/${dto.entryId}/descent`)).body;
  expect(descent.map(({ went }) => went)).toEqual([[], [{ name: 'Old chalk', grams: 9, into: dto.entryId }]]);
  expect(descent[0]?.entry.id).toBe(dto.entryId);
  expect((await api.get(`/api/diary/${randomUUID()}/descent`)).status).toBe(404);
  // a ball of a quarter of the clay has 0.63 of the diameter
  expect(after?.mm).toBeCloseTo(27 * Math.cbrt(0.25), 6);
});

test('what is cut from a sheet lies there no more: what fell between is scrap', async () => {
  const { clays } = await garden();
  const [chalk] = clays as [ClayDto];
  const flat = { form: 'sheet', widthMm: 90, lengthMm: 120, mm: 1.5 } as const;
  const sheet = (await note(noted('Chalk, 3', 30, flat), ofClay(chalk.id))).body;
  const path = `/api/sheets/${sheet.id}`;
  const cut = (await api.ask<MadeAnswer>('PUT', path, { ...made(sheet), cuts: [rounds(4)] })).body;
  // one row of four of 20 mm, 2 mm apart, takes 24 of the 120 mm
  expect(cut.left).toBeCloseTo((30 * 96) / 120, 9);
  const now = await stock();
  const perArea = 30 / (90 * 120);
  const pieces = 4 * Math.PI * 100 * perArea;
  expect(now.balance.inPieces).toBeCloseTo(pieces, 9);
  const between = 24 * 90 * perArea - pieces;
  expect(now.tubs.map((t) => [t.name, t.grams])).toEqual([['Chalk', expect.closeTo(between, 9)]]);
  expect(now.balance.lyingThere).toBeCloseTo(24, 9);
  // not after all: both come back
  const back = (await api.ask<MadeAnswer>('PUT', path, { ...made(cut), cuts: [] })).body;
  expect([back.left, (await balance()).inTubs]).toEqual([30, 0]);
  // all that is left of it can be taken, and no gram more
  const again = (await api.ask<MadeAnswer>('PUT', path, { ...made(back), cuts: [rounds(4)] })).body;
  const away = { version: again.version, entryId: randomUUID(), madeOn: DAY, to: 'tub' };
  await api.ask('POST', `/api/made/${sheet.id}/away`, away);
  expect((await stock()).tubs[0]?.grams).toBeCloseTo(30 - pieces, 9);
});

test('slices and their backing become a sheet, and a layer is rolled of it', async () => {
  const { clays, pink, cane, settingId } = await garden();
  const [chalk] = clays as [ClayDto];
  const of = { kind: 'cane' as const, id: cane.revisionId };
  const flat = { form: 'slices', widthMm: 12, lengthMm: 12, mm: 2, count: 30 } as const;
  const slices = (await note(noted('Bean, slices', 15, flat), of)).body;
  const under = (await note(noted('Old chalk', 12), ofClay(chalk.id))).body;
  const dto = {
    ...{ version: slices.version, entryId: randomUUID(), madeOn: DAY, sheetId: randomUUID(), name: 'Bean, laid' },
    ...{ count: 20, widthMm: 60, lengthMm: 60, mm: 1.5, keptIn: '' },
    backing: [{ of: { kind: 'made', id: under.id }, grams: 5 }],
  };
  const lay = (more: object) =>
    api.ask<MadeAnswer & Problem>('POST', `/api/made/${slices.id}/laid`, { ...dto, ...more });
  const many = await lay({ count: 31 });
  expect([many.status, many.body.detail]).toEqual([422, 'There are only 30 of Bean, slices.']);
  const { status, body: sheet } = await lay({});
  expect([status, sheet.form, sheet.grams, sheet.of]).toEqual([200, 'sheet', expect.closeTo(15, 9), of]);
  const left = (await stock()).things.find((t) => t.id === slices.id);
  expect([left?.count, left?.grams]).toEqual([10, expect.closeTo(5, 9)]);
  expect(Math.abs((await balance()).unsaid)).toBeLessThan(10 ** -GRAMS);
  const batch = (await api.put('batches', batchOf(piece({ kind: 'made', id: sheet.id }, settingId, 2)))).body;
  const plan = (batch as unknown as BatchAnswer).plan;
  expect([plan.pieces[0]?.wrong, plan.ready[0]?.name, plan.clays]).toEqual([null, 'Bean, laid', []]);
  // its colour is that of the mix it was built of
  expect(plan.materials[sheet.id]?.name).toBe('Bean, laid');
  expect(pink.revisionId).toBeTruthy();
});

test("a tub of one's own takes what its rule says, before any other; stretched, it says its clays", async () => {
  const { clays, pink, settingId } = await garden();
  const [chalk, beet] = clays as [ClayDto, ClayDto];
  const tub = { id: randomUUID(), version: 0, name: 'Pinks', keptIn: '', takes: [chalk.id, beet.id] };
  await api.ask('PUT', `/api/tubs/${tub.id}`, tub);
  const batch = (await api.put('batches', batchOf(piece(ofMix(pink.revisionId), settingId)))).body;
  const dto = {
    ...{ version: batch.version, entryId: randomUUID(), madeOn: DAY, note: '' },
    used: [{ clayId: chalk.id, grams: 20 }],
    left: [left('tub', 6, ofMix(pink.revisionId))],
  };
  expect((await api.ask('POST', `/api/batches/${batch.id}/done`, dto)).status).toBe(200);
  const [own] = (await stock()).tubs;
  expect([own?.name, own?.grams]).toEqual(['Pinks', expect.closeTo(6, 9)]);
  const stretch = { version: own?.version, entryId: randomUUID(), madeOn: DAY };
  const used = [{ clayId: beet.id, grams: 4 }];
  const after = (await api.ask<TubAnswer>('POST', `/api/tubs/${tub.id}/stretched`, { ...stretch, used })).body;
  // two parts to one of the mix, and four grams
  expect(after.clays.map((c) => [c.name, c.grams])).toEqual([
    ['Beetroot', expect.closeTo(6, 9)],
    ['Chalk', expect.closeTo(4, 9)],
  ]);
  await api.ask('POST', '/api/undo');
  expect((await stock()).tubs[0]?.grams).toBeCloseTo(6, 9);
});

test('a plug that a cane begins with is given to no batch, and what a batch counts on to no cane', async () => {
  const { clays, settingId } = await garden();
  const [chalk] = clays as [ClayDto];
  const flat = { form: 'sheet', widthMm: 80, lengthMm: 60, mm: 2 } as const;
  const sheet = (await note(noted('Chalk, 2', 18, flat), ofClay(chalk.id))).body;
  const of = { kind: 'made' as const, id: sheet.id };
  const batch = (await api.put('batches', batchOf(piece(of, settingId, 2)))).body;
  const layers = [{ of: keyOf(ofClay(chalk.id)), thickness: 2 }];
  const begun = caneOf('Roll', { id: 'a', do: 'roll', layers, rolled: 60, length: 80, made: sheet.id });
  const refused = await api.ask<Problem>('PUT', `/api/canes/${begun.id}`, begun);
  expect([refused.status, refused.body.detail]).toEqual([
    422,
    `What this cane begins with is reserved for ${batch.name}. Take it out there first.`,
  ]);
});

test('clay to buy for a cane and a blend too, by their clays as they are planned', async () => {
  const { cane, blend } = await garden();
  const list = async (query: string): Promise<ShoppingAnswer> =>
    (await api.get<ShoppingAnswer>(`/api/shopping${query}`)).body;
  expect((await list('')).rows).toEqual([]);
  const { rows, plans } = await list(`?canes=${cane.id}&blends=${blend.id}`);
  expect(plans.map((p) => p.name).sort()).toEqual(['Bean', 'Dusk']);
  const grams = (name: string): number => rows.find((r) => r.name === name)?.grams ?? 0;
  const ofBlend = (await list(`?blends=${blend.id}`)).rows;
  const { width, height, layers } = blend.plan;
  const whole = (width * height * (layers + (layers % 2)) * 2 * 1.9) / 1000;
  expect(ofBlend.reduce((sum, r) => sum + r.grams, 0)).toBeCloseTo(whole, 6);
  const ofCane = (await list(`?canes=${cane.id}`)).rows;
  expect(grams('Chalk')).toBeCloseTo(
    [...ofBlend, ...ofCane].reduce((sum, r) => sum + (r.name === 'Chalk' ? r.grams : 0), 0),
    9,
  );
  expect((await api.get<Problem>('/api/shopping?canes=none')).status).toBe(404);
});

describe('refused, and nothing is lost', () => {
  test('more than there is, from two windows at once', async () => {
    const { clays, settingId } = await garden();
    const lump = (await note(noted('Old chalk', 12), ofClay((clays[0] as ClayDto).id))).body;
    const taking = async (): Promise<number> => {
      const { body } = await api.put('batches', batchOf(piece(ofClay((clays[1] as ClayDto).id), settingId)));
      const taken = [{ of: { kind: 'made', id: lump.id }, grams: 8 }];
      const dto = { version: body.version, entryId: randomUUID(), madeOn: DAY, note: '', used: [], taken };
      return (await api.ask('POST', `/api/batches/${body.id}/done`, dto)).status;
    };
    expect((await Promise.all([taking(), taking()])).sort()).toEqual([200, 422]);
    expect((await stock()).things[0]?.grams).toBeCloseTo(4, 9);
  });

  test.each([
    [
      'more left over than went in',
      (c: ClayDto) => [left('tub', 31, ofClay(c.id))],
      /31 g .*are left over, but only 30 g/,
    ],
    [
      'a negative left-over',
      (c: ClayDto) => [left('tub', -2, ofClay(c.id))],
      /What is left over has to be a number from 0/,
    ],
    [
      'a lump of two',
      (c: ClayDto) => [left('lump', 4, ofClay(c.id), ofClay(c.id))],
      /Only one clay or one mix can be kept/,
    ],
    [
      'a tub that is gone',
      (c: ClayDto) => [{ ...left('tub', 4, ofClay(c.id)), tubId: randomUUID() }],
      /This tub is not there any more/,
    ],
  ])('%s', async (_, what, sentence) => {
    const { clays, settingId } = await garden();
    const chalk = clays[0] as ClayDto;
    const { body } = await api.put('batches', batchOf(piece(ofClay(chalk.id), settingId)));
    const before = await balance();
    const dto = {
      version: body.version,
      entryId: randomUUID(),
      madeOn: DAY,
      note: '',
      used: [{ clayId: chalk.id, grams: 30 }],
      left: what(chalk),
    };
    const answer = await api.ask<Problem>('POST', `/api/batches/${body.id}/done`, dto);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(JSON.stringify(answer.body)).toMatch(sentence);
    expect(await balance()).toEqual(before);
  });

  test('a mix, a clay or a cane that something lying there is of stays', async () => {
    const { clays, pink, cane } = await garden();
    await note(noted('Radish', 9), ofMix(pink.revisionId));
    await note(noted('Bean', 20, { form: 'cane', widthMm: 12, lengthMm: 90, mm: 12 }), {
      kind: 'cane',
      id: cane.revisionId,
    });
    const shelf = (await api.get<ShelfAnswer>('/api/shelf')).body;
    const version = (id: string): number => shelf.clays.find((c) => c.id === id)?.version ?? 0;
    const chalk = clays[0] as ClayDto;
    const all = await Promise.all([
      api.ask('DELETE', `/api/mixes/${pink.id}?version=${pink.version}`),
      api.ask('DELETE', `/api/canes/${cane.id}?version=${cane.version}`),
      api.ask('DELETE', `/api/clays/${chalk.id}?version=${version(chalk.id)}`),
    ]);
    expect(all.map((a) => a.status)).toEqual([409, 409, 409]);
  });
});

test('what is taken of one thing in two ways counts once each, and no thing takes the place of another', async () => {
  const { clays, cane } = await garden();
  const chalk = clays[0] as ClayDto;
  const plug = noted('Plug', 30, { form: 'plug', widthMm: 20, lengthMm: 60, mm: 20 });
  await note(plug, ofClay(chalk.id));
  const done = (more: object): ReturnType<typeof api.ask<Problem>> =>
    api.ask('POST', `/api/canes/${cane.id}/done`, {
      ...{ version: cane.version, entryId: randomUUID(), madeOn: DAY, note: '', diameterMm: 12, lengthMm: 80 },
      ...{ slices: 20, trims: [], used: [] },
      ...more,
    });
  // 20 of 60 mm are 10 g; 4 g more by weight: 16 g are left, and 14 g went in
  const ready = [{ of: { kind: 'made', id: plug.id }, grams: 4 }];
  const taken = [{ sheetId: plug.id, lengthMm: 20 }];
  expect((await done({ taken, ready })).status).toBe(200);
  const now = await stock();
  expect(now.things.find((t) => t.id === plug.id)?.grams).toBeCloseTo(16, 9);
  expect([now.balance.inPieces, now.balance.unsaid]).toEqual([expect.closeTo(14, 9), expect.closeTo(0, 9)]);
  const kept = { id: plug.id, name: 'Another', form: 'cane', keptIn: '' };
  const refused = await done({ taken, kept });
  expect([refused.status, refused.body.detail]).toEqual([422, 'This lies there already, under the same id.']);
  expect((await stock()).things).toEqual(now.things);
});

test('slices are cut off a cane: as long a piece of it, and what is left stays a cane', async () => {
  const { cane } = await garden();
  const of = { kind: 'cane', id: cane.revisionId };
  const there = (await note(noted('Bean', 30, { form: 'cane', widthMm: 12, lengthMm: 90, mm: 12 }), of)).body;
  expect(there).toMatchObject({ caneId: cane.id, ofName: 'Bean' });
  const dto = {
    version: there.version,
    entryId: randomUUID(),
    madeOn: DAY,
    slicesId: randomUUID(),
    name: 'Bean slices',
    count: 15,
    mm: 2,
    keptIn: 'tray',
  };
  const slices = await api.ask<MadeAnswer & Problem>('POST', `/api/made/${there.id}/sliced`, dto);
  expect(slices.body).toMatchObject({
    form: 'slices',
    count: 15,
    mm: 2,
    widthMm: 12,
    keptIn: 'tray',
    grams: expect.closeTo(10, 9),
  });
  const left60 = (await stock()).things.find((t) => t.id === there.id);
  expect([left60?.lengthMm, left60?.grams]).toEqual([expect.closeTo(60, 9), expect.closeTo(20, 9)]);
  const more = { ...dto, version: left60?.version, slicesId: randomUUID(), entryId: randomUUID(), count: 31 };
  const refused = await api.ask<Problem>('POST', `/api/made/${there.id}/sliced`, more);
  expect(refused.body.detail).toBe('31 slices take 62 mm, and Bean is only 60 mm long.');
  // and to a tub, by what is in it
  const away = { version: slices.body.version, entryId: randomUUID(), madeOn: DAY, to: 'tub' };
  expect((await api.ask('POST', `/api/made/${dto.slicesId}/away`, away)).status).toBe(200);
  const [tub] = (await stock()).tubs;
  expect(tub).toMatchObject({ name: 'Radish', grams: expect.closeTo(10, 6) });
});

test('over all open batches the shelf is short, though for each alone it is not; a tub stands in', async () => {
  const { clays, settingId } = await garden();
  const [chalk, beet] = clays as [ClayDto, ClayDto];
  const shopping = async (): Promise<ShoppingAnswer> => (await api.get<ShoppingAnswer>('/api/shopping')).body;
  const many = batchOf(piece(ofClay(chalk.id), settingId, 150));
  const one = (await api.put('batches', many)).body as unknown as BatchAnswer;
  expect(one.plan.clays[0]?.short).toBe(0);
  expect((await shopping()).rows.every((r) => r.short === 0)).toBe(true);
  const other = (await api.put('batches', batchOf(piece(ofClay(chalk.id), settingId, 150)))).body;
  const pale = mix('Pale', ['1', ofClay(beet.id)], ['1', ofClay((clays[2] as ClayDto).id)]);
  await api.put('mixes', pale);
  // a tub of white in the colour of the clay that is short
  const own = await api.put('clays', clay(chalk.lineId, 'Milk', chalk.bakedHex));
  const lump = (await note(noted('Milk', 900), ofClay(own.body.id))).body;
  const away = { version: lump.version, entryId: randomUUID(), madeOn: DAY, to: 'tub' };
  await api.ask('POST', `/api/made/${lump.id}/away`, away);
  const [row, ...others] = (await shopping()).rows;
  expect(others).toEqual([]);
  expect(row).toMatchObject({ name: 'Chalk', left: 8 * 57, plans: [{ name: one.name }, { name: other.name }] });
  expect(row?.short).toBeCloseTo(2 * (one.plan.clays[0]?.grams ?? 0) - 8 * 57, 6);
  expect(row?.blocksToBuy).toBe(Math.ceil((row?.short ?? 0) / 57));
  expect(row?.standIns.map((s) => [s.kind, s.name])).toEqual([['tub', 'Milk']]);
  expect(row?.standIns[0]?.deltaE).toBeLessThan(0.5);
  // done, it wants nothing any more
  const dto = { version: other.version, entryId: randomUUID(), madeOn: DAY, note: '', used: [] };
  expect((await api.ask('POST', `/api/batches/${other.id}/done`, dto)).status).toBe(200);
  expect((await shopping()).rows.every((r) => r.short === 0)).toBe(true);
});
