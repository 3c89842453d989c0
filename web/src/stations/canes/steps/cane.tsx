import type { StepOf } from '#core/cane';
import { PartOf } from './fields.js';
import { newId, rodOf } from './first.js';
import type { StepView } from './view.js';

export const cane: StepView<StepOf<'cane'>> = {
  word: 'Another cane',
  group: null,
  title: ({ part }) => part.name ?? 'A cane',
  first: (_, { light }) => ({ id: newId(), do: 'cane', part: rodOf(light, 20, 60) }),
  Fields: (of) => <PartOf of={of} label="The cane to begin with" />,
};
