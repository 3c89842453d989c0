import { Global } from '@emotion/react';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { BatchAnswer } from '#contract';
import { useUnits, useView, type Paper } from '../../state/view.js';
import { showDate } from '../../state/today.js';
import { wordsOf } from './stepWords.js';

const SIZE: Readonly<Record<Paper, string>> = { A5: '148mm 210mm', Letter: '8.5in 11in' };

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
    <Box data-paper display="none" css={{ '@media print': { display: 'block' } }} color="#000" background="#fff" fontSize={small ? '9pt' : '11pt'} lineHeight={1.32}>
      <Global styles={{ '@page': { size: SIZE[paper], margin: '11mm' } }} />
      <Flex justifyContent="space-between" alignItems="baseline" borderBottom="2pt solid #000" paddingBottom="2mm" marginBottom="3mm">
        <Box as="h1" fontSize={small ? '15pt' : '20pt'}>{batch.name}</Box>
        <span>{batch.dueOn === null ? '' : `for ${showDate(batch.dueOn)}`}</span>
      </Flex>
      <ol>
        {batch.plan.steps.map((step, i) => {
          const words = wordsOf(step, units);
          const caution = words.caution !== null && cautions.indexOf(words.caution) === i ? words.caution : null;
          return (
            <Flex as="li" key={i} gap="3mm" paddingY="1.2mm" borderBottom="0.4pt solid #888" css={{ breakInside: 'avoid' }}>
              <Box width="4mm" height="4mm" border="0.8pt solid #000" flex="none" marginTop="0.6mm" />
              <Box flex={1}>
                <Flex justifyContent="space-between" gap="4mm"><b>{words.title}</b><Box whiteSpace="nowrap"><b>{words.figure}</b> {words.of}</Box></Flex>
                <div>{inOneLine(words.lines)}</div>
                {caution !== null && <Box fontSize="0.85em">▲ {caution}</Box>}
              </Box>
            </Flex>
          );
        })}
      </ol>
      <Flex marginTop="5mm" alignItems="center" gap="3mm" css={{ breakInside: 'avoid' }}>
        <svg data-control width="50mm" height="4mm" viewBox="0 0 50 4" style={{ flex: 'none' }}><path d="M0.1 0V4M49.9 0V4M0 2H50" stroke="#000" strokeWidth="0.2" fill="none" /></svg>
        <span>50 mm. If it is not, print again at 100 %.</span>
      </Flex>
    </Box>
  );
}
