import type { ReactElement } from 'react';
import type { Fraction } from '#core/units';

const RX = 56;
const RY = 13;
const TALLEST = 24;
const ROOM = 200;
/** More discs than this are drawn as one pile. */
const MOST_DISCS = 24;

const shade = (hex: string, factor: number): string =>
  `#${[0, 2, 4]
    .map((at) =>
      Math.round(Math.min(255, parseInt(hex.slice(at, at + 2), 16) * factor))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

interface Slab {
  readonly share: number;
  readonly height: number;
}

function slabsOf(parts: number, tallest: number): Slab[] {
  const h = Math.min(TALLEST, ROOM / Math.max(1, tallest));
  if (parts > MOST_DISCS) return [{ share: 1, height: h * parts }];
  const whole = Array.from({ length: Math.floor(parts) }, () => ({ share: 1, height: h }));
  const rest = parts - Math.floor(parts);
  if (rest < 1e-9) return whole;
  const quarters = Math.round(rest * 4);
  if (Math.abs(rest * 4 - quarters) > 1e-9) return [...whole, { share: 1, height: Math.max(2, rest * h) }];
  const cuts = quarters === 3 ? [0.5, 0.25] : [quarters / 4];
  return [...whole, ...cuts.map((share) => ({ share, height: h }))];
}

/** Top and side of a whole, half or quarter disc whose upper face lies at `y`. */
function outline(share: number, y: number, h: number): { top: string; side: string } {
  if (share === 1) {
    return {
      top: `M${-RX} ${y}A${RX} ${RY} 0 0 1 ${RX} ${y}A${RX} ${RY} 0 0 1 ${-RX} ${y}Z`,
      side: `M${-RX} ${y}A${RX} ${RY} 0 0 0 ${RX} ${y}V${y + h}A${RX} ${RY} 0 0 1 ${-RX} ${y + h}Z`,
    };
  }
  const back = share === 0.5 ? `M0 ${y - RY}A${RX} ${RY} 0 0 0 ${-RX} ${y}` : `M0 ${y}L${-RX} ${y}`;
  return {
    top: `${back}A${RX} ${RY} 0 0 0 0 ${y + RY}Z`,
    side: `M${-RX} ${y}A${RX} ${RY} 0 0 0 0 ${y + RY}V${y + RY + h}A${RX} ${RY} 0 0 1 ${-RX} ${y + h}Z`,
  };
}

/**
 * Discs of one clay stacked on the bench: whole ones, then a half or a quarter cut from one; as high as they are
 * among the stacks `beside`.
 */
export function DiscStack({
  parts,
  hex,
  beside,
}: {
  readonly parts: Fraction;
  readonly hex: string;
  readonly beside: readonly Fraction[];
}): ReactElement {
  const slabs = slabsOf(parts.valueOf(), Math.max(parts.valueOf(), ...beside.map((b) => b.valueOf())));
  const total = slabs.reduce((sum, slab) => sum + slab.height, 0);
  let y = 0;
  const drawn = slabs.map((slab) => {
    y -= slab.height;
    return { ...slab, y };
  });
  const light = parseInt(hex, 16) > 0;
  return (
    <svg
      width={2 * RX + 4}
      height={total + 2 * RY + 6}
      viewBox={`${-RX - 2} ${-total - RY - 3} ${2 * RX + 4} ${total + 2 * RY + 6}`}
      aria-hidden
      style={{ display: 'block' }}
    >
      {drawn.map((slab, i) => {
        const { top, side } = outline(slab.share, slab.y, slab.height);
        return (
          <g key={i} stroke={shade(hex, light ? 0.72 : 1)} strokeWidth="1" strokeLinejoin="round">
            <path d={side} fill={shade(hex, 0.84)} />
            <path d={top} fill={`#${hex}`} />
          </g>
        );
      })}
    </svg>
  );
}
