import { grey } from '../../theme/grey.js';
import { imageOf, pngOf } from '../images.js';
import { showDate, today } from '../../state/today.js';
import { fitting, linesWithRoom, wrapped, type CardLine, type CardPicture, type PictureCard } from './pictureCard.js';

/** px of a card, and of the air at its edges and between its halves. */
const [WIDE, HIGH, EDGE, GAP] = [1200, 900, 60, 48];
/** px of the square that the picture has, and from where on. */
const [PICTURE, TOP] = [600, 190];
const [HEADING, TEXT] = ['"Bricolage Grotesque Variable", sans-serif', '"Atkinson Hyperlegible Next", sans-serif'];
/** px: of a line of what it is made of, of its swatch, and of a line of the note. */
const [LINE, SWATCH, NOTE] = [50, 36, 32];
/** Lines of a note that have room. */
const NOTE_LINES = 2;

type Pen = CanvasRenderingContext2D;

function write(pen: Pen, font: string, colour: string): (text: string) => number {
  pen.font = font;
  pen.fillStyle = colour;
  return (text) => pen.measureText(text).width;
}

/** Colours beside each other as a fade, or one. */
function fill(pen: Pen, hexes: readonly string[], x: number, y: number, wide: number, high: number): void {
  const along = pen.createLinearGradient(x, y, x + wide, y);
  hexes.forEach((hex, i) => {
    along.addColorStop(hexes.length === 1 ? 0 : i / (hexes.length - 1), `#${hex}`);
  });
  pen.fillStyle = along;
  pen.fillRect(x, y, wide, high);
  pen.strokeStyle = grey.ink;
  pen.lineWidth = 1;
  pen.strokeRect(x + 0.5, y + 0.5, wide - 1, high - 1);
}

async function drawPicture(pen: Pen, picture: CardPicture): Promise<void> {
  if (picture.of === 'colours') {
    fill(pen, picture.hexes, EDGE, TOP, PICTURE, PICTURE);
    return;
  }
  const image =
    picture.of === 'png'
      ? await imageOf(new Blob([new Uint8Array(picture.bytes)], { type: 'image/png' }))
      : await imageOf(new Blob([picture.text], { type: 'image/svg+xml' }));
  const scale = PICTURE / Math.max(image.naturalWidth, image.naturalHeight);
  const [w, h] = [image.naturalWidth * scale, image.naturalHeight * scale];
  pen.drawImage(image, EDGE + (PICTURE - w) / 2, TOP + (PICTURE - h) / 2, w, h);
}

function drawHead(pen: Pen, { name, about }: PictureCard): void {
  pen.fillStyle = grey.ink;
  pen.fillRect(EDGE, EDGE - 14, WIDE - 2 * EDGE, 4);
  const room = WIDE - 2 * EDGE;
  const nameWide = write(pen, `700 52px ${HEADING}`, grey.ink);
  pen.fillText(fitting(name, nameWide, room), EDGE, EDGE + 52);
  const aboutWide = write(pen, `400 26px ${TEXT}`, grey.ink2);
  pen.fillText(fitting(about, aboutWide, room), EDGE, EDGE + 94);
}

function drawLine(pen: Pen, { hexes, name, detail, amount }: CardLine, x: number, y: number): void {
  const right = WIDE - EDGE;
  if (hexes.length > 0) fill(pen, hexes, x, y, SWATCH, SWATCH);
  const base = detail === undefined ? y + SWATCH - 10 : y + 17;
  const amountWide = write(pen, `600 24px ${TEXT}`, grey.ink)(amount);
  pen.fillText(amount, right - amountWide, base);
  const from = x + SWATCH + 14;
  const nameWide = write(pen, `400 24px ${TEXT}`, grey.ink);
  pen.fillText(fitting(name, nameWide, right - from - amountWide - 14), from, base);
  if (detail === undefined) return;
  const detailWide = write(pen, `400 19px ${TEXT}`, grey.ink2);
  pen.fillText(fitting(detail, detailWide, right - from), from, y + SWATCH + 3);
}

function drawFoot(pen: Pen, note: string): void {
  const noteWide = write(pen, `400 24px ${TEXT}`, grey.ink);
  const x = EDGE + PICTURE + GAP;
  const lines = wrapped(note, noteWide, WIDE - EDGE - x, NOTE_LINES);
  const from = TOP + PICTURE - NOTE * (lines.length - 1);
  lines.forEach((line, i) => {
    pen.fillText(line, x, from + i * NOTE - 4);
  });
  const day = showDate(today());
  const dayWide = write(pen, `400 20px ${TEXT}`, grey.ink2);
  pen.fillText(day, WIDE - EDGE - dayWide(day), HIGH - EDGE + 16);
  pen.fillText('Sledge', EDGE, HIGH - EDGE + 16);
}

/** The fonts of the house, before anything is written in them. */
const fontsThere = (): Promise<unknown> =>
  Promise.all([`700 52px ${HEADING}`, `400 24px ${TEXT}`, `600 24px ${TEXT}`].map((font) => document.fonts.load(font)));

/**
 * Draws a card of 1200 × 900 px.
 * @throws where its picture cannot be drawn
 */
export async function drawCard(card: PictureCard): Promise<Blob> {
  await fontsThere();
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [WIDE, HIGH];
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('This browser has no canvas.');
  pen.fillStyle = grey.tile;
  pen.fillRect(0, 0, WIDE, HIGH);
  drawHead(pen, card);
  await drawPicture(pen, card.picture);
  const x = EDGE + PICTURE + GAP;
  linesWithRoom(card.lines).forEach((line, i) => {
    drawLine(pen, line, x, TOP + i * LINE);
  });
  drawFoot(pen, card.note);
  const png = await pngOf(canvas);
  if (!png) throw new Error('The card could not be written as a picture.');
  return png;
}
