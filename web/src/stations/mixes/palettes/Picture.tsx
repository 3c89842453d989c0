import { Box } from '@chakra-ui/react';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { hexOf, showLab, xyzOfLab } from '#core/colour';
import type { Gains } from '#core/picture';
import { Caption } from '../../../theme/pieces.js';
import { useColourAt, useShown, useTakenUp } from '../../../workers/picture.js';

interface PictureProps {
  /** a picture that is kept, by its id, or a file */
  readonly source: string | Blob;
  /** px on the screen */
  readonly room?: { readonly width: number; readonly height: number };
  readonly gains: Gains;
  /** side of the patch that is averaged, in pixels of the picture */
  readonly patch: number;
  readonly purpose: 'colour' | 'neutral';
  readonly onPoint: (x: number, y: number) => void;
}

interface Point {
  readonly x: number;
  readonly y: number;
}
const ROOM = { width: 520, height: 360 };

/** The photograph with its patch: the mouse or the arrow keys move it, a click or Enter takes what is under it. */
export function Picture({ source, room = ROOM, gains, patch, purpose, onPoint }: PictureProps): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [at, setAt] = useState<Point | null>(null);
  const size = useTakenUp(source);
  const { value: image } = useShown(size, gains);
  const under = useColourAt(size, at, patch, gains);
  useEffect(() => {
    if (image) canvas.current?.getContext('2d')?.putImageData(image, 0, 0);
  }, [image]);
  if (!size) return <Box width={`${room.width}px`} height={`${room.height}px`} border="dashed" />;
  const scale = Math.min(room.width / size.width, room.height / size.height, 40);
  const [width, height] = [size.width * scale, size.height * scale];
  const clamp = (p: Point): Point => ({
    x: Math.max(0, Math.min(size.width - 1, p.x)),
    y: Math.max(0, Math.min(size.height - 1, p.y)),
  });
  const fromMouse = (e: React.MouseEvent<HTMLElement>): Point => {
    const box = e.currentTarget.getBoundingClientRect();
    return clamp({ x: Math.floor((e.clientX - box.left) / scale), y: Math.floor((e.clientY - box.top) / scale) });
  };
  const step = (dx: number, dy: number, far: boolean): void => {
    const by = far ? 20 : 1;
    const from = at ?? { x: Math.floor(size.width / 2), y: Math.floor(size.height / 2) };
    setAt(at ? clamp({ x: from.x + dx * by, y: from.y + dy * by }) : from);
  };
  const side = Math.max(3, patch * scale);
  return (
    <Box>
      <Box
        position="relative"
        width={`${width}px`}
        height={`${height}px`}
        cursor="crosshair"
        tabIndex={0}
        role="button"
        aria-label={purpose === 'neutral' ? 'Photograph: take the neutral point' : 'Photograph: take a colour'}
        onMouseMove={(e) => {
          setAt(fromMouse(e));
        }}
        onMouseLeave={() => {
          setAt(null);
        }}
        onClick={(e) => {
          const p = fromMouse(e);
          onPoint(p.x, p.y);
        }}
        onKeyDown={(e) => {
          const move = (
            { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] } as Readonly<
              Record<string, readonly [number, number]>
            >
          )[e.key];
          if (move) {
            e.preventDefault();
            step(move[0], move[1], e.shiftKey);
          }
          if (e.key === 'Enter' && at) {
            e.preventDefault();
            onPoint(at.x, at.y);
          }
        }}
      >
        <canvas
          ref={canvas}
          width={size.width}
          height={size.height}
          style={{ width: '100%', height: '100%', display: 'block', imageRendering: scale > 2 ? 'pixelated' : 'auto' }}
        />
        {at && (
          <Box
            position="absolute"
            pointerEvents="none"
            border="1px solid #fff"
            outline="1px solid #000"
            style={{
              left: (at.x + 0.5) * scale - side / 2,
              top: (at.y + 0.5) * scale - side / 2,
              width: side,
              height: side,
            }}
          />
        )}
      </Box>
      <Box height="30px" marginTop={1} display="flex" alignItems="center" gap={2}>
        {under ? (
          <>
            <Box width="44px" height="24px" style={{ background: `#${hexOf(xyzOfLab(under))}` }} />
            <Caption>{showLab(under)}</Caption>
          </>
        ) : (
          <Caption>the mouse or the arrow keys move the patch; a click or Enter takes it</Caption>
        )}
      </Box>
    </Box>
  );
}
