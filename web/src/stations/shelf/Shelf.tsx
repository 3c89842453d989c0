import { Box, Flex, Grid } from '@chakra-ui/react';
import { Suspense, lazy, useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import { showMass } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { Empty, Reading } from '../../parts/Empty.js';
import { LookRound } from '../../parts/GardenBar.js';
import { useKeys } from '../../state/keys.js';
import { useUnits } from '../../state/view.js';
import { Second, Strip, Word } from '../../theme/pieces.js';
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

/** The shelf: blocks drawn to what is left of them, in rows by line. */
export default function Shelf(): ReactElement {
  const shelf = useShelf();
  const { clayId } = useParams();
  const navigate = useNavigate();
  const [adding, setAdding] = useState<Adding | null>(null);
  const firstLine = shelf.data?.lines[0]?.id;
  const chosen = shelf.data?.clays.find((c) => c.id === clayId);
  const lineForColour = chosen?.lineId ?? firstLine;
  useKeys('Shelf', [
    {
      key: 'n',
      does: 'New line',
      run: () => {
        setAdding({ what: 'line' });
      },
    },
    {
      key: 'a',
      does: 'New colour',
      run: () => {
        if (lineForColour) setAdding({ what: 'colour', lineId: lineForColour });
      },
    },
    {
      key: 'b',
      does: 'New block of the chosen clay',
      run: () => {
        if (chosen) setAdding({ what: 'block', clayId: chosen.id });
      },
    },
  ]);
  if (!shelf.data) return <Reading error={shelf.error} />;
  const { data } = shelf;
  const choose = (id: string): void => {
    setAdding(null);
    void navigate(`/shelf/${id}`);
  };
  const form = adding && (
    <Suspense fallback={null}>
      {adding.what === 'line' && (
        <AddLine
          onCancel={() => {
            setAdding(null);
          }}
          onSaved={(lineId) => {
            setAdding({ what: 'colour', lineId });
          }}
        />
      )}
      {adding.what === 'colour' && (
        <AddColour
          key={adding.lineId}
          lineId={adding.lineId}
          lines={data.lines}
          onCancel={() => {
            setAdding(null);
          }}
          onSaved={(id) => {
            void navigate(`/shelf/${id}`);
            setAdding({ what: 'block', clayId: id });
          }}
        />
      )}
      {adding.what === 'block' && (
        <AddBlock
          key={adding.clayId}
          clayId={adding.clayId}
          name={data.clays.find((c) => c.id === adding.clayId)?.name ?? 'clay'}
          onCancel={() => {
            setAdding(null);
          }}
          onSaved={() => {
            choose(adding.clayId);
          }}
        />
      )}
    </Suspense>
  );
  return (
    <Grid templateColumns={data.lines.length === 0 && !form ? '1fr' : '1fr 300px'} height="100%" minHeight={0}>
      <Box overflowY="auto" padding={5} minWidth={0}>
        {data.lines.length === 0 ? (
          <Empty
            title="Nothing on the shelf yet"
            action="Put a line of clay here"
            onAction={() => {
              setAdding({ what: 'line' });
            }}
          >
            Begin with the clay you use most: its line and what the packet says, then its colours, then the blocks you
            have.
            <LookRound />
          </Empty>
        ) : (
          <Rows data={data} chosen={clayId} onChoose={choose} onAdd={setAdding} />
        )}
      </Box>
      {(data.lines.length > 0 || form) && (
        <Strip aria-label="Chosen clay">
          {form ??
            (chosen ? (
              <ClayStrip
                key={chosen.id}
                clay={chosen}
                shelf={data}
                onAddBlock={() => {
                  setAdding({ what: 'block', clayId: chosen.id });
                }}
                onGone={() => {
                  void navigate('/shelf');
                }}
              />
            ) : (
              <Second>
                {data.clays.length > 0
                  ? 'Choose a clay to see its blocks, take some, or add to it.'
                  : 'Now give the line a colour.'}
              </Second>
            ))}
        </Strip>
      )}
    </Grid>
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
