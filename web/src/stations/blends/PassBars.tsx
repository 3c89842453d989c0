import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { JUST_NOT_SEEN, type Forecast } from '#core/blend';
import { Caption } from '../../theme/pieces.js';
import { grey } from '../../theme/grey.js';

const [WIDTH, HEIGHT] = [164, 62];

function learnedFrom(counted: number): string {
  if (counted === 0) return '~ assumed: 15 passes for strong contrasts';
  return counted === 1 ? 'with what your last blend took' : `with what your ${counted} blends took`;
}

/** Streaks after each pass, and the line where they are just not seen. */
export function PassBars({
  contrast,
  counted,
  passes: { streaks, enough },
}: {
  readonly contrast: number;
  readonly counted: number;
  readonly passes: Forecast;
}): ReactElement {
  const bar = WIDTH / streaks.length;
  // by their logarithm: the eye stops at a ratio, not at a difference
  const top = Math.log(1 + Math.max(contrast, JUST_NOT_SEEN));
  const h = (v: number): number => (HEIGHT * Math.log(1 + v)) / top;
  return (
    <Box>
      <Box as="h2" marginBottom={2}>
        Passes
      </Box>
      <svg width={WIDTH} height={HEIGHT + 2} role="img" aria-label={`Streaks are just not seen after ${enough} passes`}>
        {streaks.map((s, i) => (
          <rect
            key={i}
            x={i * bar}
            y={HEIGHT - h(s)}
            width={bar - 3}
            height={h(s)}
            fill={i < enough ? grey.ink : grey.hairline}
          />
        ))}
        <path d={`M0 ${HEIGHT - h(JUST_NOT_SEEN)}H${WIDTH}`} stroke={grey.ink} strokeDasharray="2 3" />
      </svg>
      <Box fontSize="small">
        {enough === 0 ? (
          'Nothing to see from the first fold.'
        ) : (
          <>
            streaks gone after <b>{enough}</b>
          </>
        )}
      </Box>
      <Caption>{learnedFrom(counted)}</Caption>
    </Box>
  );
}
