import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Fault } from '#core/units';

/** The folder of the project, whether this runs from sources or from the build. */
export function projectRoot(): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(folder, 'package.json'))) {
    const up = dirname(folder);
    if (up === folder) throw new Fault('Sledge was begun', 'package.json of Sledge was not found above this file.');
    folder = up;
  }
  return folder;
}
