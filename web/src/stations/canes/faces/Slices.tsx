import { massOf } from '#core/clay';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import type { Paint } from '#core/cane';
import { showMass } from '#core/units';
import { ASSUMED_DENSITY } from '#core/clay';
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

/** px of a slice, at least, and of the largest that is shown; px that some of them together take. */
const [SMALLEST, LARGEST, ROOM, MOST_SHOWN] = [6, 320, 300, 3];

/** Grams of one slice. @param amounts mm² of each material in it */
const gramsOfSlice = (
  amounts: readonly (readonly [key: string, area: number])[],
  mm: number,
  materials: SlicesProps['materials'],
): number =>
  amounts.reduce((sum, [key, area]) => sum + massOf(area * mm, materials.get(key)?.density ?? ASSUMED_DENSITY), 0);

/** As thick as a setting and a little more. */
function ToBeRolled({ own, onChange }: Pick<SlicesProps, 'own' | 'onChange'>): ReactElement | null {
  const settings = own ? thicknesses(own) : [];
  if (settings.length === 0) return null;
  return (
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
  );
}

/** Some slices as large as they are. */
function AtTrueSize({
  worked,
  at,
  paints,
}: Pick<SlicesProps, 'paints'> & { readonly worked: WorkedCane; readonly at: number }): ReactElement | null {
  const pxPerMm = useView((s) => s.pxPerMm);
  const last = worked.steps[at];
  if (!last) return null;
  const px = Math.max(SMALLEST, Math.round(Math.max(last.width, last.height) * pxPerMm));
  if (px > LARGEST) return null;
  const shown = Math.max(1, Math.min(MOST_SHOWN, Math.floor(ROOM / (px + 12))));
  return (
    <>
      {Array.from({ length: shown }, (_, i) => (
        <Face key={i} worked={worked} at={at} size={px} paints={paints} label="A slice at true size" />
      ))}
    </>
  );
}

/** The slices at true size: how many are wanted, how thick, and what each weighs. */
export function Slices({ cane, worked, paints, materials, own, onChange }: SlicesProps): ReactElement | null {
  const units = useUnits();
  const at = worked?.steps.findLastIndex((s) => s.there) ?? -1;
  const last = worked?.steps[at];
  if (!last || !worked) return null;
  return (
    <Box borderTop="rule" paddingTop={3}>
      <Caption>as slices, at true size on this screen</Caption>
      <Flex gap={4} alignItems="center" marginTop={2} wrap="wrap">
        <AtTrueSize worked={worked} at={at} paints={paints} />
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
          {showMass(gramsOfSlice(last.amounts, cane.sliceMm, materials), units)} each
          <ToBeRolled own={own} onChange={onChange} />
          <br />
          <Link to={`/patterns?slices=${cane.revisionId}`}>lay them into a sheet</Link>
        </Box>
      </Flex>
    </Box>
  );
}
