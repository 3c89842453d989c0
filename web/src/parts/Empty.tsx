import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';
import { Complaint } from '#core/units';
import { Action } from '../theme/pieces.js';
import { Told } from './begin/Told.js';

interface EmptyProps {
  readonly title: string;
  readonly children: ReactNode;
  readonly action?: string;
  readonly onAction?: () => void;
}

/** What to do first where nothing is yet, with one button. */
export function Empty({ title, children, action, onAction }: EmptyProps): ReactElement {
  return (
    <Flex direction="column" alignItems="flex-start" gap={4} padding={8} maxWidth="520px">
      <h1>{title}</h1>
      <Box color="ink2">{typeof children === 'string' ? <Told>{children}</Told> : children}</Box>
      {action !== undefined && (
        <Action main onClick={onAction}>
          {action}
        </Action>
      )}
    </Flex>
  );
}

/** While something is read, or when it is not there. */
function wordsFor(error: Error | null): string {
  if (!error) return 'Reading …';
  return error instanceof Complaint ? error.message : 'This cannot be shown. What you made is kept.';
}

export function Reading({ error }: { readonly error: Error | null }): ReactElement {
  return (
    <Box padding={8} color="ink2" role="status">
      {wordsFor(error)}
    </Box>
  );
}
