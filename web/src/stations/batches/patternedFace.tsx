import { Suspense, lazy, type ReactElement } from 'react';
import type { PieceDto, PlanAnswer } from '#contract';
import type { SheetSeen } from '../patterns/faces/SheetImage.js';

// patterns are large, and few cards need them: a phone loads them when one does
const SheetImage = lazy(async () => ({ default: (await import('../patterns/faces/SheetImage.js')).SheetImage }));

type Placed = Pick<PieceDto, 'layers' | 'placed' | 'sheetWidthMm' | 'sheetLengthMm'>;

/** The patterned sheet on top of a piece; null where there is none. */
export function patternedOf({ layers, placed }: Placed, materials: PlanAnswer['materials']): SheetSeen | null {
  const pattern = materials[layers.at(-1)?.of.id ?? '']?.pattern;
  if (!pattern) return null;
  return { revisionId: pattern.revisionId, sheet: placed?.sheet ?? 0, hands: placed?.hands ?? 1 };
}

/** What a patterned sheet on top shows in a drawing of the cuts: of a sheet that is used up in part, its lower part. */
export function patternedFace(
  piece: Placed,
  materials: PlanAnswer['materials'],
): { readonly face?: (width: number, length: number, scale: number) => ReactElement } {
  const of = patternedOf(piece, materials);
  if (!of) return {};
  return {
    face: (width, length, scale) => {
      const whole = piece.placed ? piece.sheetLengthMm * scale : length;
      return (
        <svg width={width} height={length} style={{ overflow: 'hidden' }}>
          <g transform={`translate(0 ${length - whole})`}>
            <Suspense fallback={null}>
              <SheetImage of={of} width={width} height={whole} />
            </Suspense>
          </g>
        </svg>
      );
    },
  };
}
