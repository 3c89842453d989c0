import { Flex } from '@chakra-ui/react';
import { Suspense, lazy, useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import type { BakedDto, Outcome } from '#contract';
import { MOST_POINTS } from '#contract/limits';
import { minutesIn, useBaking, type InOven } from '../../state/baking.js';
import { today } from '../../state/today.js';
import { Action, Note, Word } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { putProbeAway } from '../../wire/probe.js';
import { HowItWent } from '../HowItWent.js';
import { Tick } from '../Tick.js';
import { Warning } from '../Warning.js';

const PhotographsTaken = lazy(async () => ({ default: (await import('../PhotographsTaken.js')).PhotographsTaken }));

/** Of a curve with more points than are kept every second one is let go, and again. */
function thinned(curve: InOven['curve']): InOven['curve'] {
  if (curve.length <= MOST_POINTS) return curve;
  return thinned(curve.filter((_, i) => i % 2 === 0 || i === curve.length - 1));
}

interface Said {
  readonly note: string;
  readonly learn: boolean;
  readonly outcome: Outcome | null;
  readonly pictures: readonly string[];
}

function bakedDto(load: InOven, { note, learn, outcome, pictures }: Said): BakedDto {
  const { celsius, low, maxC, minutes, dial, dialFrom, items, curve } = load;
  return {
    ...{ outcome, pictures: pictures.map((id) => ({ id })) },
    ...{ entryId: load.id, madeOn: today(), note, dial, dialFrom, celsius, low, maxC, minutes, learn },
    lasted: minutesIn(load, Date.now()),
    items: [...items],
    curve: thinned(curve).map(({ at, celsius: c }) => ({ at, celsius: c })),
  };
}

/** Out of the oven, and into the diary. */
export function TakeOut({ load, main }: { readonly load: InOven; readonly main: boolean }): ReactElement {
  const [note, setNote] = useState('');
  const [learn, setLearn] = useState(true);
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const [pictures, setPictures] = useState<readonly string[]>([]);
  const takeOut = useBaking((s) => s.takeOut);
  const navigate = useNavigate();
  const path = `/api/ovens/${load.ovenId}/baked`;
  const refusal = useRefusal(path);
  const write = async (): Promise<void> => {
    const answer = await change<{ entryId: string }>('POST', path, bakedDto(load, { note, learn, outcome, pictures }));
    if (!answer) return;
    takeOut();
    putProbeAway();
    void navigate(`/diary/${answer.entryId}`);
  };
  return (
    <Flex direction="column" gap={3} maxWidth="560px">
      <HowItWent large outcome={outcome} onChange={setOutcome} />
      <Suspense>
        <PhotographsTaken pictures={pictures} onChange={setPictures} />
      </Suspense>
      <Note
        aria-label="Note on this load"
        placeholder="How did they come out?"
        value={note}
        onChange={(e) => {
          setNote(e.currentTarget.value);
        }}
      />
      {load.curve.length > 0 && (
        <Tick checked={learn} onChange={setLearn}>
          keep what the curve tells of the oven among its readings
        </Tick>
      )}
      <Flex gap={4} marginTop={3} alignItems="baseline">
        <Action main={main} onClick={() => void write()}>
          Taken out: write it down
        </Action>
        <Word fontSize="small" onClick={takeOut}>
          it was not baked: forget it
        </Word>
      </Flex>
      {refusal && <Warning>{refusal.message}</Warning>}
    </Flex>
  );
}
