import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import {
  cutterArea,
  cutterOf,
  mostOn,
  plainCutter,
  showCutter,
  type Cutter,
  type HandPlace,
  type Lie,
  type SheetLeft,
} from '#core/cutter';
import { showArea, showMass } from '#core/units';
import type { MadeAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { LIE_OPTIONS, mostContrast } from '../../parts/cutters/lies.js';
import { CountValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Second, Word } from '../../theme/pieces.js';
import type { Refused } from '../../wire/ask.js';
import { wrongWith } from '../../parts/cutters/handMoves.js';
import { PlaceByHand } from './PlaceByHand.js';
import { cutOf, gramsPerArea } from './sheetWords.js';

/** What the views of a sheet are given. */
export interface SheetProps {
  readonly sheet: MadeAnswer;
  /** what is left of it */
  readonly left: SheetLeft;
  readonly refusal: Refused | undefined;
  readonly save: (part: Partial<MadeAnswer>) => void;
}

/** What was cut from it. */
export function Cuts({ sheet, left, save }: Omit<SheetProps, 'refusal'>): ReactElement | null {
  const units = useUnits();
  if (sheet.cuts.length === 0) return null;
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Cut from it
      </Box>
      {sheet.cuts.map((c) => (
        <Box key={c.id} fontSize="small">
          {c.count} of {showCutter(cutterOf(c), units)} ·{' '}
          <Word
            onClick={() => {
              save({ cuts: sheet.cuts.filter((x) => x.id !== c.id) });
            }}
          >
            not after all
          </Word>
        </Box>
      ))}
      <Second>
        {showArea(left.pieces, units)} of pieces, {showMass(gramsPerArea(sheet) * left.scrap, units)} scrap between them
      </Second>
    </div>
  );
}

export interface CutPiecesProps extends SheetProps {
  readonly cutter: Cutter;
  readonly bridge: number;
}

/** How pieces come onto the sheet: laid out in one of the ways, or put there one by one. */
type Way = Lie | 'hand';
const BY_HAND = { value: 'hand', text: 'where I put them' } as const;
const CLOSE = LIE_OPTIONS.filter((o) => o.value === 'close');

/** What is about to be cut, and how it lies. */
function useCut({ sheet, left, save, cutter, bridge }: CutPiecesProps) {
  const [count, setCount] = useState(1);
  const [said, setWay] = useState<Way | null>(null);
  const [places, setPlaces] = useState<readonly HandPlace[]>([]);
  const usual = sheet.hexes.length > 1 ? mostContrast(plainCutter(cutter)) : 'close';
  const way = said ?? usual;
  const lie = way === 'hand' ? 'close' : way;
  const fits = mostOn(cutter, { width: sheet.widthMm, length: left.length, bridge, lie });
  const ground = { width: sheet.widthMm, length: left.length };
  const many = way === 'hand' ? places.length : count;
  const possible = way === 'hand' ? many > 0 && wrongWith(cutter, places, ground) === null : fits > 0;
  const cut = (): void => {
    const own = cutOf(cutter, many, bridge);
    save({
      cuts: [...sheet.cuts, way === 'hand' ? { ...own, places: places.map((p) => ({ ...p })) } : { ...own, lie }],
    });
    setPlaces([]);
  };
  return { count, setCount, way, setWay, places, setPlaces, fits, ground, many, possible, cut };
}

/** Pieces are cut from what is left. */
export function CutPieces(props: CutPiecesProps): ReactElement {
  const { sheet, refusal, cutter } = props;
  const units = useUnits();
  const { count, setCount, way, setWay, places, setPlaces, fits, ground, many, possible, cut } = useCut(props);
  const wrong = refusal?.sentenceFor('cuts');
  const ways = [...(sheet.hexes.length > 1 ? LIE_OPTIONS : CLOSE), BY_HAND];
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Cut pieces
      </Box>
      {way === 'hand' ? (
        many
      ) : (
        <CountValue
          label="How many were cut"
          value={count}
          onChange={(n) => {
            if (Number.isInteger(n) && n > 0) setCount(n);
          }}
        />
      )}{' '}
      of {showCutter(cutter, units)}{' '}
      <Action marginLeft={2} onClick={cut} disabled={!possible}>
        Cut
      </Action>
      <Second>
        <Choice label="How they lie on the sheet" value={way} options={ways} onChange={setWay} />
      </Second>
      {way === 'hand' ? (
        <PlaceByHand
          cutter={cutter}
          ground={ground}
          hexes={sheet.hexes}
          patterned={sheet.patterned && { of: sheet.patterned, lengthMm: sheet.lengthMm }}
          places={places}
          onPlaces={setPlaces}
        />
      ) : (
        <Caption display="block">
          {fits === 0
            ? 'none fits on what is left'
            : `${fits} still fit, ${showArea(fits * cutterArea(cutter), units)} of them`}
        </Caption>
      )}
      {wrong !== undefined && <Warning>{wrong}</Warning>}
    </div>
  );
}
