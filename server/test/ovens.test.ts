import { randomUUID } from 'node:crypto';
import type { OvenDto, OvensAnswer, Problem } from '#contract';
import { Api } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const oven = (more: Partial<OvenDto> = {}): OvenDto => ({
  ...{ id: randomUUID(), version: 0, name: 'Small oven', trayWidthMm: 300, trayLengthMm: 220 },
  readings: [{ id: randomUUID(), readOn: '2026-11-02', dial: 130, celsius: 123, minutes: 45 }],
  ...more,
});
const put = (dto: OvenDto) => api.ask<OvenDto & Problem>('PUT', `/api/ovens/${dto.id}`, dto);
const all = async (): Promise<OvensAnswer> => (await api.get<OvensAnswer>('/api/ovens')).body;

test('an oven is kept with its readings; undo takes a reading back, and the oven can go', async () => {
  const dto = oven();
  const saved = (await put(dto)).body;
  const steady = { id: randomUUID(), readOn: '2026-11-03', dial: 140, celsius: 133, minutes: null };
  await put({ ...saved, readings: [...saved.readings, steady] });
  await api.reopen();
  expect((await all())[0]?.readings).toEqual([...dto.readings, steady]);
  await api.ask('POST', '/api/undo');
  const [only] = await all();
  expect(only?.readings).toEqual(dto.readings);
  const gone = await api.ask('DELETE', `/api/ovens/${dto.id}?version=${only?.version ?? 0}`);
  expect([gone.status, await all()]).toEqual([204, []]);
});

const reading = (more: object) => [
  { id: randomUUID(), readOn: '2026-11-02', dial: 130, celsius: 120, minutes: 20, ...more },
];

test.each<[string, Partial<OvenDto>, string, RegExp]>([
  ['no name', { name: ' ' }, 'name', /An oven needs a name/],
  ['a name that is taken', { name: 'small OVEN' }, 'name', /There is an oven called small OVEN already/],
  ['a tray of nothing', { trayWidthMm: 0 }, 'trayWidthMm', /The width of the tray/],
  ['a thermometer at 900 °C', { readings: reading({ celsius: 900 }) }, 'readings.0.celsius', /The thermometer/],
  ['a thermometer at −40 °C', { readings: reading({ celsius: -40 }) }, 'readings.0.celsius', /The thermometer/],
  ['a day that is none', { readings: reading({ readOn: '2026-13-02' }) }, 'readings.0.readOn', /./],
])('%s is refused with a sentence, and nothing is changed', async (_, part, field, sentence) => {
  await put(oven());
  const refused = await put(oven({ name: 'Another', ...part }));
  expect(refused.status).toBe(422);
  expect(refused.body.fields?.find((f) => f.field === field)?.sentence).toMatch(sentence);
  expect((await all()).map((o) => o.name)).toEqual(['Small oven']);
});

test('a change that began on an older state is refused with the state of now', async () => {
  const saved = (await put(oven())).body;
  await put({ ...saved, name: 'Hot oven' });
  const late = await put({ ...saved, name: 'Cold oven' });
  expect(late.status).toBe(409);
  expect((await all())[0]?.name).toBe('Hot oven');
});
