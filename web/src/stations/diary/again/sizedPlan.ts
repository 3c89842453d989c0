import { faceBy, takesInOthers, type Program } from '#core/cane';
import { scaledCutter } from '#core/cutter';
import { growsWhole, largerSteps, type PatternStep } from '#core/pattern';
import type { BlendDto, BlendPlanDto, CaneDto, PatternDto } from '#contract';

export type PlanDto = CaneDto | PatternDto | BlendDto;

/** A plan in another size, and what that means of it. */
export interface Sizing {
  /** 0.8 is a fifth smaller */
  readonly at: (factor: number) => PlanDto;
  /** what goes on after "of what was made, " */
  readonly means: string;
}

/** How a plan is sized; a sentence where only its own plan can say that. */
export type Sized = Sizing | string;

/** mm, to a hundredth. */
const fine = (mm: number): number => Math.round(100 * mm) / 100;

/** A cane by its face: as many slices, as thick. */
export function sizedCane(dto: CaneDto): Sized {
  const { steps } = dto.program as Program;
  if (takesInOthers(steps))
    return 'It takes in other canes, which are as large as they are: its size is changed there.';
  return {
    means: 'across its face; as many slices, as thick.',
    at: (factor) => ({ ...dto, program: { ...dto.program, steps: faceBy(steps, factor) } }),
  };
}

/** A patterned sheet by its sides: its pattern is as fine as before. */
export function sizedPattern(dto: PatternDto): Sized {
  const means = 'along its sides; its pattern as fine, and as thick.';
  const { wanted, program } = dto;
  if (wanted) {
    const { width, height, innerWidth, innerHeight } = wanted;
    const at = (factor: number): PatternDto => ({
      ...dto,
      wanted: {
        ...wanted,
        ...{ width: fine(width * factor), height: fine(height * factor) },
        ...{ innerWidth: fine(innerWidth * factor), innerHeight: fine(innerHeight * factor) },
      },
    });
    return { means, at };
  }
  const steps = program.steps as readonly PatternStep[];
  if (!growsWhole(steps)) return 'It is made of pieces that are cut one by one: how much of it is said there.';
  const at = (factor: number): PatternDto => ({
    ...dto,
    program: { ...program, steps: largerSteps(steps, factor * factor) },
  });
  return { means, at };
}

/** Everything of a blend that lies in the plane of its sheet; sheets are as thick. */
function blendPlanBy(plan: BlendPlanDto, factor: number): BlendPlanDto {
  const by = (mm: number): number => fine(mm * factor);
  const { cuts, placed, wanted, extraMm } = plan;
  return {
    ...plan,
    ...{ width: by(plan.width), height: by(plan.height), pure: by(plan.pure) },
    ...{ tapeWidth: by(plan.tapeWidth), fanDepth: by(plan.fanDepth) },
    cuts: cuts.map(({ points }) => ({ points: points.map(({ x, y }) => ({ x: by(x), y: by(y) })) })),
    ...(extraMm ? { extraMm: by(extraMm) } : {}),
    ...(placed ? { placed: placed.map(({ x, size }) => ({ x: by(x), size: by(size) })) } : {}),
    ...(wanted ? { wanted: scaledCutter(wanted, factor) } : {}),
  };
}

/** A blend by its sheet and its tape. */
export const sizedBlend = (dto: BlendDto): Sized => ({
  means: 'along its sides, tape and all; its sheets as thick.',
  at: (factor) => ({ ...dto, plan: blendPlanBy(dto.plan, factor) }),
});
