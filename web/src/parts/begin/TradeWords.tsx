import { Box } from '@chakra-ui/react';
import { useEffect, useState, type MouseEvent, type ReactElement } from 'react';
import { TRADE_WORDS, tradeRuns } from '#core/begin';
import { useView } from '../../state/view.js';
import { Word } from '../../theme/pieces.js';
import { useBegun } from '../../wire/queries.js';

interface SentenceProps {
  readonly sentence: string;
}

const wordsIn = (sentence: string): readonly string[] =>
  tradeRuns(sentence).flatMap(({ word }) => (word === null ? [] : [word]));

/** Words of a sentence that stand explained: those nobody told a beginner yet, and those that were asked for. */
function useOpen(words: readonly string[]) {
  const begins = useBegun().data?.entries === 0;
  const tell = useView((s) => s.tell);
  const [open, setOpen] = useState<readonly string[]>(() => {
    const { told } = useView.getState();
    return begins ? words.filter((word) => !told.includes(word)) : [];
  });
  useEffect(() => {
    for (const word of open) tell(word);
  }, [open, tell]);
  const turn = (word: string): void => {
    setOpen(open.includes(word) ? open.filter((other) => other !== word) : [...open, word]);
  };
  return { open, turn };
}

/** A sentence with its words of the trade as words that can be asked; what they mean stands below. */
export function TradeWords({ sentence }: SentenceProps): ReactElement {
  const runs = tradeRuns(sentence);
  const words = wordsIn(sentence);
  const { open, turn } = useOpen(words);
  return (
    <>
      {runs.map(({ text, word }) =>
        word === null ? (
          text
        ) : (
          <OneWord
            key={word}
            text={text}
            open={open.includes(word)}
            onTurn={() => {
              turn(word);
            }}
          />
        ),
      )}
      {words
        .filter((word) => open.includes(word))
        .map((word) => (
          <Meaning key={word} word={word} />
        ))}
    </>
  );
}

/** What the words of a title mean, for who begins: the title itself stays as it is. */
export function TitleWords({ sentence }: SentenceProps): ReactElement {
  const { open } = useOpen(wordsIn(sentence));
  return (
    <>
      {open.map((word) => (
        <Meaning key={word} word={word} />
      ))}
    </>
  );
}

interface OneWordProps {
  readonly text: string;
  readonly open: boolean;
  readonly onTurn: () => void;
}

function OneWord({ text, open, onTurn }: OneWordProps): ReactElement {
  const press = (event: MouseEvent<HTMLButtonElement>): void => {
    onTurn();
    // a finger or a mouse that asked for a word is back with the work: Space is the step, not the word
    if (event.detail > 0) event.currentTarget.blur();
  };
  return (
    <Word
      aria-expanded={open}
      textDecorationStyle="dotted"
      textDecorationThickness="from-font"
      font="inherit"
      onClick={press}
    >
      {text}
    </Word>
  );
}

function Meaning({ word }: { readonly word: string }): ReactElement {
  return (
    <Box as="span" display="block" fontSize="small" fontWeight={400} color="ink2" lineHeight={1.5}>
      <b>{word}</b>: {TRADE_WORDS[word]}
    </Box>
  );
}
