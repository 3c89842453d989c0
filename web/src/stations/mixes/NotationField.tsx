import { Box } from '@chakra-ui/react';
import { useEffect, useRef, useState, type ReactElement } from 'react';
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

/** The recipe as it is scratched on a chip, to be typed over. What cannot be read stays, with its place marked. */
export function NotationField({ notation, onRead, disabled }: NotationFieldProps): ReactElement {
  const [typed, setText] = useState(notation);
  const [wrong, setWrong] = useState<Wrong | null>(null);
  // the answer takes a while: it goes to the mix as it is then
  const latest = useRef(onRead);
  latest.current = onRead;
  useEffect(() => {
    setText(notation);
    setWrong(null);
  }, [notation]);
  const read = async (text = typed): Promise<void> => {
    if (text === notation) return;
    try {
      latest.current(await ask<NotationAnswer>('POST', '/api/notation', { text }));
      setWrong(null);
    } catch (error) {
      if (error instanceof Refused)
        setWrong({ sentence: error.message, at: error.problem.at, choices: error.problem.choices ?? NO_CHOICES });
      else if (error instanceof NoAnswer)
        setWrong({
          sentence: 'Sledge does not answer. Press Enter to try again; what you wrote stays.',
          at: undefined,
          choices: NO_CHOICES,
        });
      else throw error;
    }
  };
  return (
    <Box display="inline-block" maxWidth="100%" verticalAlign="top">
      <Inline
        {...ASKS_FIRST}
        aria-label="Recipe in notation"
        aria-invalid={wrong !== null}
        value={typed}
        disabled={disabled}
        placeholder="2 Beetroot + 1 Chalk"
        htmlSize={Math.max(20, typed.length)}
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
          if (e.key === 'Escape') {
            setText(notation);
            setWrong(null);
          }
        }}
      />
      {wrong !== null && (
        <Box>
          {wrong.at !== undefined && (
            <Box fontSize="small" whiteSpace="pre-wrap" aria-hidden>
              {typed.slice(0, wrong.at)}
              <Box as="span" background="ink" color="tile">
                {typed.slice(wrong.at, wrong.at + 1) || ' '}
              </Box>
              {typed.slice(wrong.at + 1)}
            </Box>
          )}
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
