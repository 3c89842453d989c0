import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { showLength } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { useUnits } from '../../../state/view.js';
import { Word } from '../../../theme/pieces.js';
import { useCaneOf, useCanes } from '../../../wire/queries.js';
import { heightOf, type Template } from './templateMoves.js';
import type { CaneChoice } from './view.js';

/** Heights that differ by less than this share fit. */
const FITS = 0.01;

interface FitProps {
  readonly own: number;
  readonly other: number;
  readonly onHeight: (mm: number) => void;
}

/** Whether two heights fit, and the way to make them. */
function Fit({ own, other, onHeight }: FitProps): ReactElement {
  const units = useUnits();
  if (Math.abs(other / own - 1) < FITS) return <>{`: both are ${showLength(own, units)} high, they fit`}</>;
  return (
    <>
      : that is {showLength(other, units)} high, this {showLength(own, units)}.{' '}
      <Word
        onClick={() => {
          onHeight(other);
        }}
      >
        make this as high
      </Word>
    </>
  );
}

interface FitBesideProps {
  readonly step: Template;
  readonly canes: readonly CaneChoice[];
  readonly onHeight: (mm: number) => void;
}

/** Whether two templates that belong together, as an upper and a lower wing, fit in size. */
export function FitBeside({ step, canes, onHeight }: FitBesideProps): ReactElement | null {
  const all = useCanes();
  const [ref, setRef] = useState('');
  const other = useCaneOf(all.data?.find((c) => c.revisionId === ref)?.id);
  const template = other.data?.program.steps.find((s): s is Template => s.do === 'template');
  if (canes.length === 0) return null;
  return (
    <Box>
      belongs with{' '}
      <Choice
        label="The template it belongs with"
        value={ref}
        options={[{ value: '', text: 'none' }, ...canes.map((c) => ({ value: c.revisionId, text: c.name }))]}
        onChange={setRef}
      />
      {template && <Fit own={heightOf(step)} other={heightOf(template)} onHeight={onHeight} />}
      {ref !== '' && other.data && !template && ': that one has no template'}
    </Box>
  );
}
