import { Box } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { BlendDto, CaneDto, PatternDto, RevisionAnswer } from '#contract';
import { asName } from '../../../parts/names.js';
import { Warning } from '../../../parts/Warning.js';
import { Action, Caption, Second } from '../../../theme/pieces.js';
import { useBlendOf, useCaneLook, useCaneOf, usePatternLook, usePatternOf } from '../../../wire/queries.js';
import { change, useRefusal } from '../../../wire/save.js';
import { sentCane } from '../../canes/editing/useCaneEditing.js';
import { sentPattern } from '../../patterns/beginnings.js';
import { neededIn, type ThereNow } from './againPlan.js';
import { NeededList, useSwaps } from './NeededList.js';
import { coloursIn, inOtherColours } from './otherColours.js';

/** A plan that was made, as it was then. */
interface PlanThen {
  /** the way to the plan as it is now */
  readonly path: string;
  readonly name: string;
  readonly number: number;
  /** where another one is put, before its id */
  readonly put: string;
  /** as it is sent, but for its id and name */
  readonly dto: CaneDto | PatternDto | BlendDto;
  readonly referenced: readonly RevisionAnswer[];
}

interface PlanAgainProps {
  readonly then: PlanThen;
  readonly now: ThereNow;
}

/** What takes the place of what, and beginning another plan with it. */
function useOther({ then, now }: PlanAgainProps) {
  const navigate = useNavigate();
  const needed = useMemo(() => neededIn(coloursIn(then.dto), then.referenced, now), [then, now]);
  const [id] = useState(() => crypto.randomUUID());
  const { swaps, swap } = useSwaps(needed);
  const path = `${then.put}/${id}`;
  const refusal = useRefusal(path);
  const begin = async (): Promise<void> => {
    const own = { id, version: 0, name: asName(`${then.name}, again`), retired: false };
    const dto = { ...inOtherColours(then.dto, swaps), ...own };
    if (await change('PUT', path, dto)) void navigate(then.path.replace(/[^/]+$/, id));
  };
  return { needed, swaps, swap, refusal, begin };
}

/** A plan that was made, once more: as that revision was, in the same colours or in others. */
function PlanAgain(props: PlanAgainProps): ReactElement {
  const { path, name, number } = props.then;
  const { needed, swaps, swap, refusal, begin } = useOther(props);
  return (
    <Box as="section" aria-label={name} borderTop="rule" paddingTop={4}>
      <Box fontSize="h3">
        <Link to={path}>{name}</Link>{' '}
        <Second>
          it was made as its revision {number} · <Link to={`${path}/make`}>at the bench, as the plan is now</Link>
        </Second>
      </Box>
      <NeededList label={`What ${name} is made of`} needed={needed} swaps={swaps} onSwap={swap} />
      {refusal && <Warning>{refusal.message}</Warning>}
      <Action main onClick={() => void begin()}>
        Begin it as a plan of its own
      </Action>{' '}
      <Caption>as it was made, in these colours; its size is changed there</Caption>
    </Box>
  );
}

interface OfProps {
  readonly id: string;
  readonly revisionId: string;
  readonly number: number;
  readonly now: ThereNow;
}

/** A cane of an entry. */
export function CaneAgain({ id, revisionId, number, now }: OfProps): ReactElement | null {
  const [cane, look] = [useCaneOf(id).data, useCaneLook(revisionId).data];
  const then = useMemo(
    () =>
      cane &&
      look && {
        ...{ path: `/canes/${id}`, put: '/api/canes', name: cane.name, number, referenced: look.referenced },
        dto: { ...sentCane(cane), program: look.program },
      },
    [cane, look, id, number],
  );
  return then ? <PlanAgain then={then} now={now} /> : null;
}

/** A patterned sheet of an entry. */
export function PatternAgain({ id, revisionId, number, now }: OfProps): ReactElement | null {
  const [pattern, look] = [usePatternOf(id).data, usePatternLook(revisionId).data];
  const then = useMemo(
    () =>
      pattern &&
      look && {
        ...{ path: `/patterns/${id}`, put: '/api/patterns', name: pattern.name, number, referenced: look.referenced },
        dto: { ...sentPattern(pattern), program: look.program, wanted: look.wanted },
      },
    [pattern, look, id, number],
  );
  return then ? <PlanAgain then={then} now={now} /> : null;
}

/** A blend of an entry, as its plan is by now. */
export function BlendAgain({ id, number, now }: Omit<OfProps, 'revisionId'>): ReactElement | null {
  const blend = useBlendOf(id).data;
  const then = useMemo(() => {
    if (!blend) return null;
    const { version, name, note, retired, plan, referenced } = blend;
    const dto = { id, version, name, note, retired, plan };
    return { path: `/blends/${id}`, put: '/api/blends', name, number, referenced, dto };
  }, [blend, id, number]);
  return then ? <PlanAgain then={then} now={now} /> : null;
}
