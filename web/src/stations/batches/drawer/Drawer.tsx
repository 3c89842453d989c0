import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { cutterArea, cutterOf, showCutter, type Cutter, plainCutter } from '#core/cutter';
import { showArea } from '#core/units';
import type { OwnCutterDto } from '#contract';
import { CutterValue } from '../../../parts/cutters/CutterValue.js';
import { Reading } from '../../../parts/Empty.js';
import { TextValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Rule, Second, Strip, Word } from '../../../theme/pieces.js';
import { useDrawer } from '../../../wire/queries.js';
import { change, useRefusal } from '../../../wire/save.js';
import { CutterArt, CutterTile } from '../../../parts/cutters/CutterTile.js';
import { NewCutter } from './NewCutter.js';

/** Examples of how a cutter is written. */
const DROP: Cutter = { shape: 'teardrop', width: 18, height: 30 };
const RING: Cutter = { shape: 'round', width: 24, height: 24, rim: 4 };

/** px for a mm of the drawer, and of the cutter that is open. */
const [SCALE, LARGE] = [2.4, 4];
/** px that the open one may have. */
const ROOM = 270;

/** The open cutter: what it is called, its shape and size, and what a piece of it takes. */
function OneCutter({ own }: { readonly own: OwnCutterDto }): ReactElement {
  const units = useUnits();
  const path = `/api/cutters/${own.id}`;
  const refusal = useRefusal(path);
  const cutter = cutterOf(own);
  const save = (part: Partial<OwnCutterDto>): void => {
    void change('PUT', path, { ...own, ...part });
  };
  return (
    <>
      <h2>
        <TextValue
          label="Name of the cutter"
          value={own.name}
          refusal={refusal?.sentenceFor('name')}
          onChange={(name) => {
            save({ name });
          }}
        />
      </h2>
      <Box>
        <CutterValue
          label="Shape and size of the cutter"
          cutter={cutter}
          refusal={refusal?.sentenceFor('widthMm')}
          onChange={(next) => {
            save(plainCutter(next));
          }}
        />
      </Box>
      <CutterArt cutter={cutter} scale={Math.min(LARGE, ROOM / Math.max(cutter.width, cutter.height))} />
      <Second>{showArea(cutterArea(cutter), units)} of clay a piece</Second>
      <Caption>
        Write it as {showCutter(DROP, units)}, or with an opening: {showCutter(RING, units)}. Pieces that are planned
        already keep the cutter they were planned with.
      </Caption>
      <Rule />
      <Box fontSize="small">
        <Word
          onClick={() => {
            void change('DELETE', `${path}?version=${own.version}`);
          }}
        >
          Take it out of the drawer
        </Word>
      </Box>
      {refusal && !refusal.problem.fields && <Warning>{refusal.message}</Warning>}
    </>
  );
}

/** The drawer of cutters, all at one scale. */
export default function Drawer(): ReactElement {
  const drawer = useDrawer();
  const navigate = useNavigate();
  const [openId, setOpen] = useState<string | null>(null);
  if (!drawer.data) return <Reading error={drawer.error} />;
  const open = drawer.data.find((c) => c.id === openId) ?? drawer.data[0];
  return (
    <Grid templateColumns="minmax(0, 1fr) 320px" height="100%" minHeight={0}>
      <Box padding={5} overflow="auto" minHeight={0} tabIndex={0} role="region" aria-label="Cutters">
        <Flex alignItems="baseline" gap={4} marginBottom={4}>
          <h1>Drawer of cutters</h1>
          <Word
            fontSize="small"
            onClick={() => {
              void navigate('/batches');
            }}
          >
            to the batches
          </Word>
        </Flex>
        {drawer.data.length === 0 && (
          <Box maxWidth="460px" color="ink2" marginBottom={4}>
            Nothing lies here yet. Put in the cutters you have: then they can be chosen by their picture wherever pieces
            are cut.
          </Box>
        )}
        <Flex wrap="wrap" gap={5} alignItems="flex-end">
          {drawer.data.map((own) => (
            <CutterTile
              key={own.id}
              own={own}
              scale={SCALE}
              chosen={own === open}
              onChoose={() => {
                setOpen(own.id);
              }}
            />
          ))}
        </Flex>
      </Box>
      <Strip aria-label="The open cutter">
        {open && <OneCutter key={open.id} own={open} />}
        <NewCutter taken={drawer.data.map((c) => c.name)} onKept={setOpen} />
      </Strip>
    </Grid>
  );
}
