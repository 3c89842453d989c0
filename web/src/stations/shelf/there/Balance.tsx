import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { showMass } from '#core/units';
import type { BalanceAnswer } from '#contract';
import { useUnits } from '../../../state/view.js';
import { grey } from '../../../theme/grey.js';
import { Caption, Second } from '../../../theme/pieces.js';
import { cameIn, placesOf } from './balanceRows.js';

const WIDTH = 150;

/** Where all the clay is that ever came in. */
export function Balance({ balance }: { readonly balance: BalanceAnswer }): ReactElement | null {
  const units = useUnits();
  const whole = cameIn(balance);
  if (!(whole > 0)) return null;
  return (
    <Box as="section" aria-label="Where the clay is" borderTop="rule" paddingTop={4} marginTop={5}>
      <Box as="h2" marginBottom={1}>
        Where the clay is
      </Box>
      <Second>
        {showMass(balance.bought, units)} bought
        {balance.found > 0 ? ` and ${showMass(balance.found, units)} that lay there without a block` : ''}
      </Second>
      {placesOf(balance).map(({ name, grams, hint }) => (
        <Flex key={name} gap={3} alignItems="center" marginTop={1} fontSize="small">
          <Box width="130px" flex="none">
            {name}
          </Box>
          <Box width="80px" flex="none" textAlign="right" fontWeight={600}>
            {showMass(grams, units)}
          </Box>
          <svg width={WIDTH} height="11" aria-hidden style={{ flex: 'none' }}>
            <rect width={(WIDTH * grams) / whole} height="11" fill={grey.ink} />
          </svg>
          {hint !== undefined && <Caption>{hint}</Caption>}
        </Flex>
      ))}
    </Box>
  );
}
