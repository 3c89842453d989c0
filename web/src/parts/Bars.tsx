import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useLocation } from 'react-router';
import { Action } from '../theme/pieces.js';
import { ask } from '../wire/ask.js';
import { client, useArchive, useMe } from '../wire/queries.js';
import { stopReading, useReading } from '../workers/reading.js';
import { answerQuestion, putAside, useElsewhere, useSaid } from '../wire/save.js';
import { ClashBar } from './ClashBar.js';
import { Warning } from './Warning.js';
import { Bar } from './Bar.js';
import { FaultBar } from './FaultBar.js';
import { ShutOutBar } from './ShutOutBar.js';

const timeOf = (at: string): string =>
  new Date(at).toLocaleString(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** Undo has met a change that this window did not make. */
function QuestionBar(): ReactElement | null {
  const question = useSaid((s) => s.question);
  if (!question) return null;
  const { way, change } = question;
  const back = way === 'undo';
  return (
    <Bar
      label={back ? 'Take it back?' : 'Do it again?'}
      actions={
        <>
          <Action
            main
            autoFocus
            onClick={() => {
              void answerQuestion(true);
            }}
          >
            {back ? 'Take it back' : 'Do it again'}
          </Action>
          <Action
            onClick={() => {
              void answerQuestion(false);
            }}
          >
            Leave it
          </Action>
        </>
      }
    >
      <Warning>
        {back ? 'The last change' : 'What was taken back last'} was made in another window, or on an earlier visit:{' '}
        <b>{change.summary}</b> ({timeOf(change.at)}).
      </Warning>
    </Bar>
  );
}

/** Refusals of things that are not on the screen any more. */
function RefusalBar(): ReactElement | null {
  const [first] = useElsewhere();
  if (!first) return null;
  const [path, refused] = first;
  return (
    <Bar
      label="Not done"
      actions={
        <Action
          onClick={() => {
            putAside(path);
          }}
        >
          I have read it
        </Action>
      }
    >
      <Warning>{refused.message}</Warning>
    </Bar>
  );
}

/** What happened to the data at the start. */
function NoticeBar(): ReactElement | null {
  const { data } = useArchive();
  if (!data || data.notices.length === 0) return null;
  const read = async (): Promise<void> => {
    await ask('POST', '/api/archive/notices-read');
    await client.invalidateQueries({ queryKey: ['/api/archive'] });
  };
  return (
    <Bar
      label="At the start"
      actions={
        <Action
          onClick={() => {
            void read();
          }}
        >
          I have read it
        </Action>
      }
    >
      {data.notices.map((notice) => (
        <Warning key={notice}>{notice}</Warning>
      ))}
    </Bar>
  );
}

/** No copy could be kept by rule: what would help if this disk breaks is missing. */
function NoCopyBar(): ReactElement | null {
  const { pathname } = useLocation();
  const failed = useArchive().data?.rule.failed ?? null;
  if (failed === null || pathname === '/copies') return null;
  return (
    <Bar label="No copy was kept" actions={<Link to="/copies">look</Link>}>
      <Warning>The daily copy could not be kept. {failed.why}</Warning>
    </Bar>
  );
}

/** A file that takes its time. */
function ReadingBar(): ReactElement | null {
  const name = useReading((s) => s.name);
  if (name === null) return null;
  return (
    <Bar label="Reading a file" actions={<Action onClick={stopReading}>Stop</Action>}>
      Reading {name} …
    </Bar>
  );
}

/** All that is said between the stations and the one that is open. */
export function Bars(): ReactElement {
  const here = useMe().data?.here === true;
  return (
    <Box gridRow={2} css={{ '@media print': { display: 'none' } }}>
      <ShutOutBar />
      <FaultBar />
      {here && (
        <>
          <NoticeBar />
          <NoCopyBar />
        </>
      )}
      <QuestionBar />
      <ReadingBar />
      <RefusalBar />
      <ClashBar />
    </Box>
  );
}
