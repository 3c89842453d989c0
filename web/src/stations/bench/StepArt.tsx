import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Fraction, showNumber } from '#core/units';
import type { PlainStep, PlanAnswer } from '#contract';
import { Block } from '../../parts/Block.js';
import { CutLayout } from '../../parts/CutLayout.js';
import { DiscStack } from '../../parts/DiscStack.js';
import { Caption } from '../../theme/pieces.js';

const slab = (hex: string, width: number, height: number): ReactElement => (
  <svg width={width} height={height} aria-hidden style={{ display: 'block', maxWidth: '100%' }}>
    <rect width={width} height={height} fill={`#${hex}`} />
  </svg>
);

type Mixing = Extract<PlainStep, { kind: 'mix' }>;
/** Discs, or grams where the mix is weighed. */
const partsOf = (p: Mixing['portions'][number]): Fraction => new Fraction(p.discs ?? Math.max(1, Math.round(p.grams)));

const MOST_BLOCKS = 8;

/** So much of a block, or so many blocks, as the step takes. */
function BlocksOf({
  step,
  clay,
}: {
  readonly step: Extract<PlainStep, { kind: 'condition' }>;
  readonly clay: PlanAnswer['clays'][number] | undefined;
}): ReactElement {
  const net = clay?.blockGrams ?? step.grams;
  const blocks = Math.min(MOST_BLOCKS, Math.ceil(step.grams / net - 1e-9));
  return (
    <Flex gap={2} wrap="wrap">
      {Array.from({ length: blocks }, (_, i) => (
        <Block
          key={i}
          net={net}
          left={Math.min(net, step.grams - i * net)}
          hex={step.clay.hex}
          kind={clay?.kind ?? 'opaque'}
          scale={blocks > 3 ? 2 : 3.6}
        />
      ))}
    </Flex>
  );
}

/** The clay of a step, raw as it lies on the bench. */
export function StepArt({
  step,
  clays,
}: {
  readonly step: PlainStep;
  readonly clays: PlanAnswer['clays'];
}): ReactElement | null {
  switch (step.kind) {
    case 'condition':
      return <BlocksOf step={step} clay={clays.find((c) => c.clayId === step.clay.of.id)} />;
    case 'mix':
      return (
        <Flex gap={4} alignItems="flex-end" wrap="wrap">
          {step.portions.map((p) => (
            <Box key={p.name} textAlign="center" width="124px">
              <Flex justifyContent="center">
                <DiscStack parts={partsOf(p)} hex={p.hex} beside={step.portions.map(partsOf)} />
              </Flex>
              <Caption>
                {p.discs === null ? '' : showNumber(new Fraction(p.discs))} {p.name}
              </Caption>
            </Box>
          ))}
          <Box marginLeft={2} alignSelf="center" fontSize="figure">
            →
          </Box>
          <Box alignSelf="center">{slab(step.mix.hex, 110, 110)}</Box>
        </Flex>
      );
    case 'roll': {
      const scale = Math.min(2.2, 420 / step.width, 230 / step.length);
      return (
        <Box>
          {slab(step.sheet.hex, step.width * scale, step.length * scale)}
          <Box marginTop={3}>{slab(step.sheet.hex, 420, Math.max(4, step.mm * 8))}</Box>
        </Box>
      );
    }
    case 'stack':
      return (
        <Flex direction="column-reverse" gap="3px">
          {step.layers.map((l, i) => (
            <Box key={`${i}${l.name}`}>{slab(l.hex, 360, 26)}</Box>
          ))}
        </Flex>
      );
    case 'cut':
      return (
        <CutLayout
          layout={step.layout}
          hex={step.sheet.hex}
          room={{ width: 460, height: 310 }}
          cutter={
            step.cutter.shape === 'round'
              ? { width: step.cutter.diameter, height: null }
              : { width: step.cutter.width, height: step.cutter.height }
          }
        />
      );
    case 'bake':
      return null;
  }
}
