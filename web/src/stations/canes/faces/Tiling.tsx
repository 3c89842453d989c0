import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import type { Paint } from '#core/cane';
import { showLength } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { LengthValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import { useFace, type WorkedCane } from '../../../workers/cane.js';

const LAID = [
  { value: 'rows', text: 'in rows' },
  { value: 'gaps', text: 'in the gaps' },
  { value: 'bead', text: 'around a bead' },
] as const;
type Laid = (typeof LAID)[number]['value'];
const FACE = 160;
const [WIDTH, HEIGHT] = [330, 200];

const slicesWords = (count: number): string => (count === 1 ? 'one slice' : `${count} slices`);

interface TilingProps {
  readonly worked: WorkedCane;
  readonly at: number;
  readonly paints: Readonly<Record<string, Paint>>;
}

/** Slices laid edge to edge as a slab, or around a bead. */
export function Tiling({ worked, at, paints }: TilingProps): ReactElement | null {
  const units = useUnits();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [laid, setLaid] = useState<Laid>('rows');
  const [across, setAcross] = useState(60);
  const picture = useFace(worked, at, FACE, paints, false);
  const figures = worked.steps[at];
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!picture || !figures?.there || !context) return;
    const side = Math.max(figures.width, figures.height);
    const [w, h] = [figures.width / side, figures.height / side];
    // the face as it lies in its square picture, and how large a slice is on the slab
    const at1 = (u: number, v: number): number => {
      const x = Math.floor((0.5 + ((u - 0.5) * w) / 1.004) * FACE);
      const y = Math.floor((0.5 + ((v - 0.5) * h) / 1.004) * FACE);
      return 4 * (Math.min(FACE - 1, Math.max(0, y)) * FACE + Math.min(FACE - 1, Math.max(0, x)));
    };
    const out = context.createImageData(WIDTH, HEIGHT);
    const mm = across / WIDTH;
    for (let j = 0; j < HEIGHT; j++) {
      for (let i = 0; i < WIDTH; i++) {
        let [x, y] = [i * mm, j * mm];
        if (laid === 'bead') {
          // a ball seen from the front: from the place on the screen to the place on its skin
          const r = (across * HEIGHT) / WIDTH / 2;
          const [dx, dy] = [x - across / 2, y - r];
          const d2 = dx * dx + dy * dy;
          if (d2 > r * r * 0.98) continue;
          const height = Math.asin(dy / r);
          [x, y] = [
            r * Math.asin(Math.max(-1, Math.min(1, dx / (r * Math.cos(height))))) + across,
            r * height + across,
          ];
        }
        const row = Math.floor(y / figures.height);
        const shift = laid === 'gaps' && row % 2 !== 0 ? figures.width / 2 : 0;
        const u = ((x + shift) / figures.width) % 1;
        const v = (y / figures.height) % 1;
        const from = at1(u, v);
        out.data.set(picture.data.subarray(from, from + 4), 4 * (j * WIDTH + i));
      }
    }
    context.putImageData(out, 0, 0);
  }, [picture, figures, laid, across]);
  if (!figures?.there) return null;
  return (
    <Box borderTop="rule" paddingTop={3}>
      <Box fontSize="small">
        Slices laid <Choice label="How slices are laid" value={laid} options={LAID} onChange={setLaid} />,{' '}
        <LengthValue
          label="Width of the slab"
          value={across}
          onChange={(mm) => {
            if (mm >= 2 && mm <= 2000) setAcross(mm);
          }}
        />{' '}
        across
      </Box>
      {laid !== 'bead' && across < figures.width && (
        <Warning>
          A slice is {showLength(figures.width, units)} wide, and so wider than this slab: part of one is all that fits.
        </Warning>
      )}
      <Flex marginTop={2}>
        <canvas
          ref={canvas}
          width={WIDTH}
          height={HEIGHT}
          role="img"
          aria-label={`Slices ${LAID.find((l) => l.value === laid)?.text ?? ''}`}
          style={{ width: WIDTH, height: HEIGHT }}
        />
      </Flex>
      <Caption>
        {laid === 'bead'
          ? `a bead of ${showLength((across * HEIGHT) / WIDTH, units)}`
          : slicesWords(Math.ceil((across / figures.width) * ((across * HEIGHT) / WIDTH / figures.height)))}
      </Caption>
    </Box>
  );
}
