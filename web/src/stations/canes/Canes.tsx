import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import { STARTING_POINTS, type StartColours } from '#core/cane';
import type { BlendCard, CaneCard, MachinesAnswer, RevisionAnswer, ShelfAnswer } from '#contract';
import { Afterwards } from '../../parts/Afterwards.js';
import { CardWall } from '../../parts/CardWall.js';
import { FileWord } from '../../parts/FileWord.js';
import { Told } from '../../parts/begin/Told.js';
import { Empty, Reading } from '../../parts/Empty.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { Caption, Second, Word } from '../../theme/pieces.js';
import { useBlendOf, useBlends, useCaneOf, useCanes, useGlass, useMachines, useShelf } from '../../wire/queries.js';
import { logOf, stripesOf, templateOf } from './beginnings.js';
import { CaneView } from './CaneView.js';
import { CARD_WIDTH, CaneCardFace, StartFace } from './faces/CaneFaces.js';
import { FromTile } from './FromTile.js';
import { useBeginCane, type BeginCane } from './useBeginCane.js';

const NONE: readonly RevisionAnswer[] = [];

/** All that the station shows. */
interface Known {
  readonly canes: readonly CaneCard[];
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
  readonly blends: readonly BlendCard[];
}

/** Canes that are planned, and what to begin a new one from. */
export default function Canes(): ReactElement {
  const { caneId, detail } = useParams();
  const [canes, shelf, machines, blends] = [useCanes(), useShelf(), useMachines(), useBlends()];
  if (!canes.data || !shelf.data || !machines.data || !blends.data)
    return <Reading error={canes.error ?? shelf.error ?? machines.error ?? blends.error} />;
  const known = { canes: canes.data, shelf: shelf.data, machines: machines.data, blends: blends.data };
  return caneId === undefined ? <AllCanes {...known} /> : <OneCane {...known} id={caneId} making={detail === 'make'} />;
}

function OneCane({ id, making, ...known }: Known & { readonly id: string; readonly making: boolean }): ReactElement {
  const cane = useCaneOf(id);
  if (!cane.data) return <Reading error={cane.error} />;
  const blends = known.blends.filter((b) => !b.retired);
  return <CaneView key={cane.data.id} {...known} cane={cane.data} making={making} blends={blends} />;
}

function AllCanes({ canes, shelf, blends }: Known): ReactElement {
  const navigate = useNavigate();
  const beginning = useBeginCane(shelf, blends, canes);
  const { colours, begin, wrong } = beginning;
  useKeys('Canes', [
    {
      key: 'n',
      does: 'Begin with a log',
      run: () => {
        begin('Log', logOf);
      },
    },
  ]);
  if (!colours)
    return (
      <Empty
        title="No clay for a cane yet"
        action="Go to the shelf"
        onAction={() => {
          void navigate('/shelf');
        }}
      >
        A cane is a rod with a picture running through it. Put at least one clay on the shelf, then see its face here
        before you cut.
      </Empty>
    );
  const current = canes.filter((c) => !c.retired);
  return (
    <Box padding={5} height="100%" overflowY="auto" tabIndex={0} role="region" aria-label="Canes">
      <Current cards={current} shelf={shelf} />
      <Retired cards={canes.filter((c) => c.retired)} shelf={shelf} />
      <Box as="h2" borderTop={current.length > 0 ? 'rule' : undefined} paddingTop={current.length > 0 ? 4 : 0}>
        Begin a new one
      </Box>
      <Second>
        <Told>canes, each in your own colours; all of it can be changed</Told>
      </Second>
      <FromTile
        blends={blends}
        onBegin={(name, step) => {
          begin(name, () => [step]);
        }}
      />
      <Afterwards>
        <Starts colours={colours} shelf={shelf} blends={blends} onBegin={begin} />
      </Afterwards>
      <OtherWays beginning={beginning} />
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}

interface CardsProps {
  readonly cards: readonly CaneCard[];
  readonly shelf: ShelfAnswer;
}

function Current({ cards, shelf }: CardsProps): ReactElement | null {
  if (cards.length === 0) return null;
  return (
    <>
      <h1>Canes</h1>
      <Faces label="Your canes" cards={cards} shelf={shelf} />
    </>
  );
}

/** Those that are no longer made, out of the way. */
function Retired({ cards, shelf }: CardsProps): ReactElement | null {
  const [shown, setShown] = useState(false);
  if (cards.length === 0) return null;
  return (
    <Box marginBottom={5}>
      <Word
        fontSize="small"
        onClick={() => {
          setShown(!shown);
        }}
      >
        {shown ? 'Hide the retired ones' : `${cards.length} retired`}
      </Word>
      {shown && <Faces label="Retired canes" cards={cards} shelf={shelf} />}
    </Box>
  );
}

/** px of a row: face, name in up to two lines, number of steps */
const ROW = 214;

function Faces({ label, cards, shelf }: CardsProps & { readonly label: string }): ReactElement {
  return (
    <CardWall
      label={label}
      cards={cards}
      width={CARD_WIDTH}
      height={ROW}
      draw={(card, pictured) => <CaneCardFace card={card} shelf={shelf} pictured={pictured} />}
    />
  );
}

interface StartsProps {
  readonly colours: StartColours;
  readonly shelf: ShelfAnswer;
  readonly blends: readonly BlendCard[];
  readonly onBegin: BeginCane['begin'];
}

/** Canes to begin from, each in one's own colours. */
function Starts({ colours, shelf, blends, onBegin }: StartsProps): ReactElement {
  const fade = useBlendOf(blends.find((b) => !b.retired)?.id);
  const tints = useGlass().data?.referenced ?? NONE;
  const referenced = useMemo(() => [...(fade.data?.referenced ?? NONE), ...tints], [fade.data, tints]);
  const possible = STARTING_POINTS.filter(({ ofGlass }) => !ofGlass || colours.glass.length > 0);
  return (
    <Flex as="ul" wrap="wrap" gap={5} marginTop={4} aria-label="Starting points">
      {possible.map((start) => (
        <li key={start.id}>
          <StartFace
            start={start}
            colours={colours}
            shelf={shelf}
            blends={blends}
            referenced={referenced}
            onBegin={() => {
              onBegin(start.name, start.steps, start.ofGlass ? 'glass' : undefined);
            }}
          />
        </li>
      ))}
      {possible.length < STARTING_POINTS.length && (
        <Box as="li" maxWidth="150px">
          <Caption>A lace begins with translucent clay: put one on the shelf.</Caption>
        </Box>
      )}
    </Flex>
  );
}

const PLAIN = [
  { name: 'Log', words: 'or with a log of one colour', steps: logOf },
  { name: 'Loaf', words: 'a loaf of stripes', steps: stripesOf },
  { name: 'Template', words: 'a template after a drawing', steps: templateOf },
] as const;

/** The simplest beginnings, and a file. */
function OtherWays({ beginning: { begin, take } }: { readonly beginning: BeginCane }): ReactElement {
  return (
    <Flex gap={5} marginTop={5} fontSize="small" wrap="wrap" alignItems="baseline">
      {PLAIN.map(({ name, words, steps }) => (
        <Word
          key={name}
          onClick={() => {
            begin(name, steps);
          }}
        >
          {words}
        </Word>
      ))}
      <FileWord label="A cane from a file" accept=".json,application/json" onFile={take}>
        a cane from a file
      </FileWord>
    </Flex>
  );
}
