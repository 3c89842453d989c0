import { renameSync, writeFileSync } from 'node:fs';

/** Writes a small file so that it is either the old one or the new one, also where the machine stops meanwhile. */
export function writeWhole(file: string, text: string, mode = 0o644): void {
  const half = `${file}.half`;
  writeFileSync(half, text, { mode });
  renameSync(half, file);
}
