import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { hexOf, xyzOfLab } from '#core/colour';
import { materialIn } from '#core/material';
import { DULL, contrastAt } from '#core/mica';
import { growsWhole } from '#core/pattern';
import { showArea, showLength, showMass, showSize } from '#core/units';
import type { PatternAnswer, PatternDto, ShelfAnswer } from '#contract';
import { ConditionFirst } from '../../parts/conditioning/ConditionFirst.js';
import { AmountBar } from '../../parts/AmountBar.js';
import { HARDLY_ANY } from '../../parts/amounts.js';
import { Warning } from '../../parts/Warning.js';
import { leftOf } from '../../state/shelf.js';
import { useNearMix, useStock } from '../../wire/queries.js';
import { useUnits } from '../../state/view.js';
import { UNKNOWN_HEX } from '../../theme/grey.js';
import { Caption, Key, Rule, Second, Strip } from '../../theme/pieces.js';
import { useDarkest, useJudgedPattern, type PatternToMake } from '../../workers/pattern.js';
import { gramsOf } from '../canes/words/caneWords.js';
import { AgainstLight } from './AgainstLight.js';
import { FromWhatLies } from './FromWhatLies.js';
import { startWords } from './planWords.js';
import { veinWords } from './stageWords.js';
import { sheenOf } from './sheen.js';
import { slicesWanted } from './slicesThere.js';
import { weakIn, weakWords } from './showWords.js';
import type { BenchPattern } from './usePattern.js';
import { Wanted } from './Wanted.js';

interface StripProps {
  readonly pattern: PatternAnswer;
  readonly bench: BenchPattern;
  readonly plan: PatternToMake | string | null;
  readonly shelf: ShelfAnswer;
  readonly onChange: (part: Partial<PatternDto>) => void;
}
interface Planned extends Omit<StripProps, 'plan'> {
  readonly plan: PatternToMake;
}

/** The paper strip: clay to roll, what comes of it, whether it will show. */
export function PatternStrip({ plan, ...own }: StripProps): ReactElement {
  if (plan === null) return <Strip />;
  if (typeof plan === 'string')
    return (
      <Strip>
        <Warning>{plan}</Warning>
      </Strip>
    );
  const all = { ...own, plan };
  return (
    <Strip aria-label="Clay and what comes of it">
      <ClayToRoll {...all} />
      <FromWhatLies plan={plan} materials={own.bench.materials} shelf={own.shelf} />
      <Rule />
      <Comes {...all} />
      <Rule />
      <WillItShow {...all} />
      <AgainstLight bench={own.bench} />
      <Rule />
      <Box fontWeight={600}>
        <Link to={`/patterns/${own.pattern.id}/make`}>To the bench: make it</Link> <Key>B</Key>
        <br />
        <Link to={`/patterns/${own.pattern.id}/cut`}>Where to cut pieces</Link> <Key>W</Key>
        <br />
        <Link to={`/patterns/${own.pattern.id}/form`}>On a bead or a form</Link> <Key>F</Key>
        <br />
        <Link to={`/patterns/${own.pattern.id}/fold`}>Folded to an ornament</Link> <Key>O</Key>
      </Box>
    </Strip>
  );
}

/** Grams of each clay, most first; where more is wanted, how much larger or how often it is made. */
function ClayToRoll({ bench, plan, shelf }: Planned): ReactElement {
  const units = useUnits();
  const { perClay, mixed, total } = gramsOf(plan.taken, bench.materials);
  const mixes = mixed.filter(({ material }) => materialIn(material.key)?.kind !== 'cane');
  const rows = [...perClay].sort((a, b) => b[1] - a[1]);
  const longest = Math.max(1, ...rows.map(([, g]) => g));
  return (
    <div>
      <Box as="h2" marginBottom={1}>
        Clay to roll
      </Box>
      {plan.makes > 1 && <Second>made {plan.makes} times</Second>}
      <Box as="ul" marginTop={2}>
        {rows.map(([clayId, grams]) => {
          const clay = shelf.clays.find((c) => c.id === clayId);
          const short = Math.max(0, grams - leftOf(shelf, clayId));
          return (
            <Box as="li" key={clayId} marginBottom={3}>
              <Flex justifyContent="space-between" fontWeight={600}>
                <span>{clay?.name ?? 'a clay'}</span>
                <span>{showMass(grams, units)}</span>
              </Flex>
              <AmountBar grams={grams} short={short} longest={longest} hex={clay?.bakedHex ?? UNKNOWN_HEX} />
              <Caption>{short > HARDLY_ANY ? `${showMass(short, units)} short` : 'on the shelf'}</Caption>
            </Box>
          );
        })}
      </Box>
      <Box fontSize="small">
        <b>{showMass(total, units)}</b> in all
      </Box>
      <ConditionFirst clays={rows.map(([clayId, grams]) => ({ clayId, grams }))} />
      <ToSlice bench={bench} plan={plan} />
      {mixes.length > 0 && (
        <Caption display="block">
          To make first: {mixes.map(({ material, grams }) => `${material.name} ${showMass(grams, units)}`).join(', ')}
        </Caption>
      )}
      <Box as="ul" aria-label="What to begin with" fontSize="small" marginTop={2} lineHeight={1.5}>
        {plan.starts.map((start, i) => (
          <li key={i}>{startWords(start, (key) => bench.materials.get(key)?.name ?? '…', units)}</li>
        ))}
      </Box>
    </div>
  );
}

/** Canes that are sliced: what is wanted of them, and what lies there already. */
function ToSlice({ bench, plan }: Pick<Planned, 'bench' | 'plan'>): ReactElement | null {
  const units = useUnits();
  const canes = plan.starts.some((s) => s.what === 'slices');
  const stock = useStock(canes).data;
  if (!canes) return null;
  return (
    <Box as="ul" aria-label="Canes that are sliced" fontSize="small" lineHeight={1.5}>
      {slicesWanted(plan.starts, bench.materials, stock).map(({ key, name, grams, there }) => (
        <li key={key}>
          {name}: <b>{showMass(grams * plan.makes, units)}</b> are sliced,{' '}
          {there > 0 ? `${showMass(there, units)} of it lie there` : 'to be made first'}
        </li>
      ))}
    </Box>
  );
}

/** The sheets that come of it, what is wanted, and what is left over. */
function Comes({ pattern, bench, plan, onChange }: Planned): ReactElement {
  const units = useUnits();
  const { sheet, area } = plan;
  const left = plan.left.reduce((sum, l) => sum + gramsOf(l.volumes, bench.materials).total, 0);
  const own = sheet.round ? `${showLength(sheet.width, units)} across` : showSize(sheet.width, sheet.height, units);
  return (
    <div>
      <Box as="h2" marginBottom={1}>
        What comes of it
      </Box>
      <Box fontSize="small" lineHeight={1.6}>
        {sheet.count * plan.makes > 1 && `${sheet.count * plan.makes} sheets of `}
        {own}, {showLength(sheet.thick, units, true)} thick: {showArea(area, units)}
        <br />
        {left > HARDLY_ANY ? `${showMass(left, units)} left over, for the tubs` : 'nothing is left over'}
      </Box>
      <Wanted pattern={pattern} plan={plan} grows={growsWhole(pattern.program.steps)} onChange={onChange} />
    </div>
  );
}

/** What can be told apart, and what it becomes if one goes on too long. */
function WillItShow({ bench }: Planned): ReactElement {
  const units = useUnits();
  const { plain, colours, materials, paints } = bench;
  const judged = useJudgedPattern(plain, colours);
  const weak = weakIn(plain.steps, materials);
  const near = useNearMix(colours.mixed).data?.nearest;
  const shimmers = Object.keys(paints.deep).length > 0;
  const mud = `#${hexOf(xyzOfLab(colours.mixed))}`;
  return (
    <div>
      <Box as="h2" marginBottom={1}>
        Will it show?
      </Box>
      <Box fontSize="small" lineHeight={1.6}>
        {judged ? veinWords(judged, units, materials) : 'looking …'}
        {judged && Number.isFinite(judged.vein) && `, ΔE ${judged.contrast.toFixed(0)} left at arm’s length`}
      </Box>
      <SheenShows bench={bench} />
      {materials.size < 2 && !shimmers && <Warning>One colour only: whatever is done to it, nothing shows.</Warning>}
      {weak.slice(0, 2).map((w) => (
        <Warning key={`${w.one} ${w.other}`}>{weakWords(w, units)}</Warning>
      ))}
      <Flex gap={2} marginTop={2} alignItems="center" fontSize="small">
        <Box width="36px" height="26px" flex="none" style={{ background: mud }} aria-hidden />
        <span>
          all of it, mixed through
          {near && (
            <>
              : near <Link to={`/mixes/${near.id}`}>{near.name}</Link>, ΔE {near.deltaE.toFixed(0)}
            </>
          )}
        </span>
      </Flex>
    </div>
  );
}

/** How clearly the sheen of each mica clay draws a picture. */
function SheenShows({ bench }: Pick<Planned, 'bench'>): ReactElement | null {
  const { plain, paints, materials } = bench;
  const darkest = useDarkest(plain, paints.deep);
  const all = Object.entries(darkest ?? {}).flatMap(([key, share]) => {
    const material = materials.get(key);
    return material ? [{ key, name: material.name, contrast: contrastAt(sheenOf(material), share) }] : [];
  });
  if (all.length === 0) return null;
  return (
    <Box fontSize="small" lineHeight={1.6}>
      {all.map(({ key, name, contrast }) => (
        <div key={key}>
          Sheen of {name}: ΔE {contrast.toFixed(1)} under a lamp above
          {contrast < DULL && ', hardly seen'}
        </div>
      ))}
    </Box>
  );
}
