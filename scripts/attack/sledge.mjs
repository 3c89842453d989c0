// A Sledge in a process of its own, to be hurt.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from '../prepare.mjs';

const main = pathToFileURL(join(root, 'dist', 'served', 'main.js')).href;
const demo = pathToFileURL(join(root, 'dist', 'served', 'loadDemo.js')).href;
const PLAIN = `const { start } = await import(${JSON.stringify(main)}); await start();`;
const GARDEN =
  `const { start } = await import(${JSON.stringify(main)}); const { makeDemo } = await ` +
  `import(${JSON.stringify(demo)}); await start(makeDemo);`;

/**
 * Starts one; `env` more of its environment, `wrapped` makes another command of the one that starts it. `url`
 * resolves when it answers, or to null where it ended before.
 */
export function launch(folder, { garden = false, env = {}, wrapped = (command) => command } = {}) {
  const [program, ...words] = wrapped([process.execPath, '--input-type=module', '-e', garden ? GARDEN : PLAIN]);
  const child = spawn(program, words, {
    env: { ...process.env, SLEDGE_DATA: folder, SLEDGE_PORT: '0', NODE_OPTIONS: '', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  let gone = false;
  const ended = new Promise((resolve) => {
    child.on('exit', () => {
      gone = true;
      resolve();
    });
  });
  const url = new Promise((resolve) => {
    const hear = (chunk) => {
      said += chunk.toString();
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(said);
      if (found) resolve(found[0]);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('exit', () => {
      resolve(null);
    });
  });
  const end = async (signal) => {
    if (!gone) child.kill(signal);
    await ended;
  };
  return { child, url, said: () => said, end };
}

/** Starts one that has to come up. */
export async function up(folder, options) {
  const sledge = launch(folder, options);
  const url = await sledge.url;
  if (url === null) throw new Error(`Sledge did not start: ${sledge.said()}`);
  return { ...sledge, url };
}

export const CHANGE = 'x-sledge-change';

/** One request; a connection that breaks gives status 0. */
export async function ask(url, method, path, body, change = crypto.randomUUID()) {
  const began = performance.now();
  const text = body === undefined || typeof body === 'string' ? body : JSON.stringify(body);
  try {
    const response = await fetch(`${url}${path}`, {
      method,
      headers: { 'content-type': 'application/json', [CHANGE]: change },
      ...(text === undefined ? {} : { body: text }),
    });
    const answer = await response.text();
    let value = null;
    try {
      value = JSON.parse(answer);
    } catch {
      value = answer;
    }
    return { status: response.status, body: value, ms: performance.now() - began };
  } catch {
    return { status: 0, body: null, ms: performance.now() - began };
  }
}

export const pause = (ms) =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });
