import { UNKNOWN_HEX } from '../theme/grey.js';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { useTile, type Carried } from '../state/tile.js';
import { Gauges } from './Gauges.js';
import { Caption, Word } from '../theme/pieces.js';

const PLACES: Readonly<Record<Carried['kind'], (id: string) => string>> = {
  mix: (id) => `/mixes/${id}`,
  blend: (id) => `/blends/${id}`,
  sheet: (id) => `/sheets/book/${id}`,
};

const shapeOf = ({ kind, form }: Carried): { width: string; height: string; borderRadius: string } =>
  kind === 'mix' || form === 'plug'
    ? { width: '52px', height: '52px', borderRadius: '50%' }
    : { width: '64px', height: kind === 'blend' ? '26px' : '40px', borderRadius: '0' };

function lookOf({ hexes, form }: Carried): string {
  const colours = (hexes.length > 1 ? hexes : [hexes[0] ?? UNKNOWN_HEX, hexes[0] ?? UNKNOWN_HEX])
    .map((h) => `#${h}`)
    .join(', ');
  return form === 'plug' ? `radial-gradient(${colours})` : `linear-gradient(to right, ${colours})`;
}

/** What is carried from station to station. Mixes are offered first by every picker. */
export function Tile(): ReactElement {
  const { carried, drop } = useTile();
  return (
    <Flex
      as="aside"
      aria-label="On the tile"
      direction="column"
      gap={4}
      background="tile"
      borderLeft="rule"
      padding={3}
      overflowY="auto"
      css={{ '@media print': { display: 'none' } }}
    >
      <Box fontFamily="heading" fontWeight={700} fontSize="small" lineHeight={1.3}>
        On the tile
      </Box>
      {carried.length === 0 && <Caption>Press C at a mix, a blend or a sheet to carry it along.</Caption>}
      {carried.map((item) => (
        <Box key={item.id} fontSize="caption" lineHeight={1.35}>
          <Link to={PLACES[item.kind](item.id)} style={{ textDecoration: 'none' }}>
            <Box {...shapeOf(item)} marginBottom={1} style={{ background: lookOf(item) }} />
            <Box fontWeight={600}>{item.name}</Box>
          </Link>
          <Word
            aria-label={`Put ${item.name} down`}
            onClick={() => {
              drop(item.id);
            }}
          >
            put down
          </Word>
        </Box>
      ))}
      <Gauges />
    </Flex>
  );
}
