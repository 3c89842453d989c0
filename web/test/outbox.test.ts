import { World } from './world.js';

let world: World;
beforeEach(() => { world = new World(); });

const PATH = '/api/mixes/a';
const notes = (): (string | undefined)[] => world.sent.map((s) => s.body.note);

test('changes go one after the other, each under an id of its own, and each gets its answer', async () => {
  const { send, isQuiet } = await world.page();
  const answers = await Promise.all(['x', 'y', 'z'].map((id) => send<{ version: number }>('PUT', `/api/mixes/${id}`, { id, version: 1 })));
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

test('while the server is gone changes wait, are tried again under the same id, and then everything is said', async () => {
  const { send, tryNow, useOutbox } = await world.page();
  world.reply = () => 'gone';
  const answer = send<{ note: string }>('PUT', PATH, { note: 'kept', version: 1 });
  await new Promise((resolve) => { setTimeout(resolve, 40); });
  expect(useOutbox.getState().gone).toMatch(/does not answer/);
  expect(useOutbox.getState().waiting).toHaveLength(1);
  world.reply = ({ body }) => ({ status: 200, body });
  tryNow();
  expect((await answer).note).toBe('kept');
  expect(useOutbox.getState()).toMatchObject({ gone: null, waiting: [] });
  expect(new Set(world.sent.map((s) => s.change)).size).toBe(1);
});

test('what was not sent when the page was closed is sent by the next one', async () => {
  const first = await world.page();
  world.reply = () => 'gone';
  void first.send('PUT', PATH, { note: 'entered before the reload', version: 4 });
  await new Promise((resolve) => { setTimeout(resolve, 30); });
  const [before] = world.sent;
  const next = await world.page();
  world.reply = ({ body }) => ({ status: 200, body });
  expect(next.isQuiet()).toBe(false);
  next.resume();
  await new Promise((resolve) => { setTimeout(resolve, 40); });
  expect(next.isQuiet()).toBe(true);
  expect(world.sent.at(-1)).toMatchObject({ change: before?.change, body: { note: 'entered before the reload', version: 4 } });
});

test('a refusal is given to the asker, is not tried again, and the next change goes on', async () => {
  const { send } = await world.page();
  world.reply = ({ body }) => (body.note === 'bad' ? { status: 422, body: { detail: 'A mix needs a name.', status: 422 } } : { status: 200, body });
  const bad = send('PUT', PATH, { note: 'bad', version: 1 }).catch((error: Error) => error.message);
  const good = send<{ note: string }>('PUT', '/api/mixes/b', { note: 'good', version: 1 });
  expect(await bad).toBe('A mix needs a name.');
  expect((await good).note).toBe('good');
  expect(notes()).toEqual(['bad', 'good']);
});

test('where two windows met, both states are kept for the person to choose', async () => {
  const { send, useOutbox } = await world.page();
  world.reply = () => ({ status: 409, body: { detail: 'Swede was changed in another window.', status: 409, current: { note: 'theirs', version: 7 } } });
  await send('PUT', PATH, { note: 'mine', version: 1 }).catch(() => undefined);
  expect(useOutbox.getState().clash).toEqual({
    path: PATH, sentence: 'Swede was changed in another window.', mine: { note: 'mine', version: 1 }, theirs: { note: 'theirs', version: 7 },
  });
});

test('what is read while a change is on its way is known to be old, whatever was changed', async () => {
  const { send, changesMade } = await world.page();
  const before = changesMade();
  const sending = send('PUT', PATH, { note: 'x', version: 1 });
  expect(changesMade()).toBeNaN();
  await sending;
  expect(changesMade()).toBe(before + 1);
});
