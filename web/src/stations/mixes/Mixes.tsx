import { Grid } from '@chakra-ui/react';
import { Suspense, lazy, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { ShelfAnswer } from '#contract';
import { Empty, Reading } from '../../parts/Empty.js';
import { useKeys } from '../../state/keys.js';
import { useMix, useMixCards, useShelf } from '../../wire/queries.js';
import { ChipBoard } from './ChipBoard.js';
import { MixingTile } from './MixingTile.js';
import { NewMix } from './NewMix.js';

/** What stands at the place of a mix without being one. */
const TOOLS = ['new', 'find', 'apart', 'taught', 'correct', 'photograph', 'files', 'triangle'] as const;

const StayApart = lazy(async () => ({ default: (await import('./StayApart.js')).StayApart }));
const Taught = lazy(async () => ({ default: (await import('./Taught.js')).Taught }));
const Correct = lazy(async () => ({ default: (await import('./Correct.js')).Correct }));
const Palettes = lazy(async () => ({ default: (await import('./palettes/Palettes.js')).Palettes }));
const Exchange = lazy(async () => ({ default: (await import('./exchange/Exchange.js')).Exchange }));
const Triangle = lazy(async () => ({ default: (await import('./Triangle.js')).Triangle }));
const FindMix = lazy(async () => ({ default: (await import('./FindMix.js')).FindMix }));

/** The keys of this station: where each leads. */
const KEYS = [
  ['n', 'New mix', 'new'],
  ['f', 'Find a mix for a colour', 'find'],
  ['t', 'What your chips taught', 'taught'],
  ['k', 'Correct a mix that came out differently', 'correct'],
  ['v', 'Colours of a photograph', 'photograph'],
  ['x', 'Mixes and colours as files, and labels', 'files'],
  ['r', 'Triangle of three mixes', 'triangle'],
  ['d', 'Do colours stay apart?', 'apart'],
] as const;

const TOOL_VIEWS = {
  find: FindMix,
  apart: StayApart,
  taught: Taught,
  correct: Correct,
  photograph: Palettes,
  files: Exchange,
  triangle: Triangle,
} as const;

function Tool({ name, shelf }: { readonly name: keyof typeof TOOL_VIEWS; readonly shelf: ShelfAnswer }): ReactElement {
  const View = TOOL_VIEWS[name];
  return <View shelf={shelf} />;
}

function NoClay(): ReactElement {
  const navigate = useNavigate();
  return (
    <Empty
      title="No clay to mix yet"
      action="Go to the shelf"
      onAction={() => {
        void navigate('/shelf');
      }}
    >
      A mix is made of clays. Put the first ones on the shelf, then stack their discs here.
    </Empty>
  );
}

function NoMix(): ReactElement {
  const navigate = useNavigate();
  return (
    <Empty
      title="No mix yet"
      action="Make the first mix"
      onAction={() => {
        void navigate('/mixes/new');
      }}
    >
      Stack discs of two clays and see the chip before you cut any.
    </Empty>
  );
}

function OpenMix({ id, shelf }: { readonly id: string; readonly shelf: ShelfAnswer }): ReactElement {
  const mix = useMix(id);
  return mix.data ? <MixingTile key={id} mix={mix.data} shelf={shelf} /> : <Reading error={mix.error} />;
}

interface BesideProps {
  readonly mixId: string | undefined;
  /** mixes there are */
  readonly count: number;
  readonly shelf: ShelfAnswer;
}

/** What stands beside the board: a mix, or one of the tools. */
function Beside({ mixId, count, shelf }: BesideProps): ReactElement {
  const tool = TOOLS.find((t) => t === mixId);
  if (tool === 'new') return <NewMix count={count} shelf={shelf} />;
  if (tool !== undefined)
    return (
      <Suspense fallback={<Reading error={null} />}>
        <Tool name={tool} shelf={shelf} />
      </Suspense>
    );
  return mixId === undefined ? <NoMix /> : <OpenMix id={mixId} shelf={shelf} />;
}

/** The chip board and the mixing tile. */
export default function Mixes(): ReactElement {
  const { mixId } = useParams();
  const navigate = useNavigate();
  const shelf = useShelf();
  const all = useMixCards({ search: '', sort: 'hue' });
  const first = all.data?.pages[0];
  useKeys(
    'Mixes',
    KEYS.map(([key, does, to]) => ({
      key,
      does,
      run: () => {
        void navigate(`/mixes/${to}`);
      },
    })),
  );
  if (!shelf.data || !first) return <Reading error={shelf.error ?? all.error} />;
  if (shelf.data.clays.length === 0) return <NoClay />;
  // nothing chosen: the chips themselves, over the whole width
  if (mixId === undefined && first.total > 0) return <ChipBoard wide />;
  return (
    <Grid templateColumns="268px 1fr" height="100%" minHeight={0} css={{ '@media print': { display: 'block' } }}>
      <ChipBoard chosen={mixId} />
      <Beside mixId={mixId} count={first.total} shelf={shelf.data} />
    </Grid>
  );
}
