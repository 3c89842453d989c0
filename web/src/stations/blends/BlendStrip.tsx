import { Box, Flex } from '@chakra-ui/react';
import { memo, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { gradedSet, rowsIn } from '#core/blend';
import { hexOf, xyzOfLab } from '#core/colour';
import { feedPlan } from '#core/sheet';
import { Complaint, showLength, showMass, showSize } from '#core/units';
import type { BlendPlanDto, MachineDto, ShelfAnswer } from '#contract';
import { CountValue, LengthValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption, Key, Rule, Second, Strip } from '../../theme/pieces.js';
import { FadeStrip } from './FadeStrip.js';
import type { WorkedBlend } from './useBlend.js';

interface BlendStripProps { readonly plan: BlendPlanDto; readonly worked: WorkedBlend; readonly own: MachineDto | undefined; readonly shelf: ShelfAnswer; readonly blendId: string }

/** The paper strip: what to roll, in which order to work, and what it gives. */
export const BlendStrip = memo(function BlendStrip({ plan, worked, own, shelf, blendId }: BlendStripProps): ReactElement {
  const units = useUnits();
  const { colours, mm, setting, passes, ruined, grams } = worked;
  const left = (clayId: string): number => shelf.blocks.reduce((sum, b) => (b.clayId === clayId ? sum + b.leftGrams : sum), 0);
  const need = new Map<string, number>();
  for (const { clayId, grams: g } of colours.flatMap((c) => c.perClay)) need.set(clayId, (need.get(clayId) ?? 0) + g);
  const short = [...need].filter(([id, g]) => g > left(id) + 0.05).map(([id, g]) => `${shelf.clays.find((c) => c.id === id)?.name ?? ''}, ${showMass(g - left(id), units)} short`);
  const stack = 2 * plan.layers * mm;
  const entry = own && setting ? feedPlan({ machine: own, mm: stack, width: plan.width, length: plan.height / 2, settingId: setting.id, thinning: 'straight', turns: false }) : null;
  const yours = setting ? `your ${setting.label}` : '~2 mm';
  return (
    <Strip>
      <div>
        <Box as="h2" marginBottom={2}>Sheets to roll</Box>
        {colours.map((c, i) => <Box key={i}>{c.name}, {yours}, {showSize(c.area / plan.height, plan.height, units)}{plan.layers > 1 ? ` × ${plan.layers}` : ''}</Box>)}
        <Second>{showMass(grams, units)} in all{short.length === 0 ? ' · all on the shelf' : ''}</Second>
        {short.map((s) => <Warning key={s}>{s}</Warning>)}
      </div>
      <Rule />
      <div>
        <Box as="h2" marginBottom={2}>Order</Box>
        <Box as="ol" paddingLeft={5} css={{ listStyle: 'decimal', '& li': { marginBottom: 4 } }}>
          <li>Cut from the template, swap, press the joints.</li>
          <li>Fold bottom to top: {showLength(stack, units)}.{entry?.byHandTo !== null && entry ? ` By hand to ${showLength(entry.byHandTo, units)}, then` : ' Then'} {entry && entry.feeds[0] ? <>your <b>{entry.feeds[0].setting.label}</b></> : 'the widest gap'}, fold first.</li>
          <li>Fold and pass, <b>{passes.enough}</b> times, always this way.</li>
          <li>Trim both sides, turn it.</li>
        </Box>
        {own && plan.width > own.rollerWidthMm && <Warning>At {showLength(plan.width, units)} it is wider than your rollers ({showLength(own.rollerWidthMm, units)}): make it narrower, or two halves.</Warning>}
        <Box marginTop={3}><Warning>One fold the other way mixes {colours[0]?.name} into {colours.at(-1)?.name}. No pass brings it back:</Warning></Box>
        <Box marginTop={2} marginLeft="22px"><FadeStrip labs={ruined.labs} width={180} height={18} label="The fade after one wrong fold" /></Box>
      </div>
      <Rule />
      <Graded worked={worked} plan={plan} />
      <Rule />
      <Box fontWeight={600}><Link to={`/blends/${blendId}/make`}>To the bench: make it</Link> <Key>B</Key></Box>
    </Strip>
  );
});

/** A graded set of pieces, evenly along the fade. */
function Graded({ worked, plan }: { readonly worked: WorkedBlend; readonly plan: BlendPlanDto }): ReactElement {
  const [count, setCount] = useState(5);
  const [size, setSize] = useState(18);
  const set = ((): ReturnType<typeof gradedSet> | string => {
    try {
      return gradedSet(worked.fade, count, size, 2);
    } catch (error) {
      if (error instanceof Complaint) return error.message;
      throw error;
    }
  })();
  return (
    <div>
      <Box as="h2" marginBottom={2}>Pieces</Box>
      <Box><CountValue label="Pieces along the fade" value={count} onChange={setCount} /> of <LengthValue label="Size of a piece" value={size} onChange={(v) => { if (v > 0) setSize(v); }} />, one shade each</Box>
      {typeof set === 'string' ? <Warning>{set}</Warning> : (
        <>
          <Flex gap="2px" wrap="wrap" marginTop={2} aria-label="Shades of the pieces" role="img">{set.map((p) => <Box key={p.x} width="30px" height="30px" borderRadius="50%" style={{ background: `#${hexOf(xyzOfLab(p.lab))}` }} />)}</Flex>
          <Caption>{rowsIn(plan.height, size, 2)} rows of them on the sheet</Caption>
        </>
      )}
    </div>
  );
}
