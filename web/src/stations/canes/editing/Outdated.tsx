import type { ReactElement } from 'react';
import { withMaterial } from '#core/cane';
import type { CaneAnswer } from '#contract';
import { Warning } from '../../../parts/Warning.js';
import { Word } from '../../../theme/pieces.js';
import type { CaneEditing } from './useCaneEditing.js';

interface OutdatedProps {
  readonly cane: CaneAnswer;
  readonly editing: CaneEditing;
}

/** Mixes and blends of a cane that have become something else since. */
export function Outdated({ cane, editing }: OutdatedProps): ReactElement {
  return (
    <>
      {cane.outdated.map(({ of, name, newer }) => (
        <Warning key={of}>
          {name} has a newer revision than the one that is used here.{' '}
          <Word
            aria-label={`Use the newer ${name}`}
            onClick={() => {
              editing.save({ program: { ...cane.program, steps: withMaterial(cane.program.steps, of, newer) } });
            }}
          >
            Use the newer
          </Word>
        </Warning>
      ))}
    </>
  );
}
