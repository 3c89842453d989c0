import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { AT_THUMB, NARROW } from '../../theme/narrow.js';
import { Action } from '../../theme/pieces.js';
import type { StepWords } from './worded.js';

const Counter = chakra('button', {
  base: {
    background: 'tile',
    border: 'rule',
    width: '100%',
    flex: 1,
    minHeight: '220px',
    textAlign: 'center',
    padding: 5,
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    justifyContent: 'center',
  },
});

/** Figures of more letters are set smaller. */
const LONG_FIGURE = 5;

interface FigureProps {
  readonly words: StepWords;
  readonly place: { readonly here: number; readonly on: () => void; readonly back: () => void };
}

/** The one number of a step, and the ways on and back. */
export function CardFigure({ words, place }: FigureProps): ReactElement {
  const { here, on, back } = place;
  return (
    <Flex direction="column" gap={4} css={{ [NARROW]: AT_THUMB }}>
      <Counter onClick={on}>
        <Box
          data-figure=""
          fontWeight={700}
          fontSize={words.figure.length > LONG_FIGURE ? '72px' : '150px'}
          lineHeight={1}
          whiteSpace="nowrap"
        >
          {words.figure}
        </Box>
        <Box data-of="" fontSize="24px" marginTop={3}>
          {words.of}
        </Box>
        <Box data-hint="" color="ink2" marginTop={2}>
          tap here or press space when it is done
        </Box>
      </Counter>
      <Grid templateColumns="1fr 1fr" gap={2}>
        <Action large onClick={back} disabled={here === 0}>
          One back
        </Action>
        <Action large onClick={on}>
          Next
        </Action>
      </Grid>
    </Flex>
  );
}
