import { useNavigate } from 'react-router';
import type { ClayDto, MixAnswer } from '#contract';
import { freeName, takenNames } from '../../../parts/names.js';
import { useAllMixes, usePatterns } from '../../../wire/queries.js';
import { change } from '../../../wire/save.js';
import { newPattern } from '../beginnings.js';
import { mixOfBoth } from './reliefClay.js';
import type { ReliefPlan, WorkedRelief } from './reliefPlan.js';
import { reliefSteps } from './reliefSteps.js';

/** Keeping a relief as a patterned sheet; its mix first, where it is of one that is nowhere kept yet. */
export function useMakeRelief(plan: ReliefPlan, clay: ClayDto, translucent: ClayDto | null, name: string) {
  const navigate = useNavigate();
  const [patterns, mixes] = [usePatterns(), useAllMixes()];
  const keyOfMix = async (other: ClayDto): Promise<string | null> => {
    const dto = mixOfBoth(clay, other, freeName(name, takenNames(mixes.data)));
    const kept = await change<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto);
    const newest = kept?.revisions.at(-1);
    return newest ? `mix:${newest.id}` : null;
  };
  return async (worked: WorkedRelief): Promise<void> => {
    const of = translucent ? await keyOfMix(translucent) : `clay:${clay.id}`;
    if (of === null) return;
    const what = plan.picture === null ? plan.texture : 'a picture';
    const dto = newPattern(`${clay.name}, ${what}`, reliefSteps(plan, worked, of), takenNames(patterns.data));
    if (await change('PUT', `/api/patterns/${dto.id}`, dto)) void navigate(`/patterns/${dto.id}`);
  };
}
