import type { ReactElement } from 'react';
import { dialLabels } from '#core/sheet';
import { attempt, showLength } from '#core/units';
import { MachineDto } from '#contract';
import { AddForm } from '../../parts/AddForm.js';
import type { FieldSpec } from '../../parts/addFormRules.js';
import { useUnits } from '../../state/view.js';

/** The dial of a new machine by its ends: either way round, from any start, half clicks too. */
class MachineEntry extends MachineDto {
  widest!: string;
  thinnest!: string;
  step!: string;
}

function settingsOf(entered: Record<string, unknown>): { id: string; label: string }[] {
  return attempt(
    () =>
      dialLabels(String(entered.widest), String(entered.thinnest), String(entered.step)).map((label) => ({
        id: crypto.randomUUID(),
        label,
      })),
    () => [],
  );
}

export default function AddMachine({
  onSaved,
  onCancel,
}: {
  readonly onSaved: (id: string) => void;
  readonly onCancel: () => void;
}): ReactElement {
  const units = useUnits();
  const fields: FieldSpec[] = [
    { name: 'name', label: 'What you call it', kind: 'text' },
    { name: 'widest', label: 'Number of the widest gap', kind: 'text', initial: '0', half: true },
    { name: 'thinnest', label: 'Number of the thinnest', kind: 'text', initial: '9', half: true },
    {
      name: 'step',
      label: 'One click is',
      kind: 'choice',
      initial: '1',
      half: true,
      options: [
        { value: '1', text: 'a whole number' },
        { value: '1/2', text: 'a half' },
      ],
    },
    {
      name: 'rollerWidthMm',
      label: 'Width of the rollers',
      kind: 'length',
      initial: showLength(145, units),
      half: true,
    },
  ];
  return (
    <AddForm
      title="A machine"
      type={MachineEntry}
      fields={fields}
      button="Put it on the bench"
      onCancel={onCancel}
      complete={(entered) => ({
        id: crypto.randomUUID(),
        version: 0,
        note: '',
        readings: [],
        settings: settingsOf(entered),
      })}
      check={(entered) => {
        dialLabels(String(entered.widest), String(entered.thinnest), String(entered.step));
      }}
      checkField="widest"
      send={({ widest: _, thinnest: __, step: ___, ...machine }) => machine}
      path={(dto) => `/api/machines/${dto.id}`}
      onSaved={(dto) => {
        onSaved(dto.id);
      }}
    />
  );
}
