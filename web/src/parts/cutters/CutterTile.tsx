import { Box, chakra } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { cutterOf, showCutter, type Cutter } from '#core/cutter';
import type { OwnCutterDto } from '#contract';
import { cutterPath } from './CutPieces.js';
import { useUnits } from '../../state/view.js';
import { grey } from '../../theme/grey.js';
import { Caption } from '../../theme/pieces.js';

const Pick = chakra('button', {
  base: {
    display: 'block',
    textAlign: 'left',
    padding: '6px',
    border: '3px solid transparent',
    _hover: { borderColor: 'hairline' },
    '&&&[aria-pressed=true]': { borderColor: 'ink' },
  },
});

/** px of a cutter at the scale of the drawer, at least. */
const LEAST = 24;

/** The edge of a cutter as it stands on the table, from above. */
export function CutterArt({ cutter, scale }: { readonly cutter: Cutter; readonly scale: number }): ReactElement {
  const [w, h] = [cutter.width * scale + 6, cutter.height * scale + 6];
  return (
    <svg width={Math.max(LEAST, w)} height={Math.max(LEAST, h)} aria-hidden style={{ display: 'block' }}>
      <g transform={`translate(${Math.max(LEAST, w) / 2} ${Math.max(LEAST, h) / 2}) scale(${scale} ${-scale})`}>
        <path
          d={cutterPath(cutter)}
          fill={grey.tile}
          fillRule="evenodd"
          stroke={grey.black}
          strokeWidth="2.5"
          vectorEffect="non-scaling-stroke"
        />
      </g>
    </svg>
  );
}

interface CutterTileProps {
  readonly own: OwnCutterDto;
  readonly scale: number;
  readonly chosen: boolean;
  /** only its name, its size when it is pointed at */
  readonly small?: boolean;
  readonly onChoose: () => void;
}

/** A cutter of the drawer with its name and its size. */
export function CutterTile({ own, scale, chosen, small = false, onChoose }: CutterTileProps): ReactElement {
  const units = useUnits();
  const cutter = cutterOf(own);
  return (
    <Pick aria-pressed={chosen} title={showCutter(cutter, units)} onClick={onChoose}>
      <CutterArt cutter={cutter} scale={scale} />
      <Box fontSize={small ? 'caption' : 'small'} fontWeight={small ? 400 : 600} marginTop={1}>
        {own.name}
      </Box>
      {!small && <Caption>{showCutter(cutter, units)}</Caption>}
    </Pick>
  );
}
