import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '..', '..');
const text = readFileSync(join(ROOT, 'CONTRIBUTING.md'), 'utf8');
/** Paths of the project that stand in backticks. */
const PATHS = [...text.matchAll(/`((?:core|contract|server|web|demo|scripts|docs|e2e)\/[^`\s]+)`/g)].map((m) => m[1]);
const LINKS = [...text.matchAll(/\]\(([^)]+)\)/g)].map((m) => m[1]);

test.each([...new Set([...PATHS, ...LINKS])])('%s, where a change goes, is there', (path) => {
  expect(existsSync(join(ROOT, path ?? ''))).toBe(true);
});

test('the table says where to add each of the usual things', () => {
  for (const what of [
    'a step of a cane',
    'a kind of material',
    'a column on a clay',
    'an export format',
    'a kind of plan',
  ])
    expect(text).toContain(`| ${what}`);
  expect(PATHS.length).toBeGreaterThan(25);
});

test('every word of the glossary stands there once', () => {
  const words = [...readFileSync(join(ROOT, 'docs/glossary.md'), 'utf8').matchAll(/^\| ([a-z]+) \|/gm)].map(
    (m) => m[1],
  );
  expect(new Set(words.filter((w) => w !== 'word')).size).toBe(words.filter((w) => w !== 'word').length);
});
