import { Box } from '@chakra-ui/react';
import { useCallback, useEffect, useRef, useState, type ReactElement } from 'react';
import type { NotationAnswer } from '#contract';
import { Meanings } from '../../parts/Meanings.js';
import { Warning } from '../../parts/Warning.js';
import { Inline } from '../../theme/pieces.js';
import { NoAnswer, Refused, ask } from '../../wire/ask.js';
import { ASKS_FIRST } from '../../wire/leaving.js';

interface NotationFieldProps {
  readonly notation: string;
  readonly onRead: (answer: NotationAnswer) => void;
  readonly disabled?: boolean;
}
interface Wrong {
  readonly sentence: string;
  readonly at: number | undefined;
  readonly choices: readonly string[];
}
const NO_CHOICES: readonly string[] = [];

/** What is said about a recipe that was not read. Throws on what is neither refused nor unanswered. */
function wrongIn(error: unknown): Wrong {
  if (error instanceof Refused)
    return { sentence: error.message, at: error.problem.at, choices: error.problem.choices ?? NO_CHOICES };
  if (!(error instanceof NoAnswer)) throw error;
  return {
    sentence: 'Sledge does not answer. Press Enter to try again; what you wrote stays.',
    at: undefined,
    choices: NO_CHOICES,
  };
}

/** A recipe as it is typed, and reading it. */
function useNotation({ notation, onRead }: NotationFieldProps) {
  const [typed, setText] = useState(notation);
  const [wrong, setWrong] = useState<Wrong | null>(null);
  // the answer takes a while: it goes to the mix as it is then
  const latest = useRef(onRead);
  latest.current = onRead;
  const reset = useCallback((): void => {
    setText(notation);
    setWrong(null);
  }, [notation]);
  useEffect(reset, [reset]);
  const read = async (text = typed): Promise<void> => {
    if (text === notation) return;
    try {
      latest.current(await ask<NotationAnswer>('POST', '/api/notation', { text }));
      setWrong(null);
    } catch (error) {
      setWrong(wrongIn(error));
    }
  };
  return { typed, setText, wrong, reset, read };
}

/** The place where it could not be read any further. */
function Marked({ text, at }: { readonly text: string; readonly at: number }): ReactElement {
  return (
    <Box fontSize="small" whiteSpace="pre-wrap" aria-hidden>
      {text.slice(0, at)}
      <Box as="span" background="ink" color="tile">
        {text.slice(at, at + 1) || ' '}
      </Box>
      {text.slice(at + 1)}
    </Box>
  );
}

/** Letters that the field has room for at least. */
const NARROWEST = 20;

/** The recipe as it is scratched on a chip, to be typed over. What cannot be read stays, with its place marked. */
export function NotationField(props: NotationFieldProps): ReactElement {
  const { typed, setText, wrong, reset, read } = useNotation(props);
  return (
    <Box display="inline-block" maxWidth="100%" verticalAlign="top">
      <Inline
        {...ASKS_FIRST}
        aria-label="Recipe in notation"
        aria-invalid={wrong !== null}
        value={typed}
        disabled={props.disabled}
        placeholder="2 Beetroot + 1 Chalk"
        htmlSize={Math.max(NARROWEST, typed.length)}
        onChange={(e) => {
          setText(e.currentTarget.value);
        }}
        onBlur={() => {
          void read();
        }}
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            e.preventDefault();
            void read();
          }
          if (e.key === 'Escape') reset();
        }}
      />
      {wrong !== null && (
        <Box>
          {wrong.at !== undefined && <Marked text={typed} at={wrong.at} />}
          <Warning>{wrong.sentence}</Warning>
          <Meanings
            choices={wrong.choices}
            onChoose={(choice) => {
              setText(choice);
              void read(choice);
            }}
          />
        </Box>
      )}
    </Box>
  );
}
