import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { keyOf } from '#core/material';
import { MaterialPicker, type Picked } from '../../../parts/MaterialPicker.js';
import { Word } from '../../../theme/pieces.js';
import { swatchOf, type CaneMaterial } from '../clay/materials.js';

/** A clay, mix or blend as a swatch with its name, to be exchanged. */
export function Of({
  of,
  materials,
  label,
  place = 'log',
  onPick,
}: {
  readonly of: string;
  /** what asks for it */
  readonly place?: 'log' | 'plug' | 'slices';
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly label: string;
  readonly onPick: (key: string) => void;
}): ReactElement {
  const [picking, setPicking] = useState(false);
  const material = materials.get(of);
  const pick = (picked: Picked): void => {
    setPicking(false);
    onPick(keyOf(picked.of));
  };
  return (
    <>
      <Box
        as="span"
        display="inline-block"
        width="16px"
        height="16px"
        verticalAlign="-2px"
        marginRight={1}
        style={{ background: swatchOf(material) }}
      />
      <Word
        aria-label={`${label}: ${material?.name ?? 'not there any more'}`}
        onClick={() => {
          setPicking(true);
        }}
      >
        {material?.name ?? 'not there any more'}
      </Word>
      {picking && (
        <MaterialPicker
          place={place}
          label={label}
          onPick={pick}
          onCancel={() => {
            setPicking(false);
          }}
        />
      )}
    </>
  );
}
