import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { BatchAnswer, DoneDto, PlanAnswer, StepMinutesDto } from '#contract';
import { ClayUsed, useClayUsed } from '../../parts/ClayUsed.js';
import { FindingsTaken, useFindingsTaken } from '../../parts/FindingsTaken.js';
import { LeftOver } from '../../parts/LeftOver.js';
import { shareUsed, useLeftOver } from '../../parts/leftOver.js';
import { ReadyTaken, isForItself, useReadyTaken } from '../../parts/ReadyTaken.js';
import { WriteDown, type Written } from '../../parts/WriteDown.js';
import { usePartPlan, useShelf } from '../../wire/queries.js';
import { change, useRefusal } from '../../wire/save.js';
import { HowManyMade, useMade } from './HowManyMade.js';
import { leftOfPlan } from './leftOfPlan.js';

interface DoneProps {
  readonly batch: BatchAnswer;
  /** minutes that its steps took, by their numbers */
  readonly took: Readonly<Record<number, number>>;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}

/** Steps with their minutes, as they are sent; a bench that was left for days is told as the most there can be. */
const timesOf = (took: DoneProps['took'], steps: number): StepMinutesDto[] =>
  Object.entries(took)
    .map(([step, minutes]) => ({ step: Number(step), minutes: Math.min(MOST_MINUTES, minutes) }))
    .filter(({ step, minutes }) => step < steps && minutes > 0);
const MOST_MINUTES = 3000;

/** What a plan is for those that are finished; the whole one until it is known. */
function usePlanOf(
  batch: BatchAnswer,
  { made, part }: Pick<ReturnType<typeof useMade>, 'made' | 'part'>,
): { readonly plan: PlanAnswer; readonly known: boolean } {
  const counts = made.map(({ pieceId, count }) => `${pieceId}.${count}`).join(',');
  const { data } = usePartPlan(batch.id, part ? counts : null);
  return { plan: (part ? data : undefined) ?? batch.plan, known: !part || data !== undefined };
}

/** What really went in, a note, and then the clay comes off the shelf and the diary has it. */
export function DoneForm({ batch, took, onBack, onDone }: DoneProps): ReactElement {
  const shelf = useShelf();
  const path = `/api/batches/${batch.id}/done`;
  const refusal = useRefusal(path);
  const finished = useMade(batch);
  const { plan, known } = usePlanOf(batch, finished);
  const { used, say } = useClayUsed(plan.clays);
  const ready = useReadyTaken(plan.ready);
  const findings = useFindingsTaken(plan.findings);
  const planned = leftOfPlan(plan);
  const went = [...used, ...ready.taken];
  const leftOver = useLeftOver(
    planned,
    shareUsed(went, [...plan.clays, ...plan.ready.filter((one) => !isForItself(one))]),
  );
  const done = async (written: Written): Promise<void> => {
    const dto: DoneDto = {
      version: batch.version,
      ...written,
      used,
      taken: ready.taken,
      left: leftOver.left,
      findings: findings.findings,
      // of a part nobody knows which steps it was
      ...(finished.part ? { made: finished.made } : { times: timesOf(took, plan.steps.length) }),
    };
    const answer = await change<{ entryId: string }>('POST', path, dto);
    if (answer) onDone(answer.entryId);
  };
  return (
    <WriteDown
      refusal={refusal}
      disabled={!known}
      onBack={onBack}
      onWrite={(written) => {
        void done(written);
      }}
    >
      <HowManyMade {...finished} refusal={refusal} />
      <Box fontSize="22px">This clay comes off the shelf. Change what was really more or less.</Box>
      {shelf.data && <ClayUsed used={used} say={say} shelf={shelf.data} refusal={refusal} />}
      <ReadyTaken ready={plan.ready} materials={plan.materials} refusal={refusal} {...ready} />
      <FindingsTaken planned={plan.findings} taken={findings.findings} say={findings.say} refusal={refusal} />
      <LeftOver planned={planned} said={leftOver.said} say={leftOver.say} refusal={refusal} />
    </WriteDown>
  );
}
