import type { ReactElement } from 'react';
import { readLength, showLength } from '#core/units';
import { Value } from '../../../parts/Value.js';
import { useUnits } from '../../../state/view.js';

interface LengthProps {
  readonly label: string;
  readonly value: number;
  readonly onChange: (mm: number) => void;
}

/** A length, finely. */
export function Length({ label, value, onChange }: LengthProps): ReactElement {
  const units = useUnits();
  return (
    <Value
      label={label}
      measures="length"
      text={showLength(value, units, true)}
      read={(typed) => readLength(typed, units)}
      onChange={onChange}
    />
  );
}
