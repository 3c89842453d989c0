import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { cutterOf, showCutter } from '#core/cutter';
import type { PatternCutDto } from '#contract';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import type { PlainPattern } from '../../../workers/pattern.js';
import { PieceFace } from '../faces/PieceFace.js';
import type { BenchPattern } from '../usePattern.js';

interface PiecesSeenProps {
  readonly cut: PatternCutDto;
  readonly plain: PlainPattern;
  /** sheets that one make gives */
  readonly each: number;
  readonly bench: BenchPattern;
}

/** px of the longer side of a piece, in few and in many. */
const [LARGE, SMALL, FEW] = [92, 62, 12];

/** Every piece as it will look, in the order of its number; pairs side by side. */
export function PiecesSeen({ cut, plain, each, bench }: PiecesSeenProps): ReactElement {
  const units = useUnits();
  const cutter = cutterOf(cut);
  const paired = cut.places.some((p) => p.flip === true);
  const inGroup = paired ? 2 : 1;
  const groups = Array.from({ length: Math.ceil(cut.places.length / inGroup) }, (_, g) =>
    cut.places.slice(g * inGroup, (g + 1) * inGroup),
  );
  const size = cut.places.length > FEW ? SMALL : LARGE;
  return (
    <div>
      <Box as="h2" marginBottom={1}>
        Each piece as it will look
      </Box>
      {cut.places.length === 0 ? (
        <Caption display="block">
          None yet. Let Sledge find the places, or put the cutter on the sheet yourself.
        </Caption>
      ) : (
        <Flex as="ol" gap={3} wrap="wrap" aria-label={`Pieces of ${cut.name}`} alignItems="flex-end">
          {groups.map((group, g) => (
            <Flex as="li" key={g} gap={1} marginRight={paired ? 3 : 0}>
              {group.map((place, k) => (
                <Box key={k} textAlign="center">
                  <PieceFace
                    pattern={plain}
                    sheet={place.sheet}
                    each={each}
                    cut={cut}
                    place={place}
                    size={size}
                    paints={bench.paints}
                    label={`Piece ${g * inGroup + k + 1} as it will look`}
                  />
                  <Caption>{g * inGroup + k + 1}</Caption>
                </Box>
              ))}
            </Flex>
          ))}
        </Flex>
      )}
      <Caption display="block" marginTop={1}>
        {cut.places.length} of {showCutter(cutter, units)}
      </Caption>
    </div>
  );
}
