import { swatch } from '../../parts/swatch.js';
import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { showSize } from '#core/units';
import type { BlendCard } from '#contract';
import { useUnits } from '../../state/view.js';
import { Caption, Second } from '../../theme/pieces.js';

/** All fades at large, where none is chosen: the clay first, and what it is cut from. */
export function Fades({ blends }: { readonly blends: readonly BlendCard[] }): ReactElement {
  const units = useUnits();
  return (
    <Flex direction="column" gap={4} padding={5} overflowY="auto" tabIndex={0} role="region" aria-label="All fades">
      <Flex alignItems="baseline" gap={3}>
        <h1>{blends.length === 1 ? 'One fade' : `${blends.length} fades`}</h1>
        <Second>as each is once it is free of streaks</Second>
      </Flex>
      {blends.map((b) => (
        <Link key={b.id} to={`/blends/${b.id}`} style={{ textDecoration: 'none' }} aria-label={`Open ${b.name}`}>
          <Box height="86px" style={{ background: swatch(b.hexes) }} aria-hidden />
          <Grid templateColumns="1fr auto" alignItems="baseline" gap={4} marginTop={1}>
            <Box fontWeight={700} fontSize="h2" fontFamily="heading">
              {b.name} <Second>{b.names.join(', ')}</Second>
            </Box>
            <Caption>
              {b.plan.layers} {b.plan.layers === 1 ? 'layer' : 'layers'} of{' '}
              {showSize(b.plan.width, b.plan.height, units)} ·{' '}
              {b.plan.plug === 'fan' ? 'folded like a fan' : 'rolled up'}
            </Caption>
          </Grid>
        </Link>
      ))}
    </Flex>
  );
}
