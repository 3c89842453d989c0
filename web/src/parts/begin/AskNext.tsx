import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useLocation } from 'react-router';
import { ASKS, STATION_OF, askAt, askedOf, asksLeft, canWait, type Ask, type Begun } from '#core/begin';
import { useView } from '../../state/view.js';
import { NARROW } from '../../theme/narrow.js';
import { Word } from '../../theme/pieces.js';
import { ASK_WORDS } from './asks.js';
import { Told } from './Told.js';

interface AskProps {
  readonly begun: Begun;
}

/** How much of what is useful to begin with is there: a small block for each. */
function HowFar({ begun, now }: AskProps & { readonly now: Ask }): ReactElement {
  const there = ASKS.filter((ask) => askedOf(ask, begun)[0] >= askedOf(ask, begun)[1]).length;
  return (
    <Flex gap="4px" role="img" aria-label={`${there} of ${ASKS.length} to begin with`} flex="none" paddingTop="5px">
      {ASKS.map((ask) => (
        <OneBlock key={ask} share={shareOf(ask, begun)} now={ask === now} />
      ))}
    </Flex>
  );
}

const shareOf = (ask: Ask, begun: Begun): number => {
  const [there, of] = askedOf(ask, begun);
  return Math.min(1, there / of);
};

/** px */
const BLOCK = 14;
function OneBlock({ share, now }: { readonly share: number; readonly now: boolean }): ReactElement {
  return (
    <Box width={`${BLOCK}px`} height={`${BLOCK}px`} border={now ? 'rule' : 'hair'} position="relative">
      <Box position="absolute" bottom={0} left={0} right={0} height={`${share * 100}%`} background="ink" />
    </Box>
  );
}

/** What the open station asks next of somebody who begins, and what that makes possible. Gone with the first card. */
export default function AskNext({ begun }: AskProps): ReactElement | null {
  const { pathname } = useLocation();
  const later = useView((s) => s.later);
  const putOff = useView((s) => s.putOff);
  const [, station = ''] = pathname.split('/');
  const ask = askAt(station, begun, later);
  if (ask === null) return null;
  const { wants, gives, to, way } = ASK_WORDS[ask];
  const here = STATION_OF[ask] === station;
  const rest = asksLeft(begun, []).length - asksLeft(begun, later).length;
  return (
    <Flex
      role="note"
      aria-label="Next"
      background="paper"
      borderBottom="rule"
      paddingX={5}
      paddingY={3}
      gap={4}
      css={{ '@media print': { display: 'none' }, [NARROW]: { flexWrap: 'wrap', padding: '12px 16px' } }}
    >
      <HowFar begun={begun} now={ask} />
      <Box flex={1} minWidth={0} css={{ [NARROW]: { flexBasis: '100%', order: 3 } }}>
        <b>
          <Told>{wants(begun, here)}</Told>
        </b>
        <Box color="ink2">
          <Told>{gives}</Told>
        </Box>
      </Box>
      <Flex gap={4} flex="none" alignItems="baseline" fontSize="small" wrap="wrap">
        {!here && <Link to={to}>{way}</Link>}
        {canWait(ask, begun) && (
          <Word
            onClick={() => {
              putOff([...later, ask]);
            }}
          >
            not now
          </Word>
        )}
        {rest > 0 && (
          <Word
            onClick={() => {
              putOff([]);
            }}
          >
            {`${rest} put off: ask again`}
          </Word>
        )}
      </Flex>
    </Flex>
  );
}
