import { Box, Flex, Grid } from '@chakra-ui/react';
import { useEffect, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { BatchAnswer, PlainStep } from '#contract';
import { Told, ToldTitle } from '../../parts/begin/Told.js';
import { Choice } from '../../parts/Choice.js';
import { Empty } from '../../parts/Empty.js';
import { Warning } from '../../parts/Warning.js';
import { runClock, useBenchPlace, wentTo } from '../../state/benchPlace.js';
import { useBaking } from '../../state/baking.js';
import { useAwake } from '../../state/useAwake.js';
import { useLoaded } from '../../state/useLoaded.js';
import { useKeys } from '../../state/keys.js';
import { PAPERS, useUnits, useView } from '../../state/view.js';
import { NARROW, STACKED } from '../../theme/narrow.js';
import { Note, Word } from '../../theme/pieces.js';
import { BakeHere } from './BakeHere.js';
import { CardFigure } from './CardFigure.js';
import { OnceCaution } from './OnceCaution.js';
import { PaperCard } from './PaperCard.js';
import { WaitFor } from './WaitFor.js';
import { StepArt } from './StepArt.js';
import { wordsOf } from './stepWords.js';

const doneForm = () => import('./DoneForm.js');

const printCard = (): void => {
  window.print();
};

const benchOf = ({ id }: Pick<BatchAnswer, 'id'>): string => `batch ${id}`;

/** Where the maker is on a card, and the ways on. */
function usePlace({ id, plan }: BatchAnswer) {
  const place = useBenchPlace(benchOf({ id }));
  const last = plan.steps.length;
  const here = Math.min(place.at, last);
  const go = (at: number): void => {
    place.go(wentTo({ ...place, at: here }, at, Date.now()));
  };
  return {
    here,
    go,
    on: (): void => {
      go(Math.min(last, here + 1));
    },
    back: (): void => {
      go(Math.max(0, here - 1));
    },
    leave: place.leave,
    /** minutes that the steps took, by their numbers */
    took: place.took ?? {},
  };
}

type Place = ReturnType<typeof usePlace>;

/** A card of a batch that can be worked through, or the sentence why not. */
export function Card({ batch }: { readonly batch: BatchAnswer }): ReactElement {
  const navigate = useNavigate();
  if (batch.doneEntryId !== null)
    return (
      <Empty
        title={`${batch.name} is done`}
        action="Read what was written down"
        onAction={() => {
          void navigate(`/diary/${batch.doneEntryId ?? ''}`);
        }}
      >
        The clay is off the shelf and the diary has it. Undo brings both back.
      </Empty>
    );
  if (batch.plan.steps.length === 0)
    return (
      <Empty
        title={`${batch.name} has no steps yet`}
        action="Back to the batch"
        onAction={() => {
          void navigate(`/batches/${batch.id}`);
        }}
      >
        It needs at least one piece that can be cut.
      </Empty>
    );
  return <Steps batch={batch} />;
}

function Steps({ batch }: { readonly batch: BatchAnswer }): ReactElement {
  const navigate = useNavigate();
  const place = usePlace(batch);
  const { steps } = batch.plan;
  const step = steps[place.here];
  const bench = benchOf(batch);
  useEffect(() => runClock(bench), [bench]);
  const end = useLoaded(doneForm, place.here);
  useAwake();
  useKeys('Bench', [
    ...(step ? [{ key: ' ', does: 'This step is done', run: place.on }] : []),
    { key: 'Backspace', does: 'One step back', run: place.back },
    { key: 'p', does: 'Print the card', run: printCard },
  ]);
  return (
    <>
      <Flex
        direction="column"
        height="100%"
        padding={5}
        gap={4}
        minHeight={0}
        overflowY="auto"
        css={{ [NARROW]: { padding: '16px', paddingBottom: 0 }, '@media print': { display: 'none' } }}
      >
        <AllSteps steps={steps} place={place} />
        <Flex justifyContent="space-between" alignItems="baseline">
          <Link to={`/batches/${batch.id}`}>{batch.name}</Link>
          {step && <HowFar here={place.here} of={steps.length} />}
        </Flex>
        {step ? (
          <OneStep batch={batch} step={step} place={place} />
        ) : (
          <>
            {!end && <Note>The end of the card is being loaded.</Note>}
            {end && (
              <end.DoneForm
                batch={batch}
                took={place.took}
                onBack={place.back}
                onDone={(entryId) => {
                  place.leave();
                  void navigate(`/diary/${entryId}`);
                }}
              />
            )}
            <PrintWords batch={batch} />
          </>
        )}
      </Flex>
      <PaperCard batch={batch} />
    </>
  );
}

interface AllStepsProps {
  readonly steps: readonly PlainStep[];
  readonly place: Place;
}

/** A stroke for each step; a click goes there. */
function AllSteps({ steps, place: { here, go } }: AllStepsProps): ReactElement {
  const units = useUnits();
  return (
    <Flex gap={1} alignItems="flex-end" height="28px" flex="none" role="group" aria-label="All steps">
      {steps.map((s, i) => (
        <Box
          as="button"
          tabIndex={-1}
          aria-label={`Step ${i + 1}: ${wordsOf(s, units).title}`}
          aria-current={i === here ? 'step' : undefined}
          key={i}
          flex={1}
          height={i === here ? '18px' : '6px'}
          background={i <= here ? 'ink' : 'hairline'}
          onClick={() => {
            go(i);
          }}
        />
      ))}
    </Flex>
  );
}

function HowFar({ here, of }: { readonly here: number; readonly of: number }): ReactElement {
  return (
    <span role="progressbar" aria-label="Steps" aria-valuemin={0} aria-valuemax={of} aria-valuenow={here}>
      {here + 1} of {of}
    </span>
  );
}

/** The way to paper, and back to the batch. */
function PrintWords({ batch }: { readonly batch: BatchAnswer }): ReactElement {
  const { paper, choosePaper } = useView();
  return (
    <Flex gap={3} alignItems="center" fontSize="small">
      <Word onClick={printCard}>Print the card</Word> on{' '}
      <Choice
        label="Paper"
        value={paper}
        options={PAPERS.map((value) => ({ value, text: value }))}
        onChange={choosePaper}
      />
      · <Link to={`/batches/${batch.id}`}>the batch</Link>
    </Flex>
  );
}

interface OneStepProps {
  readonly batch: BatchAnswer;
  readonly step: PlainStep;
  readonly place: Place;
}

/** What is done now, large, and what comes next. */
function OneStep({ batch, step, place }: OneStepProps): ReactElement {
  const units = useUnits();
  const words = wordsOf(step, units);
  const next = batch.plan.steps[place.here + 1];
  return (
    <>
      <Grid templateColumns="minmax(0, 1fr) 408px" gap={6} flex="1 0 auto" css={{ [NARROW]: STACKED }}>
        <Flex direction="column" gap={4} minWidth={0}>
          <Box as="h1" fontSize="54px" lineHeight={1.08} data-step="" css={{ [NARROW]: { fontSize: '36px' } }}>
            {words.title}
          </Box>
          <ToldTitle>{words.title}</ToldTitle>
          <Box fontSize="22px" lineHeight={1.4}>
            {words.lines.map((line) => (
              <div key={line}>
                <Told>{line}</Told>
              </div>
            ))}
          </Box>
          {step.kind === 'bake' && <BakeHere step={step} batch={batch} />}
          <Waiting step={step} batchName={batch.name} />
          {words.caution !== null && (
            <Box fontSize="text" maxWidth="560px">
              <Warning>{words.caution}</Warning>
            </Box>
          )}
          <OnceCaution step={step} at={`${batch.id} ${place.here}`} />
          <Box marginTop={2}>
            <StepArt step={step} batch={batch} />
          </Box>
        </Flex>
        <CardFigure words={words} place={place} />
      </Grid>
      <Flex borderTop="rule" paddingTop={4} justifyContent="space-between" alignItems="baseline" gap={5}>
        <Box fontFamily="heading" fontWeight={700} fontSize="22px" color="ink2">
          {next ? `Next: ${wordsOf(next, units).title}` : 'Next: write it down'}
        </Box>
        <PrintWords batch={batch} />
      </Flex>
    </>
  );
}

/** A timer for the oven, or for what is left alone after a step. */
function Waiting({ step, batchName }: { readonly step: PlainStep; readonly batchName: string }): ReactElement | null {
  const watched = useBaking((s) => s.load !== null);
  if (step.kind === 'bake' && watched) return null;
  if (step.kind === 'bake') return <WaitFor label={`${batchName}, in the oven`} minutes={Math.round(step.minutes)} />;
  if (step.kind !== 'finish' || step.step.hours === 0) return null;
  return <WaitFor label={`${batchName}, ${step.step.kind}`} minutes={step.step.hours * HOUR} />;
}
const HOUR = 60;
