import { benchMachine } from '../../../state/bench.js';
import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { CaneAnswer, MachinesAnswer, ShelfAnswer } from '#contract';
import { BenchSteps } from '../../../parts/BenchSteps.js';
import { Reading } from '../../../parts/Empty.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { usePlan, useWorkedCane } from '../../../workers/cane.js';
import type { PlainCane, PlainPart } from '../../../workers/canePlain.js';
import { CaneDone } from './CaneDone.js';
import { caneSteps, type CaneWords } from '../words/caneSteps.js';
import { wantedOf } from '../words/caneWords.js';
import { Face } from '../faces/Face.js';
import { TemplatePicture, heightOf, keyIn, widthOf, type Drawing } from '../steps/index.js';
import { UNKNOWN_HEX } from '../../../theme/grey.js';
import type { BenchCane } from '../clay/useCane.js';

interface MakeCaneProps {
  readonly cane: CaneAnswer;
  readonly bench: BenchCane;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
}

/** px of the face to reach. */
const FACE = 230;

interface ReachProps {
  readonly cane: CaneAnswer;
  readonly bench: BenchCane;
  readonly words: CaneWords | undefined;
}

/** The face to reach, of a cane that is taken in. */
function PartFace({ cane, bench, part, face }: ReachProps & { readonly part: PlainPart; readonly face: number }) {
  const plain = useMemo((): PlainCane => ({ ...bench.plain, steps: part.steps }), [bench.plain, part.steps]);
  const worked = useWorkedCane(`${cane.id}, ${part.path.join(', ')}`, plain);
  return (
    <Face worked={worked} at={face} size={FACE} paints={bench.paints} label={`The face of ${part.name} to reach`} />
  );
}

/** A drawing while it is built: what stands by then. */
function Built({ bench, drawing }: { readonly bench: BenchCane; readonly drawing: Drawing }): ReactElement {
  const { step, standing, now } = drawing;
  return (
    <TemplatePicture
      step={step}
      scale={FACE / Math.max(widthOf(step), heightOf(step))}
      colourOf={({ fill }) => bench.materials.get(keyIn(fill))?.hexes[0] ?? UNKNOWN_HEX}
      standing={new Set(standing)}
      now={now}
      label="What stands by then"
    />
  );
}

/** The face to reach: of the cane, or of what it takes in. */
function Reach(props: ReachProps): ReactElement {
  const { bench, words } = props;
  const { part, face = 0, drawing } = words ?? {};
  if (drawing) return <Built bench={bench} drawing={drawing} />;
  if (part) return <PartFace key={part.path.join()} {...props} part={part} face={face} />;
  return <Face worked={bench.worked} at={face} size={FACE} paints={bench.paints} label="The face to reach" />;
}

/** Making the cane: every step with the length to reach, then what really came of it. */
export function MakeCane({ cane, bench, shelf, machines }: MakeCaneProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const { worked, materials, paints } = bench;
  const plan = usePlan(worked, wantedOf(cane));
  if (plan === null || plan === '' || !worked) return <Reading error={null} />;
  if (typeof plan === 'string')
    return (
      <Flex direction="column" gap={4} padding={5}>
        <Warning>{plan}</Warning>
        <Link to={`/canes/${cane.id}`}>back to the cane</Link>
      </Flex>
    );
  const own = benchMachine(machines);
  const { steps } = cane.program;
  const words = caneSteps({
    steps,
    sizes: worked.steps,
    plan,
    names: (key) => materials.get(key)?.name ?? '…',
    densities: (key) => materials.get(key)?.density,
    own,
    units,
    slices: cane.slices,
    sliceMm: cane.sliceMm,
  });
  return (
    <Flex direction="column" padding={5} gap={4} height="100%" overflowY="auto">
      <Box fontSize="small">{cane.name}</Box>
      <BenchSteps
        what={`cane ${cane.id}`}
        steps={words}
        art={(at) => <Reach cane={cane} bench={bench} words={words[at]} />}
        foot={<Link to={`/canes/${cane.id}`}>the plan</Link>}
        finish={(_, back, leave) => (
          <CaneDone
            cane={cane}
            plan={plan}
            worked={worked}
            materials={materials}
            paints={paints}
            shelf={shelf}
            onBack={back}
            onDone={(id) => {
              leave();
              void navigate(`/diary/${id}`);
            }}
          />
        )}
      />
    </Flex>
  );
}
