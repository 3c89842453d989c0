import { Box, Flex, Grid } from '@chakra-ui/react';
import { Suspense, lazy, useMemo, useState, type ReactElement } from 'react';
import { Link, useSearchParams } from 'react-router';
import { FORMS, areaWanted, meshOf, waysFor, type FormKind, type Way } from '#core/pattern';
import { showLength } from '#core/units';
import type { PatternAnswer, ShelfAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { Reading } from '../../../parts/Empty.js';
import { LengthValue } from '../../../parts/Value.js';
import { useWidth } from '../../../parts/useWidth.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import { useFormed, usePatternPlan, type PatternToMake } from '../../../workers/pattern.js';
import { PatternFace } from '../faces/PatternFace.js';
import { densityOf } from '../planWords.js';
import { useAsMade, usePattern, type BenchPattern } from '../usePattern.js';
import { FormStrip } from './FormStrip.js';
import { readFormPlan, takenFor, writeFormPlan, type FormPlan } from './formPlan.js';
import { FORM_NAMES, WAY_WORDS, formSize, handsFor } from './formWords.js';
import { WhereCut } from './WhereCut.js';
import { MouldLine } from './MouldLine.js';
import type { StillMaker } from './turned.js';

const Turned = lazy(() => import('./Turned.js'));

/** px of the form, and of a smaller one where there is less room than so many px. */
const [LARGE, SMALLER, NARROW] = [420, 300, 700];
const HONEST = { seed: 1, wobble: 1 };
const FORM_CHOICES = FORMS.map((value) => ({ value, text: FORM_NAMES[value] }));

interface FormViewProps {
  readonly pattern: PatternAnswer;
  readonly shelf: ShelfAnswer;
}

/** A patterned sheet on something round. */
export function FormView({ pattern, shelf }: FormViewProps): ReactElement {
  const planned = usePattern(pattern, pattern.program.steps, shelf, HONEST);
  const plan = usePatternPlan(planned.plain, pattern.wanted ? areaWanted(pattern.wanted) : null);
  if (plan === null) return <Reading error={null} />;
  if (typeof plan === 'string')
    return (
      <Box padding={5}>
        <Warning>{plan}</Warning>
        <Link to={`/patterns/${pattern.id}`}>its steps</Link>
      </Box>
    );
  return <OnForm pattern={pattern} planned={planned} plan={plan} />;
}

interface FieldsProps {
  readonly plan: FormPlan;
  readonly slices: boolean;
  /** what it becomes of what it is by now */
  readonly onChange: (change: (now: FormPlan) => FormPlan) => void;
}

/** The sentence of the plan, each value of it to be changed where it stands. */
function Fields({ plan, slices, onChange }: FieldsProps): ReactElement {
  const { form, way } = plan;
  const ways = waysFor(form).filter((one) => slices || one !== 'slices');
  const put = (part: Partial<FormPlan['form']>): void => {
    onChange((now) => ({ ...now, form: { ...now.form, ...part } }));
  };
  return (
    <Box fontSize="body" lineHeight={1.8} role="group" aria-label="The form">
      On a{' '}
      <Choice<FormKind>
        label="Form"
        value={form.kind}
        options={FORM_CHOICES}
        onChange={(kind) => {
          put({ kind });
        }}
      />
      ,{' '}
      <LengthValue
        label="Width of the form"
        value={form.width}
        onChange={(width) => {
          put({ width });
        }}
      />{' '}
      across
      {form.kind !== 'ball' && (
        <>
          ,{' '}
          <LengthValue
            label={form.kind === 'dome' ? 'Height of the form' : 'Length of the form'}
            value={form.length}
            onChange={(length) => {
              put({ length });
            }}
          />{' '}
          {form.kind === 'dome' ? 'high' : 'long'}
        </>
      )}{' '}
      when it is finished:{' '}
      <Choice<Way>
        label="How the sheet goes onto it"
        value={way}
        options={ways.map((value) => ({ value, text: WAY_WORDS[value] }))}
        onChange={(next) => {
          onChange((now) => ({ ...now, way: next }));
        }}
      />
    </Box>
  );
}

interface OnFormProps extends Pick<FormViewProps, 'pattern'> {
  readonly planned: BenchPattern;
  readonly plan: PatternToMake;
}

/** The plan in the address of the page. */
function useFormPlan(): readonly [FormPlan, FieldsProps['onChange']] {
  const [query, setQuery] = useSearchParams();
  const plan = useMemo(() => readFormPlan(query), [query]);
  return [
    plan,
    (change) => {
      // what the address says by now: the page is drawn a moment later, and changes may come faster than that
      const now = readFormPlan(new URLSearchParams(window.location.search));
      setQuery(writeFormPlan(change(now)), { replace: true });
    },
  ];
}

function OnForm({ pattern, planned, plan }: OnFormProps): ReactElement {
  const units = useUnits();
  const [own, setOwn] = useFormPlan();
  const bench = useAsMade(planned, plan.steps);
  const slices = plan.starts.some((s) => s.what === 'slices');
  const density = densityOf(plan, bench.materials);
  const takes = takenFor(own, plan.sheet.thick, density);
  const [still, setStill] = useState<StillMaker | null>(null);
  const [frame, width] = useWidth<HTMLDivElement>();
  const size = width > 0 && width < NARROW ? SMALLER : LARGE;
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Flex ref={frame} direction="column" gap={4} padding={5} overflow="auto" minWidth={0}>
        <Flex alignItems="baseline" gap={4} wrap="wrap">
          <h1>{pattern.name}: on a form</h1>
          <Link to={`/patterns/${pattern.id}`}>its steps</Link>
        </Flex>
        <Grid templateColumns="auto minmax(0, 1fr)" gap={6} alignItems="start">
          <Seen bench={bench} own={own} size={size} onStill={setStill} />
          <Box minWidth={0}>
            <Fields plan={own} slices={slices} onChange={setOwn} />
            <Box as="ol" aria-label="How hands do it" marginTop={3} paddingLeft={5} fontSize="small" lineHeight={1.6}>
              {handsFor(own.form, own.way).map((line) => (
                <Box as="li" key={line} listStyleType="decimal">
                  {line}
                </Box>
              ))}
            </Box>
            <WhereCut bench={bench} takes={takes} />
            <MouldLine mm={plan.sheet.thick} density={density} />
          </Box>
        </Grid>
        <Caption>
          A {FORM_NAMES[own.form.kind]}, {formSize(own.form, units)}; the sheet{' '}
          {showLength(plan.sheet.thick, units, true)} thick. Clay keeps its area on it.
        </Caption>
      </Flex>
      <FormStrip {...{ pattern, plan, own, takes, still }} />
    </Grid>
  );
}

interface SeenProps {
  readonly bench: BenchPattern;
  readonly own: FormPlan;
  /** px a side */
  readonly size: number;
  readonly onStill: (still: StillMaker | null) => void;
}

/** The form with what lies on it; flat where it cannot be. */
function Seen({ bench, own, size, onStill }: SeenProps): ReactElement {
  const { seen, wrong } = useFormed({ pattern: bench.plain, paints: bench.paints, form: own.form, way: own.way });
  const mesh = useMemo(() => meshOf(own.form), [own.form]);
  const body = bench.bodies?.at(-1) ?? null;
  const flat = (
    <PatternFace
      pattern={bench.plain}
      at={bench.plain.steps.length - 1}
      body={body}
      size={size}
      paints={bench.paints}
      label="The sheet, flat"
    />
  );
  if (wrong !== null)
    return (
      <Box width={`${size}px`}>
        <Warning>{wrong}</Warning>
        {flat}
      </Box>
    );
  if (!seen) return <Box width={`${size}px`} height={`${size}px`} background="hairline" />;
  return (
    <Box>
      <Suspense fallback={<Box width={`${size}px`} height={`${size}px`} background="hairline" />}>
        <Turned
          mesh={mesh}
          picture={seen.picture}
          label={`The ${FORM_NAMES[own.form.kind]} with the sheet on it`}
          size={size}
          onStill={onStill}
          flat={flat}
        />
      </Suspense>
      {seen.slices !== null && <Caption display="block">{seen.slices} slices lie on it</Caption>}
    </Box>
  );
}
