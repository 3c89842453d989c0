import { Grid } from '@chakra-ui/react';
import { Suspense, lazy, type ReactElement, type ReactNode } from 'react';
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

/** The chip board and the mixing tile. */
export default function Mixes(): ReactElement {
  const { mixId } = useParams();
  const navigate = useNavigate();
  const shelf = useShelf();
  const tool = TOOLS.find((t) => t === mixId);
  const mix = useMix(tool === undefined ? mixId : undefined);
  const all = useMixCards({ search: '', sort: 'hue' });
  const first = all.data?.pages[0];
  useKeys('Mixes', [
    {
      key: 'n',
      does: 'New mix',
      run: () => {
        void navigate('/mixes/new');
      },
    },
    {
      key: 'f',
      does: 'Find a mix for a colour',
      run: () => {
        void navigate('/mixes/find');
      },
    },
    {
      key: 't',
      does: 'What your chips taught',
      run: () => {
        void navigate('/mixes/taught');
      },
    },
    {
      key: 'k',
      does: 'Correct a mix that came out differently',
      run: () => {
        void navigate('/mixes/correct');
      },
    },
    {
      key: 'v',
      does: 'Colours of a photograph',
      run: () => {
        void navigate('/mixes/photograph');
      },
    },
    {
      key: 'x',
      does: 'Mixes and colours as files, and labels',
      run: () => {
        void navigate('/mixes/files');
      },
    },
    {
      key: 'r',
      does: 'Triangle of three mixes',
      run: () => {
        void navigate('/mixes/triangle');
      },
    },
    {
      key: 'd',
      does: 'Do colours stay apart?',
      run: () => {
        void navigate('/mixes/apart');
      },
    },
  ]);
  if (!shelf.data || !first) return <Reading error={shelf.error ?? all.error} />;
  if (shelf.data.clays.length === 0) {
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
  // nothing chosen: the chips themselves, over the whole width
  if (mixId === undefined && first.total > 0) return <ChipBoard chosen={undefined} wide />;
  const nothing = (
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
  const { data: held } = shelf;
  /** What stands beside the board. */
  const beside = (): ReactNode => {
    if (tool === 'new') return <NewMix count={first.total} shelf={held} />;
    if (tool !== undefined)
      return (
        <Suspense fallback={<Reading error={null} />}>
          <Tool name={tool} shelf={held} />
        </Suspense>
      );
    if (mixId === undefined) return nothing;
    return mix.data ? <MixingTile key={mixId} mix={mix.data} shelf={held} /> : <Reading error={mix.error} />;
  };
  return (
    <Grid templateColumns="268px 1fr" height="100%" minHeight={0} css={{ '@media print': { display: 'block' } }}>
      <ChipBoard chosen={mixId} />
      {beside()}
    </Grid>
  );
}

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
