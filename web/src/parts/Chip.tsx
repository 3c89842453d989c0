import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { xyzOfHex } from '#core/colour';
import { inkOn } from '../theme/grey.js';

interface ChipProps {
  readonly hex: string;
  readonly width: number;
  readonly height: number;
  /** what is scratched on it, a line each */
  readonly scratched?: readonly string[];
  readonly surround?: string;
}

/** A chip as it hangs on the board: rounded clay with a hole, and the ratio scratched into it. */
export function Chip({ hex, width, height, scratched = [], surround = 'bench' }: ChipProps): ReactElement {
  const hole = Math.max(10, Math.min(24, width * 0.125));
  return (
    <Box
      position="relative"
      width={`${width}px`}
      maxWidth="100%"
      height={`${height}px`}
      borderRadius={`${Math.min(18, width * 0.09)}px`}
      style={{ background: `#${hex}` }}
    >
      <Box
        position="absolute"
        left="50%"
        top={`${hole * 0.7}px`}
        width={`${hole}px`}
        height={`${hole}px`}
        marginLeft={`${-hole / 2}px`}
        borderRadius="50%"
        background={surround}
      />
      {scratched.length > 0 && (
        <Box
          aria-hidden
          position="absolute"
          left="10%"
          right="6%"
          bottom="10%"
          fontSize="text"
          lineHeight={1.35}
          opacity={0.85}
          style={{ color: inkOn(xyzOfHex(hex).y) }}
          overflow="hidden"
        >
          {scratched.map((line) => (
            <Box key={line} whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
              {line}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
