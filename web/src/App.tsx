import { Box, Grid } from '@chakra-ui/react';
import { useRef, type ReactElement } from 'react';
import { Outlet, useLocation } from 'react-router';
import { HandHeader, HandNav } from './frame/Hand.js';
import { isAtTable } from './frame/stations.js';
import { useEverywhere } from './frame/useEverywhere.js';
import { WideHeader } from './frame/WideHeader.js';
import { BeginBar } from './parts/begin/BeginBar.js';
import { OvenBar } from './parts/baking/OvenBar.js';
import { TimerBar } from './parts/TimerBar.js';
import { Textures } from './parts/texture.js';
import { KeyList } from './parts/KeyList.js';
import { Bars } from './parts/Bars.js';
import { GardenBar } from './parts/GardenBar.js';
import { Tile } from './parts/Tile.js';
import { useNarrow } from './state/useNarrow.js';
import { useView } from './state/view.js';
import { useMe } from './wire/queries.js';
import { useKeepLearning } from './workers/useLearning.js';

/** All that is said on every page. */
function EveryBar(): ReactElement {
  return (
    <>
      <GardenBar />
      <OvenBar />
      <TimerBar />
      <Bars />
      <BeginBar />
    </>
  );
}

/** The computer that Sledge runs on learns from the chips; the others are told. */
function Learns(): null {
  useKeepLearning();
  return null;
}

/** The station that is open. It stands in one place whatever is around it, so that turning a tablet loses nothing. */
function OpenStation({ narrow }: { readonly narrow: boolean }): ReactElement {
  const { pathname } = useLocation();
  const least = narrow && isAtTable(pathname) ? LEAST_AT_TABLE : 0;
  return (
    <Grid
      templateColumns={narrow ? 'minmax(0, 1fr)' : '1fr 92px'}
      minHeight={0}
      overflowX={narrow ? 'auto' : undefined}
      css={{ '@media print': { display: 'block' } }}
    >
      <Box
        as="main"
        minWidth={least}
        minHeight={0}
        css={{ containerType: 'inline-size', '@media print': { containerType: 'normal' } }}
      >
        <Outlet />
      </Box>
      {!narrow && <Tile />}
    </Grid>
  );
}

/** px that a station made for a table needs. */
const [LEAST_AT_TABLE, LEAST] = ['932px', '1024px'];

/** What stands around every station: the bench from above, or as it is held in a hand. */
export function App(): ReactElement {
  const lamp = useView((s) => s.lamp);
  const narrow = useNarrow();
  const me = useMe().data;
  const keyList = useRef<HTMLDialogElement>(null);
  const showKeys = (): void => {
    keyList.current?.showModal();
  };
  useEverywhere(showKeys);
  const rights = me?.rights ?? 'all';
  return (
    <Grid
      templateRows={narrow ? 'auto auto minmax(0, 1fr) auto' : '56px auto minmax(0, 1fr)'}
      templateColumns="minmax(0, 1fr)"
      height={narrow ? '100dvh' : '100%'}
      minWidth={narrow ? 0 : LEAST}
      style={lamp ? { filter: 'url(#lamp)' } : {}}
      css={{ '@media print': { display: 'block', minWidth: 0, height: 'auto' } }}
    >
      <Textures />
      {me?.here === true && <Learns />}
      {narrow ? <HandHeader /> : <WideHeader onKeys={showKeys} here={me?.here ?? true} rights={rights} />}
      <Box>
        <EveryBar />
      </Box>
      <OpenStation narrow={narrow} />
      {narrow && <HandNav rights={rights} />}
      <KeyList dialog={keyList} />
    </Grid>
  );
}
