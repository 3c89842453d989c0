import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Action, Caption, Second } from '../theme/pieces.js';
import { useOutbox, type Clash } from '../wire/outbox.js';
import { client, useMachines, useShelf } from '../wire/queries.js';
import { settleClash } from '../wire/save.js';
import { differenceWords, fieldWords, type NameOf } from './clashWords.js';
import { Warning } from './Warning.js';

/** Every thing with an id and a name that this window has read, by its id; revisions by the name of their mix. */
function namesRead(): Map<string, string> {
  const names = new Map<string, string>();
  const look = (value: unknown, depth: number): void => {
    if (typeof value !== 'object' || value === null || depth > 6) return;
    if (!Array.isArray(value)) {
      const { id, revisionId, name, mixName, label } = value as Readonly<Record<string, unknown>>;
      const word = [name, mixName, label].find((w): w is string => typeof w === 'string' && w !== '');
      for (const known of [id, revisionId])
        if (typeof known === 'string' && word !== undefined && !names.has(known)) names.set(known, word);
    }
    for (const inner of Object.values(value)) look(inner, depth + 1);
  };
  for (const [, data] of client.getQueriesData({})) look(data, 0);
  return names;
}

function useNames(): NameOf {
  const shelf = useShelf();
  const machines = useMachines();
  return useMemo(() => {
    const names = namesRead();
    return (id) => names.get(id);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what was read changes with these
  }, [shelf.data, machines.data]);
}

interface SideProps {
  readonly clash: Clash;
  readonly mine: boolean;
  readonly nameOf: NameOf;
}

/** One of the two states, in the fields that differ. */
function Side({ clash, mine, nameOf }: SideProps): ReactElement {
  const [state, other] = mine ? [clash.mine, clash.theirs] : [clash.theirs, clash.mine];
  return (
    <Flex direction="column" gap={2} alignItems="flex-start" borderLeft="rule" paddingLeft={4} minWidth={0}>
      <h3>{mine ? 'Here' : 'In the other window'}</h3>
      <Box fontSize="small" maxHeight="110px" overflowY="auto" width="100%">
        {clash.joined.touching.map((field) => (
          <Box key={field}>
            <Second>{fieldWords(field)}</Second> <b>{differenceWords(state[field], other[field], nameOf)}</b>
          </Box>
        ))}
      </Box>
      <Action
        main={mine}
        onClick={() => {
          void settleClash(mine);
        }}
      >
        {mine ? 'Keep this one' : 'Take that one'}
      </Action>
    </Flex>
  );
}

/**
 * Two windows changed the same field of the same thing: both states side by side, and the choice; one clash after
 * the other.
 */
export function ClashBar(): ReactElement | null {
  const clashes = useOutbox((s) => s.clashes);
  const nameOf = useNames();
  const [clash] = clashes;
  if (!clash) return null;
  const more = clashes.length - 1;
  return (
    <Grid
      role="alertdialog"
      aria-label="Changed in another window"
      background="paper"
      borderBottom="thick"
      padding={5}
      gap={4}
      templateColumns="minmax(220px, 1fr) minmax(0, 1fr) minmax(0, 1fr)"
    >
      <Box>
        <Box fontWeight={600}>
          <Warning>{clash.sentence}</Warning>
        </Box>
        <Caption>
          What only one of the two changed is joined already.{more > 0 ? ` ${more} more to choose after this.` : ''}
        </Caption>
      </Box>
      <Side clash={clash} mine nameOf={nameOf} />
      <Side clash={clash} mine={false} nameOf={nameOf} />
    </Grid>
  );
}
