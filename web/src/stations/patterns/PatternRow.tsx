import { Box, Flex, chakra } from '@chakra-ui/react';
import { useEffect, useRef, type ReactElement } from 'react';
import type { View } from '#core/pattern';
import { showLength, showSize, type UnitSystem } from '#core/units';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption, Plus } from '../../theme/pieces.js';
import type { PlainBody } from '../../workers/pattern.js';
import { PatternFace } from './faces/PatternFace.js';
import { stepTitle } from './steps/index.js';
import type { BenchPattern } from './usePattern.js';

const Pick = chakra('button', { base: { textAlign: 'left', display: 'block', width: '118px' } });
const PICTURE = 104;

/** A block is known by its side, everything else by its face. */
const SIDE: View = { of: 'side', degrees: 0, off: 0 };
const FACE: View = { of: 'face' };
export const viewFor = ({ form }: PlainBody): View => (form === 'block' ? SIDE : FACE);

/** How large it is after a step. */
export function sizeWords({ form, round, width, height, thick, count }: PlainBody, units: UnitSystem): string {
  const many = count > 1 ? `${count} × ` : '';
  if (form === 'rope') return `${many}${showLength(width, units)} across, ${showLength(thick, units)} long`;
  const plan = round ? `${showLength(width, units)} across` : showSize(width, height, units);
  return `${many}${plan}, ${showLength(thick, units, form === 'sheet')} thick`;
}

interface RowProps {
  readonly bench: BenchPattern;
  readonly chosen: number;
  readonly onChoose: (at: number) => void;
  readonly onAdd: (adding: boolean) => void;
}

/** One step of the row: its picture, its name, its size. */
function OneStep({
  bench,
  at,
  chosen,
  onChoose,
}: Pick<RowProps, 'bench' | 'onChoose'> & { at: number; chosen: boolean }) {
  const units = useUnits();
  const step = bench.plain.steps[at];
  const body = bench.bodies?.[at];
  if (!step) return null;
  const title = stepTitle(step, units);
  return (
    <Box as="li" flex="none">
      <Pick
        onClick={() => {
          onChoose(at);
        }}
        aria-current={chosen ? 'step' : undefined}
        aria-label={`Step ${at + 1}: ${title}`}
      >
        <Flex height={`${PICTURE + 2}px`} alignItems="center" justifyContent="center">
          {body?.there && (
            <PatternFace
              pattern={bench.plain}
              at={at}
              view={viewFor(body)}
              body={body}
              size={PICTURE}
              paints={bench.paints}
              label={`After step ${at + 1}`}
            />
          )}
          {body?.wrong != null && <Warning>{''}</Warning>}
        </Flex>
        <Box fontSize="small" fontWeight={600} lineHeight={1.2} minHeight="34px" marginTop={1}>
          {at + 1} {title}
        </Box>
        <Caption minHeight="40px" display="block">
          {body?.there ? sizeWords(body, units) : '–'}
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

/** All steps in a row, each with what is there after it. */
export function PatternRow({ bench, chosen, onChoose, onAdd }: RowProps): ReactElement {
  const row = useRef<HTMLDivElement>(null);
  const { steps } = bench.plain;
  useEffect(() => {
    row.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [chosen, steps.length]);
  return (
    <Flex
      as="ol"
      ref={row}
      aria-label="Steps of the patterned sheet"
      gap={2}
      overflowX="auto"
      flex="none"
      paddingBottom={1}
    >
      {steps.map((step, i) => (
        <OneStep key={step.id} bench={bench} at={i} chosen={i === chosen} onChoose={onChoose} />
      ))}
      <Box as="li" flex="none" alignSelf="center">
        <Plus
          aria-label="Add a step"
          title="add a step"
          onClick={() => {
            onChoose(steps.length - 1);
            onAdd(true);
          }}
        >
          +
        </Plus>
      </Box>
    </Flex>
  );
}
