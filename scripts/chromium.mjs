// The browser of the interface tests: Debian's Chromium, or the one that CHROMIUM_PATH names.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { delimiter, join } from 'node:path';

export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
];

/** The path of a Chromium, or null. */
export function findChromium() {
  const named = process.env.CHROMIUM_PATH;
  if (named) return existsSync(named) ? named : null;
  const folders = (process.env.PATH ?? '').split(delimiter);
  return (
    ['chromium', 'chromium-browser']
      .flatMap((name) => folders.map((folder) => join(folder, name)))
      .find((path) => existsSync(path)) ?? null
  );
}

const has = (program) => spawnSync(program, ['--version'], { stdio: 'ignore' }).status === 0;

/** Installs Chromium from Debian's packages where that is possible. @returns the sentence that says why not, or null */
export function bringChromium() {
  if (findChromium()) return null;
  const wanted =
    'The interface tests want Chromium (Debian package: chromium). Install it, or set CHROMIUM_PATH to the program.';
  if (process.env.CHROMIUM_PATH)
    return `CHROMIUM_PATH is ${process.env.CHROMIUM_PATH}, where there is no program. ${wanted}`;
  if (!has('apt-get')) return `This system has no apt-get to install it with. ${wanted}`;
  if (process.getuid?.() !== 0) return `It can only be installed as root. ${wanted}`;
  console.log('Installing Chromium …');
  const environment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  for (const args of [
    ['update', '-qq'],
    ['install', '-y', '-qq', '--no-install-recommends', 'chromium'],
  ]) {
    spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'], env: environment });
  }
  return findChromium() ? null : `Installing it did not work. ${wanted}`;
}
