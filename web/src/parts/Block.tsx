import type { ReactElement } from 'react';
import type { Kind } from '#core/clay';
import { textureOf } from './texture.js';
import { grey } from '../theme/grey.js';

const PX_PER_GRAM = 1.02;
const HEIGHT = 46;
/** Blocks above this are drawn twice as high and half as long. */
const LONG_GRAMS = 115;

/** A block drawn to the grams that are left of it; the dotted outline is the block as bought. */
export function Block({
  net,
  left,
  hex,
  kind,
  scale = 1,
}: {
  readonly net: number;
  readonly left: number;
  readonly hex: string;
  readonly kind: Kind;
  readonly scale?: number;
}): ReactElement {
  const rows = net > LONG_GRAMS ? 2 : 1;
  const height = HEIGHT * rows * scale;
  const full = (net * PX_PER_GRAM * scale) / rows;
  const filled = (left * PX_PER_GRAM * scale) / rows;
  const texture = textureOf(kind);
  return (
    <svg
      width={full + 2}
      height={height + 2}
      viewBox={`-1 -1 ${full + 2} ${height + 2}`}
      aria-hidden
      style={{ display: 'block', flex: 'none' }}
    >
      <rect width={filled} height={height} fill={`#${hex}`} />
      {texture !== null && <rect width={filled} height={height} fill={texture} />}
      <rect width={full} height={height} fill="none" stroke={grey.ghost} strokeDasharray="2 3" />
    </svg>
  );
}
