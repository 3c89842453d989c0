import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Action } from '../theme/pieces.js';
import { useOutbox } from '../wire/outbox.js';
import { settleClash } from '../wire/save.js';
import { useShelf } from '../wire/queries.js';
import { Warning } from './Warning.js';

const HIDDEN = new Set(['id', 'version', 'plan', 'referenced', 'sameAs', 'usedIn', 'revisions', 'doneEntryId', 'position']);

/** A thing in words, far enough to see where two states differ. */
function useWords(): (value: unknown) => string {
  const shelf = useShelf();
  const named = (id: string): string => shelf.data?.clays.find((c) => c.id === id)?.name ?? 'a mix';
  const words = (value: unknown): string => {
    if (Array.isArray(value)) return value.map(words).join(' + ');
    if (typeof value !== 'object' || value === null) return String(value);
    if ('parts' in value && 'clayId' in value) return `${String(value.parts)} ${named(String(value.clayId))}`;
    return Object.entries(value).filter(([key, v]) => !HIDDEN.has(key) && !/Id$/.test(key) && v !== '' && v !== null && v !== false)
      .map(([, v]) => words(v)).join(', ');
  };
  return words;
}

/** A mix as it is saved and as it is read differ in shape: the newest revision holds the recipe. */
function asSaved(theirs: object): object {
  if (!('revisions' in theirs) || !Array.isArray(theirs.revisions)) return theirs;
  const newest: unknown = theirs.revisions.at(-1);
  return { ...theirs, ...(newest as object) };
}

/** Two windows changed the same thing: both states side by side, and the choice. */
export function ClashBar(): ReactElement | null {
  const clash = useOutbox((s) => s.clash);
  const words = useWords();
  if (!clash) return null;
  return (
    <Grid role="alertdialog" aria-label="Changed in another window" gridRow={2} background="paper" borderBottom="thick" padding={5} gap={4} templateColumns="minmax(220px, 1fr) 1fr 1fr">
      <Box fontWeight={600}><Warning>{clash.sentence}</Warning></Box>
      {([['Here', clash.mine, true], ['In the other window', asSaved(clash.theirs), false]] as const).map(([title, state, mine]) => (
        <Flex key={title} direction="column" gap={2} alignItems="flex-start" borderLeft="rule" paddingLeft={4}>
          <h3>{title}</h3>
          <Box fontSize="small" maxHeight="110px" overflowY="auto">{words(state)}</Box>
          <Action main={mine} onClick={() => { void settleClash(mine); }}>{mine ? 'Keep this one' : 'Take that one'}</Action>
        </Flex>
      ))}
    </Grid>
  );
}
