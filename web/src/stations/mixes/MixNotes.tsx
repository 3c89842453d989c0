import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { readColour } from '#core/colour';
import { SendIt } from '../../parts/SendIt.js';
import { Note, Second, Word } from '../../theme/pieces.js';
import { usePigments } from '../../wire/pigments.js';
import { change } from '../../wire/save.js';
import { Chips } from './Chips.js';
import { mixCard } from './mixCard.js';
import type { MixEditing } from './useMixEditing.js';

interface MixNotesProps {
  readonly editing: MixEditing;
}

interface NoteBoxProps {
  readonly note: string;
  readonly onChange: (note: string) => void;
}

function NoteBox({ note, onChange }: NoteBoxProps): ReactElement {
  const [text, setText] = useState<string | null>(null);
  return (
    <Note
      aria-label="Note on the mix"
      minHeight="56px"
      placeholder="a note"
      value={text ?? note}
      onChange={(e) => {
        setText(e.currentTarget.value);
      }}
      onBlur={() => {
        if (text !== null && text !== note) onChange(text);
        setText(null);
      }}
    />
  );
}

function RevisionLine({ editing }: MixNotesProps): ReactElement | null {
  const { mix, shown, look } = editing;
  if (mix.revisions.length < 2) return null;
  return (
    <Second>
      revisions{' '}
      {mix.revisions.map((r) => (
        <span key={r.id}>
          {' '}
          <Word
            aria-pressed={r === shown}
            fontWeight={r === shown ? 700 : 400}
            onClick={() => {
              look(r.id);
            }}
          >
            {r.number}
          </Word>
        </span>
      ))}
    </Second>
  );
}

function UsedInLine({ editing }: MixNotesProps): ReactElement | null {
  const { usedIn } = editing.mix;
  if (usedIn.length === 0) return null;
  return (
    <Second>
      used in{' '}
      {usedIn.map((m, i) => (
        <span key={m.id}>
          {i > 0 && ' · '}
          <Link to={`/mixes/${m.id}`}>{m.name}</Link>
        </span>
      ))}
    </Second>
  );
}

function MixWords({ editing }: MixNotesProps): ReactElement {
  const { mix, save } = editing;
  const navigate = useNavigate();
  const pigments = usePigments();
  const takeOff = async (): Promise<void> => {
    const gone = await change('DELETE', `/api/mixes/${mix.id}?version=${mix.version}`);
    if (gone !== null) await navigate('/mixes');
  };
  return (
    <Flex gap={4} fontSize="small">
      <Word
        onClick={() => {
          save({ retired: !mix.retired });
        }}
      >
        {mix.retired ? 'Bring it back' : 'Retire'}
      </Word>
      <span>
        <SendIt kind="mix" id={mix.id} card={() => Promise.resolve(mixCard(editing, pigments))} />
      </span>
      <Word
        onClick={() => {
          void takeOff();
        }}
      >
        Take off the board
      </Word>
    </Flex>
  );
}

/** Its chips, what was written down of it, and where it is used. */
export function MixNotes({ editing }: MixNotesProps): ReactElement {
  const { mix, shown, predicted, save } = editing;
  return (
    <Flex direction="column" gap={2} alignItems="flex-start">
      <Chips
        chips={mix.chips}
        revisions={mix.revisions}
        shown={shown}
        predicted={predicted}
        wanted={mix.wantedHex === null ? null : readColour(mix.wantedHex)}
      />
      <Box as="h2" marginTop={3}>
        Written down
      </Box>
      <NoteBox
        note={mix.note}
        onChange={(note) => {
          save({ note });
        }}
      />
      <RevisionLine editing={editing} />
      <UsedInLine editing={editing} />
      <MixWords editing={editing} />
    </Flex>
  );
}
