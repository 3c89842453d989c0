import { Box, Flex } from '@chakra-ui/react';
import { useLayoutEffect, useRef, type ReactElement } from 'react';
import { showLength } from '#core/units';
import { useUnits } from '../../../state/view.js';
import { grey } from '../../../theme/grey.js';
import { Caption } from '../../../theme/pieces.js';
import { dotOf, paintCells } from './dots.js';
import type { WorkedRelief } from './reliefPlan.js';

/** px of the longer side. */
const SIZE = 150;
/** What is too high, right and gouged, as greys: light stands out, dark is a hole. */
const GREYS = [grey.tile, grey.scale, grey.ink] as const;
const WORDS = ['stands too high still', 'right', 'gouged: the picture thins out'] as const;

const DOTS = GREYS.map(dotOf);

/** What the blade left, as a map, with shares of the area and the band that one can hit. */
export function BladeLook({ worked: { shaved, pressed, band } }: { readonly worked: WorkedRelief }): ReactElement {
  const units = useUnits();
  const canvas = useRef<HTMLCanvasElement>(null);
  const { columns, rows } = pressed.relief;
  useLayoutEffect(() => {
    paintCells(canvas.current, { columns, rows }, (at) => DOTS[shaved.kinds[at] ?? 0] ?? 0);
  }, [shaved, columns, rows]);
  const longest = Math.max(columns, rows);
  const [from, to] = band.map((mm) => showLength(mm, units, true));
  return (
    <Flex gap={4} marginTop={4}>
      <canvas
        ref={canvas}
        width={columns}
        height={rows}
        role="img"
        aria-label="What the blade left"
        style={{ width: (SIZE * columns) / longest, height: (SIZE * rows) / longest, flex: 'none' }}
      />
      <Box fontSize="small">
        <Box as="h3">What the blade left</Box>
        <ul aria-label="What the blade left, by area">
          {WORDS.map((word, kind) => (
            <li key={word}>
              <Box
                as="span"
                display="inline-block"
                width="12px"
                height="12px"
                border="hair"
                marginRight={2}
                style={{ background: GREYS[kind] }}
              />
              <b>{Math.round(100 * (shaved.shares[kind] ?? 0))} %</b> {word}
            </li>
          ))}
        </ul>
        <Caption>
          right is from {from} to {to} high (~ assumed)
        </Caption>
      </Box>
    </Flex>
  );
}
