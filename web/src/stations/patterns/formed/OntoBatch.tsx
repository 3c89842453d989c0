import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { keyOf, type MaterialKey } from '#core/material';
import { PIECE_VERSION, type PartOf, type PieceDocument, type Value } from '#core/piece';
import type { BatchAnswer, BatchDto, PatternAnswer } from '#contract';
import { freeName, takenNames } from '../../../parts/names.js';
import { Warning } from '../../../parts/Warning.js';
import { Action, Caption } from '../../../theme/pieces.js';
import { useBatches } from '../../../wire/queries.js';
import { change } from '../../../wire/save.js';
import type { PatternToMake } from '../../../workers/pattern.js';
import type { FormPlan, FormTakes } from './formPlan.js';
import { FORM_NAMES } from './formWords.js';

/** What a part looks like until it is known: nothing of the garden. */
const LIKE = 'C9C9C9';
/** mm of clay between cuts, until it is said at the batch. */
const BRIDGE = 1.5;

/** What a form is covered with: of what, how thick, and of slices how wide one is. */
export interface Cover {
  readonly of: MaterialKey;
  readonly mm: number;
  /** mm across a round slice as large; null: a sheet */
  readonly slice: number | null;
}

/** The sheet, or slices of its first cane. */
export function coverOf(
  { way }: FormPlan,
  { starts, sheet }: PatternToMake,
  { revisionId }: Pick<PatternAnswer, 'revisionId'>,
): Cover {
  const cut = way === 'slices' ? starts.find((s) => s.what === 'slices') : undefined;
  if (!cut) return { of: keyOf({ kind: 'pattern', id: revisionId }), mm: sheet.thick, slice: null };
  const mm = cut.sizes[2] ?? sheet.thick;
  const face = cut.volume / ((cut.count ?? 1) * mm);
  return { of: cut.of as MaterialKey, mm, slice: 2 * Math.sqrt(face / Math.PI) };
}

/** A ball that is covered, or a dome: the forms that batches know; null of another one. */
export function partFor({ form }: FormPlan, { core }: FormTakes, { of, mm, slice }: Cover): PartOf<Value> | null {
  const common = { id: crypto.randomUUID(), name: FORM_NAMES[form.kind], of, like: LIKE, on: null };
  const place = { lies: 'at', x: 0, y: 0, turn: 0 } as const;
  if (form.kind === 'ball') {
    const inside = { with: null, withLike: LIKE, bakedFirst: true, ...(slice !== null && { slice }) };
    return { ...common, place, shape: { is: 'covered', core: core.width, wall: mm, ...inside } };
  }
  if (form.kind === 'dome' && slice === null)
    return { ...common, place, shape: { is: 'veneer', form: 'dome', width: form.width, height: form.length, mm } };
  return null;
}

/** A batch of pieces of one part, six to begin with. */
function batchOf(name: string, part: PartOf<Value>): BatchDto {
  const piece: PieceDocument = { version: PIECE_VERSION, sizes: [], parts: [part] };
  const own = { id: crypto.randomUUID(), name: part.name, count: 6, spare: 1, bridgeMm: BRIDGE, piece };
  return {
    ...{ id: crypto.randomUUID(), version: 0, name, note: '', dueOn: null, pieces: [] },
    assemblies: [{ ...own, finish: [], prices: [] }],
  };
}

interface OntoBatchProps {
  readonly pattern: PatternAnswer;
  readonly own: FormPlan;
  readonly takes: FormTakes;
  readonly plan: PatternToMake;
}

/** The form becomes a piece of a new batch, with the sheet on it. */
export function OntoBatch({ pattern, own, takes, plan }: OntoBatchProps): ReactElement {
  const navigate = useNavigate();
  const batches = useBatches();
  const [wrong, setWrong] = useState<string | null>(null);
  const part = partFor(own, takes, coverOf(own, plan, pattern));
  const go = async (): Promise<void> => {
    if (!part) return;
    setWrong(null);
    const dto = batchOf(freeName(`${pattern.name}, ${part.name}`, takenNames(batches.data)), part);
    if (await change<BatchAnswer>('PUT', `/api/batches/${dto.id}`, dto)) void navigate(`/batches/${dto.id}`);
    else setWrong('The batch could not be begun. Look at Batches, and try again.');
  };
  return (
    <Box>
      <Box as="h2" marginBottom={1}>
        Into a batch
      </Box>
      <Action disabled={!part} onClick={() => void go()}>
        A batch of these
      </Action>
      {!part && (
        <Caption display="block">Batches know balls, and domes with a sheet; this one is planned here alone.</Caption>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
