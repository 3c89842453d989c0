import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';
import { grey } from '../theme/grey.js';

/** A black triangle with a sentence. */
export function Warning({ children }: { readonly children: ReactNode }): ReactElement {
  return (
    <Flex as="span" role="status" gap={2} fontSize="small" lineHeight={1.4} fontFamily="body" fontWeight={400}>
      <svg width="14" height="13" viewBox="0 0 14 13" aria-hidden style={{ flex: 'none', marginTop: 3 }}>
        <path d="M7 0 14 13H0Z" fill={grey.ink} />
      </svg>
      <Box as="span">{children}</Box>
    </Flex>
  );
}
