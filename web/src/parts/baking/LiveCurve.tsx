import type { ReactElement } from 'react';
import { wishOf, type CurvePoint } from '#core/oven';
import { showTemperature } from '#core/units';
import type { ToBake } from '../../state/baking.js';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';

interface CurveProps {
  readonly load: ToBake;
  readonly curve: readonly CurvePoint[];
  readonly label: string;
}

/** px of the drawing, and of its margins. */
const [WIDE, HIGH, LEFT, RIGHT, TOP, BELOW] = [640, 330, 82, 92, 10, 40];
/** Minutes beyond those that are wished, °C beyond the maximum, and lines at most. */
const [BEYOND, ABOVE, LINES] = [20, 24, 5];
const STEPS = [5, 10, 15, 20, 30, 60, 120, 240];
const LEVELS = [0, 50, 100, 150, 200];
const TEXT = { fontSize: 19, fill: grey.ink } as const;

/** Where minutes and temperatures lie on it. */
function scaleOf({ load, curve }: CurveProps) {
  const last = curve.at(-1)?.at ?? 0;
  const minutes = Math.max(load.minutes + BEYOND, last * 1.05);
  const most = Math.max(load.maxC + ABOVE, ...curve.map((p) => p.celsius + ABOVE));
  return {
    minutes,
    most,
    x: (at: number): number => LEFT + ((WIDE - LEFT - RIGHT) * at) / minutes,
    y: (celsius: number): number => TOP + (HIGH - TOP - BELOW) * (1 - Math.max(0, celsius) / most),
  };
}
type Scale = ReturnType<typeof scaleOf>;

function Grid({ scale }: { readonly scale: Scale }): ReactElement {
  const units = useUnits();
  const step = STEPS.find((s) => scale.minutes / s <= LINES) ?? STEPS.at(-1) ?? 60;
  const times = Array.from({ length: Math.floor(scale.minutes / step) + 1 }, (_, i) => i * step);
  return (
    <>
      {LEVELS.filter((celsius) => celsius < scale.most - ABOVE).map((celsius) => (
        <g key={celsius}>
          <path d={`M${LEFT} ${scale.y(celsius)}H${WIDE - RIGHT}`} stroke={celsius === 0 ? grey.ink : grey.scale} />
          <text {...TEXT} x={LEFT - 8} y={scale.y(celsius) + 5} textAnchor="end">
            {showTemperature(celsius, units)}
          </text>
        </g>
      ))}
      {times.map((minutes) => (
        <text key={minutes} {...TEXT} x={scale.x(minutes)} y={HIGH - 10} textAnchor="middle">
          {minutes} min
        </text>
      ))}
    </>
  );
}

/** The band that counts, and what it must not pass. */
function Bounds({ load, scale }: { readonly load: ToBake; readonly scale: Scale }): ReactElement {
  const units = useUnits();
  const { low, high, maxC } = wishOf(load);
  const right = WIDE - RIGHT;
  return (
    <>
      <rect x={LEFT} width={right - LEFT} y={scale.y(high)} height={scale.y(low) - scale.y(high)} fill={grey.bench} />
      <text {...TEXT} x={right + 8} y={scale.y((low + high) / 2) + 6}>
        {showTemperature(load.celsius, units)}
      </text>
      <path d={`M${LEFT} ${scale.y(maxC)}H${right}`} stroke={grey.black} strokeWidth="2" strokeDasharray="8 5" />
      <text {...TEXT} x={right} y={scale.y(maxC) - 8} textAnchor="end">
        never above {showTemperature(maxC, units)}
      </text>
    </>
  );
}

/** How warm it was and is: the curve of the probe over the band that counts, and the maximum. */
export function LiveCurve(props: CurveProps): ReactElement {
  const { load, curve, label } = props;
  const scale = scaleOf(props);
  const last = curve.at(-1);
  const line = curve.map((p) => `${scale.x(p.at).toFixed(1)} ${scale.y(p.celsius).toFixed(1)}`).join('L');
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      role="img"
      aria-label={label}
      style={{ display: 'block', maxWidth: 640, background: grey.tile }}
    >
      <Bounds load={load} scale={scale} />
      <Grid scale={scale} />
      {last && <path d={`M${line}`} fill="none" stroke={grey.black} strokeWidth="3.5" strokeLinejoin="round" />}
      {last && <circle cx={scale.x(last.at)} cy={scale.y(last.celsius)} r="6" fill={grey.black} />}
    </svg>
  );
}
