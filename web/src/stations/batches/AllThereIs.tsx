import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { sentenceOf } from '#core/units';
import type { MostPiecesAnswer } from '#contract';
import { Second, Word } from '../../theme/pieces.js';
import { ask } from '../../wire/ask.js';
import { mostWords } from './pieceWords.js';

interface AllProps {
  readonly batchId: string;
  readonly kind: { readonly id: string; readonly name: string; readonly spare: number };
  readonly onCount: (count: number) => void;
}

/** As many as there is clay for, with everything else of the batch as it is. */
export function AllThereIs({ batchId, kind, onCount }: AllProps): ReactElement {
  const [told, setTold] = useState<string | null>(null);
  const find = async (): Promise<void> => {
    const { count, runsOut } = await ask<MostPiecesAnswer>('GET', `/api/batches/${batchId}/most/${kind.id}`);
    setTold(mostWords({ count, runsOut }, kind.spare));
    if (count > 0) onCount(count);
  };
  return (
    <Box fontSize="small">
      <Word
        fontSize="small"
        onClick={() => {
          find().catch((error: unknown) => {
            setTold(sentenceOf(error));
          });
        }}
      >
        as many as there is clay for
      </Word>
      {told !== null && <Second role="status"> {told}</Second>}
    </Box>
  );
}
