import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { showMinutes, showTemperature, type UnitSystem } from '#core/units';
import type { BakeTold } from '#contract/diary';
import { LiveCurve } from '../../parts/baking/LiveCurve.js';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';

/** How it was meant, and how it went. */
export function bakedWords(bake: BakeTold, units: UnitSystem): string {
  const { celsius, minutes, inBand, lasted, hottest, low, high } = bake;
  const meant = `Meant: ${showMinutes(Math.round(minutes))} at ${showTemperature(celsius, units)}.`;
  if (inBand === null) return `${meant} In the oven for ${showMinutes(Math.round(lasted))} by the clock; no probe.`;
  const band = `${showTemperature(low, units)} to ${showTemperature(high, units)}`;
  const most = hottest === null ? '' : `, hottest ${showTemperature(hottest, units)}`;
  return `${meant} Really ${showMinutes(Math.floor(inBand))} within ${band}${most}.`;
}

/** A load of the oven with the curve of its probe. */
export function OneBake({ bake }: { readonly bake: BakeTold }): ReactElement {
  const units = useUnits();
  const dial = bake.dial === null ? '' : `, its dial at ${showTemperature(bake.dial, units)}`;
  const points = bake.curve.map(([at, celsius]) => ({ at, celsius }));
  return (
    <Box as="section" aria-label={`Baked in ${bake.ovenName}`}>
      <Box as="h2">
        {bake.ovenName}
        {dial}
      </Box>
      <Box marginY={1}>{bakedWords(bake, units)}</Box>
      {bake.hottest !== null && bake.hottest > bake.maxC && (
        <Box fontWeight={700}>It went above {showTemperature(bake.maxC, units)}, which not all of it stands.</Box>
      )}
      {points.length > 1 && <LiveCurve load={bake} curve={points} label={`How warm it was in ${bake.ovenName}`} />}
      <ul aria-label="In the oven">
        {bake.items.map((item, i) => (
          <li key={i}>
            {item.count} {item.name}
            {item.cores ? ', cores' : ''}{' '}
            {item.batchId !== null && (
              <Caption>
                <Link to={`/batches/${item.batchId}`}>its batch</Link>
              </Caption>
            )}
          </li>
        ))}
      </ul>
    </Box>
  );
}
