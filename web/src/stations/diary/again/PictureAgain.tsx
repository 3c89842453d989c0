import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { swatch } from '../../../parts/swatch.js';
import { CaneImage } from '../../canes/faces/CaneImage.js';
import { SheetImage } from '../../patterns/faces/SheetImage.js';

/** What was made, as it is seen. */
export type MadeThen =
  | { readonly kind: 'cane' | 'pattern'; readonly revisionId: string }
  | { readonly kind: 'blend'; readonly hexes: readonly string[] };

/** px of the larger one of what was made and what it becomes. */
const SIDE = 180;

function Inside({ made }: { readonly made: MadeThen }): ReactElement {
  if (made.kind === 'blend') return <Box width="100%" height="100%" style={{ background: swatch(made.hexes) }} />;
  return (
    <svg width="100%" height="100%" viewBox={`0 0 ${SIDE} ${SIDE}`}>
      {made.kind === 'cane' ? (
        <CaneImage revisionId={made.revisionId} size={SIDE} />
      ) : (
        <SheetImage of={{ revisionId: made.revisionId, sheet: 0, hands: 0 }} width={SIDE} height={SIDE} ownShape />
      )}
    </svg>
  );
}

interface PictureAgainProps {
  readonly made: MadeThen;
  readonly name: string;
  /** 0.8 is a fifth smaller */
  readonly factor: number;
}

/** What was made in the size it is made again, in the outline of how large it was. */
export function PictureAgain({ made, name, factor }: PictureAgainProps): ReactElement {
  const [side, was] = [SIDE * Math.min(1, factor), SIDE * Math.min(1, 1 / factor)];
  return (
    <Box
      position="relative"
      width={`${SIDE}px`}
      height={`${SIDE}px`}
      flex="none"
      role="img"
      aria-label={`${name}, as it was made`}
    >
      <Box position="absolute" left={0} bottom={0} style={{ width: side, height: side }}>
        <Inside made={made} />
      </Box>
      {factor !== 1 && (
        <Box position="absolute" left={0} bottom={0} outline="1px dashed" style={{ width: was, height: was }} />
      )}
    </Box>
  );
}
