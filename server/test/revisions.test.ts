import { randomUUID } from 'node:crypto';
import { type Step } from '#core/cane';
import { keyOf, ofBlend, ofClay, ofMix } from '#core/material';
import type { BlendAnswer, BlendCard, BlendDto, CaneAnswer, CaneDto, MixAnswer, MixDto } from '#contract';
import { SHAPE_VERSION, keptShape, readShape } from '../src/blends/shape.js';
import { sameDocument } from '../src/revisions/sameDocument.js';
import { Api, fade, mix, smallShelf } from './api.js';
import { caneOf, log } from './canes.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const saveCane = async (dto: CaneDto): Promise<CaneAnswer> =>
  (await api.ask<CaneAnswer>('PUT', `/api/canes/${dto.id}`, dto)).body;
const saveMix = async (dto: MixDto): Promise<MixAnswer> =>
  (await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto)).body;
const caneNow = async (id: string): Promise<CaneAnswer> => (await api.get<CaneAnswer>(`/api/canes/${id}`)).body;
const sent = ({ id, version, name, note, retired, program, slices, sliceMm, trimming, ends }: CaneAnswer): CaneDto => ({
  ...{ id, version, name, note, retired, program, slices, sliceMm, trimming },
  ends: ends ?? null,
});
async function make(cane: CaneAnswer): Promise<void> {
  const done = {
    version: cane.version,
    entryId: randomUUID(),
    madeOn: '2026-11-26',
    note: '',
    diameterMm: 10,
    lengthMm: 90,
    trims: [],
    slices: 20,
    used: [],
  };
  expect((await api.ask('POST', `/api/canes/${cane.id}/done`, done)).status).toBe(200);
}

test.each<[string, Partial<CaneDto>]>([
  ['its number of slices', { slices: 21 }],
  ['the thickness of its slices', { sliceMm: 2.5 }],
  ['its trimming', { trimming: 'at every reduction' }],
  ['its ends', { ends: 0.4 }],
])('a cane that was made is not written over in %s', async (_, part) => {
  const { chalk } = await smallShelf(api);
  const first = await saveCane(caneOf('Rod', log(keyOf(ofClay(chalk.id)))));
  const other = await saveCane({ ...sent(first), ...part });
  expect([other.revision, other.revisionId]).toEqual([1, first.revisionId]);
  await make(await saveCane({ ...sent(other), ...sent(first), version: other.version }));
  const after = await saveCane({ ...sent(await caneNow(first.id)), ...part });
  expect(after.revision).toBe(2);
  expect(after.revisionId).not.toBe(first.revisionId);
  expect(after).toMatchObject(part);
});

test('its name, its note and whether it is retired belong to the cane: they begin no revision', async () => {
  const { chalk } = await smallShelf(api);
  const cane = await saveCane(caneOf('Rod', log(keyOf(ofClay(chalk.id)))));
  await make(cane);
  const dto = { ...sent(await caneNow(cane.id)), name: 'Stick', note: 'thin', retired: true };
  expect(await saveCane(dto)).toMatchObject({ revision: 1, name: 'Stick', made: true });
});

test('what a made cane rests on stays as it was: mixes in mixes, blends and other canes', async () => {
  const { chalk, beet } = await smallShelf(api);
  const inner = await saveMix(mix('Inner', ['1', ofClay(beet.id)]));
  const outer = await saveMix(mix('Outer', ['1', ofMix(inner.revisions[0]?.id ?? '')], ['1', ofClay(chalk.id)]));
  const blend: BlendDto = fade('Fade', chalk, beet);
  blend.plan.colours = [ofMix(outer.revisions[0]?.id ?? ''), ofClay(chalk.id)];
  await api.ask('PUT', `/api/blends/${blend.id}`, blend);
  const [card] = (await api.get<BlendCard[]>('/api/blends')).body;
  const plug: Step = {
    ...{ id: 'a', do: 'plug', of: keyOf(ofBlend(card?.revisionId ?? '')), wound: 'rolled', inside: 'first' },
    ...{ width: 20, depth: 20, length: 60 },
  };
  const eye = await saveCane(caneOf('Eye', plug));
  const whole = await saveCane(
    caneOf('Peacock', log(keyOf(ofClay(chalk.id))), {
      ...{ id: 'b', do: 'insert', x: 0, y: 0, diameter: 8, degrees: 0 },
      part: { ref: eye.revisionId, name: 'Eye' },
    }),
  );
  let parts = 1;
  const mixed = async (dto: MixAnswer): Promise<number> => {
    parts += 1;
    const now = (await api.get<MixAnswer>(`/api/mixes/${dto.id}`)).body;
    const body = { ...mix(now.name, [String(parts), ofClay(beet.id)]), id: dto.id, version: now.version };
    return (await saveMix(body)).revisions.length;
  };
  const blended = async (): Promise<number> => {
    const now = (await api.get<BlendAnswer>(`/api/blends/${blend.id}`)).body;
    const body = { ...blend, version: now.version, plan: { ...now.plan, tapeWidth: now.plan.tapeWidth + 1 } };
    return (await api.ask<BlendAnswer>('PUT', `/api/blends/${blend.id}`, body)).body.revision;
  };
  const caned = async (): Promise<number> => {
    const now = await caneNow(eye.id);
    return (await saveCane({ ...sent(now), slices: now.slices + 1 })).revision;
  };
  // nothing was made yet: each is written over
  expect([await mixed(inner), await blended(), await caned()]).toEqual([1, 1, 1]);
  await make(whole);
  expect([await mixed(inner), await blended(), await caned()]).toEqual([2, 2, 2]);
  // the next one was made of nothing
  expect([await mixed(inner), await blended(), await caned()]).toEqual([2, 2, 2]);
});

test('who uses an older revision is told which is newer', async () => {
  const { chalk, beet } = await smallShelf(api);
  const ring = await saveMix(mix('Ring', ['1', ofClay(beet.id)]));
  const older = keyOf(ofMix(ring.revisions[0]?.id ?? ''));
  const cane = await saveCane(caneOf('Rod', log(older)));
  expect(cane.outdated).toEqual([]);
  await make(cane);
  const now = (await api.get<MixAnswer>(`/api/mixes/${ring.id}`)).body;
  const next = await saveMix({ ...mix('Ring', ['1', ofClay(chalk.id)]), id: ring.id, version: now.version });
  expect((await caneNow(cane.id)).outdated).toEqual([
    { of: older, name: 'Ring', newer: keyOf(ofMix(next.revisions[1]?.id ?? '')) },
  ]);
});

test(
  'documents are the same in whatever order their fields stand, and where one says null and the other ' + 'nothing',
  () => {
    expect(sameDocument({ a: 1, b: [{ x: 1, y: null }] }, { b: [{ x: 1 }], a: 1 })).toBe(true);
    expect(sameDocument({ a: [1, 2] }, { a: [2, 1] })).toBe(false);
    expect(sameDocument({ a: 0 }, {})).toBe(false);
  },
);

test('the shape of a blend carries its form; one without is the first, one of a newer Sledge is refused', async () => {
  const { chalk, beet } = await smallShelf(api);
  const { colours: _, settingId: __, tapeSettingId: ___, ...shape } = fade('Fade', chalk, beet).plan;
  expect(keptShape(shape)).toMatchObject({ version: SHAPE_VERSION });
  expect(readShape(keptShape(shape))).toEqual(shape);
  expect(readShape(shape)).toEqual(shape);
  expect(() => readShape({ ...shape, version: SHAPE_VERSION + 1 })).toThrow(/this Sledge knows 1/);
});
