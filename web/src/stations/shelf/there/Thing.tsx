import { Box, chakra } from '@chakra-ui/react';
import { useId, type ReactElement } from 'react';
import { showMass } from '#core/units';
import type { ThereAnswer } from '#contract';
import { swatch } from '../../../parts/swatch.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import { drawnAs, sizeWords } from './thereWords.js';

export const Pick = chakra('button', {
  base: {
    display: 'block',
    textAlign: 'left',
    padding: '6px',
    margin: '-6px',
    border: '3px solid transparent',
    _hover: { borderColor: 'hairline' },
    '&&&[aria-pressed=true]': { borderColor: 'ink' },
  },
});

/** Slices that are drawn beside each other, at most. */
const MOST_SLICES = 6;

/** A plug has its fade from the middle outwards, everything else along. */
function paintOf({ form, hexes, inside }: ThereAnswer): string {
  if (form !== 'plug' || hexes.length < 2) return swatch(hexes);
  const outwards = inside === 'last' ? [...hexes].reverse() : hexes;
  return `radial-gradient(circle, ${outwards.map((hex) => `#${hex}`).join(', ')})`;
}

/** A thing as it lies there, all at one scale. */
export function ThingDrawing({ thing }: { readonly thing: ThereAnswer }): ReactElement {
  const { shape, width, height } = drawnAs(thing);
  const count = shape === 'row' ? Math.min(MOST_SLICES, thing.count) : 1;
  return (
    <Box display="flex" gap="3px" aria-hidden>
      {Array.from({ length: count }, (_, i) => (
        <Box
          key={i}
          width={`${width}px`}
          height={`${height}px`}
          flex="none"
          style={{ background: paintOf(thing), borderRadius: shape === 'flat' ? 0 : '50%' }}
        />
      ))}
    </Box>
  );
}

interface ThingProps {
  readonly thing: ThereAnswer;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

/** A thing in its row: drawn, and what it is in two lines. */
export function Thing({ thing, chosen, onChoose }: ThingProps): ReactElement {
  const units = useUnits();
  const label = useId();
  return (
    <Pick aria-pressed={chosen} aria-labelledby={label} onClick={onChoose}>
      <ThingDrawing thing={thing} />
      <Box id={label} fontWeight={600} fontSize="small" marginTop={1} lineHeight={1.3} maxWidth="190px">
        {thing.name}
      </Box>
      <Caption display="block" lineHeight={1.4}>
        {showMass(thing.grams, units)} · {sizeWords(thing, units)}
      </Caption>
      {thing.reservedFor.length > 0 && (
        <Caption display="block" lineHeight={1.4}>
          reserved for {thing.reservedFor.map((r) => r.name).join(', ')}
        </Caption>
      )}
    </Pick>
  );
}
