import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { sentenceOf } from '#core/units';
import { useLocation } from 'react-router';
import type { GardenAnswer } from '#contract';
import { Word } from '../theme/pieces.js';
import { ask } from '../wire/ask.js';
import { useGarden } from '../wire/queries.js';
import { thingAt } from './carried.js';
import { Warning } from './Warning.js';

const ROUND =
  'You are looking round in the kitchen garden. Try everything: nothing of it is kept, and your own data is not ' +
  'touched.';
const INTO = 'Nothing that you change here is kept. Open what you want back.';

/** Above all stations of a garden that is only looked round in: whose it is not, and the way back. */
export function GardenBar(): ReactElement | null {
  const garden = useGarden();
  const { pathname } = useLocation();
  const back = garden.data?.back ?? null;
  const copy = garden.data?.copy ?? null;
  if (back === null) return null;
  const thing = copy === null ? null : thingAt(pathname);
  return (
    <Flex
      role="note"
      aria-label="Looking round"
      background="ink"
      color="tile"
      paddingX={5}
      paddingY={2}
      gap={5}
      alignItems="center"
      css={{ '@media print': { display: 'none' } }}
    >
      <Box flex={1}>{copy === null ? ROUND : `You look into the copy “${copy}”, as it was. ${INTO}`}</Box>
      {copy !== null && thing !== null && (
        <a
          href={`${back}/copies?${new URLSearchParams({ from: copy, ...thing }).toString()}`}
          style={{ color: 'inherit', fontWeight: 700 }}
        >
          Carry this one over
        </a>
      )}
      <a href={back} style={{ color: 'inherit', fontWeight: 700 }}>
        {copy === null ? 'Back to your own shelf' : 'Back to your own data'}
      </a>
    </Flex>
  );
}

/** Goes to a garden of its own, to look round before anything of one's own is there. */
export function LookRound(): ReactElement {
  const [wrong, setWrong] = useState<string | null>(null);
  const [going, setGoing] = useState(false);
  const go = async (): Promise<void> => {
    setWrong(null);
    setGoing(true);
    try {
      const { address } = await ask<GardenAnswer>('POST', '/api/garden');
      if (address !== null) window.location.assign(address);
    } catch (error) {
      setWrong(sentenceOf(error));
    } finally {
      setGoing(false);
    }
  };
  return (
    <Box marginTop={4}>
      {going ? (
        <Box aria-live="polite">The garden is being laid out …</Box>
      ) : (
        <>
          <Word
            fontSize="text"
            onClick={() => {
              void go();
            }}
          >
            Look round in the kitchen garden first
          </Word>
          <Box as="span">: sample clays, mixes, blends and canes, on data that is thrown away</Box>
        </>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
