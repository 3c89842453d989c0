import { useMemo, type ReactElement } from 'react';
import { areaWanted } from '#core/pattern';
import type { PatternLookAnswer, ShelfAnswer } from '#contract';
import { faceAddress } from '../../../parts/faceAddress.js';
import { grey } from '../../../theme/grey.js';
import { usePatternLook, useShelf } from '../../../wire/queries.js';
import { usePatternFace, usePatternPlan } from '../../../workers/pattern.js';
import { cutCanes } from '../cutCanes.js';
import { usePattern } from '../usePattern.js';
import { finished } from './finished.js';
import { shapeOf } from './PatternFace.js';

/** A finished patterned sheet: of which revision, which of several, and whose hands made it. */
export interface SheetSeen {
  readonly revisionId: string;
  readonly sheet: number;
  readonly hands: number;
}

interface SheetImageProps {
  readonly of: SheetSeen;
  /** px that it is drawn in: the whole sheet, its upper left corner at the origin */
  readonly width: number;
  readonly height: number;
  /** as large as it fits, in its own shape; left out: it fills the room */
  readonly ownShape?: boolean;
}

/** A finished patterned sheet inside a drawing, for pieces that are cut of it and for what lies there. */
export function SheetImage(props: SheetImageProps): ReactElement {
  const look = usePatternLook(props.of.revisionId);
  const shelf = useShelf();
  if (look.data && shelf.data) return <Known {...props} look={look.data} shelf={shelf.data} />;
  return <rect width={props.width} height={props.height} fill={grey.pale} />;
}

/** Pixels for one on the screen, so that it is sharp on paper too. */
const DENSE = 2;

interface KnownProps extends SheetImageProps {
  readonly look: PatternLookAnswer;
  readonly shelf: ShelfAnswer;
}

function Known({ of, width, height, ownShape = false, look, shelf }: KnownProps): ReactElement {
  const { program, wanted } = look;
  const canes = useMemo(() => cutCanes(look.canes), [look.canes]);
  const planned = { steps: program.steps, ...(canes && { canes }) };
  const plan = usePatternPlan(planned, wanted ? areaWanted(wanted) : null);
  const steps = plan !== null && typeof plan !== 'string' ? plan.steps : program.steps;
  const bench = usePattern(look, steps, shelf, { seed: of.hands, wobble: 1 });
  const body = bench.bodies?.at(-1);
  const own = useMemo(() => finished(bench.plain, of.sheet, body?.count ?? 1), [bench.plain, of.sheet, body?.count]);
  const size = Math.max(8, Math.round(DENSE * Math.max(width, height)));
  const picture = usePatternFace({ pattern: own.plain, at: own.at, view: own.view, size, paints: bench.paints }, false);
  const href = useMemo(() => {
    if (!picture || !body?.there) return null;
    const [wide, high] = shapeOf(body, own.view);
    return faceAddress(picture, wide, high);
  }, [picture, body, own]);
  if (href === null) return <rect width={width} height={height} fill={grey.pale} />;
  return <image href={href} width={width} height={height} preserveAspectRatio={ownShape ? 'xMidYMid' : 'none'} />;
}
