import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { reductionStages } from '#core/cane';
import { showLength, showLong } from '#core/units';
import { Slide } from '../../../parts/Slide.js';
import { LengthValue } from '../../../parts/Value.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Second } from '../../../theme/pieces.js';
import { grey } from '../../../theme/grey.js';

const WIDTH = 330;
const LEAST = 3;

interface TaperProps {
  readonly from: number;
  readonly length: number;
  readonly value: number;
  readonly label: string;
  readonly onSlide: (mm: number) => void;
  readonly onSet: (mm: number) => void;
}

/** A cane getting thinner: slide along it to reduce. */
export function Taper({ from, length, value, label, onSlide, onSet }: TaperProps): ReactElement {
  const units = useUnits();
  const low = Math.min(LEAST, from / 2);
  const share = (from - value) / (from - low);
  const long = length * (from / value) ** 2;
  const stages = reductionStages(from, value, length);
  return (
    <Box>
      <Caption>{label}</Caption>
      <Box fontFamily="heading">
        <Box as="span" fontSize="figure" fontWeight={700}>
          <LengthValue
            label="Reduce the cane to"
            value={value}
            onChange={(mm) => {
              if (mm > 0 && mm <= from) onSet(mm);
            }}
          />
        </Box>{' '}
        <Second>across, then {showLong(long, units)} long</Second>
      </Box>
      {stages.length > 1 && (
        <Caption display="block">
          in stages:{' '}
          {stages.map((s) => `${showLength(s.diameter, units)} (${showLong(s.length, units)} long)`).join(', ')}
        </Caption>
      )}
      <svg width={WIDTH} height="44" aria-hidden style={{ display: 'block', marginTop: 6 }}>
        <path
          d={`M8 2L${WIDTH - 8} ${22 - 20 * (low / from)}V${22 + 20 * (low / from)}L8 42Z`}
          fill={grey.paper}
          stroke={grey.ink}
        />
        <path d={`M${8 + share * (WIDTH - 16)} 0V44`} stroke={grey.ink} strokeWidth="4" />
      </svg>
      <Slide
        label="Reduce, by hand"
        text={showLength(value, units)}
        value={round(from - value)}
        low={0}
        high={round(from - low)}
        grain={0.1}
        width={WIDTH}
        onSlide={(off) => {
          onSlide(round(from - off));
        }}
        onSet={(off) => {
          onSet(round(from - off));
        }}
      />
    </Box>
  );
}

const round = (mm: number): number => Math.round(mm * 10) / 10;
