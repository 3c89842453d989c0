import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { Do } from '#core/cane';
import { Action, Caption, Word } from '../../../theme/pieces.js';
import { NEXT, wordOf } from '../steps/index.js';

/** What hands can do next, by what it does. */
export function AddStep({
  after,
  onAdd,
  onCancel,
}: {
  readonly after: string;
  readonly onAdd: (kind: Do) => void;
  readonly onCancel: () => void;
}): ReactElement {
  return (
    <Box
      background="tile"
      border="rule"
      padding={4}
      role="dialog"
      aria-label="What comes next"
      onKeyDown={(e) => {
        if (e.key === 'Escape') {
          e.stopPropagation();
          onCancel();
        }
      }}
    >
      <Flex justifyContent="space-between" marginBottom={2}>
        <b>After {after}</b>
        <Word onClick={onCancel}>leave it</Word>
      </Flex>
      {NEXT.map(({ group, kinds }, g) => (
        <Flex key={group} gap={2} alignItems="baseline" marginTop={2}>
          <Box width="44px" flex="none">
            <Caption>{group}</Caption>
          </Box>
          <Flex gap={2} wrap="wrap">
            {kinds.map((kind, k) => (
              <Action
                key={kind}
                autoFocus={g === 0 && k === 0}
                minHeight="32px"
                paddingX={3}
                onClick={() => {
                  onAdd(kind);
                }}
              >
                {wordOf(kind)}
              </Action>
            ))}
          </Flex>
        </Flex>
      ))}
    </Box>
  );
}
