import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { MaterialKey } from '#core/material';
import { Choice } from '../../../parts/Choice.js';
import { Warning } from '../../../parts/Warning.js';
import type { Needed } from './againPlan.js';

interface OneNeededProps {
  readonly needed: Needed;
  readonly chosen: MaterialKey;
  readonly onChoose: (key: MaterialKey) => void;
}

/** px of a colour. */
const DISC = 30;

/** A material as it was, and what takes its place. */
export function OneNeeded({ needed, chosen, onChoose }: OneNeededProps): ReactElement {
  const { key, name, hex, gone, newer, near } = needed;
  const other = near.find((o) => o.key === chosen);
  const options = [
    { value: key, text: gone === null ? `${name}, as it was` : `${name}, though ${gone}` },
    ...(newer ? [{ value: newer, text: `${name}, as it is by now` }] : []),
    ...near.map((o) => ({ value: o.key, text: `${o.name}, ΔE ${o.deltaE.toFixed(1)}` })),
  ];
  return (
    <Flex as="li" gap={3} alignItems="center" wrap="wrap">
      <Flex aria-hidden>
        <Box width={`${DISC}px`} height={`${DISC}px`} style={{ background: `#${hex}` }} />
        <Box width={`${DISC}px`} height={`${DISC}px`} style={{ background: `#${other?.hex ?? hex}` }} />
      </Flex>
      <Choice label={`In the place of ${name}`} value={chosen} options={options} onChange={onChoose} />
      {gone !== null && (
        <Warning>
          {name}: {gone}
        </Warning>
      )}
    </Flex>
  );
}
