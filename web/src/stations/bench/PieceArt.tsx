import { Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import type { Shape } from '#core/piece';
import type { BatchAnswer } from '#contract';
import { alone, drawnPiece, hexesIn } from '../../parts/pieces/drawn.js';
import { PieceAbove } from '../../parts/pieces/PieceAbove.js';
import { PieceSide } from '../../parts/pieces/PieceSide.js';
import { tilesIn } from '../batches/assembled/materialTiles.js';
import { useUnits } from '../../state/view.js';

/** Room for a piece at the bench, px, and the most px for a mm of a part alone. */
const [ROOM, SIDE_ROOM, PART_SCALE] = [260, 200, 9];

/** A piece of many parts as it will look, where the batch has it. */
export function PieceArt({
  pieceId,
  batch,
}: {
  readonly pieceId: string;
  readonly batch: Pick<BatchAnswer, 'assemblies' | 'plan'>;
}): ReactElement | null {
  const units = useUnits();
  const assembly = batch.assemblies.find((a) => a.id === pieceId);
  const settled = useMemo(() => assembly && drawnPiece(assembly.piece).settled, [assembly]);
  if (!assembly || !settled) return null;
  const hexesOf = hexesIn(batch.plan.materials);
  const longest = Math.max(settled.extent.width, settled.extent.height);
  return (
    <Flex gap={6} alignItems="center" wrap="wrap">
      <PieceAbove
        piece={settled}
        hexesOf={hexesOf}
        tileOf={tilesIn(batch.plan.materials)}
        label={`${assembly.name} from above`}
        scale={Math.min(PART_SCALE, ROOM / longest)}
      />
      <PieceSide
        {...{ piece: settled, hexesOf, units, apart: true }}
        label={`${assembly.name} from the side, its parts apart`}
        scale={Math.min(PART_SCALE, SIDE_ROOM / longest)}
      />
    </Flex>
  );
}

/** One part alone, as large as its clay will be, in one colour. */
export function PartArt({
  shape,
  hex,
  name,
}: {
  readonly shape: Shape;
  readonly hex: string;
  readonly name: string;
}): ReactElement | null {
  const one = useMemo(() => alone(shape, name, hex), [shape, hex, name]);
  if (!one) return null;
  const scale = Math.min(PART_SCALE, ROOM / Math.max(one.extent.width, one.extent.height));
  return <PieceAbove piece={one} hexesOf={() => []} label={name} scale={scale} />;
}
