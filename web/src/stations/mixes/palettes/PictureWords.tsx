import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Value } from '../../../parts/Value.js';
import { Action, Caption, Key, Second, Word } from '../../../theme/pieces.js';
import { readCount, readPatch } from './paletteMoves.js';
import type { Picking } from './usePalette.js';

/** Gains differ from the photograph's own by more than rounding. */
const CHANGED = 1e-9;

/** Whether a click takes a colour or the grey that the light is read from. */
function NeutralLine({ picking }: { readonly picking: Picking }): ReactElement {
  const { purpose, turnPurpose, gains, cast } = picking;
  const neutral = purpose === 'neutral';
  return (
    <Box>
      <Action aria-pressed={neutral} main={neutral} onClick={turnPurpose}>
        {neutral ? 'Now click something grey or white' : 'Show it what is grey'} <Key>G</Key>
      </Action>
      {gains.some((g) => Math.abs(g - 1) > CHANGED) && (
        <Second>
          {' '}
          the cast is taken away ·{' '}
          <Word
            onClick={() => {
              cast([1, 1, 1]);
            }}
          >
            as the photograph is
          </Word>
        </Second>
      )}
    </Box>
  );
}

/** What a click into the picture does, and colours taken anew. */
export function PictureWords({ picking }: { readonly picking: Picking }): ReactElement {
  const { purpose, patch, setPatch, count, setCount, again } = picking;
  return (
    <>
      <Box>
        A click takes {purpose === 'colour' ? 'the colour' : <b>the neutral point</b>} under a patch of{' '}
        <Value label="Side of the patch in pixels" text={String(patch)} read={readPatch} onChange={setPatch} /> pixels.
      </Box>
      <NeutralLine picking={picking} />
      <Box>
        <Action
          onClick={() => {
            void again();
          }}
        >
          Take colours anew
        </Action>{' '}
        <Value label="Number of colours" text={String(count)} read={readCount} onChange={setCount} /> of them
        <Caption>, those picked by hand stay</Caption>
      </Box>
    </>
  );
}
