import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import type { Paint } from '#core/cane';
import { showLength } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { LengthValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import { inSlice, slicesOn, type Laid, type Slab, type Slice } from './laid.js';
import { useFace, type WorkedCane } from '../../../workers/cane.js';

const LAID = [
  { value: 'rows', text: 'in rows' },
  { value: 'gaps', text: 'in the gaps' },
  { value: 'bead', text: 'around a bead' },
] as const;
const FACE = 160;
const [WIDTH, HEIGHT] = [330, 200];

const slicesWords = (count: number): string => (count === 1 ? 'one slice' : `${count} slices`);

interface TilingProps {
  readonly worked: WorkedCane;
  readonly at: number;
  readonly paints: Readonly<Record<string, Paint>>;
}

/** A face fills its square picture but for so much. */
const MARGIN = 1.004;

/** Where in the square picture of a face a place of the slice is, as an index of its first byte. */
function pixelAt(u: number, v: number, slice: Slice): number {
  const side = Math.max(slice.width, slice.height);
  const place = (share: number, length: number): number =>
    Math.min(FACE - 1, Math.max(0, Math.floor((0.5 + ((share - 0.5) * (length / side)) / MARGIN) * FACE)));
  return 4 * (place(v, slice.height) * FACE + place(u, slice.width));
}

/** The slab or the bead, pixel by pixel. */
function paint(context: CanvasRenderingContext2D, face: ImageData, laid: Laid, slice: Slice, slab: Slab): void {
  const out = context.createImageData(WIDTH, HEIGHT);
  const mm = slab.width / WIDTH;
  for (let j = 0; j < HEIGHT; j++) {
    for (let i = 0; i < WIDTH; i++) {
      const at = inSlice(i * mm, j * mm, laid, slice, slab);
      if (!at) continue;
      const from = pixelAt(at[0], at[1], slice);
      out.data.set(face.data.subarray(from, from + 4), 4 * (j * WIDTH + i));
    }
  }
  context.putImageData(out, 0, 0);
}

interface SlabPictureProps extends TilingProps {
  readonly laid: Laid;
  readonly slab: Slab;
}

/** The slices as they lie. */
function SlabPicture({ worked, at, paints, laid, slab }: SlabPictureProps): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  const face = useFace(worked, at, FACE, paints, false);
  const slice = worked.steps[at];
  const { width, height } = slab;
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (face && slice?.there && context) paint(context, face, laid, slice, { width, height });
  }, [face, slice, laid, width, height]);
  return (
    <canvas
      ref={canvas}
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={`Slices ${LAID.find((l) => l.value === laid)?.text ?? ''}`}
      style={{ width: WIDTH, height: HEIGHT }}
    />
  );
}

/** mm of a slab, at least and at most. */
const [LEAST, MOST] = [2, 2000];

/** Slices laid edge to edge as a slab, or around a bead. */
export function Tiling(props: TilingProps): ReactElement | null {
  const units = useUnits();
  const [laid, setLaid] = useState<Laid>('rows');
  const [across, setAcross] = useState(60);
  const slice = props.worked.steps[props.at];
  if (!slice?.there) return null;
  const slab = { width: across, height: (across * HEIGHT) / WIDTH };
  return (
    <Box borderTop="rule" paddingTop={3}>
      <Box fontSize="small">
        Slices laid <Choice label="How slices are laid" value={laid} options={LAID} onChange={setLaid} />,{' '}
        <LengthValue
          label="Width of the slab"
          value={across}
          onChange={(mm) => {
            if (mm >= LEAST && mm <= MOST) setAcross(mm);
          }}
        />{' '}
        across
      </Box>
      {laid !== 'bead' && across < slice.width && (
        <Warning>
          A slice is {showLength(slice.width, units)} wide, and so wider than this slab: part of one is all that fits.
        </Warning>
      )}
      <Flex marginTop={2}>
        <SlabPicture {...props} laid={laid} slab={slab} />
      </Flex>
      <Caption>
        {laid === 'bead' ? `a bead of ${showLength(slab.height, units)}` : slicesWords(slicesOn(slice, slab))}
      </Caption>
    </Box>
  );
}
