// npm run nodes: unit and server tests under each Node that people have. Numbers pick some of them, words some tests:
// npm run nodes -- 24 server/test/journal
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { SYSTEMS, bringNode } from './nodePackages.mjs';
import { build, install, root, tool } from './prepare.mjs';

const NODES = ['20', '22', '24'];
const OS = { linux: 'linux', darwin: 'macos', win32: 'windows' }[process.platform];
const PROGRAM = process.platform === 'win32' ? 'node.exe' : 'node';

function nodeOf(version) {
  const folder = join(root, 'dist', 'nodes', version);
  const known = join(folder, PROGRAM);
  if (existsSync(known)) return known;
  mkdirSync(folder, { recursive: true });
  return bringNode(folder, SYSTEMS[`${OS}-${process.arch}`], version);
}

install();
build();
const wanted = process.argv.slice(2).filter((word) => NODES.includes(word));
const tests = process.argv.slice(2).filter((word) => !NODES.includes(word));
const results = (wanted.length > 0 ? wanted : NODES).map((version) => {
  const node = nodeOf(version);
  const exact = spawnSync(node, ['--version'], { encoding: 'utf8' }).stdout.trim();
  console.log(`\n— Node ${exact}`);
  const env = { ...process.env, NODE_OPTIONS: '--experimental-vm-modules --no-warnings' };
  const done = spawnSync(node, [tool('jest/bin/jest.js'), ...tests], { cwd: root, stdio: 'inherit', env });
  return { exact, good: done.status === 0 };
});
console.log();
for (const { exact, good } of results) console.log(`Node ${exact}: ${good ? 'passed' : 'failed'}`);
process.exitCode = results.every(({ good }) => good) ? 0 : 1;
