import { recipesOf } from '../../wire/revisions.js';
import { ofClay, type Mixable } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState, type ReactElement } from 'react';
import { hexOf, showLab, xyzOfLab } from '#core/colour';
import {
  makeablePoints,
  nextPoint,
  pigmentOfMix,
  triangleHeight,
  unitsOf,
  type Corners,
  type MakeablePoint,
} from '#core/mix';
import type { ShelfAnswer } from '#contract';
import { Chip } from '../../parts/Chip.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { Warning } from '../../parts/Warning.js';
import { usePigments } from '../../wire/pigments.js';
import { Action, Caption, Second, Word } from '../../theme/pieces.js';
import { useTriangle } from '../../workers/useFind.js';
import { alone, type Other } from './Ladder.js';
import { useMakeMix } from './useMakeMix.js';
import { grey, inkOn } from '../../theme/grey.js';

const WIDTH = 520;
const HEIGHT = triangleHeight(WIDTH);
/** The picture is drawn with so many pixels and stretched: it is smooth anyway. */
const DRAWN = 260;
const PLACES = ['on top', 'at the left', 'at the right'] as const;

/** Three clays of the shelf that lie far apart, to begin with. */
function firstThree(shelf: ShelfAnswer): Other[] {
  return shelf.clays
    .filter((c) => !c.retired && c.kind === 'opaque')
    .slice(0, 5)
    .filter((_, i) => i !== 1 && i !== 3)
    .map((c) => ({ of: ofClay(c.id), name: c.name, flat: alone(shelf, [], ofClay(c.id)) }));
}

/** Three mixes at the corners and everything between them, to walk through point by point. */
export function Triangle({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const [three, setThree] = useState<readonly Other[]>(() => firstThree(shelf));
  const [picking, setPicking] = useState<number | null>(null);
  const pigments = usePigments();
  const corners = useMemo((): Corners | null => {
    const [a, b, c] = three.map((of) => pigmentOfMix(of.flat, 'baked', pigments));
    return a && b && c ? [a, b, c] : null;
  }, [three, pigments]);
  const points = useMemo(() => (corners ? makeablePoints(corners) : []), [corners]);
  const [chosen, setChosen] = useState('1,1,1');
  const at = points.find((p) => p.units.join() === chosen) ?? points[0];
  const image = useTriangle(corners, DRAWN);
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (image) canvas.current?.getContext('2d')?.putImageData(image, 0, 0);
  }, [image]);
  const pick = async ({ of, name }: Picked<Mixable>): Promise<void> => {
    const place = picking ?? three.length;
    setPicking(null);
    const next = [...three];
    next[place] = { of, name, flat: alone(shelf, await recipesOf(of), of) };
    setThree(next);
  };
  const walk = (e: React.KeyboardEvent): void => {
    const to = (
      { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] } as Readonly<
        Record<string, readonly [number, number]>
      >
    )[e.key];
    if (!to || !at) return;
    e.preventDefault();
    setChosen(nextPoint(points, at, to[0], to[1]).units.join());
  };
  const nearest = (e: React.MouseEvent<HTMLElement>): void => {
    const box = e.currentTarget.getBoundingClientRect();
    const [x, y] = [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
    const far = (p: MakeablePoint): number => (p.x - x) ** 2 + (0.866 * (p.y - y)) ** 2;
    setChosen(points.reduce((a, b) => (far(b) < far(a) ? b : a)).units.join());
  };
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Triangle</h1>
        <Second>
          three mixes, and all that lies between them; the dots can be laid down in up to eight whole parts
        </Second>
      </Flex>
      <Box>
        {three.map((of, i) => (
          <span key={PLACES[i]}>
            {i > 0 && ', '}
            <Word
              onClick={() => {
                setPicking(i);
              }}
            >
              {of.name}
            </Word>{' '}
            {PLACES[i]}
          </span>
        ))}
        {three.length < 3 && (
          <>
            {' '}
            <Word
              onClick={() => {
                setPicking(three.length);
              }}
            >
              choose {three.length === 0 ? 'the first' : 'another'}
            </Word>
          </>
        )}
      </Box>
      {picking !== null && (
        <MaterialPicker
          place="chosen"
          label={`Mix ${PLACES[picking] ?? ''}`}
          onPick={(p) => {
            void pick(p);
          }}
          onCancel={() => {
            setPicking(null);
          }}
        />
      )}
      {corners && at && (
        <Grid templateColumns={`${WIDTH + 40}px minmax(0, 1fr)`} gap={5}>
          <Box
            position="relative"
            width={`${WIDTH}px`}
            height={`${HEIGHT}px`}
            margin="10px 20px 40px"
            tabIndex={0}
            role="application"
            aria-label="Triangle: the arrow keys walk through it"
            aria-describedby="triangle-at"
            cursor="crosshair"
            onKeyDown={walk}
            onClick={nearest}
            onMouseMove={(e) => {
              if (e.buttons === 1) nearest(e);
            }}
          >
            <canvas
              ref={canvas}
              width={DRAWN}
              height={triangleHeight(DRAWN)}
              style={{ width: WIDTH, height: HEIGHT, display: 'block', clipPath: 'polygon(50% 0, 0 100%, 100% 100%)' }}
            />
            <svg
              width={WIDTH + 40}
              height={HEIGHT + 20}
              viewBox={`-20 -10 ${WIDTH + 40} ${HEIGHT + 20}`}
              style={{ position: 'absolute', left: -20, top: -10, pointerEvents: 'none', overflow: 'visible' }}
              aria-hidden
            >
              <g fontSize={15} fontWeight={600} fill={grey.ink}>
                <text x={WIDTH / 2 + 26} y={8}>
                  {three[0]?.name}
                </text>
                <text x={0} y={HEIGHT + 28}>
                  {three[1]?.name}
                </text>
                <text x={WIDTH} y={HEIGHT + 28} textAnchor="end">
                  {three[2]?.name}
                </text>
              </g>
              {points.map((p) => (
                <circle
                  key={p.units.join()}
                  cx={p.x * WIDTH}
                  cy={p.y * HEIGHT}
                  r={2}
                  fill={inkOn(xyzOfLab(p.lab).y)}
                  opacity={0.5}
                />
              ))}
              <circle
                cx={at.x * WIDTH}
                cy={at.y * HEIGHT}
                r={14}
                fill={`#${hexOf(xyzOfLab(at.lab))}`}
                stroke={grey.tile}
                strokeWidth={5}
              />
              <circle cx={at.x * WIDTH} cy={at.y * HEIGHT} r={16.5} fill="none" stroke={grey.black} strokeWidth={1.5} />
            </svg>
          </Box>
          <Here at={at} three={three} />
        </Grid>
      )}
    </Flex>
  );
}

/** The point one stands on: its chip, its parts, and the way onto the board. */
function Here({ at, three }: { readonly at: MakeablePoint; readonly three: readonly Other[] }): ReactElement {
  const { make, wrong } = useMakeMix();
  const parts = at.units.flatMap((n, i) => {
    const of = three[i];
    return n > 0 && of ? [{ n, of }] : [];
  });
  const put = (): void => {
    void make(
      parts
        .map(({ n, of }) => `${n} ${of.name}`)
        .join(' to ')
        .slice(0, 80),
      parts.map(({ n, of }) => ({ parts: String(n), of: of.of })),
    );
  };
  return (
    <Flex direction="column" gap={3} alignItems="flex-start">
      <Chip
        hex={hexOf(xyzOfLab(at.lab))}
        width={190}
        height={230}
        scratched={parts.map(({ n, of }) => `${n} ${of.name}`)}
      />
      <Box id="triangle-at" role="status" fontWeight={600} data-testid="here">
        {parts.map(({ n, of }) => `${n} ${of.name}`).join(' + ')}
      </Box>
      <Caption>
        {showLab(at.lab)} · {unitsOf(at.units)} {unitsOf(at.units) === 1 ? 'part' : 'parts'} · baked, predicted
      </Caption>
      <Action disabled={parts.length < 2} onClick={put}>
        Put it on the board
      </Action>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Flex>
  );
}
