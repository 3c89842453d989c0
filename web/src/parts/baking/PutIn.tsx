import type { ReactElement } from 'react';
import type { OvenDto } from '#contract';
import { useBaking, type InOven, type ToBake } from '../../state/baking.js';
import { Action, Caption } from '../../theme/pieces.js';

interface PutInProps {
  readonly oven: OvenDto;
  readonly load: ToBake;
  readonly items: InOven['items'];
  /** where its dial is to be set */
  readonly dial: number;
  /** what is said of it, among others */
  readonly label?: string;
}

/** Puts a load into an oven: from then on its minutes are counted. */
export function PutIn({ oven, load, items, dial, label }: PutInProps): ReactElement {
  const { load: inside, putIn } = useBaking();
  if (inside) return <Caption>The oven is not empty: take out what is in it first.</Caption>;
  const { celsius, low, maxC, minutes } = load;
  return (
    <Action
      aria-label={label}
      onClick={() => {
        putIn({ ...{ celsius, low, maxC, minutes, items, dial }, ovenId: oven.id, ovenName: oven.name }, Date.now());
      }}
    >
      Put it in
    </Action>
  );
}
