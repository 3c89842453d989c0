import { Box, Flex, Grid } from '@chakra-ui/react';
import { useEffect, useMemo, useState, type ReactElement } from 'react';
import { usable, type Step } from '#core/cane';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Key, Word } from '../../../theme/pieces.js';
import { thereAt, useWorkedCane } from '../../../workers/cane.js';
import { stepTitle, viewOf, withUsualValue } from '../steps/index.js';
import { taperWords } from '../words/handsWords.js';
import { ByHand } from './ByHand.js';
import { LargeFace } from './LargeFace.js';
import { OnFace } from './OnFace.js';
import type { Followed, StepBenchProps } from './oneStep.js';
import { Taper } from './Taper.js';

/** A value that is dragged is followed by a cane of its own, before it is saved. */
function useFollowed({ cane, bench, steps, at, wobble }: StepBenchProps): Followed {
  const [dragged, setDragged] = useState<Step | null>(null);
  // what was let go stays as it is until the saved cane is worked out too
  useEffect(() => {
    setDragged(null);
  }, [bench.worked, at]);
  const moving = useMemo(
    () => (dragged && bench.plain ? { ...bench.plain, steps: steps.map((s, i) => (i === at ? dragged : s)) } : null),
    [dragged, bench.plain, steps, at],
  );
  const followed = useWorkedCane(`${cane.id} dragged ${wobble}`, moving);
  return {
    step: dragged ?? steps[at],
    worked: (dragged && followed) ?? bench.worked,
    dragged: dragged !== null,
    drag: setDragged,
  };
}

/** The sentence with the fields of a step. It waits for the hand too: beside the handle stands what it is now. */
function useFields(props: StepBenchProps): ReactElement | undefined {
  const { cane, bench, steps, at, shelf, blends, canes, onChange, onOpen } = props;
  const { materials } = bench;
  const blendChoices = useMemo(() => blends.map((b) => ({ revisionId: b.revisionId, name: b.name })), [blends]);
  const caneChoices = useMemo(
    () => canes.filter((c) => c.id !== cane.id && !c.retired).map((c) => ({ revisionId: c.revisionId, name: c.name })),
    [canes, cane.id],
  );
  const still = steps[at];
  const measured = bench.worked?.steps[at];
  const before = useMemo(() => steps.slice(0, at), [steps, at]);
  const now = thereAt(bench.worked, at - 1);
  const Fields = still && viewOf(still.do).Fields;
  return useMemo(
    () =>
      Fields && (
        <Fields
          key={still.id}
          step={still}
          materials={materials}
          blends={blendChoices}
          canes={caneChoices}
          insides={cane.canes}
          shelf={shelf}
          name={cane.name}
          before={before}
          now={now}
          onChange={(next) => {
            onChange(withUsualValue(still, next, measured));
          }}
          onOpen={onOpen}
        />
      ),
    [
      Fields,
      still,
      measured,
      materials,
      blendChoices,
      caneChoices,
      cane.canes,
      shelf,
      cane.name,
      before,
      now,
      onChange,
      onOpen,
    ],
  );
}

/** What is done with the step as a whole. */
function StepWords({ at, steps, onAdd, onMove, onCopy, onRemove }: StepBenchProps): ReactElement {
  return (
    <Flex gap={4} fontSize="small" marginTop={2} wrap="wrap">
      <Word onClick={onAdd}>add after it</Word>
      <Key>A</Key>
      {at > 0 && (
        <>
          <Word
            onClick={() => {
              onMove(-1);
            }}
            disabled={at < 2}
          >
            earlier
          </Word>
          <Word
            onClick={() => {
              onMove(1);
            }}
            disabled={at >= steps.length - 1}
          >
            later
          </Word>
          <Word onClick={onCopy}>copy</Word>
          <Word onClick={onRemove}>take out</Word>
        </>
      )}
    </Flex>
  );
}

interface SlideProps {
  readonly own: StepBenchProps;
  readonly followed: Followed;
}

/** The log that tapers from what it was to what it is reduced to; a handle on it. */
function ReduceSlide({ own, followed }: SlideProps): ReactElement | null {
  const { at, stages, onChange } = own;
  const { step, worked, drag } = followed;
  const before = worked?.steps[at - 1];
  if (!before?.there || step?.do !== 'reduce' || step.to !== 'diameter') return null;
  const stage = stages?.[at - 1];
  return (
    <Taper
      from={before.across}
      length={stage ? usable(stage) : before.length}
      value={Math.min(step.value, before.across)}
      label="slide to reduce"
      onSlide={(value) => {
        drag({ ...step, value });
      }}
      onSet={(value) => {
        onChange({ ...step, value });
      }}
    />
  );
}

/** One step: the large face after it beside its values. While one of them is dragged only this follows. */
export function StepBench(props: StepBenchProps): ReactElement {
  const { at, onChange, children } = props;
  const units = useUnits();
  const followed = useFollowed(props);
  const fields = useFields(props);
  const { step, worked, drag } = followed;
  const wrong = worked?.steps[at]?.wrong;
  const tapered = worked?.steps[at]?.tapered;
  return (
    <Grid templateColumns="minmax(0, auto) minmax(260px, 1fr)" gap={6} alignItems="start">
      <LargeFace own={props} followed={followed} />
      <Flex direction="column" gap={4} minWidth={0}>
        {step && (
          <Box>
            <Box as="h2" marginBottom={1}>
              {at + 1} {stepTitle(step, units)}
            </Box>
            <Box lineHeight={1.7}>{fields}</Box>
            <ByHand step={step} onSlide={drag} onSet={onChange} />
            <OnFace
              step={step}
              at={at}
              worked={props.bench.worked}
              paints={props.bench.paints}
              onSlide={drag}
              onSet={onChange}
            />
            {tapered && <Caption display="block">{taperWords(tapered, units)}</Caption>}
            {wrong != null && <Warning>{wrong}</Warning>}
            <StepWords {...props} />
          </Box>
        )}
        <ReduceSlide own={props} followed={followed} />
        {children}
      </Flex>
    </Grid>
  );
}
