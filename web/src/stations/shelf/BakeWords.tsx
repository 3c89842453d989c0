import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { LineDto } from '#contract';
import { CountValue, LengthValue, TemperatureValue } from '../../parts/Value.js';
import { Word } from '../../theme/pieces.js';

export interface LineFieldsProps {
  readonly line: LineDto;
  readonly says: (field: string) => string | undefined;
  readonly save: (part: Partial<LineDto>) => void;
}

/** What is proposed to begin with to those who bake lower and longer: their own figures take its place. */
const [LOWER, LONGER] = [15, 2];

/** The maker's own figures, in place of the packet's. */
function OwnFigures({ line, says, save }: LineFieldsProps): ReactElement {
  const { ownC = null, ownMinutes = null } = line;
  if (ownC === null || ownMinutes === null)
    return (
      <Word
        fontSize="caption"
        aria-label={`Bake ${line.name} lower and longer`}
        onClick={() => {
          save({ ownC: line.bakeC - LOWER, ownMinutes: line.bakeMinutes * LONGER });
        }}
      >
        lower and longer
      </Word>
    );
  return (
    <Box>
      you: at{' '}
      <TemperatureValue
        label={`Your own temperature for ${line.name}`}
        value={ownC}
        refusal={says('ownC')}
        onChange={(next) => {
          save({ ownC: next });
        }}
      />
      {', '}
      <CountValue
        label={`Your own minutes for ${line.name}`}
        value={ownMinutes}
        refusal={says('ownMinutes')}
        onChange={(next) => {
          save({ ownMinutes: next });
        }}
      />{' '}
      min.{' '}
      <Word
        fontSize="caption"
        aria-label={`Bake ${line.name} as the packet says`}
        onClick={() => {
          save({ ownC: null, ownMinutes: null });
        }}
      >
        as the packet says
      </Word>
    </Box>
  );
}

/** How it is baked, as the packet says. */
export function BakeWords({ line, says, save }: LineFieldsProps): ReactElement {
  return (
    <>
      <Box>
        <TemperatureValue
          label={`Baking temperature of ${line.name}`}
          value={line.bakeC}
          refusal={says('bakeC')}
          onChange={(bakeC) => {
            save({ bakeC });
          }}
        />
        {', '}
        <CountValue
          label={`Baking minutes of ${line.name}`}
          value={line.bakeMinutes}
          refusal={says('bakeMinutes')}
          onChange={(bakeMinutes) => {
            save({ bakeMinutes });
          }}
        />{' '}
        min for{' '}
        <LengthValue
          label={`Thickness for the baking time of ${line.name}`}
          value={line.bakePerMm}
          refusal={says('bakePerMm')}
          onChange={(bakePerMm) => {
            save({ bakePerMm });
          }}
        />
      </Box>
      <Box>
        never above{' '}
        <TemperatureValue
          label={`Maximum temperature of ${line.name}`}
          value={line.maxC}
          refusal={says('maxC')}
          onChange={(maxC) => {
            save({ maxC });
          }}
        />
      </Box>
      <OwnFigures line={line} says={says} save={save} />
    </>
  );
}
