import { Inject, Injectable } from '@nestjs/common';
import { readMaterial, type Material, type OfBlend } from '#core/material';
import { usedIn } from '#core/cane';
import { lookUp, type Known } from '#core/stock';
import type { MadeAnswer } from '#contract';
import type { Row } from '../db/journal.js';
import { materialOf } from '../db/references.js';
import { Studio } from '../mixes/studio.js';
import { Revisions } from '../revisions/revisions.js';
import { StockLooks } from './looks.js';

type Looks = Pick<MadeAnswer, 'blendId' | 'caneId' | 'ofName' | 'hexes' | 'density'>;
type Dated = Row<'sheet'> & { readonly madeOn: string };

/** Colours of a cane that are told in a row. */
const MOST_COLOURS = 12;
const USUAL_DENSITY = 1.9;

/** Things that lie there, as they are told. */
@Injectable()
export class MadeAnswers {
  constructor(
    @Inject(Studio) private readonly studio: Studio,
    @Inject(Revisions) private readonly revisions: Revisions,
    @Inject(StockLooks) private readonly looks: StockLooks,
  ) {}

  of(row: Dated): Promise<MadeAnswer> {
    return this.told(row, (of) => this.looksOf(of));
  }

  /** All of one list; what is of the same is looked up once. */
  all(rows: readonly Dated[]): Promise<MadeAnswer[]> {
    const known = new Map<string, Promise<Looks>>();
    const once = (of: Material): Promise<Looks> => {
      const key = `${of.kind} ${of.id}`;
      const looks = known.get(key) ?? this.looksOf(of);
      known.set(key, looks);
      return looks;
    };
    return Promise.all(rows.map((row) => this.told(row, once)));
  }

  private async told(row: Dated, looks: (of: Material) => Promise<Looks>): Promise<MadeAnswer> {
    const { clayId: _, revisionId: __, blendRevisionId: ___, caneRevisionId: ____, ...rest } = row;
    const of = materialOf('sheet', row);
    return { ...rest, of, ...(await looks(of)) };
  }

  /** A fade is shown as it is baked, one colour as it lies there. */
  private async looksOf(of: Material): Promise<Looks> {
    if (of.kind === 'cane') return this.cane(of.id);
    if (of.kind === 'blend') return this.blend(of);
    return { ...told(await this.looks.of(of, 'raw')), blendId: null, caneId: null };
  }

  private async blend(of: OfBlend): Promise<Looks> {
    const { book } = await this.looks.book([of]);
    const looking = { stage: 'baked', pigments: this.studio.pigments } as const;
    const colours = book.blend?.(of.id)?.colours ?? [];
    const hexes = colours.flatMap((c) => lookUp(c, book, looking).hexes);
    const revision = await this.revisions.one('blend', of.id);
    return { ...told(lookUp(of, book, looking)), hexes, blendId: revision?.blendId ?? null, caneId: null };
  }

  private async cane(revisionId: string): Promise<Looks> {
    const revision = await this.revisions.one('cane', revisionId);
    const cane = revision && (await this.revisions.thing('cane', revision.caneId));
    const materials = revision ? usedIn(revision.program.steps).materials.map(readMaterial) : [];
    const known = await Promise.all(materials.slice(0, MOST_COLOURS).map((m) => this.looks.of(m)));
    const density = known.reduce((sum, k) => sum + k.density, 0) / known.length;
    return {
      blendId: null,
      caneId: revision?.caneId ?? null,
      ofName: cane?.name ?? 'A cane',
      hexes: known.flatMap((k) => k.hexes[0] ?? []),
      density: known.length > 0 ? density : USUAL_DENSITY,
    };
  }
}

const told = ({ name, hexes, density }: Known): Pick<Looks, 'ofName' | 'hexes' | 'density'> => ({
  ofName: name,
  hexes,
  density,
});
