import type { ReactElement } from 'react';
import { BAND, steadyAt, trueAt } from '#core/oven';
import { showTemperature } from '#core/units';
import type { OvenDto } from '#contract';
import { useUnits } from '../../../state/view.js';
import { grey } from '../../../theme/grey.js';
import { degreesApart, type ToSet } from './ovenWords.js';

interface CurveProps {
  readonly of: OvenDto;
  readonly set: ToSet;
  /** the true temperature that is wanted */
  readonly celsius: number;
}

/** px of the drawing, and of its margins. */
const [WIDE, HIGH, LEFT, RIGHT, TOP, BELOW] = [760, 380, 66, 130, 14, 34];
/** Minutes and °C that are shown. */
const [MINUTES, MOST] = [60, 190];
const QUARTERS = [0, 15, 30, 45, 60];
const LEVELS = [50, 100, 150];
const SMOOTH = 160;

const xAt = (minutes: number): number => LEFT + ((WIDE - LEFT - RIGHT) * minutes) / MINUTES;
const yAt = (celsius: number): number => TOP + (HIGH - TOP - BELOW) * (1 - Math.min(MOST, Math.max(0, celsius)) / MOST);

/** The lines that temperatures and minutes are read off. */
function Lines(): ReactElement {
  const units = useUnits();
  const label = { fontSize: 16, fill: grey.ink } as const;
  return (
    <>
      {LEVELS.map((celsius) => (
        <g key={celsius}>
          <path d={`M${LEFT} ${yAt(celsius)}H${WIDE - RIGHT}`} stroke={grey.hairline} />
          <text {...label} x={LEFT - 6} y={yAt(celsius) + 4} textAnchor="end">
            {showTemperature(celsius, units)}
          </text>
        </g>
      ))}
      <path d={`M${LEFT} ${yAt(0)}H${WIDE - RIGHT}`} stroke={grey.ink} />
      {QUARTERS.map((minutes) => (
        <text key={minutes} {...label} x={xAt(minutes)} y={HIGH - 8} textAnchor="middle">
          {minutes} min
        </text>
      ))}
    </>
  );
}

/** How the oven warms at the dial that is to be set, the band that is wanted, and what was read, moved to that dial. */
export function WarmingCurve({ of, set, celsius }: CurveProps): ReactElement {
  const units = useUnits();
  const { oven, dial } = set;
  const curve = Array.from({ length: SMOOTH + 1 }, (_, i) => {
    const minutes = (MINUTES * i) / SMOOTH;
    return `${xAt(minutes).toFixed(1)} ${yAt(trueAt(oven, dial, minutes)).toFixed(1)}`;
  });
  const words = `${showTemperature(celsius, units)} ± ${degreesApart(BAND, units)}`;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      role="img"
      aria-label={`How ${of.name} warms with its dial at ${showTemperature(dial, units)}`}
      style={{ display: 'block', maxWidth: WIDE }}
    >
      <rect
        x={LEFT}
        y={yAt(celsius + BAND)}
        width={WIDE - LEFT - RIGHT}
        height={yAt(celsius - BAND) - yAt(celsius + BAND)}
        fill={grey.tile}
      />
      <Lines />
      <text x={WIDE - RIGHT + 6} y={yAt(celsius) + 4} fontSize="16" fill={grey.ink}>
        {words}
      </text>
      <path d={`M${curve.join('L')}`} fill="none" stroke={grey.black} strokeWidth="3" />
      {of.readings.map(({ id, dial: own, celsius: read, minutes }) => (
        <circle
          key={id}
          cx={xAt(Math.min(MINUTES, minutes ?? MINUTES))}
          cy={yAt(read + steadyAt(oven, dial) - steadyAt(oven, own))}
          r="5"
          fill={grey.tile}
          stroke={grey.black}
          strokeWidth="2"
        />
      ))}
    </svg>
  );
}
