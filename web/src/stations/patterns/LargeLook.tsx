import { Box } from '@chakra-ui/react';
import type { PointerEvent, ReactElement } from 'react';
import type { PatternStep, PatternStepOf, View } from '#core/pattern';
import { showLength } from '#core/units';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';
import { Caption } from '../../theme/pieces.js';
import type { PlainBody } from '../../workers/pattern.js';
import { PatternFace, shapeOf } from './faces/PatternFace.js';
import { HandDents } from './HandDents.js';
import { HandSlices } from './HandSlices.js';
import type { SideView } from './Knife.js';
import type { BenchPattern } from './usePattern.js';

interface LargeLookProps {
  readonly bench: BenchPattern;
  readonly at: number;
  readonly body: PlainBody | null;
  readonly view: View;
  readonly size: number;
  readonly coarse: boolean;
  /** where the upright cut goes that is seen beside it; null: there is none */
  readonly cutAt: SideView | null;
  readonly step: PatternStep | undefined;
  /** mm of the sheet before the step */
  readonly before: Pick<PlainBody, 'width' | 'height'> | null;
  readonly onChange: (step: PatternStep) => void;
}

/** What is said below it: where the knife is, or what it is. */
function wordsFor(view: View, lit: boolean, units: 'metric' | 'imperial'): string {
  if (view.of === 'level') return `what the knife shows ${showLength(view.depth, units)} below the top`;
  return lit ? 'held against the light' : 'seen from above';
}

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** A dent where the hand clicks, with the ball that was used last, on a block that is dented by hand. */
function dentedAt(step: PatternStep | undefined, x: number, y: number): PatternStep | null {
  if (step?.do !== 'dents' || step.laid !== 'by hand') return null;
  const ball = step.places?.at(-1)?.ball ?? 0;
  return { ...step, places: [...(step.places ?? []), { x: tenth(x), y: tenth(y), ball }] };
}

/** A slice where the hand clicks, of the cane that was used last. */
function laidAt(step: PatternStepOf<'inlay'>, x: number, y: number): PatternStep {
  const { kind = 0, degrees = 0 } = step.places?.at(-1) ?? {};
  return { ...step, places: [...(step.places ?? []), { kind, degrees, x: tenth(x), y: tenth(y) }] };
}

interface CutLineProps {
  readonly cutAt: SideView;
  /** px */
  readonly width: number;
  readonly height: number;
  readonly scale: number;
}

/** Where the upright cut goes through what is seen from above. */
function CutLine({ cutAt: { degrees, off }, width, height, scale }: CutLineProps): ReactElement | null {
  if (degrees === 0 && off === 0) return null;
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [x, y] = [width / 2 - off * s * scale, height / 2 - off * c * scale];
  const far = width + height;
  const ends = { x1: x - far * c, y1: y + far * s, x2: x + far * c, y2: y - far * s };
  return (
    <svg width={width} height={height} aria-hidden style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}>
      <line {...ends} stroke={grey.tile} strokeWidth="4" strokeOpacity="0.85" />
      <line {...ends} stroke={grey.black} strokeWidth="1.5" strokeDasharray="6 4" />
    </svg>
  );
}

/** What is there after the step, large, with a line of its width. */
export function LargeLook({
  bench,
  at,
  body,
  view,
  size,
  coarse,
  cutAt,
  step,
  before,
  onChange,
}: LargeLookProps): ReactElement {
  const units = useUnits();
  if (!body?.there) return <Box width={`${size}px`} height={`${size}px`} background="hairline" />;
  const [wide, high] = shapeOf(body, view);
  const scale = size / Math.max(wide, high);
  const rope = body.form === 'rope';
  const byHand = step?.do === 'dents' && step.laid === 'by hand' ? step : null;
  const laid = before && step?.do === 'inlay' && step.laid === 'by hand' ? { step, ...before } : null;
  const put = (e: PointerEvent<HTMLDivElement>): void => {
    const box = e.currentTarget.getBoundingClientRect();
    const [x, y] = [(e.clientX - box.left) / scale - wide / 2, high / 2 - (e.clientY - box.top) / scale];
    const next = laid ? laidAt(laid.step, (x * laid.width) / wide, (y * laid.height) / high) : dentedAt(step, x, y);
    if (next) onChange(next);
  };
  return (
    <Box>
      <Box position="relative" width={`${Math.ceil(wide * scale)}px`} onPointerUp={put} data-look="">
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
        {cutAt && <CutLine cutAt={cutAt} width={wide * scale} height={high * scale} scale={scale} />}
        {byHand && <HandDents step={byHand} width={wide} height={high} scale={scale} onChange={onChange} />}
        {laid && (
          <HandSlices
            step={laid.step}
            width={laid.width}
            height={laid.height}
            scale={[(wide * scale) / laid.width, (high * scale) / laid.height]}
            onChange={onChange}
          />
        )}
      </Box>
      <Box borderTop="rule" marginTop={2} width={`${Math.ceil(wide * scale)}px`} textAlign="center">
        <Caption>
          {showLength(wide, units)} · {scale >= 10 ? Math.round(scale) : scale.toFixed(1)} px a mm
        </Caption>
      </Box>
      <Caption>{rope ? 'cut across in its middle' : wordsFor(view, bench.lit === true, units)}</Caption>
    </Box>
  );
}
