import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { SYMPTOMS, causesFor, type Fitting, type Symptom } from '#core/trouble';
import type { DiaryAnswer } from '#contract/diary';
import { Choice } from '../../../parts/Choice.js';
import { Caption, Second, Word } from '../../../theme/pieces.js';
import { useShelf } from '../../../wire/queries.js';
import { put } from '../../../wire/save.js';
import { troubleFacts } from './troubleFacts.js';

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

/** A cause that fits, with what speaks for it, what saves it, and what changes next time. */
function OneCause({ fitting, onKeep }: { readonly fitting: Fitting; readonly onKeep: () => void }): ReactElement {
  const { cause, because, share } = fitting;
  return (
    <Box as="li" marginTop={3}>
      <b>{cause.what}</b> <Second>{Math.round(100 * share)} %</Second>
      {because.length > 0 && <Caption display="block">for it speaks: {because.join('; ')}</Caption>}
      <Box fontSize="small" lineHeight={1.6}>
        {cause.now !== null && <div>Now: {cause.now}</div>}
        <div>Next time: {cause.next}</div>
      </Box>
      <Word fontSize="small" aria-label={`It was: ${cause.what}`} onClick={onKeep}>
        that was it: write it down
      </Word>
    </Box>
  );
}

/** What went wrong, and why it most likely did, by all that is known of this very piece. */
export function WentWrong({ entry }: WentWrongProps): ReactElement {
  const [symptom, setSymptom] = useState<Symptom | typeof NONE>(NONE);
  const shelf = useShelf().data;
  const fitting =
    symptom === NONE || !shelf ? [] : causesFor(symptom, troubleFacts(entry, shelf)).slice(0, MOST_CAUSES);
  const keep = (one: Fitting): void => {
    if (symptom === NONE) return;
    const note = withTrouble(entry.note, troubleNote(symptom, one));
    const dto = { id: entry.id, version: entry.version, note, pictures: [...entry.pictures] };
    void put(`/api/diary/${entry.id}`, dto, { ...entry, note });
  };
  return (
    <Box maxWidth="560px" role="group" aria-label="What went wrong">
      <Box fontSize="h2">
        What went wrong:{' '}
        <Choice<Symptom | typeof NONE>
          label="What went wrong"
          value={symptom}
          options={OPTIONS}
          onChange={setSymptom}
        />
      </Box>
      {fitting.length > 0 && (
        <Box as="ol" aria-label="Why, the likeliest first">
          {fitting.map((one) => (
            <OneCause
              key={one.cause.id}
              fitting={one}
              onKeep={() => {
                keep(one);
              }}
            />
          ))}
        </Box>
      )}
    </Box>
  );
}
