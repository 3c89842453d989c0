import { constants, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { copyFile, rename } from 'node:fs/promises';
import { dirname, join } from 'node:path';

/** Why Sledge itself keeps a copy. */
export const OCCASIONS = ['at start', 'before an update', 'before taking up a copy', 'by rule'] as const;
export type Occasion = (typeof OCCASIONS)[number];

/** Of the copies that Sledge keeps by itself, the last ones stay. */
export const MOST_DATED = 10;
const ENDING = '.db';
const DATED = new RegExp(`^\\d{4}-\\d\\d-\\d\\d \\d{6} (${OCCASIONS.join('|')}), change (\\d+)$`);

export interface KeptCopy {
  readonly name: string;
  readonly bytes: number;
  /** ISO time */
  readonly at: string;
  /** kept by Sledge itself, and let go after ten others */
  readonly dated: boolean;
  /** kept by the rule of days, weeks and months */
  readonly ruled: boolean;
}

/** A folder of copies: the one beside a database, or another one. */
export class CopyShelf {
  readonly folder: string;

  constructor(file: string, folder = join(dirname(file), 'copies')) {
    this.folder = folder;
  }

  path(name: string): string {
    return join(this.folder, `${name}${ENDING}`);
  }

  /** Newest first. */
  list(): KeptCopy[] {
    if (!existsSync(this.folder)) return [];
    const names = readdirSync(this.folder)
      .filter((f) => f.endsWith(ENDING))
      .map((f) => f.slice(0, -ENDING.length));
    return names
      .map((name): KeptCopy => {
        const { size, mtime } = statSync(this.path(name));
        const occasion = DATED.exec(name)?.[1];
        const ruled = occasion === 'by rule';
        return { name, bytes: size, at: mtime.toISOString(), dated: occasion !== undefined && !ruled, ruled };
      })
      .sort((a, b) => (a.at < b.at ? 1 : -1));
  }

  has(name: string): boolean {
    return existsSync(this.path(name));
  }

  /** Copies a whole database here; what is half copied never has the name. */
  async take(from: string, name: string): Promise<void> {
    mkdirSync(this.folder, { recursive: true });
    const half = `${this.path(name)}.half`;
    try {
      await copyFile(from, half, constants.COPYFILE_FICLONE);
      await rename(half, this.path(name));
    } catch (error) {
      // on a full disk half a copy would only take what room is left
      rmSync(half, { force: true });
      throw error;
    }
  }

  /** A name with the day, the time and the number of the last change in it. */
  datedName(occasion: Occasion, change: number, when = new Date()): string {
    return `${when.toISOString().slice(0, 19).replace('T', ' ').replaceAll(':', '')} ${occasion}, change ${change}`;
  }

  /**
   * Keeps a dated copy and lets go what is beyond the last ten. At a start none where the newest one has the same
   * change.
   */
  async takeDated(from: string, occasion: Occasion, change: number): Promise<void> {
    const [newest] = this.list().filter((c) => c.dated);
    const same = occasion === 'at start' && newest !== undefined && DATED.exec(newest.name)?.[2] === String(change);
    if (!same) await this.take(from, this.datedName(occasion, change));
    for (const { name } of this.list()
      .filter((c) => c.dated)
      .slice(MOST_DATED))
      this.letGo(name);
  }

  letGo(name: string): void {
    rmSync(this.path(name), { force: true });
  }

  /** Takes away what an unorderly end has left half copied. */
  tidy(): void {
    if (!existsSync(this.folder)) return;
    for (const half of readdirSync(this.folder).filter((f) => f.endsWith('.half'))) rmSync(join(this.folder, half));
  }
}
