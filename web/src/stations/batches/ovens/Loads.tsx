import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import { TRAY_GAP, ovenLoads, traysIn, type LoadItem, type OvenLoad } from '#core/batch';
import { showLength, showMinutes, showTemperature } from '#core/units';
import type { BakedItemDto, BakesAnswer, OvenDto } from '#contract';
import { PutIn } from '../../../parts/baking/PutIn.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { grey } from '../../../theme/grey.js';
import { Caption } from '../../../theme/pieces.js';
import { useBakes } from '../../../wire/queries.js';
import { ALONE_WORDS, BELOW_PACKET, ON_FORMS } from './loadWords.js';
import { toSet } from './ovenWords.js';

/** px for a mm of a tray. */
const SCALE = 0.5;

interface Spot {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Where pieces lie on a tray: row after row, kind after kind. */
function spotsOn(load: OvenLoad, items: ReadonlyMap<string, LoadItem>, width: number): Spot[] {
  const spots: Spot[] = [];
  let [x, y, high] = [0, 0, 0];
  for (const { id, count } of load.items) {
    const box = items.get(id)?.box ?? { width: 10, height: 10 };
    for (let i = 0; i < count; i++) {
      if (x > 0 && x + box.width > width) {
        x = 0;
        y += high + TRAY_GAP;
        high = 0;
      }
      spots.push({ x, y, ...box });
      x += box.width + TRAY_GAP;
      high = Math.max(high, box.height);
    }
  }
  return spots;
}

interface LoadProps {
  readonly load: OvenLoad;
  readonly at: number;
  readonly answer: BakesAnswer;
  readonly oven: OvenDto;
}

/** One load: the tray as it lies, how hot, how long, and what is on it. */
function OneLoad({ load, at, answer, oven }: LoadProps): ReactElement {
  const units = useUnits();
  const items = new Map(answer.items.map((i) => [i.id, i]));
  const { trayWidthMm: width, trayLengthMm: length } = oven;
  return (
    <Flex as="li" gap={4} alignItems="flex-start" borderTop="hair" paddingY={3}>
      <svg width={width * SCALE} height={length * SCALE} viewBox={`0 0 ${width} ${length}`} aria-hidden>
        <rect width={width} height={length} fill={grey.paper} stroke={grey.ink} strokeWidth={2} />
        {spotsOn(load, items, width).map((s, i) => (
          <rect key={i} {...s} fill={grey.bench} stroke={grey.ink} strokeWidth={1} />
        ))}
      </svg>
      <Box minWidth={0}>
        <b>
          {at + 1}. {showMinutes(load.minutes)} at {showTemperature(load.celsius, units)}
          {load.times > 1 ? `, ${load.times} trays of this` : ''}
        </b>{' '}
        <Caption>never above {showTemperature(load.maxC, units)}</Caption>
        {load.items.map(({ id, count }) => {
          const named = answer.names[id];
          return (
            <div key={id}>
              {count} {named?.piece} <Caption>of</Caption>{' '}
              <Link to={`/batches/${named?.batchId ?? ''}`}>{named?.batch}</Link>
            </div>
          );
        })}
        {load.alone !== null && <Caption display="block">{ALONE_WORDS[load.alone]}</Caption>}
        {load.below && <Caption display="block">{BELOW_PACKET}</Caption>}
        {load.onForm && <Caption display="block">{ON_FORMS}</Caption>}
        <Caption display="block">{Math.round(load.share * 100)} % of the tray</Caption>
        <Box marginTop={2}>
          <PutIn
            {...{ oven, load }}
            dial={toSet(oven, load.celsius).dial}
            items={load.items.map(({ id, count }) => bakedItem(id, count, answer))}
            label={`Put load ${at + 1} in`}
          />
        </Box>
      </Box>
    </Flex>
  );
}

/** As the diary keeps it. */
function bakedItem(id: string, count: number, { items, names }: BakesAnswer): BakedItemDto {
  const item = items.find((i) => i.id === id);
  const named = names[id];
  const name = (named?.piece ?? '').replace(/, cores$/, '');
  return { batchId: named?.batchId ?? null, pieceId: item?.pieceId ?? null, name, count, cores: item?.cores ?? false };
}

const counted = (loads: number): string => (loads === 1 ? 'one load' : `${loads} loads`);

/** What of all open batches goes into this oven together: the fewest trays. */
export function Loads({ oven }: { readonly oven: OvenDto }): ReactElement | null {
  const units = useUnits();
  const { data } = useBakes();
  const tray = useMemo(() => ({ width: oven.trayWidthMm, length: oven.trayLengthMm }), [oven]);
  const found = useMemo(() => data && ovenLoads(data.items, tray), [data, tray]);
  if (!data || !found || data.items.length === 0) return null;
  return (
    <Box>
      <h2>What goes in together</h2>
      <Caption>
        all open batches in {counted(traysIn(found.loads))}, the fewest there are, {showLength(TRAY_GAP, units)} between
        pieces
      </Caption>
      <Box as="ol" aria-label="Loads of the oven">
        {found.loads.map((load, at) => (
          <OneLoad key={at} {...{ load, at, oven }} answer={data} />
        ))}
      </Box>
      {found.tooLarge.map((id) => (
        <Warning key={id}>{data.names[id]?.piece} is larger than this tray.</Warning>
      ))}
    </Box>
  );
}
