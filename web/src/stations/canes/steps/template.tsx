import { Suspense, lazy } from 'react';
import type { StepOf } from '#core/cane';
import { showLong } from '#core/units';
import { newId } from './first.js';
import type { StepView } from './view.js';

// the drawing pad comes with it, and only who draws waits for that
const TemplateEditor = lazy(() => import('./TemplateEditor.js'));

export const template: StepView<StepOf<'template'>> = {
  word: 'Template',
  group: null,
  title: ({ regions }) => `Template, ${regions.length} region${regions.length === 1 ? '' : 's'}`,
  first: (_, { light }) => ({
    id: newId(),
    do: 'template',
    length: 40,
    regions: [
      {
        id: newId(),
        name: 'ground',
        points: [
          [-20, -15],
          [20, -15],
          [20, 15],
          [-20, 15],
        ],
        fill: { of: light },
      },
    ],
  }),
  Fields: (of) => (
    <Suspense fallback={null}>
      <TemplateEditor {...of} />
    </Suspense>
  ),
  begins: (_, { units, length }) => `template, ${showLong(length, units)} long`,
};
