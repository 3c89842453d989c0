// Everything as one ZIP, out of a long life and into an empty Sledge: how long, and how much memory.
import { randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const PICTURES = 500;
const LOOK_EVERY = 50;

/** MB that a process held at the most. */
const peak = (pid) => Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? NaN) / 1024;

async function settled(url) {
  for (;;) {
    const now = await (await fetch(`${url}/api/archive/whole`)).json();
    if (now.state !== 'running') return now;
    await new Promise((done) => setTimeout(done, LOOK_EVERY));
  }
}

/** Photographs of 60 to 140 kB that are no two the same. */
async function photographs(url, random) {
  for (let i = 0; i < PICTURES; i++) {
    const bytes = randomBytes(60_000 + Math.floor(random() * 80_000));
    bytes.set([0xff, 0xd8]);
    const id = crypto.randomUUID();
    const body = JSON.stringify({ id, type: 'image/jpeg', width: 800, height: 600, data: bytes.toString('base64') });
    const answer = await fetch(`${url}/api/pictures/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body,
    });
    if (!answer.ok) throw new Error(await answer.text());
  }
}

async function timed(work) {
  const began = performance.now();
  const value = await work();
  return { value, seconds: (performance.now() - began) / 1000 };
}

/** @returns seconds, MB and what was in it */
export async function archiveFigures({ fill, started, ended, seeded }) {
  const [full, empty] = [0, 1].map(() => mkdtempSync(join(tmpdir(), 'sledge-bench-archive-')));
  const random = seeded(11);
  await fill(join(full, 'sledge.db'), random);
  const [from, to] = [await started(full), await started(empty)];
  try {
    const [source, target] = [from, to].map(({ port }) => `http://127.0.0.1:${port}`);
    await photographs(source, random);
    const out = await timed(async () => {
      await fetch(`${source}/api/archive/whole/out`, { method: 'POST' });
      return settled(source);
    });
    if (out.value.state !== 'ready') throw new Error(out.value.why);
    const zip = Buffer.from(await (await fetch(`${source}/api/archive/whole/file`)).arrayBuffer());
    const taken = await timed(async () => {
      await fetch(`${target}/api/archive/whole/in?name=bench.zip`, { method: 'POST', body: zip });
      return settled(target);
    });
    if (taken.value.state !== 'ready') throw new Error(taken.value.why);
    return {
      ...{ out: out.seconds, taken: taken.seconds, rows: out.value.total, megabytes: zip.length / 1e6 },
      ...{ peakOut: peak(from.child.pid), peakIn: peak(to.child.pid) },
    };
  } finally {
    await Promise.all([ended(from.child), ended(to.child)]);
    for (const folder of [full, empty]) rmSync(folder, { recursive: true, force: true });
  }
}
