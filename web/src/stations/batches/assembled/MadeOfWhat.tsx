import { useState, type ReactElement } from 'react';
import { keyOf, materialIn, type MaterialKey } from '#core/material';
import type { PlanAnswer } from '#contract';
import { MaterialPicker } from '../../../parts/MaterialPicker.js';
import { Word } from '../../../theme/pieces.js';

interface MadeProps {
  readonly label: string;
  readonly of: MaterialKey | null;
  readonly materials: PlanAnswer['materials'];
  readonly onPick: (of: MaterialKey) => void;
}

/** What a material of a part is called; the answer about its batch knows it. */
export function nameOf(of: MaterialKey, materials: PlanAnswer['materials']): string {
  const material = materialIn(of);
  return (material && materials[material.id]?.name) ?? '…';
}

/** What a part, or what is inside of it, is made of. */
export function MadeOfWhat({ label, of, materials, onPick }: MadeProps): ReactElement {
  const [picking, setPicking] = useState(false);
  if (picking)
    return (
      <MaterialPicker
        place="part"
        label={label}
        onCancel={() => {
          setPicking(false);
        }}
        onPick={({ of: picked }) => {
          setPicking(false);
          onPick(keyOf(picked));
        }}
      />
    );
  return (
    <Word
      aria-label={label}
      onClick={() => {
        setPicking(true);
      }}
    >
      {of === null ? 'choose a clay' : nameOf(of, materials)}
    </Word>
  );
}
