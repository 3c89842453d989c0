import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import {
  ORNAMENTS,
  areaWanted,
  flatSquare,
  ornamentOf,
  ornamentSteps,
  type Ornament,
  type OrnamentPlan,
} from '#core/pattern';
import { showLength, showMass, showSize } from '#core/units';
import type { MachinesAnswer, PatternAnswer, PatternCutDto, ShelfAnswer } from '#contract';
import { Reading } from '../../../parts/Empty.js';
import { LengthValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Rule, Second, Strip } from '../../../theme/pieces.js';
import { usePatternPlan, type PatternToMake } from '../../../workers/pattern.js';
import { gramsOf } from '../../canes/words/caneWords.js';
import { IntoBatch } from '../cutting/IntoBatch.js';
import { sheetsToCut } from '../cutting/cutMoves.js';
import { densityOf } from '../planWords.js';
import { useAsMade, usePattern, type BenchPattern } from '../usePattern.js';
import { AtBench } from './AtBench.js';
import { FoldDrawing } from './FoldDrawing.js';
import { ORNAMENT_ABOUT, ORNAMENT_NAMES } from './foldWords.js';
import { useFoldPlan, type Own } from './useFoldPlan.js';
import { useSquare, type Square } from './useSquare.js';

const HONEST = { seed: 1, wobble: 1 };
/** px of a choice, and of a step. */
const [CHOICE, STEP] = [104, 128];
const Pick = chakra('button', { base: { textAlign: 'left', display: 'block', width: '150px', padding: 1 } });

interface FoldViewProps {
  readonly pattern: PatternAnswer;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
}

/** A patterned sheet folded to an ornament. */
export function FoldView({ pattern, shelf, machines }: FoldViewProps): ReactElement {
  const bench = usePattern(pattern, pattern.program.steps, shelf, HONEST);
  const plan = usePatternPlan(bench.plain, pattern.wanted ? areaWanted(pattern.wanted) : null);
  if (plan === null) return <Reading error={null} />;
  if (typeof plan === 'string' || plan.sheet.form === 'rope')
    return (
      <Box padding={5}>
        <h1>No sheet to fold yet</h1>
        <p>{typeof plan === 'string' ? plan : 'This is still a rope. Coil it, flatten it along, or cut it across.'}</p>
        <Link to={`/patterns/${pattern.id}`}>its steps</Link>
      </Box>
    );
  return <Folding pattern={pattern} machines={machines} planned={bench} plan={plan} />;
}

interface FoldingProps extends Omit<FoldViewProps, 'shelf'> {
  readonly planned: BenchPattern;
  readonly plan: PatternToMake;
}

function Folding({ pattern, machines, planned, plan }: FoldingProps): ReactElement {
  const bench = useAsMade(planned, plan.steps);
  const own = useFoldPlan(plan);
  const square = useSquare(bench, own.side);
  const { total } = gramsOf(plan.given, bench.materials);
  const made = ornamentOf(own.ornament, own.side, plan.sheet.thick, densityOf(plan, bench.materials));
  if (own.atBench) return <AtBench pattern={pattern} own={own} made={made} square={square} mm={plan.sheet.thick} />;
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Flex direction="column" gap={4} padding={5} overflow="auto" minWidth={0}>
        <Flex alignItems="baseline" gap={4} wrap="wrap">
          <h1>{pattern.name}: folded</h1>
          <Link to={`/patterns/${pattern.id}`}>its steps</Link>
        </Flex>
        <Choices own={own} square={square} />
        <Sentence own={own} made={made} mm={plan.sheet.thick} />
        <Steps own={own} square={square} />
      </Flex>
      <Paper {...{ pattern, machines, plan, own, made, total }} />
    </Grid>
  );
}

/** The ornaments as they come out, of this very sheet. */
function Choices({ own, square }: { readonly own: Own; readonly square: Square }): ReactElement {
  return (
    <Flex as="ul" gap={4} wrap="wrap" aria-label="Ornaments">
      {ORNAMENTS.map((one: Ornament) => (
        <li key={one}>
          <Pick
            aria-label={`Fold a ${ORNAMENT_NAMES[one].toLowerCase()}`}
            aria-pressed={one === own.ornament}
            onClick={() => {
              own.set({ as: one });
            }}
          >
            <FoldDrawing
              sheet={ornamentSteps(one).at(-1)?.after ?? flatSquare}
              size={CHOICE}
              label={`${ORNAMENT_NAMES[one]}, folded`}
              {...square}
            />
            <Box fontWeight={600} marginTop={1} borderBottom={one === own.ornament ? 'rule' : undefined}>
              {ORNAMENT_NAMES[one]}
            </Box>
            <Caption>{ORNAMENT_ABOUT[one]}</Caption>
          </Pick>
        </li>
      ))}
    </Flex>
  );
}

interface SentenceProps {
  readonly own: Own;
  readonly made: OrnamentPlan;
  readonly mm: number;
}

/** The size of the square, and what is wrong with it. */
function Sentence({ own, made, mm }: SentenceProps): ReactElement {
  const units = useUnits();
  const range = `so thick it folds from ${showLength(made.least, units)} to ${showLength(made.most, units)}`;
  return (
    <Box fontSize="body" lineHeight={1.8} borderTop="rule" paddingTop={3}>
      {ORNAMENT_NAMES[own.ornament]} of a square of{' '}
      <LengthValue
        label="Side of the square"
        value={own.side}
        onChange={(side) => {
          own.set({ side: String(Math.min(own.most, side)) });
        }}
      />
      , {showLength(mm, units, true)} thick.{' '}
      <Second>
        The sheet holds one of {showLength(own.most, units)}; {range}.
      </Second>
      {made.wrong !== null && <Warning>{made.wrong}</Warning>}
    </Box>
  );
}

/** Every fold in a row, with the line that it goes along. */
function Steps({ own, square }: { readonly own: Own; readonly square: Square }): ReactElement {
  return (
    <Flex as="ol" gap={4} wrap="wrap" aria-label="Folds, in their order">
      {ornamentSteps(own.ornament).map((step, i) => (
        <li key={i}>
          <FoldDrawing
            sheet={step.before}
            crease={step.crease}
            size={STEP}
            label={step.crease ? `Fold ${i + 1}, along the line` : 'Turn it over'}
            {...square}
          />
          <Caption>
            {i + 1} {step.crease ? `fold ${step.crease.way}` : 'turn it over'}
          </Caption>
        </li>
      ))}
    </Flex>
  );
}

interface PaperProps extends Pick<FoldViewProps, 'pattern' | 'machines'> {
  readonly plan: PatternToMake;
  readonly own: Own;
  readonly made: OrnamentPlan;
  /** g of all sheets */
  readonly total: number;
}

/** What comes of it, the way to the bench, and into a batch. */
function Paper({ pattern, machines, plan, own, made, total }: PaperProps): ReactElement {
  const units = useUnits();
  const sheets = sheetsToCut(plan, total);
  const cut: PatternCutDto = {
    ...{ id: own.ornament, name: `${ORNAMENT_NAMES[own.ornament]}, folded`, shape: 'rectangle', bridgeMm: 0 },
    ...{ widthMm: own.side, heightMm: own.side, rimMm: null, points: null },
    places: [{ x: plan.sheet.width / 2, y: plan.sheet.height / 2, degrees: 0, flip: false, sheet: 0 }],
  };
  return (
    <Strip aria-label="What comes of folding">
      <Box>
        <Box as="h2" marginBottom={1}>
          Folded
        </Box>
        <Box fontSize="small" lineHeight={1.7}>
          {showSize(made.width, made.height, units)}, <b>{showMass(made.grams, units)}</b>
          <br />
          {made.layers} layers at the thickest: it bakes as <b>{showLength(made.thickest, units, true)}</b>
        </Box>
      </Box>
      <Rule />
      <Action
        main
        disabled={made.wrong !== null}
        onClick={() => {
          own.set({ at: 'bench' });
        }}
      >
        To the bench: fold it
      </Action>
      <Rule />
      <IntoBatch pattern={pattern} cutting={{ cuts: [cut] }} sheets={sheets} hands={HONEST} machines={machines} />
    </Strip>
  );
}
