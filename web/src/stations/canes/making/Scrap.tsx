import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { readLength, showLength, showMass } from '#core/units';
import { Value } from '../../../parts/Value.js';
import { useView } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import type { PlainPlan } from '../../../workers/canePlain.js';
import { gramsOf } from '../words/caneWords.js';
import type { CaneMaterial } from '../clay/materials.js';
import { heapLine, heapsOf, kneaded } from '../words/scrapWords.js';

/** What is left over, sorted as at the bench, and how many cores it gives. */
export function Scrap({
  plan,
  materials,
}: {
  readonly plan: PlainPlan;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
}): ReactElement {
  const { units, coreMm, setCoreMm } = useView();
  const heaps = heapsOf(plan, materials);
  const total = gramsOf(
    heaps.flatMap((h) => [...h.volumes]),
    materials,
  ).total;
  if (heaps.length === 0) return <Caption>Nothing is left over.</Caption>;
  return (
    <Box fontSize="small" lineHeight={1.5}>
      {showMass(total, units)} of scrap, for cores of{' '}
      <Value
        label="Size of a core"
        text={showLength(coreMm, units)}
        read={(t) => readLength(t, units).valueOf()}
        onChange={setCoreMm}
      />{' '}
      across
      <Box as="ul" marginTop={1} aria-label="Scrap by colour">
        {heaps.map((heap) => (
          <Box as="li" key={heap.group} display="flex" gap={2} alignItems="baseline">
            <Box
              as="span"
              flex="none"
              width="14px"
              height="14px"
              borderRadius="full"
              position="relative"
              top="2px"
              title="Kneaded through"
              style={{ background: `#${kneaded(heap.volumes, materials)}` }}
            />
            <span>{heapLine(heap, materials, coreMm, units)}</span>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
