import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useState, type ReactElement } from 'react';
import { sentenceOf } from '#core/units';
import type { CarryAllAnswer } from '#contract';
import { Warning } from '../../parts/Warning.js';
import { Action, Second } from '../../theme/pieces.js';
import { askFirst } from '../../wire/ask.js';
import { change } from '../../wire/save.js';
import { ComingThings } from './ComingThings.js';

const PATH = '/api/archive/carry-all';

/** What would come of all of a copy, and the way to let it come. */
function useCarryAll(name: string) {
  const [answer, setAnswer] = useState<CarryAllAnswer | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [state, setState] = useState<'looking' | 'asked' | 'carrying' | 'done'>('looking');
  useEffect(() => {
    let gone = false;
    askFirst<CarryAllAnswer>(PATH, { name })
      .then((would) => {
        if (gone) return;
        setAnswer(would);
        setState('asked');
      })
      .catch((error: unknown) => {
        if (!gone) setWrong(sentenceOf(error));
      });
    return () => {
      gone = true;
    };
  }, [name]);
  const carry = async (): Promise<void> => {
    setState('carrying');
    const done = await change<CarryAllAnswer>('POST', PATH, { name, sure: true });
    setState(done ? 'done' : 'asked');
    if (done) setAnswer(done);
  };
  return { answer, wrong, state, carry };
}

function Answer({ answer }: { readonly answer: CarryAllAnswer }): ReactElement {
  if (answer.things.length === 0 && answer.more.length === 0) return <Box>All of it is here already.</Box>;
  return (
    <>
      <ComingThings things={answer.things} />
      {answer.more.length > 0 && (
        <Box marginBottom={2}>
          And {answer.more.map(({ what, count }) => `${count.toLocaleString('en')} ${what}`).join(', ')}.
        </Box>
      )}
    </>
  );
}

/** All of a copy that is not here, beside what is here. */
export function CarryAll({ name, onLeave }: { readonly name: string; readonly onLeave: () => void }): ReactElement {
  const { answer, wrong, state, carry } = useCarryAll(name);
  const comes = answer !== null && (answer.things.length > 0 || answer.more.length > 0);
  return (
    <Box
      as="section"
      aria-label="Carry all over"
      border="rule"
      borderTop="thick"
      background="paper"
      padding={4}
      aria-busy={state === 'looking' || state === 'carrying'}
    >
      <Box as="h2" marginBottom={1}>
        {state === 'done' ? 'Carried over' : `Carry over what is in “${name}” and not here?`}
      </Box>
      <Second>What is here stays as it is. What is called the same and is another comes beside it.</Second>
      {wrong !== null && <Warning>{wrong}</Warning>}
      {state === 'looking' && wrong === null && <Box>Looking through it …</Box>}
      {state === 'carrying' && <Box role="status">Carrying over …</Box>}
      {answer && <Answer answer={answer} />}
      <Flex gap={3}>
        {comes && state === 'asked' && (
          <Action main autoFocus onClick={() => void carry()}>
            Carry it over
          </Action>
        )}
        <Action onClick={onLeave}>{state === 'done' ? 'That is all' : 'Leave it'}</Action>
      </Flex>
    </Box>
  );
}
