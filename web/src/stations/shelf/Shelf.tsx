import { Box, Flex } from '@chakra-ui/react';
import { Suspense, lazy, useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { showMass } from '#core/units';
import type { ClayDto, ShelfAnswer } from '#contract';
import { Told } from '../../parts/begin/Told.js';
import { Empty, Reading } from '../../parts/Empty.js';
import { WithStrip } from '../../parts/WithStrip.js';
import { LookRound } from '../../parts/GardenBar.js';
import { useKeys } from '../../state/keys.js';
import { useUnits } from '../../state/view.js';
import { Second, Word } from '../../theme/pieces.js';
import { useShelf } from '../../wire/queries.js';
import { ClayStrip } from './ClayStrip.js';
import { LineRow } from './LineRow.js';

const forms = () => import('./AddToShelf.js');
const AddLine = lazy(async () => ({ default: (await forms()).AddLine }));
const AddColour = lazy(async () => ({ default: (await forms()).AddColour }));
const AddBlock = lazy(async () => ({ default: (await forms()).AddBlock }));

type Adding =
  | { readonly what: 'line' }
  | { readonly what: 'colour'; readonly lineId: string }
  | { readonly what: 'block'; readonly clayId: string };

interface AddingFormProps {
  readonly adding: Adding;
  readonly data: ShelfAnswer;
  readonly onAdding: (adding: Adding | null) => void;
}

/** The form for what is added; one leads on to the next. */
function AddingForm({ adding, data, onAdding }: AddingFormProps): ReactElement {
  const navigate = useNavigate();
  const leave = (): void => {
    onAdding(null);
  };
  return (
    <Suspense fallback={null}>
      {adding.what === 'line' && (
        <AddLine
          onCancel={leave}
          onSaved={(lineId) => {
            onAdding({ what: 'colour', lineId });
          }}
        />
      )}
      {adding.what === 'colour' && (
        <AddColour
          key={adding.lineId}
          lineId={adding.lineId}
          lines={data.lines}
          onCancel={leave}
          onSaved={(id) => {
            void navigate(`/shelf/${id}`);
            onAdding({ what: 'block', clayId: id });
          }}
        />
      )}
      {adding.what === 'block' && (
        <AddBlock
          key={adding.clayId}
          clayId={adding.clayId}
          name={data.clays.find((c) => c.id === adding.clayId)?.name ?? 'clay'}
          onCancel={leave}
          onSaved={() => {
            onAdding(null);
            void navigate(`/shelf/${adding.clayId}`);
          }}
        />
      )}
    </Suspense>
  );
}

interface ChosenProps {
  readonly data: ShelfAnswer;
  readonly chosen: ClayDto | undefined;
  readonly onAdd: (adding: Adding) => void;
}

/** The clay that is chosen, or what to choose. */
function Chosen({ data, chosen, onAdd }: ChosenProps): ReactElement {
  const navigate = useNavigate();
  if (!chosen)
    return (
      <Second>
        {data.clays.length > 0
          ? 'Choose a clay to see its blocks, take some, or add to it.'
          : 'Now give the line a colour.'}
      </Second>
    );
  return (
    <ClayStrip
      key={chosen.id}
      clay={chosen}
      shelf={data}
      onAddBlock={() => {
        onAdd({ what: 'block', clayId: chosen.id });
      }}
      onGone={() => {
        void navigate('/shelf');
      }}
    />
  );
}

/** The keys of the shelf. @param lineId where a new colour goes */
function useShelfKeys(chosen: ClayDto | undefined, lineId: string | undefined, add: (adding: Adding) => void): void {
  useKeys('Shelf', [
    {
      key: 'n',
      does: 'New line',
      run: () => {
        add({ what: 'line' });
      },
    },
    {
      key: 'a',
      does: 'New colour',
      run: () => {
        if (lineId !== undefined) add({ what: 'colour', lineId });
      },
    },
    {
      key: 'b',
      does: 'New block of the chosen clay',
      run: () => {
        if (chosen) add({ what: 'block', clayId: chosen.id });
      },
    },
  ]);
}

function NothingYet({ onAdd }: { readonly onAdd: (adding: Adding) => void }): ReactElement {
  return (
    <Empty
      title="Nothing on the shelf yet"
      action="Put a line of clay here"
      onAction={() => {
        onAdd({ what: 'line' });
      }}
    >
      <Told>
        Begin with the clay you use most: its line and what the packet says, then its colours, then the blocks you have.
      </Told>
      <Box marginTop={4}>
        Or all of it at once: <Link to="/shelf/list">bring in a list</Link>.
      </Box>
      <LookRound />
    </Empty>
  );
}

/** The shelf: blocks drawn to what is left of them, in rows by line. */
export default function Shelf(): ReactElement {
  const shelf = useShelf();
  const { clayId } = useParams();
  const navigate = useNavigate();
  const [adding, setAdding] = useState<Adding | null>(null);
  const chosen = shelf.data?.clays.find((c) => c.id === clayId);
  useShelfKeys(chosen, chosen?.lineId ?? shelf.data?.lines[0]?.id, setAdding);
  if (!shelf.data) return <Reading error={shelf.error} />;
  const { data } = shelf;
  const choose = (id: string): void => {
    setAdding(null);
    void navigate(`/shelf/${id}`);
  };
  const empty = data.lines.length === 0;
  return (
    <WithStrip
      label="Chosen clay"
      chosen={chosen !== undefined || adding !== null}
      alone={empty && adding === null}
      back={!adding && <Link to="/shelf">the whole shelf</Link>}
      strip={
        adding ? (
          <AddingForm adding={adding} data={data} onAdding={setAdding} />
        ) : (
          <Chosen data={data} chosen={chosen} onAdd={setAdding} />
        )
      }
    >
      {empty ? (
        <NothingYet onAdd={setAdding} />
      ) : (
        <Rows data={data} chosen={clayId} onChoose={choose} onAdd={setAdding} />
      )}
    </WithStrip>
  );
}

interface RowsProps {
  readonly data: ShelfAnswer;
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
  readonly onAdd: (adding: Adding) => void;
}

function Rows({ data, chosen, onChoose, onAdd }: RowsProps): ReactElement {
  const units = useUnits();
  const [retired, setRetired] = useState(false);
  const there = data.blocks.filter((b) => b.leftGrams > 0);
  const anyRetired = data.clays.some((c) => c.retired);
  return (
    <>
      <Flex alignItems="baseline" gap={4} marginBottom={2} wrap="wrap">
        <h1>On the shelf</h1>
        <Second>
          {showMass(
            there.reduce((sum, b) => sum + b.leftGrams, 0),
            units,
          )}{' '}
          in {there.length} {there.length === 1 ? 'block' : 'blocks'} · the dotted outline is the block as bought
        </Second>
        <Flex marginLeft="auto" gap={4} fontSize="small">
          <Link to="/shelf/list">bring in a list</Link>
          <Link to="/shelf/there">what lies there</Link>
          <Link to="/shelf/shopping">clay to buy</Link>
        </Flex>
      </Flex>
      {data.lines.map((line) => (
        <LineRow
          key={line.id}
          line={line}
          blocks={data.blocks}
          chosen={chosen}
          onChoose={onChoose}
          clays={data.clays.filter((c) => c.lineId === line.id && (retired || !c.retired))}
          onAddColour={() => {
            onAdd({ what: 'colour', lineId: line.id });
          }}
        />
      ))}
      <Flex gap={5} paddingTop={4}>
        <Word
          onClick={() => {
            onAdd({ what: 'line' });
          }}
        >
          Another line
        </Word>
        {anyRetired && (
          <Word
            onClick={() => {
              setRetired(!retired);
            }}
          >
            {retired ? 'Hide the retired' : 'Show the retired'}
          </Word>
        )}
      </Flex>
    </>
  );
}
