import { useMemo, type ReactElement } from 'react';
import { readThickness, type Gauge, type Reader } from '#core/sheet';
import { showLength, type UnitSystem } from '#core/units';
import type { MachinesAnswer } from '#contract';
import { useUnits } from '../state/view.js';
import { useMachines } from '../wire/queries.js';
import { Value, type ValueProps } from './Value.js';

const NONE: readonly Gauge[] = [];

/** What a thickness is read with: one's own machine, cards and other things, the units that are switched on. */
export function readerOf(answer: MachinesAnswer | undefined, system: UnitSystem): Reader {
  const machines = answer?.machines ?? [];
  const setup = answer?.setup;
  return {
    machines,
    own: machines.find((m) => m.id === setup?.machineId) ?? machines[0] ?? null,
    cardMm: setup?.cardMm ?? null,
    system,
    gauges: setup?.gauges ?? NONE,
  };
}

type ThicknessProps = Omit<ValueProps<number>, 'text' | 'read'> & { readonly value: number };

/** A thickness, typed as people say it: a length, `my 4`, `5 cards`, `next to thickest`. */
export function ThicknessValue({ value, ...rest }: ThicknessProps): ReactElement {
  const units = useUnits();
  const { data } = useMachines();
  const reader = useMemo(() => readerOf(data, units), [data, units]);
  return (
    <Value
      {...rest}
      measures="length"
      text={showLength(value, units, true)}
      read={(text) => readThickness(text, reader)}
    />
  );
}
