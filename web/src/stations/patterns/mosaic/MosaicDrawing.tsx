import { Box } from '@chakra-ui/react';
import { memo, useMemo, type ReactElement } from 'react';
import { bezelEdge, middleOf, type Mosaic, type Tessera } from '#core/mosaic';
import type { Cutter } from '#core/cutter';
import type { Point } from '#core/outline';
import { UNKNOWN_HEX, grey } from '../../../theme/grey.js';

interface DrawingProps {
  readonly mosaic: Mosaic;
  readonly bezel: Cutter;
  /** six digits each, by shade */
  readonly hexes: readonly string[];
  readonly bedHex: string;
  /** patches that lie there; null: all of it is looked at */
  readonly done: readonly number[] | null;
  /** CSS of its width */
  readonly width: string;
  readonly label: string;
  readonly onPatch?: (patch: number) => void;
}

const pathOf = (points: readonly Point[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}Z`;

/** One path for all tesserae of a shade in a patch: thousands of them are drawn as a few. */
function pathsOf(tesserae: readonly Tessera[]): readonly { shade: number; d: string }[] {
  const paths = new Map<number, string[]>();
  for (const { shade, points } of tesserae) {
    const own = paths.get(shade) ?? [];
    own.push(pathOf(points));
    paths.set(shade, own);
  }
  return [...paths].map(([shade, all]) => ({ shade, d: all.join('') }));
}

/** Where the number of a patch stands: on the tessera nearest to its middle. */
function numberedAt(tesserae: readonly Tessera[]): Point {
  const middles = tesserae.map(({ points }) => middleOf(points));
  const [x, y] = middleOf(middles);
  const far = ([u, v]: Point): number => (u - x) ** 2 + (v - y) ** 2;
  return middles.reduce((a, b) => (far(b) < far(a) ? b : a));
}

interface DrawnPatch {
  readonly patch: number;
  readonly paths: readonly { shade: number; d: string }[];
  readonly middle: Point;
}

const OnePatch = memo(function OnePatch({
  drawn,
  hexes,
  laid,
}: {
  readonly drawn: DrawnPatch;
  readonly hexes: readonly string[];
  readonly laid: boolean;
}): ReactElement {
  return (
    <>
      {drawn.paths.map(({ shade, d }) => (
        <path
          key={shade}
          d={d}
          fill={laid ? `#${hexes[shade] ?? UNKNOWN_HEX}` : grey.tile}
          stroke={laid ? 'none' : grey.hairline}
          strokeWidth={0.06}
        />
      ))}
    </>
  );
});

/** A mosaic as it is planned; with patches that are still to be laid as lines, each with its number. */
export function MosaicDrawing(props: DrawingProps): ReactElement {
  const { mosaic, bezel, hexes, bedHex, done, width, label, onPatch } = props;
  const patches = useMemo(
    (): readonly DrawnPatch[] =>
      mosaic.patches.map((_, patch) => {
        const own = mosaic.tesserae.filter((t) => t.patch === patch);
        return { patch, paths: pathsOf(own), middle: numberedAt(own) };
      }),
    [mosaic],
  );
  const small = Math.min(bezel.width, bezel.height) / 22;
  return (
    <Box width={width} aspectRatio={`${bezel.width} / ${bezel.height}`}>
      <svg viewBox={`0 0 ${bezel.width} ${bezel.height}`} width="100%" height="100%" role="img" aria-label={label}>
        <path d={pathOf(bezelEdge(bezel))} fill={`#${bedHex}`} />
        {patches.map((drawn) => (
          <g
            key={drawn.patch}
            data-patch={drawn.patch + 1}
            data-laid={done?.includes(drawn.patch) ?? true}
            onClick={
              onPatch &&
              (() => {
                onPatch(drawn.patch);
              })
            }
            style={onPatch && { cursor: 'pointer' }}
          >
            <OnePatch drawn={drawn} hexes={hexes} laid={done?.includes(drawn.patch) ?? true} />
          </g>
        ))}
        {done !== null &&
          patches
            .filter(({ patch }) => !done.includes(patch))
            .map(({ patch, middle: [x, y] }) => (
              <text
                key={patch}
                x={x}
                y={y + small * 0.35}
                fontSize={small}
                textAnchor="middle"
                fill={grey.ink}
                stroke={grey.tile}
                strokeWidth={small / 5}
                paintOrder="stroke"
                pointerEvents="none"
              >
                {patch + 1}
              </text>
            ))}
      </svg>
    </Box>
  );
}
