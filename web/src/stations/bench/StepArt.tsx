import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Fraction, showNumber } from '#core/units';
import type { PlainStep } from '#contract';
import { CutLayout } from '../../parts/CutLayout.js';
import { DiscStack } from '../../parts/DiscStack.js';
import { Caption } from '../../theme/pieces.js';

const slab = (hex: string, width: number, height: number): ReactElement =>
  <svg width={width} height={height} aria-hidden style={{ display: 'block', maxWidth: '100%' }}><rect width={width} height={height} fill={`#${hex}`} /></svg>;

/** The clay of a step, raw as it lies on the bench. */
export function StepArt({ step }: { readonly step: PlainStep }): ReactElement | null {
  switch (step.kind) {
    case 'condition': return slab(step.clay.hex, 260, 92);
    case 'mix': return (
      <Flex gap={4} alignItems="flex-end" wrap="wrap">
        {step.portions.map((p) => (
          <Box key={p.name} textAlign="center" width="124px">
            <Flex justifyContent="center"><DiscStack parts={new Fraction(p.discs ?? 1)} hex={p.hex} /></Flex>
            <Caption>{p.discs === null ? '' : showNumber(new Fraction(p.discs))} {p.name}</Caption>
          </Box>
        ))}
        <Box marginLeft={2} alignSelf="center" fontSize="figure">→</Box>
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
    case 'stack': return <Flex direction="column-reverse" gap="3px">{step.layers.map((l, i) => <Box key={`${i}${l.name}`}>{slab(l.hex, 360, 26)}</Box>)}</Flex>;
    case 'cut': return (
      <CutLayout layout={step.layout} hex={step.sheet.hex} room={{ width: 460, height: 310 }}
        cutter={step.cutter.shape === 'round' ? { width: step.cutter.diameter, height: null } : { width: step.cutter.width, height: step.cutter.height }} />
    );
    case 'bake': return null;
  }
}
