import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { sentenceOf } from '#core/units';
import type { CarryAnswer, SentThingAnswer } from '#contract';
import { FileWord } from '../../parts/FileWord.js';
import { Warning } from '../../parts/Warning.js';
import { carriedPath } from '../../parts/carried.js';
import { Action, Caption } from '../../theme/pieces.js';
import { ask } from '../../wire/ask.js';
import { change } from '../../wire/save.js';
import { ComingThings, KINDS } from './ComingThings.js';

const PATH = '/api/archive/thing';

/** A file that another maker sent: looked at, taken in, or let go. */
function useSent() {
  const [sent, setSent] = useState<SentThingAnswer | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [state, setState] = useState<'none' | 'looking' | 'asked' | 'done'>('none');
  return {
    ...{ sent, wrong, state },
    open: async (file: File): Promise<void> => {
      setWrong(null);
      setSent(null);
      setState('looking');
      try {
        setSent(await ask<SentThingAnswer>('POST', PATH, file));
        setState('asked');
      } catch (error) {
        setWrong(sentenceOf(error));
        setState('none');
      }
    },
    take: async (): Promise<void> => {
      if (!sent) return;
      const answer = await change<CarryAnswer>('POST', `${PATH}/take`, { token: sent.token });
      if (answer) setState('done');
    },
    leave: (): void => {
      if (sent && state === 'asked') void ask('DELETE', `${PATH}/${sent.token}`).catch(() => undefined);
      setSent(null);
      setState('none');
    },
  };
}

interface OneProps {
  readonly sent: SentThingAnswer;
  readonly done: boolean;
  readonly onTake: () => void;
  readonly onLeave: () => void;
}

/** What is in the file, and what would come of it. */
function OneSent({ sent, done, onTake, onLeave }: OneProps): ReactElement {
  const new_ = sent.things.length > 0;
  return (
    <Box as="section" aria-label="What was sent" border="rule" borderTop="thick" background="paper" padding={4}>
      <Box as="h3" marginBottom={1}>
        {done ? 'Taken in' : `The ${KINDS[sent.kind]} “${sent.name}”`}
      </Box>
      {sent.card && (
        <img
          src={`${PATH}/card/${sent.token}`}
          alt={`Picture card of ${sent.name}`}
          style={{ display: 'block', width: 'min(100%, 480px)', margin: '8px 0' }}
        />
      )}
      {new_ ? <ComingThings things={sent.things} /> : <Box marginBottom={2}>All of it is here already, just so.</Box>}
      <Flex gap={3} alignItems="baseline">
        {new_ && !done && (
          <Action main autoFocus onClick={onTake}>
            Take it in
          </Action>
        )}
        {done && sent.kind !== 'pieceModel' && <Link to={carriedPath(sent.kind)}>look at it</Link>}
        {done && sent.kind === 'pieceModel' && (
          <span>
            It is among your pieces now: <Link to={carriedPath(sent.kind)}>in a batch</Link>, add a piece of many parts.
          </span>
        )}
        <Action onClick={onLeave}>{done ? 'That is all' : 'Leave it'}</Action>
      </Flex>
    </Box>
  );
}

/** Things that other makers sent as files. */
export function Sent(): ReactElement {
  const { sent, wrong, state, open, take, leave } = useSent();
  return (
    <Box as="section" aria-label="From another maker">
      <Box as="h2" marginBottom={1}>
        From another maker
      </Box>
      <Caption display="block">
        A mix, a blend, a cane, a patterned sheet, a kept piece or a batch that was sent with all that it needs. Yours
        are sent from where they stand: <i>send it</i>.
      </Caption>
      <Box marginTop={2} marginBottom={2}>
        <FileWord label="A thing that was sent" accept=".zip,application/zip" onFile={(file) => void open(file)}>
          open what was sent
        </FileWord>
      </Box>
      {state === 'looking' && <Box role="status">Looking through it …</Box>}
      {wrong !== null && <Warning>{wrong}</Warning>}
      {sent && <OneSent sent={sent} done={state === 'done'} onTake={() => void take()} onLeave={leave} />}
    </Box>
  );
}
