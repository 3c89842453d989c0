import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Mosaic } from '#core/mosaic';
import { showCutter } from '#core/cutter';
import type { MosaicAnswer, OvensAnswer, ShelfAnswer } from '#contract';
import { PaperChoice } from '../../../parts/PaperChoice.js';
import { SendIt } from '../../../parts/SendIt.js';
import { TextValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits, useView } from '../../../state/view.js';
import { Caption, Second, Strip, Word } from '../../../theme/pieces.js';
import { change, useRefusal } from '../../../wire/save.js';
import { MosaicDrawing } from './MosaicDrawing.js';
import { saveMosaicPlan } from './mosaicPaper.js';
import { MosaicStrip } from './MosaicStrip.js';
import { MosaicWords } from './MosaicWords.js';
import { Patches } from './Patches.js';
import { useMatching } from './useMatching.js';
import { useMosaic, type OnMosaic } from './useMosaic.js';

interface MosaicViewProps {
  readonly answer: MosaicAnswer;
  readonly shelf: ShelfAnswer;
  readonly ovens: OvensAnswer;
}

/** What shows between tesserae until the bed has a clay. */
const BED_HEX = '8c857b';

/** A mosaic of threads: planned from a picture, its threads, and how far it is laid. */
export function MosaicView({ answer, shelf, ovens }: MosaicViewProps): ReactElement {
  const on = useMosaic(answer, shelf);
  const matching = useMatching(answer.name, on, shelf);
  const plan = on.plan.value ?? null;
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Box padding={5} overflow="auto" minWidth={0} tabIndex={0} role="region" aria-label="Mosaic of threads">
        <Head answer={answer} on={on} plan={plan} />
        <Flex gap={6} marginTop={4} wrap="wrap">
          <Box width="400px">
            <Looks on={on} plan={plan} />
          </Box>
          <Box flex="1 1 280px" lineHeight={2}>
            <MosaicWords on={on} />
            {plan && <Patches on={on} plan={plan} />}
          </Box>
        </Flex>
      </Box>
      {plan ? <MosaicStrip {...{ on, matching, ovens }} mosaic={plan} bedHex={BED_HEX} /> : <Strip />}
    </Grid>
  );
}

interface HeadProps {
  readonly answer: MosaicAnswer;
  readonly on: OnMosaic;
  readonly plan: Mosaic | null;
}

function Head({ answer, on, plan }: HeadProps): ReactElement {
  const navigate = useNavigate();
  const paper = useView((s) => s.paper);
  const units = useUnits();
  const refusal = useRefusal(`/api/mosaics/${answer.id}`);
  const away = async (): Promise<void> => {
    const gone = await change('DELETE', `/api/mosaics/${answer.id}?version=${answer.version}`);
    if (gone !== null) void navigate('/patterns');
  };
  return (
    <Flex alignItems="baseline" gap={4} wrap="wrap">
      <h1>
        <TextValue
          label="Name of the mosaic"
          value={answer.name}
          refusal={refusal?.sentenceFor('name')}
          onChange={(name) => {
            on.save({ name });
          }}
        />
      </h1>
      <Flex marginLeft="auto" gap={4} fontSize="small" alignItems="baseline" wrap="wrap">
        {plan && (
          <span>
            <Word onClick={() => void saveMosaicPlan({ name: answer.name, on, plan, paper, units })}>
              the placing plan on paper
            </Word>
            , <PaperChoice label="Paper of the placing plan" />
          </span>
        )}
        <SendIt kind="mosaic" id={answer.id} />
        <Word onClick={() => void away()}>Take away</Word>
        <Link to="/patterns">all patterned sheets</Link>
      </Flex>
      {refusal && refusal.sentenceFor('name') === undefined && <Warning>{refusal.message}</Warning>}
    </Flex>
  );
}

/** While it is planned, and where that was stopped. */
function NotThere({ planning }: { readonly planning: OnMosaic['plan'] }): ReactElement | null {
  if (planning.wrong) return null;
  if (planning.working)
    return (
      <Second display="block" role="status">
        planning: {Math.round(100 * planning.share)} %{' '}
        <Word fontSize="small" onClick={planning.stop}>
          stop
        </Word>
      </Second>
    );
  return (
    <Second display="block" role="status">
      It is not planned.{' '}
      <Word fontSize="small" onClick={planning.again}>
        plan it
      </Word>
    </Second>
  );
}

/** The mosaic large, as it is laid or as it will look, and at its true size. */
function Looks({ on, plan }: Omit<HeadProps, 'answer'>): ReactElement {
  const units = useUnits();
  const [laying, setLaying] = useState(false);
  const { mosaic, plan: planning, known } = on;
  const { bezel } = mosaic;
  const hexes = known.map((k) => k.hex);
  if (mosaic.pictureId === undefined)
    return <Second>Open a picture or a drawing: a mosaic of threads is planned from it.</Second>;
  if (!plan) return <NotThere planning={planning} />;
  const drawn = { mosaic: plan, bezel, hexes, bedHex: BED_HEX };
  return (
    <>
      <MosaicDrawing
        {...drawn}
        done={laying ? mosaic.done : null}
        width="400px"
        label={laying ? 'The mosaic, as far as it is laid' : 'The mosaic as it will look'}
      />
      <Flex gap={4} marginTop={2} alignItems="baseline" fontSize="small">
        <Word
          fontSize="small"
          onClick={() => {
            setLaying(!laying);
          }}
        >
          {laying ? 'as it will look' : 'as far as it is laid'}
        </Word>
        <Caption>{showCutter(bezel, units)}</Caption>
        {planning.working && <Caption role="status">planning: {Math.round(100 * planning.share)} %</Caption>}
      </Flex>
      <Caption display="block" marginTop={3}>
        at its true size, for an arm’s length:
      </Caption>
      <MosaicDrawing {...drawn} done={null} width={`${bezel.width}mm`} label="The mosaic at its true size" />
    </>
  );
}
