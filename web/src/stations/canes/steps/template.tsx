import { Suspense, lazy } from 'react';
import type { StepOf } from '#core/cane';
import { showLength, showSize } from '#core/units';
import { newId } from './first.js';
import { laidOf } from './templateBuild.js';
import { clayArea, fillName, groupName, groupsOf, heightOf, isGround, widthOf } from './templateMoves.js';
import type { Beginning, StepView } from './view.js';

// the drawing pad comes with it, and only who draws waits for that
const TemplateEditor = lazy(() => import('./TemplateEditor.js'));

type Template = StepOf<'template'>;

/** mm² below which an area is said with a decimal. */
const SMALL = 10;

const sizeOf = (step: Template, { units, length }: Beginning): string =>
  `template, ${showSize(widthOf(step), heightOf(step), units)}, ${showLength(length, units)} long`;

/** Every region in the order of the drawing, regions that are filled alike as one: with what, and how large. */
function regionsWords(step: Template, beginning: Beginning): string {
  return groupsOf(step.regions, false)
    .map((group) => {
      const area = clayArea(step, group);
      const filled = group[0] ? fillName(group[0].fill, beginning.names) : '';
      return `${groupName(group, isGround(step, group))} of ${filled}, ${area.toFixed(area < SMALL ? 1 : 0)} mm²`;
    })
    .join('; ');
}

export const template: StepView<Template> = {
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
  begins: (step, beginning) => `${sizeOf(step, beginning)}; ${regionsWords(step, beginning)}`,
  laid: laidOf,
};
