import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import type { DiaryAnswer } from '#contract/diary';
import { drawnPiece } from '../../parts/pieces/drawn.js';
import { PieceAbove } from '../../parts/pieces/PieceAbove.js';
import { Caption } from '../../theme/pieces.js';

type Made = DiaryAnswer['pieces'][number];
type Kept = NonNullable<Made['piece']>;

/** px that the picture of a piece has room for. */
const ROOM = 130;

/** A piece of many parts in the colours of the day it was made. */
function OneMade({ name, count, kept }: { readonly name: string; readonly count: number; readonly kept: Kept }) {
  const { settled } = useMemo(() => drawnPiece(kept.piece), [kept]);
  if (!settled) return null;
  const scale = ROOM / Math.max(settled.extent.width, settled.extent.height);
  return (
    <Box textAlign="center">
      <PieceAbove
        piece={settled}
        hexesOf={(of) => kept.hexes[of] ?? []}
        label={`${name}, as it was made`}
        scale={scale}
      />
      <Caption>
        {count} {name}
      </Caption>
    </Box>
  );
}

/** Pictures of the pieces of many parts, and the findings that went in. */
export function MadePieces({
  entry,
}: {
  readonly entry: Pick<DiaryAnswer, 'pieces' | 'findings'>;
}): ReactElement | null {
  const { pieces, findings } = entry;
  const assembled = pieces.flatMap(({ name, count, piece }) => (piece ? [{ name, count, kept: piece }] : []));
  if (assembled.length === 0 && findings.length === 0) return null;
  return (
    <div>
      <Flex gap={5} wrap="wrap">
        {assembled.map((one, i) => (
          <OneMade key={i} {...one} />
        ))}
      </Flex>
      {findings.length > 0 && <Box>with {findings.map(({ name, count }) => `${count} ${name}`).join(', ')}</Box>}
    </div>
  );
}
