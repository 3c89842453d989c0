import { useMemo, type ReactElement } from 'react';
import { settlePiece, solidOf, type Part } from '#core/piece';
import type { FindingDto } from '#contract';
import { PieceAbove } from '../../../parts/pieces/PieceAbove.js';

/** px that a finding has room for. */
const ROOM = 60;

/** A finding as it looks from above. */
export function FindingShape({ finding }: { readonly finding: FindingDto }): ReactElement | null {
  const { id, name, form, widthMm, lengthMm } = finding;
  const alone = useMemo(() => {
    const shape = { is: 'finding', finding: id, form, width: widthMm, length: lengthMm } as const;
    const place = { lies: 'at', x: 0, y: 0, turn: 0 } as const;
    const part: Part = { ...{ id, name, of: null, like: '9A9DA3', on: null }, shape, place };
    return settlePiece([{ part, solid: solidOf(shape, name), lying: [{ x: 0, y: 0, degrees: 90, flip: false }] }]);
  }, [id, name, form, widthMm, lengthMm]);
  if (!alone) return null;
  const scale = ROOM / Math.max(alone.extent.width, alone.extent.height, 12);
  return <PieceAbove piece={alone} hexesOf={() => []} label={name} scale={scale} />;
}
