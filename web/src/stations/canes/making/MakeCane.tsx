import { benchMachine } from '../../../state/bench.js';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Paint } from '#core/cane';
import type { CaneAnswer, MachinesAnswer, ShelfAnswer } from '#contract';
import { BenchSteps } from '../../../parts/BenchSteps.js';
import { Reading } from '../../../parts/Empty.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { usePlan, type WorkedCane } from '../../../workers/cane.js';
import { CaneDone } from './CaneDone.js';
import { caneSteps } from '../words/caneSteps.js';
import { wantedOf } from '../words/caneWords.js';
import { Face } from '../faces/Face.js';
import type { CaneMaterial } from '../clay/materials.js';

interface MakeCaneProps {
  readonly cane: CaneAnswer;
  readonly worked: WorkedCane | null;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
}

/** Making the cane: every step with the length to reach, then what really came of it. */
export function MakeCane({ cane, worked, materials, paints, shelf, machines }: MakeCaneProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
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
        art={(at) => (
          <Face worked={worked} at={words[at]?.face ?? 0} size={230} paints={paints} label="The face to reach" />
        )}
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
