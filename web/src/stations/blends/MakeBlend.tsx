import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import type { BlendAnswer, MachineDto, ShelfAnswer } from '#contract';
import { BenchSteps } from '../../parts/BenchSteps.js';
import { Reading } from '../../parts/Empty.js';
import { useConditioningBench } from '../../wire/conditioningBench.js';
import { useUnits } from '../../state/view.js';
import { BlendDone } from './BlendDone.js';
import { blendSteps } from './blendSteps.js';
import { FadeStrip } from './FadeStrip.js';
import type { WorkedBlend } from './workedBlend.js';

interface MakeBlendProps {
  readonly blend: BlendAnswer;
  readonly worked: WorkedBlend;
  readonly shelf: ShelfAnswer;
  readonly own: MachineDto | undefined;
}

/** Making the blend: the steps, a counter for the passes, and then the diary. */
export function MakeBlend({ blend, worked, shelf, own }: MakeBlendProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const conditioning = useConditioningBench();
  if (!conditioning) return <Reading error={null} />;
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <FadeStrip labs={worked.fade.labs} width={760} height={34} label="The blend" />
      <BenchSteps
        what={`blend ${blend.id}`}
        steps={blendSteps({ blend, worked, own, shelf, units, conditioning })}
        finish={(counts, back, leave) => (
          <BlendDone
            blend={blend}
            worked={worked}
            shelf={shelf}
            counted={Math.max(0, ...counts)}
            onBack={back}
            onDone={(entryId) => {
              leave();
              void navigate(`/diary/${entryId}`);
            }}
          />
        )}
      />
    </Flex>
  );
}
