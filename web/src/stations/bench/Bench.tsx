import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { BatchAnswer } from '#contract';
import { Empty, Reading } from '../../parts/Empty.js';
import { useBenchPlace } from '../../state/benchPlace.js';
import { useKeys } from '../../state/keys.js';
import { PAPERS, useUnits, useView } from '../../state/view.js';
import { Action, Caption, Word } from '../../theme/pieces.js';
import { Choice } from '../../parts/Choice.js';
import { useBatch, useBatches } from '../../wire/queries.js';
import { DoneForm } from './DoneForm.js';
import { PaperCard } from './PaperCard.js';
import { StepArt } from './StepArt.js';
import { wordsOf } from './stepWords.js';
import { Warning } from '../../parts/Warning.js';

/** One step at a time, readable from a metre away. */
export default function Bench(): ReactElement {
  const { batchId } = useParams();
  const batch = useBatch(batchId);
  const batches = useBatches();
  const navigate = useNavigate();
  if (batchId !== undefined)
    return batch.data ? <Card key={batch.data.id} batch={batch.data} /> : <Reading error={batch.error} />;
  if (!batches.data) return <Reading error={batches.error} />;
  const open = batches.data.filter((b) => !b.done && b.pieces > 0);
  if (open.length === 0)
    return (
      <Empty
        title="Nothing waits at the bench"
        action="Plan a batch"
        onAction={() => {
          void navigate('/batches');
        }}
      >
        A batch with pieces becomes a card here: every step in working order, one at a time.
      </Empty>
    );
  return (
    <Flex direction="column" gap={4} padding={6}>
      <h1>Which batch is on the bench?</h1>
      {open.map((b) => (
        <Box key={b.id} fontSize="figure" fontFamily="heading">
          <Link to={`/bench/${b.id}`}>{b.name}</Link> <Caption>{b.pieces} pieces</Caption>
        </Box>
      ))}
    </Flex>
  );
}

const Counter = chakra('button', {
  base: {
    background: 'tile',
    border: 'rule',
    width: '100%',
    flex: 1,
    minHeight: '220px',
    textAlign: 'center',
    padding: 5,
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    justifyContent: 'center',
  },
});

function Card({ batch }: { readonly batch: BatchAnswer }): ReactElement {
  const units = useUnits();
  const { paper, choosePaper } = useView();
  const place = useBenchPlace(`batch ${batch.id}`);
  const go = (at: number): void => {
    place.go({ at, counts: [] });
  };
  const { steps } = batch.plan;
  const here = Math.min(place.at, steps.length);
  const step = steps[here];
  const words = step && wordsOf(step, units);
  const next = steps[here + 1];
  const on = (): void => {
    go(Math.min(steps.length, here + 1));
  };
  const back = (): void => {
    go(Math.max(0, here - 1));
  };
  const done = batch.doneEntryId !== null;
  const navigate = useNavigate();
  useKeys('Bench', [
    ...(step ? [{ key: ' ', does: 'This step is done', run: on }] : []),
    { key: 'Backspace', does: 'One step back', run: back },
    {
      key: 'p',
      does: 'Print the card',
      run: () => {
        window.print();
      },
    },
  ]);
  if (done)
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
  if (steps.length === 0)
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
  const print = (
    <Flex gap={3} alignItems="center" fontSize="small">
      <Word
        onClick={() => {
          window.print();
        }}
      >
        Print the card
      </Word>{' '}
      on{' '}
      <Choice
        label="Paper"
        value={paper}
        options={PAPERS.map((value) => ({ value, text: value }))}
        onChange={choosePaper}
      />
      · <Link to={`/batches/${batch.id}`}>the batch</Link>
    </Flex>
  );
  return (
    <>
      <Flex
        direction="column"
        height="100%"
        padding={5}
        gap={4}
        minHeight={0}
        overflowY="auto"
        css={{ '@media print': { display: 'none' } }}
      >
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
        <Flex justifyContent="space-between" alignItems="baseline">
          <Link to={`/batches/${batch.id}`}>{batch.name}</Link>
          {step && (
            <span
              role="progressbar"
              aria-label="Steps"
              aria-valuemin={0}
              aria-valuemax={steps.length}
              aria-valuenow={here}
            >
              {here + 1} of {steps.length}
            </span>
          )}
        </Flex>
        {step && words ? (
          <>
            <Grid templateColumns="minmax(0, 1fr) 408px" gap={6} flex={1} minHeight={0}>
              <Flex direction="column" gap={4} minWidth={0}>
                <Box as="h1" fontSize="54px" lineHeight={1.08}>
                  {words.title}
                </Box>
                <Box fontSize="22px" lineHeight={1.4}>
                  {words.lines.map((line) => (
                    <div key={line}>{line}</div>
                  ))}
                </Box>
                {words.caution !== null && (
                  <Box fontSize="text" maxWidth="560px">
                    <Warning>{words.caution}</Warning>
                  </Box>
                )}
                <Box marginTop={2}>
                  <StepArt step={step} clays={batch.plan.clays} />
                </Box>
              </Flex>
              <Flex direction="column" gap={4}>
                <Counter onClick={on}>
                  <Box
                    fontWeight={700}
                    fontSize={words.figure.length > 5 ? '72px' : '150px'}
                    lineHeight={1}
                    whiteSpace="nowrap"
                  >
                    {words.figure}
                  </Box>
                  <Box fontSize="24px" marginTop={3}>
                    {words.of}
                  </Box>
                  <Box color="ink2" marginTop={2}>
                    tap here or press space when it is done
                  </Box>
                </Counter>
                <Grid templateColumns="1fr 1fr" gap={2}>
                  <Action large onClick={back} disabled={here === 0}>
                    One back
                  </Action>
                  <Action large onClick={on}>
                    Next
                  </Action>
                </Grid>
              </Flex>
            </Grid>
            <Flex borderTop="rule" paddingTop={4} justifyContent="space-between" alignItems="baseline" gap={5}>
              <Box fontFamily="heading" fontWeight={700} fontSize="22px" color="ink2">
                {next ? `Next: ${wordsOf(next, units).title}` : 'Next: write it down'}
              </Box>
              {print}
            </Flex>
          </>
        ) : (
          <>
            <DoneForm
              batch={batch}
              onBack={back}
              onDone={(entryId) => {
                place.leave();
                void navigate(`/diary/${entryId}`);
              }}
            />
            {print}
          </>
        )}
      </Flex>
      <PaperCard batch={batch} />
    </>
  );
}
