import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { CaneAnswer, ShelfAnswer, ThereAnswer } from '#contract';
import { swatch } from '../../../parts/swatch.js';
import { useCaneOf, useShelf } from '../../../wire/queries.js';
import { useCane } from '../../canes/clay/useCane.js';
import { Face } from '../../canes/faces/Face.js';

interface ThereFaceProps {
  readonly thing: ThereAnswer;
  /** px across */
  readonly size: number;
}

interface WorkedProps extends ThereFaceProps {
  readonly cane: CaneAnswer;
  readonly shelf: ShelfAnswer;
}

function WorkedFace({ thing, size, cane, shelf }: WorkedProps): ReactElement {
  const { worked, paints } = useCane(cane, cane.program.steps, shelf, { wobble: 'off' });
  const at = worked?.steps.findLastIndex((s) => s.there) ?? 0;
  return <Face worked={worked} at={Math.max(0, at)} size={size} paints={paints} label={`Face of ${thing.name}`} />;
}

/** The face of a cane that lies there; of an older plan only its colours, since its face was another one. */
export function ThereFace({ thing, size }: ThereFaceProps): ReactElement {
  const [cane, shelf] = [useCaneOf(thing.caneId ?? undefined), useShelf()];
  if (cane.data && shelf.data && cane.data.revisionId === thing.of.id)
    return <WorkedFace thing={thing} size={size} cane={cane.data} shelf={shelf.data} />;
  return (
    <Box width={`${size}px`} height={`${size}px`} borderRadius="50%" style={{ background: swatch(thing.hexes) }} />
  );
}
