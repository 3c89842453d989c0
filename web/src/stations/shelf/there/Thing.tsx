import { Box, chakra } from '@chakra-ui/react';
import { useId, type ReactElement } from 'react';
import { showMass } from '#core/units';
import type { ThereAnswer } from '#contract';
import { swatch } from '../../../parts/swatch.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import { SheetImage } from '../../patterns/faces/SheetImage.js';
import { ThereFace } from './ThereFace.js';
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

/** Colours of a cane beside each other, as they show at its side: no fade, since nobody knows which is outside. */
function stripesOf(hexes: readonly string[]): string {
  const stops = hexes.map((hex, i) => `#${hex} ${(100 * i) / hexes.length}% ${(100 * (i + 1)) / hexes.length}%`);
  return hexes.length > 1 ? `linear-gradient(to bottom, ${stops.join(', ')})` : swatch(hexes);
}

/** px that a face is drawn at, at least, to be seen at all. */
const LEAST_FACE = 20;

/** A thing as it lies there, all at one scale. */
export function ThingDrawing({ thing }: { readonly thing: ThereAnswer }): ReactElement {
  const { shape, width, height } = drawnAs(thing);
  if (shape === 'row')
    return (
      <Box display="flex" gap="3px" aria-hidden>
        {Array.from({ length: Math.min(MOST_SLICES, thing.count) }, (_, i) => (
          <ThereFace key={i} thing={thing} size={Math.max(LEAST_FACE, width)} />
        ))}
      </Box>
    );
  if (thing.patterned && shape === 'flat')
    return (
      <svg width={width} height={height} aria-hidden style={{ display: 'block' }}>
        <SheetImage of={thing.patterned} width={width} height={height} />
      </svg>
    );
  const cane = thing.form === 'cane';
  const background = cane ? stripesOf(thing.hexes) : paintOf(thing);
  return (
    <Box display="flex" gap="3px" alignItems="center" aria-hidden>
      {cane && <ThereFace thing={thing} size={Math.max(LEAST_FACE, height)} />}
      <Box
        width={`${width}px`}
        height={`${height}px`}
        flex="none"
        style={{ background, borderRadius: shape === 'flat' ? 0 : '50%' }}
      />
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
        {showMass(thing.left, units)} · {sizeWords(thing, units)}
      </Caption>
      {thing.reservedFor.length > 0 && (
        <Caption display="block" lineHeight={1.4}>
          reserved for {thing.reservedFor.map((r) => r.name).join(', ')}
        </Caption>
      )}
    </Pick>
  );
}
