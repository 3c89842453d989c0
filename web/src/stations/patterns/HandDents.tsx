import type { ReactElement } from 'react';
import type { DentPlace, PatternStep, PatternStepOf } from '#core/pattern';
import { showLength } from '#core/units';
import { useUnits } from '../../state/view.js';
import { HandPlaces, movedByKey } from './HandPlaces.js';

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

/** px of the smallest mark that a finger finds. */
const LEAST = 5;

/** Dents that were put by hand: dragged, moved with the arrow keys, another ball with B, taken away with Delete. */
export function HandDents({ step, width, height, scale, onChange }: HandDentsProps): ReactElement {
  const units = useUnits();
  return (
    <HandPlaces<DentPlace>
      label="Dents that were put by hand"
      places={step.places ?? []}
      width={width}
      height={height}
      scale={[scale, scale]}
      called={({ x, y, ball }, at) =>
        `Dent ${at + 1}, ball ${ball + 1}, ${showLength(x, units)} across, ${showLength(y, units)} up`
      }
      radius={({ ball }) => Math.max(LEAST, ((step.balls[ball]?.diameter ?? 0) / 2) * scale)}
      moved={(place, key, shift) =>
        key === 'b'
          ? { ...place, ball: (place.ball + 1) % step.balls.length }
          : movedByKey(place, key, shift, { width, height })
      }
      onChange={(places) => {
        onChange({ ...step, places });
      }}
    />
  );
}
