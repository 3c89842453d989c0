import { Box, Flex, Grid } from '@chakra-ui/react';
import { useEffect, useMemo, useState, type ReactElement, type ReactNode } from 'react';
import { usable, type Stage, type Step } from '#core/cane';
import { showLength, showLong } from '#core/units';
import type { BlendCard, CaneAnswer, CaneCard, ShelfAnswer } from '#contract';
import { Warning } from '../../../parts/Warning.js';
import { useUnits, useView } from '../../../state/view.js';
import { Key, Second, Word } from '../../../theme/pieces.js';
import { useWorkedCane, type Judged } from '../../../workers/cane.js';
import { ByHand } from './ByHand.js';
import { Face } from '../faces/Face.js';
import { longWords } from '../words/caneWords.js';

import { stepTitle, viewOf, withUsualValue } from '../steps/index.js';
import { Taper } from './Taper.js';
import type { BenchCane, Wobble } from '../clay/useCane.js';

const LARGE = 392;

interface StepBenchProps {
  readonly cane: CaneAnswer;
  readonly bench: BenchCane;
  /** those of the cane, or of the part of it that is open */
  readonly steps: readonly Step[];
  readonly at: number;
  readonly wobble: Wobble;
  readonly trueSize: boolean;
  /** mm, by the eye */
  readonly blur: number;
  readonly feature: Judged['feature'];
  /** of the plan, where there is one: as long as it is really made */
  readonly stages: readonly Stage[] | null;
  readonly shelf: ShelfAnswer;
  readonly blends: readonly BlendCard[];
  readonly canes: readonly CaneCard[];
  readonly onChange: (step: Step) => void;
  readonly onOpen: (part: number) => void;
  readonly onAdd: () => void;
  readonly onMove: (by: number) => void;
  readonly onCopy: () => void;
  readonly onRemove: () => void;
  /** what waits while something is dragged */
  readonly children: ReactNode;
}

/** Where there is no face after a step: what is wrong, or, while it is being worked out, the last face there is. */
function NoFace({
  worked,
  at,
  steps,
  paints,
}: {
  readonly worked: BenchCane['worked'];
  readonly at: number;
  readonly steps: number;
  readonly paints: BenchCane['paints'];
}): ReactElement {
  const wrong = worked?.steps.find((s) => s.wrong !== null)?.wrong;
  const computing = !worked || worked.steps.length !== steps;
  const before = worked?.steps.findLastIndex((s, i) => s.there && i <= at) ?? -1;
  return (
    <Box width={`${LARGE}px`}>
      {before >= 0 && (
        <Box opacity={0.5}>
          <Face worked={worked} at={before} size={LARGE} paints={paints} label={`The face after step ${before + 1}`} />
        </Box>
      )}
      {computing ? (
        <Second aria-live="polite">being worked out …</Second>
      ) : (
        <Warning>{wrong ?? 'A step before this one cannot be done.'}</Warning>
      )}
    </Box>
  );
}

/** One step: the large face after it beside its values. While one of them is dragged only this follows. */
export function StepBench({
  cane,
  bench,
  steps,
  at,
  wobble,
  trueSize,
  blur,
  feature,
  stages,
  shelf,
  blends,
  canes,
  onChange,
  onOpen,
  onAdd,
  onMove,
  onCopy,
  onRemove,
  children,
}: StepBenchProps): ReactElement {
  const units = useUnits();
  const pxPerMm = useView((s) => s.pxPerMm);
  const { materials, paints } = bench;
  /** while a value is dragged, before it is saved */
  const [dragged, setDragged] = useState<Step | null>(null);
  // what was let go stays as it is until the saved cane is worked out too
  useEffect(() => {
    setDragged(null);
  }, [bench.worked, at]);
  const moving = useMemo(
    () => (dragged && bench.plain ? { ...bench.plain, steps: steps.map((s, i) => (i === at ? dragged : s)) } : null),
    [dragged, bench.plain, steps, at],
  );
  const followed = useWorkedCane(`${cane.id} dragged ${wobble}`, moving);
  const worked = (dragged && followed) ?? bench.worked;
  const step = dragged ?? steps[at];
  const figures = worked?.steps[at];
  const before = worked?.steps[at - 1];
  const stage = stages?.[at];
  const side = figures?.there ? Math.max(figures.width, figures.height) : 0;
  const shown = trueSize && side > 0 ? Math.max(6, side * pxPerMm) : LARGE;
  const blendChoices = useMemo(() => blends.map((b) => ({ revisionId: b.revisionId, name: b.name })), [blends]);
  const caneChoices = useMemo(
    () => canes.filter((c) => c.id !== cane.id && !c.retired).map((c) => ({ revisionId: c.revisionId, name: c.name })),
    [canes, cane.id],
  );
  const still = steps[at];
  const measured = bench.worked?.steps[at];
  // the sentence with its fields waits for the hand too: beside the handle stands what it is now
  const Fields = still && viewOf(still.do).Fields;
  const editor = useMemo(
    () =>
      Fields && (
        <Fields
          key={still.id}
          step={still}
          materials={materials}
          blends={blendChoices}
          canes={caneChoices}
          insides={cane.canes}
          shelf={shelf}
          name={cane.name}
          onChange={(next) => {
            onChange(withUsualValue(still, next, measured));
          }}
          onOpen={onOpen}
        />
      ),
    [Fields, still, measured, materials, blendChoices, caneChoices, cane.canes, shelf, cane.name, onChange, onOpen],
  );
  return (
    <Grid templateColumns="minmax(0, auto) minmax(260px, 1fr)" gap={6} alignItems="start">
      <Box>
        {figures?.there ? (
          <>
            <Box style={blur === 0 ? {} : { filter: `blur(${((blur / 2) * shown) / side}px)` }}>
              <Face
                worked={worked}
                at={at}
                size={Math.round(shown)}
                paints={paints}
                coarse={dragged !== null}
                label={`The face after step ${at + 1}`}
              />
            </Box>
            <Box fontSize="small" marginTop={2}>
              {figures.round
                ? `${showLength(figures.across, units)} across`
                : `${showLength(figures.width, units)} × ${showLength(figures.height, units)}`}
              ,{' '}
              {stage && !dragged
                ? longWords(stage, units)
                : `${showLong(figures.length, units)} ` +
                  `long${figures.count > 1 ? `, ${figures.count} of them` : ''}`}{' '}
              · {trueSize ? 'true size' : `${(shown / pxPerMm / side).toFixed(side > 30 ? 1 : 0)} : 1`}
            </Box>
            {feature && (
              <Second>
                narrowest: {showLength(feature.mm, units, true)} of {materials.get(feature.material)?.name ?? ''}
              </Second>
            )}
          </>
        ) : (
          <NoFace worked={worked} at={at} steps={steps.length} paints={paints} />
        )}
      </Box>
      <Flex direction="column" gap={4} minWidth={0}>
        {step && (
          <Box>
            <Box as="h2" marginBottom={1}>
              {at + 1} {stepTitle(step, units)}
            </Box>
            <Box lineHeight={1.7}>{editor}</Box>
            <ByHand step={step} onSlide={setDragged} onSet={onChange} />
            {figures?.wrong != null && <Warning>{figures.wrong}</Warning>}
            <Flex gap={4} fontSize="small" marginTop={2} wrap="wrap">
              <Word onClick={onAdd}>add after it</Word>
              <Key>A</Key>
              {at > 0 && (
                <>
                  <Word
                    onClick={() => {
                      onMove(-1);
                    }}
                    disabled={at < 2}
                  >
                    earlier
                  </Word>
                  <Word
                    onClick={() => {
                      onMove(1);
                    }}
                    disabled={at >= steps.length - 1}
                  >
                    later
                  </Word>
                  <Word onClick={onCopy}>copy</Word>
                  <Word onClick={onRemove}>take out</Word>
                </>
              )}
            </Flex>
          </Box>
        )}
        {before?.there && step?.do === 'reduce' && step.to === 'diameter' && (
          <Taper
            from={before.across}
            length={stages?.[at - 1] ? usable(stages[at - 1] as Stage) : before.length}
            value={Math.min(step.value, before.across)}
            label="slide to reduce"
            onSlide={(value) => {
              setDragged({ ...step, value });
            }}
            onSet={(value) => {
              onChange({ ...step, value });
            }}
          />
        )}
        {children}
      </Flex>
    </Grid>
  );
}
