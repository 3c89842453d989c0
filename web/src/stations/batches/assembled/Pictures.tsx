import { Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { SettledPiece } from '#core/piece';
import { showLength } from '#core/units';
import type { PlanAnswer } from '#contract';
import { hexesIn, type HexesOf } from '../../../parts/pieces/drawn.js';
import { PieceAbove } from '../../../parts/pieces/PieceAbove.js';
import { PieceSide } from '../../../parts/pieces/PieceSide.js';
import { tilesIn } from './materialTiles.js';
import { useUnits, useView } from '../../../state/view.js';
import { Word } from '../../../theme/pieces.js';

/** px that the drawing from above has room for. */
const ROOM = 330;
/** px for the one from the side. */
const SIDE_ROOM = 225;
/** px that a high one gets at the most. */
const SIDE_HIGH = 130;

/** mm around a piece that is drawn. */
const DRAWN_AIR = 3;

/** How many px a mm has: as it really is, or as large as there is room. */
function useScale({ extent }: SettledPiece, room: number, real: boolean): number {
  const pxPerMm = useView((s) => s.pxPerMm);
  return real ? pxPerMm : room / (Math.max(extent.width, extent.height) + DRAWN_AIR);
}

/** The piece from the side, together or apart. */
function FromSide({
  name,
  settled,
  hexesOf,
  chosen,
  real,
}: {
  readonly name: string;
  readonly settled: SettledPiece;
  readonly hexesOf: HexesOf;
  readonly chosen: string | null;
  readonly real: boolean;
}): ReactElement {
  const units = useUnits();
  const [apart, setApart] = useState(false);
  const wide = useScale(settled, SIDE_ROOM, real);
  const side = real ? wide : Math.min(wide, SIDE_HIGH / (settled.top - settled.bottom));
  return (
    <>
      <Flex alignItems="baseline" gap={3}>
        <h3>From the side</h3>
        <Word
          fontSize="small"
          aria-pressed={apart}
          onClick={() => {
            setApart(!apart);
          }}
        >
          {apart ? 'together' : 'parts apart'}
        </Word>
      </Flex>
      <PieceSide
        piece={settled}
        hexesOf={hexesOf}
        label={`${name} from the side`}
        scale={side}
        units={units}
        chosen={chosen}
        apart={apart}
      />
    </>
  );
}

interface PicturesProps {
  readonly name: string;
  readonly settled: SettledPiece;
  readonly plan: PlanAnswer;
  readonly chosen: string | null;
  readonly onChoose: (partId: string) => void;
  readonly children: ReactElement;
}

/** The piece as it will look: from above and from the side, at one scale, its parts apart where one asks for it. */
export function Pictures({ name, settled, plan, chosen, onChoose, children }: PicturesProps): ReactElement {
  const units = useUnits();
  const [real, setReal] = useState(false);
  const above = useScale(settled, ROOM, real);
  const hexesOf = hexesIn(plan.materials);
  const { width, height } = settled.extent;
  return (
    <Grid templateColumns="repeat(auto-fit, minmax(290px, 1fr))" gap={5} alignItems="start">
      <Flex direction="column" alignItems="center" gap={1} minWidth={0}>
        <PieceAbove
          piece={settled}
          hexesOf={hexesOf}
          tileOf={tilesIn(plan.materials)}
          label={`${name} from above`}
          scale={above}
          chosen={chosen}
          onChoose={onChoose}
        />
        <Flex gap={3} alignItems="baseline">
          <span>
            {showLength(width, units)} wide, {showLength(height, units)} long
          </span>
          <Word
            fontSize="small"
            aria-pressed={real}
            onClick={() => {
              setReal(!real);
            }}
          >
            {real ? 'as large as there is room' : 'at true size'}
          </Word>
        </Flex>
      </Flex>
      <Flex direction="column" gap={3}>
        <FromSide {...{ name, settled, hexesOf, chosen, real }} />
        {children}
      </Flex>
    </Grid>
  );
}
