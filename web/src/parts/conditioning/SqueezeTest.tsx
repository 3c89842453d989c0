import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { SQUEEZES, squeezeOf, type Squeeze } from '#core/clay';
import type { BlockDto } from '#contract';
import { useKeys } from '../../state/keys.js';
import { showDate, today } from '../../state/today.js';
import { Caption, Key, Word } from '../../theme/pieces.js';
import { change } from '../../wire/save.js';
import { SQUEEZE_WORDS } from './squeezeWords.js';

const KEYS: Readonly<Record<Squeeze, string>> = { gives: 'g', stiff: 's', cracks: 'c', crumbles: 'r' };

interface SqueezeTestProps {
  /** blocks of one age that are treated alike */
  readonly blocks: readonly BlockDto[];
}

const saveSqueeze = (block: BlockDto, squeezed: Squeeze): void => {
  void change('PUT', `/api/blocks/${block.id}`, { ...block, squeezed, squeezedOn: today() });
};

/** What a block does between two fingers, by one key: it overrules line and age, and is remembered for the block. */
export function SqueezeTest({ blocks }: SqueezeTestProps): ReactElement | null {
  const squeeze = (squeezed: Squeeze): void => {
    for (const block of blocks) saveSqueeze(block, squeezed);
  };
  useKeys(
    'Squeezing a block',
    SQUEEZES.map((one) => ({
      key: KEYS[one],
      does: `Squeezed between two fingers: ${SQUEEZE_WORDS[one]}`,
      run: () => {
        squeeze(one);
      },
    })),
  );
  const [first] = blocks;
  if (!first) return null;
  const now = squeezeOf(first, today());
  return (
    <Box role="group" aria-label="Squeeze it between two fingers" marginBottom={4}>
      <Flex gap={3} wrap="wrap" alignItems="baseline">
        <span>Squeezed between two fingers it</span>
        {SQUEEZES.map((one) => (
          <Word
            key={one}
            aria-pressed={one === now}
            fontWeight={one === now ? 700 : undefined}
            onClick={() => {
              squeeze(one);
            }}
          >
            {SQUEEZE_WORDS[one]} <Key>{KEYS[one].toUpperCase()}</Key>
          </Word>
        ))}
      </Flex>
      <Caption>{saidWhen(first, now)}</Caption>
    </Box>
  );
}

/** When it was squeezed, or what goes for it until it is. */
function saidWhen({ squeezed, squeezedOn }: BlockDto, now: Squeeze | null): string {
  if (now) return squeezedOn ? `squeezed ${showDate(squeezedOn)}` : 'squeezed once';
  if (squeezed) return 'that was too long ago: squeeze it again. Until then its line and age count.';
  return 'not squeezed yet: its line and age count.';
}
