import { Box } from '@chakra-ui/react';
import type { ReactElement, SVGAttributes } from 'react';
import { attempt } from '#core/units';
import { liesAcross } from '#core/pattern';
import { grey } from '../../../theme/grey.js';
import { Caption } from '../../../theme/pieces.js';
import { PatternFace, shapeOf } from '../faces/PatternFace.js';
import type { BenchPattern } from '../usePattern.js';
import type { FormTakes } from './formPlan.js';

/** px of the longer side. */
const SIZE = 220;

/** The flat sheet, with the edge of what is cut of it in its middle. */
export function WhereCut({
  bench,
  takes,
}: {
  readonly bench: BenchPattern;
  readonly takes: FormTakes | string;
}): ReactElement | null {
  const body = bench.bodies?.at(-1);
  const blank = typeof takes === 'string' ? null : takes.blank;
  if (!body?.there || body.form === 'rope' || !blank) return null;
  const across = attempt(
    () => liesAcross(blank, body),
    () => null,
  );
  if (across === null) return null;
  const [wide, high] = shapeOf(body, { of: 'face' });
  const scale = SIZE / Math.max(wide, high);
  const [w, h] = across ? [blank.height, blank.width] : [blank.width, blank.height];
  const edge: SVGAttributes<SVGElement> = {
    fill: 'none',
    stroke: grey.black,
    strokeDasharray: '6 4',
    strokeWidth: 1.5,
  };
  const below: SVGAttributes<SVGElement> = {
    ...edge,
    stroke: grey.tile,
    strokeDasharray: 'none',
    strokeWidth: 4,
    strokeOpacity: 0.8,
  };
  const [cx, cy] = [(wide * scale) / 2, (high * scale) / 2];
  const shape = (look: SVGAttributes<SVGElement>): ReactElement =>
    blank.round ? (
      <ellipse cx={cx} cy={cy} rx={(w * scale) / 2} ry={(h * scale) / 2} {...look} />
    ) : (
      <rect x={cx - (w * scale) / 2} y={cy - (h * scale) / 2} width={w * scale} height={h * scale} {...look} />
    );
  return (
    <Box marginTop={4}>
      <Box position="relative" width={`${Math.ceil(wide * scale)}px`}>
        <PatternFace
          pattern={bench.plain}
          at={bench.plain.steps.length - 1}
          body={body}
          size={SIZE}
          paints={bench.paints}
          label="The flat sheet"
        />
        <svg width={wide * scale} height={high * scale} aria-hidden style={{ position: 'absolute', inset: 0 }}>
          {shape(below)}
          {shape(edge)}
        </svg>
      </Box>
      <Caption display="block">where it is cut of the sheet</Caption>
    </Box>
  );
}
