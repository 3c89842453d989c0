import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { useTile } from '../state/tile.js';
import { Caption, Word } from '../theme/pieces.js';

/** What is carried from station to station. The mixing station puts it here; every picker offers it first. */
export function Tile(): ReactElement {
  const { carried, drop } = useTile();
  return (
    <Flex as="aside" aria-label="On the tile" direction="column" gap={4} background="tile" borderLeft="rule" padding={3} overflowY="auto" css={{ '@media print': { display: 'none' } }}>
      <Box fontFamily="heading" fontWeight={700} fontSize="small" lineHeight={1.3}>On the tile</Box>
      {carried.length === 0 && <Caption>Press C at a mix to carry it along.</Caption>}
      {carried.map((item) => (
        <Box key={item.mixId} fontSize="caption" lineHeight={1.35}>
          <Link to={`/mixes/${item.mixId}`} style={{ textDecoration: 'none' }}>
            <Box width="52px" height="52px" borderRadius="50%" marginBottom={1} style={{ background: `#${item.hex}` }} />
            <Box fontWeight={600}>{item.name}</Box>
          </Link>
          <Word aria-label={`Put ${item.name} down`} onClick={() => { drop(item.mixId); }}>put down</Word>
        </Box>
      ))}
    </Flex>
  );
}
