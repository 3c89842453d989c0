import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';

interface BarProps {
  readonly label: string;
  readonly children: ReactNode;
  readonly actions: ReactNode;
}

/** A strip of paper below the stations: something that has to be read before one goes on. */
export function Bar({ label, children, actions }: BarProps): ReactElement {
  return (
    <Flex
      role="alertdialog"
      aria-label={label}
      background="paper"
      borderBottom="thick"
      paddingX={5}
      paddingY={3}
      gap={5}
      alignItems="center"
    >
      <Box flex={1} minWidth={0}>
        {children}
      </Box>
      <Flex gap={3} flex="none">
        {actions}
      </Flex>
    </Flex>
  );
}
