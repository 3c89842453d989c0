import type { StepOf } from '#core/cane';
import { newId } from './first.js';
import type { StepView } from './view.js';

export const mirror: StepView<StepOf<'mirror'>> = {
  word: 'Mirror',
  group: 'shape',
  title: () => 'Mirror',
  first: () => ({ id: newId(), do: 'mirror' }),
  Fields: () => <>left and right exchanged</>,
  line: () => 'Turn it end for end.',
};
