import { asName } from '../../parts/names.js';
import { ofClay, type Mixable } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { hexOf, showLab, xyzOfLab } from '#core/colour';
import { makeablePoints, pigmentOfMix, unitsOf, type Corners, type MakeablePoint } from '#core/mix';
import type { ShelfAnswer } from '#contract';
import { Chip } from '../../parts/Chip.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { Warning } from '../../parts/Warning.js';
import { Action, Caption, Second, Word } from '../../theme/pieces.js';
import { usePigments } from '../../wire/pigments.js';
import { recipesOf } from '../../wire/revisions.js';
import { alone, type Other } from './rungs.js';
import { TrianglePicture, WIDTH } from './TrianglePicture.js';
import { useMakeMix } from './useMakeMix.js';

const PLACES = ['on top', 'at the left', 'at the right'] as const;

/** Three clays of the shelf that lie far apart, to begin with. */
function firstThree(shelf: ShelfAnswer): Other[] {
  return shelf.clays
    .filter((c) => !c.retired && c.kind === 'opaque')
    .slice(0, 5)
    .filter((_, i) => i !== 1 && i !== 3)
    .map((c) => ({ of: ofClay(c.id), name: c.name, flat: alone(shelf, [], ofClay(c.id)) }));
}

/** The mixes at the corners, all that can be made between them, and where one stands. */
function useCorners(shelf: ShelfAnswer) {
  const [three, setThree] = useState<readonly Other[]>(() => firstThree(shelf));
  const [chosen, setChosen] = useState('1,1,1');
  const pigments = usePigments();
  const corners = useMemo((): Corners | null => {
    const [a, b, c] = three.map((of) => pigmentOfMix(of.flat, 'baked', pigments));
    return a && b && c ? [a, b, c] : null;
  }, [three, pigments]);
  const points = useMemo(() => (corners ? makeablePoints(corners) : []), [corners]);
  const put = async (place: number, { of, name }: Picked<Mixable>): Promise<void> => {
    const next = [...three];
    next[place] = { of, name, flat: alone(shelf, await recipesOf(of), of) };
    setThree(next);
  };
  return {
    three,
    corners,
    points,
    at: points.find((p) => p.units.join() === chosen) ?? points[0],
    stand: (point: MakeablePoint): void => {
      setChosen(point.units.join());
    },
    put,
  };
}

interface CornersProps {
  readonly three: readonly Other[];
  readonly onPut: (place: number, picked: Picked<Mixable>) => void;
}

/** Which mix lies at which corner; each can be another one. */
function CornerWords({ three, onPut }: CornersProps): ReactElement {
  const [picking, setPicking] = useState<number | null>(null);
  return (
    <>
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
        {three.length < PLACES.length && (
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
          onPick={(picked) => {
            setPicking(null);
            onPut(picking, picked);
          }}
          onCancel={() => {
            setPicking(null);
          }}
        />
      )}
    </>
  );
}

/** Three mixes at the corners and everything between them, to walk through point by point. */
export function Triangle({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const { three, corners, points, at, stand, put } = useCorners(shelf);
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Triangle</h1>
        <Second>
          three mixes, and all that lies between them; the dots can be laid down in up to eight whole parts
        </Second>
      </Flex>
      <CornerWords
        three={three}
        onPut={(place, picked) => {
          void put(place, picked);
        }}
      />
      {corners && at && (
        <Grid templateColumns={`${WIDTH + 40}px minmax(0, 1fr)`} gap={5}>
          <TrianglePicture corners={corners} names={three.map((of) => of.name)} points={points} at={at} onAt={stand} />
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
      asName(parts.map(({ n, of }) => `${n} ${of.name}`).join(' to ')),
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
