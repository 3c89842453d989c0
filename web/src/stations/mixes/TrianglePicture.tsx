import { ARROWS } from '../../parts/arrows.js';
import { Box } from '@chakra-ui/react';
import { useEffect, useRef, type KeyboardEvent, type MouseEvent, type ReactElement } from 'react';
import { hexOf, xyzOfLab } from '#core/colour';
import { nextPoint, triangleHeight, type Corners, type MakeablePoint } from '#core/mix';
import { grey, inkOn } from '../../theme/grey.js';
import { useTriangle } from '../../workers/useFind.js';

/** px of the picture. */
export const WIDTH = 520;
const HEIGHT = triangleHeight(WIDTH);
/** The picture is drawn with so many pixels and stretched: it is smooth anyway. */
const DRAWN = 260;
/** Room round the picture for names and for the ring of a point at its edge, px. */
const [AT_SIDES, ABOVE] = [20, 10];
/** Height of a triangle of equal sides, for a side of 1. */
const TALL = Math.sqrt(3) / 2;

interface NamesProps {
  readonly names: readonly string[];
}

/** What lies at each corner. */
function Names({ names }: NamesProps): ReactElement {
  return (
    <g fontSize={15} fontWeight={600} fill={grey.ink}>
      <text x={WIDTH / 2 + 26} y={8}>
        {names[0]}
      </text>
      <text x={0} y={HEIGHT + 28}>
        {names[1]}
      </text>
      <text x={WIDTH} y={HEIGHT + 28} textAnchor="end">
        {names[2]}
      </text>
    </g>
  );
}

interface PointsProps {
  readonly points: readonly MakeablePoint[];
  readonly at: MakeablePoint;
}

/** What can be laid down in whole parts, and a ring round the point one stands on. */
function Points({ points, at }: PointsProps): ReactElement {
  const [x, y] = [at.x * WIDTH, at.y * HEIGHT];
  return (
    <>
      {points.map((p) => (
        <circle
          key={p.units.join()}
          cx={p.x * WIDTH}
          cy={p.y * HEIGHT}
          r={2}
          fill={inkOn(xyzOfLab(p.lab).y)}
          opacity={0.5}
        />
      ))}
      <circle cx={x} cy={y} r={14} fill={`#${hexOf(xyzOfLab(at.lab))}`} stroke={grey.tile} strokeWidth={5} />
      <circle cx={x} cy={y} r={16.5} fill="none" stroke={grey.black} strokeWidth={1.5} />
    </>
  );
}

/** All that lies between three mixes, drawn by a worker. */
function Between({ corners }: { readonly corners: Corners }): ReactElement {
  const image = useTriangle(corners, DRAWN);
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (image) canvas.current?.getContext('2d')?.putImageData(image, 0, 0);
  }, [image]);
  return (
    <canvas
      ref={canvas}
      width={DRAWN}
      height={triangleHeight(DRAWN)}
      style={{ width: WIDTH, height: HEIGHT, display: 'block', clipPath: 'polygon(50% 0, 0 100%, 100% 100%)' }}
    />
  );
}

interface TrianglePictureProps extends NamesProps, PointsProps {
  readonly corners: Corners;
  readonly onAt: (point: MakeablePoint) => void;
}

/** The triangle: a click or the arrow keys choose one of its points. */
export function TrianglePicture({ corners, names, points, at, onAt }: TrianglePictureProps): ReactElement {
  const walk = (e: KeyboardEvent): void => {
    const way = ARROWS[e.key];
    if (!way) return;
    e.preventDefault();
    onAt(nextPoint(points, at, way[0], way[1]));
  };
  const nearest = (e: MouseEvent<HTMLElement>): void => {
    const box = e.currentTarget.getBoundingClientRect();
    const [x, y] = [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
    const far = (p: MakeablePoint): number => (p.x - x) ** 2 + (TALL * (p.y - y)) ** 2;
    onAt(points.reduce((a, b) => (far(b) < far(a) ? b : a)));
  };
  const [w, h] = [WIDTH + 2 * AT_SIDES, HEIGHT + 2 * ABOVE];
  return (
    <Box
      position="relative"
      width={`${WIDTH}px`}
      height={`${HEIGHT}px`}
      margin="10px 20px 40px"
      tabIndex={0}
      role="application"
      aria-label="Triangle: the arrow keys walk through it"
      aria-describedby="triangle-at"
      cursor="crosshair"
      onKeyDown={walk}
      onClick={nearest}
      onMouseMove={(e) => {
        if (e.buttons === 1) nearest(e);
      }}
    >
      <Between corners={corners} />
      <svg
        width={w}
        height={h}
        viewBox={`${-AT_SIDES} ${-ABOVE} ${w} ${h}`}
        style={{ position: 'absolute', left: -AT_SIDES, top: -ABOVE, pointerEvents: 'none', overflow: 'visible' }}
        aria-hidden
      >
        <Names names={names} />
        <Points points={points} at={at} />
      </svg>
    </Box>
  );
}
