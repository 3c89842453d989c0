import { Box, Flex, Grid } from '@chakra-ui/react';
import { useDeferredValue, useMemo, type ReactElement } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { STAGES } from '#core/colour';
import type { MicaColours } from '#core/mica';
import { showLength, showSize } from '#core/units';
import type { ClayDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { Empty } from '../../../parts/Empty.js';
import { Warning } from '../../../parts/Warning.js';
import { useWidth } from '../../../parts/useWidth.js';
import { useUnits } from '../../../state/view.js';
import { usePigments } from '../../../wire/pigments.js';
import { Caption, Second, Strip } from '../../../theme/pieces.js';
import { BladeLook } from './BladeLook.js';
import { Lit } from './Lit.js';
import { Making } from './Making.js';
import { ReliefStrip } from './ReliefStrip.js';
import { useGreys } from './reliefPicture.js';
import { claysOf, reliefClay } from './reliefClay.js';
import { useMakeRelief } from './useMakeRelief.js';
import { planIn, queryOf, workedRelief, type ReliefPlan, type WorkedRelief } from './reliefPlan.js';

interface ReliefViewProps {
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
}

/** px of the longer side of the picture, and the room from which on it is the larger one. */
const [SMALL, LARGE, ROOMY] = [290, 420, 740];

/** A picture in mica clay: pressed, shaved flat, rolled, and seen under a lamp. The address holds the plan. */
export function ReliefView({ shelf, machines }: ReliefViewProps): ReactElement {
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const clays = claysOf(shelf, 'mica');
  const plan = planIn(query, clays[0]?.id ?? '');
  const clay = clays.find((c) => c.id === plan.clayId) ?? clays[0];
  if (!clay)
    return (
      <Empty title="No mica clay on the shelf" action="Go to the shelf" onAction={() => void navigate('/shelf')}>
        A stamp pressed into mica clay and shaved off flat leaves its picture in the surface: the flakes below it stay
        tilted. Put a clay of the kind mica on the shelf, then see here what a relief will look like.
      </Empty>
    );
  const change = (part: Partial<ReliefPlan>): void => {
    // what the address says by now: the page is drawn a moment later, and changes may come faster than that
    const now = planIn(new URLSearchParams(window.location.search), clay.id);
    const clayId = clays.some((c) => c.id === now.clayId) ? now.clayId : clay.id;
    setQuery(queryOf({ ...now, clayId, ...part }), { replace: true });
  };
  return <Planned {...{ plan, clay, clays, shelf, machines, change }} />;
}

interface PlannedProps {
  readonly plan: ReliefPlan;
  readonly clay: ClayDto;
  readonly clays: readonly ClayDto[];
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
  readonly change: (part: Partial<ReliefPlan>) => void;
}

function Planned({ plan, clay, clays, shelf, machines, change }: PlannedProps): ReactElement {
  const pigments = usePigments();
  const translucents = claysOf(shelf, 'translucent');
  const translucent = translucents.find((c) => c.id === plan.translucentId) ?? null;
  const sheet = useMemo(
    () => reliefClay(shelf, clay, translucent, plan.stage, pigments),
    [shelf, clay, translucent, plan.stage, pigments],
  );
  const { colours } = sheet;
  const make = useMakeRelief(plan, clay, translucent, sheet.name);
  const text = queryOf(plan).toString();
  const later = useDeferredValue(text);
  const { greys, wrong } = useGreys(plan.picture);
  const waits = plan.picture !== null && !greys;
  const worked = useMemo(
    () => (waits ? '' : workedRelief(planIn(new URLSearchParams(later), clay.id), sheet, greys)),
    [waits, later, clay.id, sheet, greys],
  );
  const [frame, room] = useWidth<HTMLDivElement>();
  const size = room >= ROOMY ? LARGE : SMALL;
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Box padding={5} overflow="auto" minWidth={0} tabIndex={0} role="region" aria-label="Relief in mica">
        <Flex alignItems="baseline" gap={4}>
          <h1>Relief in mica</h1>
          <Second>kept in the address of this page</Second>
          <Box marginLeft="auto" fontSize="small">
            <Link to="/patterns">all patterned sheets</Link>
          </Box>
        </Flex>
        <Flex ref={frame} gap={6} marginTop={4} wrap="wrap">
          <Box width={`${size}px`}>
            {typeof worked === 'string' ? (
              <Box width={`${size}px`} height={`${size}px`} background="hairline" />
            ) : (
              <Looks worked={worked} colours={colours} size={size} />
            )}
          </Box>
          <Box flex="1 1 260px" lineHeight={2}>
            <Making {...{ plan, clays, translucents, worked, change }} />
            <Seen plan={plan} change={change} />
            {typeof worked === 'string' && worked !== '' && <Warning>{worked}</Warning>}
            {wrong !== null && <Warning>{wrong}</Warning>}
          </Box>
        </Flex>
      </Box>
      {typeof worked === 'string' ? <Strip /> : <ReliefStrip {...{ plan, worked, sheet, machines, change, make }} />}
    </Grid>
  );
}

const STAGE_OPTIONS = STAGES.map((value) => ({ value, text: value }));

/** How the clay is looked at. */
function Seen({ plan, change }: Pick<PlannedProps, 'plan' | 'change'>): ReactElement {
  return (
    <div>
      seen{' '}
      <Choice
        label="Raw or baked"
        value={plan.stage}
        options={STAGE_OPTIONS}
        onChange={(stage) => {
          change({ stage });
        }}
      />
    </div>
  );
}

interface LooksProps {
  readonly worked: WorkedRelief;
  readonly colours: MicaColours;
  /** px of the longer side */
  readonly size: number;
}

/** The sheet under the lamp, and what the blade left of it. */
function Looks({ worked, colours, size }: LooksProps): ReactElement {
  const units = useUnits();
  const { shown } = worked;
  const sheet = showSize(shown.columns * shown.wide, shown.rows * shown.high, units);
  return (
    <>
      <Lit tilts={shown} colours={colours} size={size} label="The sheet under a lamp" />
      <Caption display="block" marginTop={1}>
        {sheet}, {showLength(worked.thick, units, true)} thick · drag across it: the lamp goes along
      </Caption>
      <BladeLook worked={worked} />
    </>
  );
}
