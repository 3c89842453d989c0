import type * as Queries from '../src/wire/queries.js';
import type * as Save from '../src/wire/save.js';
import { World } from './world.js';

interface Reading {
  readonly id: string;
  readonly mm: number;
}
interface Machine {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly readings: readonly Reading[];
}
const MACHINES = '/api/machines';

let world: World;
let machine: Machine;
let save: typeof Save;
let queries: typeof Queries;

beforeEach(async () => {
  world = new World();
  machine = { id: 'a', version: 1, name: 'Bench roller', readings: [] };
  world.reply = ({ method, body }) => {
    if (method === 'GET') return { status: 200, body: { machines: [machine], setup: { version: 1, discMm: 20 } } };
    if (body.version !== machine.version)
      return { status: 409, body: { detail: 'Changed in another window.', status: 409, current: machine } };
    if ((body as unknown as Machine).name === '')
      return { status: 422, body: { detail: 'A machine needs a name.', status: 422 } };
    machine = { ...(body as unknown as Machine), version: machine.version + 1 };
    return { status: 200, body: machine };
  };
  await world.page();
  save = await import('../src/wire/save.js');
  queries = await import('../src/wire/queries.js');
  await queries.client.fetchQuery({ queryKey: [MACHINES], queryFn: () => queries.readUnlessChanged(MACHINES) });
});

afterEach(() => {
  queries.client.clear();
});

const shown = (): Machine =>
  (queries.client.getQueryData([MACHINES]) as { machines: Machine[] }).machines[0] as Machine;
const note = (mm: number): Promise<unknown> =>
  save.change('PUT', '/api/machines/a', { ...shown(), readings: [...shown().readings, { id: `r${mm}`, mm }] });

test(
  'readings noted faster than the server answers are all kept, each begun on what the one before it ' + 'left',
  async () => {
    await Promise.all([3.2, 1.6, 0.4].map(note));
    expect(machine.readings.map((r) => r.mm)).toEqual([3.2, 1.6, 0.4]);
    expect(shown().readings).toHaveLength(3);
  },
);

test('an answer that was under way while a change was made does not take it off the screen', async () => {
  const reading = queries.client.fetchQuery({
    queryKey: [MACHINES],
    queryFn: () => queries.readUnlessChanged(MACHINES),
  });
  const noting = note(3.2);
  await reading;
  expect(shown().readings).toHaveLength(1);
  await noting;
  await note(1.6);
  expect(machine.readings.map((r) => r.mm)).toEqual([3.2, 1.6]);
});

test('what the server refuses is said, and is not shown as if it were so', async () => {
  expect(await save.change('PUT', '/api/machines/a', { ...shown(), name: '' })).toBeNull();
  expect(save.useSaid.getState()).toMatchObject({
    sentence: 'A machine needs a name.',
    refused: { '/api/machines/a': { message: 'A machine needs a name.' } },
  });
  await queries.client.refetchQueries();
  expect(shown().name).toBe('Bench roller');
  expect(machine.version).toBe(1);
});

/** A server with a list of changes that can be taken back, the newest last. */
function withChanges(all: { id: string; summary: string }[]): string[] {
  const answer = world.reply;
  const asked: string[] = [];
  const state = (did: string | null) => ({
    status: 200,
    body: { undo: all.at(-1) ? { ...all.at(-1), at: '2026-11-27T08:00:00Z' } : null, redo: null, did },
  });
  world.reply = (sent) => {
    asked.push(`${sent.method} ${sent.path}`);
    if (sent.path === '/api/changes') return state(null);
    if (sent.path !== '/api/undo') {
      if (sent.method === 'PUT') all.push({ id: sent.change, summary: 'changed Bench roller' });
      return answer(sent);
    }
    const newest = all.at(-1);
    if (!newest || newest.id !== (sent.body as { expects?: string }).expects) return state(null);
    all.pop();
    return state(`Taken back: ${newest.summary}`);
  };
  return asked;
}

test('what is taken back at once is the change that was just made: undo waits for it', async () => {
  const asked = withChanges([]);
  const [noting, undoing] = [note(3.2), save.undo()];
  await Promise.all([noting, undoing]);
  expect(asked.indexOf('POST /api/undo')).toBeGreaterThan(asked.indexOf('PUT /api/machines/a'));
  expect(save.useSaid.getState().sentence).toBe('Taken back: changed Bench roller');
});

test('the change of another window is taken back only when that one is meant, and by its name', async () => {
  const all = [{ id: 'theirs', summary: 'took 14 g of Carrot' }];
  const asked = withChanges(all);
  await save.undo();
  expect([save.useSaid.getState().question?.change.summary, asked.includes('POST /api/undo')]).toEqual([
    'took 14 g of Carrot',
    false,
  ]);
  await save.answerQuestion(false);
  expect([save.useSaid.getState().question, all.length]).toEqual([null, 1]);
  await save.undo();
  await save.answerQuestion(true);
  expect([save.useSaid.getState().sentence, all]).toEqual(['Taken back: took 14 g of Carrot', []]);
  await save.undo();
  expect(save.useSaid.getState().sentence).toBe('There is nothing to take back.');
});

test(
  'where another window was quicker between the look and the deed, it is asked and nothing is taken ' + 'back',
  async () => {
    const all: { id: string; summary: string }[] = [];
    withChanges(all);
    await note(3.2);
    queries.client.setQueryData(['/api/changes'], {
      undo: { id: all[0]?.id, summary: 'mine', at: '' },
      redo: null,
      did: null,
    });
    all.push({ id: 'theirs', summary: 'new mix Swede' });
    await save.undo();
    expect([save.useSaid.getState().question?.change.summary, all.length]).toEqual(['new mix Swede', 2]);
  },
);

test(
  'a refusal that nobody shows in its place is shown elsewhere, also the second time; what is there ' + 'now is read',
  async () => {
    const answer = world.reply;
    world.reply = (sent) =>
      sent.method === 'DELETE'
        ? {
            status: 409,
            body: { detail: 'Bench roller was changed in another window.', status: 409, current: machine },
          }
        : answer(sent);
    const reads = (): number => world.sent.filter((s) => s.method === 'GET').length;
    for (const _ of [1, 2]) {
      const before = reads();
      expect(await save.change('DELETE', '/api/machines/a?version=1')).toBeNull();
      expect(save.useSaid.getState()).toMatchObject({
        sentence: 'Bench roller was changed in another window.',
        refused: { '/api/machines/a': {} },
      });
      await queries.client.refetchQueries();
      expect(reads()).toBeGreaterThan(before);
    }
  },
);

test('a clash is settled field by field: what only one window changed stays, whichever is kept', async () => {
  const theirs = { ...machine, name: 'Crank', readings: [{ id: 'x', mm: 1 }], version: 1 };
  const mine = { ...shown(), name: 'Roller', note: 'mine' };
  machine = { ...theirs, version: 4 };
  await save.change('PUT', '/api/machines/a', mine);
  const { useOutbox } = await import('../src/wire/outbox.js');
  expect(useOutbox.getState().clashes.map((c) => c.joined.touching)).toEqual([['name']]);
  await save.settleClash(false);
  expect(machine).toMatchObject({ name: 'Crank', note: 'mine', readings: [{ id: 'x', mm: 1 }] });
});

test('while nothing gets through nothing is taken back, and that is said', async () => {
  world.reply = () => 'gone';
  const noting = note(3.2);
  await save.undo();
  expect(save.useSaid.getState().sentence).toBe('Waiting for the last change to be saved.');
  expect(world.sent.map((s) => s.path)).not.toContain('/api/undo');
  world.reply = ({ body }) => ({ status: 200, body });
  (await import('../src/wire/outbox.js')).tryNow();
  await noting;
});

test('a change is shown in every list that holds the thing, and nowhere else', () => {
  const { withChanged } = save;
  const shelf = { lines: [{ id: 'x', name: 'Bed' }], clays: [{ id: 'y', name: 'Leek' }], usedIn: { y: [] } };
  expect(withChanged(shelf, '/api/clays/y', { id: 'y', name: 'Chard' } as object)).toEqual({
    ...shelf,
    clays: [{ id: 'y', name: 'Chard' }],
  });
  expect(withChanged(shelf, '/api/clays/z', { id: 'z' })).toEqual(shelf);
  expect(withChanged([{ id: 'x', a: 1 }, { id: 'y' }], '/api/sheets/x', { id: 'x', b: 2 } as object)).toEqual([
    { id: 'x', a: 1, b: 2 },
    { id: 'y' },
  ]);
  expect(
    withChanged({ machines: [], setup: { discMm: 20, cardMm: null } }, '/api/bench', { cardMm: 0.3 } as object),
  ).toEqual({ machines: [], setup: { discMm: 20, cardMm: 0.3 } });
  expect(withChanged(shelf, '/api/bench', { cardMm: 0.3 } as object)).toBe(shelf);
  expect(withChanged(undefined, '/api/clays/y', { id: 'y' })).toBeUndefined();
});
