import type { ReactElement } from 'react';
import type { Kind } from '#core/clay';
import { grey } from '../theme/grey.js';

/** Kinds of clay as surfaces, in black and white over the clay's own colour. Once in the page; used by id. */
export function Textures(): ReactElement {
  return (
    <svg width="0" height="0" aria-hidden style={{ position: 'absolute' }}>
      <defs>
        <pattern id="kind-translucent" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V7" stroke={grey.black} strokeOpacity="0.35" strokeWidth="1.2" />
        </pattern>
        <pattern id="kind-mica" width="12" height="10" patternUnits="userSpaceOnUse" patternTransform="rotate(-12)">
          <path d="M1 2h4M7 7h4" stroke={grey.tile} strokeOpacity="0.55" strokeWidth="1.4" />
          <path d="M7 2.5h2M2 7.5h2" stroke={grey.black} strokeOpacity="0.28" strokeWidth="1.2" />
        </pattern>
        <pattern id="kind-glitter" width="11" height="11" patternUnits="userSpaceOnUse">
          <path d="M2 1 3.2 2.8 2 4.6 0.8 2.8ZM8 6 9.2 7.8 8 9.6 6.8 7.8Z" fill={grey.tile} fillOpacity="0.7" />
          <circle cx="8" cy="2" r="0.9" fill={grey.black} fillOpacity="0.35" />
        </pattern>
        <pattern id="short" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill={grey.tile} />
          <path d="M0 0V7" stroke={grey.ink} strokeWidth="5" />
        </pattern>
        <pattern id="assumed" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill={grey.pale} />
          <path d="M0 0V6" stroke={grey.ink} strokeWidth="2" />
        </pattern>
        <filter id="lamp" colorInterpolationFilters="linearRGB">
          <feColorMatrix
            type="matrix"
            values="0.2126 0.7152 0.0722 0 0 0.2126 0.7152 0.0722 0 0 0.2126 0.7152 0.0722 0 0 0 0 0 1 0"
          />
        </filter>
      </defs>
    </svg>
  );
}

/** The fill that lies over a clay's colour, or null for a plain surface. */
export const textureOf = (kind: Kind): string | null => (kind === 'opaque' ? null : `url(#kind-${kind})`);
