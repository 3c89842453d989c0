import { ofClay, type Mixable } from '#core/material';
import { mkdtempSync, rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  CHANGE_HEADER,
  type BlendDto,
  type BlockDto,
  type ClayDto,
  type LineDto,
  type MachineDto,
  type MixDto,
} from '#contract';
import { layoutOf } from '#core/blend';
import { SIGMA_OF_WAY, dialLabels } from '#core/sheet';
import { serve, type Running } from '../src/app.js';

export interface Answer<T> {
  readonly status: number;
  readonly body: T;
  readonly type: string;
}

/** A server on a file of its own, spoken to over HTTP. */
export class Api {
  private constructor(
    readonly folder: string,
    public running: Running,
  ) {}

  static async open(): Promise<Api> {
    const folder = mkdtempSync(join(tmpdir(), 'sledge-test-'));
    return new Api(folder, await serve(join(folder, 'sledge.db'), 0));
  }

  async reopen(): Promise<void> {
    await this.running.app.close();
    this.running = await serve(join(this.folder, 'sledge.db'), 0);
  }

  async close(): Promise<void> {
    await this.running.app.close();
    rmSync(this.folder, { recursive: true });
  }

  async ask<T>(method: string, path: string, body?: unknown, change: string = randomUUID()): Promise<Answer<T>> {
    const response = await fetch(`http://127.0.0.1:${this.running.port}${path}`, {
      method,
      headers: { 'content-type': 'application/json', [CHANGE_HEADER]: change },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const text = await response.text();
    return {
      status: response.status,
      type: response.headers.get('content-type') ?? '',
      body: (text === '' ? undefined : JSON.parse(text)) as T,
    };
  }

  get = <T>(path: string): Promise<Answer<T>> => this.ask<T>('GET', path);
  put = <T extends { id: string }>(kind: string, dto: T, change?: string): Promise<Answer<T>> =>
    this.ask<T>('PUT', `/api/${kind}/${dto.id}`, dto, change);
}

export const line = (name: string, more: Partial<LineDto> = {}): LineDto => ({
  id: randomUUID(),
  version: 0,
  name,
  firmness: 'medium',
  density: 1.9,
  densityMeasured: false,
  bakeC: 130,
  bakeMinutes: 30,
  bakePerMm: 6,
  maxC: 150,
  ...more,
});
export const clay = (lineId: string, name: string, bakedHex = 'F1EEE4', more: Partial<ClayDto> = {}): ClayDto => ({
  id: randomUUID(),
  version: 0,
  lineId,
  name,
  kind: 'opaque',
  rawHex: bakedHex,
  bakedHex,
  strength: null,
  retired: false,
  ...more,
});
export const block = (clayId: string, leftGrams = 57): BlockDto => ({
  id: randomUUID(),
  version: 0,
  clayId,
  netGrams: 57,
  leftGrams,
  madeOn: '2025-09-01',
  dateCode: '2025-09',
  price: 2.4,
});
export const mix = (name: string, ...ingredients: readonly (readonly [string, Mixable])[]): MixDto => ({
  id: randomUUID(),
  version: 0,
  name,
  note: '',
  retired: false,
  basis: 'volume',
  ingredients: ingredients.map(([parts, of]) => ({ parts, of })),
});
export const machine = (name: string, widest = '0', thinnest = '9'): MachineDto => {
  const settings = dialLabels(widest, thinnest, '1').map((label) => ({ id: randomUUID(), label }));
  return {
    id: randomUUID(),
    version: 0,
    name,
    note: '',
    rollerWidthMm: 145,
    settings,
    readings: [
      { id: randomUUID(), settingId: settings[3]?.id ?? '', mm: 2, sigmaMm: SIGMA_OF_WAY.calipers, way: 'calipers' },
    ],
  };
};

/** A blend cut corner to corner. */
export const fade = (name: string, ...clays: readonly ClayDto[]): BlendDto => ({
  id: randomUUID(),
  version: 0,
  name,
  note: '',
  retired: false,
  plan: {
    colours: clays.map((c) => ofClay(c.id)),
    width: 100,
    height: 50,
    layers: 2,
    settingId: null,
    kind: 'corner',
    pure: 0,
    cuts: layoutOf('corner', clays.length, 100, 50, 0).cuts.map((points) => ({ points: [...points] })),
    tapeWidth: 30,
    tapeSettingId: null,
    plug: 'rolled',
    inside: 'first',
    fanDepth: 20,
  },
});

/** A line with two clays and a block of each. */
export async function smallShelf(api: Api): Promise<{ chalk: ClayDto; beet: ClayDto }> {
  const own = (await api.put('lines', line(`Hearth Firm ${randomUUID().slice(0, 4)}`))).body;
  const tag = randomUUID().slice(0, 4);
  const chalk = (await api.put('clays', clay(own.id, `Chalk ${tag}`))).body;
  const beet = (await api.put('clays', clay(own.id, `Beetroot ${tag}`, '7B1E4B'))).body;
  await api.put('blocks', block(chalk.id));
  await api.put('blocks', block(beet.id));
  return { chalk, beet };
}
