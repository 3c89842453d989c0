import { imageOf, pngOf } from '../../parts/images.js';
import { keepPhotograph } from '../../parts/openPhotograph.js';
import { complaint } from '../../workers/sentences.js';

/** px of the longer side that a drawing is painted with before it is kept. */
const PAINTED = 1200;

/** A picture on white, at most so many px on its longer side. */
export function painted(image: HTMLImageElement, most: number): HTMLCanvasElement {
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
export async function readable(image: Promise<HTMLImageElement>, name: string): Promise<HTMLImageElement> {
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

/** Keeps a picture or a drawing. @returns its id @throws Complaint */
export async function keepPicture(file: File): Promise<string> {
  return (await keepPhotograph(isDrawing(file) ? await asPicture(file) : file)).id;
}
