import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { showMass } from '#core/units';
import type { StockAnswer, ThereAnswer } from '#contract';
import { Empty, Reading } from '../../../parts/Empty.js';
import { useKeys } from '../../../state/keys.js';
import { useUnits } from '../../../state/view.js';
import { NARROW, STACKED } from '../../../theme/narrow.js';
import { Caption, Field, Second, Word } from '../../../theme/pieces.js';
import { useStock } from '../../../wire/queries.js';
import { Balance } from './Balance.js';
import { WithStrip } from '../../../parts/WithStrip.js';
import { HaveThis } from './HaveThis.js';
import { OneThing } from './OneThing.js';
import { Thing } from './Thing.js';
import { OneTub, Tubs } from './Tubs.js';
import { rowsOf, thingsFound } from './thereWords.js';

/** Things of a row that are drawn unasked, and so many that a search is worth its place. */
const [AT_FIRST, WORTH_SEARCHING] = [24, 12];

interface AllProps {
  readonly stock: StockAnswer;
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
  readonly onHave: () => void;
}

interface RowProps extends Pick<AllProps, 'chosen' | 'onChoose'> {
  readonly things: readonly ThereAnswer[];
}

/** Things beside each other; of very many the newest, until all are asked for. */
function RowOfThings({ things, chosen, onChoose }: RowProps): ReactElement {
  const [all, setAll] = useState(false);
  const shown = all ? things : things.slice(0, AT_FIRST);
  return (
    <Flex wrap="wrap" gap={6} alignItems="flex-end">
      {shown.map((thing) => (
        <Thing
          key={thing.id}
          thing={thing}
          chosen={thing.id === chosen}
          onChoose={() => {
            onChoose(thing.id);
          }}
        />
      ))}
      {shown.length < things.length && (
        <Word
          fontSize="small"
          onClick={() => {
            setAll(true);
          }}
        >
          and {things.length - shown.length} more
        </Word>
      )}
    </Flex>
  );
}

/** All that lies there in rows by kind, the tubs, and where the clay is. */
function All({ stock, chosen, onChoose, onHave }: AllProps): ReactElement {
  const units = useUnits();
  const [search, setSearch] = useState('');
  const grams = stock.things.reduce((sum, t) => sum + t.left, 0);
  const found = thingsFound(stock.things, search);
  return (
    <>
      <Flex alignItems="baseline" gap={4} marginBottom={3} wrap="wrap">
        <h1>What lies there</h1>
        <Second>
          {showMass(grams, units)} in {stock.things.length} {stock.things.length === 1 ? 'thing' : 'things'}, all drawn
          at one scale
        </Second>
        <Word fontSize="small" onClick={onHave}>
          I have this …
        </Word>
        {stock.things.length > WORTH_SEARCHING && (
          <Field
            data-find
            aria-label="Find among what lies there"
            placeholder="find: a name, a clay, a place"
            width="220px"
            value={search}
            onChange={(e) => {
              setSearch(e.currentTarget.value);
            }}
          />
        )}
        <Box marginLeft="auto" fontSize="small">
          <Link to="/shelf">the shelf</Link>
        </Box>
      </Flex>
      {rowsOf(found).map((row) => (
        <Grid
          key={row.title}
          as="section"
          aria-label={row.title}
          templateColumns="96px 1fr"
          gap={4}
          paddingY={3}
          css={{ [NARROW]: STACKED }}
        >
          <h2>{row.title}</h2>
          <RowOfThings things={row.things} chosen={chosen} onChoose={onChoose} />
        </Grid>
      ))}
      <Grid as="section" aria-label="Tubs" templateColumns="96px 1fr" gap={4} paddingY={3} css={{ [NARROW]: STACKED }}>
        <h2>Tubs</h2>
        {stock.tubs.length === 0 ? (
          <Caption>What is left over at the end of a plan falls into tubs, sorted: none yet.</Caption>
        ) : (
          <Tubs tubs={stock.tubs} chosen={chosen} onChoose={onChoose} />
        )}
      </Grid>
      <Balance balance={stock.balance} />
    </>
  );
}

interface ChosenProps {
  readonly stock: StockAnswer;
  readonly chosen: string | undefined;
}

function Chosen({ stock, chosen }: ChosenProps): ReactElement {
  const thing = stock.things.find((t) => t.id === chosen);
  const tub = stock.tubs.find((t) => t.id === chosen);
  if (thing) return <OneThing key={thing.id} thing={thing} tubs={stock.tubs} />;
  if (tub) return <OneTub key={tub.id} tub={tub} />;
  return <Second>Choose a thing or a tub to see what it is of, and what can become of it.</Second>;
}

/** Everything that was made and lies there, and the tubs of scrap. */
export default function There(): ReactElement {
  const stock = useStock();
  const navigate = useNavigate();
  const { thingId } = useParams();
  const [having, setHaving] = useState(false);
  const have = (): void => {
    setHaving(true);
  };
  useKeys('What lies there', [{ key: 'n', does: 'I have this', run: have }]);
  if (!stock.data) return <Reading error={stock.error} />;
  const { data } = stock;
  const choose = (id: string): void => {
    setHaving(false);
    void navigate(`/shelf/there/${id}`);
  };
  const nothing = data.things.length === 0 && data.tubs.length === 0;
  return (
    <WithStrip
      label="Chosen thing"
      region="What lies there"
      chosen={thingId !== undefined || having}
      back={!having && <Link to="/shelf/there">all that lies there</Link>}
      strip={
        having ? (
          <HaveThis
            onSaved={choose}
            onCancel={() => {
              setHaving(false);
            }}
          />
        ) : (
          <Chosen stock={data} chosen={thingId} />
        )
      }
    >
      {nothing ? (
        <Empty title="Nothing lies there yet" action="I have this" onAction={have}>
          What you make at the bench lands here: sheets, plugs, canes, slices and lumps, with what is left of them, and
          scrap in its tubs. From here it goes into the next thing.
        </Empty>
      ) : (
        <All stock={data} chosen={thingId} onChoose={choose} onHave={have} />
      )}
    </WithStrip>
  );
}
