import { Box } from '@chakra-ui/react';
import { useRef, type KeyboardEvent, type PointerEvent, type ReactElement } from 'react';
import type { View } from '#core/pattern';
import { showLength } from '#core/units';
import { readCount } from '../../parts/readCount.js';
import { LengthValue, Value } from '../../parts/Value.js';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import type { PlainBody } from '../../workers/pattern.js';
import { PatternFace, shapeOf } from './faces/PatternFace.js';
import type { BenchPattern } from './usePattern.js';

interface KnifeProps {
  readonly bench: BenchPattern;
  readonly at: number;
  readonly body: PlainBody;
  /** mm below the top */
  readonly depth: number;
  /** mm that are shaved from there; 0: nothing */
  readonly thickness: number;
  /** the upright cut that it is looked at in */
  readonly side: SideView;
  readonly onSide: (side: SideView) => void;
  readonly onDrag: (depth: number) => void;
  readonly onDrop: (depth: number) => void;
}

const WIDE = 400;
/** mm that a key moves the knife. */
const KEY = 0.1;
export type SideView = Extract<View, { readonly of: 'side' }>;
export const FROM_FRONT: SideView = { of: 'side', degrees: 0, off: 0 };

/** Where the upright cut goes: turned by how much, and how far from the middle. */
function Upright({ body, side, onSide }: Pick<KnifeProps, 'body' | 'side' | 'onSide'>): ReactElement {
  const far = Math.hypot(body.width, body.height) / 2;
  return (
    <Caption display="block">
      cut upright, turned{' '}
      <Value
        label="Turn of the upright cut"
        text={String(side.degrees)}
        read={readCount(0, 180, 'The turn of the cut')}
        onChange={(degrees) => {
          onSide({ ...side, degrees });
        }}
      />
      °,{' '}
      <LengthValue
        label="Upright cut off the middle"
        value={side.off}
        onChange={(off) => {
          onSide({ ...side, off: Math.min(far, Math.max(-far, off)) });
        }}
      />{' '}
      off the middle
    </Caption>
  );
}

/** The plane of the knife, and what is shaved below it. */
function Plane({ top, height }: { readonly top: number; readonly height: number }): ReactElement {
  return (
    <Box
      position="absolute"
      left={0}
      right="-14px"
      top={`${top}px`}
      height={`${Math.max(2, height)}px`}
      borderTop="2px dashed"
      borderBottom={height > 0 ? '1px dashed' : 'none'}
      borderColor="ink"
      pointerEvents="none"
    />
  );
}

/** Moving the knife by a pointer or by keys. @param scale px a mm */
function useMoving({ body, depth, thickness, onDrag, onDrop }: KnifeProps, scale: number) {
  const box = useRef<HTMLDivElement>(null);
  const most = Math.max(0, body.thick - thickness);
  const within = (mm: number): number => Math.round(Math.min(most, Math.max(0, mm)) * 100) / 100;
  const depthAt = (e: PointerEvent): number => {
    const top = box.current?.getBoundingClientRect().top ?? 0;
    return within((e.clientY - top) / scale);
  };
  const handlers = {
    onKeyDown: (e: KeyboardEvent): void => {
      if (e.key !== 'ArrowUp' && e.key !== 'ArrowDown') return;
      e.preventDefault();
      onDrop(within(depth + (e.key === 'ArrowDown' ? KEY : -KEY)));
    },
    onPointerDown: (e: PointerEvent<HTMLDivElement>): void => {
      e.currentTarget.setPointerCapture(e.pointerId);
      onDrag(depthAt(e));
    },
    onPointerMove: (e: PointerEvent<HTMLDivElement>): void => {
      if (e.currentTarget.hasPointerCapture(e.pointerId)) onDrag(depthAt(e));
    },
    onPointerUp: (e: PointerEvent<HTMLDivElement>): void => {
      onDrop(depthAt(e));
    },
  };
  return { box, most, handlers };
}

/** The block from its side with the plane of the knife on it, to be dragged. */
export function Knife(props: KnifeProps): ReactElement {
  const { bench, at, body, depth, thickness, side, onSide } = props;
  const units = useUnits();
  const [wide, high] = shapeOf(body, side);
  const scale = WIDE / Math.max(wide, high);
  const { box, most, handlers } = useMoving(props, scale);
  return (
    <Box>
      <Box as="h2" marginBottom={2}>
        The block from its side
      </Box>
      <Box
        ref={box}
        {...handlers}
        position="relative"
        width={`${Math.ceil(wide * scale)}px`}
        maxWidth="100%"
        cursor="ns-resize"
        touchAction="none"
        role="slider"
        tabIndex={0}
        aria-label="Depth of the knife"
        aria-orientation="vertical"
        aria-valuemin={0}
        aria-valuemax={most}
        aria-valuenow={depth}
        aria-valuetext={`${showLength(depth, units)} below the top`}
      >
        <PatternFace
          pattern={bench.plain}
          at={at}
          view={side}
          body={body}
          size={WIDE}
          paints={bench.paints}
          label="The block from its side"
        />
        <Plane top={Math.min(high * scale, depth * scale)} height={thickness * scale} />
      </Box>
      <Caption>knife {showLength(depth, units)} below the top: drag it, or ↑ ↓</Caption>
      <Upright body={body} side={side} onSide={onSide} />
    </Box>
  );
}
