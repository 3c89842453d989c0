import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base, type Locator, type Page } from '@playwright/test';

const SCRIPTS = { empty: 'start.mjs', garden: 'demo.mjs' } as const;

/** Where the garden that every errand begins with was planted once, for the workers of the run. */
export const PLANTED = 'SLEDGE_E2E_GARDEN';

/** The address of the network that tablets and phones of the tests are on. */
export const NETWORK_HOST = '127.0.0.2';

/** A Sledge in a process and a folder of its own. */
export class Sledge {
  private child: ChildProcess | null = null;
  readonly folder = mkdtempSync(join(tmpdir(), 'sledge-e2e-'));
  private port = 0;

  /** @param from the folder whose data it begins with, as a copy */
  constructor(
    private readonly data: keyof typeof SCRIPTS,
    from?: string,
  ) {
    if (from !== undefined) cpSync(from, this.folder, { recursive: true });
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts; after the first time at the same address. */
  async start(): Promise<void> {
    const child = spawn(process.execPath, [join('scripts', SCRIPTS[this.data])], {
      env: {
        ...process.env,
        SLEDGE_DATA: this.folder,
        SLEDGE_PORT: String(this.port),
        // where tablets and phones are answered, once that is switched on: another address of this machine
        SLEDGE_LAN_HOST: NETWORK_HOST,
        SLEDGE_LAN_PORT: '0',
      },
    });
    this.child = child;
    this.port = await new Promise<number>((resolve, reject) => {
      let text = '';
      const hear = (chunk: Buffer): void => {
        text += chunk.toString();
        const found = /http:\/\/127\.0\.0\.1:(\d+)/.exec(text);
        if (found) resolve(Number(found[1]));
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.on('exit', () => {
        reject(new Error(`Sledge did not start: ${text}`));
      });
    });
  }

  async stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<void> {
    const { child } = this;
    this.child = null;
    if (!child || child.exitCode !== null) return;
    await new Promise<void>((resolve) => {
      child.on('exit', () => {
        resolve();
      });
      child.kill(signal);
    });
  }

  async remove(): Promise<void> {
    await this.stop('SIGKILL');
    rmSync(this.folder, { recursive: true, force: true });
  }
}

interface Fixtures {
  readonly data: keyof typeof SCRIPTS;
  readonly sledge: Sledge;
  readonly faults: string[];
}

/** `data`: an empty database, or the kitchen garden. No test may leave an error in the console. */
export const test = base.extend<Fixtures>({
  data: ['garden', { option: true }],
  sledge: async ({ data }, use) => {
    const sledge = new Sledge(data, data === 'garden' ? process.env[PLANTED] : undefined);
    await sledge.start();
    await use(sledge);
    await sledge.remove();
  },
  faults: [
    async ({ page }, use) => {
      const faults: string[] = [];
      page.on('pageerror', (error) => {
        faults.push(error.message);
      });
      await use(faults);
      expect(faults, 'errors in the page').toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** All is saved: nothing is on its way any more. */
export async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('banner').getByRole('status')).not.toHaveText(/Saving|does not answer/);
}

/** Frames without a change after which a page is taken to be still. */
const STILL_FRAMES = 20;

/** Waits until nothing on the page has changed for some frames. */
export async function still(page: Page): Promise<void> {
  await page.getByRole('main').evaluate(
    (main, frames) =>
      new Promise<void>((resolve) => {
        let left = frames;
        const watch = new MutationObserver(() => {
          left = frames;
        });
        watch.observe(main, { subtree: true, childList: true, attributes: true, characterData: true });
        const tick = (): void => {
          left -= 1;
          if (left > 0) requestAnimationFrame(tick);
          else {
            watch.disconnect();
            resolve();
          }
        };
        requestAnimationFrame(tick);
      }),
    STILL_FRAMES,
  );
}

/** Where something stands, once nothing moves it any more: a hand looks before it takes hold. */
export async function placeOf(page: Page, thing: Locator) {
  await still(page);
  const box = await thing.boundingBox();
  if (!box) throw new Error('There is nothing to take hold of.');
  return box;
}

/** Waits until what was done has been drawn: no hand types the next value within a frame. */
export const drawn = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        requestAnimationFrame(() => {
          requestAnimationFrame(() => {
            resolve();
          });
        });
      }),
  );

/** Types over a value that is edited where it stands. */
export async function edit(page: Page, label: string, text: string, nth = 0): Promise<void> {
  const field = page.getByLabel(label, { exact: true }).nth(nth);
  await field.fill(text);
  await field.press('Enter');
  await drawn(page);
}

/** Goes to a station with its key. */
export async function station(page: Page, name: string): Promise<void> {
  const link = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name });
  const key = (await link.textContent())?.[0] ?? '';
  await page.locator('body').click({ position: { x: 2, y: 2 } });
  await page.keyboard.press(key);
  await expect(link).toHaveAttribute('aria-current', 'page');
}

/**
 * At the bench: on with the space key, until a step with such a title is reached. Titles of all steps on the way,
 * in order.
 */
export async function onTo(page: Page, title: string | RegExp): Promise<string[]> {
  const heading = page.locator('h1[data-step]');
  const seen: string[] = [];
  for (let i = 0; i < 60; i++) {
    const now = await heading.first().innerText();
    seen.push(now);
    if (typeof title === 'string' ? now === title : title.test(now)) return seen;
    await page.keyboard.press('Space');
    await expect(heading.first()).not.toHaveText(now);
  }
  throw new Error(`${String(title)} was not reached: ${seen.join(', ')}`);
}
