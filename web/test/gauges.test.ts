import type { GaugeSays } from '#contract/devices';
import type * as Gauges from '../src/wire/gauges.js';
import { Stream } from './stream.js';

/** A field as far as a gauge needs one. */
class Field {
  dataset: Record<string, string> = {};
  placeholder = '';
  isConnected = true;
  heard: string[] = [];
  #value = '';
  get value(): string {
    return this.#value;
  }
  set value(text: string) {
    this.#value = text;
  }
  dispatchEvent(): void {
    this.heard.push(this.#value);
  }
}

const page = {
  focused: true,
  activeElement: null as Field | null,
  focusin: [] as ((event: { target: Field }) => void)[],
};
const asked: string[] = [];
const sent: {
  readonly id: string;
  readonly errand: string;
  readonly about: number | null;
  readonly settingId: string | null;
}[] = [];
let answer: () => Response = () => new Response(null, { status: 204 });
let gauges: typeof Gauges;
let turnUnits: () => void;

beforeAll(async () => {
  Object.assign(globalThis, {
    HTMLInputElement: Field,
    EventSource: Stream,
    window: { localStorage: { getItem: () => null, setItem: () => undefined } },
    document: {
      hasFocus: () => page.focused,
      get activeElement() {
        return page.activeElement;
      },
      addEventListener: (_: string, hear: (typeof page.focusin)[number]) => {
        page.focusin.push(hear);
      },
    },
    fetch: async (path: string, { body }: { body?: string }) => {
      if (body === undefined) {
        asked.push(path);
        return new Response(null, { status: 204 });
      }
      sent.push(JSON.parse(body) as (typeof sent)[number]);
      return answer();
    },
  });
  gauges = await import('../src/wire/gauges.js');
  ({ turnUnits } = (await import('../src/state/view.js')).useView.getState());
});

function focus(measures: string | null, part: Partial<Field> = {}): Field {
  const field = Object.assign(new Field(), part);
  if (measures !== null) field.dataset.measures = measures;
  page.activeElement = field;
  page.focusin.forEach((hear) => {
    hear({ target: field });
  });
  return field;
}
interface Heard {
  readonly says: (what: GaugeSays | { readonly says: 'lost' }) => void;
}
function connected(gauge: 'calipers' | 'scale'): Heard {
  gauges.putGaugeAway(gauge);
  gauges.connectGauge(gauge);
  return {
    says: (says) => {
      Stream.newest().says({ of: gauge, says });
    },
  };
}
const shown = (gauge: 'calipers' | 'scale') => gauges.useGauges.getState()[gauge];

test('a reading is typed into the field that is open for it, in the units of the maker', () => {
  const calipers = connected('calipers');
  const thickness = focus('length');
  calipers.says({ says: 'reading', errand: null, value: 0.0625, unit: 'in' });
  expect(thickness.heard).toEqual(['1.59 mm']);
  expect(shown('calipers').shows).toBe('0.0625 in');
  turnUnits();
  calipers.says({ says: 'reading', errand: null, value: 25.4, unit: 'mm' });
  turnUnits();
  expect(thickness.value).toMatch(/^1(\.0+)? in$/);
  const weight = focus('mass');
  connected('scale').says({ says: 'reading', errand: null, value: 14, unit: 'g' });
  expect(weight.heard).toEqual(['14 g']);
});

test('it is typed nowhere else: not into a field for something else, one that is left, or one that is gone', () => {
  const calipers = connected('calipers');
  const left = focus('length');
  const others = [focus('mass'), focus(null)];
  const read = (): void => {
    calipers.says({ says: 'reading', errand: null, value: 2.5, unit: 'mm' });
  };
  read();
  const gone = focus('length');
  gone.isConnected = false;
  read();
  expect([left, ...others, gone].flatMap((f) => f.heard)).toEqual([]);
  expect(shown('calipers').shows).toBe('2.50 mm');
});

test('a reading is for the window that asked, or for the one that one is in', async () => {
  const calipers = connected('calipers');
  const field = focus('length');
  calipers.says({ says: 'reading', errand: 'of another window', value: 2, unit: 'mm' });
  page.focused = false;
  calipers.says({ says: 'reading', errand: null, value: 3, unit: 'mm' });
  expect(field.heard).toEqual([]);
  await gauges.pressGauge('calipers', 'read');
  const { id } = sent.at(-1) ?? {};
  calipers.says({ says: 'reading', errand: id ?? '', value: 4, unit: 'mm' });
  page.focused = true;
  expect(field.heard).toEqual(['4.00 mm']);
});

test('a lost connection is said, nothing is typed, and the next state finds it again; all use one stream', () => {
  const scale = connected('scale');
  expect(shown('scale').link).toBe('looking');
  connected('calipers');
  expect(Stream.all.map((s) => s.path)).toEqual(['/api/events']);
  scale.says({ says: 'lost' });
  expect(shown('scale')).toMatchObject({
    link: 'away',
    wrong: expect.stringContaining('lost the connection') as string,
  });
  scale.says({ says: 'state', standIn: true, unit: 'g', held: false, sinceZero: 0 });
  expect(shown('scale').link).toBe('there');
  Stream.newest().onerror?.();
  expect(shown('scale').link).toBe('away');
  const before = asked.filter((path) => path === '/api/devices/scale/connection').length;
  Stream.newest().says({ of: 'sledge', start: 'another' });
  expect(asked.filter((path) => path === '/api/devices/scale/connection').length).toBe(before + 1);
  gauges.putGaugeAway('scale');
  scale.says({ says: 'state', standIn: true, unit: 'g', held: false, sinceZero: 0 });
  expect(shown('scale').link).toBe('none');
});

test('a stand-in is told what lies there: what the field holds, or else suggests, or nothing', async () => {
  const about = async (measures: string, part: Partial<Field>): Promise<unknown> => {
    focus(measures, part);
    await gauges.pressGauge('calipers', 'read');
    return sent.at(-1)?.about;
  };
  expect(await about('length', { value: '1/16 in', placeholder: '3 mm' })).toBeCloseTo(1.5875);
  expect(await about('length', { placeholder: '~3.2 mm' })).toBe(3.2);
  expect(await about('length', { value: 'thin' })).toBeNull();
  expect(await about('mass', { value: '14 g' })).toBeNull();
  focus('length', { value: '2 mm', dataset: { measures: 'length', setting: 's4' } });
  await gauges.pressGauge('calipers', 'read');
  expect(sent.at(-1)).toMatchObject({ errand: 'read', about: 2, settingId: 's4' });
});

test('what the server refuses, or does not hear, is said at the gauge', async () => {
  answer = () =>
    new Response(JSON.stringify({ detail: 'The calipers are not connected.', status: 409 }), { status: 409 });
  await gauges.pressGauge('calipers', 'zero');
  expect(shown('calipers').wrong).toBe('The calipers are not connected.');
  answer = () => {
    throw new TypeError('no answer');
  };
  await gauges.pressGauge('calipers', 'hold');
  expect(shown('calipers').wrong).toBe('Sledge does not answer.');
});
