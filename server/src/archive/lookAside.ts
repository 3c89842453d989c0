import type { CopyContents } from '#contract';
import { aside } from '../aside/aside.js';
import { UnusableDatabase } from '../db/unusable.js';

/** ms that looking through a copy may take. */
const MOST_LOOKING = 120_000;
type Told = { readonly holds: CopyContents } | { readonly wrong: string };

/** Looks through a whole database beside the thread that answers. @throws UnusableDatabase */
export async function lookAside(file: string): Promise<CopyContents> {
  const told = await aside<Told>('archive/look.worker.js', { file }, MOST_LOOKING);
  if ('wrong' in told) throw new UnusableDatabase(told.wrong);
  return told.holds;
}
