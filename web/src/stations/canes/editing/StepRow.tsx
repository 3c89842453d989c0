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
  const units = useUnits();
  const figures = worked?.steps ?? [];
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    row.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [chosen, steps.length]);
  const largest = Math.max(1, ...figures.map((f) => Math.max(f.width, f.height)));
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
      {steps.map((step, i) => {
        const f = figures[i];
        const stage = stages?.[i];
        const made = { count: stage?.count ?? f?.count ?? 1, length: stage ? usable(stage) : (f?.length ?? 0) };
        const size = f?.there ? Math.max(10, (LARGEST * Math.max(f.width, f.height)) / largest) : 20;
        return (
          <Box as="li" key={step.id} flex="none">
            <Pick
              onClick={() => {
                onChoose(i);
              }}
              aria-current={i === chosen ? 'step' : undefined}
              aria-label={`Step ${i + 1}: ${stepTitle(step, units)}`}
            >
              <Flex height={`${LARGEST + 4}px`} alignItems="center" justifyContent="center">
                {f?.there && (
                  <Face worked={worked} at={i} size={size} paints={paints} label={`Face after step ${i + 1}`} />
                )}
                {!f?.there && f?.wrong != null && <Warning>{''}</Warning>}
                {!f?.there && f?.wrong == null && <Caption>–</Caption>}
              </Flex>
              <Box
                fontSize="small"
                fontWeight={600}
                lineHeight={1.2}
                minHeight="34px"
                marginTop={1}
                overflowWrap="anywhere"
              >
                {i + 1} {stepTitle(step, units)}
              </Box>
              <Caption minHeight="40px">
                {f?.there && (
                  <>
                    {f.round ? showLength(f.width, units) : showSize(f.width, f.height, units)}
                    <br />
                    {made.count > 1 && `${made.count} × `}
                    {showLong(made.length, units)} long
                  </>
                )}
                {!f?.there && f?.wrong != null && 'cannot be done'}
              </Caption>
              <Box
                width="100%"
                marginTop={1}
                height={i === chosen ? '9px' : '1px'}
                marginBottom={i === chosen ? 0 : '8px'}
                background="ink"
              />
            </Pick>
          </Box>
        );
      })}
      <Box as="li" flex="none" alignSelf="center">
        <Plus aria-label="Add a step" title="add a step" onClick={onAdd}>
          +
        </Plus>
      </Box>
    </Flex>
  );
}
