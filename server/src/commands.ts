import { copyFileSync, createReadStream, existsSync, mkdirSync } from 'node:fs';
import { basename, join, resolve } from 'node:path';
import { Readable } from 'node:stream';
import type { CheckedCopy, Problem, RuleAnswer } from '#contract';
import { lookInto } from './archive/look.js';
import { serve } from './app.js';
import { RunningAlready, UnusableDatabase } from './db/unusable.js';
import { dataFolder } from './main.js';

/** Works with the Sledge that has the data open, or with one that is started for it and ended afterwards. */
async function withSledge<T>(work: (url: string) => Promise<T>): Promise<T> {
  try {
    const running = await serve(join(dataFolder(), 'sledge.db'), 0);
    try {
      return await work(`http://127.0.0.1:${running.port}`);
    } finally {
      await running.app.close();
    }
  } catch (error) {
    if (!(error instanceof RunningAlready) || error.address === null) throw error;
    return work(error.address);
  }
}

/** @throws UnusableDatabase with the sentence of a refusal */
async function answered<T>(response: Response): Promise<T> {
  if (response.ok) return (await response.json().catch(() => undefined)) as T;
  const { detail } = (await response.json()) as Problem;
  throw new UnusableDatabase(detail);
}

const holdsWords = ({ clays, mixes, batches, entries }: CheckedCopy['holds']): string =>
  `${clays} clays, ${mixes} mixes, ${batches} batches, ${entries} diary entries`;

/**
 * Keeps a copy by the rule, and, where a folder is named, one more there.
 * @returns what to print
 * @throws UnusableDatabase with the sentence
 */
export async function backup(folder: string | null): Promise<string> {
  return withSledge(async (url) => {
    const rule = await answered<RuleAnswer>(await fetch(`${url}/api/archive/rule/now`, { method: 'POST' }));
    const { last, failed } = rule;
    if (failed !== null || last === null) throw new UnusableDatabase(`No copy was kept. ${failed?.why ?? ''}`);
    const kept = join(rule.folder, `${last.name}.db`);
    if (folder === null) return `Kept ${kept}: whole, with ${holdsWords(last.holds)}.`;
    const there = join(resolve(folder), basename(kept));
    mkdirSync(resolve(folder), { recursive: true });
    copyFileSync(kept, there);
    return `Kept ${there}: whole, with ${holdsWords(await lookInto(there))}.`;
  });
}

const PATIENCE = 60_000;
const LOOK_EVERY = 200;

/** Waits until Sledge answers again, on the data that it has taken up. */
async function back(url: string): Promise<void> {
  const until = Date.now() + PATIENCE;
  for (;;) {
    await new Promise((done) => setTimeout(done, LOOK_EVERY));
    const health = await fetch(`${url}/api/health`).catch(() => null);
    if (health?.ok) return;
    if (Date.now() > until) throw new UnusableDatabase('Sledge has not come back. Start it anew.');
  }
}

/**
 * Takes a copy up in place of the data, which is kept first.
 * @returns what to print
 * @throws UnusableDatabase with the sentence
 */
export async function restore(file: string): Promise<string> {
  const path = resolve(file);
  if (!existsSync(path)) throw new UnusableDatabase(`There is no file ${path}.`);
  return withSledge(async (url) => {
    const body = Readable.toWeb(createReadStream(path)) as ReadableStream;
    const response = await fetch(`${url}/api/archive/take-up-file`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body,
      // a body that is read as it is sent
      ...{ duplex: 'half' },
    });
    await answered(response);
    await back(url);
    return `${path} is taken up. What was there before is kept as a copy “before taking up a copy”.`;
  });
}

/** Runs a command and prints what came of it; what cannot be is said in a sentence. */
export async function command(work: () => Promise<string>): Promise<void> {
  try {
    console.log(await work());
    process.exit(0);
  } catch (error) {
    if (!(error instanceof UnusableDatabase) && !(error instanceof RunningAlready)) throw error;
    console.error(error.message);
    process.exit(1);
  }
}
