import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Key, Word } from '../theme/pieces.js';
import { tryNow, useOutbox } from '../wire/outbox.js';
import { useChanges } from '../wire/queries.js';
import { redo, undo, useSaid } from '../wire/save.js';

/** Whether all is saved, what happened last, and the way back. */
export function Saving(): ReactElement {
  const { waiting, gone } = useOutbox();
  const { sentence } = useSaid();
  const changes = useChanges();
  const state = gone ?? (waiting.length > 0 ? 'Saving …' : sentence || 'Saved');
  return (
    <Flex alignItems="center" gap={3} fontSize="small" minWidth={0} flexShrink={1}>
      <Box
        role="status"
        aria-live="polite"
        color={gone ? 'ink' : 'ink2'}
        fontWeight={gone ? 700 : 400}
        lineHeight={1.25}
        title={state}
        maxWidth="250px"
        minWidth="52px"
        css={{ display: '-webkit-box', WebkitLineClamp: 2, WebkitBoxOrient: 'vertical', overflow: 'hidden' }}
      >
        {state}
      </Box>
      {gone !== null && <Word onClick={tryNow}>try now</Word>}
      <Flex
        as="button"
        gap={2}
        alignItems="center"
        whiteSpace="nowrap"
        title={changes.data?.undo ? `Take back: ${changes.data.undo.summary}` : ''}
        aria-disabled={!changes.data?.undo}
        color={changes.data?.undo ? 'ink' : 'hairline'}
        onClick={() => {
          void undo();
        }}
      >
        Undo <Key>Z</Key>
      </Flex>
      {changes.data?.redo ? (
        <Word
          title={`Do again: ${changes.data.redo.summary}`}
          onClick={() => {
            void redo();
          }}
        >
          again
        </Word>
      ) : null}
    </Flex>
  );
}
