import { ConditionFirst } from '../../../parts/conditioning/ConditionFirst.js';
import { HARDLY_ANY } from '../../../parts/amounts.js';
import { leftOf } from '../../../state/shelf.js';
import { benchMachine } from '../../../state/bench.js';
import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { TRIMMINGS, begunAt } from '#core/cane';
import { readNumber, showLength, showLong, showMass, type UnitSystem } from '#core/units';
import type { CaneAnswer, CaneDto, MachineDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { AmountBar } from '../../../parts/AmountBar.js';
import { Choice } from '../../../parts/Choice.js';
import { PaperChoice } from '../../../parts/PaperChoice.js';
import { Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits, useView } from '../../../state/view.js';
import { UNKNOWN_HEX } from '../../../theme/grey.js';
import { Caption, Key, Rule, Second, Strip, Word } from '../../../theme/pieces.js';
import type { WorkedCane } from '../../../workers/cane.js';
import type { PlainPlan } from '../../../workers/canePlain.js';
import type { CaneMaterial } from '../clay/materials.js';
import { saveBuildSheet } from '../words/buildSheet.js';
import { gramsOf, pathWords, slicesWords, startWords, volumesToRoll, wrapWords } from '../words/caneWords.js';
import { FromWhatIHave } from './FromWhatIHave.js';
import { MadeThing, useThere } from './MadeThing.js';
import { Scrap } from './Scrap.js';

/** mm: shorter than this nobody reduces a piece, and so long it is handy. Assumptions. */
const [LEAST, HANDY] = [18, 50];
/** A cane cannot begin thinner than it ends: it is begun at most so much shorter than its slices are together. */
const SHORTER = 0.8;

interface CaneStripProps {
  readonly cane: CaneAnswer;
  readonly worked: WorkedCane | null;
  readonly plan: PlainPlan | string | null;
  /** it is the plan of a part that was opened, by itself */
  readonly ofPart: boolean;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
  readonly onChange: (part: Partial<CaneDto>) => void;
}

/** What its parts are given, once there is a plan. */
interface Own extends Omit<CaneStripProps, 'plan'> {
  readonly plan: PlainPlan;
  readonly machine: MachineDto | undefined;
}

/** The paper strip: clay to roll, what to begin with, what is lost. */
export function CaneStrip({ plan, ...own }: CaneStripProps): ReactElement {
  if (plan === null || plan === '') return <Strip />;
  if (typeof plan === 'string')
    return (
      <Strip>
        <Warning>{plan}</Warning>
      </Strip>
    );
  const all: Own = { ...own, plan, machine: benchMachine(own.machines) };
  if (own.ofPart)
    return (
      <Strip aria-label="Clay of this part">
        <ClayToRoll {...all} />
        <Rule />
        <StartWith {...all} />
      </Strip>
    );
  return (
    <Strip aria-label="Clay and what to begin with">
      <ClayToRoll {...all} />
      <FromWhatIHave {...all} />
      <Rule />
      <StartWith {...all} />
      <TooShort {...all} />
      <Rule />
      <Ends {...all} />
      <Scrap plan={plan} materials={own.materials} />
      <Rule />
      <WaysOn {...all} />
    </Strip>
  );
}

/** What the plan is for. */
function slicesFor(plan: PlainPlan, units: UnitSystem): string {
  const { slices, thickness } = plan.wanted;
  const from = plan.pieces > 1 ? `: ${slicesWords(plan, slices)}` : '';
  return `for ${slices} slices of ${showLength(thickness, units)}, ends lost${from}`;
}

/** Grams of each clay, most first, and of what is mixed of them first. */
function ClayToRoll({ plan, ofPart, materials, shelf }: Own): ReactElement {
  const units = useUnits();
  const { perClay, mixed, total } = gramsOf(volumesToRoll(plan, useThere()), materials);
  const rows = [...perClay].sort((a, b) => b[1] - a[1]);
  const longest = Math.max(1, ...rows.map(([, g]) => g));
  return (
    <div>
      <Box as="h2" marginBottom={1}>
        Clay to roll
      </Box>
      <Second>{ofPart ? 'for this part by itself, as long as its steps make it' : slicesFor(plan, units)}</Second>
      <Box as="ul" marginTop={3}>
        {rows.map(([clayId, grams]) => (
          <OneClay key={clayId} clayId={clayId} grams={grams} longest={longest} shelf={shelf} />
        ))}
      </Box>
      <Box fontSize="small">
        <b>{showMass(total, units)}</b> in all
      </Box>
      <ConditionFirst clays={rows.map(([clayId, grams]) => ({ clayId, grams }))} />
      {mixed.length > 0 && (
        <Box fontSize="small" marginTop={3}>
          Of that, to make first
          <Box as="ul" aria-label="Mixes and blends to make first" lineHeight={1.5}>
            {mixed.map(({ material, grams }) => (
              <Box as="li" key={material.key} display="flex" justifyContent="space-between">
                <span>{material.name}</span>
                <b>{showMass(grams, units)}</b>
              </Box>
            ))}
          </Box>
        </Box>
      )}
    </div>
  );
}

interface OneClayProps {
  readonly clayId: string;
  readonly grams: number;
  readonly longest: number;
  readonly shelf: ShelfAnswer;
}

/** How much of one clay, and whether the shelf has it. */
function OneClay({ clayId, grams, longest, shelf }: OneClayProps): ReactElement {
  const units = useUnits();
  const clay = shelf.clays.find((c) => c.id === clayId);
  const left = leftOf(shelf, clayId);
  const short = Math.max(0, grams - left);
  return (
    <Box as="li" marginBottom={2}>
      <Box display="flex" justifyContent="space-between" fontSize="small">
        <b>{clay?.name}</b>
        <b>{showMass(grams, units)}</b>
      </Box>
      <AmountBar grams={grams} short={short} longest={longest} hex={clay?.bakedHex ?? UNKNOWN_HEX} />
      <Caption>
        {short > HARDLY_ANY ? `${showMass(left, units)} on the shelf, ${showMass(short, units)} short` : 'on the shelf'}
      </Caption>
    </Box>
  );
}

/** The pieces that the cane begins with, each with its size. */
function StartWith({ plan, materials, machine }: Own): ReactElement {
  const units = useUnits();
  const names = (key: string): string => materials.get(key)?.name ?? '…';
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Start with
      </Box>
      <Box as="ul" fontSize="small" lineHeight={1.45} css={{ '& li': { marginBottom: '6px' } }}>
        {plan.starts.map((s, i) => (
          <li key={i}>
            {startWords(s, names, machine, units)}
            {pathWords(s.path)}
            {'made' in s.step && s.step.made !== undefined && (
              <MadeThing id={s.step.made} needed={s.length * s.count} />
            )}
          </li>
        ))}
        {plan.wraps.map((w, i) => (
          <li key={`w${i}`}>
            {wrapWords(w, names, machine, units)}
            {pathWords(w.path)}
          </li>
        ))}
      </Box>
    </div>
  );
}

/** That a piece is too short to work with, and the way to begin it smaller and longer. */
function TooShort({ cane, plan, onChange }: Own): ReactElement | null {
  const units = useUnits();
  const shortest = Math.min(Infinity, ...plan.starts.filter((s) => s.path.length === 0).map((s) => s.length));
  if (shortest >= LEAST) return null;
  const { program } = cane;
  const handy = Math.min(HANDY, SHORTER * cane.slices * cane.sliceMm);
  const reduced = program.steps.some((s) => s.do === 'reduce' && s.to === 'diameter');
  return (
    <Box>
      <Warning>A piece of {showLength(shortest, units)} is too short to work with.</Warning>
      {shortest < handy && plan.made.length === 0 && reduced && (
        <Word
          fontSize="small"
          onClick={() => {
            onChange({ program: { ...program, steps: begunAt(program.steps, Math.sqrt(shortest / handy)) } });
          }}
        >
          Begin it smaller, so that it is {showLong(handy, units)} long
        </Word>
      )}
    </Box>
  );
}

/** When ends are trimmed, and how much each takes. */
function Ends({ cane, onChange }: Own): ReactElement {
  return (
    <Box fontSize="small" lineHeight={1.6}>
      Ends are trimmed{' '}
      <Choice
        label="When ends are trimmed"
        value={cane.trimming}
        options={TRIMMINGS.map((value) => ({ value, text: value }))}
        onChange={(trimming) => {
          onChange({ trimming });
        }}
      />
      ,{' '}
      <Value
        label="Widths lost at each end"
        text={(cane.ends ?? cane.learnedEnds.ends).toFixed(2).replace(/\.?0+$/, '')}
        read={(t) => readNumber(t).valueOf()}
        onChange={(ends) => {
          onChange({ ends });
        }}
      />{' '}
      of its width at each end{' '}
      {cane.ends == null ? (
        <Caption>{cane.learnedEnds.from === 0 ? '(~ assumed)' : `(from ${cane.learnedEnds.from} made)`}</Caption>
      ) : (
        <Word
          fontSize="caption"
          onClick={() => {
            onChange({ ends: null });
          }}
        >
          as learned
        </Word>
      )}
    </Box>
  );
}

/** To the bench, and to paper. */
function WaysOn({ cane, worked, plan, materials, machine }: Own): ReactElement {
  const { units, coreMm, paper } = useView();
  const there = useThere();
  return (
    <>
      <Box fontWeight={600}>
        <Link to={`/canes/${cane.id}/make`}>To the bench: make it</Link> <Key>B</Key>
      </Box>
      <Word
        fontSize="small"
        textAlign="left"
        onClick={() => {
          void saveBuildSheet({
            cane,
            plan,
            sizes: worked?.steps ?? [],
            there,
            materials,
            own: machine,
            coreMm,
            units,
            size: paper,
          });
        }}
      >
        Build sheet as PDF
      </Word>
      <Box fontSize="small">
        on <PaperChoice label="Paper of the build sheet" />
      </Box>
    </>
  );
}
