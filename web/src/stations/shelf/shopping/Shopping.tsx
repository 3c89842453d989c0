import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { writeTable } from '#core/formats';
import { showMass } from '#core/units';
import type { BlendCard, CaneCard, ShoppingAnswer, ShoppingRow } from '#contract';
import { AmountBar } from '../../../parts/AmountBar.js';
import { Empty, Reading } from '../../../parts/Empty.js';
import { PaperChoice } from '../../../parts/PaperChoice.js';
import { saveFile } from '../../../parts/saveFile.js';
import { Tick } from '../../../parts/Tick.js';
import { useKeys } from '../../../state/keys.js';
import { useUnits, useView } from '../../../state/view.js';
import { Caption, Key, Second, Word } from '../../../theme/pieces.js';
import { useBlends, useCanes, useShopping } from '../../../wire/queries.js';
import { saveShopping } from './shoppingPdf.js';
import {
  COLUMNS,
  blocksWords,
  findingPlans,
  money,
  plansTogether,
  plansWords,
  shortByLine,
  shortFindings,
  standInWords,
  tableOf,
} from './shoppingWords.js';

/** What could stand in for a clay that is short. */
function StandIns({ row }: { readonly row: ShoppingRow }): ReactElement | null {
  const units = useUnits();
  const navigate = useNavigate();
  return (
    <Box fontSize="small" marginTop={1}>
      {row.standIns.map((s) => (
        <Flex key={s.id} gap={2} alignItems="center">
          <Box width="14px" height="14px" flex="none" style={{ background: `#${s.hex}` }} />
          <Word
            fontSize="small"
            onClick={() => {
              void navigate(s.kind === 'tub' ? `/shelf/there/${s.id}` : `/mixes/${s.id}`);
            }}
          >
            {standInWords(s, units)}
          </Word>
        </Flex>
      ))}
      {row.standIns.length === 0 && <Caption>nothing on the shelf comes near it</Caption>}
    </Box>
  );
}

/** One clay that is short: how much, for what, and what could stand in. */
function ShortRow({ row, longest }: { readonly row: ShoppingRow; readonly longest: number }): ReactElement {
  const units = useUnits();
  return (
    <Flex as="li" gap={5} paddingY={3} borderBottom="hair" wrap="wrap">
      <Box width="240px">
        <Flex justifyContent="space-between" alignItems="baseline">
          <b>{row.name}</b>
          <b>{blocksWords(row, units)}</b>
        </Flex>
        <AmountBar grams={row.grams} short={row.short} longest={longest} hex={row.hex} />
        <Caption>
          {showMass(row.left, units)} on the shelf, {showMass(row.short, units)} short
        </Caption>
      </Box>
      <Box flex={1} minWidth="260px">
        <Second>{plansWords(row, units)}</Second>
        <StandIns row={row} />
      </Box>
    </Flex>
  );
}

/** The list as a file, and on paper. */
function useTakenAlong(answer: ShoppingAnswer | undefined) {
  const units = useUnits();
  const paper = useView((s) => s.paper);
  const print = (): void => {
    if (answer) void saveShopping(answer, units, paper);
  };
  const file = (): void => {
    if (answer) saveFile('Clay to buy', 'csv', 'text/csv', writeTable(COLUMNS, tableOf(answer)));
  };
  useKeys('Clay to buy', [{ key: 'p', does: 'On paper', run: print }]);
  return { print, file };
}

/** Pins, wires and cords that run short. */
function FindingsShort({ findings }: { readonly findings: ShoppingAnswer['findings'] }): ReactElement | null {
  if (findings.length === 0) return null;
  return (
    <Box as="section" aria-label="Findings" marginTop={4}>
      <h2>Findings</h2>
      <ul>
        {findings.map((f) => (
          <Flex as="li" key={f.id} gap={5} borderTop="hair" paddingY={2} wrap="wrap">
            <Box width="360px" maxWidth="100%">
              <Flex justifyContent="space-between">
                <span>{f.name}</span>
                <b>{f.short}</b>
              </Flex>
              <Caption>
                {f.there} there, {f.short} short
              </Caption>
            </Box>
            <Box flex={1} minWidth="260px">
              <Second>{findingPlans(f)}</Second>
            </Box>
          </Flex>
        ))}
      </ul>
    </Box>
  );
}

function ToBuy({ answer }: { readonly answer: ShoppingAnswer }): ReactElement {
  const units = useUnits();
  const lines = shortByLine(answer);
  const enough = answer.rows.filter((r) => r.short <= 0);
  const longest = Math.max(0, ...answer.rows.map((r) => r.grams));
  return (
    <>
      {lines.length === 0 && <Box fontSize="h2">All the clay that your open batches need is on the shelf.</Box>}
      {lines.map(({ line, rows }) => (
        <Box key={line} as="section" aria-label={line} marginTop={4}>
          <h2>{line}</h2>
          <ul>
            {rows.map((row) => (
              <ShortRow key={row.clayId} row={row} longest={longest} />
            ))}
          </ul>
        </Box>
      ))}
      <FindingsShort findings={shortFindings(answer)} />
      {answer.cost !== null && lines.length + shortFindings(answer).length > 0 && (
        <Box marginTop={3} fontSize="h2">
          In all <b>{money(answer.cost, answer.currency)}</b>
        </Box>
      )}
      {enough.length > 0 && (
        <Box marginTop={5}>
          <Caption>
            enough on the shelf: {enough.map((r) => `${r.name} ${showMass(r.grams, units)}`).join(', ')}
          </Caption>
        </Box>
      )}
    </>
  );
}

type Beside = Pick<CaneCard | BlendCard, 'id' | 'name' | 'retired'>;

interface ForOthersProps {
  readonly plans: readonly Beside[];
  readonly meant: readonly string[];
  readonly onMeant: (plans: readonly string[]) => void;
}

/** Canes and blends have no day: which of them clay is bought for is ticked. */
function ForOthers({ plans, meant, onMeant }: ForOthersProps): ReactElement | null {
  const [open, setOpen] = useState(false);
  const planned = plans.filter((p) => !p.retired);
  if (planned.length === 0) return null;
  return (
    <Box fontSize="small" marginTop={2}>
      <Word
        fontSize="small"
        aria-expanded={open}
        onClick={() => {
          setOpen(!open);
        }}
      >
        {meant.length > 0 ? 'other canes and blends' : 'for canes and blends too'}
      </Word>
      {open && (
        <Flex
          wrap="wrap"
          columnGap={5}
          rowGap={1}
          marginTop={2}
          role="group"
          aria-label="Canes and blends to buy clay for"
        >
          {planned.map(({ id, name }) => (
            <Tick
              key={id}
              checked={meant.includes(id)}
              onChange={(checked) => {
                onMeant(checked ? [...meant, id] : meant.filter((m) => m !== id));
              }}
            >
              {name}
            </Tick>
          ))}
        </Flex>
      )}
    </Box>
  );
}

/** What all open batches need together, and the shelf has not. */
export default function Shopping(): ReactElement {
  const [canes, blends] = [useCanes().data ?? [], useBlends().data ?? []];
  const { buyFor, setBuyFor } = useView();
  const among = (plans: readonly Beside[]): string[] => buyFor.filter((id) => plans.some((p) => p.id === id));
  const meant = [...among(canes), ...among(blends)];
  const shopping = useShopping(among(canes), among(blends));
  const navigate = useNavigate();
  const { print, file } = useTakenAlong(shopping.data);
  if (!shopping.data) return <Reading error={shopping.error} />;
  const answer = shopping.data;
  return (
    <Box padding={5} overflowY="auto" height="100%" tabIndex={0} role="region" aria-label="Clay to buy">
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Clay to buy</h1>
        <Second>for {plansTogether(answer.plans.length - meant.length, meant.length)}</Second>
        <Flex marginLeft="auto" gap={4} fontSize="small" alignItems="baseline">
          <Word onClick={print}>
            on paper <Key>P</Key>
          </Word>
          <PaperChoice label="Paper of the list" />
          <Word onClick={file}>as .csv</Word>
          <Link to="/shelf">the shelf</Link>
        </Flex>
      </Flex>
      <ForOthers plans={[...canes, ...blends]} meant={meant} onMeant={setBuyFor} />
      {answer.plans.length === 0 ? (
        <Empty
          title="No open batch"
          action="Plan a batch"
          onAction={() => {
            void navigate('/batches');
          }}
        >
          Once there is a batch that is not done, what its clay leaves short stands here, over all batches together.
        </Empty>
      ) : (
        <ToBuy answer={answer} />
      )}
    </Box>
  );
}
