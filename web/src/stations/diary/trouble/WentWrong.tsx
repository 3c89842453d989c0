import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { SYMPTOMS, causesFor, type Fitting, type Symptom } from '#core/trouble';
import type { DiaryAnswer, PlanNoted } from '#contract/diary';
import { Choice } from '../../../parts/Choice.js';
import { Caption, Second, Word } from '../../../theme/pieces.js';
import { Warning } from '../../../parts/Warning.js';
import { useBatch, useMachines, useShelf } from '../../../wire/queries.js';
import { change, useRefusal } from '../../../wire/save.js';
import { settingsOf } from '../../batches/batchMoves.js';
import { saveEntry } from '../saveEntry.js';
import { Marked, type Pointed } from './Marked.js';
import { stackedIn, troubleFacts, type Stacked } from './troubleFacts.js';

/** Causes that are shown. */
const MOST_CAUSES = 3;
const NONE = 'nothing';
const OPTIONS = [
  { value: NONE, text: 'nothing' },
  ...[...SYMPTOMS].sort().map((value) => ({ value, text: value })),
] as const;

interface WentWrongProps {
  readonly entry: DiaryAnswer;
}

/** What is written into the note: it is found by the search of the diary then. */
export const troubleNote = (symptom: Symptom, { cause }: Fitting): string =>
  `Went wrong: ${symptom}. ${cause.what} Next time: ${cause.next}`;

/** The note with a line more, once. */
export function withTrouble(note: string, line: string): string {
  if (note.includes(line)) return note;
  return note.trim() === '' ? line : `${note.trimEnd()}\n${line}`;
}

interface OneCauseProps {
  readonly fitting: Fitting;
  readonly onKeep: () => void;
  readonly onNext: () => void;
}

/** A cause that fits, with what speaks for it, what saves it, and what changes next time. */
function OneCause({ fitting, onKeep, onNext }: OneCauseProps): ReactElement {
  const { cause, because, share } = fitting;
  return (
    <Box as="li" marginTop={3}>
      <b>{cause.what}</b> <Second>{Math.round(100 * share)} %</Second>
      {because.length > 0 && <Caption display="block">for it speaks: {because.join('; ')}</Caption>}
      <Box fontSize="small" lineHeight={1.6}>
        {cause.now !== null && <div>Now: {cause.now}</div>}
        <div>Next time: {cause.next}</div>
      </Box>
      <Flex gap={4}>
        <Word fontSize="small" aria-label={`It was: ${cause.what}`} onClick={onKeep}>
          that was it: write it down
        </Word>
        <Word fontSize="small" aria-label={`To the plan: ${cause.next}`} onClick={onNext}>
          next time, as a note on the plan
        </Word>
      </Flex>
    </Box>
  );
}

/** What went wrong, where, and what is done about it. */
function useTrouble({ entry }: WentWrongProps) {
  const [symptom, setSymptom] = useState<Symptom | typeof NONE>(NONE);
  const [pointed, setPointed] = useState<Pointed | null>(null);
  const [noted, setNoted] = useState<PlanNoted | null>(null);
  const path = `/api/diary/${entry.id}/next`;
  const refusal = useRefusal(path);
  const mark = (what: Symptom, { pictureId, x, y }: Pointed): void => {
    const pictures = entry.pictures.map((p) =>
      p.id === pictureId ? { ...p, marks: [...(p.marks ?? []), { x, y, what }] } : p,
    );
    saveEntry(entry, { pictures });
  };
  return {
    ...{ symptom, pointed, noted, refusal },
    choose: (next: Symptom | typeof NONE): void => {
      setSymptom(next);
      setNoted(null);
      if (next === NONE || !pointed) return;
      mark(next, pointed);
      setPointed(null);
    },
    point: (at: Pointed): void => {
      setPointed(at);
      setSymptom(NONE);
    },
    keep: (one: Fitting): void => {
      if (symptom === NONE) return;
      saveEntry(entry, { note: withTrouble(entry.note, troubleNote(symptom, one)) });
    },
    next: async ({ cause }: Fitting): Promise<void> => {
      const line = `Next time: ${cause.next}`;
      setNoted(await change<PlanNoted>('POST', path, { line }));
    },
  };
}

/** Where a plan is. */
const STATIONS: Readonly<Record<PlanNoted['kind'], string>> = {
  batch: 'batches',
  cane: 'canes',
  pattern: 'patterns',
  blend: 'blends',
  mix: 'mixes',
};

/** The stacks of its plan; undefined where it has none, or it is not there any more. */
function useStacked({ batchId }: DiaryAnswer): Stacked | undefined {
  const batch = useBatch(batchId ?? undefined).data;
  const machines = useMachines().data;
  return useMemo(() => batch && machines && stackedIn(batch, settingsOf(machines)), [batch, machines]);
}

/** What went wrong, and why it most likely did, by all that is known of this very piece. */
export function WentWrong({ entry }: WentWrongProps): ReactElement {
  const trouble = useTrouble({ entry });
  const { symptom, pointed, noted, refusal } = trouble;
  const shelf = useShelf().data;
  const stacked = useStacked(entry);
  const fitting =
    symptom === NONE || !shelf ? [] : causesFor(symptom, troubleFacts(entry, shelf, stacked)).slice(0, MOST_CAUSES);
  return (
    <Box maxWidth="560px" role="group" aria-label="What went wrong">
      <Box fontSize="h2" marginBottom={2}>
        {pointed ? 'Here it is: ' : 'What went wrong: '}
        <Choice<Symptom | typeof NONE>
          label="What went wrong"
          value={symptom}
          options={OPTIONS}
          onChange={trouble.choose}
        />
      </Box>
      <Marked entry={entry} pointed={pointed} onPoint={trouble.point} />
      {entry.pictures.length > 0 && !pointed && symptom === NONE && <Caption>or point at it on a photograph</Caption>}
      {fitting.length > 0 && (
        <Box as="ol" aria-label="Why, the likeliest first">
          {fitting.map((one) => (
            <OneCause
              key={one.cause.id}
              fitting={one}
              onKeep={() => {
                trouble.keep(one);
              }}
              onNext={() => void trouble.next(one)}
            />
          ))}
        </Box>
      )}
      {noted && (
        <Box role="status" marginTop={2}>
          It stands in the note of <Link to={`/${STATIONS[noted.kind]}/${noted.id}`}>{noted.name}</Link>.
        </Box>
      )}
      {refusal && <Warning>{refusal.message}</Warning>}
    </Box>
  );
}
