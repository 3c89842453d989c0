// npm run package: Sledge with its packages and with Node itself, one folder for each system, zipped; to be started by
// a double click. A name picks one: npm run package -- linux-x64
import {
  chmodSync,
  cpSync,
  createWriteStream,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import yazl from 'yazl';
import { APART } from './apart.mjs';
import { SYSTEMS, bringNode, npm, ofSystem } from './nodePackages.mjs';
import { build, install, root } from './prepare.mjs';

/** The Node that is packed; of each system the newest of its line that packages have. */
const NODE = '22';

/** What Sledge needs while it runs, beside its packages. */
const PARTS = ['package.json', 'CHANGELOG.md', 'server/migrations', 'dist/served', 'dist/web'];

/** As `npm start` has it: room for what is new is small, so that Sledge stays small beside other programs. */
const FLAG = '--max-semi-space-size=4';

const SHELL = `#!/bin/sh
# Starts Sledge and shows it in the browser. It runs until this is ended.
here=$(cd "$(dirname "$0")" && pwd)
exec "$here/runtime/node" ${FLAG} "$here/app/show.mjs"
`;
const LAUNCHERS = {
  linux: {
    Sledge: SHELL,
    'Sledge.desktop': `[Desktop Entry]
Type=Application
Name=Sledge
Comment=Plans, measures and records polymer clay work
Exec=sh -c 'exec "$(dirname "$1")/Sledge"' sh %k
Terminal=true
`,
  },
  darwin: { 'Sledge.command': SHELL },
  win32: {
    'Sledge.cmd': `@echo off\r
title Sledge - close this window to end it\r
"%~dp0runtime\\node.exe" ${FLAG} "%~dp0app\\show.mjs"\r
if errorlevel 1 pause\r
`,
  },
};

const SHOW = `// What a double click runs. What was compiled once is compiled the next time.
import module from 'node:module';
module.enableCompileCache?.();
const { startAndShow } = await import('./dist/served/main.js');
await startAndShow();
`;

const words = (version, { os }) => {
  const file = { linux: 'Sledge.desktop (or Sledge)', darwin: 'Sledge.command', win32: 'Sledge.cmd' }[os];
  const first = {
    linux: 'Where your desktop asks, allow it to be started. ',
    darwin: 'The first time: right click on it, then Open, since nobody has signed it. ',
    win32: 'Where Windows warns, since nobody has signed it: More info, then Run anyway. ',
  }[os];
  return `Sledge ${version}

Double click ${file}. ${first}Your browser opens with Sledge.
A window with text stays open beside it: Sledge ends when you close that one. A second
double click shows the Sledge that runs.

Nothing has to be installed. Your data are not in this folder but where your system
keeps such things (the window with text says where): put a newer Sledge in the place of
this folder, and it goes on with them. What is new stands in app/CHANGELOG.md.
`;
};

/** Packages for a system that are not put together with the server, each as the lock file has it. */
function bringPackages(app, system) {
  const own = join(app, 'package.json');
  const { dependencies, devDependencies: _, scripts: __, ...rest } = JSON.parse(readFileSync(own, 'utf8'));
  const apart = Object.fromEntries(APART.map((name) => [name, dependencies[name]]));
  writeFileSync(own, `${JSON.stringify({ ...rest, dependencies: apart }, null, 2)}\n`);
  cpSync(join(root, 'package-lock.json'), join(app, 'package-lock.json'));
  npm(app, ['install', '--omit=dev', ...ofSystem(system)]);
  rmSync(join(app, 'package-lock.json'));
}

function layOut(folder, version, system) {
  const app = join(folder, 'app');
  mkdirSync(app, { recursive: true });
  for (const part of PARTS) cpSync(join(root, part), join(app, part), { recursive: true });
  bringPackages(app, system);
  mkdirSync(join(folder, 'runtime'));
  bringNode(join(folder, 'runtime'), system, NODE);
  writeFileSync(join(app, 'show.mjs'), SHOW);
  writeFileSync(join(folder, 'READ ME.txt'), words(version, system));
  for (const [name, text] of Object.entries(LAUNCHERS[system.os])) {
    writeFileSync(join(folder, name), text);
    chmodSync(join(folder, name), 0o755);
  }
}

/** Every file of a folder with the path it has in a ZIP that unpacks to that folder. */
function* filesOf(folder, inside) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const [path, name] = [join(folder, entry.name), `${inside}/${entry.name}`];
    if (entry.isDirectory()) yield* filesOf(path, name);
    else if (entry.isFile()) yield { path, name };
  }
}

async function zip(folder, name, to) {
  const file = new yazl.ZipFile();
  for (const { path, name: inside } of filesOf(folder, name)) file.addFile(path, inside);
  file.end();
  await pipeline(file.outputStream, createWriteStream(to));
}

install();
build();
const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !(name in SYSTEMS));
if (unknown.length > 0) {
  console.error(`There is no ${unknown.join(', ')}. There are ${Object.keys(SYSTEMS).join(', ')}.`);
  process.exit(1);
}
const out = join(root, 'dist', 'package');
mkdirSync(out, { recursive: true });
for (const [name, system] of Object.entries(SYSTEMS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const called = `Sledge-${version}-${name}`;
  const [folder, to] = [join(out, called), join(out, `${called}.zip`)];
  for (const old of [folder, to]) rmSync(old, { recursive: true, force: true });
  console.log(`Packing ${called} …`);
  layOut(folder, version, system);
  await zip(folder, called, to);
  rmSync(folder, { recursive: true });
  console.log(to);
}
