/** @jest-environment ./web/test/page.mjs */
import { thicknesses } from '#core/sheet';
import { machines, setup } from '#demo';
import type { BenchSetupDto, MachineDto, ReadingDto } from '#contract';
import AddMachine from '../src/stations/sheets/AddMachine.js';
import { GaugeList } from '../src/stations/sheets/Gauges.js';
import { MachineWords } from '../src/stations/sheets/MachineWords.js';
import { Translator } from '../src/stations/sheets/Translator.js';
import { useRollPlan } from '../src/stations/sheets/rollPlan.js';
import { today } from '../src/state/today.js';
import { post } from './letters.js';
import { expectWhole, shown, typeInto, type Shown } from './screen.js';

const [roller, crank] = machines as readonly [MachineDto, MachineDto];
const setting = (label: string, machine = roller) => machine.settings.find((s) => s.label === label)!;

interface AtMachine extends Shown {
  readonly chosen: string[];
  readonly gone: () => number;
}

function atMachine(
  machine: MachineDto,
  label: string,
  mine = true,
  units: 'metric' | 'imperial' = 'metric',
): AtMachine {
  const chosen: string[] = [];
  let gone = 0;
  const page = shown(
    <MachineWords
      {...{ machine, mine, setup, settingId: setting(label, machine).id }}
      onSetting={(id) => chosen.push(id)}
      onGone={() => (gone += 1)}
    />,
    units,
  );
  return { ...page, chosen, gone: () => gone };
}
const readingsIn = (body: Readonly<Record<string, unknown>>): ReadingDto[] => body.readings as ReadingDto[];

describe('a machine in words', () => {
  test.each(['metric', 'imperial'] as const)('shows the dial and a setting with what is known of it, %s', (units) => {
    for (const { label } of roller.settings) {
      const page = atMachine(roller, label, true, units);
      expectWhole(page);
      expect(page.words()).toMatch(/measured|worked out between|assumed/);
      page.unmount();
    }
  });

  test.each([
    ['3', '2.06 mm', 'measured'],
    ['5', '', 'worked out between'],
  ])('setting %s is %s, %s', (label, length, known) => {
    const words = atMachine(roller, label).words();
    expect(words).toContain(known);
    expect(words).toContain(length);
  });

  test('another setting is chosen', async () => {
    const page = atMachine(roller, '3');
    await page.user.selectOptions(page.getByLabelText('Setting to measure'), '6');
    expect(page.chosen).toEqual([setting('6').id]);
  });

  test.each<[string, string, Partial<MachineDto>]>([
    ['Name of the machine', 'Old roller', { name: 'Old roller' }],
    ['Roller width', '180 mm', { rollerWidthMm: 180 }],
    ['Roller width', '5 in', { rollerWidthMm: 127 }],
  ])('%s %s', async (label, text, wanted) => {
    await typeInto(atMachine(roller, '3'), label, text);
    expect(await post.next()).toMatchObject({ method: 'PUT', path: `/api/machines/${roller.id}`, body: wanted });
  });

  test('a reading is typed anew, or struck out, and all others stay', async () => {
    const own = roller.readings.filter((r) => r.settingId === setting('6').id);
    expect(own).toHaveLength(1);
    const page = atMachine(roller, '6');
    await typeInto(page, 'Reading', '0.98 mm');
    const changed = readingsIn((await post.next()).body);
    expect(changed).toEqual(roller.readings.map((r) => (r.id === own[0]?.id ? { ...r, mm: 0.98 } : r)));
    await page.user.click(page.getByRole('button', { name: 'strike out' }));
    expect(readingsIn((await post.next()).body)).toEqual(roller.readings.filter((r) => r.id !== own[0]?.id));
  });

  test('wear is told from readings of the same settings at other times', () => {
    const worn = (by: number): MachineDto => {
      const now = roller.readings.filter((r) => r.takenOn === '2026-10-04');
      const before = now.map((r) => ({ ...r, id: `${r.id} before`, mm: r.mm / by, takenOn: '2024-10-04' }));
      return { ...roller, readings: [...before, ...now] };
    };
    // a tenth in two years
    const wider = atMachine(worn(1.1), '3');
    expect(wider.words()).toMatch(/Its gaps grow wider by about 4\.[5-9] % a year/);
    wider.unmount();
    const narrower = atMachine(worn(1 / 1.1), '3');
    expect(narrower.words()).toMatch(/Its gaps grow narrower by about [45]\.\d % a year/);
    narrower.unmount();
    expect(atMachine(worn(1), '3').words()).toContain('No wear to be seen');
  });

  test('readings that contradict each other are pointed at', () => {
    const wrong: ReadingDto = {
      ...roller.readings[0]!,
      id: 'wrong',
      settingId: setting('9').id,
      mm: 2.9,
      takenOn: today(),
    };
    const page = atMachine(
      { ...roller, readings: [...roller.readings.filter((r) => r.settingId !== setting('9').id), wrong] },
      '3',
    );
    expect(page.getAllByRole('status').length).toBeGreaterThan(0);
  });

  test('somebody else’s becomes one’s own', async () => {
    const page = atMachine(crank, '4', false);
    await page.user.click(page.getByRole('button', { name: 'this is my own' }));
    expect(await post.next()).toMatchObject({ path: '/api/bench', body: { machineId: crank.id, discSettingId: null } });
    page.unmount();
    expect(atMachine(roller, '4').queryByRole('button', { name: 'this is my own' })).toBeNull();
  });

  test('is taken away, and what shows it is told; one that is used stays and says why', async () => {
    const page = atMachine(crank, '4');
    await page.user.click(page.getByRole('button', { name: 'Take this machine away' }));
    expect(await post.next()).toMatchObject({ method: 'DELETE', path: `/api/machines/${crank.id}` });
    expect(page.gone()).toBe(1);
    post.refuse('A batch is planned with its settings.');
    await page.user.click(page.getByRole('button', { name: 'Take this machine away' }));
    expect(await page.findByText('A batch is planned with its settings.')).toBeTruthy();
    expect(page.gone()).toBe(1);
  });
});

describe('a reading as it is taken', () => {
  const CASES: readonly (readonly [string, string, number])[] = [
    ['by calipers', '1.48 mm', 1.48],
    // five cards of 0.29 mm
    ['against cards', '5', 1.45],
    // four layers together
    ['as a stack of layers', '6 mm', 1.5],
    // 0.9 g of a disc 20 mm across: 0.9 / 1.9 cm³ over π cm²
    ['by weighing a disc', '0.9 g', (0.9 / 1.9 / Math.PI) * 10],
  ];
  test.each(CASES)('%s: %s', async (way, text, mm) => {
    const page = atMachine(roller, '4');
    await page.user.selectOptions(page.getByLabelText('Measured how'), way);
    await page.user.type(page.getByLabelText(/^Reading of setting 4/), text);
    expect(page.words()).toContain(`${mm.toFixed(2)} mm`);
    await page.user.click(page.getByRole('button', { name: 'Note' }));
    const noted = readingsIn((await post.next()).body).at(-1)!;
    expect(noted).toMatchObject({ settingId: setting('4').id, takenOn: today() });
    expect(noted.mm).toBeCloseTo(mm, 6);
    expect((page.getByLabelText(/^Reading of setting 4/) as HTMLInputElement).value).toBe('');
  });

  test('a larger disc of the same weight is thinner, more layers too', async () => {
    const page = atMachine(roller, '4');
    await page.user.selectOptions(page.getByLabelText('Measured how'), 'by weighing a disc');
    await typeInto(page, 'Diameter of the weighed disc', '40 mm');
    await page.user.type(page.getByLabelText(/^Reading of setting 4/), '3.6 g');
    expect(page.words()).toContain(`${((0.9 / 1.9 / Math.PI) * 10).toFixed(2)} mm`);
    await page.user.selectOptions(page.getByLabelText('Measured how'), 'as a stack of layers');
    await typeInto(page, 'Layers in the stack measured', '10');
    await page.user.type(page.getByLabelText(/^Reading of setting 4/), '15 mm');
    expect(page.words()).toContain('1.50 mm');
  });

  test.each([
    ['', 'Nothing is written here yet.'],
    ['thick', /thick/],
  ])('“%s” is not noted, with a sentence', async (text, sentence) => {
    const page = atMachine(roller, '4');
    const field = page.getByLabelText(/^Reading of setting 4/) as HTMLInputElement;
    if (text !== '') await page.user.type(field, text);
    await page.user.click(page.getByRole('button', { name: 'Note' }));
    expect(page.getAllByRole('status').some((s) => s.textContent?.match(sentence))).toBe(true);
    expect(field.value).toBe(text);
    expect(post.letters).toEqual([]);
  });
});

describe('what others say of thickness', () => {
  const own = roller;
  function asking(bench: BenchSetupDto = setup): Shown & { readonly asked: (number | null)[] } {
    const asked: (number | null)[] = [];
    const page = shown(<Translator machines={machines} own={own} setup={bench} onAsked={(mm) => asked.push(mm)} />);
    return { ...page, asked };
  }
  const FIELD = 'A thickness as somebody else says it';
  const mmOf = (label: string, machine: MachineDto): number => thicknesses(machine).find((s) => s.label === label)!.mm;

  test.each<[string, number]>([
    ['1.5 mm', 1.5],
    ['1/16 in', 25.4 / 16],
    ['5 cards', 5 * 0.29],
    ['my 4', mmOf('4', roller)],
    ['4 of Blue travel crank', mmOf('4', crank)],
    ['next to thickest of mine', mmOf('1', roller)],
  ])('%s', async (text, mm) => {
    const page = asking();
    await page.user.type(page.getByLabelText(FIELD), text);
    expect(page.asked.at(-1)).toBeCloseTo(mm, 2);
    const answer = page.container.querySelector('[data-answer]')?.textContent;
    const nearest = thicknesses(roller).reduce((a, b) => (Math.abs(b.mm - mm) < Math.abs(a.mm - mm) ? b : a));
    expect(answer).toBe(nearest.label);
    expect(page.words()).toContain('on your Bench roller');
    expect(useRollPlan.getState().toId).toBe(nearest.id);
  });

  test('thinner than the machine rolls is said, thicker is stacked', async () => {
    const thin = asking();
    await thin.user.type(thin.getByLabelText(FIELD), '0.1 mm');
    expect(thin.words()).toContain('Your machine does not roll this thin. Roll by hand between guides of 0.10 mm.');
    thin.unmount();
    const thick = asking();
    await thick.user.type(thick.getByLabelText(FIELD), '6.4 mm');
    expect(thick.words()).toMatch(/two sheets of it, stacked/);
  });

  test('what two machines could mean comes back as buttons; one of them answers', async () => {
    const page = asking();
    await page.user.type(page.getByLabelText(FIELD), 'setting 3');
    expect(page.container.querySelector('[data-answer]')).toBeNull();
    expect(page.asked.at(-1)).toBeNull();
    const choices = page.getAllByRole('button').filter((b) => /Bench roller|mine|my/.test(b.textContent ?? ''));
    await page.user.click(choices[0]!);
    expect(page.container.querySelector('[data-answer]')?.textContent).toBe('3');
  });

  test('the same as last is the last that was understood', async () => {
    const page = asking();
    await page.user.type(page.getByLabelText(FIELD), '2.06 mm');
    await page.user.tab();
    await page.user.clear(page.getByLabelText(FIELD));
    await page.user.type(page.getByLabelText(FIELD), 'same as last');
    expect(page.asked.at(-1)).toBeCloseTo(2.06, 6);
  });

  test('cards that were never measured are assumed, until they are', async () => {
    const page = asking({ ...setup, cardMm: null });
    expect(page.words()).toMatch(/a card is ~/);
    await typeInto(page, 'Thickness of a card', '0.31 mm');
    expect((await post.next()).body).toMatchObject({ cardMm: 0.31, machineId: roller.id });
  });
});

describe('other things to measure with', () => {
  const gauges = [
    { name: 'packet card', mm: 0.42, sigmaMm: 0.02 },
    { name: 'coin', mm: 1.67, sigmaMm: 0.02 },
  ];
  const list = (): Shown => shown(<GaugeList setup={{ ...setup, gauges }} />);
  const sent = async (): Promise<unknown> => (await post.next()).body.gauges;

  test('are named, measured, added under a free name, and taken out', async () => {
    const page = list();
    await typeInto(page, 'Name of thing 2 to measure with', 'penny');
    expect(await sent()).toEqual([gauges[0], { ...gauges[1], name: 'penny' }]);
    await typeInto(page, 'Thickness of coin', '1.7 mm');
    expect(await sent()).toEqual([gauges[0], { ...gauges[1], mm: 1.7 }]);
    await page.user.click(page.getByRole('button', { name: 'another thing you measure with' }));
    expect(await sent()).toEqual([...gauges, { name: 'packet card 2', mm: 1, sigmaMm: 0.02 }]);
    await page.user.click(page.getByRole('button', { name: 'Take coin out' }));
    expect(await sent()).toEqual([gauges[0]]);
  });
});

describe('a new machine', () => {
  type Adding = Shown & { readonly saved: string[]; readonly left: () => number };
  function adding(): Adding {
    const saved: string[] = [];
    let left = 0;
    const leave = (): void => {
      left += 1;
    };
    return { ...shown(<AddMachine onSaved={(id) => saved.push(id)} onCancel={leave} />), saved, left: () => left };
  }
  async function fill(page: Adding, values: Readonly<Record<string, string>>): Promise<void> {
    for (const [label, text] of Object.entries(values)) {
      await page.user.clear(page.getByLabelText(label));
      await page.user.type(page.getByLabelText(label), text);
    }
    await page.user.click(page.getByRole('button', { name: 'Put it on the bench' }));
  }

  test.each([
    ['0', '9', 'a whole number', ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9']],
    ['7', '1', 'a whole number', ['7', '6', '5', '4', '3', '2', '1']],
    ['3', '1', 'a half', ['3', '2½', '2', '1½', '1']],
  ])('from %s to %s, a click is %s', async (widest, thinnest, step, labels) => {
    const page = adding();
    await page.user.selectOptions(page.getByLabelText('One click is'), step);
    await fill(page, {
      'What you call it': 'Crank',
      'Number of the widest gap': widest,
      'Number of the thinnest': thinnest,
    });
    const { path, body } = await post.next();
    expect((body.settings as { label: string }[]).map((s) => s.label)).toEqual(labels);
    expect(body).toMatchObject({ name: 'Crank', rollerWidthMm: 145, readings: [] });
    expect(Object.keys(body)).not.toContain('widest');
    expect(path).toBe(`/api/machines/${String(body.id)}`);
    expect(page.saved).toEqual([body.id]);
  });

  test('a dial that cannot be is refused beside its field, and a name is asked for', async () => {
    const page = adding();
    await fill(page, { 'What you call it': 'Crank', 'Number of the widest gap': '4', 'Number of the thinnest': '4' });
    expect(page.getByLabelText('Number of the widest gap').getAttribute('aria-invalid')).toBe('true');
    await fill(page, { 'What you call it': ' ', 'Number of the thinnest': '1' });
    expect(page.getByLabelText('What you call it').getAttribute('aria-invalid')).toBe('true');
    expect(post.letters).toEqual([]);
    await page.user.click(page.getByRole('button', { name: 'Leave it' }));
    expect(page.left()).toBe(1);
  });
});
