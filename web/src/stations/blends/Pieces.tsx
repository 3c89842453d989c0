import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { FadePiece } from '#core/blend';
import { hexOf, xyzOfLab } from '#core/colour';
import { orSentence, showLength, showMass } from '#core/units';
import type { BlendPlanDto, MachineDto } from '#contract';
import { CountValue, LengthValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import { plannedFor, usualWanted } from './forPieces.js';
import { cutFrom, evenly, shadesAt, withPiece } from './pieceMoves.js';
import { PiecesBack } from './PiecesBack.js';
import { rolledOn } from './rolled.js';
import type { WorkedBlend } from './workedBlend.js';

type Placed = NonNullable<BlendPlanDto['placed']>;

interface OnePlacedProps {
  readonly placed: Placed;
  readonly at: number;
  readonly plan: BlendPlanDto;
  readonly onPlaced: (placed: Placed) => void;
}

/** One piece that was put somewhere: its size and its place. */
function OnePlaced({ placed, at: i, plan, onPlaced }: OnePlacedProps): ReactElement | null {
  const p = placed[i];
  if (!p) return null;
  return (
    <Box>
      piece {i + 1}:{' '}
      <LengthValue
        label={`Size of piece ${i + 1}`}
        value={p.size}
        onChange={(s) => {
          if (s >= 1) onPlaced(withPiece(placed, i, { size: s }));
        }}
      />{' '}
      at{' '}
      <LengthValue
        label={`Place of piece ${i + 1}`}
        value={p.x}
        onChange={(x) => {
          if (x >= 0 && x <= plan.width) onPlaced(withPiece(placed, i, { x }));
        }}
      />{' '}
      ·{' '}
      <Word
        aria-label={`Take piece ${i + 1} away`}
        onClick={() => {
          onPlaced(placed.filter((_, k) => k !== i));
        }}
      >
        away
      </Word>
    </Box>
  );
}

interface ByHandProps {
  readonly placed: Placed;
  readonly plan: BlendPlanDto;
  /** mm of a piece more */
  readonly size: number;
  readonly onPlaced: (placed: Placed | null) => void;
}

/** Pieces where the maker puts them. */
function ByHand({ placed, plan, size, onPlaced }: ByHandProps): ReactElement {
  return (
    <Box fontSize="small">
      {placed.length} where you put them on the fade; drag them there, or with the arrow keys
      {placed.map((_, i) => (
        <OnePlaced key={i} placed={placed} at={i} plan={plan} onPlaced={onPlaced} />
      ))}
      <Word
        onClick={() => {
          onPlaced([...placed, { x: plan.width / 2, size }]);
        }}
      >
        another piece
      </Word>{' '}
      ·{' '}
      <Word
        onClick={() => {
          onPlaced(null);
        }}
      >
        evenly again
      </Word>
    </Box>
  );
}

interface EvenProps {
  readonly graded: readonly FadePiece[] | string;
  readonly count: number;
  readonly size: number;
  readonly onCount: (count: number) => void;
  readonly onSize: (size: number) => void;
  readonly onPlaced: (placed: Placed) => void;
}

/** A graded set: so many pieces of one size, one shade each. */
function Even({ graded, count, size, onCount, onSize, onPlaced }: EvenProps): ReactElement {
  return (
    <Box>
      <CountValue label="Pieces along the fade" value={count} onChange={onCount} /> of{' '}
      <LengthValue
        label="Size of a piece"
        value={size}
        onChange={(v) => {
          if (v > 0) onSize(v);
        }}
      />
      , one shade each
      {typeof graded === 'string' ? (
        <Warning>{graded}</Warning>
      ) : (
        <Box fontSize="small">
          <Word
            onClick={() => {
              onPlaced(graded.map((p) => ({ x: p.x, size })));
            }}
          >
            put them elsewhere
          </Word>
        </Box>
      )}
    </Box>
  );
}

interface PiecesProps {
  readonly worked: WorkedBlend;
  readonly plan: BlendPlanDto;
  readonly own: MachineDto | undefined;
  readonly onChange: (part: Partial<BlendPlanDto>) => void;
}

/** Pieces cut from a fade as it is: a graded set, or each where it is put. */
function OnTheFade({ worked, plan, own, onChange }: PiecesProps): ReactElement {
  const [count, setCount] = useState(5);
  const [size, setSize] = useState(18);
  const { fade } = worked;
  const { placed } = plan;
  const graded = evenly(fade, count, size);
  const even = typeof graded === 'string' ? [] : graded;
  const shades = placed ? shadesAt(fade, placed) : even;
  const onPlaced = (next: Placed | null): void => {
    onChange({ placed: next });
  };
  return (
    <>
      {placed ? (
        <ByHand placed={placed} plan={plan} size={size} onPlaced={onPlaced} />
      ) : (
        <Even graded={graded} count={count} size={size} onCount={setCount} onSize={setSize} onPlaced={onPlaced} />
      )}
      <Flex gap="2px" wrap="wrap" marginTop={2} aria-label="Shades of the pieces" role="img">
        {shades.map((p, i) => (
          <Box
            key={i}
            width="30px"
            height="30px"
            borderRadius="50%"
            style={{ background: `#${hexOf(xyzOfLab(p.lab))}` }}
          />
        ))}
      </Flex>
      {shades.length > 0 && (
        <LeftOver worked={worked} plan={plan} sizes={placed ? placed.map((p) => p.size) : shades.map(() => size)} />
      )}
      <BackFrom plan={plan} own={own} onChange={onChange} />
    </>
  );
}

/** The other way round: the sheet follows from the pieces. */
function BackFrom({ plan, own, onChange }: Omit<PiecesProps, 'worked'>): ReactElement {
  const [wrong, setWrong] = useState<string | null>(null);
  return (
    <Box fontSize="small" marginTop={2}>
      <Word
        onClick={() => {
          const rolled = rolledOn(plan, own);
          const planned = orSentence(() => plannedFor(plan, usualWanted(rolled), rolled));
          setWrong(typeof planned === 'string' ? planned : null);
          if (typeof planned !== 'string') onChange(planned);
        }}
      >
        plan the sheet back from pieces
      </Word>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}

/** Pieces that are cut of the blend, and what they make of it. */
export function Pieces(props: PiecesProps): ReactElement {
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Pieces
      </Box>
      {props.plan.wanted ? <PiecesBack {...props} /> : <OnTheFade {...props} />}
    </div>
  );
}

interface LeftOverProps extends Omit<PiecesProps, 'onChange' | 'own'> {
  readonly sizes: readonly number[];
}

/** How many rows of them there are, and how much is left over. */
function LeftOver({ worked, plan, sizes }: LeftOverProps): ReactElement {
  const units = useUnits();
  const { rows, left } = cutFrom(plan, sizes);
  if (rows === 0) return <Caption>the blend is only {showLength(plan.height, units)} high: none fits</Caption>;
  return (
    <Caption>
      {rows} rows of them on the sheet · {showMass(left * worked.grams, units)} is left over
    </Caption>
  );
}
