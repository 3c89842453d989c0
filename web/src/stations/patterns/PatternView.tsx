import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { areaWanted, withPatternMaterial } from '#core/pattern';
import type { Mm } from '#core/units';
import type { MachinesAnswer, PatternAnswer, PatternCutDto, ShelfAnswer } from '#contract';
import { Warning } from '../../parts/Warning.js';
import { useKeys, type KeyBinding } from '../../state/keys.js';
import { Word } from '../../theme/pieces.js';
import { usePatternPlan } from '../../workers/pattern.js';
import { useCanes } from '../../wire/queries.js';
import { useRefusal } from '../../wire/save.js';
import { AddPatternStep } from './AddPatternStep.js';
import { PatternBench } from './PatternBench.js';
import { PatternHead } from './PatternHead.js';
import { PatternRow } from './PatternRow.js';
import { PatternStrip } from './PatternStrip.js';
import { SideBySide } from './SideBySide.js';
import { Stages } from './Stages.js';
import { Ways } from './Ways.js';
import { CutPattern } from './cutting/CutPattern.js';
import { MakePattern } from './making/MakePattern.js';
import { newestCane } from './cutCanes.js';
import { isOneLayer } from './lace.js';
import { useLit, usePattern, type BenchPattern, type Hands } from './usePattern.js';
import { usePatternEditing, type PatternEditing } from './usePatternEditing.js';

/** What is shown of it: its steps, the bench that it is made at, or where pieces are cut of it. */
export type PatternDoing = 'steps' | 'make' | 'cut';

interface PatternViewProps {
  readonly pattern: PatternAnswer;
  readonly doing: PatternDoing;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
}

/** The keys of a patterned sheet; none while it is made at the bench. */
function usePatternKeys(id: string, editing: PatternEditing, making: boolean): void {
  const navigate = useNavigate();
  const { at, steps, choose, setAdding, move, copy, remove } = editing;
  const key = (name: string, does: string, run: () => void): KeyBinding => ({ key: name, does, run });
  const bindings = [
    key('ArrowLeft', 'The step before', () => {
      choose(Math.max(0, at - 1));
    }),
    key('ArrowRight', 'The next step', () => {
      choose(Math.min(steps.length - 1, at + 1));
    }),
    key('a', 'Add a step after this one', () => {
      setAdding(true);
    }),
    key(',', 'Move the step earlier', () => {
      move(-1);
    }),
    key('.', 'Move the step later', () => {
      move(1);
    }),
    key('y', 'Copy the step', copy),
    key('Delete', 'Take the step out', remove),
    key('w', 'Where to cut', () => {
      void navigate(`/patterns/${id}/cut`);
    }),
    key('f', 'On a bead or a form', () => {
      void navigate(`/patterns/${id}/form`);
    }),
    key('o', 'Folded to an ornament', () => {
      void navigate(`/patterns/${id}/fold`);
    }),
    key('b', 'To the bench: make it', () => {
      void navigate(`/patterns/${id}/make`);
    }),
  ];
  useKeys('This patterned sheet', making ? [] : bindings);
}

/** Mixes and blends that have become something else since, and why it cannot be kept. */
function Wrongs({
  pattern,
  editing,
}: {
  readonly pattern: PatternAnswer;
  readonly editing: PatternEditing;
}): ReactElement {
  const refusal = useRefusal(`/api/patterns/${pattern.id}`);
  const kept = refusal && refusal.sentenceFor('name') === undefined;
  return (
    <>
      {kept && <Warning>{refusal.sentenceFor('program') ?? refusal.message}</Warning>}
      {pattern.outdated.map(({ of, name, newer }) => (
        <Warning key={of}>
          {name} has a newer revision than the one that is used here.{' '}
          <Word
            aria-label={`Use the newer ${name}`}
            onClick={() => {
              const steps = withPatternMaterial(pattern.program.steps, of, newer);
              editing.save({ program: { ...pattern.program, steps } });
            }}
          >
            Use the newer
          </Word>
        </Warning>
      ))}
    </>
  );
}

/** mm that light goes through after a step, where that is one layer; null where it is not, or nothing is there. */
function litThrough({ plain, bodies }: BenchPattern, at: number): Mm | null {
  const body = bodies?.[at];
  return body?.there && isOneLayer(plain.steps.slice(0, at + 1)) ? body.thick : null;
}

interface MiddleProps {
  readonly pattern: PatternAnswer;
  readonly shelf: ShelfAnswer;
  readonly bench: BenchPattern;
  readonly editing: PatternEditing;
  readonly hands: Hands;
  readonly onHands: (hands: Hands) => void;
}

/** The row of steps, the chosen one large, and what else could be made of the same clay. */
function Middle({ pattern, shelf, bench, editing, hands, onHands }: MiddleProps): ReactElement {
  const { steps, at } = editing;
  const body = bench.bodies?.[at] ?? null;
  const cane = newestCane(useCanes(editing.adding).data ?? []);
  return (
    <>
      <PatternRow bench={bench} chosen={at} onChoose={editing.choose} onAdd={editing.setAdding} />
      {editing.adding && (
        <AddPatternStep
          after={steps[at]}
          form={body?.there ? body.form : null}
          canes={cane !== undefined}
          onAdd={(kind) => {
            editing.add(kind, body?.there ? body : null, shelf, cane);
          }}
          onCancel={() => {
            editing.setAdding(false);
          }}
        />
      )}
      <PatternBench bench={bench} editing={editing} />
      <Stages pattern={pattern} bench={bench} editing={editing} />
      <SideBySide patternId={pattern.id} bench={bench} editing={editing} />
      <Ways bench={bench} hands={hands} onHands={onHands} />
    </>
  );
}

/** One patterned sheet: its steps in a row, the chosen one large, and what it takes. */
export function PatternView({ pattern, doing, shelf, machines }: PatternViewProps): ReactElement {
  const [hands, setHands] = useState<Hands>({ seed: 1, wobble: 1 });
  const editing = usePatternEditing(pattern);
  const [lit, setLit] = useState(false);
  const lying = usePattern(pattern, editing.steps, shelf, hands);
  const bench = useLit(lying, pattern, shelf, lit ? litThrough(lying, editing.at) : null);
  const wanted = pattern.wanted ? areaWanted(pattern.wanted) : null;
  const plan = usePatternPlan(bench.plain, wanted);
  usePatternKeys(pattern.id, editing, doing !== 'steps');
  if (doing === 'make')
    return <MakePattern pattern={pattern} bench={bench} plan={plan} hands={hands} shelf={shelf} machines={machines} />;
  if (doing === 'cut') {
    const onCuts = (cuts: readonly PatternCutDto[]): void => {
      editing.save({ cuts: [...cuts] });
    };
    return <CutPattern {...{ pattern, bench, plan, hands, machines, onCuts }} />;
  }
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Flex direction="column" gap={4} padding={5} overflow="auto" minWidth={0}>
        <PatternHead
          {...{ pattern, editing, bench, hands, lit }}
          onHands={setHands}
          onLit={isOneLayer(editing.steps.slice(0, editing.at + 1)) ? setLit : null}
        />
        <Wrongs pattern={pattern} editing={editing} />
        <Middle pattern={pattern} shelf={shelf} bench={bench} editing={editing} hands={hands} onHands={setHands} />
        <Box height={4} flex="none" />
      </Flex>
      <PatternStrip pattern={pattern} bench={bench} plan={plan} shelf={shelf} onChange={editing.save} />
    </Grid>
  );
}
