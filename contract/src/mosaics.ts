import { readMosaic, type MosaicDocument } from '#core/mosaic';
import type { RevisionAnswer } from './mixes.js';
import { Id, Name, ReadBy, Text, Version } from './rules.js';

/** PUT /api/mosaics/:id */
export class MosaicDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A mosaic') name!: string;
  @Text(2000) note!: string;
  /** as docs/formats.md describes it */
  @ReadBy(readMosaic) mosaic!: MosaicDocument;
}

/** GET /api/mosaics */
export interface MosaicCard {
  readonly id: string;
  readonly name: string;
  readonly pictureId: string | null;
  /** of its shades */
  readonly hexes: readonly string[];
}

/** GET /api/mosaics/:id, with the mixes that its shades are of. */
export interface MosaicAnswer extends MosaicDto {
  readonly referenced: readonly RevisionAnswer[];
}
