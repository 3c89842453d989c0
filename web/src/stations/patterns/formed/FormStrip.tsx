import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { showLength, showMass } from '#core/units';
import type { PatternAnswer } from '#contract';
import { PaperChoice } from '../../../parts/PaperChoice.js';
import { saveFile } from '../../../parts/saveFile.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits, useView } from '../../../state/view.js';
import { Caption, Rule, Second, Strip, Word } from '../../../theme/pieces.js';
import type { PatternToMake } from '../../../workers/pattern.js';
import { saveFormSheet } from './formPaper.js';
import type { FormPlan, FormTakes } from './formPlan.js';
import { FORM_NAMES, blankWords, formSize, squeezedWords } from './formWords.js';
import { OntoBatch } from './OntoBatch.js';
import type { StillMaker } from './turned.js';

interface FormStripProps {
  readonly pattern: PatternAnswer;
  readonly plan: PatternToMake;
  readonly own: FormPlan;
  readonly takes: FormTakes | string;
  readonly still: StillMaker | null;
}

/** The paper strip: what is cut, what it weighs, what lies under it, and where it goes. */
export function FormStrip({ takes, ...own }: FormStripProps): ReactElement {
  if (typeof takes === 'string')
    return (
      <Strip>
        <Warning>{takes}</Warning>
      </Strip>
    );
  return <Takes {...own} takes={takes} />;
}

function Takes({
  pattern,
  plan,
  own,
  takes,
  still,
}: Omit<FormStripProps, 'takes'> & { readonly takes: FormTakes }): ReactElement {
  const units = useUnits();
  const paper = useView((s) => s.paper);
  const { blank, grams, core, coreGrams, squeezed } = takes;
  const picture = async (): Promise<void> => {
    const png = await still?.take();
    if (png) saveFile(`${pattern.name}, ${FORM_NAMES[own.form.kind]}`, 'png', 'image/png', png);
  };
  const print = (): void => {
    void saveFormSheet({ pattern, plan, own, takes, still, units, size: paper });
  };
  return (
    <Strip aria-label="What it takes">
      <Box>
        <Box as="h2" marginBottom={1}>
          What is cut
        </Box>
        <Box fontSize="small" lineHeight={1.7}>
          {blank ? blankWords(blank, units) : 'slices, as many as cover it'}, <b>{showMass(grams, units)}</b>
          <br />
          {showLength(plan.sheet.thick, units, true)} thick
        </Box>
        {squeezed !== null && <Second>{squeezedWords(squeezed, own.form)}</Second>}
      </Box>
      <Rule />
      <Box>
        <Box as="h2" marginBottom={1}>
          {own.form.kind === 'dome' ? 'The form below it' : 'The core'}
        </Box>
        <Box fontSize="small" lineHeight={1.7}>
          {formSize(core, units)}
          {own.form.kind !== 'dome' && (
            <>
              , <b>{showMass(coreGrams, units)}</b> of clay as heavy as this
            </>
          )}
        </Box>
        {own.form.kind === 'dome' && <Caption>Two of them, joined at the rim, make a hollow form.</Caption>}
      </Box>
      <Rule />
      <OntoBatch pattern={pattern} own={own} takes={takes} plan={plan} />
      <Rule />
      <Box fontSize="small" lineHeight={1.8}>
        <Word disabled={still === null} onClick={() => void picture()}>
          a still of it
        </Word>{' '}
        as PNG
        <br />
        <Word onClick={print}>on paper</Word>, <PaperChoice label="Paper of the form" />
      </Box>
    </Strip>
  );
}
