import { Box } from '@chakra-ui/react';
import { useLayoutEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactElement } from 'react';
import type { FormMesh } from '#core/pattern';
import { Caption } from '../../../theme/pieces.js';
import { turnedForm, type StillMaker, type TurnedForm } from './turned.js';

interface TurnedProps {
  readonly mesh: FormMesh;
  readonly picture: ImageData;
  readonly label: string;
  /** px a side */
  readonly size: number;
  /** given what takes a still of it; null once it is gone */
  readonly onStill: (still: StillMaker | null) => void;
  /** what is shown where the browser cannot draw in space */
  readonly flat: ReactElement;
}

/** Radians that a key turns, and a drag of one pixel. */
const [STEP, PIXEL] = [Math.PI / 12, 0.01];
const KEYS: Readonly<Record<string, readonly [across: number, upright: number]>> = {
  ArrowLeft: [0, -STEP],
  ArrowRight: [0, STEP],
  ArrowUp: [-STEP, 0],
  ArrowDown: [STEP, 0],
};

/** A round form that is turned by hand, or with the arrow keys. */
export default function Turned({ mesh, picture, label, size, onStill, flat }: TurnedProps): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  const form = useRef<TurnedForm | null>(null);
  const [none, setNone] = useState(false);
  useLayoutEffect(() => {
    form.current = canvas.current && turnedForm(canvas.current, size);
    setNone(form.current === null);
    const now = form.current;
    onStill(now);
    return () => {
      onStill(null);
      now?.leave();
    };
  }, [size, onStill]);
  useLayoutEffect(() => {
    form.current?.show(mesh, picture);
  }, [mesh, picture, none]);
  const drag = (e: PointerEvent<HTMLCanvasElement>): void => {
    if (e.type === 'pointerdown') e.currentTarget.setPointerCapture(e.pointerId);
    else if (e.buttons !== 0) form.current?.turn(e.movementY * PIXEL, e.movementX * PIXEL);
  };
  const press = (e: KeyboardEvent): void => {
    const by = KEYS[e.key];
    if (!by) return;
    e.preventDefault();
    form.current?.turn(by[0], by[1]);
  };
  return (
    <Box>
      <canvas
        ref={canvas}
        role="application"
        tabIndex={0}
        aria-label={label}
        hidden={none}
        style={{ width: size, height: size, touchAction: 'none', cursor: 'grab', display: none ? 'none' : 'block' }}
        onPointerDown={drag}
        onPointerMove={drag}
        onKeyDown={press}
      />
      {none && flat}
      <Caption>
        {none
          ? 'This browser cannot draw in space here, so it is shown flat.'
          : 'drag it, or turn it with the arrow keys'}
      </Caption>
    </Box>
  );
}
