import { World, until } from './world.js';

let world: World;
beforeEach(() => {
  world = new World();
});

const PATH = '/api/mixes/a';
const notes = (): (string | undefined)[] => world.sent.map((s) => s.body.note);

test('changes go one after the other, each under an id of its own, and each gets its answer', async () => {
  const { send, isQuiet } = await world.page();
  const answers = await Promise.all(
    ['x', 'y', 'z'].map((id) => send<{ version: number }>('PUT', `/api/mixes/${id}`, { id, version: 1 })),
  );
  expect(world.sent.map((s) => s.path)).toEqual(['/api/mixes/x', '/api/mixes/y', '/api/mixes/z']);
  expect(new Set(world.sent.map((s) => s.change)).size).toBe(3);
  expect(answers.map((a) => a.version)).toEqual([2, 2, 2]);
  expect(isQuiet()).toBe(true);
});

test('a newer state takes the place of one that has not left, and both askers hear of it', async () => {
  const { send } = await world.page();
  const all = ['one', 'two', 'three', 'four'].map((note) => send<{ note: string }>('PUT', PATH, { note, version: 1 }));
  const answers = await Promise.all(all);
  expect(notes()).toEqual(['one', 'four']);
  expect(answers.map((a) => a.note)).toEqual(['one', 'four', 'four', 'four']);
});

test('a change that began on a state this window has replaced itself goes on from the newest', async () => {
  const { send } = await world.page();
  await send('PUT', PATH, { note: 'one', version: 1 });
  await send('PUT', PATH, { note: 'two', version: 1 });
  await send('PUT', PATH, { note: 'three', version: 2 });
  expect(world.sent.map((s) => s.body.version)).toEqual([1, 2, 3]);
});

test('a version from another window is sent as it is', async () => {
  const { send } = await world.page();
  await send('PUT', PATH, { note: 'one', version: 1 });
  await send('PUT', PATH, { note: 'theirs was read', version: 9 });
  expect(world.sent.map((s) => s.body.version)).toEqual([1, 9]);
});

test(
  'while the server is gone changes wait, are tried again under the same id, and then everything is ' + 'said',
  async () => {
    const { send, tryNow, useOutbox } = await world.page();
    world.reply = () => 'gone';
    const answer = send<{ note: string }>('PUT', PATH, { note: 'kept', version: 1 });
    await until(() => useOutbox.getState().gone !== null);
    expect(useOutbox.getState().gone).toMatch(/does not answer/);
    expect(useOutbox.getState().waiting).toHaveLength(1);
    world.reply = ({ body }) => ({ status: 200, body });
    tryNow();
    expect((await answer).note).toBe('kept');
    expect(useOutbox.getState()).toMatchObject({ gone: null, waiting: [] });
    expect(new Set(world.sent.map((s) => s.change)).size).toBe(1);
  },
);

test('what was not sent when the page was closed is sent by the next one', async () => {
  const first = await world.page();
  world.reply = () => 'gone';
  void first.send('PUT', PATH, { note: 'entered before the reload', version: 4 });
  await until(() => first.useOutbox.getState().gone !== null);
  const [before] = world.sent;
  const next = await world.page();
  world.reply = ({ body }) => ({ status: 200, body });
  expect(next.isQuiet()).toBe(false);
  next.resume();
  await until(next.isQuiet);
  expect(world.sent.at(-1)).toMatchObject({
    change: before?.change,
    body: { note: 'entered before the reload', version: 4 },
  });
  // the page that was closed is still there in this process: it ends its work before the next test
  first.tryNow();
  await until(first.isQuiet);
});

test('a refusal is given to the asker, is not tried again, and the next change goes on', async () => {
  const { send } = await world.page();
  world.reply = ({ body }) =>
    body.note === 'bad' ? { status: 422, body: { detail: 'A mix needs a name.', status: 422 } } : { status: 200, body };
  const bad = send('PUT', PATH, { note: 'bad', version: 1 }).catch((error: Error) => error.message);
  const good = send<{ note: string }>('PUT', '/api/mixes/b', { note: 'good', version: 1 });
  expect(await bad).toBe('A mix needs a name.');
  expect((await good).note).toBe('good');
  expect(notes()).toEqual(['bad', 'good']);
});

describe('where two windows met', () => {
  const base = {
    id: 'a',
    version: 1,
    name: 'Swede',
    note: '',
    colours: [
      { id: 'x', l: 1 },
      { id: 'y', l: 2 },
    ],
  };
  const met = (theirs: object) => ({
    status: 409,
    body: { detail: 'Swede was changed in another window.', status: 409, current: theirs },
  });

  test('what does not touch is joined and sent, and the asker gets the answer', async () => {
    const { send, useOutbox } = await world.page();
    const theirs = {
      ...base,
      version: 7,
      note: 'theirs',
      colours: [
        { id: 'x', l: 1 },
        { id: 'y', l: 9 },
        { id: 'z', l: 3 },
      ],
    };
    world.reply = ({ body }) => (body.version === 7 ? { status: 200, body: { ...body, version: 8 } } : met(theirs));
    const mine = {
      ...base,
      name: 'Yellow swede',
      colours: [
        { id: 'x', l: 5 },
        { id: 'y', l: 2 },
      ],
    };
    const answer = await send('PUT', PATH, mine, base);
    expect(answer).toEqual({
      ...base,
      version: 8,
      name: 'Yellow swede',
      note: 'theirs',
      colours: [
        { id: 'x', l: 5 },
        { id: 'y', l: 9 },
        { id: 'z', l: 3 },
      ],
    });
    expect(useOutbox.getState().clashes).toEqual([]);
  });

  test('what both changed waits for the person, one after the other; nothing of either is lost', async () => {
    const { send, useOutbox, takeClash } = await world.page();
    world.reply = ({ path }) => met({ ...base, version: 7, note: 'theirs', name: `${path} theirs` });
    const paths = ['/api/mixes/a', '/api/mixes/b', '/api/mixes/c'];
    await Promise.all(paths.map((path) => send('PUT', path, { ...base, name: 'mine' }, base).catch(() => undefined)));
    const { clashes } = useOutbox.getState();
    expect(clashes.map((c) => [c.path, c.mine.name, c.theirs.name, c.joined.touching])).toEqual(
      paths.map((path) => [path, 'mine', `${path} theirs`, ['name']]),
    );
    expect(clashes[0]?.joined.body).toMatchObject({ name: 'mine', note: 'theirs', version: 7 });
    expect([takeClash()?.path, takeClash()?.path, takeClash()?.path, takeClash()]).toEqual([...paths, undefined]);
  });

  test('a newer state that waits goes with the one that met: it holds all of it', async () => {
    const { send, useOutbox } = await world.page();
    world.reply = ({ body }) =>
      body.version === 7
        ? { status: 200, body: { ...body, version: 8 } }
        : met({ ...base, version: 7, note: 'theirs' });
    const first = send<{ name: string }>('PUT', PATH, { ...base, name: 'one' }, base);
    const second = send<{ name: string }>('PUT', PATH, { ...base, name: 'two' }, { ...base, name: 'one' });
    expect([(await first).name, (await second).name]).toEqual(['two', 'two']);
    expect(world.sent.map((s) => s.body)).toEqual([
      expect.objectContaining({ name: 'one', version: 1 }),
      expect.objectContaining({ name: 'two', note: 'theirs', version: 7 }),
    ]);
    expect(useOutbox.getState().clashes).toEqual([]);
  });

  test('where it is not known what both began on, every difference is asked', async () => {
    const { send, useOutbox } = await world.page();
    world.reply = () => met({ ...base, note: 'theirs', version: 7 });
    await send('PUT', PATH, { ...base, note: 'mine' }).catch(() => undefined);
    expect(useOutbox.getState().clashes[0]?.joined.touching).toEqual(['note']);
  });
});

test('while the disk is full what was entered waits with the sentence, and goes when there is room', async () => {
  const { send, tryNow, useOutbox } = await world.page();
  world.reply = () => ({ status: 507, body: { detail: 'The disk is full, so nothing was saved.', status: 507 } });
  const answer = send<{ note: string }>('PUT', PATH, { note: 'kept', version: 1 });
  await until(() => useOutbox.getState().gone !== null);
  expect(useOutbox.getState().gone).toBe('The disk is full, so nothing was saved.');
  world.reply = ({ body }) => ({ status: 200, body });
  tryNow();
  expect((await answer).note).toBe('kept');
  expect(useOutbox.getState().gone).toBeNull();
});

test('what is read while a change is on its way is known to be old, whatever was changed', async () => {
  const { send, changesMade } = await world.page();
  const before = changesMade();
  const sending = send('PUT', PATH, { note: 'x', version: 1 });
  expect(changesMade()).toBeNaN();
  await sending;
  expect(changesMade()).toBe(before + 1);
});
