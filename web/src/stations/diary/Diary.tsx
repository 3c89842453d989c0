import { useSeen } from '../../parts/useSeen.js';
import { Entry } from './Entry.js';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { DiaryListAnswer } from '#contract/diary';
import { MOST_FOUND } from '#contract/limits';
import { Empty, Reading } from '../../parts/Empty.js';
import { FindField } from '../../parts/FindField.js';
import { LongList } from '../../parts/LongList.js';
import { showDate } from '../../state/today.js';
import { useNarrow } from '../../state/useNarrow.js';
import { Caption, Word } from '../../theme/pieces.js';
import { RowLink } from '../../parts/RowLink.js';
import { useLongDiary } from '../../wire/long.js';
import { useEntry } from '../../wire/queries.js';

function NothingYet(): ReactElement {
  const navigate = useNavigate();
  return (
    <Empty
      title="Nothing written down yet"
      action="To the bench"
      onAction={() => {
        void navigate('/bench');
      }}
    >
      When a batch is done at the bench, it is written down here by itself: what, when, from which recipes and how much
      clay.
    </Empty>
  );
}

interface SearchProps {
  readonly search: string;
  readonly onSearch: (search: string) => void;
  readonly total: number;
  /** six digits of a colour that is looked for; null: none */
  readonly near: string | null;
  readonly onLetGo: () => void;
}

/** A field to find entries by, and how many there are. */
function Search({ search, onSearch, total, near, onLetGo }: SearchProps): ReactElement {
  return (
    <Box padding={4} borderBottom="hair">
      <FindField label="Find in the diary" hint="a piece, a mix, a clay, a word" value={search} onChange={onSearch} />
      {near !== null && (
        <Flex alignItems="center" gap={2} marginTop={2} fontSize="small" role="status">
          <Box width="22px" height="22px" style={{ background: `#${near}` }} aria-hidden />
          made near this colour
          <Word aria-label="Of any colour" onClick={onLetGo}>
            of any
          </Word>
        </Flex>
      )}
      <Flex justifyContent="space-between" alignItems="baseline" marginTop={3} wrap="wrap" columnGap={3}>
        <h2>Diary</h2>
        <Caption>
          {search !== '' && total === MOST_FOUND
            ? `the newest ${total}`
            : `${total} ${total === 1 ? 'entry' : 'entries'}`}
        </Caption>
        <Box fontSize="small">
          <Link to="/diary/taught">what your bench taught</Link> · <Link to="/diary/wall">photographs</Link> ·{' '}
          <Link to="/diary/months">month by month</Link>
        </Box>
      </Flex>
    </Box>
  );
}

/** The colour that is looked for, as it stands in the address. */
function useNear() {
  const [query, setQuery] = useSearchParams();
  const text = query.get('near') ?? '';
  return {
    near: /^[0-9a-f]{6}$/i.test(text) ? text : null,
    letGo: (): void => {
      setQuery({}, { replace: true });
    },
  };
}

/** What was made when, and from which recipe. */
export default function Diary(): ReactElement {
  const { entryId } = useParams();
  const narrow = useNarrow();
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search);
  const { seen, onSeen } = useSeen();
  const { near, letGo } = useNear();
  const found = useLongDiary(asked, near, seen);
  // nothing chosen: what was made last
  const newest = found.at(0)?.id;
  const entry = useEntry(entryId ?? newest);
  const { total } = found;
  if (found.reading) return <Reading error={found.error} />;
  if (total === 0 && search === '' && near === null) {
    return <NothingYet />;
  }
  const nothing = entryId === undefined && newest === undefined;
  // on a screen that is held: the list, or the entry that was chosen
  const [list, open] = narrow ? [entryId === undefined, entryId !== undefined] : [true, true];
  return (
    <Grid templateColumns={list && open ? '300px 1fr' : 'minmax(0, 1fr)'} height="100%" minHeight={0}>
      <Grid
        templateRows="auto 1fr"
        background="paper"
        borderRight="rule"
        minHeight={0}
        display={list ? 'grid' : 'none'}
      >
        <Search search={search} onSearch={setSearch} total={total} near={near} onLetGo={letGo} />
        <LongList
          label="Entries"
          total={total}
          lanes={1}
          height={ENTRY_ROW}
          onSeen={onSeen}
          of={`${asked} ${near ?? ''}`}
          keyOf={(place) => found.at(place)?.id}
          row={(place) => {
            const e = found.at(place);
            return e ? <EntryRow entry={e} near={near} chosen={open && e.id === (entryId ?? newest)} /> : null;
          }}
        >
          {total === 0 && (
            <Box padding={4}>
              <Caption>Nothing in the diary is like that.</Caption>
            </Box>
          )}
        </LongList>
      </Grid>
      {open && nothing && (
        <Empty title="Nothing like that">Nothing in the diary is like what you are looking for.</Empty>
      )}
      {open && !nothing && entry.data && <Entry key={entry.data.id} entry={entry.data} />}
      {open && !nothing && !entry.data && <Reading error={entry.error} />}
    </Grid>
  );
}

/** px of an entry in the list: its day, its title and the beginning of its note. */
const ENTRY_ROW = 84;
const ONE_LINE = {
  display: '-webkit-box',
  WebkitLineClamp: 1,
  WebkitBoxOrient: 'vertical',
  overflow: 'hidden',
} as const;

interface EntryRowProps {
  readonly entry: DiaryListAnswer['entries'][number];
  readonly near: string | null;
  readonly chosen: boolean;
}

function EntryRow({ entry, near, chosen }: EntryRowProps): ReactElement {
  const off = entry.deltaE === undefined ? '' : ` · ΔE ${entry.deltaE.toFixed(1)}`;
  return (
    <RowLink
      to={`/diary/${entry.id}${near === null ? '' : `?near=${near}`}`}
      aria-current={chosen ? 'page' : undefined}
      height="100%"
    >
      <Caption>
        {showDate(entry.madeOn)}
        {off}
      </Caption>
      <Box fontWeight={600} lineHeight={1.25} title={entry.title} css={ONE_LINE}>
        {entry.title}
      </Box>
      {entry.note !== '' && <Caption css={ONE_LINE}>{entry.note}</Caption>}
    </RowLink>
  );
}
