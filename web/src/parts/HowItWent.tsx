import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { Outcome } from '#contract';
import { OUTCOMES } from '#contract/limits';
import { useKeys } from '../state/keys.js';
import { Action, Key } from '../theme/pieces.js';

const WORDS: Readonly<Record<Outcome, { readonly text: string; readonly key: string }>> = {
  worked: { text: 'It worked', key: 'w' },
  nearly: { text: 'Nearly', key: 'n' },
  failed: { text: 'It failed', key: 'f' },
};
export const outcomeText = (outcome: Outcome): string => WORDS[outcome].text;

interface HowItWentProps {
  readonly outcome: Outcome | null;
  readonly onChange: (outcome: Outcome | null) => void;
  /** for hands full of clay */
  readonly large?: boolean;
}

/** How something went, by one touch or one key; touched once more it is not said. */
export function HowItWent({ outcome, onChange, large = false }: HowItWentProps): ReactElement {
  useKeys(
    'How it went',
    OUTCOMES.map((one) => ({
      key: WORDS[one].key,
      does: WORDS[one].text,
      run: () => {
        onChange(one);
      },
    })),
  );
  return (
    <Flex gap={3} wrap="wrap" role="group" aria-label="How it went">
      {OUTCOMES.map((one) => (
        <Action
          key={one}
          large={large}
          main={one === outcome}
          aria-pressed={one === outcome}
          onClick={() => {
            onChange(one === outcome ? null : one);
          }}
        >
          {WORDS[one].text} <Key>{WORDS[one].key.toUpperCase()}</Key>
        </Action>
      ))}
    </Flex>
  );
}
