import type { GreyPicture } from '#core/mica';
import { imageAt } from '../../../parts/images.js';
import { useAnswer } from '../../../workers/answers.js';
import { painted, readable } from '../keptPicture.js';

/** px of the longer side that a picture is pressed with. */
const FINE = 512;
/** How much each of red, green and blue counts for how light something looks (Rec. 709). */
const LUMA = [0.2126, 0.7152, 0.0722] as const;

async function greysOf(id: string): Promise<GreyPicture> {
  const canvas = painted(await readable(imageAt(`/api/pictures/${id}`), 'The picture of this relief'), FINE);
  const { data, width, height } = (canvas.getContext('2d') as CanvasRenderingContext2D).getImageData(
    0,
    0,
    canvas.width,
    canvas.height,
  );
  const greys = Float32Array.from({ length: width * height }, (_, at) =>
    LUMA.reduce((sum, share, channel) => sum + (share * (data[4 * at + channel] ?? 0)) / 255, 0),
  );
  return { columns: width, rows: height, greys };
}

/** A kept picture as levels of grey; null until it is there, or where there is none. */
export function useGreys(id: string | null): { readonly greys: GreyPicture | null; readonly wrong: string | null } {
  const { value, wrong } = useAnswer(['greys', id], id === null ? null : () => greysOf(id));
  return { greys: id === null ? null : (value ?? null), wrong: wrong?.message ?? null };
}
