import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { showLength } from '#core/units';
import { Caption } from '../../theme/pieces.js';
import { useUnits } from '../../state/view.js';
import { useWalls } from '../../workers/pattern.js';
import { GLOWS, isGlass, isOneLayer, lightIn } from './lace.js';
import type { BenchPattern } from './usePattern.js';

/** How much light each clay of a sheet of one layer lets through, and how wide its walls are after rolling. */
export function AgainstLight({ bench }: { readonly bench: BenchPattern }): ReactElement | null {
  const units = useUnits();
  const lace = isOneLayer(bench.plain.steps);
  const walls = useWalls(bench.plain, lace);
  const body = bench.bodies?.at(-1);
  if (!walls || !body?.there) return null;
  const all = lightIn(bench.materials, walls, body.thick);
  if (!isGlass(all)) return null;
  return (
    <Box>
      <Box as="h2" marginBottom={1}>
        Against the light
      </Box>
      <Caption display="block">at {showLength(body.thick, units, true)}, baked</Caption>
      <Box as="ul" aria-label="Light that comes through" fontSize="small" lineHeight={1.6}>
        {all.map(({ key, name, share, wall }) => (
          <Box as="li" key={key} display="flex" justifyContent="space-between" gap={3}>
            <span>
              {name}
              {wall !== null && <Caption> {showLength(wall, units)} wide at its narrowest</Caption>}
            </span>
            <b>{share < GLOWS ? 'hardly any' : `${Math.round(100 * share)} %`}</b>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
