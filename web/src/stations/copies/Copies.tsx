import { Box, Flex, Grid } from '@chakra-ui/react';
import { useRef, useState, type ReactElement } from 'react';
import type { CopyCard } from '#contract';
import { FileWord } from '../../parts/FileWord.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { Action, Caption, Field, Key, Second, Word } from '../../theme/pieces.js';
import { CarryAll } from './CarryAll.js';
import { CarryOver } from './CarryOver.js';
import { Everything } from './Everything.js';
import { Sent } from './Sent.js';
import { ByRule } from './ByRule.js';
import { holdsWords, sizeOf, timeOf } from './copyWords.js';
import { useCopies, type Copies as Shelf } from './useCopies.js';

/** `before the market` for today: a name to begin with. */
const usualName = (): string =>
  `kept ${new Date().toLocaleDateString(undefined, { day: 'numeric', month: 'long', year: 'numeric' })}`.replace(
    /[^\p{L}\p{N} ,_()-]/gu,
    ' ',
  );

function KeepOne({ shelf }: { readonly shelf: Shelf }): ReactElement {
  const [name, setName] = useState(usualName);
  const field = useRef<HTMLInputElement>(null);
  useKeys('Copies', [
    {
      key: 'k',
      does: 'Keep a copy',
      run: () => {
        field.current?.focus();
        field.current?.select();
      },
    },
  ]);
  return (
    <Box as="section" aria-label="Keep a copy">
      <Box as="h2" marginBottom={2}>
        Keep a copy <Key>K</Key>
      </Box>
      <Flex
        as="form"
        gap={3}
        maxWidth="640px"
        onSubmit={(e) => {
          e.preventDefault();
          void shelf.keep(name);
        }}
      >
        <Field
          ref={field}
          aria-label="Name of the copy"
          value={name}
          onChange={(e) => {
            setName(e.currentTarget.value);
          }}
        />
        <Action main type="submit" disabled={shelf.busy !== null}>
          Keep it
        </Action>
      </Flex>
      <Caption>A whole copy of everything, looked through before it counts, while you go on working.</Caption>
      {shelf.kept && (
        <Box marginTop={2} role="status">
          Kept as <b>{shelf.kept.name}</b>, whole and checked: {holdsWords(shelf.kept.holds)}.{' '}
          <a href={addressOf(shelf.kept.name)} download>
            Save it somewhere else too
          </a>
        </Box>
      )}
    </Box>
  );
}

const addressOf = (name: string): string => `/api/archive/copies/${encodeURIComponent(name)}`;

/** What taking up a copy means, before it is done. */
function Meant({ shelf }: { readonly shelf: Shelf }): ReactElement | null {
  const { meant } = shelf;
  if (meant === null) return null;
  const name = 'file' in meant ? meant.file.name : meant.name;
  return (
    <Box as="section" aria-label="Take up this copy" border="rule" borderTop="thick" background="paper" padding={4}>
      <Box as="h2" marginBottom={1}>
        Take up “{name}”?
      </Box>
      {'file' in meant ? (
        <Box>It is looked through first; what is no whole copy of Sledge is refused.</Box>
      ) : (
        <Box>In it: {holdsWords(meant.holds)}.</Box>
      )}
      <Box marginBottom={3}>
        Everything is then as it was when that copy was kept. What is there now is kept as a copy first, so that you can
        come back.
      </Box>
      <Flex gap={3}>
        <Action
          main
          autoFocus
          disabled={shelf.busy !== null}
          onClick={() => {
            void shelf.takeUp();
          }}
        >
          Take it up
        </Action>
        <Action onClick={shelf.leave}>Leave it</Action>
      </Flex>
    </Box>
  );
}

interface RowProps {
  readonly copy: CopyCard;
  readonly shelf: Shelf;
  readonly onCarryAll: (name: string) => void;
}

function CopyRow({ copy, shelf, onCarryAll }: RowProps): ReactElement {
  const disabled = shelf.busy !== null;
  return (
    <Grid
      as="li"
      templateColumns="minmax(0, 1fr) 190px 80px auto"
      gap={4}
      borderTop="hair"
      paddingY={2}
      alignItems="baseline"
    >
      <Box minWidth={0} overflowWrap="anywhere" fontWeight={copy.dated || copy.ruled ? 400 : 600}>
        {copy.name}
      </Box>
      <Second>{timeOf(copy.at)}</Second>
      <Second>{sizeOf(copy.bytes)}</Second>
      <Flex gap={3} fontSize="small">
        <a href={addressOf(copy.name)} download aria-label={`Save ${copy.name} elsewhere`}>
          save elsewhere
        </a>
        <Word
          disabled={disabled}
          aria-label={`Look into ${copy.name}`}
          onClick={() => {
            void shelf.lookInto(copy.name);
          }}
        >
          look into it
        </Word>
        <Word
          disabled={disabled}
          aria-label={`Carry over all of ${copy.name}`}
          onClick={() => {
            onCarryAll(copy.name);
          }}
        >
          carry over
        </Word>
        <Word
          disabled={disabled}
          aria-label={`Take up ${copy.name}`}
          onClick={() => {
            void shelf.look(copy.name);
          }}
        >
          take up
        </Word>
        <Word
          disabled={disabled}
          aria-label={`Throw ${copy.name} away`}
          onClick={() => {
            void shelf.letGo(copy.name);
          }}
        >
          throw away
        </Word>
      </Flex>
    </Grid>
  );
}

/** Where the data lies, and its copies. */
function Heading({ archive }: Pick<Shelf, 'archive'>): ReactElement {
  return (
    <Box>
      <h1>Copies of your data</h1>
      <Second>
        All you have entered lies in one file{archive ? `: ${archive.file}` : ''}. Its copies lie in the{' '}
        {`folder ${archive?.folder ?? 'copies'} beside it.`} A copy on another disk is the one that helps when this one
        breaks.
      </Second>
    </Box>
  );
}

/** Whole copies of the data: kept, saved elsewhere, taken up again. */
export default function Copies(): ReactElement {
  const shelf = useCopies();
  const { archive, busy, wrong } = shelf;
  const [carried, setCarried] = useState<string | null>(null);
  return (
    <Flex direction="column" gap={5} padding={5} height="100%" overflowY="auto" maxWidth="1080px">
      <Heading archive={archive} />
      {archive && <ByRule rule={archive.rule} shelf={shelf} />}
      <KeepOne shelf={shelf} />
      {busy !== null && (
        <Box role="status" fontWeight={600}>
          {busy}
        </Box>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
      <Meant shelf={shelf} />
      <CarryOver />
      {carried !== null && (
        <CarryAll
          key={carried}
          name={carried}
          onLeave={() => {
            setCarried(null);
          }}
        />
      )}
      <Box as="section" aria-label="Copies that are kept">
        <Flex alignItems="baseline" gap={4} marginBottom={2}>
          <h2>Kept here</h2>
          <Second>
            those with a date in front Sledge keeps by itself: by rule; and the last ten at a start or before anything
            risky
          </Second>
        </Flex>
        {archive?.copies.length === 0 && (
          <Box>None yet. The first one is kept when Sledge is started the next time, or now, above.</Box>
        )}
        <Box as="ul" borderBottom="hair" aria-label="Copies">
          {archive?.copies.map((copy) => (
            <CopyRow key={copy.name} copy={copy} shelf={shelf} onCarryAll={setCarried} />
          ))}
        </Box>
      </Box>
      <Everything shelf={shelf} onCarryAll={setCarried} />
      <Sent />
      <Box>
        <FileWord label="Copy to take up" accept=".db" onFile={shelf.open}>
          Take up a copy from somewhere else
        </FileWord>
      </Box>
      {archive && <Second>Sledge {archive.version}</Second>}
    </Flex>
  );
}
