import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { BatchAnswer, DoneDto } from '#contract';
import { ClayUsed, useClayUsed } from '../../parts/ClayUsed.js';
import { FindingsTaken, useFindingsTaken } from '../../parts/FindingsTaken.js';
import { LeftOver } from '../../parts/LeftOver.js';
import { shareUsed, useLeftOver } from '../../parts/leftOver.js';
import { ReadyTaken, isForItself, useReadyTaken } from '../../parts/ReadyTaken.js';
import { WriteDown } from '../../parts/WriteDown.js';
import { useShelf } from '../../wire/queries.js';
import { change, useRefusal } from '../../wire/save.js';
import { leftOfPlan } from './leftOfPlan.js';

/** What really went in, a note, and then the clay comes off the shelf and the diary has it. */
export function DoneForm({
  batch,
  onBack,
  onDone,
}: {
  readonly batch: BatchAnswer;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}): ReactElement {
  const shelf = useShelf();
  const path = `/api/batches/${batch.id}/done`;
  const refusal = useRefusal(path);
  const { used, say } = useClayUsed(batch.plan.clays);
  const ready = useReadyTaken(batch.plan.ready);
  const findings = useFindingsTaken(batch.plan.findings);
  const planned = leftOfPlan(batch.plan);
  const went = [...used, ...ready.taken];
  const leftOver = useLeftOver(
    planned,
    shareUsed(went, [...batch.plan.clays, ...batch.plan.ready.filter((one) => !isForItself(one))]),
  );
  const done = async (madeOn: string, note: string): Promise<void> => {
    const dto: DoneDto = {
      version: batch.version,
      entryId: crypto.randomUUID(),
      madeOn,
      note,
      used,
      taken: ready.taken,
      left: leftOver.left,
      findings: findings.findings,
    };
    const answer = await change<{ entryId: string }>('POST', path, dto);
    if (answer) onDone(answer.entryId);
  };
  return (
    <WriteDown
      refusal={refusal}
      onBack={onBack}
      onWrite={(madeOn, note) => {
        void done(madeOn, note);
      }}
    >
      <Box fontSize="22px">This clay comes off the shelf. Change what was really more or less.</Box>
      {shelf.data && <ClayUsed used={used} say={say} shelf={shelf.data} refusal={refusal} />}
      <ReadyTaken ready={batch.plan.ready} materials={batch.plan.materials} refusal={refusal} {...ready} />
      <FindingsTaken planned={batch.plan.findings} taken={findings.findings} say={findings.say} refusal={refusal} />
      <LeftOver planned={planned} said={leftOver.said} say={leftOver.say} refusal={refusal} />
    </WriteDown>
  );
}
