import { Box, Flex } from '@chakra-ui/react';
import { useEffect, type ReactElement } from 'react';
import type { WholeAnswer } from '#contract';
import { FileWord } from '../../parts/FileWord.js';
import { Warning } from '../../parts/Warning.js';
import { Action, Caption, Word } from '../../theme/pieces.js';
import { client } from '../../wire/queries.js';
import { holdsWords, sizeOf } from './copyWords.js';
import type { Copies } from './useCopies.js';
import { useWhole, type Whole } from './useWhole.js';

const many = (n: number): string => n.toLocaleString('en');

/** How far it is, and the way to stop it. */
function Running({ now, onStop }: { readonly now: WholeAnswer; readonly onStop: () => void }): ReactElement {
  const words = now.way === 'out' ? 'Writing' : 'Reading';
  const share = now.total === 0 ? 0 : now.done / now.total;
  return (
    <Flex gap={4} alignItems="center" wrap="wrap">
      <Box
        role="progressbar"
        aria-label={`${words} the archive`}
        aria-valuenow={Math.round(share * 100)}
        width="260px"
        height="18px"
        border="rule"
        background="tile"
      >
        <Box height="100%" background="ink" style={{ width: `${share * 100}%` }} />
      </Box>
      <span>
        {words}: {many(now.done)} of {many(now.total)} rows and photographs
      </span>
      <Action onClick={onStop}>Stop</Action>
    </Flex>
  );
}

/** The file is there, to be saved. */
function Written({ now, whole }: { readonly now: WholeAnswer; readonly whole: Whole }): ReactElement {
  return (
    <Flex gap={4} alignItems="baseline" wrap="wrap">
      <a href="/api/archive/whole/file" download style={{ fontWeight: 700 }}>
        Save it
      </a>
      <span>
        {sizeOf(now.bytes)}, {many(now.total)} rows and photographs
      </span>
      <Word onClick={() => void whole.stop()}>let it go</Word>
    </Flex>
  );
}

interface ReadProps {
  readonly copy: NonNullable<WholeAnswer['copy']>;
  readonly shelf: Copies;
  readonly onCarryAll: (name: string) => void;
}

/** It is a copy now: what can become of it. */
function Read({ copy, shelf, onCarryAll }: ReadProps): ReactElement {
  return (
    <Box role="status">
      It lies among the copies as <b>{copy.name}</b>, whole and looked through: {holdsWords(copy.holds)}.
      <Flex gap={4} marginTop={2} wrap="wrap">
        <Word onClick={() => void shelf.lookInto(copy.name)}>look into it</Word>
        <Word
          onClick={() => {
            onCarryAll(copy.name);
          }}
        >
          carry over what is not here
        </Word>
        <Word onClick={() => void shelf.look(copy.name)}>take it up in place of all that is here</Word>
      </Flex>
    </Box>
  );
}

function State({ whole, shelf, onCarryAll }: Omit<ReadProps, 'copy'> & { readonly whole: Whole }): ReactElement | null {
  const { now } = whole;
  if (now?.state === 'running') return <Running now={now} onStop={() => void whole.stop()} />;
  if (now?.state === 'failed') return <Warning>{now.why}</Warning>;
  if (now?.state !== 'ready') return null;
  if (now.copy) return <Read copy={now.copy} shelf={shelf} onCarryAll={onCarryAll} />;
  return <Written now={now} whole={whole} />;
}

/** Everything as one ZIP that other programs can read too: out, and in again as a copy. */
export function Everything({ shelf, onCarryAll }: Omit<ReadProps, 'copy'>): ReactElement {
  const whole = useWhole();
  const running = whole.now?.state === 'running';
  const read = whole.now?.copy?.name;
  useEffect(() => {
    // it stands in the list of copies now
    if (read !== undefined) void client.invalidateQueries({ queryKey: ['/api/archive'] });
  }, [read]);
  return (
    <Box as="section" aria-label="Everything">
      <Box as="h2" marginBottom={1}>
        Everything, as one file that lasts
      </Box>
      <Caption>
        A ZIP with each table as lines of text, photographs as pictures, and recipes, shelf and diary as tables for a
        spreadsheet.
      </Caption>
      <Flex gap={4} alignItems="baseline" marginTop={2} marginBottom={2} wrap="wrap">
        <Action disabled={running} onClick={() => void whole.write()}>
          Write everything
        </Action>
        {!running && (
          <FileWord
            label="An archive to take in"
            accept=".zip,application/zip"
            onFile={(file) => void whole.open(file)}
          >
            take an archive in
          </FileWord>
        )}
      </Flex>
      {whole.wrong !== null && <Warning>{whole.wrong}</Warning>}
      <State whole={whole} shelf={shelf} onCarryAll={onCarryAll} />
    </Box>
  );
}
