import { Box } from '@chakra-ui/react';
import { useState, type ReactElement, type ReactNode } from 'react';
import { MOST_KINDS, MOST_OF_A_KIND, type Part, type Step } from '#core/cane';
import { keyOf } from '#core/material';
import { MaterialPicker, type Picked } from '../../../parts/MaterialPicker.js';
import { CountValue } from '../../../parts/Value.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { PartOf } from './fields.js';
import { likeOwn } from './likeOwn.js';
import type { EditorProps } from './view.js';

interface MoreProps<S extends Step> {
  readonly of: EditorProps<S>;
  readonly kinds: number;
  readonly onAdd: (part: Part) => void;
}

/** Adds one kind after the other: a clay, mix or blend that is picked becomes a rod built like the row's own. */
function MoreKinds<S extends Step>({ of, kinds, onAdd }: MoreProps<S>): ReactElement | null {
  const [picked, setPicked] = useState<number | null>(null);
  if (kinds >= MOST_KINDS) return <Caption>{MOST_KINDS} kinds are the most.</Caption>;
  if (picked === null)
    return (
      <Word
        onClick={() => {
          setPicked(0);
        }}
      >
        more kinds
      </Word>
    );
  const pick = (choice: Picked): void => {
    onAdd(likeOwn(of.before, of.now, keyOf(choice.of), choice.name));
    setPicked(picked + 1);
  };
  return (
    <Box>
      <MaterialPicker
        // a new one each time, so that it begins empty and takes the next
        key={picked}
        place="log"
        label="One of each that you pick; Escape when there are enough"
        onPick={pick}
        onCancel={() => {
          setPicked(null);
        }}
      />
      <Caption>one of each that you pick, built like the row’s own; Escape when there are enough</Caption>
    </Box>
  );
}

interface KindsProps<S extends Step, K> {
  readonly of: EditorProps<S>;
  readonly others: readonly K[];
  /** parts of the step that stand before them */
  readonly after: number;
  /** what stands before each */
  readonly lead: (kind: K, at: number) => ReactNode;
  /** a part as one of them */
  readonly asKind: (part: Part) => K;
  readonly onOthers: (others: readonly K[]) => void;
}

/** Other kinds in a join, each to be exchanged or taken out, and more of them. */
function Kinds<S extends Step, K>({ of, others, after, lead, asKind, onOthers }: KindsProps<S, K>): ReactElement {
  return (
    <>
      {others.map((kind, i) => (
        <Box key={i}>
          {lead(kind, i)} <PartOf of={of} at={after + i} label={`Kind ${i + 2}`} /> ·{' '}
          <Word
            aria-label={`Kind ${i + 2} out`}
            onClick={() => {
              onOthers(others.filter((_, k) => k !== i));
            }}
          >
            out
          </Word>
        </Box>
      ))}
      <Box>
        <MoreKinds
          of={of}
          kinds={others.length}
          onAdd={(part) => {
            onOthers([...others, asKind(part)]);
          }}
        />
      </Box>
    </>
  );
}

interface Counted {
  readonly part: Part;
  readonly count: number;
}

interface CountedProps<S extends Step> {
  readonly of: EditorProps<S>;
  readonly others: readonly Counted[];
  /** parts of the step that stand before them */
  readonly after?: number;
  readonly onOthers: (others: readonly Counted[]) => void;
}

/** Other kinds of rods, how many of each, and more of them. */
export function CountedKinds<S extends Step>({ of, others, after = 0, onOthers }: CountedProps<S>): ReactElement {
  const counted = (at: number, count: number): void => {
    if (Number.isInteger(count) && count >= 0 && count <= MOST_OF_A_KIND)
      onOthers(others.map((x, k) => (k === at ? { ...x, count } : x)));
  };
  return (
    <Kinds
      of={of}
      others={others}
      after={after}
      lead={({ count }, i) => (
        <>
          and{' '}
          <CountValue
            label={`How many of kind ${i + 2}`}
            value={count}
            onChange={(n) => {
              counted(i, n);
            }}
          />
        </>
      )}
      asKind={(part) => ({ part, count: 1 })}
      onOthers={onOthers}
    />
  );
}

interface TurnsProps<S extends Step> {
  readonly of: EditorProps<S>;
}

/** Other kinds that take turns with the row's own, and more of them. */
export function KindsInTurn<S extends Step & { readonly others?: readonly Part[] }>({
  of,
}: TurnsProps<S>): ReactElement {
  return (
    <Kinds
      of={of}
      others={of.step.others ?? []}
      after={0}
      lead={() => 'in turn with'}
      asKind={(part) => part}
      onOthers={(others) => {
        of.onChange({ ...of.step, others });
      }}
    />
  );
}
