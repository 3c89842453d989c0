import { Box } from '@chakra-ui/react';
import { useState, type PointerEvent, type ReactElement } from 'react';
import { extentOf, sideTowards, sidesOf, type Extent, type Outline, type Paint, type Step } from '#core/cane';
import { grey } from '../../../theme/grey.js';
import { Caption } from '../../../theme/pieces.js';
import type { WorkedCane } from '../../../workers/cane.js';
import { Face } from '../faces/Face.js';
import { marksOf, type Marks } from '../steps/index.js';
import { longSides } from '../steps/sideWords.js';
import { angleAt, arcOf, placeAt, reachAt } from './onFaceMoves.js';

/** px of the face, of a mark on it, and of the light around a line, for dark clay. */
const [SIZE, GRIP, LINE, HALO] = [190, 7, 5, 3];

interface OnFaceProps {
  readonly step: Step;
  /** its place in the row */
  readonly at: number;
  readonly worked: WorkedCane | null;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly onSlide: (step: Step) => void;
  readonly onSet: (step: Step) => void;
}

interface MarkProps<M extends Marks> extends Pick<OnFaceProps, 'onSlide' | 'onSet'> {
  readonly marks: M;
  readonly outline: Outline;
  readonly box: Extent;
  /** mm of a pixel */
  readonly mm: number;
}

interface GripProps {
  readonly x: number;
  readonly y: number;
  readonly mm: number;
  readonly box: Extent;
  readonly label: string;
  /** where it is dragged to, mm about the middle of the face; `done`: it is let go there */
  readonly onDrag: (x: number, y: number, done: boolean) => void;
}

/** A point on a face that follows the pointer. */
function Grip({ x, y, mm, box, label, onDrag }: GripProps): ReactElement {
  const [held, setHeld] = useState(false);
  const follow = (e: PointerEvent<SVGCircleElement>, done: boolean): void => {
    const svg = e.currentTarget.ownerSVGElement;
    if (!svg) return;
    const [px, py] = placeAt(svg.getBoundingClientRect(), box, e.clientX, e.clientY);
    onDrag(px, py, done);
  };
  return (
    <circle
      cx={x}
      cy={-y}
      r={GRIP * mm}
      fill={grey.tile}
      stroke={grey.ink}
      strokeWidth={2 * mm}
      data-mark={label}
      style={{ cursor: 'grab', touchAction: 'none' }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setHeld(true);
      }}
      onPointerMove={(e) => {
        if (held) follow(e, false);
      }}
      onPointerUp={(e) => {
        setHeld(false);
        follow(e, true);
      }}
    />
  );
}

type MarksOf<K extends Marks['kind']> = Extract<Marks, { readonly kind: K }>;

/** The sides of the piece: the chosen one is heavy, each can be chosen. */
function SideMarks({ marks, outline, mm, onSet }: MarkProps<MarksOf<'side'>>): ReactElement {
  const sides = longSides(sidesOf(outline));
  const chosen = sideTowards(outline, marks.towards ?? 270);
  return (
    <>
      {sides.map((side) => {
        const own = chosen !== null && Math.abs(chosen.outwards - side.outwards) < 1e-6;
        return (
          <line
            key={side.outwards}
            x1={side.from[0]}
            y1={-side.from[1]}
            x2={side.to[0]}
            y2={-side.to[1]}
            stroke={own ? grey.ink : grey.tile}
            strokeWidth={(own ? 2 : 1) * LINE * mm}
            strokeDasharray={own ? undefined : `${3 * mm} ${3 * mm}`}
            data-mark={`side ${Math.round(side.outwards)}`}
            style={{ cursor: 'pointer' }}
            onClick={() => {
              onSet(marks.with(side.outwards));
            }}
          />
        );
      })}
    </>
  );
}

/** A stretch of the outline, from grip to grip. */
function StretchMarks({ marks, outline, box, mm, onSlide, onSet }: MarkProps<MarksOf<'stretch'>>): ReactElement {
  const { from, to } = marks;
  const ends = [
    { label: 'begins', at: from, moved: (degrees: number) => marks.with(degrees, to) },
    { label: 'ends', at: to, moved: (degrees: number) => marks.with(from, degrees) },
  ];
  const line = arcOf(outline, from, to)
    .map(([x, y]) => `${x},${-y}`)
    .join(' ');
  return (
    <>
      <polyline points={line} fill="none" stroke={grey.tile} strokeWidth={(LINE + HALO) * mm} />
      <polyline points={line} fill="none" stroke={grey.ink} strokeWidth={LINE * mm} />
      {ends.map(({ label, at, moved }) => {
        const [x, y] = reachAt(outline, at);
        return (
          <Grip
            key={label}
            {...{ x, y, mm, box, label }}
            onDrag={(px, py, done) => {
              (done ? onSet : onSlide)(moved(angleAt(px, py)));
            }}
          />
        );
      })}
    </>
  );
}

/** A place on the face. */
function PlaceMarks({ marks, box, mm, onSlide, onSet }: MarkProps<MarksOf<'place'>>): ReactElement {
  return (
    <Grip
      x={marks.x}
      y={marks.y}
      mm={mm}
      box={box}
      label="place"
      onDrag={(x, y, done) => {
        const step = marks.with(tenths(x), tenths(y));
        (done ? onSet : onSlide)(step);
      }}
    />
  );
}
const tenths = (mm: number): number => Math.round(mm * 10) / 10 + 0;

function MarksShown(props: MarkProps<Marks>): ReactElement {
  const { marks, ...rest } = props;
  switch (marks.kind) {
    case 'side':
      return <SideMarks marks={marks} {...rest} />;
    case 'stretch':
      return <StretchMarks marks={marks} {...rest} />;
    case 'place':
      return <PlaceMarks marks={marks} {...rest} />;
  }
}

const HOW: Readonly<Record<Marks['kind'], string>> = {
  side: 'the face before it: choose the side',
  stretch: 'the face before it: drag where it begins and ends',
  place: 'the face before it: drag the hole to its place',
};

/** The face that a step begins with, and on it what of the step is said there. */
export function OnFace({ step, at, worked, paints, onSlide, onSet }: OnFaceProps): ReactElement | null {
  const marks = marksOf(step);
  const before = worked?.steps[at - 1];
  if (!marks || !before?.there) return null;
  const outline: Outline = { points: before.points, round: before.round };
  const box = extentOf(outline);
  const mm = Math.max(box.width, box.height) / SIZE;
  return (
    <Box marginTop={2}>
      <Box position="relative" width="fit-content">
        <Face worked={worked} at={at - 1} size={SIZE} paints={paints} label={`The face before step ${at + 1}`} />
        <svg
          viewBox={`${box.left} ${-box.top} ${box.width} ${box.height}`}
          width={box.width / mm}
          height={box.height / mm}
          aria-hidden
          style={{ position: 'absolute', left: 0, top: 0, overflow: 'visible' }}
        >
          <MarksShown marks={marks} outline={outline} box={box} mm={mm} onSlide={onSlide} onSet={onSet} />
        </svg>
      </Box>
      <Caption>{HOW[marks.kind]}</Caption>
    </Box>
  );
}
