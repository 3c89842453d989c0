import { useState, type KeyboardEvent, type PointerEvent, type ReactElement } from 'react';
import type { DentPlace, PatternStep, PatternStepOf } from '#core/pattern';
import { showLength } from '#core/units';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';

type Dents = PatternStepOf<'dents'>;

interface HandDentsProps {
  readonly step: Dents;
  /** mm of the block, its middle at the origin of the places */
  readonly width: number;
  readonly height: number;
  /** px for a mm */
  readonly scale: number;
  readonly onChange: (step: PatternStep) => void;
}

/** mm that an arrow moves a dent, and with shift held. */
const [STEP, LEAP] = [0.5, 5];

const MOVES: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
const within = (mm: number, half: number): number => Math.round(Math.min(half, Math.max(-half, mm)) * 10) / 10;

/** What a key does to a dent; null where it is taken away; undefined where the key means nothing. */
export function movedDent(
  place: DentPlace,
  key: string,
  shift: boolean,
  { width, height, balls }: Pick<HandDentsProps, 'width' | 'height'> & { readonly balls: number },
): DentPlace | null | undefined {
  if (key === 'Delete' || key === 'Backspace') return null;
  if (key === 'b') return { ...place, ball: (place.ball + 1) % balls };
  const by = MOVES[key];
  if (!by) return undefined;
  const far = shift ? LEAP : STEP;
  return { ...place, x: within(place.x + by[0] * far, width / 2), y: within(place.y + by[1] * far, height / 2) };
}

/** px of the smallest mark that a finger finds. */
const LEAST = 5;

interface OneDentProps extends Omit<HandDentsProps, 'onChange'> {
  readonly at: number;
  readonly place: DentPlace;
  readonly onPut: (next: DentPlace | null) => void;
}

/** One dent: where it is dragged to is kept when it is let go. */
function OneDent({ step, width, height, scale, at, place, onPut }: OneDentProps): ReactElement {
  const units = useUnits();
  const [dragged, setDragged] = useState<DentPlace | null>(null);
  const { x, y, ball } = dragged ?? place;
  const across = step.balls[ball]?.diameter ?? 0;
  const under = (e: PointerEvent<SVGElement>): DentPlace => {
    const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    const [left, down] = [(e.clientX - (box?.left ?? 0)) / scale, (e.clientY - (box?.top ?? 0)) / scale];
    return { ...place, x: within(left - width / 2, width / 2), y: within(height / 2 - down, height / 2) };
  };
  const press = (e: KeyboardEvent): void => {
    const next = movedDent(place, e.key, e.shiftKey, { width, height, balls: step.balls.length });
    if (next === undefined) return;
    e.preventDefault();
    e.stopPropagation();
    onPut(next);
  };
  return (
    <circle
      cx={(x + width / 2) * scale}
      cy={(height / 2 - y) * scale}
      r={Math.max(LEAST, (across / 2) * scale)}
      fill="none"
      stroke={grey.black}
      strokeDasharray="3 3"
      tabIndex={0}
      role="img"
      aria-label={`Dent ${at + 1}, ball ${ball + 1}, ${showLength(x, units)} across, ${showLength(y, units)} up`}
      style={{ pointerEvents: 'all', cursor: 'move', touchAction: 'none' }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setDragged(place);
      }}
      onPointerMove={(e) => {
        if (dragged) setDragged(under(e));
      }}
      onPointerUp={(e) => {
        // no new dent below the one that was moved
        e.stopPropagation();
        if (dragged && (dragged.x !== place.x || dragged.y !== place.y)) onPut(dragged);
        setDragged(null);
      }}
      onKeyDown={press}
    />
  );
}

/** Dents that were put by hand: dragged, moved with the arrow keys, another ball with B, taken away with Delete. */
export function HandDents({ onChange, ...own }: HandDentsProps): ReactElement {
  const { step, width, height, scale } = own;
  const places = step.places ?? [];
  return (
    <svg
      width={width * scale}
      height={height * scale}
      role="group"
      aria-label="Dents that were put by hand"
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
    >
      {places.map((place, at) => (
        <OneDent
          key={at}
          {...own}
          at={at}
          place={place}
          onPut={(next) => {
            onChange({ ...step, places: places.flatMap((p, i) => (i === at ? (next ?? []) : p)) });
          }}
        />
      ))}
    </svg>
  );
}
