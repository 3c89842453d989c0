import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Value } from '../../../parts/Value.js';
import { readPercent } from './percent.js';

interface SizeAgainProps {
  /** 0.8 is a fifth smaller */
  readonly factor: number;
  readonly onChange: (factor: number) => void;
  /** what goes on after "of what was made, " */
  readonly children: string;
}

/** How large something is made again, beside what was made. */
export function SizeAgain({ factor, onChange, children }: SizeAgainProps): ReactElement {
  return (
    <Box fontSize="h3">
      As large as{' '}
      <Value
        label="Size beside what was made"
        text={`${Math.round(100 * factor)} %`}
        read={readPercent}
        onChange={onChange}
      />{' '}
      of what was made, {children}
    </Box>
  );
}
