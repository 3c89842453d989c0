import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { TRIMMINGS, begunAt } from '#core/cane';
import { readNumber, showLength, showLong, showMass } from '#core/units';
import type { CaneAnswer, CaneDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { AmountBar } from '../../../parts/AmountBar.js';
import { Choice } from '../../../parts/Choice.js';
import { PaperChoice } from '../../../parts/PaperChoice.js';
import { Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useView } from '../../../state/view.js';
import { Caption, Key, Rule, Second, Strip, Word } from '../../../theme/pieces.js';
import type { PlainPlan } from '../../../workers/canePlain.js';
import { saveBuildSheet } from '../words/buildSheet.js';
import { gramsOf, pathWords, slicesWords, startWords, volumesToRoll, wrapWords } from '../words/caneWords.js';
import type { CaneMaterial } from '../clay/materials.js';
import { MadeThing, useThere } from './MadeThing.js';
import { Scrap } from './Scrap.js';

/** mm: shorter than this nobody reduces a piece, and so long it is handy. Assumptions. */
const [LEAST, HANDY] = [18, 50];

interface CaneStripProps {
  readonly cane: CaneAnswer;
  readonly plan: PlainPlan | string | null;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
  readonly onChange: (part: Partial<CaneDto>) => void;
}

/** The paper strip: clay to roll, what to begin with, what is lost. */
export function CaneStrip({ cane, plan, materials, shelf, machines, onChange }: CaneStripProps): ReactElement {
  const { units, coreMm, paper } = useView();
  const there = useThere();
  const own = machines.machines.find((m) => m.id === machines.setup.machineId);
  if (plan === null || plan === '') return <Strip />;
  if (typeof plan === 'string')
    return (
      <Strip>
        <Warning>{plan}</Warning>
      </Strip>
    );
  const { perClay, mixed, total } = gramsOf(volumesToRoll(plan, there), materials);
  const names = (key: string): string => materials.get(key)?.name ?? '…';
  const left = (clayId: string): number =>
    shelf.blocks.reduce((sum, b) => (b.clayId === clayId ? sum + b.leftGrams : sum), 0);
  const shortest = Math.min(Infinity, ...plan.starts.filter((s) => s.path.length === 0).map((s) => s.length));
  const short = shortest < LEAST ? shortest : null;
  // a cane cannot begin thinner than it ends
  const handy = Math.min(HANDY, 0.8 * cane.slices * cane.sliceMm);
  const rows = [...perClay].sort((a, b) => b[1] - a[1]);
  const longest = Math.max(1, ...rows.map(([, g]) => g));
  return (
    <Strip aria-label="Clay and what to begin with">
      <div>
        <Box as="h2" marginBottom={1}>
          Clay to roll
        </Box>
        <Second>
          for {cane.slices} slices of {showLength(cane.sliceMm, units)}, ends lost
          {plan.pieces > 1 && `: ${slicesWords(plan, cane.slices)}`}
        </Second>
        <Box as="ul" marginTop={3}>
          {rows.map(([clayId, grams]) => {
            const short = Math.max(0, grams - left(clayId));
            return (
              <Box as="li" key={clayId} marginBottom={2}>
                <Box display="flex" justifyContent="space-between" fontSize="small">
                  <b>{shelf.clays.find((c) => c.id === clayId)?.name}</b>
                  <b>{showMass(grams, units)}</b>
                </Box>
                <AmountBar
                  grams={grams}
                  short={short}
                  longest={longest}
                  hex={shelf.clays.find((c) => c.id === clayId)?.bakedHex ?? '999999'}
                />
                <Caption>
                  {short > 0.05
                    ? `${showMass(left(clayId), units)} on the shelf, ${showMass(short, units)} short`
                    : 'on the shelf'}
                </Caption>
              </Box>
            );
          })}
        </Box>
        <Box fontSize="small">
          <b>{showMass(total, units)}</b> in all
        </Box>
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
      <Rule />
      <div>
        <Box as="h2" marginBottom={2}>
          Start with
        </Box>
        <Box as="ul" fontSize="small" lineHeight={1.45} css={{ '& li': { marginBottom: '6px' } }}>
          {plan.starts.map((s, i) => (
            <li key={i}>
              {startWords(s, names, own, units)}
              {pathWords(s.path)}
              {'made' in s.step && s.step.made !== undefined && (
                <MadeThing id={s.step.made} needed={s.length * s.count} />
              )}
            </li>
          ))}
          {plan.wraps.map((w, i) => (
            <li key={`w${i}`}>
              {wrapWords(w, names, own, units)}
              {pathWords(w.path)}
            </li>
          ))}
        </Box>
      </div>
      {short !== null && (
        <Box>
          <Warning>A piece of {showLength(short, units)} is too short to work with.</Warning>
          {short < handy &&
            plan.made.length === 0 &&
            cane.program.steps.some((s) => s.do === 'reduce' && s.to === 'diameter') && (
              <Word
                fontSize="small"
                onClick={() => {
                  onChange({
                    program: { ...cane.program, steps: begunAt(cane.program.steps, Math.sqrt(short / handy)) },
                  });
                }}
              >
                Begin it smaller, so that it is {showLong(handy, units)} long
              </Word>
            )}
        </Box>
      )}
      <Rule />
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
      <Scrap plan={plan} materials={materials} units={units} />
      <Rule />
      <Box fontWeight={600}>
        <Link to={`/canes/${cane.id}/make`}>To the bench: make it</Link> <Key>B</Key>
      </Box>
      <Word
        fontSize="small"
        textAlign="left"
        onClick={() => {
          void saveBuildSheet(cane, plan, there, materials, own, coreMm, units, paper);
        }}
      >
        Build sheet as PDF
      </Word>
      <Box fontSize="small">
        on <PaperChoice label="Paper of the build sheet" />
      </Box>
    </Strip>
  );
}
