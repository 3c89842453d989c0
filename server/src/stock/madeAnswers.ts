import { Inject, Injectable } from '@nestjs/common';
import { keyOf, readMaterial, type Material, type MaterialKey, type OfBlend } from '#core/material';
import { usedIn } from '#core/cane';
import { patternMaterials } from '#core/pattern';
import { lookUp, type Known } from '#core/stock';
import type { MadeAnswer } from '#contract';
import type { Row } from '../db/journal.js';
import { PatternsTold } from '../patterns/patterns.told.js';
import { materialOf } from '../db/references.js';
import { Studio } from '../mixes/studio.js';
import { Revisions } from '../revisions/revisions.js';
import { leftOf } from './leftOf.js';
import { StockLooks } from './looks.js';

type Looks = Pick<MadeAnswer, 'blendId' | 'caneId' | 'patternId' | 'ofName' | 'clays' | 'hexes' | 'density'>;
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
    @Inject(PatternsTold) private readonly patterns: PatternsTold,
  ) {}

  async of(row: Dated): Promise<MadeAnswer> {
    const of = materialOf('sheet', row);
    return told(row, of, await this.looksOf(of));
  }

  /** All of one list; what is of the same is looked up once. */
  async all(rows: readonly Dated[]): Promise<MadeAnswer[]> {
    const things = rows.map((row) => ({ row, of: materialOf('sheet', row) }));
    const known = new Map<MaterialKey, Looks>();
    for (const { of } of things) if (!known.has(keyOf(of))) known.set(keyOf(of), await this.looksOf(of));
    return things.map(({ row, of }) => told(row, of, known.get(keyOf(of)) as Looks));
  }

  /** A fade is shown as it is baked, one colour as it lies there. */
  private async looksOf(of: Material): Promise<Looks> {
    if (of.kind === 'cane') return this.cane(of.id);
    if (of.kind === 'pattern') return this.pattern(of.id);
    if (of.kind === 'blend') return this.blend(of);
    return { ...lookedAt(await this.looks.of(of, 'raw')), ...OF_NO_PLAN };
  }

  private async blend(of: OfBlend): Promise<Looks> {
    const { book } = await this.looks.book([of]);
    const looking = { stage: 'baked', pigments: this.studio.pigments } as const;
    const colours = book.blend?.(of.id)?.colours ?? [];
    const hexes = colours.flatMap((c) => lookUp(c, book, looking).hexes);
    const revision = await this.revisions.one('blend', of.id);
    return { ...lookedAt(lookUp(of, book, looking)), hexes, ...OF_NO_PLAN, blendId: revision?.blendId ?? null };
  }

  private async cane(revisionId: string): Promise<Looks> {
    const revision = await this.revisions.one('cane', revisionId);
    const cane = revision && (await this.revisions.thing('cane', revision.caneId));
    const materials = revision ? usedIn(revision.program.steps).materials : [];
    const caneId = revision?.caneId ?? null;
    const own = await this.colours(materials);
    const { parts } = await this.looks.builtOf({ kind: 'cane', id: revisionId });
    // a cane that cannot be worked out any more is told by its colours alone
    if (parts.length === 0) return { ...OF_NO_PLAN, caneId, ofName: cane?.name ?? 'A cane', ...own };
    const { shares, density } = await this.looks.of({ kind: 'cane', id: revisionId });
    return { ...OF_NO_PLAN, caneId, ofName: cane?.name ?? 'A cane', ...own, clays: shares, density };
  }

  private async pattern(revisionId: string): Promise<Looks> {
    const found = await this.patterns.ofRevision(revisionId);
    const materials = found ? patternMaterials(found.revision.program.steps) : [];
    const known = await this.looks.of({ kind: 'pattern', id: revisionId });
    return {
      ...OF_NO_PLAN,
      patternId: found?.pattern.id ?? null,
      ofName: found?.pattern.name ?? 'A patterned sheet',
      ...(await this.colours(materials)),
      clays: known.shares,
      density: known.density,
    };
  }

  /** Colours that something is made of, as they are told in a row. */
  private async colours(materials: readonly string[]): Promise<Pick<Looks, 'clays' | 'hexes' | 'density'>> {
    const known = await Promise.all(materials.slice(0, MOST_COLOURS).map((m) => this.looks.of(readMaterial(m))));
    const density = known.reduce((sum, k) => sum + k.density, 0) / known.length;
    return {
      clays: [],
      hexes: known.flatMap((k) => k.hexes[0] ?? []),
      density: known.length > 0 ? density : USUAL_DENSITY,
    };
  }
}

/** Of a patterned sheet nothing else is known. */
const FIRST_SHEET = { sheet: 0, hands: 1 };

const OF_NO_PLAN = { blendId: null, caneId: null, patternId: null };

const lookedAt = ({ name, shares, hexes, density }: Known): Pick<Looks, 'ofName' | 'clays' | 'hexes' | 'density'> => ({
  ofName: name,
  clays: shares,
  hexes,
  density,
});

/** Field by field: spreading rows of so many columns takes longer than reading them. */
function told(row: Dated, of: Material, looks: Looks): MadeAnswer {
  return {
    id: row.id,
    version: row.version,
    name: row.name,
    note: row.note,
    form: row.form,
    widthMm: row.widthMm,
    lengthMm: row.lengthMm,
    count: row.count,
    keptIn: row.keptIn,
    mm: row.mm,
    layers: row.layers,
    grams: row.grams,
    left: row.gone ? 0 : leftOf(row),
    cuts: row.cuts,
    rolledAt: row.rolledAt,
    gone: row.gone,
    inside: row.inside,
    entryId: row.entryId,
    madeOn: row.madeOn,
    of,
    blendId: looks.blendId,
    caneId: looks.caneId,
    patternId: looks.patternId,
    patterned: of.kind === 'pattern' ? { revisionId: of.id, ...(row.seen ?? FIRST_SHEET) } : null,
    ofName: looks.ofName,
    clays: looks.clays,
    hexes: looks.hexes,
    density: looks.density,
  };
}
