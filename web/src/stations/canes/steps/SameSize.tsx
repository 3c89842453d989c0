import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { ASSUMED_DENSITY } from '#core/clay';
import { showLength } from '#core/units';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { LengthValue, MassValue } from '../../../parts/Value.js';
import { useUnits } from '../../../state/view.js';
import { asHeavy, gramsOfWound, ofTape, tapeIn, type Wound } from './sameSize.js';
import type { EditorProps } from './view.js';

interface SameSizeProps<S extends Wound> {
  readonly of: EditorProps<S>;
  /** what it is called, as in a label */
  readonly what: string;
}

interface WeightsProps<S extends Wound> extends SameSizeProps<S> {
  readonly density: number;
}

/** Grams of each colour that is in it: each says how thick it is. */
function OfEach<S extends Wound>({ of, what, density }: WeightsProps<S>): ReactElement | null {
  const { step, materials, shelf, onChange } = of;
  const shares = materials.get(step.of)?.shares ?? [];
  const grams = gramsOfWound(step, density);
  if (shares.length < 2) return null;
  return (
    <>
      :{' '}
      {shares.map(({ clayId, mass }, i) => {
        const name = shelf.clays.find((c) => c.id === clayId)?.name ?? '';
        return (
          <span key={clayId}>
            {i > 0 && ' + '}
            <MassValue
              label={`Grams of ${name} in the ${what}`}
              value={grams * mass}
              onChange={(own) => {
                if (own > 0) onChange(asHeavy(step, own / mass, density));
              }}
            />{' '}
            {name}
          </span>
        );
      })}
    </>
  );
}

/** mm of a tape where nobody says otherwise. */
const USUAL_TAPE = 1.5;

/** How long the tape is that is wound up in it, at a thickness. */
function AsTape<S extends Wound>({ of, what }: SameSizeProps<S>): ReactElement {
  const units = useUnits();
  const { step, onChange } = of;
  const [thickness, setThickness] = useState(USUAL_TAPE);
  return (
    <>
      , of a tape {showLength(step.length, units)} ×{' '}
      <LengthValue
        label={`Length of the tape in the ${what}`}
        value={tapeIn(step, thickness)}
        onChange={(long) => {
          if (long > 0) onChange(ofTape(step, long, thickness));
        }}
      />{' '}
      at{' '}
      <ThicknessValue
        label={`Thickness of the tape in the ${what}`}
        value={thickness}
        onChange={(mm) => {
          if (mm > 0) setThickness(mm);
        }}
      />
    </>
  );
}

/** The same size in other ways: by its grams, by those of each colour, by the tape it is wound of. */
export function SameSize<S extends Wound>({ of, what }: SameSizeProps<S>): ReactElement | null {
  const { step, materials, onChange } = of;
  const units = useUnits();
  if ('made' in step && step.made !== undefined) return null;
  const density = materials.get(step.of)?.density ?? ASSUMED_DENSITY;
  return (
    <Box fontSize="small">
      {showLength(step.length, units)} of it are{' '}
      <MassValue
        label={`Weight of the ${what}`}
        value={gramsOfWound(step, density)}
        onChange={(grams) => {
          if (grams > 0) onChange(asHeavy(step, grams, density));
        }}
      />
      <OfEach of={of} what={what} density={density} />
      {step.do === 'plug' && <AsTape of={of} what={what} />}
    </Box>
  );
}
