import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import { useRef, type ReactElement } from 'react';
import { NavLink, Outlet, useNavigate } from 'react-router';
import { OvenBar } from './parts/baking/OvenBar.js';
import { TimerBar } from './parts/TimerBar.js';
import { Textures } from './parts/texture.js';
import { KeyList } from './parts/KeyList.js';
import { Saving } from './parts/Saving.js';
import { Bars } from './parts/Bars.js';
import { GardenBar } from './parts/GardenBar.js';
import { Tile } from './parts/Tile.js';
import { useKeys } from './state/keys.js';
import { useView } from './state/view.js';
import { Key } from './theme/pieces.js';
import { useKeepLearning } from './workers/useLearning.js';
import { redo, undo } from './wire/save.js';

export const STATIONS = [
  ['shelf', 'Shelf'],
  ['mixes', 'Mixes'],
  ['sheets', 'Sheets'],
  ['blends', 'Blends'],
  ['canes', 'Canes'],
  ['patterns', 'Patterns'],
  ['batches', 'Batches'],
  ['bench', 'Bench'],
  ['diary', 'Diary'],
] as const;

const StationLink = chakra(NavLink, {
  base: {
    fontFamily: 'heading',
    fontSize: 'h2',
    textDecoration: 'none',
    paddingX: '9px',
    '@media (max-width: 1360px)': { paddingX: '6px', fontSize: '17px', gap: '4px' },
    '@media (max-width: 1200px)': { paddingX: '2px', fontSize: '14px', gap: '2px' },
    height: '56px',
    display: 'inline-flex',
    alignItems: 'center',
    gap: 2,
    borderBottom: '9px solid transparent',
    paddingTop: '9px',
    '&.active': { fontWeight: 700, borderBottomColor: 'ink' },
    _hover: { borderBottomColor: 'hairline' },
  },
});

/** Words there is room for only on a wide screen; the key stays. */
const Wide = chakra('span', { base: { '@media (max-width: 1360px)': { display: 'none' } } });

const Switch = chakra('button', {
  base: { display: 'inline-flex', gap: 1, alignItems: 'center', fontSize: 'small', whiteSpace: 'nowrap' },
});

/** The keys that work at every station. */
function useEverywhere(showKeys: () => void): void {
  const { turnUnits, turnLamp } = useView();
  const navigate = useNavigate();
  useKeys('Everywhere', [
    ...STATIONS.map(([path, name], i) => ({
      key: String(i + 1),
      does: name,
      run: () => {
        void navigate(`/${path}`);
      },
    })),
    {
      key: 'z',
      does: 'Undo',
      run: () => {
        void undo();
      },
    },
    {
      key: 'Z',
      does: 'Do again',
      run: () => {
        void redo();
      },
    },
    { key: 'u', does: 'Millimetres or inches', run: turnUnits },
    { key: 'l', does: 'Lamp check: only lightness', run: turnLamp },
    {
      key: '/',
      does: 'Find',
      run: () => {
        document.querySelector<HTMLInputElement>('[data-find]')?.focus();
      },
    },
    {
      key: 'Y',
      does: 'Copies of your data',
      run: () => {
        void navigate('/copies');
      },
    },
    {
      key: '?',
      does: 'This list',
      run: () => {
        showKeys();
      },
    },
  ]);
}

/** The stations, in the order of the work. */
function Stations(): ReactElement {
  return (
    <Flex as="nav" aria-label="Stations" flex={1} gap={1} alignSelf="stretch">
      {STATIONS.map(([path, name], i) => (
        <StationLink key={path} to={`/${path}`}>
          <Box as="span" fontFamily="body" fontSize="caption" fontWeight={400} color="ink2" aria-hidden>
            {i + 1}
          </Box>
          {name}
        </StationLink>
      ))}
    </Flex>
  );
}

interface SwitchesProps {
  readonly onKeys: () => void;
}

/** Units, the lamp, copies, and the list of keys. */
function Switches({ onKeys }: SwitchesProps): ReactElement {
  const { units, lamp, turnUnits, turnLamp } = useView();
  const navigate = useNavigate();
  return (
    <>
      <Switch onClick={turnUnits} aria-label={`Units: ${units}`}>
        {units === 'metric' ? 'mm' : 'in'}
        <Wide>{units === 'metric' ? '· g · °C' : '· oz · °F'}</Wide> <Key>U</Key>
      </Switch>
      <Switch onClick={turnLamp} aria-pressed={lamp} aria-label="Lamp check">
        Lamp<Wide>check</Wide> <Key>L</Key>
      </Switch>
      <Switch
        onClick={() => {
          void navigate('/copies');
        }}
        aria-label="Copies of your data"
        title="Keep a copy of your data, or take one up (shift Y)"
      >
        Copies
      </Switch>
      <Switch onClick={onKeys} aria-label="Keys">
        <Wide>Keys</Wide> <Key>?</Key>
      </Switch>
    </>
  );
}

/** The top of every page. */
function Header({ onKeys }: SwitchesProps): ReactElement {
  return (
    <Flex
      as="header"
      background="paper"
      borderBottom="rule"
      alignItems="center"
      paddingX={5}
      gap={4}
      css={{
        '@media (max-width: 1100px)': { gap: '10px', paddingInline: '12px' },
        '@media print': { display: 'none' },
      }}
    >
      <Box fontFamily="heading" fontWeight={800} fontSize="23px" marginRight={3}>
        Sledge
      </Box>
      <Stations />
      <Saving />
      <Switches onKeys={onKeys} />
    </Flex>
  );
}

/** The bench from above: stations along the top, the open one below, the tile at the right edge. */
export function App(): ReactElement {
  useKeepLearning();
  const lamp = useView((s) => s.lamp);
  const keyList = useRef<HTMLDialogElement>(null);
  const showKeys = (): void => {
    keyList.current?.showModal();
  };
  useEverywhere(showKeys);
  return (
    <Grid
      templateRows="56px auto 1fr"
      height="100%"
      minWidth="1024px"
      style={lamp ? { filter: 'url(#lamp)' } : {}}
      css={{ '@media print': { display: 'block', minWidth: 0, height: 'auto' } }}
    >
      <Textures />
      <Header onKeys={showKeys} />
      <Box gridRow={2}>
        <GardenBar />
        <OvenBar />
        <TimerBar />
        <Bars />
      </Box>
      <Grid templateColumns="1fr 92px" minHeight={0} gridRow={3} css={{ '@media print': { display: 'block' } }}>
        <Box
          as="main"
          minWidth={0}
          minHeight={0}
          css={{ containerType: 'inline-size', '@media print': { containerType: 'normal' } }}
        >
          <Outlet />
        </Box>
        <Tile />
      </Grid>
      <KeyList dialog={keyList} />
    </Grid>
  );
}
