import { Fragment, useId, type ReactElement } from 'react';
import type { FadeWay, Settled, SettledPiece } from '#core/piece';
import { grey } from '../../theme/grey.js';
import { hexesOfPart, type HexesOf, type TileOf } from './drawn.js';
import { closedPath, movedTo, openPath, pathWith } from './svgPaths.js';

interface AboveProps {
  readonly piece: SettledPiece;
  readonly hexesOf: HexesOf;
  /** faces of canes and patterned sheets; left out: their colours alone */
  readonly tileOf?: TileOf | undefined;
  /** what it shows, for those who do not see it */
  readonly label: string;
  /** px for a mm */
  readonly scale: number;
  /** the part whose edge is drawn strongly */
  readonly chosen?: string | null;
  readonly onChoose?: ((partId: string) => void) | undefined;
  /** one part alone */
  readonly only?: string;
}

/** mm of air around the piece. */
const AIR = 1.5;

/** From where to where a fade runs on a part: y down, as in SVG. */
function fadeLine(way: FadeWay, { outline }: Settled['solid']): Record<'x1' | 'x2' | 'y1' | 'y2', number> {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [inner, outer] = [-Math.min(...ys), -Math.max(...ys)];
  if (way === 'across') return { x1: Math.min(...xs), x2: Math.max(...xs), y1: 0, y2: 0 };
  return { x1: 0, x2: 0, ...(way === 'out' ? { y1: inner, y2: outer } : { y1: outer, y2: inner }) };
}

/** The name of something drawn for a part: ids of parts may be any text. */
const idFor = (drawing: string, what: string, partId: string): string =>
  `${drawing}${what}${[...partId].map((letter) => letter.codePointAt(0)?.toString(36) ?? '').join('-')}`;

/** What a part is filled with: one colour, or a fade in its own direction. */
function Fade({
  id,
  settled,
  hexes,
}: {
  readonly id: string;
  readonly settled: Settled;
  readonly hexes: readonly string[];
}) {
  const { shape } = settled.part;
  const way = (shape.is === 'cut' ? shape.fade : undefined) ?? 'out';
  return (
    <linearGradient id={id} gradientUnits="userSpaceOnUse" {...fadeLine(way, settled.solid)}>
      {hexes.map((hex, i) => (
        <stop key={i} offset={i / (hexes.length - 1)} stopColor={`#${hex}`} />
      ))}
    </linearGradient>
  );
}

const METAL = grey.hairline;
/** Shapes that show what they are cut of as it is. */
const FLAT: ReadonlySet<string> = new Set(['cut', 'slice', 'veneer']);
const ROUND: ReadonlySet<string> = new Set(['ball', 'snake', 'twist', 'covered', 'veneer']);

interface OneProps {
  readonly settled: Settled;
  /** what its material shows where it is cut, as a fill; null: its colour alone */
  readonly tile: string | null;
  readonly hexesOf: HexesOf;
  readonly fades: string;
  readonly strong: boolean;
  readonly onChoose: (() => void) | undefined;
}

/** The lines that are seen on a part: pressed in, where turns meet, or slices that lie around it. */
function Lines({ settled, hexesOf, tile }: Pick<OneProps, 'settled' | 'hexesOf' | 'tile'>): ReactElement {
  const { shape } = settled.part;
  const slices = shape.is === 'covered';
  const second = shape.is === 'twist' ? `#${hexesOfPart(settled.part, true, hexesOf)[0] ?? ''}` : null;
  return (
    <>
      {settled.solid.lines.map((line, i) => (
        <path
          key={i}
          d={slices ? closedPath(line) : openPath(line)}
          fill={slices && tile !== null ? tile : 'none'}
          stroke={second ?? grey.ink}
          strokeOpacity={second ? 1 : 0.35}
          strokeWidth={second && shape.is === 'twist' ? shape.width * 0.5 : 0.25}
        />
      ))}
    </>
  );
}

/** One part where it lies. */
function OnePart({ settled, hexesOf, tile, fades, strong, onChoose }: OneProps): ReactElement {
  const { part, solid, place } = settled;
  const hexes = hexesOfPart(part, false, hexesOf);
  const plain = part.shape.is === 'finding' ? METAL : `#${hexes[Math.floor(hexes.length / 2)] ?? ''}`;
  const d = pathWith(solid.outline, solid.opening);
  const clip = idFor(fades, 'clip', part.id);
  return (
    <g transform={movedTo(place)} onClick={onChoose} style={onChoose ? { cursor: 'pointer' } : undefined}>
      <path d={d} fillRule="evenodd" fill={hexes.length > 1 ? `url(#${idFor(fades, 'fade', part.id)})` : plain} />
      <g clipPath={`url(#${clip})`}>
        {tile !== null && FLAT.has(part.shape.is) && <path d={d} fillRule="evenodd" fill={tile} />}
        <Lines settled={settled} hexesOf={hexesOf} tile={tile} />
      </g>
      {ROUND.has(part.shape.is) && <path d={d} fillRule="evenodd" fill={`url(#${fades}-round)`} />}
      <path
        d={d}
        fill="none"
        stroke={grey.ink}
        strokeOpacity={strong ? 1 : 0.45}
        strokeWidth={strong ? 2.5 : 0.8}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

/** Light from the upper left on what is round: lighter there, darker on the other side, without a hue. */
const Roundness = ({ id }: { readonly id: string }): ReactElement => (
  <radialGradient id={id} cx="0.38" cy="0.34" r="0.72">
    <stop offset="0" stopColor={grey.tile} stopOpacity={0.34} />
    <stop offset="0.45" stopColor={grey.tile} stopOpacity={0} />
    <stop offset="1" stopColor={grey.ink} stopOpacity={0.34} />
  </radialGradient>
);

/** What the materials of parts show where they are cut, by the id of the part. */
function tilesOf(kinds: readonly Settled[], tileOf: TileOf | undefined, id: string): ReadonlyMap<string, ReactElement> {
  return new Map(
    kinds.flatMap(({ part }) => {
      const tile = part.of !== null && tileOf ? tileOf(part.of, idFor(id, 'tile', part.id)) : null;
      return tile ? [[part.id, tile] as const] : [];
    }),
  );
}

/** A piece from above, every part where it lies, drawn from what was worked out. */
export function PieceAbove(props: AboveProps): ReactElement {
  const { piece, hexesOf, tileOf, label, scale, chosen, onChoose, only } = props;
  const id = useId();
  const { left, top, width, height } = piece.extent;
  const shown = piece.parts.filter(({ part }) => only === undefined || part.id === only);
  const kinds = [...new Map(shown.map((s) => [s.part.id, s])).values()];
  const order = [...shown].sort((a, b) => Number(b.part.under ?? false) - Number(a.part.under ?? false));
  const [wide, high] = [width + 2 * AIR, height + 2 * AIR];
  const tiles = tilesOf(kinds, tileOf, id);
  return (
    <svg
      role="img"
      aria-label={label}
      width={wide * scale}
      height={high * scale}
      viewBox={`${left - AIR} ${-top - AIR} ${wide} ${high}`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <defs>
        <Roundness id={`${id}-round`} />
        {[...tiles].map(([partId, tile]) => (
          <Fragment key={partId}>{tile}</Fragment>
        ))}
        {kinds.map((settled) => (
          <g key={settled.part.id}>
            <clipPath id={idFor(id, 'clip', settled.part.id)}>
              <path d={pathWith(settled.solid.outline, settled.solid.opening)} clipRule="evenodd" />
            </clipPath>
            {hexesOfPart(settled.part, false, hexesOf).length > 1 && (
              <Fade
                id={idFor(id, 'fade', settled.part.id)}
                settled={settled}
                hexes={hexesOfPart(settled.part, false, hexesOf)}
              />
            )}
          </g>
        ))}
      </defs>
      {order.map((settled, i) => (
        <OnePart
          key={i}
          settled={settled}
          hexesOf={hexesOf}
          tile={tiles.has(settled.part.id) ? `url(#${idFor(id, 'tile', settled.part.id)})` : null}
          fades={id}
          strong={settled.part.id === chosen}
          onChoose={
            onChoose &&
            (() => {
              onChoose(settled.part.id);
            })
          }
        />
      ))}
    </svg>
  );
}
