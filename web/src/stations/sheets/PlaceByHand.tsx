import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { Cutter, HandPlace } from '#core/cutter';
import { HandPieces } from '../../parts/cutters/HandPieces.js';
import { freePlace, wrongWith, type Ground } from '../../parts/cutters/handMoves.js';
import { SheetImage, type SheetSeen } from '../patterns/faces/SheetImage.js';
import { swatch } from '../../parts/swatch.js';
import { Warning } from '../../parts/Warning.js';
import { Caption, Word } from '../../theme/pieces.js';

/** px that what is left of the sheet may have. */
const ROOM = { width: 270, height: 320 } as const;

interface PlaceByHandProps {
  readonly cutter: Cutter;
  readonly ground: Ground;
  readonly hexes: readonly string[];
  /** of a patterned sheet: what it shows, and how long it was before anything was cut of it */
  readonly patterned: { readonly of: SheetSeen; readonly lengthMm: number } | null;
  readonly places: readonly HandPlace[];
  readonly onPlaces: (places: readonly HandPlace[]) => void;
}

/** What is left of a sheet, and the cutter where it is put. */
export function PlaceByHand({ cutter, ground, hexes, patterned, places, onPlaces }: PlaceByHandProps): ReactElement {
  const scale = Math.min(ROOM.width / ground.width, ROOM.height / Math.max(1, ground.length));
  const wrong = wrongWith(cutter, places, ground);
  return (
    <Box marginTop={2}>
      <Box position="relative" width={`${ground.width * scale}px`}>
        {patterned && (
          <Box position="absolute" inset="0">
            <svg width={ground.width * scale} height={ground.length * scale} aria-hidden>
              <SheetImage of={patterned.of} width={ground.width * scale} height={patterned.lengthMm * scale} />
            </svg>
          </Box>
        )}
        <Box position="relative">
          <HandPieces
            cutter={cutter}
            ground={ground}
            places={places}
            onPlaces={onPlaces}
            scale={scale}
            label="What is left of the sheet, with the pieces on it"
            background={patterned ? 'none' : swatch(hexes)}
          />
        </Box>
      </Box>
      <Word
        fontSize="small"
        onClick={() => {
          const place = freePlace(cutter, places, ground);
          if (place) onPlaces([...places, place]);
        }}
      >
        {places.length === 0 ? 'put the cutter on it' : 'another piece'}
      </Word>
      <Caption display="block">drag, or arrow keys (shift: farther), R turns, F flips, Delete takes it away</Caption>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
