import type { ReactElement } from 'react';
import type { Fill } from '#core/cane';
import { readNumber } from '#core/units';
import { Choice, type Option } from '../../../parts/Choice.js';
import { Value } from '../../../parts/Value.js';
import { Word } from '../../../theme/pieces.js';
import type { CaneMaterial } from '../clay/materials.js';
import { Of } from './Of.js';
import type { CaneChoice } from './view.js';

interface FillProps<F extends Fill> {
  readonly fill: F;
  /** the region, or the first of several that are alike */
  readonly name: string;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly canes: readonly CaneChoice[];
  readonly onFill: (fill: Fill) => void;
  /** opens the steps of the cane in it */
  readonly onOpen: () => void;
}
type CaneFill = Extract<Fill, { readonly cane: unknown }>;
type BlendFill = Extract<Fill, { readonly blend: unknown }>;

/** Which way what fills the region runs in it. */
function Direction({
  fill,
  onFill,
}: {
  readonly fill: CaneFill | BlendFill;
  readonly onFill: (fill: Fill) => void;
}): ReactElement {
  return (
    <>
      {' '}
      at{' '}
      <Value
        label="Direction in the region"
        text={String(fill.degrees)}
        read={(t) => readNumber(t).valueOf()}
        onChange={(degrees) => {
          onFill({ ...fill, degrees });
        }}
      />
      °
    </>
  );
}

/** The cane as it is now, where it is none of those that can be taken. */
function asItIs({ cane }: CaneFill, canes: readonly CaneChoice[]): Option[] {
  const value = 'ref' in cane ? cane.ref : 'own';
  if (canes.some((c) => c.revisionId === value)) return [];
  return [{ value, text: cane.name ?? 'a part of its own' }];
}

function CaneIn({ fill, name, canes, onFill, onOpen }: FillProps<CaneFill>): ReactElement {
  return (
    <>
      <Choice
        label={`Cane in ${name}`}
        value={'ref' in fill.cane ? fill.cane.ref : 'own'}
        options={[...asItIs(fill, canes), ...canes.map((c) => ({ value: c.revisionId, text: c.name }))]}
        onChange={(ref) => {
          const cane = canes.find((c) => c.revisionId === ref);
          if (cane) onFill({ ...fill, cane: { ref, name: cane.name } });
        }}
      />
      {'steps' in fill.cane && (
        <>
          {' '}
          (<Word onClick={onOpen}>open</Word>)
        </>
      )}
      <Direction fill={fill} onFill={onFill} />
    </>
  );
}

function BlendIn({ fill, name, materials, onFill }: FillProps<BlendFill>): ReactElement {
  return (
    <>
      <Of
        of={fill.blend}
        place="plug"
        materials={materials}
        label={`Blend in ${name}`}
        onPick={(blend) => {
          onFill({ ...fill, blend });
        }}
      />
      <Direction fill={fill} onFill={onFill} />
    </>
  );
}

/** What fills a region, to be exchanged where it stands. */
export function FillWords(props: FillProps<Fill>): ReactElement {
  const { fill, name, materials, onFill } = props;
  if ('cane' in fill) return <CaneIn {...props} fill={fill} />;
  if ('blend' in fill) return <BlendIn {...props} fill={fill} />;
  return (
    <Of
      of={fill.of}
      materials={materials}
      label={`Clay or mix of ${name}`}
      onPick={(of) => {
        onFill({ of });
      }}
    />
  );
}
