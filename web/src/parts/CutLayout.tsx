import { useId, type ReactElement } from 'react';
import type { Cutter } from '#core/cutter';
import { showLength } from '#core/units';
import type { PlainLayout } from '#contract';
import { useUnits } from '../state/view.js';
import { CutPieces } from './cutters/CutPieces.js';
import { grey } from '../theme/grey.js';

interface CutLayoutProps {
  readonly layout: PlainLayout;
  readonly cutter: Cutter;
  readonly hex: string;
  /** of a fade across the sheet: its colours; left out: none */
  readonly hexes?: readonly string[];
  /** what the sheet shows, where it is no plain colour: drawn in so many px, from its upper left corner */
  readonly face?: (width: number, length: number, scale: number) => ReactElement;
  /** room on the screen, px */
  readonly room: { readonly width: number; readonly height: number };
}

const OUTLINE = { fill: 'none', stroke: grey.black, strokeOpacity: 0.75, strokeWidth: 1 } as const;

/** Below the dark line, on a sheet that is dark in places itself. */
const LIGHT = { stroke: grey.tile, strokeOpacity: 0.85, strokeWidth: 3.5 } as const;

interface FadedProps extends Pick<CutLayoutProps, 'layout' | 'cutter'> {
  readonly hexes: readonly string[];
  /** px */
  readonly w: number;
  readonly l: number;
  readonly scale: number;
}

/** A sheet with a fade: what each piece shows of it stands out of what is left. */
function FadedSheet({ hexes, layout, cutter, w, l, scale }: FadedProps): ReactElement {
  const id = useId();
  return (
    <>
      <defs>
        <linearGradient id={`${id}fade`}>
          {hexes.map((hex, i) => (
            <stop key={i} offset={i / (hexes.length - 1)} stopColor={`#${hex}`} />
          ))}
        </linearGradient>
        <clipPath id={`${id}cuts`} transform={`translate(0 ${l}) scale(${scale} ${-scale})`}>
          <CutPieces cutter={cutter} places={layout} count={layout.perSheet} />
        </clipPath>
      </defs>
      <rect width={w} height={l} fill={`url(#${id}fade)`} opacity="0.35" />
      <rect width={w} height={l} fill={`url(#${id}fade)`} clipPath={`url(#${id}cuts)`} />
    </>
  );
}

/** One sheet with its cuts, to scale, with its dimensions and a scale bar. */
export function CutLayout({ layout, cutter, hex, hexes = [], face, room }: CutLayoutProps): ReactElement {
  const units = useUnits();
  const [left, below] = [40, 44];
  const scale = Math.min((room.width - left - 8) / layout.width, (room.height - below - 4) / layout.length, 4);
  const [w, l] = [layout.width * scale, layout.length * scale];
  const bar = units === 'metric' ? 20 : 25.4;
  const whole = { width: left + Math.max(w, bar * scale + 60) + 8, height: l + below + 4 };
  const label = { fontSize: 12, fill: grey.ink } as const;
  return (
    <svg
      width={whole.width}
      height={whole.height}
      viewBox={`0 0 ${whole.width} ${whole.height}`}
      role="img"
      style={{ display: 'block', maxWidth: '100%', height: 'auto' }}
      aria-label={
        `Cutting layout: ${layout.perSheet} on a sheet of ${showLength(layout.width, units)} by ` +
        `${showLength(layout.length, units)}`
      }
    >
      <g transform={`translate(${left} 2)`}>
        {face?.(w, l, scale)}
        {!face && hexes.length > 1 && <FadedSheet {...{ hexes, layout, cutter, w, l, scale }} />}
        {!face && hexes.length < 2 && <rect width={w} height={l} fill={`#${hex}`} />}
        {face && (
          <g {...OUTLINE} {...LIGHT} transform={`translate(0 ${l}) scale(${scale} ${-scale})`}>
            <CutPieces cutter={cutter} places={layout} count={layout.perSheet} />
          </g>
        )}
        <g {...OUTLINE} transform={`translate(0 ${l}) scale(${scale} ${-scale})`}>
          <CutPieces cutter={cutter} places={layout} count={layout.perSheet} />
        </g>
        <g stroke={grey.ink}>
          <path d={`M-10 0.5h6M-10 ${l - 0.5}h6M-7 0V${l}`} fill="none" />
        </g>
        <text {...label} transform={`translate(-14 ${l / 2}) rotate(-90)`} textAnchor="middle">
          {showLength(layout.length, units)}
        </text>
        <g stroke={grey.ink}>
          <path d={`M0.5 ${l + 4}v6M${w - 0.5} ${l + 4}v6M0 ${l + 7}H${w}`} fill="none" />
        </g>
        <text {...label} x={w / 2} y={l + 22} textAnchor="middle">
          {showLength(layout.width, units)}
        </text>
        <path d={`M0 ${l + 36}H${bar * scale}`} stroke={grey.ink} strokeWidth="3" />
        <text {...label} x={bar * scale + 6} y={l + 40}>
          {units === 'metric' ? '20 mm' : '1 in'}
        </text>
      </g>
    </svg>
  );
}
