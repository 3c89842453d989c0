import { Inject, Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import type { RequestListener } from 'node:http';
import { networkInterfaces } from 'node:os';
import { dirname, join } from 'node:path';
import type { Socket } from 'node:net';
import type { CodeAnswer, LetInCardDto, LetInDto, NetworkAnswer, Rights } from '#contract';
import { ProblemException, notThere, refused, refusedAt } from '../access/problem.js';
import { DataFile } from '../db/dataFile.js';
import { EventsService } from '../events/events.service.js';
import { certificateIn, ownNames, type Certificate } from './certificate.js';
import { Codes, type Code } from './codes.js';
import { DeviceBook, MOST_DEVICES, type KeptDevice } from './deviceBook.js';
import { Front } from './front.js';
import { readWords } from './words.js';

/** Token of how this Sledge may be answered on the network; null: not at all. */
export const ON_NETWORK = Symbol('on the network');
export interface OnNetwork {
  /** address to answer at; null: at all of this computer's */
  readonly host: string | null;
  readonly port: number;
  /** switched on from outside */
  readonly fixed: boolean;
}

const EVERYWHERE = '0.0.0.0';
/** Changes of a device that are remembered as its own. */
const MOST_OWN = 400;
const HTTP_WAIT = 429;

/** Addresses of this computer on its networks, those of a home first. */
function ownAddresses(): string[] {
  const all = Object.values(networkInterfaces()).flatMap((of) => of ?? []);
  const found = all.filter(({ internal, family }) => !internal && family === 'IPv4').map(({ address }) => address);
  const atHome = (address: string): boolean => /^(192\.168|10|172)\./.test(address);
  return [...found.filter(atHome), ...found.filter((address) => !atHome(address))];
}

const toldCode = ({ words, rights, until }: Code): CodeAnswer => ({
  words,
  rights,
  until: new Date(until).toISOString(),
});

/** Tablets and phones: whether they are answered, who was let in, and the code that lets one in. */
@Injectable()
export class NetworkService implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly log = new Logger('Network');
  private readonly folder: string;
  private readonly book: DeviceBook;
  private readonly codes = new Codes();
  private readonly sockets = new Map<string, Set<Socket>>();
  private readonly ownChanges = new Map<string, string[]>();
  private front: Front | null = null;
  private certificate: Certificate | null = null;
  private failed: string | null = null;
  private turning: Promise<void> = Promise.resolve();

  constructor(
    @Inject(ON_NETWORK) private readonly way: OnNetwork | null,
    @Inject(DataFile) data: DataFile,
    @Inject(HttpAdapterHost) private readonly http: HttpAdapterHost,
    @Inject(EventsService) private readonly events: EventsService,
  ) {
    this.folder = join(dirname(data.file), 'network');
    this.book = new DeviceBook(this.folder);
  }

  private get on(): boolean {
    return this.way !== null && (this.way.fixed || this.book.on);
  }

  async onApplicationBootstrap(): Promise<void> {
    if (this.on) await this.inTurn(() => this.open());
  }

  async onApplicationShutdown(): Promise<void> {
    await this.inTurn(() => this.shut());
  }

  private inTurn(work: () => Promise<void>): Promise<void> {
    this.turning = this.turning.then(work);
    return this.turning;
  }

  private async open(): Promise<void> {
    if (this.front || !this.way) return;
    const { host, port } = this.way;
    try {
      this.certificate = await certificateIn(this.folder, host === null ? ownAddresses() : [host]);
      const app = this.http.httpAdapter.getInstance<RequestListener>();
      this.front = await Front.open(host ?? EVERYWHERE, port, this.certificate, app);
      this.failed = null;
    } catch (error) {
      this.failed = whyNot(error, port);
      this.log.error(`Not on the network: ${String(error)}`);
    }
  }

  private async shut(): Promise<void> {
    const { front } = this;
    this.front = null;
    this.codes.letGo();
    await front?.close();
  }

  /** Where it answers now, as `192.168.1.20:5418`. */
  addresses(): string[] {
    const { front, way } = this;
    if (!front || !way) return [];
    const hosts = way.host === null ? ownAddresses() : [way.host];
    return hosts.map((host) => `${host}:${front.port}`);
  }

  /** Names and addresses that a request from the network may use, with the port. */
  isOwnHost(host: string): boolean {
    const port = this.front?.port ?? 0;
    const names = this.way?.host === null ? ownNames().map((name) => `${name}:${port}`) : [];
    return [...this.addresses(), ...names].includes(host.toLowerCase());
  }

  told(now = Date.now()): NetworkAnswer {
    const code = this.codes.now(now);
    return {
      possible: this.way !== null,
      on: this.on,
      fixed: this.way?.fixed ?? false,
      addresses: this.addresses().map((address) => `https://${address}`),
      failed: this.failed,
      fingerprint: this.front ? (this.certificate?.fingerprint ?? null) : null,
      devices: this.book.devices.map(({ hash: _, ...card }) => ({ ...card, there: this.isThere(card.id) })),
      code: code && toldCode(code),
      wrong: this.codes.wrong,
    };
  }

  private isThere(id: string): boolean {
    return (this.sockets.get(id)?.size ?? 0) > 0;
  }

  private tell(): void {
    this.events.say({ of: 'network' });
  }

  async turn(on: boolean): Promise<NetworkAnswer> {
    if (!this.way) throw refused('Tablets and phones are let in at your own Sledge.');
    if (this.way.fixed && !on)
      throw refused('It was switched on by SLEDGE_LAN. Start Sledge without it to switch it off.');
    this.book.turn(on);
    await this.inTurn(() => (on ? this.open() : this.shut()));
    this.tell();
    return this.told();
  }

  makeCode(rights: Rights): NetworkAnswer {
    if (!this.front) throw refused('Switch it on first.');
    if (this.book.devices.length >= MOST_DEVICES)
      throw refused(`${MOST_DEVICES} devices are let in. Shut one out first.`);
    this.codes.make(rights, Date.now());
    this.tell();
    return this.told();
  }

  letCodeGo(): NetworkAnswer {
    this.codes.letGo();
    this.tell();
    return this.told();
  }

  /**
   * A device with a code.
   * @param address that it asks from
   * @returns the session that it keeps @throws ProblemException, with the seconds to wait for
   */
  letIn({ words, name }: LetInDto, address: string): string {
    const now = Date.now();
    const wait = this.codes.waits(address, now);
    if (wait > 0) throw waiting(wait);
    const tried = this.codes.try(
      refusedAt('words', () => readWords(words)),
      address,
      now,
    );
    this.tell();
    if (tried.in === null) throw tried.wait > 0 ? waiting(tried.wait) : wrongCode();
    return this.book.letIn(name.trim(), tried.in, new Date(now)).session;
  }

  change({ id, name, rights }: LetInCardDto): NetworkAnswer {
    const device = this.book.devices.find((one) => one.id === id);
    if (!device) throw notThere('This device');
    this.book.put({ ...device, name: name.trim(), rights });
    this.tell();
    return this.told();
  }

  /** Its session ends, and so does whatever it has open. */
  shutOut(id: string): NetworkAnswer {
    this.book.shutOut(id);
    this.ownChanges.delete(id);
    for (const socket of this.sockets.get(id) ?? []) socket.destroy();
    this.tell();
    return this.told();
  }

  /** The device that a session belongs to, heard of now on this connection. */
  device(session: string, socket: Socket): KeptDevice | undefined {
    const device = this.book.withSession(session);
    if (!device) return undefined;
    this.book.saw(device, new Date());
    const own = this.sockets.get(device.id) ?? new Set<Socket>();
    this.sockets.set(device.id, own);
    if (own.has(socket)) return device;
    own.add(socket);
    if (own.size === 1) this.tell();
    socket.once('close', () => {
      own.delete(socket);
      if (own.size === 0) this.tell();
    });
    return device;
  }

  noteChange(id: string, change: string): void {
    this.ownChanges.set(id, [...(this.ownChanges.get(id) ?? []), change].slice(-MOST_OWN));
  }

  isOwnChange(id: string, change: unknown): boolean {
    return typeof change === 'string' && (this.ownChanges.get(id)?.includes(change) ?? false);
  }
}

const wrongCode = (): ProblemException =>
  new ProblemException(403, 'Not let in', 'These are not the words, or their five minutes are over. Ask for new ones.');

const waiting = (seconds: number): ProblemException =>
  new ProblemException(
    HTTP_WAIT,
    'Wait',
    'Too many wrong words came from here. The next ones are looked at in ' +
      `${seconds} ${seconds === 1 ? 'second' : 'seconds'}.`,
  );

function whyNot(error: unknown, port: number): string {
  const { code } = error as NodeJS.ErrnoException;
  if (code === 'EADDRINUSE')
    return `Port ${port} is taken by another program. Start Sledge with SLEDGE_LAN_PORT set to another one.`;
  if (code === 'EADDRNOTAVAIL') return 'This computer does not have the address that SLEDGE_LAN_HOST names.';
  if (code === 'EACCES' || code === 'EROFS' || code === 'ENOSPC')
    return 'The certificate cannot be kept beside the data: the disk is full, or may not be written to.';
  return 'It could not be switched on. The log beside the data says why.';
}
