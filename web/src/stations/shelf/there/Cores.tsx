import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { BEAD_SHAPES, beadOf, discOfCutter, discsIn, slicesAround, type BeadShape } from '#core/stock';
import { showLength, showMass, showSize } from '#core/units';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { LengthValue } from '../../../parts/Value.js';
import { useUnits } from '../../../state/view.js';
import { Second } from '../../../theme/pieces.js';

interface CoresProps {
  /** of what there is, for cores */
  readonly grams: number;
  readonly density: number;
  /** slices that cover them; null where there are none */
  readonly slices: { readonly count: number; readonly across: number; readonly mm: number } | null;
}

const CALLED: Readonly<Record<BeadShape, string>> = {
  round: 'a ball of',
  oval: 'an oval of',
  bicone: 'a bicone of',
  disc: 'a flattened ball of',
};

/** Beads of the same disc match: what each shape of it measures, how many there are, and what slices cover. */
export function Cores({ grams, density, slices }: CoresProps): ReactElement {
  const units = useUnits();
  const [cutter, setCutter] = useState(15);
  const [mm, setMm] = useState(3);
  const disc = discOfCutter(cutter, mm);
  const ball = beadOf('round', disc).width;
  const each = slices && slicesAround(ball, (Math.PI / 4) * slices.across ** 2, slices.mm);
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        {slices ? 'Around cores' : 'Cores and beads'}
      </Box>
      <Box fontSize="small" lineHeight={1.7}>
        discs of{' '}
        <LengthValue
          label="Cutter of the cores"
          value={cutter}
          onChange={(next) => {
            if (next >= 1) setCutter(next);
          }}
        />{' '}
        at{' '}
        <ThicknessValue
          label="Thickness of the discs"
          value={mm}
          onChange={(next) => {
            if (next > 0) setMm(next);
          }}
        />
        , {showMass((disc * density) / 1000, units)} each
        {!slices && (
          <>
            : <b>{discsIn(grams, density, disc)}</b> of them
          </>
        )}
      </Box>
      {slices && each !== null ? (
        <Second>
          a ball of {showLength(ball, units)} takes {each} slices and is a bead of{' '}
          <b>{showLength(ball + 2 * slices.mm, units)}</b>: enough for {Math.floor(slices.count / each)}
        </Second>
      ) : (
        <Second>
          each is{' '}
          {BEAD_SHAPES.map((shape, i) => {
            const { length, width } = beadOf(shape, disc);
            const size = shape === 'round' ? showLength(width, units) : showSize(width, length, units);
            return `${i > 0 ? ', ' : ''}${i === BEAD_SHAPES.length - 1 ? 'or ' : ''}${CALLED[shape]} ${size}`;
          }).join('')}
        </Second>
      )}
    </div>
  );
}
