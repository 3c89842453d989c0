import { keyOf, ofBlend, ofClay, ofMix, type Mixable, type OfCane } from '#core/material';
import { randomUUID } from 'node:crypto';
import { existsSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { INestApplicationContext } from '@nestjs/common';
import {
  CUTTING,
  MADE_BLEND,
  PALETTE,
  PALETTE_CAST,
  PHOTOGRAPH,
  batches,
  drawer,
  oven,
  blends,
  blocks,
  canes,
  chips,
  clays,
  conditionings,
  idOf,
  lines,
  machines,
  mixes,
  diaryPhotographs,
  photograph,
  photographPixels,
  setup,
  lyingThere,
  sheetBook,
} from '#demo';
import type { BatchDto, LayerDto } from '#contract';
import { BatchesService } from './batches/batches.service.js';
import { PROGRAM_VERSION, STARTING_POINTS } from '#core/cane';
import { BlendsService } from './blends/blends.service.js';
import { CanesService } from './canes/canes.service.js';
import { CanesTold } from './canes/canes.told.js';
import { DataFile } from './db/dataFile.js';
import { Journal } from './db/journal.js';
import { changes, lines as lineTable } from './db/schema.js';
import { serve } from './app.js';
import { loadPatterns, loadSlabs } from './loadPatterns.js';
import { loadPieces } from './loadPieces.js';
import { PatternsService } from './patterns/patterns.service.js';
import { DrawerService } from './drawer/drawer.service.js';
import { OvensService } from './ovens/ovens.service.js';
import { hexOf, xyzOfLab } from '#core/colour';
import { newMosaic, shadesOf } from '#core/mosaic';
import { MosaicsService } from './mosaics/mosaics.service.js';
import { PalettesService } from './palettes/palettes.service.js';
import { MixesService } from './mixes/mixes.service.js';
import { Studio } from './mixes/studio.js';
import { SheetBookService } from './sheetBook/sheetBook.service.js';
import { SheetsService } from './sheets/sheets.service.js';
import { StockService } from './stock/stock.service.js';
import { ballOf } from '#core/stock';
import { ShelfService } from './shelf/shelf.service.js';

const made = randomUUID;

/** A thing of one piece that nothing was cut from. */
const ONE = { layers: 1, cuts: [], gone: false, count: 1 };
const USUAL_DENSITY = 1.9;

/** Puts the kitchen garden on an empty database, through the same services as a person's changes. */
class Loader {
  private readonly studio: Studio;
  private readonly mixing: MixesService;
  private readonly batching: BatchesService;
  constructor(private readonly app: INestApplicationContext) {
    this.studio = app.get(Studio);
    this.mixing = app.get(MixesService);
    this.batching = app.get(BatchesService);
  }

  async load(): Promise<void> {
    await this.shelf();
    await this.mixes();
    await this.chips();
    await this.palette();
    await this.mosaic();
    await this.blends();
    await this.batches();
    await this.sheetBook();
    await this.conditionings();
    await this.madeBlend();
    await this.canes();
    await loadSlabs(this.app.get(PatternsService), async (id) => (await this.app.get(CanesTold).newest(id)).id);
    await loadPatterns(
      this.app.get(PatternsService),
      (name) => this.called(name),
      (name) => this.photographsOf(name),
    );
    await this.lyingThere();
    await loadPieces(this.app, this.called);
    // the scenario is a beginning: nothing before it to take back
    await this.app.get(Journal).beside(async () => {
      await this.app.get(DataFile).db.delete(changes);
    });
  }

  /** A mix of the board, or a clay of the shelf, by its name. */
  private readonly called = (name: string): Mixable => {
    const revision = this.studio.newest(idOf(`mix ${name}`));
    return revision ? ofMix(revision.id) : ofClay(idOf(`clay ${name}`));
  };

  private layer(of: string, setting: string, id: string): LayerDto {
    return { id, of: this.called(of), settingId: idOf(`Bench roller ${setting}`) };
  }

  /** Lines, clays, blocks, and the machines they are rolled on. */
  private async shelf(): Promise<void> {
    const [shelf, sheets] = [this.app.get(ShelfService), this.app.get(SheetsService)];
    for (const line of lines) await shelf.saveLine(made(), line);
    for (const clay of clays) await shelf.saveClay(made(), clay);
    for (const block of blocks) await shelf.saveBlock(made(), block);
    for (const machine of machines) await sheets.save(made(), machine);
    const { version } = (await sheets.all()).setup;
    await sheets.saveSetup(made(), { ...setup, version });
  }

  /** The recipes of the board. */
  private async mixes(): Promise<void> {
    for (const { name, notation, basis, note } of mixes) {
      const { ingredients } = await this.mixing.read(notation);
      await this.mixing.save(made(), {
        id: idOf(`mix ${name}`),
        version: 0,
        name,
        note,
        basis,
        retired: false,
        ingredients: [...ingredients],
      });
    }
  }

  /** Chips that were made, and how they read. */
  private async chips(): Promise<void> {
    for (const {
      mix,
      on,
      stage,
      lab: [l, a, b],
      way,
    } of chips) {
      const revisionId = this.studio.newest(idOf(`mix ${mix}`))?.id ?? '';
      await this.mixing.saveChip(made(), {
        id: idOf(`chip ${mix} ${on} ${stage}`),
        version: 0,
        revisionId,
        madeOn: on,
        stage,
        l,
        a,
        b,
        way,
      });
    }
  }

  /** The photograph that the diary has of something, kept; none of most things. */
  private async photographsOf(name: string): Promise<{ id: string }[]> {
    const kept = diaryPhotographs.get(name);
    if (!kept) return [];
    const data = kept.data().toString('base64');
    await this.app.get(PalettesService).keepPicture({ id: kept.id, type: 'image/png', ...PHOTOGRAPH, data });
    return [{ id: kept.id }];
  }

  /** A photograph, and the colours picked from it. */
  private async palette(): Promise<void> {
    const pictureId = idOf('photograph');
    await this.app
      .get(PalettesService)
      .keepPicture({ id: pictureId, type: 'image/png', ...PHOTOGRAPH, data: photograph().toString('base64') });
    await this.app
      .get(PalettesService)
      .save(made(), {
        id: idOf('palette'),
        version: 0,
        name: 'Cut for the stock pot',
        note: '',
        pictureId,
        ...PALETTE_CAST,
        swatches: PALETTE.map(({ name, lab: [l, a, b], share }, i) => ({
          id: idOf(`swatch ${i}`),
          name,
          l,
          a,
          b,
          share,
        })),
      });
  }

  /** A mosaic of the photograph, of which nothing is laid yet. */
  private async mosaic(): Promise<void> {
    const plan = newMosaic(idOf('photograph'));
    const labs = shadesOf(photographPixels(), plan.colours, plan.run);
    const shades = labs.map((lab) => ({ ...lab, hex: hexOf(xyzOfLab(lab)) }));
    const bezel = { shape: 'oval', width: 40, height: 30 } as const;
    await this.app
      .get(MosaicsService)
      .save(made(), {
        ...{ id: idOf('mosaic'), version: 0, name: 'Stock pot brooch', note: '' },
        mosaic: { ...plan, bezel, shades },
      });
  }

  /** Blends, of which the newest stands first. */
  private async blends(): Promise<void> {
    for (const { name, colours, kind, width, height, pure, setting, note, cuts } of blends) {
      await this.app
        .get(BlendsService)
        .save(made(), {
          id: idOf(`blend ${name}`),
          version: 0,
          name,
          note,
          retired: false,
          plan: {
            colours: colours.map(this.called),
            width,
            height,
            layers: 2,
            settingId: idOf(`Bench roller ${setting}`),
            kind,
            pure,
            cuts,
            tapeWidth: 30,
            tapeSettingId: idOf('Bench roller 8'),
            plug: 'rolled',
            inside: 'first',
            fanDepth: 20,
          },
        });
    }
  }

  /** The drawer of cutters, the oven, batches that wait, and two that are done. */
  private async batches(): Promise<void> {
    for (const cutter of drawer) await this.app.get(DrawerService).save(made(), cutter);
    await this.app.get(OvensService).save(made(), oven);
    for (const row of batches) {
      const dto: BatchDto = {
        id: row.id,
        version: 0,
        name: row.name,
        note: row.note,
        dueOn: row.dueOn,
        pieces: row.pieces.map(({ name, size: [widthMm, heightMm], shape, rim, count, spare, layers }) => ({
          id: idOf(`${row.name} ${name}`),
          name,
          count,
          spare,
          ...CUTTING,
          shape: shape ?? (heightMm === undefined ? 'round' : 'rectangle'),
          rimMm: rim ?? null,
          widthMm,
          heightMm: heightMm ?? null,
          layers: layers.map(([of, setting], i) => this.layer(of, setting, idOf(`${row.name} ${name} ${i}`))),
        })),
      };
      const saved = await this.batching.save(made(), dto);
      if (row.done) {
        await this.batching.done(made(), row.id, {
          version: saved.version,
          entryId: idOf(`entry ${row.name}`),
          madeOn: row.done.on,
          note: row.done.note,
          pictures: await this.photographsOf(row.name),
          used: saved.plan.clays.map(({ clayId, grams }) => ({ clayId, grams: Math.round(grams * 10) / 10 })),
          left: saved.plan.left.map(({ parts }) => ({ parts: [...parts], to: 'tub', tubId: null })),
        });
      }
    }
  }

  /** Sheets that lie there. */
  private async sheetBook(): Promise<void> {
    for (const {
      of,
      setting,
      mm,
      size: [widthMm, lengthMm],
      on,
      grams,
      note,
      cuts,
    } of sheetBook) {
      await this.app
        .get(SheetBookService)
        .rolled(made(), {
          sheet: {
            id: idOf(`sheet ${of}`),
            version: 0,
            name: `${of}, ${setting}`,
            note: '',
            form: 'sheet',
            widthMm,
            lengthMm,
            mm,
            layers: 1,
            grams,
            gone: false,
            cuts: cuts.map(({ size: [width, height], count }, i) => ({
              id: idOf(`sheet ${of} ${i}`),
              name: '',
              shape: height === undefined ? 'round' : 'rectangle',
              widthMm: width,
              heightMm: height ?? null,
              count,
              bridgeMm: 2,
            })),
          },
          of: this.called(of),
          rolledAt: `${setting} of Bench roller`,
          entryId: idOf(`entry sheet ${of}`),
          madeOn: on,
          note,
          used: [],
        });
    }
  }

  /** Lumps and canes of earlier evenings, and slices of one of them. */
  private async lyingThere(): Promise<void> {
    const stock = this.app.get(StockService);
    for (const { of, name, form, grams, across, long, keptIn, on, slices } of lyingThere) {
      const id = idOf(`there ${name}`);
      const material = 'mix' in of ? this.called(of.mix) : await this.caneCalled(of.cane);
      const ball = ballOf(grams, USUAL_DENSITY);
      const [widthMm, lengthMm] = [across ?? ball, long ?? ball];
      const { version } = await stock.noted(made(), {
        thing: { id, version: 0, name, note: '', form, widthMm, lengthMm, mm: widthMm, ...ONE, grams, keptIn },
        of: material,
        entryId: idOf(`entry there ${name}`),
        madeOn: on,
        note: '',
      });
      if (slices !== undefined)
        await stock.sliced(made(), id, {
          version,
          entryId: idOf(`entry slices ${name}`),
          madeOn: on,
          slicesId: idOf(`slices ${name}`),
          name: `${name}, slices`,
          count: slices,
          mm: 2,
          keptIn,
        });
    }
  }

  private async caneCalled(name: string): Promise<OfCane> {
    const card = (await this.app.get(CanesService).cards()).find((c) => c.name === name);
    return { kind: 'cane', id: card?.revisionId ?? '' };
  }

  /** Clay that was conditioned. */
  private async conditionings(): Promise<void> {
    for (const { clay, on, ...rest } of conditionings)
      await this.app
        .get(SheetBookService)
        .writeConditioned(made(), {
          ...rest,
          clayId: idOf(`clay ${clay}`),
          firmness:
            lines.find((l) => l.id === clays.find((c) => c.id === idOf(`clay ${clay}`))?.lineId)?.firmness ?? 'medium',
          school: 'thin slices',
          madeOn: on,
          entryId: idOf(`entry conditioned ${clay}`),
        });
  }

  /** A blend that was made and lies there rolled up. */
  private async madeBlend(): Promise<void> {
    const straw = await this.app.get(BlendsService).open(idOf(`blend ${MADE_BLEND.name}`));
    await this.app
      .get(BlendsService)
      .done(made(), straw.id, {
        version: straw.version,
        entryId: idOf(`entry ${MADE_BLEND.name}`),
        madeOn: MADE_BLEND.on,
        note: 'rolled up at once',
        pictures: await this.photographsOf(MADE_BLEND.name),
        passes: MADE_BLEND.passes,
        used: [],
        sheet: {
          id: idOf(`plug ${MADE_BLEND.name}`),
          version: 0,
          name: MADE_BLEND.name,
          note: '',
          form: 'plug',
          widthMm: MADE_BLEND.diameter,
          lengthMm: MADE_BLEND.height,
          mm: MADE_BLEND.diameter,
          layers: 1,
          grams: MADE_BLEND.grams,
          cuts: [],
          gone: false,
          inside: 'first',
        },
      });
  }

  /** Canes, from starting points or in steps of their own. */
  private async canes(): Promise<void> {
    for (const { name, start, slices, sliceMm, note, fade, dark, light, strong, glass } of canes) {
      const revisionId = (await this.app.get(BlendsService).cards()).find((b) => b.name === fade)?.revisionId ?? '';
      const build = typeof start === 'string' ? STARTING_POINTS.find((s) => s.id === start)?.steps : start;
      const steps =
        build?.({
          dark: keyOf(this.called(dark)),
          light: keyOf(this.called(light)),
          strong: keyOf(this.called(strong)),
          second: keyOf(this.called(dark)),
          glass: (glass ?? ['Clearpane']).map((tint) => keyOf(this.called(tint))),
          fade: keyOf(ofBlend(revisionId)),
        }) ?? [];
      await this.app
        .get(CanesService)
        .save(made(), {
          id: idOf(`cane ${name}`),
          version: 0,
          name,
          note,
          retired: false,
          program: { version: PROGRAM_VERSION, steps, ...(glass ? { meant: 'glass' as const } : {}) },
          slices,
          sliceMm,
          trimming: 'once at the end',
          ends: null,
        });
    }
  }
}

/** Puts the kitchen garden on an empty database. Does nothing where there is clay already. */
export async function loadDemo(app: INestApplicationContext): Promise<void> {
  if (app.get(Studio).all('line').length === 0) await new Loader(app).load();
}

/** Whether there is anything in a database that somebody would miss. */
async function holdsAnything(file: string): Promise<boolean> {
  const data = await DataFile.open(file);
  for (const notice of data.notices) console.warn(notice);
  try {
    return (await data.db.select({ id: lineTable.id }).from(lineTable).limit(1)).length > 0;
  } finally {
    await data.close();
  }
}

/**
 * Makes a database with the kitchen garden where there is none, or an empty
 * one. It is made beside and takes its place when it is whole, so that an end
 * in the middle leaves nothing half.
 * @throws UnusableDatabase, RunningAlready
 */
export async function makeDemo(file: string): Promise<void> {
  if (existsSync(file) && (await holdsAnything(file))) return;
  const folder = join(dirname(file), '.demo-half');
  rmSync(folder, { recursive: true, force: true });
  const half = join(folder, 'sledge.db');
  const { app } = await serve(half, 0);
  await loadDemo(app);
  await app.close();
  const place = await DataFile.open(file);
  await place.close(half);
  rmSync(folder, { recursive: true, force: true });
}
