import { Box, Flex, chakra } from '@chakra-ui/react';
import { useEffect, useRef, type ReactElement } from 'react';
import { usable, type Paint, type Stage, type Step } from '#core/cane';
import { showLength, showLong, showSize } from '#core/units';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Plus } from '../../../theme/pieces.js';
import type { WorkedCane } from '../../../workers/cane.js';
import { Face } from '../faces/Face.js';
import { stepTitle } from '../steps/index.js';

const Pick = chakra('button', {
  base: {
    width: '112px',
    flex: 'none',
    textAlign: 'center',
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    _hover: { background: 'paper' },
  },
});
/** px of the largest face in the row. */
const LARGEST = 68;

/** px of the smallest face in the row. */
const SMALLEST = 10;

interface OneStepProps {
  readonly step: Step;
  readonly at: number;
  readonly worked: WorkedCane | null;
  /** of the plan, where there is one: as long as it is really made */
  readonly stage: Stage | undefined;
  readonly paints: Readonly<Record<string, Paint>>;
  /** px for a mm of a face */
  readonly scale: number;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

/** How large it is after a step, and how long. */
function Figures({ worked, at, stage }: Pick<OneStepProps, 'worked' | 'at' | 'stage'>): ReactElement | null {
  const units = useUnits();
  const f = worked?.steps[at];
  if (!f) return null;
  if (!f.there) return f.wrong == null ? null : <>cannot be done</>;
  const count = stage?.count ?? f.count;
  const length = stage ? usable(stage) : f.length;
  return (
    <>
      {f.round ? showLength(f.width, units) : showSize(f.width, f.height, units)}
      <br />
      {count > 1 && `${count} × `}
      {showLong(length, units)} long
    </>
  );
}

/** The face after a step, or why there is none. */
function SmallFace({
  worked,
  at,
  paints,
  scale,
}: Pick<OneStepProps, 'worked' | 'at' | 'paints' | 'scale'>): ReactElement {
  const f = worked?.steps[at];
  if (f?.there) {
    const size = Math.max(SMALLEST, scale * Math.max(f.width, f.height));
    return <Face worked={worked} at={at} size={size} paints={paints} label={`Face after step ${at + 1}`} />;
  }
  return f?.wrong == null ? <Caption>–</Caption> : <Warning>{''}</Warning>;
}

/** One step of the row: its face, its name, its size. */
function OneStep({ step, chosen, onChoose, ...own }: OneStepProps): ReactElement {
  const units = useUnits();
  const title = stepTitle(step, units);
  return (
    <Box as="li" flex="none">
      <Pick onClick={onChoose} aria-current={chosen ? 'step' : undefined} aria-label={`Step ${own.at + 1}: ${title}`}>
        <Flex height={`${LARGEST + 4}px`} alignItems="center" justifyContent="center">
          <SmallFace {...own} />
        </Flex>
        <Box fontSize="small" fontWeight={600} lineHeight={1.2} minHeight="34px" marginTop={1} overflowWrap="anywhere">
          {own.at + 1} {title}
        </Box>
        <Caption minHeight="40px">
          <Figures {...own} />
        </Caption>
        <Box
          width="100%"
          marginTop={1}
          height={chosen ? '9px' : '1px'}
          marginBottom={chosen ? 0 : '8px'}
          background="ink"
        />
      </Pick>
    </Box>
  );
}

interface StepRowProps {
  readonly steps: readonly Step[];
  readonly worked: WorkedCane | null;
  /** of the plan, where there is one */
  readonly stages: readonly Stage[] | null;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly chosen: number;
  readonly onChoose: (at: number) => void;
  readonly onAdd: () => void;
}

/** All steps in a row, each with its face at its size beside the others. */
export function StepRow({ steps, worked, stages, paints, chosen, onChoose, onAdd }: StepRowProps): ReactElement {
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    row.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [chosen, steps.length]);
  const largest = Math.max(1, ...(worked?.steps ?? []).map((f) => Math.max(f.width, f.height)));
  return (
    <Flex
      as="ol"
      ref={row}
      aria-label="Steps of the cane"
      gap={2}
      overflowX="auto"
      flex="none"
      paddingBottom={1}
      alignItems="flex-end"
    >
      {steps.map((step, i) => (
        <OneStep
          key={step.id}
          step={step}
          at={i}
          worked={worked}
          stage={stages?.[i]}
          paints={paints}
          scale={LARGEST / largest}
          chosen={i === chosen}
          onChoose={() => {
            onChoose(i);
          }}
        />
      ))}
      <Box as="li" flex="none" alignSelf="center">
        <Plus aria-label="Add a step" title="add a step" onClick={onAdd}>
          +
        </Plus>
      </Box>
    </Flex>
  );
}
