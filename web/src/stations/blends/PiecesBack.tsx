import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { SheetForPieces } from '#core/blend';
import { cutterArea, cutterOf, plainCutter } from '#core/cutter';
import { orSentence, showLength, showMass, showSize } from '#core/units';
import type { BlendPlanDto, BlendWantedDto, MachineDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { CutPieces } from '../../parts/cutters/CutPieces.js';
import { CutterValue } from '../../parts/cutters/CutterValue.js';
import { FromDrawer } from '../../parts/cutters/FromDrawer.js';
import { ThicknessValue } from '../../parts/Thickness.js';
import { CountValue, LengthValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';
import { Second, Word } from '../../theme/pieces.js';
import { FadeStrip } from './FadeStrip.js';
import { cutsFor, plannedFor } from './forPieces.js';
import { rolledOn } from './rolled.js';
import type { WorkedBlend } from './workedBlend.js';

const SHOWS = [
  { value: 'whole', text: 'each shows the whole fade' },
  { value: 'shade', text: 'each shows one shade' },
] as const;
const ALONG = [
  { value: 'height', text: 'along its height' },
  { value: 'width', text: 'along its width' },
] as const;
/** px that the picture of the finished sheet may have. */
const ROOM = { width: 246, height: 360 } as const;

interface PiecesBackProps {
  readonly worked: WorkedBlend;
  readonly plan: BlendPlanDto;
  readonly own: MachineDto | undefined;
  readonly onChange: (part: Partial<BlendPlanDto>) => void;
}

interface WantedProps {
  readonly wanted: BlendWantedDto;
  readonly onWanted: (wanted: BlendWantedDto) => void;
}

interface ShownProps {
  readonly wanted: BlendWantedDto;
  readonly set: (part: Partial<BlendWantedDto>) => void;
}

/** What of the fade each shows, and which way round it lies. */
function ShownWords({ wanted, set }: ShownProps): ReactElement {
  return (
    <>
      <Choice
        label="What of the fade a piece shows"
        value={wanted.shows}
        options={SHOWS}
        onChange={(shows) => {
          set({ shows });
        }}
      />{' '}
      <Choice
        label="Which side lies along the fade"
        value={wanted.along}
        options={ALONG}
        onChange={(along) => {
          set({ along });
        }}
      />
      {wanted.shows === 'shade' && (
        <>
          , in{' '}
          <CountValue
            label="Shades along the fade"
            value={wanted.shades}
            onChange={(shades) => {
              set({ shades });
            }}
          />{' '}
          shades
        </>
      )}
    </>
  );
}

/** Which pieces, how many, and what of the fade each shows. */
function WantedWords({ wanted, onWanted }: WantedProps): ReactElement {
  const set = (part: Partial<BlendWantedDto>): void => {
    onWanted({ ...wanted, ...part });
  };
  return (
    <Box lineHeight={1.7}>
      <CountValue
        label="Pieces that are wanted"
        value={wanted.count}
        onChange={(count) => {
          set({ count });
        }}
      />{' '}
      of{' '}
      <CutterValue
        label="Cutter of the wanted pieces"
        cutter={cutterOf(wanted)}
        onChange={(cutter) => {
          set(plainCutter(cutter));
        }}
      />
      <FromDrawer
        cutter={cutterOf(wanted)}
        onChoose={(cutter) => {
          set(plainCutter(cutter));
        }}
      />
      <ShownWords wanted={wanted} set={set} />, at{' '}
      <ThicknessValue
        label="Thickness of the wanted pieces"
        value={wanted.mm}
        onChange={(mm) => {
          set({ mm });
        }}
      />
      ,{' '}
      <LengthValue
        label="Clay between the wanted pieces"
        value={wanted.bridgeMm}
        onChange={(bridgeMm) => {
          set({ bridgeMm });
        }}
      />{' '}
      apart
    </Box>
  );
}

/** The finished sheet with the cutter on it, so that each piece is seen before it is cut. */
function FinishedSheet({ worked, wanted, sheet }: SheetProps): ReactElement {
  const scale = Math.min(ROOM.width / sheet.fade, ROOM.height / sheet.length, 4);
  const [width, height] = [sheet.fade * scale, sheet.length * scale];
  return (
    <Box position="relative" width={`${width}px`} marginTop={2}>
      <FadeStrip labs={worked.fade.labs} width={width} height={height} label="The finished sheet" />
      <svg width={width} height={height} style={{ position: 'absolute', inset: 0 }} aria-hidden>
        <g
          transform={`translate(0 ${height}) scale(${scale} ${-scale})`}
          fill="none"
          stroke={grey.black}
          strokeWidth="1"
        >
          <CutPieces cutter={cutterOf(wanted)} places={cutsFor(wanted, sheet)} count={wanted.count} />
        </g>
      </svg>
    </Box>
  );
}

interface SheetProps extends Pick<PiecesBackProps, 'worked'> {
  readonly wanted: BlendWantedDto;
  readonly sheet: SheetForPieces;
}

/** What follows for the sheet: its size, how it is rolled, and what is left between the pieces. */
function SheetWords({ worked, wanted, sheet }: SheetProps): ReactElement {
  const units = useUnits();
  const density = worked.colours[0]?.density ?? 0;
  const pieces = (wanted.count * cutterArea(cutterOf(wanted)) * wanted.mm * density) / 1000;
  return (
    <Second>
      It ends {showSize(sheet.fade, sheet.length, units)}, {showLength(wanted.mm, units, true)} thick,{' '}
      {sheet.tape ? 'turned and rolled along its fade like a tape' : 'rolled out along its folds: no tape'} ·{' '}
      {showMass(worked.grams, units)}, {showMass(Math.max(0, worked.grams - pieces), units)} of it around the pieces
    </Second>
  );
}

/** A blend planned back from the pieces that are cut of it. */
export function PiecesBack({ worked, plan, own, onChange }: PiecesBackProps): ReactElement | null {
  const [wrong, setWrong] = useState<string | null>(null);
  const { wanted } = plan;
  if (!wanted) return null;
  const rolled = rolledOn(plan, own);
  const { sheet } = worked.turning;
  const onWanted = (next: BlendWantedDto): void => {
    const planned = orSentence(() => plannedFor(plan, next, rolled));
    setWrong(typeof planned === 'string' ? planned : null);
    if (typeof planned !== 'string') onChange(planned);
  };
  const changed = sheet !== null && Math.abs(sheet.width - plan.width) + Math.abs(sheet.height - plan.height) > 0.5;
  return (
    <>
      <WantedWords wanted={wanted} onWanted={onWanted} />
      {wrong !== null && <Warning>{wrong}</Warning>}
      {sheet === null && <Warning>These pieces cannot be had with the sheets as they are rolled now.</Warning>}
      {sheet && <SheetWords worked={worked} wanted={wanted} sheet={sheet} />}
      {sheet && <FinishedSheet worked={worked} wanted={wanted} sheet={sheet} />}
      <Box fontSize="small" marginTop={2}>
        {changed && (
          <>
            The sheet was changed since.{' '}
            <Word
              onClick={() => {
                onWanted(wanted);
              }}
            >
              plan it for these pieces again
            </Word>{' '}
            ·{' '}
          </>
        )}
        <Word
          onClick={() => {
            onChange({ wanted: null });
          }}
        >
          not back from the pieces
        </Word>
      </Box>
    </>
  );
}
