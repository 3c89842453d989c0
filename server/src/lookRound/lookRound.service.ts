import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { fork, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { refused } from '../access/problem.js';
import { projectRoot } from '../db/root.js';

/** Where the way back is told to a garden that is looked round in. */
export const BACK = 'SLEDGE_GARDEN_BACK';
/** Which copy is looked into, and where it lies; nothing: the garden. */
export const [COPY_NAME, COPY_PATH] = ['SLEDGE_COPY_NAME', 'SLEDGE_COPY_PATH'] as const;
const SCRIPT = join(projectRoot(), 'dist', 'served', 'garden.js');
/** ms that laying out a garden may take, on an old computer that does other things too. */
const PATIENCE = 180_000;

/** The copy that is looked into: its name, and where it lies. */
export interface LookedInto {
  readonly name: string;
  readonly path: string;
}

interface Beside {
  readonly child: ChildProcess;
  readonly address: Promise<string>;
}

/** Other Sledges beside this one: a kitchen garden to look round in, copies to look into; each is thrown away. */
@Injectable()
export class LookRoundService implements OnApplicationShutdown {
  /** by the name of the copy; the garden by none */
  private readonly beside = new Map<string, Beside>();

  /** Where this Sledge goes back to, where it is such a one itself, and of which copy it is. */
  readonly back = process.env[BACK] ?? null;
  readonly copy = process.env[COPY_NAME] ?? null;

  /**
   * The address of the garden, or of a copy; it is laid out when it is first asked for.
   * @param back the address to come back to
   * @throws ProblemException
   */
  open(back: string, copy: LookedInto | null = null): Promise<string> {
    const key = copy?.name ?? '';
    const known = this.beside.get(key) ?? this.layOut(back, copy);
    this.beside.set(key, known);
    return known.address;
  }

  onApplicationShutdown(): void {
    for (const { child } of this.beside.values()) child.kill();
    this.beside.clear();
  }

  private layOut(back: string, copy: LookedInto | null): Beside {
    const own = copy ? { [COPY_NAME]: copy.name, [COPY_PATH]: copy.path } : {};
    const child = fork(SCRIPT, [], {
      env: { ...process.env, [BACK]: back, ...own },
      execArgv: [],
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    const what = copy ? 'The copy could not be opened.' : 'The kitchen garden could not be laid out.';
    const address = new Promise<string>((resolve, reject) => {
      const failed = (): void => {
        this.beside.delete(copy?.name ?? '');
        reject(refused(`${what} Try it again.`));
      };
      const timer = setTimeout(() => {
        child.kill();
      }, PATIENCE);
      child.once('message', (port) => {
        clearTimeout(timer);
        resolve(`http://127.0.0.1:${String(port)}`);
      });
      child.once('error', failed);
      child.once('exit', () => {
        clearTimeout(timer);
        failed();
      });
    });
    return { child, address };
  }
}
