import type { ReactElement } from 'react';
import type { StepOf } from '#core/cane';
import { showLength, showSize } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { Length, Ready, Size, setAnew } from './fields.js';
import { newId } from './first.js';
import { SIZE, handle } from './handle.js';
import { log } from './log.js';
import { Of } from './Of.js';
import { SameSize } from './SameSize.js';
import type { EditorProps, StepView } from './view.js';

type Plug = StepOf<'plug'>;

const WOUND = [
  { value: 'rolled', text: 'rolled up' },
  { value: 'fan', text: 'folded like a fan' },
] as const;
const INSIDE = [
  { value: 'first', text: 'first colour inside' },
  { value: 'last', text: 'last colour inside' },
] as const;

function RolledUp({ of }: { readonly of: EditorProps<Plug> }): ReactElement {
  return (
    <>
      <Choice
        label="Which end is inside"
        value={of.step.inside}
        options={INSIDE}
        onChange={(inside) => {
          setAnew(of, { inside });
        }}
      />
      , <Size of={of} label="Diameter of the plug" field="width" /> across
    </>
  );
}

function LikeAFan({ of }: { readonly of: EditorProps<Plug> }): ReactElement {
  return (
    <>
      <Size of={of} label="Width of the plug" field="width" /> ×{' '}
      <Size of={of} label="Depth of the plug" field="depth" />
    </>
  );
}

function Fields(of: EditorProps<Plug>): ReactElement {
  return (
    <>
      of{' '}
      <Of
        of={of.step.of}
        place="plug"
        materials={of.materials}
        label="Blend of the plug"
        onPick={(blend) => {
          setAnew(of, { of: blend });
        }}
      />
      ,{' '}
      <Choice
        label="How it is wound"
        value={of.step.wound}
        options={WOUND}
        onChange={(wound) => {
          setAnew(of, { wound });
        }}
      />
      , {of.step.wound === 'rolled' ? <RolledUp of={of} /> : <LikeAFan of={of} />},{' '}
      <Length of={of} label="Length of the plug" field="length" /> long
      <SameSize of={of} what="plug" />
      <Ready of={of} />
    </>
  );
}

export const plug: StepView<Plug> = {
  word: 'Plug of a blend',
  group: null,
  title: ({ wound }) => (wound === 'fan' ? 'Fan plug' : 'Plug'),
  first: (now, clay) =>
    clay.blend === null
      ? log.first(now, clay)
      : { id: newId(), do: 'plug', of: clay.blend, wound: 'rolled', inside: 'first', width: 24, depth: 24, length: 60 },
  Fields,
  handles: (step) => [
    handle(step, step.wound === 'fan' ? 'wide' : 'across', SIZE, step.width, (width) => ({ width })),
    ...(step.wound === 'fan' ? [handle(step, 'deep', SIZE, step.depth, (depth) => ({ depth }))] : []),
  ],
  begins: ({ of, wound, width, depth }, { names, units, length }) => {
    const size = wound === 'rolled' ? `${showLength(width, units)} across` : showSize(width, depth, units);
    return `plug of ${names(of)}, ${size}, ${showLength(length, units)} long`;
  },
};
