import { Inject, Injectable } from '@nestjs/common';
import { forecast, keptFrom } from '#core/blend';
import { cutterOf } from '#core/cutter';
import { colourOf, flatten } from '#core/mix';
import type { DiaryAnswer, DiaryListAnswer, DiaryNoteDto, EntryPictureDto, MadeAnswer } from '#contract';
import { checkVersion, notThere, refused } from '../access/problem.js';
import { CanesTold } from '../canes/canes.told.js';
import { PatternsTold } from '../patterns/patterns.told.js';
import { BlendsService } from '../blends/blends.service.js';
import { Journal, type Draft, type Row } from '../db/journal.js';
import { checkPictures, pictureRows } from '../db/writeEntry.js';
import { Studio } from '../mixes/studio.js';
import { SheetBookService } from '../sheetBook/sheetBook.service.js';
import { StockStore } from '../stock/stock.store.js';
import { DiaryColours } from './diary.colours.js';
import { DiaryStore, type EntryPart } from './diary.store.js';

/** One of a list in an entry. */
type Told<K extends 'pieces' | 'sheets'> = DiaryAnswer[K][number];

/** What is asked of the list. */
interface DiaryAsked {
  readonly search: string;
  /** six digits; null: no colour */
  readonly near: string | null;
  readonly offset: number;
  readonly limit: number;
}

@Injectable()
export class DiaryService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(BlendsService) private readonly blends: BlendsService,
    @Inject(CanesTold) private readonly canes: CanesTold,
    @Inject(PatternsTold) private readonly patterns: PatternsTold,
    @Inject(SheetBookService) private readonly sheets: SheetBookService,
    @Inject(StockStore) private readonly stock: StockStore,
    @Inject(DiaryStore) private readonly store: DiaryStore,
    @Inject(DiaryColours) private readonly colours: DiaryColours,
  ) {}

  /** Newest first; with a colour, what was made near it, the nearest first. */
  async list({ search, near, offset, limit }: DiaryAsked): Promise<DiaryListAnswer> {
    const words = search
      .split(/[^\p{L}\p{N}]+/u)
      .filter((word) => word !== '')
      .slice(0, 12);
    if (near === null) return this.store.list(words, offset, limit);
    const among = words.length > 0 ? await this.store.idsOf(words) : null;
    const found = await this.colours.near(near, among);
    const page = found.slice(offset, offset + limit);
    const cards = await this.store.cardsOf(page.map(({ id }) => id));
    return {
      total: found.length,
      entries: page.flatMap(({ id, deltaE }) => {
        const card = cards.get(id);
        return card ? [{ ...card, deltaE }] : [];
      }),
    };
  }

  async open(id: string): Promise<DiaryAnswer> {
    const entry = await this.store.entry(id);
    if (!entry) throw notThere('This entry');
    const { words: _, ...card } = entry;
    const parts = await this.store.partsOf(id);
    const of = async <T>(part: EntryPart, read: () => Promise<readonly T[]>): Promise<readonly T[]> =>
      parts.has(part) ? await read() : [];
    return {
      ...card,
      pictures: (await of('entry_picture', () => this.store.picturesOf(id))).map(pictureTold),
      pieces: (await of('entry_piece', () => this.store.piecesOf(id))).map(pieceTold),
      findings: await of('entry_finding', () => this.store.findingsOf(id)),
      mixes: await of('entry_mix', () => this.mixesIn(id)),
      blends: await of('entry_blend', () => this.blendsIn(id)),
      canes: await of('entry_cane', () => this.canes.asMade(id)),
      patterns: await of('entry_pattern', () => this.patterns.asMade(id)),
      // loads of its batch are told in entries of their own
      bakes: parts.has('entry_bake') || entry.batchId !== null ? await this.store.bakesOf(id, entry.batchId) : [],
      sheets: (await of('sheet', () => this.sheets.ofEntry(id))).map(sheetTold),
      flows: await of('flow', () => this.stock.flowsIn(id)),
      conditioned: await of('entry_conditioning', () => this.sheets.conditionedIn(id)),
      clays: (await of('entry_taking', () => this.store.takingsOf(id))).flatMap(({ clayId, grams }) => {
        const clay = this.studio.clay(clayId);
        return clay ? [{ clayId, grams, name: clay.name, hex: clay.bakedHex }] : [];
      }),
    };
  }

  private async blendsIn(id: string): Promise<DiaryAnswer['blends']> {
    const rows = await this.store.blendsOf(id);
    if (rows.length === 0) return [];
    const kept = keptFrom(await this.blends.counted());
    const told = rows.map(async ({ blendRevisionId, passes, contrast }) => {
      const blend = await this.blends.asMade(blendRevisionId);
      return blend ? [{ ...blend, passes, wantedPasses: forecast(contrast, kept, 1).enough }] : [];
    });
    return (await Promise.all(told)).flat();
  }

  private async mixesIn(id: string): Promise<DiaryAnswer['mixes']> {
    return (await this.store.mixesOf(id)).flatMap(({ revisionId, grams }) => {
      const revision = this.studio.one('revision', revisionId);
      const recipe = this.studio.recipe(revisionId);
      if (!revision || !recipe) return [];
      return [
        {
          revisionId,
          grams,
          mixId: revision.mixId,
          number: revision.number,
          name: this.studio.nameOf(revisionId),
          notation: this.studio.notation(recipe),
          hex: colourOf(flatten(recipe, this.studio), 'baked', this.studio.pigments).hex,
        },
      ];
    });
  }

  async saveNote(changeId: string, dto: DiaryNoteDto): Promise<DiaryAnswer> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('entry', dto.id);
      if (!stored) throw notThere('This entry');
      await checkVersion(stored.title, stored.version, dto.version, () => this.open(dto.id));
      const outcome = dto.outcome === undefined ? stored.outcome : dto.outcome;
      const words = withMarked(stored.words, dto.pictures ?? []);
      await draft.put('entry', { ...stored, note: dto.note, outcome, words, version: draft.version });
      draft.summary = summaryOf(stored, dto);
      for (const [at, { id, count }] of (dto.broken ?? []).entries()) await broke(draft, dto.id, id, count, at);
      if (dto.pictures) await this.savePictures(draft, dto.id, dto.pictures, stored.title);
    });
    return this.open(dto.id);
  }

  /** Photographs of an entry; those that are let go stay in the file, so that undo finds them. */
  private async savePictures(draft: Draft, entryId: string, pictures: EntryPictureDto[], title: string): Promise<void> {
    const before = await this.store.picturesOf(entryId);
    await checkPictures(draft, pictures);
    const wanted = pictureRows(entryId, pictures);
    if (toldOf(before) === toldOf(wanted)) return;
    draft.replace('entryPicture', before, wanted);
    draft.summary = wanted.length > before.length ? `photograph of ${title}` : `changed the photographs of ${title}`;
    if (wanted.length === before.length && wanted.some((row) => row.lay))
      draft.summary = `photograph over the plan of ${title}`;
  }
}

const toldOf = (rows: readonly Pick<Row<'entryPicture'>, 'pictureId' | 'lay' | 'marks'>[]): string =>
  JSON.stringify(rows.map(({ pictureId, lay, marks }) => [pictureId, lay, marks]));

/** Words to find an entry by, with what is marked on its photographs. */
function withMarked(words: string, pictures: readonly EntryPictureDto[]): string {
  const marked = pictures.flatMap(({ marks }) => (marks ?? []).map(({ what }) => what));
  const more = [...new Set(marked)].filter((what) => !words.includes(what));
  return [words, ...more].join(' ');
}

const pictureTold = ({ pictureId, lay, marks }: Row<'entryPicture'>): EntryPictureDto => ({
  ...{ id: pictureId, lay, marks: marks && [...marks] },
});

function pieceTold({ id, name, count, broken, shape, piece, ...cutter }: Row<'entryPiece'>): Told<'pieces'> {
  const usual = cutter.heightMm === null ? 'round' : 'rectangle';
  return { id, name, count, broken, piece, cutter: cutterOf({ ...cutter, shape: shape ?? usual }) };
}

const sheetTold = ({ id, name, rolledAt, mm, widthMm, lengthMm, form, count, hexes }: MadeAnswer): Told<'sheets'> => ({
  ...{ sheetId: id, name, rolledAt, mm, widthMm, lengthMm, form, count, hexes },
});

/** @throws ProblemException where such pieces are not in the entry, or more of them broke than were made */
async function broke(draft: Draft, entryId: string, id: string, count: number, at: number): Promise<void> {
  const made = await draft.find('entryPiece', id);
  if (made?.entryId !== entryId) throw refused('These pieces are not in this entry.', `broken.${at}.id`);
  if (count > made.count)
    throw refused(`Of ${made.name} ${made.count} were made: no more can break.`, `broken.${at}.count`);
  await draft.put('entryPiece', { ...made, broken: count });
}

/** What was said of an entry, for the list of changes. */
function summaryOf(stored: Row<'entry'>, { note, outcome, broken }: DiaryNoteDto): string {
  if (broken) return `counted what broke of ${stored.title}`;
  const said = outcome !== undefined && outcome !== stored.outcome && note === stored.note;
  return said ? `said how ${stored.title} went` : `changed the note on ${stored.title}`;
}
