import type { ReactElement } from 'react';
import type { BatchAnswer, PlainStep } from '#contract';
import { InTheOven } from '../../parts/baking/InTheOven.js';
import { PutIn } from '../../parts/baking/PutIn.js';
import { useBaking } from '../../state/baking.js';
import { useMachines, useOvens } from '../../wire/queries.js';
import { SetTheDial } from './SetTheDial.js';
import { ownOven, toSet } from '../batches/ovens/ovenWords.js';

interface BakeProps {
  readonly step: Extract<PlainStep, { kind: 'bake' }>;
  readonly batch: Pick<BatchAnswer, 'id'>;
}

/** A load goes into the oven from here, and is watched here: large, with its minutes. */
export function BakeHere({ step, batch }: BakeProps): ReactElement | null {
  const ovens = useOvens();
  const setup = useMachines().data?.setup;
  const inside = useBaking((s) => s.load);
  const oven = ovens.data && ownOven(ovens.data, setup);
  if (inside) return <InTheOven />;
  if (!oven) return <SetTheDial celsius={step.celsius} />;
  const items = step.pieces.map(({ id, name, count }) => ({
    ...{ batchId: batch.id, pieceId: id, name, count, cores: step.cores },
  }));
  return (
    <>
      <SetTheDial celsius={step.celsius} />
      <PutIn oven={oven} load={step} items={items} dial={toSet(oven, step.celsius).dial} />
    </>
  );
}
