import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import { showLength, showMass, showSize } from '#core/units';
import type { MachinesAnswer, PatternAnswer, PatternCutDto } from '#contract';
import { useWidth } from '../../../parts/useWidth.js';
import { useUnits } from '../../../state/view.js';
import { Rule, Second, Strip } from '../../../theme/pieces.js';
import { useRefusal } from '../../../wire/save.js';
import { useBodies, type PatternToMake, type PlainPattern } from '../../../workers/pattern.js';
import { gramsOf } from '../../canes/words/caneWords.js';
import type { BenchPattern, Hands } from '../usePattern.js';
import { sheetsToCut, weighed, type SheetsToCut } from './cutMoves.js';
import { IntoBatch } from './IntoBatch.js';
import { PiecesSeen } from './PiecesSeen.js';
import { SheetToCut } from './SheetToCut.js';
import { useCutting, type Cutting } from './useCutting.js';
import { WhatIsCut } from './WhatIsCut.js';

interface CutPatternProps {
  readonly pattern: PatternAnswer;
  readonly bench: BenchPattern;
  readonly plan: PatternToMake | string | null;
  readonly hands: Hands;
  readonly machines: MachinesAnswer;
  readonly onCuts: (cuts: readonly PatternCutDto[]) => void;
}

/** Where pieces are cut of the finished sheets: by hand, or where it is best. */
export function CutPattern({ plan, ...own }: CutPatternProps): ReactElement | null {
  if (plan === null) return null;
  if (typeof plan === 'string') return <NotYet id={own.pattern.id}>{plan}</NotYet>;
  if (plan.sheet.form === 'rope')
    return (
      <NotYet id={own.pattern.id}>
        This is still a rope. Coil it, flatten it along, or cut it across: then there is a sheet to cut pieces of.
      </NotYet>
    );
  return <Ready {...own} plan={plan} />;
}

/** Nothing that could be cut. */
function NotYet({ id, children }: { readonly id: string; readonly children: string }): ReactElement {
  return (
    <Box padding={5}>
      <h1>No sheet to cut yet</h1>
      <p>{children}</p>
      <Link to={`/patterns/${id}`}>back to its steps</Link>
    </Box>
  );
}

/** px of the sheet, and of a smaller one where there is less room than so many px. */
const [LARGE, SMALLER, NARROW] = [430, 300, 700];

interface ReadyProps extends Omit<CutPatternProps, 'plan'> {
  readonly plan: PatternToMake;
}

function Ready({ pattern, bench, plan, hands, machines, onCuts }: ReadyProps): ReactElement {
  // as large as it is made: what is wanted of it may make it larger than its steps say
  const plain = useMemo((): PlainPattern => ({ ...bench.plain, steps: plan.steps }), [bench.plain, plan.steps]);
  const body = useBodies(plain)?.at(-1) ?? null;
  const given = gramsOf(plan.given, bench.materials).total;
  const sheets = useMemo(() => sheetsToCut(plan, given), [plan, given]);
  const [frame, width] = useWidth<HTMLDivElement>();
  const cutting = useCutting({ pattern, bench, plain, makes: plan.makes, sheets, save: onCuts });
  const refusal = useRefusal(`/api/patterns/${pattern.id}`);
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Flex ref={frame} direction="column" gap={4} padding={5} overflow="auto" minWidth={0}>
        <Flex alignItems="baseline" gap={4} wrap="wrap">
          <h1>{pattern.name}: where to cut</h1>
          <Link to={`/patterns/${pattern.id}`}>its steps</Link>
        </Flex>
        {body?.there && (
          <Grid templateColumns="auto minmax(0, 1fr)" gap={6} alignItems="start">
            <SheetToCut
              size={width > 0 && width < NARROW ? SMALLER : LARGE}
              cutting={cutting}
              sheets={sheets}
              plain={plain}
              body={body}
              bench={bench}
            />
            <Flex direction="column" gap={4} minWidth={0}>
              <WhatIsCut cutting={cutting} refusal={refusal} sheets={sheets} />
              <PiecesSeen cut={cutting.chosen} plain={plain} each={body.count} bench={bench} />
            </Flex>
          </Grid>
        )}
      </Flex>
      <Paper {...{ pattern, cutting, sheets, hands, machines }} />
    </Grid>
  );
}

interface PaperProps {
  readonly pattern: PatternAnswer;
  readonly cutting: Cutting;
  readonly sheets: SheetsToCut;
  readonly hands: Hands;
  readonly machines: MachinesAnswer;
}

/** The paper strip: what the pieces weigh, what is left, and where they go. */
function Paper({ pattern, cutting, sheets, hands, machines }: PaperProps): ReactElement {
  const units = useUnits();
  const { ground, round, thick, count } = sheets;
  const { pieces, rest } = weighed(cutting.cuts, sheets);
  const many = cutting.cuts.reduce((sum, c) => sum + c.places.length, 0);
  const size = round ? `${showLength(ground.width, units)} across` : showSize(ground.width, ground.length, units);
  return (
    <Strip aria-label="Pieces and what is left">
      <div>
        <Box as="h2" marginBottom={1}>
          {count === 1 ? 'One sheet' : `${count} sheets`}
        </Box>
        <Second>
          {size}, {showLength(thick, units, true)} thick
        </Second>
      </div>
      <Rule />
      <div>
        <Box as="h2" marginBottom={1}>
          Cut of it
        </Box>
        {many === 0 ? (
          <Second>nothing yet</Second>
        ) : (
          <Box fontSize="small" lineHeight={1.7}>
            <b>{many}</b> {many === 1 ? 'piece' : 'pieces'}, <b>{showMass(pieces, units)}</b>
            <br />
            {showMass(rest, units)} of the sheet left, for the tubs
          </Box>
        )}
      </div>
      <Rule />
      <IntoBatch pattern={pattern} cutting={cutting} sheets={sheets} hands={hands} machines={machines} />
    </Strip>
  );
}
