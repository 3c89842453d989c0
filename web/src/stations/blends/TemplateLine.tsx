import type { ReactElement } from 'react';
import { PaperChoice } from '../../parts/PaperChoice.js';
import { useUnits, useView } from '../../state/view.js';
import { Key, Second, Word } from '../../theme/pieces.js';
import { savePdf, saveTemplate } from './Template.js';
import type { WorkedBlend } from './workedBlend.js';

interface TemplateLineProps {
  readonly name: string;
  readonly worked: WorkedBlend;
  /** how many layers of what, in words */
  readonly layers: string;
}

/** The template on paper and as a file. */
export function TemplateLine({ name, worked, layers }: TemplateLineProps): ReactElement {
  const units = useUnits();
  const paper = useView((s) => s.paper);
  const { layout, colours } = worked;
  return (
    <Second>
      <Word
        onClick={() => {
          window.print();
        }}
      >
        Print the paper template
      </Word>{' '}
      <Key>P</Key> · template as{' '}
      <Word
        aria-label="Template as SVG"
        onClick={() => {
          saveTemplate(name, layout, colours);
        }}
      >
        SVG
      </Word>{' '}
      ·{' '}
      <Word
        aria-label="Template as PDF"
        onClick={() => {
          void savePdf(name, layout, colours, layers, units, paper);
        }}
      >
        PDF
      </Word>{' '}
      · on <PaperChoice label="Paper of the template" />
    </Second>
  );
}
