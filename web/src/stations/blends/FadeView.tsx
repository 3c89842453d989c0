import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { pureStretches, unevenness } from '#core/blend';
import { showLength, type UnitSystem } from '#core/units';
import { useUnits } from '../../state/view.js';
import { Caption, Key, Word } from '../../theme/pieces.js';
import { LEFT } from './cutPlace.js';
import { Evenness } from './Evenness.js';
import { FadeStrip } from './FadeStrip.js';
import { PlacedOn } from './PlacedOn.js';
import type { BlendEditing } from './useBlendEditing.js';
import { layoutIn, type WorkedBlend } from './workedBlend.js';

/** px that the fade is high, and that words under it take at least. */
const [FADE, WORDS] = [56, 380];

interface FadeViewProps {
  readonly editing: BlendEditing;
  readonly worked: WorkedBlend;
  /** the same, a little later */
  readonly later: WorkedBlend;
  /** px a mm */
  readonly scale: number;
}

function pureWords(pure: ReturnType<typeof pureStretches>, colour: number, units: UnitSystem): string {
  const own = pure.find((p) => p.colour === colour);
  return own ? `pure, ${showLength(own.to - own.from, units)}` : 'no pure end';
}

/** How even the fade is, and what the compensated cut would make of it. */
function EvennessWords({ editing, worked }: Pick<FadeViewProps, 'editing' | 'worked'>): ReactElement {
  const better = Math.round(worked.compensated.gain * 100);
  const words = 'change of colour, ΔE a mm, as cut';
  if (editing.blend.plan.kind === 'compensated') return <span data-testid="evenness">{words}: compensated</span>;
  if (better <= 0) return <span data-testid="evenness">{words}: as even as straight cuts make it</span>;
  return (
    <span data-testid="evenness">
      {words} · <Word onClick={editing.compensate}>compensated: {better} % more even</Word> <Key>E</Key>
    </span>
  );
}

/** The fade that the cuts give, under the sheet they are drawn on. */
export function FadeView({ editing, worked, later, scale }: FadeViewProps): ReactElement {
  const units = useUnits();
  const { plan } = editing.blend;
  const { dragged, replan } = editing;
  const { layout, colours, fade } = worked;
  const pure = useMemo(() => pureStretches(layoutIn({ ...plan, cuts: dragged ?? plan.cuts })), [plan, dragged]);
  return (
    <Box paddingLeft={`${LEFT}px`} flex="none" width={`${LEFT + Math.max(WORDS, layout.width * scale)}px`}>
      <Box position="relative">
        <FadeStrip labs={fade.labs} width={layout.width * scale} height={FADE} label="The fade that results" />
        {plan.placed && (
          <PlacedOn
            placed={plan.placed}
            width={plan.width}
            scale={scale}
            height={FADE}
            onMove={(placed) => {
              replan({ placed });
            }}
          />
        )}
      </Box>
      <Flex justifyContent="space-between" fontSize="small" marginTop={1} gap={3}>
        <span>{pureWords(pure, 0, units)}</span>
        <EvennessWords editing={editing} worked={worked} />
        <span>{pureWords(pure, colours.length - 1, units)}</span>
      </Flex>
      <Box width={`${layout.width * scale}px`} minWidth="220px">
        <Evenness fade={later.fade} other={plan.kind === 'compensated' ? null : worked.compensatedFade} />
      </Box>
      <Caption>
        unevenness {unevenness(fade).toFixed(2)} ΔE a mm · double click adds a point to a cut, Delete takes it away
      </Caption>
    </Box>
  );
}
