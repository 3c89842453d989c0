import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { projectRoot } from './root.js';

/** The number of this Sledge, as the change log has it. */
export function ownVersion(): string {
  const { version } = JSON.parse(readFileSync(join(projectRoot(), 'package.json'), 'utf8')) as { version: string };
  return version;
}
