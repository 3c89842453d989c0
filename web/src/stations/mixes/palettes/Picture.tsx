import { ARROWS } from '../../../parts/arrows.js';
import { Box } from '@chakra-ui/react';
import {
  useEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
  type ReactElement,
  type ReactNode,
} from 'react';
import { hexOf, showLab, xyzOfLab, type Lab } from '#core/colour';
import type { Gains } from '#core/picture';
import { Caption } from '../../../theme/pieces.js';
import { grey } from '../../../theme/grey.js';
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

/** Pixels that an arrow key moves the patch with shift. */
const FAR = 20;
/** px of the screen for a pixel of the picture, at most, and from where pixels are shown as squares. */
const [MOST_SCALE, SQUARES] = [40, 2];
/** px of the smallest patch that is drawn. */
const SMALLEST = 3;

interface Size {
  readonly width: number;
  readonly height: number;
}

const inside = ({ width, height }: Size, p: Point): Point => ({
  x: Math.max(0, Math.min(width - 1, p.x)),
  y: Math.max(0, Math.min(height - 1, p.y)),
});

/** Where an arrow key leads: the first one to the middle of the picture. */
function moved(size: Size, at: Point | null, [dx, dy]: readonly [number, number], by: number): Point {
  if (!at) return { x: Math.floor(size.width / 2), y: Math.floor(size.height / 2) };
  return inside(size, { x: at.x + dx * by, y: at.y + dy * by });
}

/** The frame of the patch. @param scale px for a pixel */
function Patch({
  at,
  side,
  scale,
}: {
  readonly at: Point;
  readonly side: number;
  readonly scale: number;
}): ReactElement {
  return (
    <Box
      position="absolute"
      pointerEvents="none"
      border={`1px solid ${grey.tile}`}
      outline={`1px solid ${grey.black}`}
      style={{ left: (at.x + 0.5) * scale - side / 2, top: (at.y + 0.5) * scale - side / 2, width: side, height: side }}
    />
  );
}

/** The colour under the patch. */
function Under({ lab }: { readonly lab: Lab | null }): ReactElement {
  return (
    <Box height="30px" marginTop={1} display="flex" alignItems="center" gap={2}>
      {lab ? (
        <>
          <Box width="44px" height="24px" style={{ background: `#${hexOf(xyzOfLab(lab))}` }} />
          <Caption>{showLab(lab)}</Caption>
        </>
      ) : (
        <Caption>the mouse or the arrow keys move the patch; a click or Enter takes it</Caption>
      )}
    </Box>
  );
}

interface FrameProps extends Pick<PictureProps, 'purpose' | 'onPoint'> {
  readonly size: Size;
  readonly scale: number;
  readonly at: Point | null;
  readonly onAt: (at: Point | null) => void;
  readonly children: ReactNode;
}

/** What the mouse and the keys do on the photograph. */
function Frame({ size, scale, at, onAt, purpose, onPoint, children }: FrameProps): ReactElement {
  const under = (e: MouseEvent<HTMLElement>): Point => {
    const box = e.currentTarget.getBoundingClientRect();
    const [x, y] = [e.clientX - box.left, e.clientY - box.top];
    return inside(size, { x: Math.floor(x / scale), y: Math.floor(y / scale) });
  };
  const byKey = (e: KeyboardEvent): void => {
    const way = ARROWS[e.key];
    const taken = e.key === 'Enter' && at;
    if (way) onAt(moved(size, at, way, e.shiftKey ? FAR : 1));
    if (taken) onPoint(at.x, at.y);
    if (way || taken) e.preventDefault();
  };
  return (
    <Box
      position="relative"
      width={`${size.width * scale}px`}
      height={`${size.height * scale}px`}
      cursor="crosshair"
      tabIndex={0}
      role="button"
      aria-label={purpose === 'neutral' ? 'Photograph: take the neutral point' : 'Photograph: take a colour'}
      onMouseMove={(e) => {
        onAt(under(e));
      }}
      onMouseLeave={() => {
        onAt(null);
      }}
      onClick={(e) => {
        const p = under(e);
        onPoint(p.x, p.y);
      }}
      onKeyDown={byKey}
    >
      {children}
    </Box>
  );
}

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
  const scale = Math.min(room.width / size.width, room.height / size.height, MOST_SCALE);
  return (
    <Box>
      <Frame size={size} scale={scale} at={at} onAt={setAt} purpose={purpose} onPoint={onPoint}>
        <canvas
          ref={canvas}
          width={size.width}
          height={size.height}
          style={{
            width: '100%',
            height: '100%',
            display: 'block',
            imageRendering: scale > SQUARES ? 'pixelated' : 'auto',
          }}
        />
        {at && <Patch at={at} side={Math.max(SMALLEST, patch * scale)} scale={scale} />}
      </Frame>
      <Under lab={under} />
    </Box>
  );
}
