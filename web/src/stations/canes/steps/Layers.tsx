import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { MOST_LAYERS, type SheetLayer } from '#core/cane';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { Word } from '../../../theme/pieces.js';
import type { CaneMaterial } from '../clay/materials.js';
import { Of } from './Of.js';

interface LayersProps {
  readonly layers: readonly SheetLayer[];
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly onChange: (layers: readonly SheetLayer[]) => void;
}

/** The sheets of a stack, each to be exchanged, and more or fewer of them. */
export function Layers({ layers, materials, onChange }: LayersProps): ReactElement {
  return (
    <>
      {layers.map((l, i) => (
        <Box key={i}>
          <Of
            of={l.of}
            materials={materials}
            label={`Sheet ${i + 1}`}
            onPick={(of) => {
              onChange(layers.map((x, k) => (k === i ? { ...x, of } : x)));
            }}
          />
          ,{' '}
          <ThicknessValue
            label={`Thickness of sheet ${i + 1}`}
            value={l.thickness}
            onChange={(thickness) => {
              onChange(layers.map((x, k) => (k === i ? { ...x, thickness } : x)));
            }}
          />
          {layers.length > 1 && (
            <>
              {' '}
              ·{' '}
              <Word
                aria-label={`Take sheet ${i + 1} out`}
                onClick={() => {
                  onChange(layers.filter((_, k) => k !== i));
                }}
              >
                out
              </Word>
            </>
          )}
        </Box>
      ))}
      {layers.length < MOST_LAYERS && (
        <Word
          fontSize="small"
          onClick={() => {
            const last = layers.at(-1);
            if (last) onChange([...layers, last]);
          }}
        >
          another sheet
        </Word>
      )}
    </>
  );
}
