import { Box, Flex } from '@chakra-ui/react';
import { memo, useCallback, type ReactElement } from 'react';
import { placeInPlug, radiusOf } from '#core/blend';
import { feedPlan } from '#core/sheet';
import { showLength, showSize } from '#core/units';
import type { BlendPlanDto, MachineDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { LengthValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption, Second } from '../../theme/pieces.js';
import { FadeStrip, PlugFace } from './FadeStrip.js';
import type { WorkedBlend } from './useBlend.js';

const PLUGS = [{ value: 'rolled', text: 'rolled up' }, { value: 'fan', text: 'folded like a fan' }] as const;

interface TapePlugProps { readonly plan: BlendPlanDto; readonly worked: WorkedBlend; readonly own: MachineDto | undefined; readonly onChange: (part: Partial<BlendPlanDto>) => void }

/** The blend turned, rolled long and thin, and wound up; with the face it gives. */
export const TapePlug = memo(function TapePlug({ plan, worked, own, onChange }: TapePlugProps): ReactElement {
  const units = useUnits();
  const { tape, plug, colours, fade, tapeSetting, settings } = worked;
  const [first, last] = [colours[0]?.name ?? '', colours.at(-1)?.name ?? ''];
  // before it is rolled out the blend is folded to the width of the tape
  const folded = (worked.mm * plan.layers * plan.height) / plan.tapeWidth;
  const feeds = own && tapeSetting ? feedPlan({ machine: own, mm: folded, width: plan.tapeWidth, length: plan.width, settingId: tapeSetting.id, thinning: 'one at a time', turns: false }) : null;
  const placeAt = useCallback((x: number, y: number): number | null => {
    if (plug.kind === 'fan') return placeInPlug(plug, x);
    const r = 2 * Math.hypot(x - 0.5, y - 0.5);
    return r > 1 ? null : placeInPlug(plug, r);
  }, [plug]);
  const insides = [{ value: 'first', text: `${first} inside` }, { value: 'last', text: `${last} inside` }] as const;
  return (
    <>
      <Box minWidth={0}>
        <Box as="h2" marginBottom={2}>Tape</Box>
        <Box fontSize="small" marginBottom={2}>turned, folded to <LengthValue label="Width of the tape" value={plan.tapeWidth} onChange={(tapeWidth) => { onChange({ tapeWidth }); }} />{settings.length > 0 && <>, down to your <Choice label="Setting of the tape" value={tapeSetting?.id ?? ''} options={settings.map((s) => ({ value: s.id, text: s.label }))} onChange={(tapeSettingId) => { onChange({ tapeSettingId }); }} /></>}</Box>
        <FadeStrip labs={fade.labs} width={218} height={18} label="The tape" />
        <Box fontSize="small" marginTop={1}>{showLength(tape.width, units)} × <b>{showLength(Math.round(tape.length), units)}</b> at {showLength(tape.thickness, units, true)}</Box>
        {feeds && feeds.feeds.length > 0 && <Caption>{feeds.byHandTo !== null ? `by hand to ${showLength(feeds.byHandTo, units)}, then ` : ''}your {feeds.feeds.map((f) => f.setting.label).join(' · ')}</Caption>}
        {own && plan.tapeWidth > own.rollerWidthMm && <Warning>Your rollers are {showLength(own.rollerWidthMm, units)} wide: fold it narrower.</Warning>}
      </Box>
      <Flex gap={4} minWidth={0}>
        <PlugFace labs={fade.labs} placeAt={placeAt} width={plug.kind === 'fan' ? 100 : 104} height={plug.kind === 'fan' ? Math.max(24, Math.min(104, (100 * plug.depth) / plug.width)) : 104} />
        <Box fontSize="small" lineHeight={1.45}>
          <Box as="h2" marginBottom={1}>Plug</Box>
          <Choice label="How the tape is wound up" value={plan.plug} options={PLUGS} onChange={(value) => { onChange({ plug: value }); }} />
          {plug.kind === 'rolled' ? (
            <>, <Choice label="Which end is inside" value={plan.inside} options={insides} onChange={(inside) => { onChange({ inside }); }} />
              <Box>{showSize(plug.diameter, plug.height, units)}</Box>
              <Second>{plan.inside === 'first' ? first : last} fills only the inner {showLength(2 * radiusOf(plug, 0.1), units)}: the first tenth of the tape</Second></>
          ) : (
            <>, folds <LengthValue label="Depth of the folds" value={plan.fanDepth} onChange={(fanDepth) => { onChange({ fanDepth }); }} /> deep
              <Box>{showSize(plug.width, plug.depth, units)}, {showLength(plug.height, units)} high</Box>
              <Second>{plug.folds} folds, from side to side</Second></>
          )}
        </Box>
      </Flex>
    </>
  );
});
