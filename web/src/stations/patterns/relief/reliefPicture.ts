import type { GreyPicture } from '#core/mica';
import { imageAt, imageOf, pngOf } from '../../../parts/images.js';
import { keepPhotograph } from '../../../parts/openPhotograph.js';
import { complaint } from '../../../workers/sentences.js';
import { useAnswer } from '../../../workers/answers.js';

/** px of the longer side that a picture is pressed with, and that a drawing is painted with before it is kept. */
const [FINE, PAINTED] = [512, 1200];
/** How much each of red, green and blue counts for how light something looks (Rec. 709). */
const LUMA = [0.2126, 0.7152, 0.0722] as const;

/** A picture on white, at most so many px on its longer side. */
function painted(image: HTMLImageElement, most: number): HTMLCanvasElement {
  const scale = Math.min(1, most / Math.max(image.naturalWidth, image.naturalHeight));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.naturalWidth * scale));
  canvas.height = Math.max(1, Math.round(image.naturalHeight * scale));
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) throw complaint('picture/unreadable', { name: 'The picture' });
  pen.fillStyle = 'white';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}

/** What an image comes to, or the sentence that it cannot be read. @throws Complaint */
async function readable(image: Promise<HTMLImageElement>, name: string): Promise<HTMLImageElement> {
  try {
    return await image;
  } catch {
    throw complaint('picture/unreadable', { name });
  }
}

const isDrawing = (file: File): boolean => file.type === 'image/svg+xml' || /\.svg$/i.test(file.name);

/** A drawing (SVG) as a picture of pixels. @throws Complaint */
async function asPicture(file: File): Promise<File> {
  const image = await readable(imageOf(new Blob([file], { type: 'image/svg+xml' })), file.name);
  const png = await pngOf(painted(image, PAINTED));
  if (!png) throw complaint('picture/unreadable', { name: file.name });
  return new File([png], file.name, { type: 'image/png' });
}

/** Keeps a picture or a drawing to be pressed with. @returns its id @throws Complaint */
export async function keepRelief(file: File): Promise<string> {
  return (await keepPhotograph(isDrawing(file) ? await asPicture(file) : file)).id;
}

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
