import { useMemo, type ReactElement } from 'react';
import { USUAL_ENDS, usedIn } from '#core/cane';
import type { CaneLookAnswer, ShelfAnswer } from '#contract';
import { faceAddress } from '../../../parts/faceAddress.js';
import { grey } from '../../../theme/grey.js';
import { usePigments } from '../../../wire/pigments.js';
import { useCaneLook, useShelf } from '../../../wire/queries.js';
import { thereAt, useFace, useWorkedCane } from '../../../workers/cane.js';
import { materialsOf } from '../clay/materials.js';

interface CaneImageProps {
  readonly revisionId: string;
  /** px that it is drawn in, a side: it fills them, whatever its shape */
  readonly size: number;
}

/** The face of a cane inside a drawing, for slices of it. */
export function CaneImage({ revisionId, size }: CaneImageProps): ReactElement {
  const look = useCaneLook(revisionId);
  const shelf = useShelf();
  if (look.data && shelf.data) return <Known look={look.data} shelf={shelf.data} size={size} />;
  return <rect width={size} height={size} fill={grey.pale} />;
}

interface KnownProps {
  readonly look: CaneLookAnswer;
  readonly shelf: ShelfAnswer;
  readonly size: number;
}

/** A cane as plain steps with the colours it is painted in, by careful hands. */
function usePlainCane({ program, canes, blends, referenced }: CaneLookAnswer, shelf: ShelfAnswer) {
  const pigments = usePigments();
  const library = useMemo(() => Object.fromEntries(canes.map((c) => [c.revisionId, c.program])), [canes]);
  const paints = useMemo(() => {
    const steps = [...program.steps, ...Object.values(library).flatMap((p) => p.steps)];
    const materials = materialsOf(usedIn(steps).materials, { blends, referenced }, shelf, pigments);
    return Object.fromEntries([...materials].map(([key, { paint }]) => [key, paint]));
  }, [program, library, blends, referenced, shelf, pigments]);
  const plain = useMemo(
    () => ({ steps: program.steps, library, wobble: 0, seed: 7, ends: USUAL_ENDS }),
    [program, library],
  );
  return { plain, paints };
}

function Known({ look, shelf, size }: KnownProps): ReactElement {
  const { plain, paints } = usePlainCane(look, shelf);
  const worked = useWorkedCane(`look ${look.revisionId}`, plain);
  const at = Math.max(0, worked?.steps.findLastIndex((s) => s.there) ?? 0);
  const picture = useFace(worked, at, size, paints, false);
  const step = thereAt(worked, at);
  const href = useMemo(() => (picture && step ? faceAddress(picture, step.width, step.height) : null), [picture, step]);
  if (href === null) return <rect width={size} height={size} fill={grey.pale} />;
  return <image href={href} width={size} height={size} preserveAspectRatio="none" />;
}
