import type { ReactElement } from 'react';
import { readCutter, showCutter, type Cutter } from '#core/cutter';
import { useUnits } from '../../state/view.js';
import { Value } from '../Value.js';

interface CutterValueProps {
  readonly label: string;
  readonly cutter: Cutter;
  readonly disabled?: boolean;
  readonly refusal?: string | undefined;
  readonly onChange: (cutter: Cutter) => void;
}

/** A cutter in words, typed in place: `18 mm round`, `18 × 30 mm teardrop, rim 4 mm`. */
export function CutterValue({ label, cutter, disabled = false, refusal, onChange }: CutterValueProps): ReactElement {
  const units = useUnits();
  return (
    <Value
      label={label}
      text={showCutter(cutter, units)}
      disabled={disabled}
      refusal={refusal}
      read={(text) => readCutter(text, units, cutter)}
      onChange={onChange}
    />
  );
}
