import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { hexOf, xyzOfLab } from '#core/colour';
import type { Mosaic } from '#core/mosaic';
import { Tick } from '../../../parts/Tick.js';
import { Second, Word } from '../../../theme/pieces.js';
import { laidIn, turned } from './mosaicMoves.js';
import type { OnMosaic } from './useMosaic.js';

interface PatchesProps {
  readonly on: OnMosaic;
  readonly plan: Mosaic;
}

/** The patches in working order, each to be ticked off when it is laid. */
export function Patches({ on, plan }: PatchesProps): ReactElement {
  const { mosaic, change } = on;
  const whole = plan.tesserae.length;
  const laid = laidIn(plan, mosaic.done);
  return (
    <Box marginTop={3} lineHeight={1.6}>
      <Flex alignItems="baseline" gap={3}>
        <h2>Lay it</h2>
        <Second role="status">
          {laid.toLocaleString('en')} of {whole.toLocaleString('en')}
        </Second>
        {laid > 0 && (
          <Word
            fontSize="small"
            onClick={() => {
              change({ done: [] });
            }}
          >
            begin anew
          </Word>
        )}
      </Flex>
      <Second display="block">
        light before dark, each patch row by row from its edge inwards, ends cut slantwise where rows meet; holes at the
        end
      </Second>
      <Box as="ol" aria-label="Patches in working order" maxHeight="260px" overflowY="auto" marginTop={1}>
        {plan.patches.map(({ lab, count }, patch) => (
          <li key={patch}>
            <Tick
              checked={mosaic.done.includes(patch)}
              onChange={() => {
                change({ done: turned(mosaic.done, patch) });
              }}
            >
              <span
                style={{
                  ...{ display: 'inline-block', width: 14, height: 14, verticalAlign: -2 },
                  background: `#${hexOf(xyzOfLab(lab))}`,
                }}
              />{' '}
              Patch {patch + 1}: {count} {count === 1 ? 'tessera' : 'tesserae'}
            </Tick>
          </li>
        ))}
      </Box>
    </Box>
  );
}
