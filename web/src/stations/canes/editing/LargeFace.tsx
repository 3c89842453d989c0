import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { Stage } from '#core/cane';
import { showLength, showLong, type UnitSystem } from '#core/units';
import { Warning } from '../../../parts/Warning.js';
import { useUnits, useView } from '../../../state/view.js';
import { Second } from '../../../theme/pieces.js';
import type { WorkedCane } from '../../../workers/cane.js';
import { Face } from '../faces/Face.js';
import { longWords } from '../words/caneWords.js';
import type { Followed, StepBenchProps } from './oneStep.js';

/** px of the face where it is not shown at its true size, and the least it is. */
const [LARGE, LEAST] = [392, 6];
/** mm of a side from which a scale is said to a tenth. */
const WIDE = 30;

type Figures = WorkedCane['steps'][number];

interface NoFaceProps {
  readonly worked: WorkedCane | null;
  readonly own: StepBenchProps;
}

/** Where there is no face after a step: what is wrong, or, while it is being worked out, the last face there is. */
function NoFace({ worked, own: { at, steps, bench } }: NoFaceProps): ReactElement {
  const wrong = worked?.steps.find((s) => s.wrong !== null)?.wrong;
  const computing = !worked || worked.steps.length !== steps.length;
  const before = worked?.steps.findLastIndex((s, i) => s.there && i <= at) ?? -1;
  return (
    <Box width={`${LARGE}px`}>
      {before >= 0 && (
        <Box opacity={0.5}>
          <Face
            worked={worked}
            at={before}
            size={LARGE}
            paints={bench.paints}
            label={`The face after step ${before + 1}`}
          />
        </Box>
      )}
      {computing ? (
        <Second aria-live="polite">being worked out …</Second>
      ) : (
        <Warning>{wrong ?? 'A step before this one cannot be done.'}</Warning>
      )}
    </Box>
  );
}

const sizeWords = (f: Figures, units: UnitSystem): string =>
  f.round ? `${showLength(f.across, units)} across` : `${showLength(f.width, units)} × ${showLength(f.height, units)}`;

const countWords = (f: Figures, units: UnitSystem): string =>
  `${showLong(f.length, units)} long${f.count > 1 ? `, ${f.count} of them` : ''}`;

interface UnderFaceProps {
  readonly figures: Figures;
  readonly stage: Stage | undefined;
  readonly own: StepBenchProps;
  /** px of the face */
  readonly shown: number;
}

/** How large it is, how long, and at which scale it is shown. */
function UnderFace({ figures, stage, own, shown }: UnderFaceProps): ReactElement {
  const units = useUnits();
  const pxPerMm = useView((s) => s.pxPerMm);
  const side = Math.max(figures.width, figures.height);
  const { feature, trueSize, bench } = own;
  return (
    <Box maxWidth={`${Math.max(LARGE, shown)}px`}>
      <Box fontSize="small" marginTop={2}>
        {sizeWords(figures, units)}, {stage ? longWords(stage, units) : countWords(figures, units)} ·{' '}
        {trueSize ? 'true size' : `${(shown / pxPerMm / side).toFixed(side > WIDE ? 1 : 0)} : 1`}
      </Box>
      {feature && (
        <Second>
          narrowest: {showLength(feature.mm, units, true)} of {bench.materials.get(feature.material)?.name ?? ''}
        </Second>
      )}
    </Box>
  );
}

interface LargeFaceProps {
  readonly own: StepBenchProps;
  readonly followed: Followed;
}

/** The face after the step, as large as there is room, at its true size, or as it is seen from afar. */
export function LargeFace({ own, followed }: LargeFaceProps): ReactElement {
  const { at, bench, trueSize, blur, stages } = own;
  const { worked, dragged } = followed;
  const pxPerMm = useView((s) => s.pxPerMm);
  const figures = worked?.steps[at];
  if (!figures?.there) return <NoFace worked={worked} own={own} />;
  const side = Math.max(figures.width, figures.height);
  const shown = trueSize && side > 0 ? Math.max(LEAST, side * pxPerMm) : LARGE;
  return (
    <Box>
      <Box style={blur === 0 ? {} : { filter: `blur(${((blur / 2) * shown) / side}px)` }}>
        <Face
          worked={worked}
          at={at}
          size={Math.round(shown)}
          paints={bench.paints}
          coarse={dragged}
          label={`The face after step ${at + 1}`}
        />
      </Box>
      <UnderFace figures={figures} stage={dragged ? undefined : stages?.[at]} own={own} shown={shown} />
    </Box>
  );
}
