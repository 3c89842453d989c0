import { Box } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import type { BatchAnswer, BatchDto, MachinesAnswer } from '#contract';
import type { Refused } from '../../wire/ask.js';
import { useFindings, usePieceModels } from '../../wire/queries.js';
import { change } from '../../wire/save.js';
import { Assembled } from './assembled/Assembled.js';
import { asModel } from './assembled/assemblyMoves.js';
import { refusedOf, settingsOf } from './batchMoves.js';
import { Piece } from './Piece.js';

export type Save = (part: Partial<BatchDto>) => void;

/** What the views of a batch are given. A batch that was made is not changed. */
export interface Parts {
  readonly batch: BatchAnswer;
  readonly machines: MachinesAnswer;
  readonly made: boolean;
  readonly refusal: Refused | undefined;
  readonly save: Save;
}

/** Its kinds of pieces. */
export function Pieces({ batch, machines, made, refusal, save }: Parts): ReactElement {
  const findings = useFindings().data ?? [];
  const models = usePieceModels().data ?? [];
  const settings = useMemo(() => settingsOf(machines), [machines]);
  return (
    <>
      {batch.pieces.map((piece, i) => (
        <Piece
          key={piece.id}
          batchId={batch.id}
          piece={piece}
          plan={batch.plan.pieces[i]}
          breakage={batch.plan.breakage}
          materials={batch.plan.materials}
          settings={settings}
          disabled={made}
          refused={refusedOf(refusal?.problem.fields, i)}
          onChange={(next) => {
            save({ pieces: batch.pieces.map((p) => (p.id === piece.id ? next : p)) });
          }}
          onRemove={() => {
            save({ pieces: batch.pieces.filter((p) => p.id !== piece.id) });
          }}
        />
      ))}
      {batch.assemblies.map((assembly, i) => (
        <Assembled
          batchId={batch.id}
          key={assembly.id}
          assembly={assembly}
          plan={batch.plan}
          findings={findings}
          disabled={made}
          refused={refusedOf(refusal?.problem.fields, i, 'assemblies')}
          onChange={(next) => {
            save({ assemblies: batch.assemblies.map((a) => (a.id === assembly.id ? next : a)) });
          }}
          onRemove={() => {
            save({ assemblies: batch.assemblies.filter((a) => a.id !== assembly.id) });
          }}
          onKeep={() => {
            const model = asModel(assembly, new Set(models.map((m) => m.name.toLowerCase())));
            void change('PUT', `/api/pieces/models/${model.id}`, model);
          }}
        />
      ))}
      {batch.pieces.length + batch.assemblies.length === 0 && (
        <Box maxWidth="420px" color="ink2">
          No pieces yet. Begin with the mix or the clay they are cut from, or with a piece of many parts.
        </Box>
      )}
    </>
  );
}
