import { ConditionFirst } from '../../parts/conditioning/ConditionFirst.js';
import { HARDLY_ANY } from '../../parts/amounts.js';
import { Box } from '@chakra-ui/react';
import { memo, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { forward } from '#core/blend';
import { ASSUMED_BLOCK_GRAMS, readAmount } from '#core/clay';
import { showLength, showMass, showNumber, showSize } from '#core/units';
import type { BenchSetupDto, BlendPlanDto, MachineDto, ShelfAnswer } from '#contract';
import { Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Key, Rule, Second, Strip, Word } from '../../theme/pieces.js';
import { FadeStrip } from './FadeStrip.js';
import { resized } from './planMoves.js';
import { discOf, discsFor, entryFeeds, foldedMm, forwardWords, rectanglesOf, shortOf } from './stripPlan.js';
import { Pieces } from './Pieces.js';
import type { WorkedBlend } from './workedBlend.js';

interface BlendStripProps {
  readonly plan: BlendPlanDto;
  readonly worked: WorkedBlend;
  readonly own: MachineDto | undefined;
  readonly shelf: ShelfAnswer;
  readonly setup: BenchSetupDto;
  readonly blendId: string;
  readonly onChange: (part: Partial<BlendPlanDto>) => void;
}

/** The rectangles to roll, in grams and in discs, and whether the shelf has the clay. */
function SheetsToRoll({ plan, worked, own, shelf, setup, onChange }: BlendStripProps): ReactElement {
  const units = useUnits();
  const { colours, setting, grams, over } = worked;
  const short = shortOf(worked, shelf, units);
  const disc = discOf(own, setup);
  const rectangles = rectanglesOf(plan);
  const yours = setting ? `your ${setting.label}` : '~2 mm';
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Sheets to roll
      </Box>
      {colours.map((c, i) => (
        <Box key={i} marginBottom={1}>
          <b>{c.name}</b>, {yours}, {showSize((2 * c.area) / plan.height, plan.height, units)}
          {rectangles > 1 ? ` × ${rectangles}` : ''}
          <br />
          <Second>
            {showMass(c.grams + c.over, units)}
            {disc ? `, ${showNumber(discsFor(c.grams + c.over, c.density, disc.volume))} discs` : ''}
          </Second>
        </Box>
      ))}
      <Second>
        {disc ? `discs of ${showLength(setup.discMm, units)} at your ${disc.setting.label} · ` : ''}
        {showMass(grams + over, units)} in all{short.length === 0 ? ' · all on the shelf' : ''}
      </Second>
      <FromEach plan={plan} worked={worked} onChange={onChange} />
      {over > HARDLY_ANY && <OddLayers plan={plan} over={over} onChange={onChange} />}
      {short.map((s) => (
        <Warning key={s}>{s}</Warning>
      ))}
    </div>
  );
}

/** The other way round: so much of each colour, and the sheet as high as that makes it. */
function FromEach({ plan, worked, onChange }: Pick<BlendStripProps, 'plan' | 'worked' | 'onChange'>): ReactElement {
  const units = useUnits();
  const [told, setTold] = useState<string | null>(null);
  const needs = worked.colours.map((c) => c.grams + c.over);
  const take = (grams: number): void => {
    const made = forward(
      needs,
      needs.map(() => grams),
    );
    if (!made) return;
    onChange(resized(plan, plan.width, plan.height * made.scale));
    setTold(
      forwardWords(
        made,
        worked.colours.map((c) => c.name),
        units,
      ),
    );
  };
  return (
    <Box fontSize="small" marginTop={1}>
      from{' '}
      <Value
        label="So much of each colour"
        text={showMass(Math.max(...needs), units)}
        read={(text) => readAmount(text, units, ASSUMED_BLOCK_GRAMS)}
        onChange={take}
      />{' '}
      of each, or half a block
      {told !== null && <Second role="status">: {told}</Second>}
    </Box>
  );
}

interface OddLayersProps extends Pick<BlendStripProps, 'plan' | 'onChange'> {
  readonly over: number;
}

/** An odd number of layers leaves halves over. */
function OddLayers({ plan, over, onChange }: OddLayersProps): ReactElement {
  const units = useUnits();
  return (
    <Box fontSize="small" marginTop={1}>
      One cut makes two layers: {showMass(over, units)} of it are the other halves and stay over.{' '}
      <Word
        onClick={() => {
          onChange({ layers: plan.layers + 1 });
        }}
      >
        take {plan.layers + 1} layers
      </Word>
    </Box>
  );
}

/** In which order it is worked, and what spoils it. */
function Order({ plan, worked, own }: Pick<BlendStripProps, 'plan' | 'worked' | 'own'>): ReactElement {
  const units = useUnits();
  const { colours, passes, ruined } = worked;
  const entry = entryFeeds(plan, worked, own);
  const byHandTo = entry?.byHandTo ?? null;
  const stack = foldedMm(plan, worked);
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Order
      </Box>
      <ConditionFirst clays={worked.colours.flatMap((c) => c.perClay)} />
      <Box as="ol" paddingLeft={5} css={{ listStyle: 'decimal', '& li': { marginBottom: 4 } }}>
        <li>Cut from the template, swap, press the joints.</li>
        <li>
          Fold bottom to top: {showLength(stack, units)}.
          {byHandTo === null ? ' Then' : ` By hand to ${showLength(byHandTo, units)}, then`}{' '}
          {entry && entry.feeds[0] ? (
            <>
              your <b>{entry.feeds[0].setting.label}</b>
            </>
          ) : (
            'the widest gap'
          )}
          , fold first.
        </li>
        <li>
          Fold and pass, <b>{passes.enough}</b> times, always this way.
        </li>
        <li>Trim both sides, turn it.</li>
      </Box>
      {own && plan.width > own.rollerWidthMm && (
        <Warning>
          At {showLength(plan.width, units)} it is wider than your rollers ({showLength(own.rollerWidthMm, units)}):
          make it narrower, or two halves.
        </Warning>
      )}
      <Box marginTop={3}>
        <Warning>
          One fold the other way mixes {colours[0]?.name} into {colours.at(-1)?.name}. No pass brings it back:
        </Warning>
      </Box>
      <Box marginTop={2} marginLeft="22px">
        <FadeStrip labs={ruined.labs} width={180} height={18} label="The fade after one wrong fold" />
      </Box>
    </div>
  );
}

/** The paper strip: what to roll, in which order to work, and what it gives. */
export const BlendStrip = memo(function BlendStrip(props: BlendStripProps): ReactElement {
  const { plan, worked, own, blendId, onChange } = props;
  return (
    <Strip>
      <SheetsToRoll {...props} />
      <Rule />
      <Order {...props} />
      <Rule />
      <Pieces worked={worked} plan={plan} own={own} onChange={onChange} />
      <Rule />
      <Box fontWeight={600}>
        <Link to={`/blends/${blendId}/make`}>To the bench: make it</Link> <Key>B</Key>
      </Box>
    </Strip>
  );
});
