import { Box, Flex } from '@chakra-ui/react';
import { Suspense, lazy, type ReactElement } from 'react';
import { Fraction, showNumber } from '#core/units';
import type { BatchAnswer, PlainStep, PlanAnswer } from '#contract';
import { Block } from '../../parts/Block.js';
import { CutLayout } from '../../parts/CutLayout.js';
import { DiscStack } from '../../parts/DiscStack.js';
import { ofKind, type ByKind } from '../../parts/ofKind.js';
import { Caption } from '../../theme/pieces.js';
import { patternedFace } from '../batches/patternedFace.js';

// pieces of many parts are drawn by much that no other card needs
const pieceArt = () => import('./PieceArt.js');
const PartArt = lazy(async () => ({ default: (await pieceArt()).PartArt }));
const PieceArt = lazy(async () => ({ default: (await pieceArt()).PieceArt }));

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

/** What of a batch its pictures need. */
type ForArt = Pick<BatchAnswer, 'pieces' | 'assemblies' | 'plan'>;
type Kind = PlainStep['kind'];
type StepOf<K extends Kind> = Extract<PlainStep, { readonly kind: K }>;

const condition = (step: StepOf<'condition'>, { plan }: ForArt): ReactElement => (
  <BlocksOf step={step} clay={plan.clays.find((c) => c.clayId === step.clay.of.id)} />
);

const mix = (step: StepOf<'mix'>): ReactElement => (
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

/** Room for a sheet on the card, px, and the most px for a mm of it; px for a mm of its edge, and the least. */
const [SHEET_WIDE, SHEET_HIGH, SHEET_SCALE, EDGE_SCALE, EDGE_LEAST] = [420, 230, 2.2, 8, 4];

const ready = ({ what }: StepOf<'ready'>): ReactElement => slab(what.hex, 180, 110);

function roll({ sheet, width, length, mm }: StepOf<'roll'>): ReactElement {
  const scale = Math.min(SHEET_SCALE, SHEET_WIDE / width, SHEET_HIGH / length);
  return (
    <Box>
      {slab(sheet.hex, width * scale, length * scale)}
      <Box marginTop={3}>{slab(sheet.hex, SHEET_WIDE, Math.max(EDGE_LEAST, mm * EDGE_SCALE))}</Box>
    </Box>
  );
}

const stack = ({ layers }: StepOf<'stack'>): ReactElement => (
  <Flex direction="column-reverse" gap="3px">
    {layers.map((l, i) => (
      <Box key={`${i}${l.name}`}>{slab(l.hex, 360, 26)}</Box>
    ))}
  </Flex>
);

function cut({ layout, sheet, cutter, pieceId }: StepOf<'cut'>, batch: ForArt) {
  const piece = batch.pieces.find((p) => p.id === pieceId);
  return (
    <CutLayout
      layout={layout}
      hex={sheet.hex}
      room={{ width: 460, height: 310 }}
      cutter={cutter}
      {...(piece ? patternedFace(piece, batch.plan.materials) : {})}
    />
  );
}

const ART: ByKind<PlainStep, [batch: ForArt], ReactElement | null> = {
  condition,
  mix,
  ready,
  roll,
  stack,
  cut,
  shape: ({ shape, clay, partName }) => <PartArt shape={shape} hex={clay.hex} name={partName} />,
  assemble: ({ pieceId }, batch) => <PieceArt pieceId={pieceId} batch={batch} />,
  finish: ({ pieceId }, batch) => <PieceArt pieceId={pieceId} batch={batch} />,
  clean: ({ after, before }) => (
    <Flex gap={4} alignItems="center">
      {slab(after.hex, 150, 90)}
      <Box fontSize="figure">→</Box>
      {slab(before.hex, 150, 90)}
    </Flex>
  ),
  bake: () => null,
};

interface StepArtProps {
  readonly step: PlainStep;
  readonly batch: ForArt;
}

/** The clay of a step, raw as it lies on the bench. */
export function StepArt({ step, batch }: StepArtProps): ReactElement {
  return <Suspense fallback={null}>{ofKind(ART, step, batch)}</Suspense>;
}
