// npm test: everything that has to hold, on a fresh clone too. The last line counts it.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { bringChromium } from './chromium.mjs';
import { build, install, root, tool } from './prepare.mjs';

const results = join(root, 'test-results');
const counts = { passed: 0, failed: 0 };

function node(args, environment = {}) {
  return (
    spawnSync(process.execPath, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...environment } })
      .status === 0
  );
}

function check(title, work) {
  console.log(`\n— ${title}`);
  counts[work() ? 'passed' : 'failed'] += 1;
}

/** Adds up what a runner wrote down of itself; without that, or where it ended badly all the same, one failure. */
function suite(title, file, work, count) {
  console.log(`\n— ${title}`);
  const good = work();
  const report = existsSync(file) ? count(JSON.parse(readFileSync(file, 'utf8'))) : null;
  counts.passed += report?.passed ?? 0;
  counts.failed += good ? 0 : Math.max(1, report?.failed ?? 0);
}

/** Titles of the errands in a suite of Playwright's report that passed at their second try only. */
const unsteady = ({ suites = [], specs = [] }) => [
  ...specs.filter((spec) => spec.tests.some((test) => test.status === 'flaky')).map((spec) => spec.title),
  ...suites.flatMap(unsteady),
];

function countErrands(report) {
  const titles = unsteady(report);
  if (titles.length > 0) console.log(['\nPassed at the second try only:', ...titles].join('\n  '));
  return { passed: report.stats.expected + report.stats.flaky, failed: report.stats.unexpected };
}

install();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
check('format', () => node([tool('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']));
check('lint', () => node([tool('eslint/bin/eslint.js'), '.']));
check('types', () =>
  ['tsconfig.json', 'web/tsconfig.json', 'e2e/tsconfig.json'].every((project) =>
    node([tool('typescript/bin/tsc'), '-p', project]),
  ),
);
build();

const unit = join(results, 'unit.json');
suite(
  'unit and server tests',
  unit,
  () =>
    node([tool('jest/bin/jest.js'), '--json', `--outputFile=${unit}`], {
      NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
    }),
  (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests + r.numRuntimeErrorTestSuites }),
);

check('attack, short form', () => node([join(root, 'scripts', 'attack.mjs'), '--short']));

const missing = bringChromium();
suite(
  'end-to-end tests',
  join(results, 'e2e.json'),
  () => (missing ? (console.error(missing), false) : node([tool('@playwright/test/cli.js'), 'test'])),
  countErrands,
);

console.log(`\n${counts.passed} passed, ${counts.failed} failed`);
process.exitCode = counts.failed === 0 ? 0 : 1;
