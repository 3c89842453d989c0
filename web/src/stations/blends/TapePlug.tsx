import { Box } from '@chakra-ui/react';
import { memo, type ReactElement } from 'react';
import { showLength, showLong } from '#core/units';
import type { MachineDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { FadeStrip } from './FadeStrip.js';
import { PlugWords } from './PlugWords.js';
import type { TapeProps } from './tapeProps.js';
import { endOptions, feedWords, leadOf, readParts, smoothWords, stepWords, tapeFeeds, wideWords } from './tapeWords.js';

const TURNED = [
  { value: 'folded', text: 'folded' },
  { value: 'rolled', text: 'rolled up' },
  { value: 'cut', text: 'cut and stacked' },
] as const;

/** How it is brought to the width of the tape. */
function Turned({ plan, worked, onChange }: TapeProps): ReactElement {
  const units = useUnits();
  const { turned, finished } = worked.turning;
  const wide = <b>{showLength(turned.width, units)}</b>;
  return (
    <>
      turned,{' '}
      <Choice
        label="How it is brought to the width of the tape"
        value={plan.turning ?? 'folded'}
        options={TURNED}
        onChange={(turning) => {
          onChange({ turning });
        }}
      />{' '}
      {plan.turning === 'rolled' ? (
        <>and flattened to your widest gap: {wide} wide</>
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
          : {wide} wide
        </>
      )}
    </>
  );
}

/** The setting that the tape is rolled at. */
function TapeSetting({ worked, onChange }: Omit<TapeProps, 'plan'>): ReactElement | null {
  const { settings, turning } = worked;
  if (settings.length === 0) return null;
  const steps = (id: string): string => stepWords(turning.choices.find((c) => c.setting.id === id));
  return (
    <>
      , down to your{' '}
      <Choice
        label="Setting of the tape"
        value={turning.tapeSetting?.id ?? ''}
        options={settings.map((s) => ({ value: s.id, text: `${s.label}${steps(s.id)}` }))}
        onChange={(tapeSettingId) => {
          onChange({ tapeSettingId });
        }}
      />
    </>
  );
}

/** Which end goes in first, and what the machine makes of it. */
function IntoRollers({ plan, worked, onChange, own }: TapePlugProps): ReactElement {
  const units = useUnits();
  const { turning, colours } = worked;
  const { turned } = turning;
  const feeds = tapeFeeds(own, turning, plan.width);
  const wide = wideWords(own, turned.width, units);
  return (
    <>
      <Caption display="block">
        <Choice
          label="Which end goes in first"
          value={leadOf(plan, colours)}
          options={endOptions(colours)}
          onChange={(lead) => {
            onChange({ lead });
          }}
        />{' '}
        into the rollers first{plan.lead == null ? ': the light end leaves no trace on them' : ''}
      </Caption>
      {plan.turning === 'cut' && (
        <Caption display="block">
          cut across the fade? never: cut along it, in {turned.parts} strips, and lay them on each other, light on light
        </Caption>
      )}
      {feeds && feeds.feeds.length > 0 && <Caption display="block">{feedWords(feeds, turned.width, units)}</Caption>}
      {wide !== null && <Warning>{wide}</Warning>}
    </>
  );
}

interface TapePlugProps extends TapeProps {
  readonly own: MachineDto | undefined;
}

/** The blend turned, rolled long and thin, and wound up; with the face it gives. */
export const TapePlug = memo(function TapePlug(props: TapePlugProps): ReactElement {
  const units = useUnits();
  const { plan, worked } = props;
  const { tape, tapeLabs, turning } = worked;
  return (
    <>
      <Box minWidth={0}>
        <Box as="h2" marginBottom={2}>
          Tape
        </Box>
        <Box fontSize="small" marginBottom={2}>
          <Turned {...props} />
          <TapeSetting {...props} />
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
        <IntoRollers {...props} />
      </Box>
      <PlugWords {...props} />
    </>
  );
});
