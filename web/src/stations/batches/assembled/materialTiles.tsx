import { materialIn, type MaterialKey } from '#core/material';
import type { PlanAnswer } from '#contract';
import type { TileOf } from '../../../parts/pieces/drawn.js';
import { CaneImage } from '../../canes/faces/CaneImage.js';
import { SheetImage } from '../../patterns/faces/SheetImage.js';

/** Dots a side of the picture of a slice, and of a patterned sheet. */
const [SLICE_DOTS, SHEET_DOTS] = [160, 480];
/** mm a side of a patterned sheet that is drawn on pieces; what is larger than it begins anew. */
const SHEET_MM = 80;

/** What a material shows where it is cut: the face of a cane on each of its slices, a patterned sheet at its size. */
export function tilesIn(materials: PlanAnswer['materials']): TileOf {
  return (of: MaterialKey, id: string) => {
    const known = materials[materialIn(of)?.id ?? ''];
    if (known?.cane)
      return (
        <pattern
          id={id}
          width="1"
          height="1"
          viewBox={`0 0 ${SLICE_DOTS} ${SLICE_DOTS}`}
          preserveAspectRatio="none"
          patternUnits="objectBoundingBox"
        >
          <CaneImage revisionId={known.cane} size={SLICE_DOTS} />
        </pattern>
      );
    if (!known?.pattern) return null;
    return (
      <pattern
        id={id}
        x={-SHEET_MM / 2}
        y={-SHEET_MM / 2}
        width={SHEET_MM}
        height={SHEET_MM}
        viewBox={`0 0 ${SHEET_DOTS} ${SHEET_DOTS}`}
        patternUnits="userSpaceOnUse"
      >
        <SheetImage
          of={{ revisionId: known.pattern.revisionId, sheet: 0, hands: 1 }}
          width={SHEET_DOTS}
          height={SHEET_DOTS}
          ownShape
        />
      </pattern>
    );
  };
}
