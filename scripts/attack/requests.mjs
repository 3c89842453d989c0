// Requests that are nearly right: derived from the contract, each changed by chance.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { getMetadataStorage } from 'class-validator';
import * as contract from '../../dist/contract/src/index.js';
import { chanceOf } from './chance.mjs';
import { ask, up } from './sledge.mjs';

/** What every entry of the diary comes with. */
const entry = () => ({ entryId: crypto.randomUUID(), madeOn: '2026-11-01', note: '' });

/** Of a thing that lies there only what a person says of it. */
const plainThing = ({ id, name, note, form, widthMm, lengthMm, mm, layers, grams, count, keptIn }) => ({
  ...{ id, name, note, form, widthMm, lengthMm, mm, layers, grams, count, keptIn },
  ...{ cuts: [], gone: false },
});

/** Every address that takes a body, with its class and a thing of the garden to begin with. */
const WRITES = [
  ['PUT', '/api/lines/:id', 'LineDto', (g) => g.shelf.lines],
  ['PUT', '/api/clays/:id', 'ClayDto', (g) => g.shelf.clays],
  ['PUT', '/api/blocks/:id', 'BlockDto', (g) => g.shelf.blocks],
  [
    'POST',
    '/api/shelf/list',
    'ShelfListDto',
    (g) => [
      {
        rows: g.shelf.clays
          .slice(0, 6)
          .map((c, i) => ({
            ...{ row: i + 1, line: 'Cellar Soft', name: `${c.name} ${i}`, kind: c.kind, hex: c.bakedHex },
            ...{ blocks: 2, grams: 57, price: null },
          })),
        sure: true,
      },
    ],
  ],
  ['PUT', '/api/mixes/:id', 'MixDto', (g) => g.mixes],
  ['PUT', '/api/chips/:id', 'ChipDto', (g) => g.chips],
  ['POST', '/api/notation', 'NotationDto', () => [{ text: '2 Beetroot + 1 (1 Chalk + ½ Leek)' }]],
  ['PUT', '/api/machines/:id', 'MachineDto', (g) => g.machines.machines],
  ['PUT', '/api/bench', 'BenchSetupDto', (g) => [g.machines.setup]],
  ['PUT', '/api/blends/:id', 'BlendDto', (g) => g.blends],
  [
    'POST',
    '/api/blends/:id/done',
    'BlendDoneDto',
    (g) =>
      g.blends.map((b) => ({
        id: b.id,
        version: b.version,
        entryId: crypto.randomUUID(),
        madeOn: '2026-11-01',
        note: '',
        passes: 12,
        used: [],
        sheet: null,
      })),
  ],
  ['PUT', '/api/canes/:id', 'CaneDto', (g) => g.canes],
  [
    'POST',
    '/api/canes/:id/done',
    'CaneDoneDto',
    (g) =>
      g.canes.map((c) => ({
        id: c.id,
        version: c.version,
        entryId: crypto.randomUUID(),
        madeOn: '2026-11-01',
        note: '',
        diameterMm: 18,
        lengthMm: 90,
        lostMm: 20,
        slices: 20,
        pictureId: g.pictures[0],
        used: [],
        kept: { id: crypto.randomUUID(), name: 'Kept', form: 'cane', keptIn: '' },
        ready: g.stock.tubs.slice(0, 1).map(({ id, grams }) => ({ of: { kind: 'scrap', id }, grams: grams / 2 })),
        trims: [],
      })),
  ],
  ['PUT', '/api/patterns/:id', 'PatternDto', (g) => g.patterns],
  [
    'POST',
    '/api/patterns/:id/done',
    'PatternDoneDto',
    (g) =>
      g.patterns.map((p) => ({
        id: p.id,
        version: p.version,
        entryId: crypto.randomUUID(),
        madeOn: '2026-11-01',
        note: '',
        hands: 2,
        liked: 'well',
        stops: [{ step: 's1', kind: 'fold', times: 3, veinMm: 1.2 }],
        pictureId: g.pictures[0],
        used: [],
        left: [],
        ready: g.stock.tubs.slice(0, 1).map(({ id, grams }) => ({ of: { kind: 'scrap', id }, grams: grams / 2 })),
        kept: { id: crypto.randomUUID(), name: 'Kept', keptIn: '', count: 2, widthMm: 60, lengthMm: 60, mm: 2 },
      })),
  ],
  ['PUT', '/api/batches/:id', 'BatchDto', (g) => g.batches],
  [
    'POST',
    '/api/batches/:id/done',
    'DoneDto',
    (g) =>
      g.batches.map((b) => ({
        id: b.id,
        version: b.version,
        entryId: crypto.randomUUID(),
        madeOn: '2026-11-01',
        note: '',
        used: b.plan.clays.map(({ clayId, grams }) => ({ clayId, grams })),
        taken: g.stock.things.slice(0, 1).map(({ id, grams }) => ({ of: { kind: 'made', id }, grams: grams / 3 })),
        left: b.plan.left.map(({ parts }) => ({ parts, to: 'tub', tubId: g.stock.tubs[0]?.id ?? null })),
        made: [...b.pieces, ...b.assemblies].map(({ id, count }) => ({
          pieceId: id,
          count: Math.ceil(count / 2),
          broken: 1,
        })),
        times: b.plan.steps.map((_, step) => ({ step, minutes: 7 })),
      })),
  ],
  ['PUT', '/api/ovens/:id', 'OvenDto', (g) => g.ovens],
  [
    'POST',
    '/api/ovens/:id/baked',
    'BakedDto',
    (g) =>
      g.ovens.map(({ id }) => ({
        ...{
          ...entry(),
          id,
          dial: 135,
          dialFrom: 0,
          celsius: 130,
          low: 125,
          maxC: 150,
          minutes: 30,
          lasted: 40,
          learn: true,
        },
        items: g.batches
          .slice(0, 2)
          .map((b) => ({
            ...{ batchId: b.id, pieceId: b.pieces[0]?.id ?? null, name: b.name, count: 4, cores: false },
          })),
        curve: Array.from({ length: 40 }, (_, i) => ({ at: i, celsius: Math.min(131, 20 + 9 * i) })),
      })),
  ],
  ['PUT', '/api/days/rule', 'DaysRuleDto', (g) => [g.rule]],
  ['PUT', '/api/pieces/findings/:id', 'FindingDto', (g) => g.findings],
  [
    'PUT',
    '/api/pieces/models/:id',
    'PieceModelDto',
    (g) =>
      g.batches
        .flatMap((b) => b.assemblies)
        .map(({ piece, finish, name }) => ({ id: crypto.randomUUID(), version: 0, name, piece, finish })),
  ],
  ['PUT', '/api/sheets/:id', 'MadeDto', (g) => g.sheets],
  [
    'POST',
    '/api/made/:id/noted',
    'NotedDto',
    (g) =>
      g.sheets.map((s) => {
        const id = crypto.randomUUID();
        return { id, thing: { ...plainThing(s), id, version: 0 }, of: s.of, ...entry() };
      }),
  ],
  ['POST', '/api/made/:id/away', 'AwayDto', (g) => g.sheets.map((s) => ({ ...s, ...entry(), to: 'tub' }))],
  [
    'POST',
    '/api/made/:id/sliced',
    'SlicedDto',
    (g) => g.sheets.map((s) => ({ ...s, ...entry(), slicesId: crypto.randomUUID(), count: 2, mm: 1, keptIn: '' })),
  ],
  [
    'POST',
    '/api/made/:id/laid',
    'LaidDto',
    (g) =>
      g.sheets.map((s) => ({
        ...{ ...s, ...entry(), sheetId: crypto.randomUUID(), count: 1, widthMm: 30, lengthMm: 30, mm: 1, keptIn: '' },
        backing: g.stock.tubs.slice(0, 1).map(({ id, grams }) => ({ of: { kind: 'scrap', id }, grams: grams / 4 })),
      })),
  ],
  ['PUT', '/api/cutters/:id', 'OwnCutterDto', (g) => g.cutters],
  ['PUT', '/api/tubs/:id', 'TubDto', (g) => g.stock.tubs],
  [
    'POST',
    '/api/tubs/:id/stretched',
    'StretchedDto',
    (g) => g.stock.tubs.map((t) => ({ ...t, ...entry(), used: [{ clayId: g.shelf.clays[0].id, grams: 0.5 }] })),
  ],
  ['POST', '/api/tubs/:id/emptied', 'EmptiedDto', (g) => g.stock.tubs.map((t) => ({ ...t, ...entry() }))],
  [
    'POST',
    '/api/sheets/:id/rolled',
    'RolledDto',
    (g) =>
      g.sheets.map((s) => {
        const id = crypto.randomUUID();
        return {
          id,
          sheet: { ...s, id, version: 0 },
          of: s.of,
          rolledAt: '4',
          entryId: crypto.randomUUID(),
          madeOn: '2026-11-01',
          note: '',
          used: [],
        };
      }),
  ],
  [
    'POST',
    '/api/conditioned',
    'ConditionedDto',
    (g) => [
      {
        entryId: crypto.randomUUID(),
        clayId: g.shelf.clays[0].id,
        firmness: 'firm',
        months: 4,
        roomC: 20,
        school: 'thin slices',
        passes: 12,
        grams: 20,
        madeOn: '2026-11-01',
        note: '',
      },
    ],
  ],
  ['PUT', '/api/diary/:id', 'DiaryNoteDto', (g) => g.entries],
  [
    'POST',
    '/api/diary/:id/next',
    'NextTimeDto',
    (g) => g.entries.map(({ id }) => ({ id, line: 'Next time: fold the other way.' })),
  ],
  [
    'POST',
    '/api/blocks/:id/rescued',
    'RescuedDto',
    (g) =>
      g.shelf.blocks.map(({ id, version }, i, all) => ({
        ...{ id, version, ...entry(), grams: 2, from: 'crumbles', lostGrams: 0.2, lostTo: 'tub', drops: 1 },
        ...{ added: { blockId: all[(i + 1) % all.length].id, grams: 0.1 }, newId: crypto.randomUUID() },
      })),
  ],
  ['PUT', '/api/taught/:id', 'AsideDto', () => [{ id: 'ends', aside: true }]],
  ['PUT', '/api/palettes/:id', 'PaletteDto', (g) => g.palettes],
  [
    'PUT',
    '/api/pictures/:id',
    'PictureDto',
    () => [
      {
        id: crypto.randomUUID(),
        type: 'image/png',
        width: 1,
        height: 1,
        data:
          'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhf' +
          'z0AEYBxVSF+FAP5FDvcfRYWgAAAAAElFTkSuQmCC',
      },
    ],
  ],
  [
    'POST',
    '/api/exchange/mixes',
    'TakeInDto',
    () => [
      {
        mixes: [
          { row: 2, name: 'Marrow', recipe: '1 Chalk + 2 Pea', basis: 'volume', note: '' },
          { row: 3, name: 'Marrow rind', recipe: '1 Marrow + 2 Leek', basis: 'mass', note: '' },
        ],
        sure: true,
      },
    ],
  ],
  ['PUT', '/api/learning/use', 'UseLearnedDto', () => [{ use: true }]],
  [
    'PUT',
    '/api/learning',
    'LearningDto',
    (g) => [
      {
        key: g.learning.key,
        clays: g.shelf.clays
          .slice(0, 3)
          .map((c) => ({ clayId: c.id, logStrength: 0.1, sigma: 0.2, curve: [0, 0, 0, 0], chips: 2 })),
      },
    ],
  ],
  ['POST', '/api/undo', 'StepDto', () => [{ expects: null }]],
  ['POST', '/api/redo', 'StepDto', () => [{}]],
  [
    'POST',
    '/api/devices/reader/ask',
    'ReaderErrandDto',
    (g) => g.mixes.map((m) => ({ id: crypto.randomUUID(), errand: 'read', revisionId: m.revisionId, stage: 'baked' })),
  ],
  [
    'POST',
    '/api/devices/scale/ask',
    'GaugeErrandDto',
    () => [{ id: crypto.randomUUID(), errand: 'read', about: 12, settingId: null }],
  ],
  [
    'POST',
    '/api/devices/probe/ask',
    'ProbeErrandDto',
    () => [{ id: crypto.randomUUID(), errand: 'on', dial: 130, oven: 'Small oven' }],
  ],
  [
    'POST',
    '/api/archive/carry',
    'CarryDto',
    (g) => g.mixes.map(({ id }) => ({ name: g.archive.copies[0]?.name ?? 'none', kind: 'mix', id, sure: id < '8' })),
  ],
  ['POST', '/api/archive/carry-all', 'CarryAllDto', (g) => [{ name: g.archive.copies[0]?.name ?? 'none', sure: true }]],
  ['POST', '/api/archive/thing/take', 'TakeThingDto', () => [{ token: crypto.randomUUID() }]],
  [
    'PUT',
    '/api/bench/now/place',
    'BenchNowDto',
    (g) =>
      g.batches.map(({ id }) => ({
        ...{ kind: 'place', id: `batch ${id}`, by: crypto.randomUUID() },
        place: { at: 3, counts: [0, 2], took: [{ step: 0, minutes: 4.5 }] },
      })),
  ],
  [
    'PUT',
    '/api/bench/now/timer',
    'BenchNowDto',
    () => [
      {
        ...{ kind: 'timer', id: crypto.randomUUID(), by: crypto.randomUUID() },
        timer: { label: 'in the oven', endsAt: Date.now() + 60_000, rung: false },
      },
    ],
  ],
  [
    'PUT',
    '/api/bench/now/load',
    'BenchNowDto',
    (g) =>
      g.ovens.map(({ id, name }) => ({
        ...{ kind: 'load', id: 'oven', by: crypto.randomUUID() },
        load: {
          ...{ id: crypto.randomUUID(), ovenId: id, ovenName: name, celsius: 130, low: 125, maxC: 150, minutes: 30 },
          ...{ dial: 137, dialFrom: 0, startedAt: Date.now(), probeAhead: null },
          items: [{ batchId: null, pieceId: null, name: 'Radish ring', count: 4, cores: false }],
        },
      })),
  ],
  ['PUT', '/api/network', 'NetworkDto', () => [{ on: true }]],
  ['POST', '/api/network/code', 'CodeDto', () => [{ rights: 'bench' }]],
  ['POST', '/api/network/in', 'LetInDto', () => [{ words: 'beet root carrot leek pea corn', name: 'Tablet' }]],
  [
    'PUT',
    '/api/network/devices/:id',
    'LetInCardDto',
    () => [{ id: crypto.randomUUID(), name: 'Tablet', rights: 'all' }],
  ],
  ['POST', '/api/archive/copies', 'KeepCopyDto', () => [{ name: `copy ${crypto.randomUUID().slice(0, 4)}` }]],
];
const DELETES = [
  'cutters',
  'lines',
  'clays',
  'blocks',
  'mixes',
  'chips',
  'machines',
  'blends',
  'canes',
  'patterns',
  'batches',
  'ovens',
  'pieces/findings',
  'pieces/models',
  'palettes',
  'archive/copies',
];
const READS = [
  'cutters',
  'shelf',
  'mixes',
  'machines',
  'blends',
  'canes',
  'patterns',
  'batches',
  'sheets',
  'stock',
  'shopping',
  'ovens',
  'bakes',
  'days',
  'days/rule',
  'bench/now',
  'network',
  'network/me',
  'archive/whole',
  'pieces/findings',
  'pieces/models',
  'devices/probe/log',
  'conditioned',
  'diary',
  'palettes',
  'learning',
  'changes',
  'archive',
  'exchange/mixes',
  'pictures',
  'revisions',
  'nothing',
];

/** Fields that a class of the contract has, as its rules say. */
function fieldsOf(name) {
  const type = contract[name];
  if (!type) throw new Error(`The contract has no ${name}.`);
  return new Set(
    getMetadataStorage()
      .getTargetValidationMetadatas(type, '', false, false)
      .map((m) => m.propertyName),
  );
}

const withFields = (thing, fields) => Object.fromEntries(Object.entries(thing).filter(([key]) => fields.has(key)));

/** Everything of the garden, as the API gives it. */
async function garden(url) {
  const get = async (path) => (await ask(url, 'GET', `/api/${path}`)).body;
  const each = async (kind, list) => Promise.all(list.map(({ id }) => get(`${kind}/${id}`)));
  const mixCards = (await get('mixes?limit=500')).cards;
  const mixes = (await each('mixes', mixCards)).map((m) => ({
    ...m.revisions.at(-1),
    ...m,
    revisionId: m.revisions.at(-1).id,
  }));
  return {
    shelf: await get('shelf'),
    mixes,
    chips: mixes.flatMap((m) => m.chips),
    machines: await get('machines'),
    learning: await get('learning'),
    blends: await each('blends', await get('blends')),
    canes: await each('canes', await get('canes')),
    patterns: await each('patterns', await get('patterns')),
    batches: await each('batches', await get('batches')),
    sheets: await get('sheets'),
    stock: await get('stock'),
    cutters: await get('cutters'),
    archive: await get('archive'),
    ovens: await get('ovens'),
    rule: await get('days/rule'),
    findings: await get('pieces/findings'),
    entries: await each('diary', (await get('diary')).entries),
    palettes: await each('palettes', await get('palettes')),
    pictures: (await get('palettes')).map((p) => p.pictureId),
  };
}

/** Every id that occurs anywhere. */
function idsIn(value, found = new Set()) {
  if (typeof value === 'string') for (const id of value.match(/[0-9a-f]{8}-[0-9a-f-]{27}/g) ?? []) found.add(id);
  else if (typeof value === 'object' && value !== null) for (const inner of Object.values(value)) idsIn(inner, found);
  return found;
}

const deep = (n) => `${'['.repeat(n)}${']'.repeat(n)}`;

/** What a value becomes that somebody has got wrong. */
function strange(chance, ids) {
  return chance.pick([
    () => null,
    () => '',
    () => ' ',
    () => 'x'.repeat(1 + chance.whole(9000)),
    () => -1,
    () => 0,
    () => 1e308,
    () => -0.5,
    () => 2 ** 53,
    () => 0.1 + 0.2,
    () => true,
    () => [],
    () => ({}),
    () => [null],
    () => [[[[]]]],
    () => chance.pick(ids),
    () => chance.pick(ids),
    () => chance.pick(ids),
    () => crypto.randomUUID(),
    () => 'constructor',
    () => '__proto__',
    () => '2026-02-31',
    () => '9999-99-99',
    () => '0000-00-00',
    () => 'Chalk',
    () => '\u0000',
    () => '\ud800',
    () => '1/0',
    () => '1/999999999999999999999',
    () => '(((((1 Chalk)))))',
    () => `clay:${chance.pick(ids)}`,
    () => `mix:${chance.pick(ids)}`,
    () => `blend:${chance.pick(ids)}`,
    () => JSON.parse(deep(60)),
    () => 'NaN',
    () => '-',
    () => '½',
    () => ({ constructor: 1, toString: 2 }),
    () => Array.from({ length: 300 }, (_, i) => i),
  ])();
}

/** Changes one place of a thing, somewhere inside. */
function changed(value, chance, ids) {
  if (typeof value !== 'object' || value === null || chance.often(0.15)) return strange(chance, ids);
  const copy = Array.isArray(value) ? [...value] : { ...value };
  const keys = Object.keys(copy);
  if (keys.length === 0) return strange(chance, ids);
  const key = chance.pick(keys);
  const what = chance.next();
  if (what < 0.08) {
    if (Array.isArray(copy)) copy.splice(Number(key), 1);
    else delete copy[key];
  } else if (what < 0.14 && Array.isArray(copy)) copy.push(copy[Number(key)]);
  else if (what < 0.17) {
    if (!Array.isArray(copy)) copy[chance.pick(['constructor', 'extra', '__proto__x'])] = strange(chance, ids);
  } else copy[key] = changed(copy[key], chance, ids);
  return copy;
}

const strangeQuery = (chance, ids) =>
  chance.pick([
    '',
    '?version=1',
    '?version=x',
    '?version=1&version=2',
    '?search=a&search=b',
    '?search[]=a',
    '?search[a][b]=c',
    '?offset=-1&limit=1e9',
    '?offset=NaN',
    '?limit=1&limit=2',
    '?now=Infinity',
    '?sort=__proto__',
    '?search=%00',
    '?search=%22%27*',
    '?search=a*%20OR%20b',
    '?search=NEAR(',
    `?search=${'x'.repeat(3000)}`,
    '?search=%ud800',
    '?search=%F0%9F%A5%95',
    `?version=${chance.whole(400)}`,
    `?id=${chance.pick(ids)}`,
  ]);

function oneRequest(chance, things, ids) {
  const kind = chance.next();
  if (kind < 0.12) {
    const strange = [chance.pick(ids), 'x', '%00', '..%2f..%2fetc', 'constructor', '%E0%A4%A'];
    const one = chance.often(0.6) ? `/${chance.pick(strange)}` : '';
    return ['GET', `/api/${chance.pick(READS)}${one}${strangeQuery(chance, ids)}`, undefined];
  }
  if (kind < 0.2)
    return ['DELETE', `/api/${chance.pick(DELETES)}/${chance.pick(ids)}${strangeQuery(chance, ids)}`, undefined];
  const [method, path, type, from] = chance.pick(WRITES);
  const thing = chance.pick(from(things)) ?? {};
  let body = withFields(thing, type.fields);
  for (let n = chance.whole(4); n > 0; n--) body = changed(body, chance, ids);
  if (chance.often(0.03))
    return [
      method,
      path.replace(':id', thing.id ?? chance.pick(ids)),
      chance.pick([
        '',
        'null',
        '[]',
        '"x"',
        '{',
        deep(100_000),
        `{"a":${deep(5000)}}`,
        '{"__proto__":{"id":"x"}}',
        '1e999',
      ]),
    ];
  const id =
    chance.often(0.8) && typeof body === 'object' && body !== null && typeof body.id === 'string'
      ? body.id
      : (thing.id ?? chance.pick(ids));
  return [method, path.replace(':id', encodeURIComponent(id.isWellFormed() ? id : 'x')), body];
}

/** Everything that is there can be opened. */
async function unopened(url) {
  const wrong = [];
  const check = async (path) => {
    const { status, body } = await ask(url, 'GET', path);
    if (status !== 200) wrong.push(`${path} answers with ${status}`);
    return body;
  };
  await check('/api/shelf');
  await check('/api/machines');
  await check('/api/sheets');
  await check('/api/stock');
  await check('/api/shopping');
  await check('/api/cutters');
  await check('/api/ovens');
  await check('/api/bakes');
  await check('/api/days');
  await check('/api/days/rule');
  await check('/api/pieces/findings');
  await check('/api/pieces/models');
  await check('/api/bench/now');
  await check('/api/network');
  await check('/api/archive/whole');
  await check('/api/learning');
  await check('/api/conditioned');
  await check('/api/taught');
  await check('/api/exchange/mixes');
  for (const { id } of (await check('/api/mixes?limit=500')).cards ?? []) await check(`/api/mixes/${id}`);
  for (const kind of ['blends', 'canes', 'patterns', 'batches', 'palettes'])
    for (const { id } of await check(`/api/${kind}`)) await check(`/api/${kind}/${id}`);
  for (const { id } of (await check('/api/diary')).entries ?? []) {
    await check(`/api/diary/${id}`);
    await check(`/api/diary/${id}/descent`);
  }
  for (const path of ['/api/begun', '/api/diary/months', '/api/diary/wall']) await check(path);
  return wrong;
}

/** @param count requests in all @param most ms that one may take @returns a table */
export async function requests(seed, count, most) {
  const chance = chanceOf(seed);
  for (const write of WRITES) write[2] = { fields: fieldsOf(write[2]) };
  const folder = mkdtempSync(join(tmpdir(), 'sledge-requests-'));
  const sledge = await up(folder, { garden: true });
  const faults = [];
  const slow = [];
  const statuses = new Map();
  let things = await garden(sledge.url);
  let ids = [...idsIn(things)];
  for (let i = 0; i < count; i++) {
    // what was changed meanwhile is the ground for what comes
    if (i % 400 === 399) {
      things = await garden(sledge.url);
      ids = [...new Set([...ids.slice(-3000), ...idsIn(things)])];
    }
    const [method, path, body] = oneRequest(chance, things, ids);
    const { status, body: answer, ms } = await ask(sledge.url, method, path, body);
    statuses.set(Math.floor(status / 100), (statuses.get(Math.floor(status / 100)) ?? 0) + 1);
    const told = `${method} ${path.slice(0, 120)} ${JSON.stringify(body)?.slice(0, 700) ?? ''}`;
    if (status >= 500 || status === 0) faults.push(`${status} ${answer?.fault ?? ''}: ${told}`);
    if (ms > most) slow.push(`${Math.round(ms)} ms: ${told}`);
    if (status === 0) break;
  }
  const wrong = await unopened(sledge.url);
  await sledge.end('SIGTERM');
  const log = (() => {
    try {
      return readFileSync(join(folder, 'sledge.log'), 'utf8');
    } catch {
      return '';
    }
  })();
  rmSync(folder, { recursive: true, force: true });
  return {
    title: `Changed requests, seed ${seed}`,
    figures: [
      { what: 'requests', value: count },
      { what: 'answered with 2xx', value: statuses.get(2) ?? 0 },
      { what: 'refused with 4xx', value: statuses.get(4) ?? 0 },
      { what: '500 and above, or none', value: faults.length, most: 0 },
      { what: `over ${most / 1000} s`, value: slow.length, most: 0 },
      { what: 'things that cannot be opened afterwards', value: wrong.length, most: 0 },
    ],
    details: [...faults, ...slow, ...wrong, ...(faults.length > 0 ? [log.slice(0, 12_000)] : [])],
  };
}
