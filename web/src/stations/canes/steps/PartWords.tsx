import type { ReactElement } from 'react';
import type { Part } from '#core/cane';
import type { CaneInside } from '#contract';
import { Choice, type Option } from '../../../parts/Choice.js';
import { Caption, Word } from '../../../theme/pieces.js';
import type { CaneChoice } from './view.js';

interface PartProps {
  readonly part: Part | undefined;
  readonly label: string;
  readonly canes: readonly CaneChoice[];
  readonly insides: readonly CaneInside[];
  readonly onPick: (part: Part) => void;
  readonly onOpen: () => void;
}

/** The part as it is now, where it is none of the canes that can be taken. */
function asItIs(part: Part, canes: readonly CaneChoice[]): Option[] {
  if (!('ref' in part)) return [{ value: 'own', text: part.name ?? 'a part of its own' }];
  if (canes.some((c) => c.revisionId === part.ref)) return [];
  return [{ value: part.ref, text: `${part.name ?? 'a cane'}, as it was` }];
}

/** Another cane that a step takes in: its own steps, or a cane that is kept. */
export function PartWords(props: PartProps): ReactElement {
  const { part, label, canes, insides, onPick, onOpen } = props;
  if (!part) return <Caption>nothing</Caption>;
  const inside = 'ref' in part ? insides.find((c) => c.revisionId === part.ref) : undefined;
  return (
    <>
      <Choice
        label={label}
        value={'ref' in part ? part.ref : 'own'}
        options={[...asItIs(part, canes), ...canes.map((c) => ({ value: c.revisionId, text: c.name }))]}
        onChange={(next) => {
          const cane = canes.find((c) => c.revisionId === next);
          if (cane) onPick({ ref: cane.revisionId, name: cane.name });
        }}
      />
      {inside && <KeptPart inside={inside} label={label} canes={canes} onPick={onPick} />}
      {'steps' in part && (
        <>
          {' '}
          (
          <Word aria-label={`Open ${label}`} onClick={onOpen}>
            open
          </Word>
          )
        </>
      )}
    </>
  );
}

interface KeptProps extends Pick<PartProps, 'label' | 'canes' | 'onPick'> {
  readonly inside: CaneInside;
}

/** What can be done with a cane that is kept: copied, or brought up to date. */
function KeptPart({ inside, label, canes, onPick }: KeptProps): ReactElement {
  const newer = inside.newest ? undefined : canes.find((c) => c.name === inside.name);
  return (
    <>
      {' '}
      (
      <Word
        aria-label={`Copy the steps of ${label}`}
        onClick={() => {
          onPick({ name: inside.name, steps: inside.program.steps });
        }}
      >
        copy its steps
      </Word>
      {newer && (
        <>
          ,{' '}
          <Word
            aria-label={`Take the newer ${inside.name}`}
            onClick={() => {
              onPick({ ref: newer.revisionId, name: newer.name });
            }}
          >
            take its newer revision
          </Word>
        </>
      )}
      )
    </>
  );
}
