import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { ShelfLine } from '#core/formats';
import { showMass, type UnitSystem } from '#core/units';
import type { ShelfListAnswer } from '#contract';
import { FileWord } from '../../../parts/FileWord.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { UNKNOWN_HEX } from '../../../theme/grey.js';
import { Action, Caption, Field, Note, Second } from '../../../theme/pieces.js';
import { useRefusal } from '../../../wire/save.js';
import { comesWords } from './listWords.js';
import { useShelfList, type ShelfListOf } from './useShelfList.js';

/** Rows that are shown; more are counted. */
const MOST_SHOWN = 200;

function weightWords({ blocks, grams }: ShelfLine, units: UnitSystem): string {
  return blocks === 1 ? showMass(grams, units) : `${blocks} × ${showMass(grams, units)}`;
}

/** What was read, row by row. */
function Rows({ lines }: { readonly lines: readonly ShelfLine[] }): ReactElement {
  const units = useUnits();
  return (
    <Grid
      as="ul"
      templateColumns="repeat(auto-fill, minmax(270px, 1fr))"
      columnGap={5}
      rowGap={1}
      maxHeight="320px"
      overflowY="auto"
      aria-label="Clays of the list"
    >
      {lines.slice(0, MOST_SHOWN).map((l) => (
        <Flex as="li" key={l.row} gap={3} alignItems="center" fontSize="small">
          <Box width="30px" height="22px" flex="none" style={{ background: `#${l.hex ?? UNKNOWN_HEX}` }} />
          <Box minWidth={0}>
            <b>{l.name}</b> {weightWords(l, units)} <Caption>{l.line}</Caption>
          </Box>
        </Flex>
      ))}
      {lines.length > MOST_SHOWN && <Caption>… and {lines.length - MOST_SHOWN} more</Caption>}
    </Grid>
  );
}

/** What is wrong with it, row by row. */
function Faults({ faults }: Pick<ShelfListAnswer, 'faults'>): ReactElement {
  return (
    <Box>
      <b>Nothing is put on the shelf until this is right:</b>
      <Flex as="ul" direction="column" aria-label="What is wrong in the list" maxHeight="200px" overflowY="auto">
        {faults.map((f, i) => (
          <li key={i}>
            <Warning>
              {f.row === null ? '' : `Row ${f.row}: `}
              {f.sentence}
            </Warning>
          </li>
        ))}
      </Flex>
    </Box>
  );
}

/** What comes of a list that was looked at, and the way to let it come. */
function Preview({ list }: { readonly list: ShelfListOf }): ReactElement | null {
  const units = useUnits();
  const navigate = useNavigate();
  const refusal = useRefusal('/api/shelf/list');
  const { looked, busy, bringIn } = list;
  if (!looked) return null;
  const { lines, answer } = looked;
  const good = answer.faults.length === 0;
  return (
    <Flex as="section" aria-label="What comes" direction="column" gap={3} borderTop="rule" paddingTop={4}>
      {good ? comesWords(answer, units).map((words) => <Box key={words}>{words}</Box>) : <Faults {...answer} />}
      <Rows lines={lines} />
      {refusal && <Warning>{refusal.message}</Warning>}
      {good && (
        <Action
          main
          alignSelf="flex-start"
          disabled={busy}
          onClick={() => {
            void bringIn().then((there) => {
              if (there) void navigate('/shelf');
            });
          }}
        >
          Put all of it on the shelf
        </Action>
      )}
    </Flex>
  );
}

/** Everything that one has, in one go: a list that is pasted, or a table. */
export default function ShelfList(): ReactElement {
  const list = useShelfList();
  const { text, line, wrong, busy } = list;
  return (
    <Flex direction="column" gap={4} padding={5} height="100%" overflowY="auto" maxWidth="1000px">
      <Flex alignItems="baseline" gap={4}>
        <h1>Bring in a list</h1>
        <Link to="/shelf">to the shelf</Link>
      </Flex>
      <Second>
        One clay in each row: its name, and how much of it (<b>Chalk 57 g</b>, <b>Beetroot 2 × 57 g</b>); or a table
        with the headings line, name, kind, colour, grams, price, in any order.
      </Second>
      <Flex gap={3} alignItems="baseline" wrap="wrap">
        <span>Those that name no line are of</span>
        <Field
          aria-label="Line of clays that name none"
          placeholder="a clay line"
          width="240px"
          value={line}
          onChange={(e) => {
            list.setLine(e.currentTarget.value);
          }}
        />
        <FileWord
          label="List to bring in"
          accept=".csv,.txt,.tsv"
          onFile={(file) => {
            void file.text().then(list.setText);
          }}
        >
          open a file
        </FileWord>
      </Flex>
      <Note
        aria-label="The list"
        placeholder={'Chalk 57 g\nBeetroot 2 × 57 g'}
        rows={10}
        value={text}
        onChange={(e) => {
          list.setText(e.currentTarget.value);
        }}
      />
      <Action
        alignSelf="flex-start"
        disabled={busy || text.trim() === ''}
        onClick={() => {
          void list.look();
        }}
      >
        Look at it
      </Action>
      {wrong !== null && <Warning>{wrong}</Warning>}
      <Preview list={list} />
    </Flex>
  );
}
