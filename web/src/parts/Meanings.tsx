import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Action } from '../theme/pieces.js';

/** What was typed has several meanings: each as a button. */
export function Meanings({
  choices,
  onChoose,
}: {
  readonly choices: readonly string[];
  readonly onChoose: (text: string) => void;
}): ReactElement | null {
  if (choices.length === 0) return null;
  return (
    <Flex as="span" gap={2} wrap="wrap" marginTop={1} role="group" aria-label="What is meant">
      {/* the field keeps the focus, so that it does not read itself again first */}
      {choices.map((choice) => (
        <Action
          key={choice}
          fontSize="small"
          onMouseDown={(e) => {
            e.preventDefault();
          }}
          onClick={() => {
            onChoose(choice);
          }}
        >
          {choice}
        </Action>
      ))}
    </Flex>
  );
}
