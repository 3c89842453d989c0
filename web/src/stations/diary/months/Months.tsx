import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useSearchParams } from 'react-router';
import { showMass, showMinutes, type UnitSystem } from '#core/units';
import type { MonthOfKind } from '#contract/diary';
import { MADE_KINDS, type MadeKind } from '#contract/limits';
import { Choice } from '../../../parts/Choice.js';
import { Empty, Reading } from '../../../parts/Empty.js';
import { useUnits } from '../../../state/view.js';
import { NARROW } from '../../../theme/narrow.js';
import { Caption, Second } from '../../../theme/pieces.js';
import { useMonths } from '../../../wire/queries.js';
import { MonthBars } from './MonthBars.js';
import { kindsOf, monthsOf, type Month } from './months.js';

const KIND_WORDS: Readonly<Record<MadeKind, string>> = {
  pieces: 'batches of pieces',
  canes: 'canes',
  patterns: 'patterned sheets',
  blends: 'blends',
  bakes: 'loads of the oven',
  sheets: 'sheets and other things that lie there',
  other: 'conditioning and the rest',
};

/** The months that are drawn: the last two years. */
const DRAWN = 24;

const monthWords = (month: string): string =>
  new Date(`${month}-15T12:00:00Z`).toLocaleDateString('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' });

interface ChartsProps {
  readonly months: readonly Month[];
  readonly units: UnitSystem;
}

/** Four figures of every month as bars. */
function Charts({ months, units }: ChartsProps): ReactElement {
  const drawn = months.slice(-DRAWN);
  const hours = (minutes: number): string => (minutes === 0 ? '0' : showMinutes(Math.round(minutes)));
  return (
    <Grid templateColumns="1fr 1fr" gap={6} css={{ [NARROW]: { gridTemplateColumns: 'minmax(0, 1fr)' } }}>
      <MonthBars title="Time at the bench" months={drawn} of={(m) => m.minutes} show={hours} />
      <MonthBars title="Clay off the shelf" months={drawn} of={(m) => m.grams} show={(g) => showMass(g, units)} />
      <MonthBars title="Pieces made" months={drawn} of={(m) => m.pieces} show={String} />
      <MonthBars title="Pieces broken" months={drawn} of={(m) => m.broken} show={String} />
    </Grid>
  );
}

const brokenWords = ({ broken, pieces }: Month): string =>
  broken === 0 ? '' : `${broken} (${Math.round((100 * broken) / Math.max(1, pieces))} %)`;

/** The same in figures, the newest month first. */
function Figures({ months, units }: ChartsProps): ReactElement {
  const heads = ['Month', 'Entries', 'Time', 'Clay', 'Pieces', 'Broken'];
  return (
    <Box as="table" aria-label="Month by month" fontSize="small" css={{ borderCollapse: 'collapse' }}>
      <thead>
        <tr>
          {heads.map((head, i) => (
            <Box as="th" key={head} textAlign={i === 0 ? 'left' : 'right'} paddingRight={5} paddingBottom={1}>
              {head}
            </Box>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...months].reverse().map((month) => (
          <OneMonth key={month.month} month={month} units={units} />
        ))}
      </tbody>
    </Box>
  );
}

function OneMonth({ month, units }: { readonly month: Month; readonly units: UnitSystem }): ReactElement {
  const { entries, minutes, grams, pieces } = month;
  const told = [
    String(entries),
    minutes === 0 ? '' : showMinutes(Math.round(minutes)),
    grams === 0 ? '' : showMass(grams, units),
    pieces === 0 ? '' : String(pieces),
    brokenWords(month),
  ];
  return (
    <Box as="tr" borderTop="hair">
      <Box as="td" paddingRight={5} paddingY={1}>
        {monthWords(month.month)}
      </Box>
      {told.map((text, i) => (
        <Box as="td" key={i} textAlign="right" paddingRight={5}>
          {text}
        </Box>
      ))}
    </Box>
  );
}

/** What is looked at, as the address says it. */
function useKind(all: readonly MonthOfKind[]) {
  const [query, setQuery] = useSearchParams();
  const there = kindsOf(all, MADE_KINDS);
  const kind = there.find((one) => one === query.get('kind')) ?? null;
  return {
    kind,
    options: [
      { value: '', text: 'everything' },
      ...there.map((value) => ({ value: value as string, text: KIND_WORDS[value] })),
    ],
    choose: (next: string): void => {
      setQuery(next === '' ? {} : { kind: next }, { replace: true });
    },
  };
}

/** Hours, clay, pieces and what broke, month by month. */
export default function Months(): ReactElement {
  const { data, error } = useMonths();
  const units = useUnits();
  const all = data?.months ?? [];
  const { kind, options, choose } = useKind(all);
  if (!data) return <Reading error={error} />;
  if (all.length === 0)
    return <Empty title="No month yet">When something is written down, its month is counted here.</Empty>;
  const months = monthsOf(all, kind);
  return (
    <Flex direction="column" gap={5} padding={6} height="100%" overflowY="auto">
      <Link to="/diary">the diary</Link>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Month by month</h1>
        <Choice label="What is counted" value={kind ?? ''} options={options} onChange={choose} />
        <Second>time as cards of the bench were worked through; broken as it was counted</Second>
      </Flex>
      <Charts months={months} units={units} />
      {months.length > DRAWN && <Caption>The last two years are drawn; all months are below.</Caption>}
      <Figures months={months} units={units} />
    </Flex>
  );
}
