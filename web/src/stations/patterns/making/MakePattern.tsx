import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { MachinesAnswer, PatternAnswer, ShelfAnswer } from '#contract';
import { BenchSteps } from '../../../parts/BenchSteps.js';
import { Reading } from '../../../parts/Empty.js';
import { Warning } from '../../../parts/Warning.js';
import { benchMachine } from '../../../state/bench.js';
import { PaperChoice } from '../../../parts/PaperChoice.js';
import { useUnits, useView } from '../../../state/view.js';
import { Word } from '../../../theme/pieces.js';
import { useBodies, useJudgedStages, type PatternToMake, type PlainPattern } from '../../../workers/pattern.js';
import { PatternFace } from '../faces/PatternFace.js';
import { viewFor } from '../PatternRow.js';
import { evenIn, isCounted, withCount } from '../stageWords.js';
import type { BenchPattern, Hands } from '../usePattern.js';
import { PatternDone } from './PatternDone.js';
import { savePatternSheet } from './patternPaper.js';
import { patternSteps, stopsPlanned } from './patternSteps.js';

interface MakeProps {
  readonly pattern: PatternAnswer;
  readonly bench: BenchPattern;
  readonly plan: PatternToMake | string | null;
  readonly hands: Hands;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
}

const FACE = 230;

/** Folds beyond the plan that are looked at, since hands go on. */
const BEYOND = 3;
const MOST_LOOKED = 12;

/** The sheet after each fold, a few beyond the planned one too: what the stop line rings at. */
function useStages(plain: PlainPattern, bench: BenchPattern): ReturnType<typeof useJudgedStages> {
  const at = plain.steps.findLastIndex(isCounted);
  const step = plain.steps[at];
  const planned = step && isCounted(step) && step.do !== 'twist' ? step.times : 0;
  const most = planned === 0 ? 0 : Math.max(planned, Math.min(MOST_LOOKED, planned + BEYOND));
  const stages = Array.from({ length: most }, (_, n) => ({
    ...plain,
    steps: plain.steps.map((s, i) => (i === at && isCounted(s) ? withCount(s, n + 1) : s)),
  }));
  return useJudgedStages(stages, bench.colours);
}

/** Making the sheet: every step as hands do it, what is counted is counted, then what really came of it. */
export function MakePattern(props: MakeProps): ReactElement {
  const { pattern, plan } = props;
  if (plan === null) return <Reading error={null} />;
  if (typeof plan === 'string')
    return (
      <Flex direction="column" gap={4} padding={5}>
        <Warning>{plan}</Warning>
        <Link to={`/patterns/${pattern.id}`}>back to the patterned sheet</Link>
      </Flex>
    );
  return <Making {...props} plan={plan} />;
}

/** The steps on paper, and the way back. */
function Foot({ id, onPrint }: { readonly id: string; readonly onPrint: () => void }): ReactElement {
  return (
    <Flex gap={4} alignItems="baseline">
      <span>
        <Word
          onClick={(e) => {
            // the space key counts on
            e.currentTarget.blur();
            onPrint();
          }}
        >
          on paper
        </Word>
        , <PaperChoice label="Paper of the build sheet" />
      </span>
      <Link to={`/patterns/${id}`}>the plan</Link>
    </Flex>
  );
}

function Making({ pattern, bench, plan, hands, shelf, machines }: MakeProps & { readonly plan: PatternToMake }) {
  const units = useUnits();
  const navigate = useNavigate();
  // as large as it is made
  const plain: PlainPattern = { ...bench.plain, steps: plan.steps };
  const bodies = useBodies(plain);
  const stages = useStages(plain, bench);
  const paper = useView((s) => s.paper);
  if (!bodies) return <Reading error={null} />;
  const name = (key: string): string => bench.materials.get(key)?.name ?? '…';
  const print = (): void => {
    void savePatternSheet({ pattern, bench, plain, plan, bodies, words, units, size: paper });
  };
  const mica = Object.keys(bench.paints.deep);
  const sheen = mica.length > 0 ? { keys: mica, even: evenIn(pattern.stops) } : null;
  const words = patternSteps({ plan, bodies, stages, sheen, name, own: benchMachine(machines), units });
  return (
    <Flex direction="column" padding={5} gap={4} height="100%" overflowY="auto">
      <Box fontSize="small">{pattern.name}</Box>
      <BenchSteps
        what={`pattern ${pattern.id}`}
        steps={words}
        art={(at) => {
          const face = words[at]?.face ?? 0;
          const body = bodies[face] ?? null;
          return (
            <PatternFace
              pattern={plain}
              at={face}
              body={body}
              {...(body?.there ? { view: viewFor(body) } : {})}
              size={FACE}
              paints={bench.paints}
              label="What is there then"
            />
          );
        }}
        foot={<Foot id={pattern.id} onPrint={print} />}
        finish={(counts, back, leave) => (
          <PatternDone
            pattern={pattern}
            bench={bench}
            plain={plain}
            plan={plan}
            hands={hands}
            stops={stopsPlanned(words, counts, stages)}
            shelf={shelf}
            own={benchMachine(machines)}
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
