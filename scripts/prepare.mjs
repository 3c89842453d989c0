// What every command needs first: packages, and a build that is not older than its sources.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';
const SOURCES = [
  'core/src',
  'core/bench',
  'contract/src',
  'server/src',
  'server/bench',
  'demo/src',
  'web',
  'package-lock.json',
  'scripts/bundle.mjs',
  'tsconfig.base.json',
  'tsconfig.server.json',
];
const stamp = join(root, 'dist', '.built');

/** Runs a program in the project's folder; ends this one with its code where it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.status !== 0) {
    if (done.error) console.error(done.error.message);
    process.exit(done.status ?? 1);
  }
}

/** The file of a tool that the project's packages bring, to be run by node. */
export const tool = (path) => join(root, 'node_modules', path);

export function install() {
  const installed = join(root, 'node_modules', '.package-lock.json');
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs) return;
  console.log('Installing packages …');
  run(npm, ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { shell: process.platform === 'win32' });
}

function newest(path) {
  if (!existsSync(path)) return 0;
  const info = statSync(path);
  if (!info.isDirectory()) return info.mtimeMs;
  return readdirSync(path).reduce((latest, name) => Math.max(latest, newest(join(path, name))), 0);
}

export function build({ force = false } = {}) {
  const built = existsSync(stamp) ? Number(readFileSync(stamp, 'utf8')) : 0;
  const latest = SOURCES.reduce((time, path) => Math.max(time, newest(join(root, path))), 0);
  if (!force && built >= latest) return;
  console.log('Building …');
  run(process.execPath, [tool('typescript/bin/tsc'), '-p', 'tsconfig.server.json']);
  run(process.execPath, ['scripts/bundle.mjs']);
  run(process.execPath, [tool('vite/bin/vite.js'), 'build', 'web', '--logLevel', 'warn']);
  run(process.execPath, ['scripts/compress.mjs']);
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, String(latest));
}
