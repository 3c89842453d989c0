import { Box, chakra } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import { USUAL_ENDS, usedIn, type StartColours, type StartingPoint, type Step } from '#core/cane';
import type { BlendCard, CaneAnswer, CaneCard, RevisionAnswer, ShelfAnswer } from '#contract';
import { usePigments } from '../../../wire/pigments.js';
import { Caption } from '../../../theme/pieces.js';
import { useWorkedCane } from '../../../workers/cane.js';
import { useCaneOf } from '../../../wire/queries.js';
import { Face } from './Face.js';
import { materialsOf } from '../clay/materials.js';
import { useCane } from '../clay/useCane.js';

const SIZE = 132;
/** px of a card */
export const CARD_WIDTH = 152;
const Pick = chakra('button', {
  base: { textAlign: 'left', display: 'block', width: `${CARD_WIDTH}px`, _hover: { background: 'paper' } },
});

/** The last face of a cane that is planned. */
export function CaneCardFace({
  card,
  shelf,
  pictured,
}: {
  readonly card: CaneCard;
  readonly shelf: ShelfAnswer;
  /** whether the face is drawn */
  readonly pictured: boolean;
}): ReactElement {
  const cane = useCaneOf(pictured ? card.id : undefined);
  return (
    <Link to={`/canes/${card.id}`} style={{ textDecoration: 'none', display: 'block', width: CARD_WIDTH }}>
      {cane.data ? <LastFace cane={cane.data} shelf={shelf} /> : <Box width={`${SIZE}px`} height={`${SIZE}px`} />}
      <Box fontWeight={600} lineHeight={1.25} marginTop={2}>
        {card.name}
      </Box>
      <Caption>{card.steps} steps</Caption>
    </Link>
  );
}

function LastFace({ cane, shelf }: { readonly cane: CaneAnswer; readonly shelf: ShelfAnswer }): ReactElement {
  const { worked, paints } = useCane(cane, cane.program.steps, shelf, {
    wobble: 'off',
    lit: cane.program.meant === 'glass',
  });
  const at = worked?.steps.findLastIndex((s) => s.there) ?? 0;
  return <Face worked={worked} at={Math.max(0, at)} size={SIZE} paints={paints} label={`Face of ${cane.name}`} />;
}

/** mm of the slices that glass is looked at as, before it is begun. */
const SLICE = 2;

interface StartFaceProps {
  readonly start: StartingPoint;
  readonly colours: StartColours;
  readonly shelf: ShelfAnswer;
  readonly blends: readonly BlendCard[];
  readonly referenced: readonly RevisionAnswer[];
  readonly onBegin: () => void;
}

/** A starting point in somebody's own colours. */
export function StartFace({ start, colours, shelf, blends, referenced, onBegin }: StartFaceProps): ReactElement {
  const pigments = usePigments();
  const colourKey = JSON.stringify(colours);
  const steps = useMemo((): readonly Step[] => start.steps(JSON.parse(colourKey) as StartColours), [start, colourKey]);
  const inside = useMemo(
    () => ({
      blends: blends.map((b) => ({ revisionId: b.revisionId, blendId: b.id, name: b.name, plan: b.plan })),
      referenced,
    }),
    [blends, referenced],
  );
  const paints = useMemo(
    () =>
      Object.fromEntries(
        [...materialsOf(usedIn(steps).materials, inside, shelf, pigments, start.ofGlass && SLICE)].map(([key, m]) => [
          key,
          m.paint,
        ]),
      ),
    [steps, inside, shelf, pigments, start.ofGlass],
  );
  const plain = useMemo(() => ({ steps, library: {}, wobble: 0, seed: 1, ends: USUAL_ENDS }), [steps]);
  const worked = useWorkedCane(`start ${start.id}`, plain);
  const at = worked?.steps.findLastIndex((s) => s.there) ?? 0;
  return (
    <Pick onClick={onBegin} aria-label={`Begin with ${start.name}`}>
      <Face worked={worked} at={Math.max(0, at)} size={SIZE} paints={paints} label={`Face of ${start.name}`} />
      <Box fontWeight={600} lineHeight={1.25} marginTop={2}>
        {start.name}
      </Box>
      <Caption>{start.words}</Caption>
    </Pick>
  );
}
