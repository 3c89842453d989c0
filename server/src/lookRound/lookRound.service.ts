import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { fork, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { refused } from '../access/problem.js';
import { projectRoot } from '../db/root.js';

/** Where the way back is told to a garden that is looked round in. */
export const BACK = 'SLEDGE_GARDEN_BACK';
const SCRIPT = join(projectRoot(), 'dist', 'server', 'src', 'garden.js');
/** ms that laying out a garden may take. */
const PATIENCE = 60_000;

/** A kitchen garden to look round in: another Sledge, on a folder that is thrown away with it. */
@Injectable()
export class LookRoundService implements OnApplicationShutdown {
  private garden: { readonly child: ChildProcess; readonly address: Promise<string> } | null = null;

  /** Where this Sledge goes back to, where it is such a garden itself. */
  readonly back = process.env[BACK] ?? null;

  /**
   * The address of the garden; it is laid out when it is first asked for.
   * @param back the address to come back to
   * @throws ProblemException
   */
  open(back: string): Promise<string> {
    this.garden ??= this.layOut(back);
    return this.garden.address;
  }

  onApplicationShutdown(): void {
    this.garden?.child.kill();
    this.garden = null;
  }

  private layOut(back: string): { readonly child: ChildProcess; readonly address: Promise<string> } {
    const child = fork(SCRIPT, [], {
      env: { ...process.env, [BACK]: back },
      execArgv: [],
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    const address = new Promise<string>((resolve, reject) => {
      const failed = (): void => {
        this.garden = null;
        reject(refused('The kitchen garden could not be laid out. Try it again.'));
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
