import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { projectRoot } from '../src/db/root.js';

export interface Started {
  readonly child: ChildProcess;
  readonly url: string;
}

const run = (script: string, environment: Record<string, string>, args: readonly string[] = []): ChildProcess =>
  spawn(process.execPath, [join(projectRoot(), 'scripts', script), ...args], {
    env: { ...process.env, NODE_OPTIONS: '', ...environment },
  });

/** A server as `npm start` or `npm run demo` runs it: a process of its own, from the build. */
export async function started(data: string, script = 'start.mjs'): Promise<Started> {
  const child = run(script, { SLEDGE_DATA: data, SLEDGE_PORT: '0' });
  const url = await new Promise<string>((resolve, reject) => {
    let text = '';
    const hear = (chunk: Buffer): void => {
      text += chunk.toString();
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(text);
      if (found) resolve(found[0]);
    };
    child.stdout?.on('data', hear);
    child.stderr?.on('data', hear);
    child.on('exit', () => {
      reject(new Error(text));
    });
  });
  return { child, url };
}

/** Ends a process and waits for its end. */
export const ended = (child: ChildProcess, signal: NodeJS.Signals): Promise<void> =>
  new Promise((resolve) => {
    child.on('exit', () => {
      resolve();
    });
    child.kill(signal);
  });

/** What a start says that ends by itself. */
export function said(
  environment: Record<string, string>,
  script = 'start.mjs',
  args: readonly string[] = [],
): Promise<{ code: number | null; out: string; error: string }> {
  const child = run(script, environment, args);
  let [out, error] = ['', ''];
  child.stdout?.on('data', (chunk: Buffer) => {
    out += chunk.toString();
  });
  child.stderr?.on('data', (chunk: Buffer) => {
    error += chunk.toString();
  });
  return new Promise((resolve) => {
    child.on('exit', (code) => {
      resolve({ code, out: out.trim(), error: error.trim() });
    });
  });
}
