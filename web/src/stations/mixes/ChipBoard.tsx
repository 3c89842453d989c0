import { useSeen } from '../../parts/useSeen.js';
import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { showMass } from '#core/units';
import type { MixCard, MixSort } from '#contract';
import { Chip } from '../../parts/Chip.js';
import { Choice } from '../../parts/Choice.js';
import { FindField } from '../../parts/FindField.js';
import { LongList } from '../../parts/LongList.js';
import { Tick } from '../../parts/Tick.js';
import { useWidth } from '../../parts/useWidth.js';
import { MassValue } from '../../parts/Value.js';
import { useUnits } from '../../state/view.js';
import { Caption, Key, Plus, Word } from '../../theme/pieces.js';
import { useLongBoard } from '../../wire/long.js';

const SORTS: readonly { readonly value: MixSort; readonly text: string }[] = [
  { value: 'hue', text: 'by hue' },
  { value: 'name', text: 'by name' },
  { value: 'newest', text: 'newest first' },
];

/** What can be done besides looking at one mix. */
const TOOLS = [
  ['find', 'Find a mix', 'F'],
  ['apart', 'Stay apart?', 'D'],
  ['triangle', 'Triangle', 'R'],
  ['correct', 'Correct', 'K'],
  ['photograph', 'Photograph', 'V'],
  ['taught', 'Taught', 'T'],
  ['files', 'In and out', 'X'],
] as const;

const Hook = chakra(Link, {
  base: {
    display: 'block',
    textDecoration: 'none',
    padding: '5px',
    border: '3px solid transparent',
    minWidth: 0,
    _hover: { borderColor: 'hairline' },
    '&&&[aria-current=page]': { borderColor: 'ink' },
  },
});

/** px that a chip takes side by side with others. */
const LANE = 126;

/** What is asked of the board. */
function useBoardQuery() {
  const [search, setSearch] = useState('');
  const [sort, setSort] = useState<MixSort>('hue');
  const [now, setNow] = useState(false);
  const [grams, setGrams] = useState(20);
  const [retired, setRetired] = useState(false);
  const query = {
    search: useDeferredValue(search),
    sort,
    now: now ? String(grams) : '0',
    retired: retired ? '1' : '0',
  };
  const fields = { search, setSearch, sort, setSort, now, setNow, grams, setGrams, retired, setRetired };
  return { ...fields, query };
}

type BoardQuery = ReturnType<typeof useBoardQuery>;

/** A field to find a mix, and the way to a new one. */
function Search({ search, setSearch }: BoardQuery): ReactElement {
  return (
    <Flex gap={2} marginBottom={3} maxWidth="420px">
      <FindField
        label="Find a mix by its name or by a clay"
        hint="a name, a clay"
        value={search}
        onChange={setSearch}
      />
      <Link to="/mixes/new" aria-label="New mix" tabIndex={-1}>
        <Plus as="span" display="grid" placeItems="center" width="38px" height="38px" title="new mix">
          +
        </Plus>
      </Link>
    </Flex>
  );
}

interface PlaceProps {
  readonly wide: boolean;
  readonly chosen: string | undefined;
}

/** The ways to what is done with more than one mix. */
function Tools({ wide, chosen }: PlaceProps): ReactElement {
  return (
    <Grid
      templateColumns={wide ? `repeat(${TOOLS.length}, auto)` : '1fr 1fr'}
      justifyContent={wide ? 'start' : undefined}
      columnGap={wide ? 5 : 3}
      rowGap={1}
      fontSize="small"
      marginBottom={3}
    >
      {TOOLS.map(([to, text, key]) => (
        <Flex key={to} justifyContent="space-between" alignItems="baseline" gap={2}>
          <Link to={`/mixes/${to}`} aria-current={chosen === to ? 'page' : undefined}>
            {text}
          </Link>
          <Key>{key}</Key>
        </Flex>
      ))}
    </Grid>
  );
}

/** Which mixes are shown, and in which order. */
function Which({
  board,
  total,
  wide,
}: {
  readonly board: BoardQuery;
  readonly total: number;
  readonly wide: boolean;
}): ReactElement {
  const { sort, setSort, now, setNow, grams, setGrams, retired, setRetired } = board;
  return (
    <>
      <Flex justifyContent={wide ? 'start' : 'space-between'} gap={4} alignItems="baseline">
        <h2>Chip board</h2>
        <Caption>
          {total} {total === 1 ? 'mix' : 'mixes'} ·{' '}
          <Choice label="Order of the chips" value={sort} options={SORTS} onChange={setSort} />
        </Caption>
      </Flex>
      <Box fontSize="caption" marginTop={1}>
        <Tick checked={now} onChange={setNow}>
          can be made now,
        </Tick>{' '}
        <MassValue label="Grams that can be made" value={grams} onChange={setGrams} />
        {' · '}
        <Word
          onClick={() => {
            setRetired(!retired);
          }}
        >
          {retired ? 'not retired' : 'retired'}
        </Word>
      </Box>
    </>
  );
}

/** Every mix as a chip with its ratio: beside the one that is open, or over the whole width. */
export function ChipBoard({ chosen, wide = false }: Partial<PlaceProps>): ReactElement {
  const units = useUnits();
  const [frame, width] = useWidth<HTMLDivElement>();
  const lanes = wide ? Math.max(2, Math.floor((width - 16) / LANE)) : 2;
  const asked = useBoardQuery();
  const { seen, onSeen } = useSeen();
  const board = useLongBoard(asked.query, seen);
  const { total } = board;
  const chip = (place: number): ReactElement | null => {
    const card = board.at(place);
    if (!card) return null;
    const possible = asked.now ? showMass(card.possibleGrams, units) : null;
    return <OneChip card={card} chosen={card.id === chosen} now={possible} />;
  };
  return (
    <Grid
      ref={frame}
      templateRows="auto 1fr"
      height="100%"
      minHeight={0}
      minWidth={0}
      background="paper"
      borderRight="rule"
      css={{ '@media print': { display: 'none' } }}
    >
      <Box padding={4} borderBottom="hair">
        <Search {...asked} />
        <Tools wide={wide} chosen={chosen} />
        <Which board={asked} total={total} wide={wide} />
      </Box>
      <LongList
        key={lanes}
        label="Chips"
        total={total}
        lanes={lanes}
        height={CHIP_ROW}
        row={chip}
        keyOf={(place) => board.at(place)?.id}
        onSeen={onSeen}
        of={JSON.stringify(asked.query)}
        background="bench"
        padding={8}
      >
        {total === 0 && !board.reading && (
          <Box padding={3}>
            <Caption>{nothingLike(asked.retired, asked.search !== '' || asked.now)}</Caption>
          </Box>
        )}
      </LongList>
    </Grid>
  );
}

/** px of a chip with its name and its ratio. */
const CHIP_ROW = 172;

function nothingLike(retired: boolean, asked: boolean): string {
  if (retired) return 'No mix is retired.';
  return asked ? 'No mix is like that.' : 'No chips yet.';
}

function OneChip({
  card,
  chosen,
  now,
}: {
  readonly card: MixCard;
  readonly chosen: boolean;
  readonly now: string | null;
}): ReactElement {
  return (
    <Hook to={`/mixes/${card.id}`} aria-current={chosen ? 'page' : undefined}>
      <Chip hex={card.hex} width={108} height={84} />
      <Box
        fontWeight={600}
        fontSize="small"
        lineHeight={1.25}
        marginTop={1}
        title={card.name}
        css={{
          display: '-webkit-box',
          WebkitLineClamp: 2,
          WebkitBoxOrient: 'vertical',
          overflow: 'hidden',
          overflowWrap: 'anywhere',
        }}
      >
        {card.name}
      </Box>
      <Caption
        css={{
          display: '-webkit-box',
          WebkitLineClamp: 2,
          WebkitBoxOrient: 'vertical',
          overflow: 'hidden',
          lineHeight: 1.3,
        }}
      >
        {now === null ? card.notation : `${now} possible`}
      </Caption>
    </Hook>
  );
}
