import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { Paint } from '#core/cane';
import { showMass } from '#core/units';
import { thicknesses } from '#core/sheet';
import type { CaneAnswer, CaneDto, MachineDto } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { CountValue } from '../../../parts/Value.js';
import { useUnits, useView } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import type { WorkedCane } from '../../../workers/cane.js';
import { Face } from './Face.js';
import type { CaneMaterial } from '../clay/materials.js';

interface SlicesProps {
  readonly cane: CaneAnswer;
  readonly worked: WorkedCane | null;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly own: MachineDto | undefined;
  readonly onChange: (part: Partial<CaneDto>) => void;
}

/** Slices a little thicker than the setting they will be rolled at keep their picture: an assumption. */
const MORE = 0.15;

/** The slices at true size: how many are wanted, how thick, and what each weighs. */
export function Slices({ cane, worked, paints, materials, own, onChange }: SlicesProps): ReactElement | null {
  const units = useUnits();
  const pxPerMm = useView((s) => s.pxPerMm);
  const settings = own ? thicknesses(own) : [];
  const at = worked?.steps.findLastIndex((s) => s.there) ?? -1;
  const last = worked?.steps[at];
  if (!last || !worked) return null;
  const px = Math.max(6, Math.round(Math.max(last.width, last.height) * pxPerMm));
  const shown = Math.max(1, Math.min(3, Math.floor(300 / (px + 12))));
  const grams = last.amounts.reduce(
    (sum, [key, area]) => sum + (area * cane.sliceMm * (materials.get(key)?.density ?? 1.9)) / 1000,
    0,
  );
  return (
    <Box borderTop="rule" paddingTop={3}>
      <Caption>as slices, at true size on this screen</Caption>
      <Flex gap={4} alignItems="center" marginTop={2} wrap="wrap">
        {px <= 320 &&
          Array.from({ length: shown }, (_, i) => (
            <Face key={i} worked={worked} at={at} size={px} paints={paints} label="A slice at true size" />
          ))}
        <Box>
          <b>
            <CountValue
              label="Number of slices"
              value={cane.slices}
              onChange={(slices) => {
                onChange({ slices });
              }}
            />{' '}
            {cane.slices === 1 ? 'slice' : 'slices'}
          </b>
          <br />
          of{' '}
          <ThicknessValue
            label="Thickness of the slices"
            value={cane.sliceMm}
            onChange={(sliceMm) => {
              onChange({ sliceMm });
            }}
          />
          <br />
          {showMass(grams, units)} each
          {settings.length > 0 && (
            <>
              <br />
              <Choice
                label="Slices a little thicker than a setting"
                value=""
                options={[
                  { value: '', text: 'to be rolled at …' },
                  ...settings.map((s) => ({ value: s.id, text: `to be rolled at ${s.label}` })),
                ]}
                onChange={(id) => {
                  const s = settings.find((x) => x.id === id);
                  if (s) onChange({ sliceMm: Math.round(s.mm * (1 + MORE) * 100) / 100 });
                }}
              />
            </>
          )}
        </Box>
      </Flex>
    </Box>
  );
}
