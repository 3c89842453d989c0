import type { ReactNode } from 'react';
import type { Stage, Step } from '#core/cane';
import type { BlendCard, CaneAnswer, CaneCard, ShelfAnswer } from '#contract';
import type { Judged, WorkedCane } from '../../../workers/cane.js';
import type { BenchCane, Wobble } from '../clay/useCane.js';

/** One step of a cane on the bench, and what can be done with it. */
export interface StepBenchProps {
  readonly cane: CaneAnswer;
  readonly bench: BenchCane;
  /** those of the cane, or of the part of it that is open */
  readonly steps: readonly Step[];
  readonly at: number;
  readonly wobble: Wobble;
  readonly trueSize: boolean;
  /** mm, by the eye */
  readonly blur: number;
  readonly feature: Judged['feature'];
  /** of the plan, where there is one: as long as it is really made */
  readonly stages: readonly Stage[] | null;
  readonly shelf: ShelfAnswer;
  readonly blends: readonly BlendCard[];
  readonly canes: readonly CaneCard[];
  readonly onChange: (step: Step) => void;
  readonly onOpen: (part: number) => void;
  readonly onAdd: () => void;
  readonly onMove: (by: number) => void;
  readonly onCopy: () => void;
  readonly onRemove: () => void;
  /** what waits while something is dragged */
  readonly children: ReactNode;
}

/** What is looked at now: the step, and the cane worked out, both as they follow a hand that drags a value. */
export interface Followed {
  readonly step: Step | undefined;
  readonly worked: WorkedCane | null;
  readonly dragged: boolean;
  readonly drag: (step: Step) => void;
}
