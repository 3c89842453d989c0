import { Box } from '@chakra-ui/react';
import type { PointerEvent, ReactElement } from 'react';
import type { PatternStep, View } from '#core/pattern';
import { showLength } from '#core/units';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import type { PlainBody } from '../../workers/pattern.js';
import { PatternFace, shapeOf } from './faces/PatternFace.js';
import type { BenchPattern } from './usePattern.js';

interface LargeLookProps {
  readonly bench: BenchPattern;
  readonly at: number;
  readonly body: PlainBody | null;
  readonly view: View;
  readonly size: number;
  readonly coarse: boolean;
  readonly step: PatternStep | undefined;
  readonly onChange: (step: PatternStep) => void;
}

/** What is said below it: where the knife is, or what it is. */
function wordsFor(view: View, units: 'metric' | 'imperial'): string {
  if (view.of === 'level') return `what the knife shows ${showLength(view.depth, units)} below the top`;
  return 'seen from above';
}

/** A dent where the hand clicks, on a block that is dented by hand. */
function dentedAt(step: PatternStep | undefined, x: number, y: number): PatternStep | null {
  if (step?.do !== 'dents' || step.laid !== 'by hand') return null;
  const places = [...(step.places ?? []), { x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10, ball: 0 }];
  return { ...step, places };
}

/** What is there after the step, large, with a line of its width. */
export function LargeLook({ bench, at, body, view, size, coarse, step, onChange }: LargeLookProps): ReactElement {
  const units = useUnits();
  if (!body?.there) return <Box width={`${size}px`} height={`${size}px`} background="hairline" />;
  const [wide, high] = shapeOf(body, view);
  const scale = size / Math.max(wide, high);
  const rope = body.form === 'rope';
  const put = (e: PointerEvent<HTMLDivElement>): void => {
    const box = e.currentTarget.getBoundingClientRect();
    const [x, y] = [(e.clientX - box.left) / scale - wide / 2, high / 2 - (e.clientY - box.top) / scale];
    const next = dentedAt(step, x, y);
    if (next) onChange(next);
  };
  return (
    <Box>
      <Box width={`${Math.ceil(wide * scale)}px`} onPointerUp={put} data-look="">
        <PatternFace
          pattern={bench.plain}
          at={at}
          view={view}
          body={body}
          size={size}
          paints={bench.paints}
          label="The sheet, large"
          coarse={coarse}
        />
      </Box>
      <Box borderTop="rule" marginTop={2} width={`${Math.ceil(wide * scale)}px`} textAlign="center">
        <Caption>
          {showLength(wide, units)} · {scale >= 10 ? Math.round(scale) : scale.toFixed(1)} px a mm
        </Caption>
      </Box>
      <Caption>{rope ? 'cut across in its middle' : wordsFor(view, units)}</Caption>
    </Box>
  );
}
