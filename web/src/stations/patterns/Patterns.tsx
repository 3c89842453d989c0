import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { StartColours } from '#core/cane';
import { PATTERN_POINTS, type PatternPoint } from '#core/pattern';
import type { BlendCard, MachinesAnswer, PatternCard, ShelfAnswer } from '#contract';
import { Empty, Reading } from '../../parts/Empty.js';
import { Afterwards } from '../../parts/Afterwards.js';
import { CardWall } from '../../parts/CardWall.js';
import { FileWord } from '../../parts/FileWord.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { Second, Word } from '../../theme/pieces.js';
import {
  useBlends,
  useMachines,
  useMosaicOf,
  useOvens,
  usePatternOf,
  usePatterns,
  useShelf,
} from '../../wire/queries.js';
import { CARD_WIDTH, PatternCardFace, StartSheet } from './faces/PatternCards.js';
import { BeginSlices } from './BeginSlices.js';
import { PatternView, type PatternDoing } from './PatternView.js';
import { FoldView } from './folded/FoldView.js';
import { FormView } from './formed/FormView.js';
import { MosaicList } from './mosaic/MosaicList.js';
import { MosaicView } from './mosaic/MosaicView.js';
import { ReliefView } from './relief/ReliefView.js';
import { useBeginPattern } from './useBeginPattern.js';

/** All that the station shows. */
interface Known {
  readonly patterns: readonly PatternCard[];
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
  readonly blends: readonly BlendCard[];
}

/** Patterned sheets that are planned, and what to begin a new one from. */
export default function Patterns(): ReactElement {
  const { patternId, detail } = useParams();
  const [patterns, shelf, machines, blends] = [usePatterns(), useShelf(), useMachines(), useBlends()];
  if (!patterns.data || !shelf.data || !machines.data || !blends.data)
    return <Reading error={patterns.error ?? shelf.error ?? machines.error ?? blends.error} />;
  const known = { patterns: patterns.data, shelf: shelf.data, machines: machines.data, blends: blends.data };
  if (patternId === 'relief') return <ReliefView shelf={known.shelf} machines={known.machines} />;
  if (patternId === 'mosaic') return <OneMosaic id={detail} shelf={known.shelf} />;
  if (patternId === undefined) return <AllPatterns {...known} />;
  if (detail === 'fold') return <OneFold id={patternId} shelf={known.shelf} machines={known.machines} />;
  if (detail === 'form') return <OneForm id={patternId} shelf={known.shelf} />;
  return <OnePattern {...known} id={patternId} doing={detail === 'make' || detail === 'cut' ? detail : 'steps'} />;
}

function OneMosaic({ id, shelf }: { readonly id: string | undefined; readonly shelf: ShelfAnswer }): ReactElement {
  const [mosaic, ovens] = [useMosaicOf(id), useOvens()];
  if (!mosaic.data || !ovens.data) return <Reading error={mosaic.error ?? ovens.error} />;
  return <MosaicView key={mosaic.data.id} answer={mosaic.data} shelf={shelf} ovens={ovens.data} />;
}

function OneFold({ id, ...known }: Pick<Known, 'shelf' | 'machines'> & { readonly id: string }): ReactElement {
  const pattern = usePatternOf(id);
  if (!pattern.data) return <Reading error={pattern.error} />;
  return <FoldView key={pattern.data.id} pattern={pattern.data} {...known} />;
}

function OneForm({ id, shelf }: { readonly id: string; readonly shelf: ShelfAnswer }): ReactElement {
  const pattern = usePatternOf(id);
  if (!pattern.data) return <Reading error={pattern.error} />;
  return <FormView key={pattern.data.id} pattern={pattern.data} shelf={shelf} />;
}

function OnePattern({ id, doing, shelf, machines }: Known & { readonly id: string; readonly doing: PatternDoing }) {
  const pattern = usePatternOf(id);
  if (!pattern.data) return <Reading error={pattern.error} />;
  return <PatternView key={pattern.data.id} pattern={pattern.data} doing={doing} shelf={shelf} machines={machines} />;
}

/** The point that the key begins with. */
const FIRST = 0;

/** Nothing to begin with yet. */
function NoClay(): ReactElement {
  const navigate = useNavigate();
  return (
    <Empty
      title="No clay for a patterned sheet yet"
      action="Go to the shelf"
      onAction={() => {
        void navigate('/shelf');
      }}
    >
      Layers that are dented and shaved, ropes that are twisted and folded: no two come alike. Put at least one clay on
      the shelf, then see here what it will look like before you cut.
    </Empty>
  );
}

function AllPatterns({ patterns, shelf, blends }: Known): ReactElement {
  const { colours, begin, take, wrong } = useBeginPattern(shelf, blends, patterns);
  const start = (point: PatternPoint | undefined): void => {
    if (point) begin(point.name, point.steps);
  };
  useKeys('Patterns', [
    {
      key: 'n',
      does: 'Begin a patterned sheet',
      run: () => {
        start(PATTERN_POINTS[FIRST]);
      },
    },
  ]);
  if (!colours) return <NoClay />;
  const current = patterns.filter((p) => !p.retired);
  return (
    <Box padding={5} height="100%" overflowY="auto" tabIndex={0} role="region" aria-label="Patterned sheets">
      {current.length > 0 && (
        <>
          <h1>Patterned sheets</h1>
          <Cards label="Your patterned sheets" cards={current} shelf={shelf} />
        </>
      )}
      <Retired cards={patterns.filter((p) => p.retired)} shelf={shelf} />
      <Box as="h2" borderTop={current.length > 0 ? 'rule' : undefined} paddingTop={current.length > 0 ? 4 : 0}>
        Begin a new one
      </Box>
      <Second>each in your own colours; all of it can be changed</Second>
      <Flex as="ul" wrap="wrap" gap={5} marginTop={4} aria-label="Starting points">
        <Afterwards>
          {PATTERN_POINTS.map((point) => (
            <li key={point.id}>
              <StartSheet
                point={point}
                colours={colours}
                shelf={shelf}
                onBegin={() => {
                  start(point);
                }}
              />
            </li>
          ))}
        </Afterwards>
      </Flex>
      <OtherBeginnings colours={colours} begin={begin} take={take} />
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}

/** What a sheet can begin with beside the starting points, and what is planned in another way. */
function OtherBeginnings({
  colours,
  begin,
  take,
}: Pick<ReturnType<typeof useBeginPattern>, 'begin' | 'take'> & { readonly colours: StartColours }): ReactElement {
  return (
    <>
      <Box marginTop={5}>
        <Link to="/patterns/relief">a relief in mica</Link>
        <Second> pressed, shaved flat and seen under a lamp</Second>
      </Box>
      <BeginSlices
        colours={colours}
        onBegin={(name, steps) => {
          begin(name, () => steps);
        }}
      />
      <MosaicList />
      <Box marginTop={3}>
        <FileWord label="A patterned sheet as JSON" accept=".json,application/json" onFile={take}>
          one from a file
        </FileWord>
      </Box>
    </>
  );
}

interface CardsProps {
  readonly cards: readonly PatternCard[];
  readonly shelf: ShelfAnswer;
}

/** px of a row: face, name in up to two lines, number of steps */
const ROW = 230;

function Cards({ label, cards, shelf }: CardsProps & { readonly label: string }): ReactElement {
  return (
    <CardWall
      label={label}
      cards={cards}
      width={CARD_WIDTH}
      height={ROW}
      draw={(card, pictured) => <PatternCardFace card={card} shelf={shelf} pictured={pictured} />}
    />
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
      {shown && <Cards label="Retired patterned sheets" cards={cards} shelf={shelf} />}
    </Box>
  );
}
