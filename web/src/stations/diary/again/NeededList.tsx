import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import type { MaterialKey } from '#core/material';
import { Choice } from '../../../parts/Choice.js';
import { Warning } from '../../../parts/Warning.js';
import { usualSwaps, type Needed, type Swaps } from './againPlan.js';

interface OneNeededProps {
  readonly needed: Needed;
  readonly chosen: MaterialKey;
  readonly onChoose: (key: MaterialKey) => void;
}

/** px of a colour. */
const DISC = 30;

/** A material as it was, and what takes its place. */
function OneNeeded({ needed, chosen, onChoose }: OneNeededProps): ReactElement {
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

/** What takes the place of what: what is gone is replaced by the nearest until somebody says otherwise. */
export function useSwaps(needed: readonly Needed[]) {
  const [said, setSaid] = useState<Swaps>(new Map());
  const swaps: Swaps = useMemo(() => new Map([...usualSwaps(needed), ...said]), [needed, said]);
  const swap = (from: MaterialKey, to: MaterialKey): void => {
    setSaid((before) => new Map([...before, [from, to]]));
  };
  return { swaps, swap };
}

interface NeededListProps {
  readonly label?: string;
  readonly needed: readonly Needed[];
  readonly swaps: Swaps;
  readonly onSwap: (from: MaterialKey, to: MaterialKey) => void;
}

/** Every material of what is made again, each with what takes its place. */
export function NeededList({ label, needed, swaps, onSwap }: NeededListProps): ReactElement {
  return (
    <Flex as="ul" direction="column" gap={3} marginY={2} aria-label={label}>
      {needed.map((one) => (
        <OneNeeded
          key={one.key}
          needed={one}
          chosen={swaps.get(one.key) ?? one.key}
          onChoose={(to) => {
            onSwap(one.key, to);
          }}
        />
      ))}
    </Flex>
  );
}
