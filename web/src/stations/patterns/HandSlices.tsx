import type { ReactElement } from 'react';
import type { PatternStep, PatternStepOf, PlacedSlice } from '#core/pattern';
import { showLength } from '#core/units';
import { useUnits } from '../../state/view.js';
import { HandPlaces, movedByKey } from './HandPlaces.js';

interface HandSlicesProps {
  readonly step: PatternStepOf<'inlay'>;
  /** mm of the sheet before they are rolled in */
  readonly width: number;
  readonly height: number;
  /** px for a mm of that, across and along */
  readonly scale: readonly [number, number];
  readonly onChange: (step: PatternStep) => void;
}

/** px of a mark, and degrees that a key turns. */
const [MARK, TURN] = [7, 15];

/** Slices that were put by hand: dragged, arrow keys, T turns (shift: back), B another kind, Delete away. */
export function HandSlices({ step, width, height, scale, onChange }: HandSlicesProps): ReactElement {
  const units = useUnits();
  const moved = (place: PlacedSlice, key: string, shift: boolean): PlacedSlice | null | undefined => {
    if (key === 'b') return { ...place, kind: (place.kind + 1) % step.slices.length };
    if (key.toLowerCase() === 't') return { ...place, degrees: (place.degrees + (shift ? -TURN : TURN)) % 360 };
    return movedByKey(place, key, shift, { width, height });
  };
  return (
    <HandPlaces<PlacedSlice>
      label="Slices that were put by hand"
      places={step.places ?? []}
      width={width}
      height={height}
      scale={scale}
      called={({ x, y, kind, degrees }, at) =>
        `Slice ${at + 1}, of kind ${kind + 1}, turned ${degrees}°, ${showLength(x, units)} across, ` +
        `${showLength(y, units)} up`
      }
      radius={() => MARK}
      turned={({ degrees }) => degrees}
      moved={moved}
      onChange={(places) => {
        onChange({ ...step, places });
      }}
    />
  );
}
