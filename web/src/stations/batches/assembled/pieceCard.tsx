import { showSize, type UnitSystem } from '#core/units';
import type { PieceModelDto } from '#contract';
import type { CardLine, PictureCard } from '../../../parts/card/pictureCard.js';
import { drawnPiece } from '../../../parts/pieces/drawn.js';
import { PieceAbove } from '../../../parts/pieces/PieceAbove.js';
import { shapeWords } from './partWords.js';

/** px of the longer side of the drawing. */
const DRAWN = 1200;

/** What the card of a piece shows: the piece from above, and its parts. */
export async function pieceCard({ name, piece }: PieceModelDto, units: UnitSystem): Promise<PictureCard> {
  const { renderToStaticMarkup } = await import('react-dom/server');
  const { settled, laid } = drawnPiece(piece);
  const lines = laid.map(({ part, lying }): CardLine => ({
    hexes: [part.like],
    name: part.name,
    detail: shapeWords(part.shape, units),
    amount: `× ${lying.length}`,
  }));
  if (!settled) return { name, about: 'Piece', picture: { of: 'colours', hexes: [] }, lines, note: '' };
  const { width, height } = settled.extent;
  const scale = DRAWN / Math.max(width, height);
  const drawing = <PieceAbove piece={settled} hexesOf={() => []} label={name} scale={scale} />;
  const text = renderToStaticMarkup(drawing).replace('<svg ', '<svg xmlns="http://www.w3.org/2000/svg" ');
  return {
    name,
    about: `Piece of ${laid.length} kinds of parts, ${showSize(width, height, units)}`,
    picture: { of: 'svg', text },
    lines,
    note: '',
  };
}
