import type { BlendPlanDto } from '#contract';
import type { WorkedBlend } from './workedBlend.js';

/** What the views of a tape are given. */
export interface TapeProps {
  readonly plan: BlendPlanDto;
  readonly worked: WorkedBlend;
  readonly onChange: (part: Partial<BlendPlanDto>) => void;
}
