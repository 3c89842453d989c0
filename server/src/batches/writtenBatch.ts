import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { toCut, type AssemblyOrder, type PieceOrder } from '#core/batch';
import { plainCutter } from '#core/cutter';
import { extentOfAll, pieceMaterials } from '#core/piece';
import { materialIn } from '#core/material';
import type { DoneDto, KeptPiece, PlanAnswer } from '#contract';
import { refused } from '../access/problem.js';
import type { Draft, Row } from '../db/journal.js';
import { writeEntry } from '../db/writeEntry.js';
import { cutterRow } from '../drawer/cutterRow.js';
import type { KindsOfPieces } from './kindsOfPieces.js';
import { Planning } from './planning.js';

type EntryPiece = Row<'entryPiece'>;

/** Writes a batch that was made into the diary. */
@Injectable()
export class WrittenBatch {
  constructor(@Inject(Planning) private readonly planning: Planning) {}

  /** @throws ProblemException where no piece of it can be made */
  async entry(
    draft: Draft,
    batch: { readonly id: string; readonly title: string; readonly part: boolean },
    kinds: KindsOfPieces,
    dto: DoneDto,
  ): Promise<void> {
    const { plan, orders, assemblies, answer } = await this.planning.plan(kinds);
    const good = orders.filter((o) => plan.pieces.some((p) => p.id === o.id && p.wrong === null));
    const whole = assemblies.filter((o) => plan.assemblies.some((p) => p.id === o.id && p.wrong === null));
    if (good.length + whole.length === 0) throw refused(`${batch.title} has no piece that can be made yet.`, 'pieces');
    const names = [...good, ...whole, ...answer.mixes, ...answer.clays].map(({ name }) => name);
    await writeEntry(draft, dto, { title: batch.title, words: names, batch });
    const rows = [
      ...good.map((order) => cutPiece(order, dto)),
      ...whole.map((order) => assembledPiece(order, kinds, answer, dto)),
    ];
    for (const row of rows) await draft.put('entryPiece', row);
    for (const { of, made } of plan.demand.mixes) {
      if (of.kind === 'mix')
        await draft.put('entryMix', { id: randomUUID(), entryId: dto.entryId, revisionId: of.id, grams: made });
    }
  }

  /** Takes the findings that went in off the stock of them. */
  async findings(draft: Draft, dto: DoneDto): Promise<void> {
    for (const [at, { id, count }] of (dto.findings ?? []).entries()) {
      const finding = await draft.find('finding', id);
      if (!finding) throw refused('This finding is not there any more.', `findings.${at}.id`);
      if (finding.count < count)
        throw refused(`Only ${finding.count} of ${finding.name} are there.`, `findings.${at}.count`);
      await draft.put('finding', { ...finding, count: finding.count - count, version: draft.version });
      if (count > 0)
        await draft.put('entryFinding', { id: randomUUID(), entryId: dto.entryId, name: finding.name, count });
    }
  }
}

/** How many of a kind were made, and how many broke. @throws ProblemException where more broke than were made */
function countsOf(order: PieceOrder | AssemblyOrder, { made }: DoneDto): Pick<EntryPiece, 'count' | 'broken'> {
  const at = made?.findIndex(({ pieceId }) => pieceId === order.id) ?? -1;
  const broken = made?.[at]?.broken ?? null;
  const count = toCut(order);
  if (broken !== null && broken > count)
    throw refused(`Of ${order.name} ${count} were made, spares too: no more can break.`, `made.${at}.broken`);
  return { count, broken };
}

const cutPiece = (order: PieceOrder, dto: DoneDto): EntryPiece => ({
  id: randomUUID(),
  entryId: dto.entryId,
  name: order.name,
  ...countsOf(order, dto),
  ...cutterRow(plainCutter(order.cutter), 'pieces.'),
  piece: null,
});

/** A piece of many parts with its colours of that day; its box stands for its size. */
function assembledPiece(
  order: AssemblyOrder,
  { assemblies }: KindsOfPieces,
  { materials }: Pick<PlanAnswer, 'materials'>,
  dto: DoneDto,
): EntryPiece {
  const extent = extentOfAll(order.laid) ?? { width: 1, height: 1 };
  const piece = assemblies.find((a) => a.id === order.id)?.piece;
  const box = { shape: 'rectangle', width: extent.width, height: extent.height } as const;
  return {
    id: randomUUID(),
    entryId: dto.entryId,
    name: order.name,
    ...countsOf(order, dto),
    ...cutterRow(plainCutter(box), 'pieces.'),
    piece: piece ? keptPiece(piece, materials) : null,
  };
}

function keptPiece(piece: KeptPiece['piece'], materials: PlanAnswer['materials']): KeptPiece {
  const colours = pieceMaterials(piece).map((key): [string, readonly string[]] => [
    key,
    materials[materialIn(key)?.id ?? '']?.hexes ?? [],
  ]);
  return { piece, hexes: Object.fromEntries(colours) };
}
