import { useMemo, type ReactElement } from 'react';
import type { FindingDto } from '#contract';
import { alone } from '../../../parts/pieces/drawn.js';
import { UNKNOWN_HEX } from '../../../theme/grey.js';
import { PieceAbove } from '../../../parts/pieces/PieceAbove.js';

/** px that a finding has room for, and how it is turned in it: a pin lies on its side. */
const [ROOM, LYING] = [60, 90];

/** A finding as it looks from above. */
export function FindingShape({ finding }: { readonly finding: FindingDto }): ReactElement | null {
  const { id, name, form, widthMm, lengthMm } = finding;
  const one = useMemo(() => {
    const shape = { is: 'finding', finding: id, form, width: widthMm, length: lengthMm } as const;
    return alone(shape, name, UNKNOWN_HEX, LYING);
  }, [id, name, form, widthMm, lengthMm]);
  if (!one) return null;
  const scale = ROOM / Math.max(one.extent.width, one.extent.height, 12);
  return <PieceAbove piece={one} hexesOf={() => []} label={name} scale={scale} />;
}
