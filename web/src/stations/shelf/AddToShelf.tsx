import type { ReactElement } from 'react';
import { ASSUMED_BLOCK_GRAMS, ASSUMED_DENSITY, FIRMNESSES, KINDS } from '#core/clay';
import { showLength, showMass, showTemperature } from '#core/units';
import { BlockDto, ClayDto, LineDto } from '#contract';
import { AddForm } from '../../parts/AddForm.js';
import type { FieldSpec } from '../../parts/addFormRules.js';
import { useUnits } from '../../state/view.js';

const options = (values: readonly string[]) => values.map((value) => ({ value, text: value }));
interface Done {
  readonly onSaved: (id: string) => void;
  readonly onCancel: () => void;
}

/** A new line. The figures are what most packets say; the packet at hand goes before them. */
export function AddLine({ onSaved, onCancel }: Done): ReactElement {
  const units = useUnits();
  const fields: FieldSpec[] = [
    { name: 'name', label: 'Name of the line', kind: 'text' },
    {
      name: 'firmness',
      label: 'How it feels',
      kind: 'choice',
      options: options(FIRMNESSES),
      initial: 'medium',
      half: true,
    },
    {
      name: 'density',
      label: 'Density, g/cm³',
      kind: 'number',
      initial: String(ASSUMED_DENSITY),
      half: true,
      hint: '1.9 is assumed',
    },
    { name: 'bakeC', label: 'Bake at', kind: 'temperature', initial: showTemperature(130, units), half: true },
    { name: 'maxC', label: 'Never above', kind: 'temperature', initial: showTemperature(150, units), half: true },
    { name: 'bakeMinutes', label: 'Minutes', kind: 'number', initial: '30', half: true },
    { name: 'bakePerMm', label: 'for a thickness of', kind: 'length', initial: showLength(6, units), half: true },
  ];
  return (
    <AddForm
      title="A line of clay"
      type={LineDto}
      fields={fields}
      button="Put it on the shelf"
      onCancel={onCancel}
      complete={(entered) => ({
        id: crypto.randomUUID(),
        version: 0,
        densityMeasured: entered.density !== ASSUMED_DENSITY,
      })}
      path={(dto) => `/api/lines/${dto.id}`}
      onSaved={(dto) => {
        onSaved(dto.id);
      }}
    />
  );
}

/** A new colour of a line. */
export function AddColour({
  lineId,
  lines,
  onSaved,
  onCancel,
}: Done & { readonly lineId: string; readonly lines: readonly LineDto[] }): ReactElement {
  const fields: FieldSpec[] = [
    { name: 'name', label: 'Name of the colour', kind: 'text' },
    {
      name: 'lineId',
      label: 'Line',
      kind: 'choice',
      options: lines.map((l) => ({ value: l.id, text: l.name })),
      initial: lineId,
    },
    { name: 'kind', label: 'Kind', kind: 'choice', options: options(KINDS), initial: 'opaque' },
    { name: 'bakedHex', label: 'Colour when baked', kind: 'colour', hint: 'six digits, or pick' },
    { name: 'rawHex', label: 'Colour when raw', kind: 'colour', optional: true, hint: 'as baked where empty' },
    {
      name: 'strength',
      label: 'Strength beside an ordinary opaque',
      kind: 'number',
      optional: true,
      hint: 'assumed by its kind where empty',
    },
  ];
  return (
    <AddForm
      title="A colour"
      type={ClayDto}
      fields={fields}
      button="Put it on the shelf"
      onCancel={onCancel}
      complete={(entered) => ({
        id: crypto.randomUUID(),
        version: 0,
        retired: false,
        rawHex: entered.rawHex ?? entered.bakedHex,
      })}
      path={(dto) => `/api/clays/${dto.id}`}
      onSaved={(dto) => {
        onSaved(dto.id);
      }}
    />
  );
}

/** A block of a colour, as bought. */
export function AddBlock({
  clayId,
  name,
  onSaved,
  onCancel,
}: Done & { readonly clayId: string; readonly name: string }): ReactElement {
  const units = useUnits();
  const fields: FieldSpec[] = [
    { name: 'netGrams', label: 'Net weight', kind: 'mass', initial: showMass(ASSUMED_BLOCK_GRAMS, units), half: true },
    { name: 'leftGrams', label: 'Left of it', kind: 'mass', optional: true, half: true, hint: 'all, where empty' },
    {
      name: 'madeOn',
      label: 'Date code on it',
      kind: 'date',
      optional: true,
      half: true,
      hint: '240915, 24W37, 09/2024',
    },
    { name: 'price', label: 'Paid', kind: 'number', optional: true, half: true },
  ];
  return (
    <AddForm
      title={`A block of ${name}`}
      type={BlockDto}
      fields={fields}
      button="Put it on the shelf"
      onCancel={onCancel}
      complete={(entered) => ({
        id: crypto.randomUUID(),
        version: 0,
        clayId,
        dateCode: entered.madeOn ?? '',
        leftGrams: entered.leftGrams ?? entered.netGrams,
      })}
      path={(dto) => `/api/blocks/${dto.id}`}
      onSaved={(dto) => {
        onSaved(dto.id);
      }}
    />
  );
}
