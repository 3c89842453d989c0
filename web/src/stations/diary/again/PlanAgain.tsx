import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { RevisionAnswer } from '#contract';
import { asName } from '../../../parts/names.js';
import { Warning } from '../../../parts/Warning.js';
import { Action, Caption, Second } from '../../../theme/pieces.js';
import { useBlendOf, useBlends, useCaneLook, useCaneOf, usePatternLook, usePatternOf } from '../../../wire/queries.js';
import { change, useRefusal } from '../../../wire/save.js';
import { sentCane } from '../../canes/editing/useCaneEditing.js';
import { sentPattern } from '../../patterns/beginnings.js';
import { neededIn, type ThereNow } from './againPlan.js';
import { NeededList, useSwaps } from './NeededList.js';
import { coloursIn, inOtherColours } from './otherColours.js';
import { PictureAgain, type MadeThen } from './PictureAgain.js';
import { SizeAgain } from './SizeAgain.js';
import { sizedBlend, sizedCane, sizedPattern, type PlanDto, type Sized } from './sizedPlan.js';

/** A plan that was made, as it was then. */
interface PlanThen {
  /** the way to the plan as it is now */
  readonly path: string;
  readonly name: string;
  readonly number: number;
  /** where another one is put, before its id */
  readonly put: string;
  /** as it is sent, but for its id and name */
  readonly dto: PlanDto;
  readonly sized: Sized;
  readonly referenced: readonly RevisionAnswer[];
  readonly made: MadeThen;
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
  const [factor, setFactor] = useState(1);
  const path = `${then.put}/${id}`;
  const refusal = useRefusal(path);
  const begin = async (): Promise<void> => {
    const own = { id, version: 0, name: asName(`${then.name}, again`), retired: false };
    const sized = factor === 1 || typeof then.sized === 'string' ? then.dto : then.sized.at(factor);
    const dto = { ...inOtherColours(sized, swaps), ...own };
    if (await change('PUT', path, dto)) void navigate(then.path.replace(/[^/]+$/, id));
  };
  return { needed, swaps, swap, factor, setFactor, refusal, begin };
}

/** A plan that was made, once more: as that revision was, in the same colours or in others. */
function PlanAgain(props: PlanAgainProps): ReactElement {
  const { path, name, number, sized, made } = props.then;
  const { needed, swaps, swap, factor, setFactor, refusal, begin } = useOther(props);
  return (
    <Flex as="section" aria-label={name} borderTop="rule" paddingTop={4} gap={6} wrap="wrap">
      <PictureAgain made={made} name={name} factor={factor} />
      <Flex direction="column" gap={3} flex="1 1 420px" alignItems="flex-start">
        <Box fontSize="h3">
          <Link to={path}>{name}</Link>{' '}
          <Second>
            it was made as its revision {number} · <Link to={`${path}/make`}>at the bench, as the plan is now</Link>
          </Second>
        </Box>
        {typeof sized === 'string' ? (
          <Caption>{sized}</Caption>
        ) : (
          <SizeAgain factor={factor} onChange={setFactor}>
            {sized.means}
          </SizeAgain>
        )}
        <NeededList label={`What ${name} is made of`} needed={needed} swaps={swaps} onSwap={swap} />
        {refusal && <Warning>{refusal.message}</Warning>}
        <Action main onClick={() => void begin()}>
          Begin it as a plan of its own
        </Action>
      </Flex>
    </Flex>
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
  const then = useMemo(() => {
    if (!cane || !look) return null;
    const dto = { ...sentCane(cane), program: look.program };
    const { referenced } = look;
    const made = { kind: 'cane', revisionId } as const;
    return {
      path: `/canes/${id}`,
      put: '/api/canes',
      name: cane.name,
      number,
      referenced,
      dto,
      made,
      sized: sizedCane(dto),
    };
  }, [cane, look, id, revisionId, number]);
  return then ? <PlanAgain then={then} now={now} /> : null;
}

/** A patterned sheet of an entry. */
export function PatternAgain({ id, revisionId, number, now }: OfProps): ReactElement | null {
  const [pattern, look] = [usePatternOf(id).data, usePatternLook(revisionId).data];
  const then = useMemo(() => {
    if (!pattern || !look) return null;
    const dto = { ...sentPattern(pattern), program: look.program, wanted: look.wanted };
    const own = { path: `/patterns/${id}`, put: '/api/patterns', name: pattern.name, number };
    const made = { kind: 'pattern', revisionId } as const;
    return { ...own, referenced: look.referenced, dto, made, sized: sizedPattern(dto) };
  }, [pattern, look, id, revisionId, number]);
  return then ? <PlanAgain then={then} now={now} /> : null;
}

/** A blend of an entry, as its plan is by now. */
export function BlendAgain({ id, number, now }: Omit<OfProps, 'revisionId'>): ReactElement | null {
  const [blend, blends] = [useBlendOf(id).data, useBlends().data];
  const then = useMemo(() => {
    if (!blend) return null;
    const made = { kind: 'blend', hexes: blends?.find((b) => b.id === id)?.hexes ?? [] } as const;
    const { version, name, note, retired, plan, referenced } = blend;
    const dto = { id, version, name, note, retired, plan };
    return { path: `/blends/${id}`, put: '/api/blends', name, number, referenced, dto, made, sized: sizedBlend(dto) };
  }, [blend, blends, id, number]);
  return then ? <PlanAgain then={then} now={now} /> : null;
}
