import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { BatchAnswer, DoneDto } from '#contract';
import { showMass } from '#core/units';
import { MassValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { readDay } from '../../state/readDay.js';
import { showDate, today } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Note } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';

/** What really went in, a note, and then the clay comes off the shelf and the diary has it. */
export function DoneForm({ batch, onBack, onDone }: { readonly batch: BatchAnswer; readonly onBack: () => void; readonly onDone: (entryId: string) => void }): ReactElement {
  const units = useUnits();
  const [used, setUsed] = useState<Readonly<Record<string, number>>>({});
  const [note, setNote] = useState('');
  const [madeOn, setMadeOn] = useState(today());
  const path = `/api/batches/${batch.id}/done`;
  const refusal = useRefusal(path);
  const { clays } = batch.plan;
  const amount = (clayId: string, planned: number): number => used[clayId] ?? Math.round(planned * 10) / 10;
  const done = async (): Promise<void> => {
    const dto: DoneDto = {
      version: batch.version, entryId: crypto.randomUUID(), madeOn, note,
      used: clays.map((c) => ({ clayId: c.clayId, grams: amount(c.clayId, c.grams) })),
    };
    const answer = await change<{ entryId: string }>('POST', path, dto);
    if (answer) onDone(answer.entryId);
  };
  return (
    <Flex direction="column" gap={4} flex={1} maxWidth="760px">
      <Box as="h1" fontSize="54px" lineHeight={1.08}>Done?</Box>
      <Box fontSize="22px">This clay comes off the shelf. Change what was really more or less.</Box>
      <Grid as="ul" templateColumns="1fr 1fr" columnGap={6} rowGap={2} aria-label="Clay used" fontSize="h2">
        {clays.map((c, i) => (
          <Flex as="li" key={c.clayId} gap={3} alignItems="center">
            <Box width="34px" height="26px" flex="none" style={{ background: `#${c.hex}` }} />
            <Box flex={1}>{c.name}<br />{amount(c.clayId, c.grams) > c.left + 0.05 ? <Warning>only {showMass(c.left, units)} on the shelf</Warning> : <Caption>{showMass(c.left, units)} on the shelf</Caption>}</Box>
            <Box textAlign="right"><MassValue label={`${c.name} used`} value={amount(c.clayId, c.grams)} refusal={refusal?.sentenceFor(`used.${i}.grams`)} onChange={(grams) => { setUsed({ ...used, [c.clayId]: grams }); }} /></Box>
          </Flex>
        ))}
      </Grid>
      <Box>made on <Value label="Made on" text={showDate(madeOn)} read={(text) => readDay(text) ?? today()} onChange={setMadeOn} /></Box>
      <Note aria-label="Note for the diary" placeholder="How did it go? What to do next time?" value={note} onChange={(e) => { setNote(e.currentTarget.value); }} />
      {refusal && !refusal.problem.fields && <Warning>{refusal.message}</Warning>}
      <Flex gap={3}>
        <Action main large onClick={() => { void done(); }}>Done, write it down</Action>
        <Action large onClick={onBack}>One back</Action>
      </Flex>
    </Flex>
  );
}
