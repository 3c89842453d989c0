import { freeName, takenNames } from '../../parts/names.js';
import { benchMachine } from '../../state/bench.js';
import { swatch } from '../../parts/swatch.js';
import { ofClay } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import { layoutOf } from '#core/blend';
import type { BlendAnswer, BlendCard, BlendDto, ClayDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { Empty, Reading } from '../../parts/Empty.js';
import { RowLink } from '../../parts/RowLink.js';
import { useKeys } from '../../state/keys.js';
import { Caption, Plus, Word } from '../../theme/pieces.js';
import { useBlendOf, useBlends, useMachines, useShelf } from '../../wire/queries.js';
import { change } from '../../wire/save.js';
import { BlendView } from './BlendView.js';
import { Fades } from './Fades.js';

const [WIDTH, HEIGHT, PURE] = [140, 60, 14];

/** Clays that a first blend could be of: opaque ones, or any where there are not two of these. */
function fading(shelf: ShelfAnswer): readonly ClayDto[] {
  const own = shelf.clays.filter((c) => !c.retired);
  const opaque = own.filter((c) => c.kind === 'opaque');
  return opaque.length < 2 ? own : opaque;
}

/** A new blend of the first two clays of the shelf that lie far apart, ready to be changed. */
function newBlend(shelf: ShelfAnswer, machines: MachinesAnswer, taken: ReadonlySet<string>): BlendDto | null {
  const [one, other] = fading(shelf).filter((_, i, all) => i === 0 || i === Math.min(2, all.length - 1));
  if (!one || !other) return null;
  const own = benchMachine(machines);
  return {
    id: crypto.randomUUID(),
    version: 0,
    name: freeName('New blend', taken),
    note: '',
    retired: false,
    plan: {
      colours: [one, other].map((c) => ofClay(c.id)),
      width: WIDTH,
      height: HEIGHT,
      layers: 2,
      settingId: machines.setup.discSettingId ?? own?.settings[Math.floor(own.settings.length / 3)]?.id ?? null,
      kind: 'pure ends',
      pure: PURE,
      cuts: layoutOf('pure ends', 2, WIDTH, HEIGHT, PURE).cuts.map((points) => ({ points: [...points] })),
      tapeWidth: 30,
      tapeSettingId: null,
      plug: 'rolled',
      inside: 'first',
      fanDepth: 20,
    },
  };
}

function NoClay(): ReactElement {
  const navigate = useNavigate();
  return (
    <Empty
      title="No clay to blend yet"
      action="Go to the shelf"
      onAction={() => {
        void navigate('/shelf');
      }}
    >
      A blend fades from one colour to another. Put two clays on the shelf, then see the fade here before you cut.
    </Empty>
  );
}

interface AddProps {
  readonly onAdd: () => void;
}

function NoBlend({ onAdd }: AddProps): ReactElement {
  return (
    <Empty title="No blend planned" action="Plan a blend" onAction={onAdd}>
      Choose the colours and how they are cut. Sledge shows the fade they give, how even it is, how many passes it
      takes, and the plug it becomes.
    </Empty>
  );
}

interface BlendListProps extends AddProps {
  readonly blends: readonly BlendCard[];
  readonly open: string | undefined;
}

/** All blends, each with its fade; the retired ones out of the way. */
function BlendList({ blends, open, onAdd }: BlendListProps): ReactElement {
  const [shown, setShown] = useState(false);
  const retired = blends.filter((b) => b.retired);
  return (
    <Flex
      direction="column"
      background="paper"
      borderRight="rule"
      minHeight={0}
      overflowY="auto"
      css={{ '@media print': { display: 'none' } }}
    >
      <Flex justifyContent="space-between" alignItems="center" padding={4} borderBottom="hair">
        <h2>Blends</h2>
        <Plus aria-label="New blend" title="new blend" width="38px" height="38px" onClick={onAdd}>
          +
        </Plus>
      </Flex>
      {blends
        .filter((b) => !b.retired)
        .map((b) => (
          <OneRow key={b.id} blend={b} open={b.id === open} />
        ))}
      {retired.length > 0 && (
        <Box padding={3}>
          <Word
            fontSize="small"
            onClick={() => {
              setShown(!shown);
            }}
          >
            {shown ? 'Hide the retired ones' : `${retired.length} retired`}
          </Word>
        </Box>
      )}
      {shown && retired.map((b) => <OneRow key={b.id} blend={b} open={b.id === open} />)}
    </Flex>
  );
}

/** Blends, and the open one. */
export default function Blends(): ReactElement {
  const { blendId, detail } = useParams();
  const navigate = useNavigate();
  const blends = useBlends();
  const blend = useBlendOf(blendId);
  const [shelf, machines] = [useShelf(), useMachines()];
  const add = async (): Promise<void> => {
    if (!shelf.data || !machines.data) return;
    const dto = newBlend(shelf.data, machines.data, takenNames(blends.data));
    if (dto && (await change<BlendAnswer>('PUT', `/api/blends/${dto.id}`, dto))) void navigate(`/blends/${dto.id}`);
  };
  const onAdd = (): void => {
    void add();
  };
  useKeys('Blends', [{ key: 'n', does: 'New blend', run: onAdd }]);
  if (!blends.data || !shelf.data || !machines.data)
    return <Reading error={blends.error ?? shelf.error ?? machines.error} />;
  if (fading(shelf.data).length < 2) return <NoClay />;
  if (blends.data.length === 0) return <NoBlend onAdd={onAdd} />;
  return (
    <Grid
      templateColumns="176px minmax(0, 1fr)"
      height="100%"
      minHeight={0}
      css={{ '@media print': { display: 'block' } }}
    >
      <BlendList blends={blends.data} open={blendId} onAdd={onAdd} />
      {blendId === undefined && <Fades blends={blends.data.filter((b) => !b.retired)} />}
      {blendId !== undefined && blend.data && (
        <BlendView
          key={blend.data.id}
          blend={blend.data}
          making={detail === 'make'}
          machines={machines.data}
          shelf={shelf.data}
        />
      )}
      {blendId !== undefined && !blend.data && <Reading error={blend.error} />}
    </Grid>
  );
}

function OneRow({ blend, open }: { readonly blend: BlendCard; readonly open: boolean }): ReactElement {
  return (
    <RowLink to={`/blends/${blend.id}`} aria-current={open ? 'page' : undefined}>
      <Box height="22px" style={{ background: swatch(blend.hexes) }} aria-hidden />
      <Box fontWeight={600} lineHeight={1.25} marginTop={1}>
        {blend.name}
      </Box>
      <Caption>{blend.names.join(', ')}</Caption>
    </RowLink>
  );
}
