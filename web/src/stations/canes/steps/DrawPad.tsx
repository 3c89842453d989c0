import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Layer, Line, Stage } from 'react-konva';
import { crossesItself, extentOf, signedArea, simplified, type Point, type Region } from '#core/cane';
import { complaint } from '#core/units';
import { Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { Caption } from '../../../theme/pieces.js';
import { grey } from '../../../theme/grey.js';

const WIDTH = 330;
/** mm by which a drawn line is simplified, and the smallest region that can be rolled. */
const [TOLERANCE, LEAST] = [0.15, 0.5];

interface DrawPadProps {
  readonly regions: readonly Region[];
  readonly colourOf: (region: Region) => string;
  readonly onDraw: (points: readonly Point[]) => void;
  /** what is drawn around; left out: a region */
  readonly around?: string;
}

/** `0,0 10,0 10,8`: corners in mm from the middle. */
function readCorners(text: string): Point[] {
  const points = text
    .trim()
    .split(/[\s;]+/)
    .map((pair) => pair.split(',').map(Number));
  if (points.length < 3 || points.some((p) => p.length !== 2 || p.some((v) => !Number.isFinite(v))))
    throw complaint('unit/unreadable', {
      text: text.trim(),
      wanted: 'corners. Write at least three, in mm from the middle: 0,0 10,0 10,8',
    });
  return points.map(([x = 0, y = 0]): Point => [x, y]);
}

/** px of the pad, at most, from its top to its foot. */
const HEIGHT = 260;

/** Between places on the template, mm, and on the pad, px. */
function padOf(ground: Region) {
  const { left, top, width, height } = extentOf({ points: ground.points, round: false });
  const scale = Math.min(WIDTH / width, HEIGHT / height);
  return {
    width: width * scale,
    height: height * scale,
    flat: (points: readonly Point[]): number[] => points.flatMap(([x, y]) => [(x - left) * scale, (top - y) * scale]),
    placeAt: (p: { readonly x: number; readonly y: number }): Point => [left + p.x / scale, top - p.y / scale],
  };
}

interface PadProps extends Omit<DrawPadProps, 'onDraw' | 'around'> {
  readonly ground: Region;
  readonly onLine: (points: readonly Point[]) => void;
}

/** Where outlines are drawn: down, around, and up again. */
function Pad({ regions, colourOf, ground, onLine }: PadProps): ReactElement {
  const [line, setLine] = useState<readonly Point[] | null>(null);
  const pad = padOf(ground);
  const under = (stage: { getPointerPosition: () => { x: number; y: number } | null } | null): Point | null => {
    const p = stage?.getPointerPosition();
    return p ? pad.placeAt(p) : null;
  };
  return (
    <Stage
      width={pad.width}
      height={pad.height}
      onPointerDown={(e) => {
        const p = under(e.target.getStage());
        if (p) setLine([p]);
      }}
      onPointerMove={(e) => {
        const p = line && under(e.target.getStage());
        if (line && p) setLine([...line, p]);
      }}
      onPointerUp={() => {
        if (line) onLine(line);
        setLine(null);
      }}
    >
      <Layer listening={false}>
        {regions.map((r) => (
          <Line
            key={r.id}
            points={pad.flat(r.points)}
            closed
            fill={`#${colourOf(r)}`}
            stroke={grey.ink}
            strokeWidth={0.5}
          />
        ))}
        {line && <Line points={pad.flat(line)} stroke={grey.ink} strokeWidth={2} closed={line.length > 2} />}
      </Layer>
    </Stage>
  );
}

/** Outlines drawn by hand on the template, or typed. */
export default function DrawPad({ regions, colourOf, onDraw, around = 'a region' }: DrawPadProps): ReactElement | null {
  const [wrong, setWrong] = useState<string | null>(null);
  const [ground] = regions;
  if (!ground) return null;
  const add = (points: readonly Point[]): void => {
    const few = simplified(points, TOLERANCE);
    if (few.length < 3 || Math.abs(signedArea(few)) < LEAST) {
      setWrong('That is too small for a region. Draw a closed line around it.');
      return;
    }
    setWrong(crossesItself(few) ? 'The line crosses itself: what is enclosed twice counts as outside there.' : null);
    onDraw(few);
  };
  return (
    <Box marginTop={2}>
      <Box
        border="dashed"
        width={`${padOf(ground).width + 2}px`}
        aria-label="Draw an outline"
        role="img"
        css={{ touchAction: 'none', cursor: 'crosshair' }}
      >
        <Pad regions={regions} colourOf={colourOf} ground={ground} onLine={add} />
      </Box>
      <Caption>
        draw around {around} with the pointer; or type its corners, mm from the middle:{' '}
        <Value label={`Corners of ${around}`} text="" placeholder="0,0 10,0 10,8" read={readCorners} onChange={add} />
      </Caption>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
