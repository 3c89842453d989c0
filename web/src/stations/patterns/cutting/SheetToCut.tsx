import { Box, Flex, chakra } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { cutterOf } from '#core/cutter';
import { showLength } from '#core/units';
import { Edge, HandPieces } from '../../../parts/cutters/HandPieces.js';
import { freePlace } from '../../../parts/cutters/handMoves.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Word } from '../../../theme/pieces.js';
import type { PlainBody, PlainPattern } from '../../../workers/pattern.js';
import { PatternFace } from '../faces/PatternFace.js';
import { finished } from '../faces/finished.js';
import type { BenchPattern } from '../usePattern.js';
import { placesOn, wrongOn, type SheetsToCut } from './cutMoves.js';
import type { Cutting } from './useCutting.js';

/** px of the longer side of one among several sheets. */
const SMALL = 74;

const Pick = chakra('button', { base: { display: 'block' } });

interface SheetProps {
  /** px of the longer side of the sheet */
  readonly size: number;
  readonly cutting: Cutting;
  readonly sheets: SheetsToCut;
  readonly plain: PlainPattern;
  readonly body: PlainBody;
  readonly bench: BenchPattern;
}

/** Sheets that are chosen from, at the most. */
const MOST_SHOWN = 24;

/** All sheets small, where there are several. */
function AllSheets({ size, cutting, sheets, plain, body, bench }: SheetProps): ReactElement | null {
  if (sheets.count < 2) return null;
  return (
    <Flex gap={2} wrap="wrap" role="group" aria-label="Sheets" marginBottom={3} maxWidth={`${size}px`}>
      {Array.from({ length: Math.min(MOST_SHOWN, sheets.count) }, (_, sheet) => {
        const own = finished(plain, sheet, body.count);
        return (
          <Pick
            key={sheet}
            aria-pressed={sheet === cutting.sheet}
            aria-label={`Sheet ${sheet + 1}`}
            onClick={() => {
              cutting.setSheet(sheet);
            }}
          >
            <PatternFace
              pattern={own.plain}
              at={own.at}
              view={own.view}
              body={body}
              size={SMALL}
              paints={bench.paints}
              label={`Sheet ${sheet + 1}, small`}
            />
            <Box height={sheet === cutting.sheet ? '9px' : '1px'} background="ink" marginTop={1} />
          </Pick>
        );
      })}
    </Flex>
  );
}

/** Pieces of other cutters, which lie where they lie. */
function Others({ cutting }: Pick<SheetProps, 'cutting'>): ReactElement {
  return (
    <>
      {cutting.cuts
        .filter((cut) => cut.id !== cutting.chosen.id)
        .flatMap((cut) =>
          placesOn(cut, cutting.sheet).map(({ x, y, degrees, flip }, i) => (
            <g
              key={`${cut.id} ${i}`}
              transform={`translate(${x} ${y}) rotate(${degrees})${flip === true ? ' scale(-1 1)' : ''}`}
            >
              <Edge cutter={cutterOf(cut)} dashed />
            </g>
          )),
        )}
    </>
  );
}

/** The sheet large, and the cutters on it: found, dragged, or put there by keys. */
export function SheetToCut(props: SheetProps): ReactElement {
  const { size, cutting, sheets, plain, body, bench } = props;
  const units = useUnits();
  const { ground } = sheets;
  const { chosen, sheet } = cutting;
  const scale = size / Math.max(ground.width, ground.length);
  const own = useMemo(() => finished(plain, sheet, body.count), [plain, sheet, body.count]);
  const places = placesOn(chosen, sheet);
  const first = chosen.places.findIndex((p) => p.sheet === sheet);
  const wrong = wrongOn(cutting.cuts, sheet, sheets);
  const more = (): void => {
    const place = freePlace(cutterOf(chosen), places, ground);
    if (place) cutting.put([...places, place]);
  };
  return (
    <Box>
      <AllSheets {...props} />
      <Box position="relative" width={`${Math.ceil(ground.width * scale)}px`}>
        <PatternFace
          pattern={own.plain}
          at={own.at}
          view={own.view}
          body={body}
          size={size}
          paints={bench.paints}
          label="The sheet to cut"
        />
        <Box position="absolute" inset="0">
          <HandPieces
            cutter={cutterOf(chosen)}
            ground={ground}
            places={places}
            onPlaces={cutting.put}
            scale={scale}
            label="The sheet, with the cutters on it"
            firstNumber={Math.max(0, first) + 1}
          >
            <Others cutting={cutting} />
          </HandPieces>
        </Box>
      </Box>
      <Box borderTop="rule" marginTop={2} width={`${Math.ceil(ground.width * scale)}px`} textAlign="center">
        <Caption>{showLength(ground.width, units)}</Caption>
      </Box>
      {wrong !== null && <Warning>{wrong}</Warning>}
      <Word fontSize="small" onClick={more}>
        {places.length === 0 ? 'put the cutter on it' : 'one more by hand'}
      </Word>
      <Caption display="block">drag, or arrow keys (shift: farther), R turns, F flips, Delete takes it away</Caption>
    </Box>
  );
}
