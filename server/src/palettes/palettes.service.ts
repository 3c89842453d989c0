import { Inject, Injectable } from '@nestjs/common';
import type { PaletteCard, PaletteDto, PictureDto } from '#contract';
import { checkVersion, notThere, refused } from '../access/problem.js';
import { checkPicture } from '../db/pictureThere.js';
import { Journal, type Row } from '../db/journal.js';
import { PalettesStore } from './palettes.store.js';

@Injectable()
export class PalettesService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(PalettesStore) private readonly store: PalettesStore,
  ) {}

  async cards(): Promise<PaletteCard[]> {
    const [rows, swatches] = await Promise.all([this.store.all(), this.store.allSwatches()]);
    return rows.map(({ id, name, pictureId }) => ({
      id,
      name,
      pictureId,
      colours: swatches.filter((s) => s.paletteId === id).map(({ l, a, b, share }) => ({ l, a, b, share })),
    }));
  }

  async open(id: string): Promise<PaletteDto> {
    const row = await this.store.palette(id);
    if (!row) throw notThere('This palette');
    const swatches = await this.store.swatchesOf(id);
    return {
      ...row,
      swatches: swatches.map(({ id: own, name, l, a, b, share }) => ({ id: own, name, l, a, b, share })),
    };
  }

  async save(changeId: string, dto: PaletteDto): Promise<PaletteDto> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('palette', dto.id);
      await checkVersion(stored?.name ?? 'This palette', stored?.version, dto.version, () => this.open(dto.id));
      await checkPicture(draft, dto.pictureId, 'The picture of this palette is not there.');
      const { swatches, ...row } = dto;
      await draft.put('palette', { ...row, name: dto.name.trim(), version: draft.version });
      const wanted = swatches.map((s, position): Row<'swatch'> => ({ ...s, paletteId: dto.id, position }));
      if (new Set(wanted.map((s) => s.id)).size < wanted.length)
        throw refused('Two colours of this palette have one id.', 'swatches');
      draft.replace('swatch', await this.store.swatchesOf(dto.id), wanted);
      draft.summary = stored ? `changed the palette ${dto.name.trim()}` : `new palette ${dto.name.trim()}`;
    });
    return this.open(dto.id);
  }

  /** Takes a palette away, and its picture with it. */
  async remove(changeId: string, id: string, version: number): Promise<void> {
    await this.journal.change(changeId, async (draft) => {
      const palette = await draft.find('palette', id);
      if (!palette) throw notThere('This palette');
      await checkVersion(palette.name, palette.version, version, () => this.open(id));
      const picture = palette.pictureId === null ? undefined : await draft.find('picture', palette.pictureId);
      const shared = palette.pictureId !== null && (await this.store.pictureShared(palette.pictureId, id));
      draft.remove('swatch', await this.store.swatchesOf(id));
      draft.remove('palette', [palette]);
      if (picture && !shared) draft.remove('picture', [picture]);
      draft.summary = `took away the palette ${palette.name}`;
    });
  }

  /**
   * Keeps a picture for a palette that is about to come. Nothing shows it
   * yet, so it is no change to undo. A type that its first bytes do not have
   * is refused.
   */
  async keepPicture(dto: PictureDto): Promise<void> {
    const bytes = Buffer.from(dto.data, 'base64');
    const jpeg = bytes[0] === 0xff && bytes[1] === 0xd8;
    const png = bytes.subarray(1, 4).toString('latin1') === 'PNG';
    if (dto.type === 'image/jpeg' ? !jpeg : !png) throw refused('This is not the picture that it says it is.', 'data');
    await this.journal.beside(async () => {
      const there = await this.store.picture(dto.id);
      if (there && there.data !== dto.data) throw refused('A picture never changes; keep it under another id.', 'id');
      if (!there) await this.store.keep({ ...dto, small: dto.small ?? null });
    });
  }

  async picture(id: string): Promise<{ readonly type: string; readonly bytes: Buffer }> {
    const row = await this.store.picture(id);
    if (!row) throw notThere('This picture');
    return { type: row.type, bytes: Buffer.from(row.data, 'base64') };
  }

  /** The small one; the picture itself where it was kept without one. */
  async smallPicture(id: string): Promise<{ readonly type: string; readonly bytes: Buffer }> {
    const small = await this.store.smallPicture(id);
    return small ? { type: 'image/jpeg', bytes: Buffer.from(small, 'base64') } : this.picture(id);
  }
}
