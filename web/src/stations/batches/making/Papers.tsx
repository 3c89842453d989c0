import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { sentenceOf } from '#core/units';
import type { BatchAnswer } from '#contract';
import { PaperChoice } from '../../../parts/PaperChoice.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits, useView } from '../../../state/view.js';
import { Word } from '../../../theme/pieces.js';
import { pricesOf } from './labels.js';
import { saveBuildCard, saveLabels, savePriceList, type OnPaper } from './piecePaper.js';

/** The papers of a batch: its build card, labels for what is finished, and a list of prices. */
export function Papers({ batch, currency }: Pick<OnPaper, 'batch' | 'currency'>): ReactElement | null {
  const units = useUnits();
  const { paper: size } = useView();
  const [wrong, setWrong] = useState<string | null>(null);
  if (batch.pieces.length + batch.assemblies.length === 0) return null;
  const save = (how: (paper: OnPaper) => Promise<void>) => (): void => {
    setWrong(null);
    how({ batch, currency, units, size }).catch((error: unknown) => {
      setWrong(sentenceOf(error));
    });
  };
  return (
    <Box role="group" aria-label="To print">
      <Flex gap={3} wrap="wrap" alignItems="baseline" fontSize="small">
        <span>on paper</span>
        <PaperChoice label="Size of the sheet" />
        <Word onClick={save(saveBuildCard)}>build card</Word>
        <Word onClick={save(saveLabels)}>labels</Word>
        {hasPrices(batch) && <Word onClick={save(savePriceList)}>price list</Word>}
      </Flex>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}

const hasPrices = (batch: BatchAnswer): boolean => pricesOf(batch, '').length > 0;
