import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { cutterOf } from '#core/cutter';
import { showMass } from '#core/units';
import type { PieceDto, PlanAnswer } from '#contract';
import { CutLayout } from '../../parts/CutLayout.js';
import { useUnits } from '../../state/view.js';
import { Second } from '../../theme/pieces.js';
import { patternedFace } from './patternedFace.js';
import { hexIn, hexesIn } from './pieceWords.js';

/** How the cuts lie, in words. */
const LAID = {
  rows: 'cut in straight rows',
  hexagonal: 'cut in the gaps of the row before',
  nested: 'cut close into each other',
  hand: 'cut where they were put',
} as const;

interface PieceCutsProps {
  readonly piece: PieceDto;
  readonly plan: Extract<PlanAnswer['pieces'][number], { readonly wrong: null }>;
  readonly materials: PlanAnswer['materials'];
}

/** How the cuts lie on the sheet, and what is left between them. */
export function PieceCuts({ piece, plan, materials }: PieceCutsProps): ReactElement {
  const units = useUnits();
  const { layout, scrapGrams } = plan;
  const many = layout.sheets > 1;
  return (
    <Box minWidth={0}>
      <CutLayout
        layout={layout}
        cutter={cutterOf(piece)}
        hex={hexIn(materials, piece.layers.at(-1)).slice(1)}
        hexes={hexesIn(materials, piece)}
        room={{ width: 300, height: 250 }}
        {...patternedFace(piece, materials)}
      />
      <Second>
        {many ? `${layout.sheets} sheets, ` : ''}
        {LAID[layout.pattern]}, {layout.perSheet} on {many ? 'each' : 'the sheet'} · {Math.round(layout.scrap * 100)} %
        between the cuts, {showMass(scrapGrams, units)}
      </Second>
    </Box>
  );
}
