import { Global } from '@emotion/react';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { BatchAnswer } from '#contract';
import { ControlLine } from '../../parts/ControlLine.js';
import { PAPER_SIZE } from '../../parts/paper.js';
import { useUnits, useView } from '../../state/view.js';
import { showDate } from '../../state/today.js';
import { wordsOf } from './stepWords.js';
import { grey } from '../../theme/grey.js';

/** Sentences follow each other; what is no sentence gets a dot between. */
const inOneLine = (lines: readonly string[]): string =>
  lines.reduce((text, line) => (text === '' ? line : `${text}${text.endsWith('.') ? ' ' : ' · '}${line}`), '');

/** The whole card on paper: every step with a box to tick, and a line to check the printer by. */
export function PaperCard({ batch }: { readonly batch: BatchAnswer }): ReactElement {
  const units = useUnits();
  const paper = useView((s) => s.paper);
  const small = paper === 'A5';
  // each caution once, at the first step it is for
  const cautions = batch.plan.steps.map((step) => wordsOf(step, units).caution);
  return (
    <Box
      data-paper
      display="none"
      css={{ '@media print': { display: 'block' } }}
      color={grey.black}
      background={grey.tile}
      fontSize={small ? '9pt' : '11pt'}
      lineHeight={1.32}
    >
      <Global styles={{ '@page': { size: PAPER_SIZE[paper], margin: '11mm' } }} />
      <Flex
        justifyContent="space-between"
        alignItems="baseline"
        borderBottom="2pt solid #000"
        paddingBottom="2mm"
        marginBottom="3mm"
      >
        <Box as="h1" fontSize={small ? '15pt' : '20pt'}>
          {batch.name}
        </Box>
        <span>{batch.dueOn === null ? '' : `for ${showDate(batch.dueOn)}`}</span>
      </Flex>
      <ol>
        {batch.plan.steps.map((step, i) => {
          const words = wordsOf(step, units);
          const caution = words.caution !== null && cautions.indexOf(words.caution) === i ? words.caution : null;
          return (
            <Flex
              as="li"
              key={i}
              gap="3mm"
              paddingY="1.2mm"
              borderBottom="0.4pt solid #888"
              css={{ breakInside: 'avoid' }}
            >
              <Box width="4mm" height="4mm" border="0.8pt solid #000" flex="none" marginTop="0.6mm" />
              <Box flex={1}>
                <Flex justifyContent="space-between" gap="4mm">
                  <b>{words.title}</b>
                  <Box whiteSpace="nowrap">
                    <b>{words.figure}</b> {words.of}
                  </Box>
                </Flex>
                <div>{inOneLine(words.lines)}</div>
                {caution !== null && <Box fontSize="0.85em">▲ {caution}</Box>}
              </Box>
            </Flex>
          );
        })}
      </ol>
      <ControlLine />
    </Box>
  );
}
