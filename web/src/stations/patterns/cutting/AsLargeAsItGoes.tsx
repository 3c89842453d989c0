import type { ReactElement } from 'react';
import { plainCutter, showCutter } from '#core/cutter';
import { useUnits } from '../../../state/view.js';
import { Second, Word } from '../../../theme/pieces.js';
import { withCutter, type SheetsToCut } from './cutMoves.js';
import { largestCut } from './largestCut.js';
import type { Cutting } from './useCutting.js';

/** The largest of the shape that goes on the sheet, to be taken. */
export function AsLargeAsItGoes({
  cutting,
  sheets,
}: {
  readonly cutting: Cutting;
  readonly sheets: SheetsToCut;
}): ReactElement {
  const units = useUnits();
  const { width, length, round } = { ...sheets.ground, round: sheets.round };
  const { cutter, place } = largestCut(cutting.chosen, { width, height: length, round });
  return (
    <Second>
      The largest of this shape that the sheet holds: {showCutter(cutter, units)}.{' '}
      <Word
        fontSize="small"
        aria-label="Cut one as large as it goes"
        onClick={() => {
          cutting.change({ ...withCutter(plainCutter(cutter)), places: [{ ...place, sheet: cutting.sheet }] });
        }}
      >
        cut that one
      </Word>
    </Second>
  );
}
