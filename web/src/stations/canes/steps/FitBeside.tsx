import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { Region } from '#core/cane';
import { showLength, showSize } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { useUnits } from '../../../state/view.js';
import { Word } from '../../../theme/pieces.js';
import { useCaneOf, useCanes } from '../../../wire/queries.js';
import { TemplatePicture } from './TemplatePicture.js';
import { heightOf, wholeArea, widthOf, type Template } from './templateMoves.js';
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

interface BothProps {
  readonly own: Template;
  readonly other: Template;
  readonly colourOf: (region: Region) => string;
}

/** px that both together are wide at most, and high. */
const [BOTH_WIDE, BOTH_HIGH] = [300, 150];

/** mm² below which an area is said with a decimal. */
const SMALL = 100;
const areaWords = (mm2: number): string => `${mm2.toFixed(mm2 < SMALL ? 1 : 0)} mm²`;

/** Both beside each other at one scale, each with its size and its area. */
function Both({ own, other, colourOf }: BothProps): ReactElement {
  const units = useUnits();
  const wide = widthOf(own) + widthOf(other);
  const high = Math.max(heightOf(own), heightOf(other));
  const scale = Math.min(BOTH_WIDE / wide, BOTH_HIGH / high);
  const more = wholeArea(own) / wholeArea(other);
  return (
    <Box>
      <Flex gap={3} alignItems="flex-end" marginTop={1}>
        {[own, other].map((step, i) => (
          <Box key={i} lineHeight={1.4}>
            <TemplatePicture
              step={step}
              scale={scale}
              colourOf={colourOf}
              label={i === 0 ? 'This one' : 'The other one'}
            />
            {showSize(widthOf(step), heightOf(step), units)}, {areaWords(wholeArea(step))}
          </Box>
        ))}
      </Flex>
      {Math.abs(more - 1) < FITS ? 'as much clay in both' : `this one has ${more.toFixed(2)} times the area`}
    </Box>
  );
}

interface FitBesideProps {
  readonly step: Template;
  readonly colourOf: (region: Region) => string;
  readonly canes: readonly CaneChoice[];
  readonly onHeight: (mm: number) => void;
}

/** Whether two templates that belong together, as an upper and a lower wing, fit in size. */
export function FitBeside({ step, colourOf, canes, onHeight }: FitBesideProps): ReactElement | null {
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
      {template && <Both own={step} other={template} colourOf={colourOf} />}
      {ref !== '' && other.data && !template && ': that one has no template'}
    </Box>
  );
}
