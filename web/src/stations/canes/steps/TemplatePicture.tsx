import type { ReactElement } from 'react';
import { extentOf, type Region } from '#core/cane';
import { grey } from '../../../theme/grey.js';
import type { Template } from './templateMoves.js';

interface TemplatePictureProps {
  readonly step: Template;
  /** px a mm */
  readonly scale: number;
  readonly colourOf: (region: Region) => string;
  /** those that stand already, by their ids; left out: all of them */
  readonly standing?: ReadonlySet<string>;
  /** the one that is laid now, by its id */
  readonly now?: string | undefined;
  readonly label: string;
}

/** px of a line, and of the line around what is laid now. */
const [THIN, THICK] = [0.75, 3];

/** A template from above: what stands in its colours, what is still to come as an outline. */
export function TemplatePicture(props: TemplatePictureProps): ReactElement | null {
  const { step, scale, colourOf, standing, now, label } = props;
  const [ground] = step.regions;
  if (!ground) return null;
  const { left, top, width, height } = extentOf({ points: ground.points, round: false });
  const there = (region: Region): boolean => standing === undefined || standing.has(region.id);
  return (
    <svg
      width={width * scale + 2 * THICK}
      height={height * scale + 2 * THICK}
      role="img"
      aria-label={label}
      style={{ display: 'block', flex: 'none' }}
    >
      <g transform={`translate(${THICK} ${THICK})`} strokeLinejoin="round">
        {step.regions.map((region) => (
          <polygon
            key={region.id}
            points={region.points.map(([x, y]) => `${(x - left) * scale},${(top - y) * scale}`).join(' ')}
            fill={there(region) ? `#${colourOf(region)}` : 'none'}
            stroke={grey.ink}
            strokeWidth={region.id === now ? THICK : THIN}
            strokeDasharray={there(region) ? undefined : '3 3'}
          />
        ))}
      </g>
    </svg>
  );
}
