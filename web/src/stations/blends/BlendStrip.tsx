import { Box } from '@chakra-ui/react';
import { memo, type ReactElement } from 'react';
import { Link } from 'react-router';
import { layersToRoll } from '#core/blend';
import { discVolume, feedPlan, thicknesses } from '#core/sheet';
import { Fraction, showLength, showMass, showNumber, showSize } from '#core/units';
import type { BenchSetupDto, BlendPlanDto, MachineDto, ShelfAnswer } from '#contract';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Key, Rule, Second, Strip, Word } from '../../theme/pieces.js';
import { FadeStrip } from './FadeStrip.js';
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

/** Discs for a weight, to the next quarter and at least one. @param disc mm³ of one */
const discsFor = (grams: number, density: number, disc: number): Fraction =>
  new Fraction(Math.max(1, Math.round((4 * grams * 1000) / (density * disc))), 4);

/** The paper strip: what to roll, in which order to work, and what it gives. */
export const BlendStrip = memo(function BlendStrip({
  plan,
  worked,
  own,
  shelf,
  setup,
  blendId,
  onChange,
}: BlendStripProps): ReactElement {
  const units = useUnits();
  const { colours, mm, setting, passes, ruined, grams, over } = worked;
  const left = (clayId: string): number =>
    shelf.blocks.reduce((sum, b) => (b.clayId === clayId ? sum + b.leftGrams : sum), 0);
  const need = new Map<string, number>();
  for (const { clayId, grams: g } of colours.flatMap((c) => c.perClay)) need.set(clayId, (need.get(clayId) ?? 0) + g);
  const short = [...need]
    .filter(([id, g]) => g > left(id) + 0.05)
    .map(([id, g]) => `${shelf.clays.find((c) => c.id === id)?.name ?? ''}, ${showMass(g - left(id), units)} short`);
  const tapes = plan.stack ?? 1;
  const rectangles = layersToRoll(plan.layers * tapes) / 2;
  const discSetting = own ? thicknesses(own).find((s) => s.id === setup.discSettingId) : undefined;
  const disc = discSetting ? discVolume(setup.discMm, discSetting.mm) : null;
  const stack = 2 * plan.layers * mm;
  const entry =
    own && setting
      ? feedPlan({
          machine: own,
          mm: stack,
          width: plan.width,
          length: plan.height / 2,
          settingId: setting.id,
          thinning: 'straight',
          turns: false,
        })
      : null;
  const yours = setting ? `your ${setting.label}` : '~2 mm';
  const byHandTo = entry?.byHandTo ?? null;
  return (
    <Strip>
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
              {disc ? `, ${showNumber(discsFor(c.grams + c.over, c.density, disc))} discs` : ''}
            </Second>
          </Box>
        ))}
        <Second>
          {disc && discSetting ? `discs of ${showLength(setup.discMm, units)} at your ${discSetting.label} · ` : ''}
          {showMass(grams + over, units)} in all{short.length === 0 ? ' · all on the shelf' : ''}
        </Second>
        {over > 0.05 && (
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
        )}
        {short.map((s) => (
          <Warning key={s}>{s}</Warning>
        ))}
      </div>
      <Rule />
      <div>
        <Box as="h2" marginBottom={2}>
          Order
        </Box>
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
      <Rule />
      <Pieces worked={worked} plan={plan} onChange={onChange} />
      <Rule />
      <Box fontWeight={600}>
        <Link to={`/blends/${blendId}/make`}>To the bench: make it</Link> <Key>B</Key>
      </Box>
    </Strip>
  );
});
