import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { grey } from '../theme/grey.js';

/** A line of 50 mm on paper, to check the printer by. */
export function ControlLine(): ReactElement {
  return (
    <Flex marginTop="5mm" alignItems="center" gap="3mm" css={{ breakInside: 'avoid' }}>
      <svg data-control width="50mm" height="4mm" viewBox="0 0 50 4" style={{ flex: 'none' }}>
        <path d="M0.1 0V4M49.9 0V4M0 2H50" stroke={grey.black} strokeWidth="0.2" fill="none" />
      </svg>
      <span>50 mm. If it is not, print again at 100 %.</span>
    </Flex>
  );
}
