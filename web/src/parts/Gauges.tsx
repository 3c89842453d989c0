import { Box, Flex } from '@chakra-ui/react';
import { useEffect, type MouseEvent, type ReactElement } from 'react';
import type { Gauge } from '#contract/devices';
import { Caption, Key, Word } from '../theme/pieces.js';
import { MEASURES, connectGauge, pressGauge, putGaugeAway, useGauges, type GaugeState } from '../wire/gauges.js';
import { Warning } from './Warning.js';

// written out, so that the rules of the wire do not come along to every station
const GAUGES: readonly Gauge[] = ['calipers', 'scale'];
const NAMES: Readonly<Record<Gauge, string>> = { calipers: 'Calipers', scale: 'Scale' };
const KEYS: Readonly<Record<Gauge, string>> = { calipers: 'F8', scale: 'F9' };

/** Calipers and scale on the tile: they fill the field that has the focus. */
export function Gauges(): ReactElement {
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      const gauge = GAUGES.find((g) => KEYS[g] === event.key);
      if (!gauge) return;
      event.preventDefault();
      if (useGauges.getState()[gauge].link === 'none') connectGauge(gauge);
      else void pressGauge(gauge, 'read');
    };
    window.addEventListener('keydown', press);
    return () => {
      window.removeEventListener('keydown', press);
    };
  }, []);
  return (
    <Flex direction="column" gap={4} marginTop="auto" borderTop="hair" paddingTop={3}>
      {GAUGES.map((gauge) => (
        <OneGauge key={gauge} gauge={gauge} />
      ))}
    </Flex>
  );
}

/** What is said under a gauge. */
function Said({ gauge }: GaugeProps): ReactElement {
  const { state, wrong } = useGauges((s) => s[gauge]);
  const what = MEASURES[gauge] === 'length' ? 'length' : 'weight';
  return (
    <>
      {state && state.sinceZero === null && <Caption display="block">not at zero yet</Caption>}
      {wrong !== null ? (
        <Warning>{wrong}</Warning>
      ) : (
        <Caption display="block">
          fills the field for a {what} you are in
          {state?.standIn ? '; a stand-in, it makes readings up' : ''}
        </Caption>
      )}
    </>
  );
}

// the field keeps the focus while a button of the device is pressed
const keep = (e: MouseEvent): void => {
  e.preventDefault();
};

interface ButtonsProps extends GaugeProps {
  readonly state: GaugeState;
}

/** The buttons of a device. */
function Buttons({ gauge, state }: ButtonsProps): ReactElement {
  return (
    <Flex wrap="wrap" columnGap={2} rowGap={1} onMouseDown={keep}>
      <Word
        onClick={() => {
          void pressGauge(gauge, 'read');
        }}
      >
        read
      </Word>
      <Word
        onClick={() => {
          void pressGauge(gauge, 'zero');
        }}
      >
        {gauge === 'scale' ? 'tare' : 'zero'}
      </Word>
      <Word
        aria-label={`Unit: ${state.unit}`}
        onClick={() => {
          void pressGauge(gauge, 'unit');
        }}
      >
        {state.unit}
      </Word>
      <Word
        aria-pressed={state.held}
        fontWeight={state.held ? 700 : undefined}
        onClick={() => {
          void pressGauge(gauge, 'hold');
        }}
      >
        {state.held ? 'held' : 'hold'}
      </Word>
      <Word
        onClick={() => {
          putGaugeAway(gauge);
        }}
      >
        away
      </Word>
    </Flex>
  );
}

interface GaugeProps {
  readonly gauge: Gauge;
}

function OneGauge({ gauge }: GaugeProps): ReactElement {
  const { link, state, shows } = useGauges((s) => s[gauge]);
  const name = (
    <>
      {NAMES[gauge]} <Key>{KEYS[gauge]}</Key>
    </>
  );
  if (link === 'none')
    return (
      <Word
        fontSize="small"
        textAlign="left"
        onClick={() => {
          connectGauge(gauge);
        }}
      >
        {name}
      </Word>
    );
  return (
    <Box role="group" aria-label={NAMES[gauge]} fontSize="caption" lineHeight={1.4}>
      <Box fontWeight={600}>{name}</Box>
      <Box
        border="rule"
        background="paper"
        fontSize="small"
        fontWeight={700}
        textAlign="right"
        whiteSpace="nowrap"
        paddingX={1}
        marginY={1}
        minHeight="26px"
        aria-live="polite"
        data-shows
      >
        {shows}
      </Box>
      {link === 'there' && state ? (
        <Buttons gauge={gauge} state={state} />
      ) : (
        <Caption>{link === 'away' ? 'gone; looking …' : 'looking …'}</Caption>
      )}
      <Said gauge={gauge} />
    </Box>
  );
}
