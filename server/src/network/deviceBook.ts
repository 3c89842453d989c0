import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { RIGHTS, type Rights } from '#contract';
import { writeWhole } from '../db/wholeFile.js';

const OWN_EYES = 0o600;
const HOUR = 3_600_000;
/** Bytes of a session: nobody guesses them. */
const SECRET = 32;
/** Devices that are let in at once. */
export const MOST_DEVICES = 40;

/** A device that was let in. Of its session only the hash is kept. */
export interface KeptDevice {
  readonly id: string;
  readonly name: string;
  readonly rights: Rights;
  readonly hash: string;
  readonly since: string;
  readonly seen: string;
}

interface Book {
  readonly on: boolean;
  readonly devices: readonly KeptDevice[];
}

const hashOf = (session: string): string => createHash('sha256').update(session).digest('hex');

const isDevice = (value: unknown): value is KeptDevice => {
  const one = value as Partial<Record<keyof KeptDevice, unknown>> | null;
  const texts = [one?.id, one?.name, one?.hash, one?.since, one?.seen];
  return texts.every((text) => typeof text === 'string') && RIGHTS.includes(one?.rights as Rights);
};

/**
 * Who was let in, and whether other devices are answered at all. It lies beside the data and not in it: a copy that is
 * taken up lets nobody in again, and undo shuts nobody out.
 */
export class DeviceBook {
  private readonly file: string;
  private book: Book;

  /** @param folder where it is kept */
  constructor(private readonly folder: string) {
    this.file = join(folder, 'devices.json');
    this.book = this.read();
  }

  private read(): Book {
    const nobody: Book = { on: false, devices: [] };
    if (!existsSync(this.file)) return nobody;
    try {
      const { on, devices } = JSON.parse(readFileSync(this.file, 'utf8')) as Partial<Book>;
      return { on: on === true, devices: Array.isArray(devices) ? devices.filter(isDevice) : [] };
    } catch {
      // half written, or somebody's hand: then every device is let in anew
      return nobody;
    }
  }

  private write(book: Book): void {
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
    writeWhole(this.file, JSON.stringify(book), OWN_EYES);
    this.book = book;
  }

  get on(): boolean {
    return this.book.on;
  }
  get devices(): readonly KeptDevice[] {
    return this.book.devices;
  }

  turn(on: boolean): void {
    this.write({ ...this.book, on });
  }

  /** @returns the device, and the session that it keeps */
  letIn(name: string, rights: Rights, now: Date): { readonly device: KeptDevice; readonly session: string } {
    const session = randomBytes(SECRET).toString('base64url');
    const at = now.toISOString();
    const device: KeptDevice = { id: randomUUID(), name, rights, hash: hashOf(session), since: at, seen: at };
    this.write({ ...this.book, devices: [...this.devices, device] });
    return { device, session };
  }

  withSession(session: string): KeptDevice | undefined {
    const hash = hashOf(session);
    return this.devices.find((device) => device.hash === hash);
  }

  /** Notes that a device was heard of, to the hour. */
  saw(device: KeptDevice, now: Date): void {
    if (now.getTime() - Date.parse(device.seen) < HOUR) return;
    this.put({ ...device, seen: now.toISOString() });
  }

  put(device: KeptDevice): void {
    this.write({ ...this.book, devices: this.devices.map((one) => (one.id === device.id ? device : one)) });
  }

  shutOut(id: string): void {
    this.write({ ...this.book, devices: this.devices.filter((one) => one.id !== id) });
  }
}
