import { swatch } from '../../parts/swatch.js';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useCallback, useDeferredValue, useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { showCutter } from '#core/batch';
import { showLength, showMass, showSize, showTemperature } from '#core/units';
import { MOST_FOUND, type DiaryAnswer, type DiaryListAnswer } from '#contract/diary';
import { AmountBar } from '../../parts/AmountBar.js';
import { Chip } from '../../parts/Chip.js';
import { Empty, Reading } from '../../parts/Empty.js';
import { LongList } from '../../parts/LongList.js';
import { showDate } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Caption, Field, Note, Second } from '../../theme/pieces.js';
import { RowLink } from '../../parts/RowLink.js';
import { useLongDiary } from '../../wire/long.js';
import { useEntry } from '../../wire/queries.js';
import { put } from '../../wire/save.js';

/** What was made when, and from which recipe. */
export default function Diary(): ReactElement {
  const { entryId } = useParams();
  const navigate = useNavigate();
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search);
  const [seen, setSeen] = useState<readonly [number, number]>([0, 0]);
  const onSeen = useCallback((from: number, to: number) => {
    setSeen([from, to]);
  }, []);
  const found = useLongDiary(asked, seen);
  // nothing chosen: what was made last
  const newest = found.at(0)?.id;
  const entry = useEntry(entryId ?? newest);
  const { total } = found;
  if (found.reading) return <Reading error={found.error} />;
  if (total === 0 && search === '') {
    return (
      <Empty
        title="Nothing written down yet"
        action="To the bench"
        onAction={() => {
          void navigate('/bench');
        }}
      >
        When a batch is done at the bench, it is written down here by itself: what, when, from which recipes and how
        much clay.
      </Empty>
    );
  }
  const nothing = entryId === undefined && newest === undefined;
  return (
    <Grid templateColumns="300px 1fr" height="100%" minHeight={0}>
      <Grid templateRows="auto 1fr" background="paper" borderRight="rule" minHeight={0}>
        <Box padding={4} borderBottom="hair">
          <Field
            data-find
            aria-label="Find in the diary"
            placeholder="a piece, a mix, a clay, a word"
            value={search}
            onChange={(e) => {
              setSearch(e.currentTarget.value);
            }}
            onKeyDown={(e) => {
              if (e.key === 'Escape') setSearch('');
            }}
          />
          <Flex justifyContent="space-between" alignItems="baseline" marginTop={3}>
            <h2>Diary</h2>
            <Caption>
              {search !== '' && total === MOST_FOUND
                ? `the newest ${total}`
                : `${total} ${total === 1 ? 'entry' : 'entries'}`}
            </Caption>
          </Flex>
        </Box>
        <LongList
          label="Entries"
          total={total}
          lanes={1}
          height={ENTRY_ROW}
          onSeen={onSeen}
          of={asked}
          keyOf={(place) => found.at(place)?.id}
          row={(place) => {
            const e = found.at(place);
            return e ? <EntryRow entry={e} chosen={e.id === (entryId ?? newest)} /> : null;
          }}
        >
          {total === 0 && (
            <Box padding={4}>
              <Caption>Nothing in the diary is like that.</Caption>
            </Box>
          )}
        </LongList>
      </Grid>
      {nothing && <Empty title="Nothing like that">Nothing in the diary is like what you are looking for.</Empty>}
      {!nothing && entry.data && <Entry key={entry.data.id} entry={entry.data} />}
      {!nothing && !entry.data && <Reading error={entry.error} />}
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

function EntryRow({
  entry,
  chosen,
}: {
  readonly entry: DiaryListAnswer['entries'][number];
  readonly chosen: boolean;
}): ReactElement {
  return (
    <RowLink to={`/diary/${entry.id}`} aria-current={chosen ? 'page' : undefined} height="100%">
      <Caption>{showDate(entry.madeOn)}</Caption>
      <Box fontWeight={600} lineHeight={1.25} title={entry.title} css={ONE_LINE}>
        {entry.title}
      </Box>
      {entry.note !== '' && <Caption css={ONE_LINE}>{entry.note}</Caption>}
    </RowLink>
  );
}

function Entry({ entry }: { readonly entry: DiaryAnswer }): ReactElement {
  const units = useUnits();
  const [text, setText] = useState<string | null>(null);
  const path = `/api/diary/${entry.id}`;
  const longest = Math.max(0, ...entry.clays.map((c) => c.grams));
  const keep = (): void => {
    if (text !== null && text !== entry.note)
      void put(path, { id: entry.id, version: entry.version, note: text }, { ...entry, note: text });
    setText(null);
  };
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <div>
        <Second>{showDate(entry.madeOn)}</Second>
        <h1>{entry.title}</h1>
        <Box marginTop={2}>
          {entry.pieces.map((p) => `${p.count} ${p.name} (${showCutter(p.cutter, units)})`).join(', ')}
          {entry.batchId !== null && (
            <>
              {' '}
              · <Link to={`/batches/${entry.batchId}`}>the plan</Link>
            </>
          )}
        </Box>
      </div>
      {entry.mixes.length > 0 && (
        <Box as="h2" borderTop="rule" paddingTop={4}>
          Made from
        </Box>
      )}
      <Flex gap={5} wrap="wrap">
        {entry.mixes.map((m) => (
          <Link key={m.revisionId} to={`/mixes/${m.mixId}`} style={{ textDecoration: 'none' }}>
            <Chip hex={m.hex} width={150} height={116} />
            <Box fontWeight={600} marginTop={1} maxWidth="150px">
              {m.name}
            </Box>
            <Box maxWidth="150px" lineHeight={1.3}>
              <Caption>{m.notation}</Caption>
            </Box>
            <Caption>
              revision {m.number} · {showMass(m.grams, units)}
            </Caption>
          </Link>
        ))}
      </Flex>
      {entry.blends.map((b) => (
        <Link key={b.blendId} to={`/blends/${b.blendId}`} style={{ textDecoration: 'none' }}>
          <Box height="60px" width="420px" maxWidth="100%" style={{ background: swatch(b.hexes) }} aria-hidden />
          <Box fontWeight={600} marginTop={1}>
            {b.name}
          </Box>
          <Caption>
            revision {b.number} · free of streaks after {b.passes} passes
          </Caption>
        </Link>
      ))}
      {entry.canes.map((c) => (
        <Flex key={c.caneId} gap={4} alignItems="flex-end">
          {c.pictureId !== null && (
            <img
              src={`/api/pictures/${c.pictureId}`}
              alt="The face as it came out"
              style={{ width: 150, height: 150, objectFit: 'cover' }}
            />
          )}
          <Box>
            <Link to={`/canes/${c.caneId}`}>
              <b>{c.name}</b>
            </Link>{' '}
            <Caption>revision {c.number}</Caption>
            <br />
            {showLength(c.diameterMm, units)} across, {showLength(c.lengthMm, units)} long; its ends took{' '}
            {showLength(c.lostMm, units)} · {c.slices} {c.slices === 1 ? 'slice' : 'slices'}
          </Box>
        </Flex>
      ))}
      {entry.sheets.map((s) => (
        <Link key={s.sheetId} to={`/sheets/book/${s.sheetId}`} style={{ textDecoration: 'none' }}>
          <Box
            height="52px"
            style={{
              width: Math.min(420, s.form === 'sheet' ? s.lengthMm * 1.6 : 52),
              borderRadius: s.form === 'plug' ? '50%' : 0,
              background: swatch(s.hexes),
            }}
            aria-hidden
          />
          <Box fontWeight={600} marginTop={1}>
            {s.name}
          </Box>
          <Caption>
            {s.form === 'sheet'
              ? `${showSize(s.widthMm, s.lengthMm, units)}, ${showLength(s.mm, units, true)} ` +
                `thick${s.rolledAt === '' ? '' : `, at ${s.rolledAt}`}`
              : 'wound up to a plug'}{' '}
            · in the sheet book
          </Caption>
        </Link>
      ))}
      {entry.conditioned.map((c) => (
        <Box key={c.clayId}>
          {c.name} folded without a crack after <b>{c.passes}</b> passes ({c.school}), in a room of{' '}
          {showTemperature(c.roomC, units)}.
        </Box>
      ))}
      {entry.clays.length > 0 && (
        <Box borderTop="rule" paddingTop={4} maxWidth="560px">
          <Box as="h2" marginBottom={3}>
            Clay used
          </Box>
          <Flex as="ul" direction="column" gap={2}>
            {entry.clays.map((c) => (
              <li key={c.clayId}>
                <Flex justifyContent="space-between" fontSize="small">
                  <b>{c.name}</b>
                  {showMass(c.grams, units)}
                </Flex>
                <AmountBar grams={c.grams} short={0} longest={longest} hex={c.hex} />
              </li>
            ))}
          </Flex>
        </Box>
      )}
      <Box maxWidth="560px">
        <Box as="h2" marginBottom={2}>
          Note
        </Box>
        <Note
          aria-label="Note"
          placeholder="What to do next time?"
          value={text ?? entry.note}
          onChange={(e) => {
            setText(e.currentTarget.value);
          }}
          onBlur={keep}
        />
      </Box>
    </Flex>
  );
}
