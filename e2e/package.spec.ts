import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import {
  chmodSync,
  createWriteStream,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { openPromise } from 'yauzl';
import { expect, saved, test } from './sledge.js';

const SYSTEM = `linux-${process.arch}`;
/** What a double click may use of the system: no Node among it. */
const TOOLS = ['sh', 'dirname', 'uname', 'grep', 'sed', 'cut', 'cat', 'which', 'env', 'basename', 'readlink'];

/** Unpacks a ZIP with the rights that its files have. */
async function unpack(zip: string, to: string): Promise<void> {
  const file = await openPromise(zip, { lazyEntries: true });
  for await (const entry of file.eachEntry()) {
    const path = join(to, entry.fileName);
    mkdirSync(dirname(path), { recursive: true });
    await pipeline(await file.openReadStreamPromise(entry), createWriteStream(path));
    chmodSync(path, (entry.externalFileAttributes >>> 16) & 0o777);
  }
}

/** A folder with the tools, and a browser that writes down what it was to show. */
function systemWithoutNode(folder: string): { readonly bin: string; readonly shown: () => string[] } {
  const [bin, notes] = [join(folder, 'bin'), join(folder, 'shown.txt')];
  mkdirSync(bin);
  for (const tool of TOOLS) {
    const path = ['/usr/bin', '/bin'].map((place) => join(place, tool)).find((place) => existsSync(place));
    if (path !== undefined) symlinkSync(path, join(bin, tool));
  }
  writeFileSync(join(bin, 'browser'), `#!/bin/sh\necho "$1" >> '${notes}'\n`, { mode: 0o755 });
  return { bin, shown: () => (existsSync(notes) ? readFileSync(notes, 'utf8').trim().split('\n') : []) };
}

test.describe('packed for a system', () => {
  // it brings Node and the packages of the system
  test.setTimeout(600_000);
  let folder = '';
  let running: ChildProcess | null = null;
  test.beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'sledge-package-'));
  });
  test.afterAll(() => {
    running?.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  });

  test('a double click starts it where there is no Node; it is walked; the second click shows it again', async ({
    page,
  }) => {
    const packed = spawnSync(process.execPath, [join('scripts', 'package.mjs'), SYSTEM], { encoding: 'utf8' });
    expect(packed.status, packed.stderr).toBe(0);
    const zip = packed.stdout.trim().split('\n').at(-1) ?? '';
    await unpack(zip, folder);
    const { bin, shown } = systemWithoutNode(folder);
    const program = join(folder, basename(zip, '.zip'), 'Sledge');
    const env = { PATH: bin, HOME: folder, BROWSER: join(bin, 'browser') };
    const click = (): ChildProcess => spawn(program, { env, stdio: 'ignore' });
    expect(spawnSync('node', ['--version'], { env }).error).toBeDefined();

    running = click();
    await expect.poll(shown, { timeout: 60_000 }).toHaveLength(1);
    const address = shown()[0] ?? '';
    await page.goto(address);
    await page.getByRole('button', { name: 'Put a line of clay here' }).click();
    await page.getByLabel('Name of the line').fill('Hearth Firm');
    await page.keyboard.press('Enter');
    const colour = page.getByRole('form', { name: 'A colour' });
    await colour.getByLabel('Name of the colour').fill('Beetroot');
    await colour.getByLabel('Colour when baked', { exact: true }).fill('7b1e4b');
    await page.keyboard.press('Enter');
    await saved(page);
    await page.reload();
    await expect(page.getByText('Beetroot').first()).toBeVisible();
    // a thread, another database and the packages of this system
    await page.goto(`${address}/copies`);
    await page.getByLabel('Name of the copy').fill('the first evening');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('region', { name: 'Keep a copy' })).toContainText('whole and checked: 1 clay');

    const again = click();
    await expect.poll(shown, { timeout: 60_000 }).toEqual([address, address]);
    await expect.poll(() => again.exitCode, { timeout: 30_000 }).toBe(0);
    // the data are at home, not in the folder that a newer one takes the place of
    expect(existsSync(join(folder, '.local', 'share', 'sledge', 'sledge.db'))).toBe(true);
  });
});
