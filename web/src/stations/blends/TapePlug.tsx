import { Box, Flex } from '@chakra-ui/react';
import { memo, useCallback, type ReactElement } from 'react';
import { complaint, MOST_STACKED, STEP_NOT_SEEN, placeInPlug, radiusOf, type RolledPlug } from '#core/blend';
import { xyzOfHex } from '#core/colour';
import { feedPlan } from '#core/sheet';
import { readNumber, showLength, showLong, showMass, showSize, type UnitSystem } from '#core/units';
import type { BlendPlanDto, MachineDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { readCount } from '../../parts/readCount.js';
import { LengthValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption, Second } from '../../theme/pieces.js';
import { FadeStrip, PlugFace } from './FadeStrip.js';
import type { TapeChoice, TapePlan } from './tapeMm.js';
import type { WorkedBlend } from './workedBlend.js';

const TURNED = [
  { value: 'folded', text: 'folded' },
  { value: 'rolled', text: 'rolled up' },
  { value: 'cut', text: 'cut and stacked' },
] as const;
/** Share of the rollers above which a tape tends to split: an assumption. */
const WIDE = 0.7;
/** @throws Complaint `blend/stack`, `parts/unreadable` */
function readTapes(text: string): number {
  const count = readNumber(text).valueOf();
  if (!Number.isInteger(count) || count < 1 || count > MOST_STACKED) throw complaint('blend/stack');
  return count;
}
const MOST_PARTS = 40;
const readParts = readCount(1, MOST_PARTS, 'The number of parts');
/** What a thinner tape would bring, beside its setting. */
const stepWords = (choice: TapeChoice | undefined): string =>
  choice ? `: steps of ΔE ${choice.steps.mean.toFixed(1)}` : ': thicker than the folded blend';

function smoothWords({ steps, choices, tapeSetting }: TapePlan, usual: boolean): string {
  if (steps.mean > STEP_NOT_SEEN) return 'steps are seen until it is reduced';
  const thickest = usual && choices.find((c) => c.steps.mean <= STEP_NOT_SEEN)?.setting.id === tapeSetting?.id;
  return thickest ? 'smooth, and no thinner than it needs to be' : 'smooth';
}

/** How much of the plug the inner colour fills, by the area law. */
function insideWords(colour: string, plug: RolledPlug, share: number, units: UnitSystem): string {
  if (share < 0.005) return `only the very end of the tape is ${colour}: the middle shows a mix`;
  return (
    `${colour} alone is the first ${Math.round(100 * share)} % of the tape and fills the inner ` +
    `${showLength(2 * radiusOf(plug, share), units)}`
  );
}
const lightnessOf = (hex: string): number => xyzOfHex(hex).y;
const PLUGS = [
  { value: 'rolled', text: 'rolled up' },
  { value: 'fan', text: 'folded like a fan' },
] as const;

interface TapePlugProps {
  readonly plan: BlendPlanDto;
  readonly worked: WorkedBlend;
  readonly own: MachineDto | undefined;
  readonly onChange: (part: Partial<BlendPlanDto>) => void;
}

/** The blend turned, rolled long and thin, and wound up; with the face it gives. */
export const TapePlug = memo(function TapePlug({ plan, worked, own, onChange }: TapePlugProps): ReactElement {
  const units = useUnits();
  const { tape, tapeLabs, plug, colours, turning, settings, pureInside } = worked;
  const { tapeSetting, finished, turned } = turning;
  const [first, last] = [colours[0]?.name ?? '', colours.at(-1)?.name ?? ''];
  const feeds =
    own && tapeSetting
      ? feedPlan({
          machine: own,
          mm: turned.mm,
          width: turned.width,
          length: plan.width,
          settingId: tapeSetting.id,
          thinning: 'one at a time',
          turns: false,
        })
      : null;
  const placeAt = useCallback(
    (x: number, y: number): number | null => {
      if (plug.kind === 'fan') return placeInPlug(plug, x);
      const r = 2 * Math.hypot(x - 0.5, y - 0.5);
      return r > 1 ? null : placeInPlug(plug, r);
    },
    [plug],
  );
  const lead =
    plan.lead ??
    (lightnessOf(colours[0]?.hex ?? '000000') < lightnessOf(colours.at(-1)?.hex ?? '000000') ? 'last' : 'first');
  const leads = [
    { value: 'first', text: first },
    { value: 'last', text: last },
  ] as const;
  const extras = [
    { value: 'none', text: 'nothing' },
    { value: 'first', text: first },
    { value: 'last', text: last },
  ] as const;
  const insides = [
    { value: 'first', text: `${first} inside` },
    { value: 'last', text: `${last} inside` },
  ] as const;
  return (
    <>
      <Box minWidth={0}>
        <Box as="h2" marginBottom={2}>
          Tape
        </Box>
        <Box fontSize="small" marginBottom={2}>
          turned,{' '}
          <Choice
            label="How it is brought to the width of the tape"
            value={plan.turning ?? 'folded'}
            options={TURNED}
            onChange={(how) => {
              onChange({ turning: how });
            }}
          />{' '}
          {plan.turning === 'rolled' ? (
            <>
              and flattened to your widest gap: <b>{showLength(turned.width, units)}</b> wide
            </>
          ) : (
            <>
              in{' '}
              <Value
                label="Parts it is folded or cut in"
                text={String(turned.parts)}
                read={readParts}
                onChange={(parts) => {
                  onChange({ tapeWidth: finished.length / parts });
                }}
              />
              : <b>{showLength(turned.width, units)}</b> wide
            </>
          )}
          {settings.length > 0 && (
            <>
              , down to your{' '}
              <Choice
                label="Setting of the tape"
                value={tapeSetting?.id ?? ''}
                options={settings.map((s) => ({
                  value: s.id,
                  text: `${s.label}${stepWords(turning.choices.find((c) => c.setting.id === s.id))}`,
                }))}
                onChange={(tapeSettingId) => {
                  onChange({ tapeSettingId });
                }}
              />
            </>
          )}
        </Box>
        <Caption display="block" marginBottom={2}>
          its turns differ by ΔE {turning.steps.mean.toFixed(1)}, by {turning.steps.largest.toFixed(0)} where the fade
          is steepest: {smoothWords(turning, plan.tapeSettingId === null)}
        </Caption>
        <FadeStrip labs={tapeLabs} width={218} height={18} label="The tape" />
        <Box fontSize="small" marginTop={1}>
          {showLength(tape.width, units)} × <b>{showLong(tape.length, units)}</b> at{' '}
          {showLength(tape.thickness, units, true)}
        </Box>
        <Caption display="block">
          <Choice
            label="Which end goes in first"
            value={lead}
            options={leads}
            onChange={(next) => {
              onChange({ lead: next });
            }}
          />{' '}
          into the rollers first{plan.lead == null ? ': the light end leaves no trace on them' : ''}
        </Caption>
        {plan.turning === 'cut' && (
          <Caption display="block">
            cut across the fade? never: cut along it, in {turned.parts} strips, and lay them on each other, light on
            light
          </Caption>
        )}
        {feeds && feeds.feeds.length > 0 && (
          <Caption display="block">
            {feeds.byHandTo !== null ? `by hand to ${showLength(feeds.byHandTo, units)}, then ` : ''}your{' '}
            {feeds.feeds.map((f) => `${f.setting.label} (${showLong(f.length, units)})`).join(' · ')},{' '}
            {showLength(turned.width, units)} wide all the way
          </Caption>
        )}
        {own && turned.width > own.rollerWidthMm * WIDE && turned.width <= own.rollerWidthMm && (
          <Warning>This wide it splits where it goes in: press the first end thin by hand.</Warning>
        )}
        {own && turned.width > own.rollerWidthMm && (
          <Warning>Your rollers are {showLength(own.rollerWidthMm, units)} wide: fold it once more.</Warning>
        )}
      </Box>
      <Flex gap={4} minWidth={0}>
        <PlugFace
          labs={tapeLabs}
          placeAt={placeAt}
          width={plug.kind === 'fan' ? 100 : 104}
          height={plug.kind === 'fan' ? Math.max(24, Math.min(104, (100 * plug.depth) / plug.width)) : 104}
        />
        <Box fontSize="small" lineHeight={1.45}>
          <Box as="h2" marginBottom={1}>
            Plug
          </Box>
          <Choice
            label="How the tape is wound up"
            value={plan.plug}
            options={PLUGS}
            onChange={(value) => {
              onChange({ plug: value });
            }}
          />
          {plug.kind === 'rolled' ? (
            <>
              ,{' '}
              <Choice
                label="Which end is inside"
                value={plan.inside}
                options={insides}
                onChange={(inside) => {
                  onChange({ inside });
                }}
              />
              <Box>{showSize(plug.diameter, plug.height, units)}</Box>
              <Second>{insideWords(plan.inside === 'first' ? first : last, plug, pureInside, units)}</Second>
            </>
          ) : (
            <>
              , folds{' '}
              <LengthValue
                label="Depth of the folds"
                value={plan.fanDepth}
                onChange={(fanDepth) => {
                  onChange({ fanDepth });
                }}
              />{' '}
              deep
              <Box>
                {showSize(plug.width, plug.depth, units)}, {showLength(plug.height, units)} high
              </Box>
              <Second>{plug.folds} folds, from side to side</Second>
            </>
          )}
          <Box marginTop={1}>
            more{' '}
            <Choice
              label="Colour added at an end of the tape"
              value={plan.extraAt ?? 'none'}
              options={extras}
              onChange={(at) => {
                onChange(
                  at === 'none' ? { extraAt: null, extraMm: null } : { extraAt: at, extraMm: plan.extraMm ?? 20 },
                );
              }}
            />{' '}
            at its end
            {plan.extraAt ? (
              <>
                :{' '}
                <LengthValue
                  label="Length of the added colour"
                  value={plan.extraMm ?? 0}
                  onChange={(extraMm) => {
                    onChange({ extraMm });
                  }}
                />
                , {showMass(worked.extraGrams, units)}
              </>
            ) : (
              ''
            )}
          </Box>
          <Box>
            <Value
              label="Tapes laid on each other"
              text={String(plan.stack ?? 1)}
              read={readTapes}
              onChange={(stack) => {
                onChange({ stack });
              }}
            />{' '}
            {(plan.stack ?? 1) === 1 ? 'tape' : 'tapes on each other, so many blends'}
          </Box>
        </Box>
      </Flex>
    </>
  );
});
