import type { ReactElement } from 'react';
import { topOf, type Rolled } from '#core/mica';
import { showLength } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { Length } from './Length.js';
import { Pressing, SheetLine, type PressingProps } from './Pressing.js';
import type { WorkedRelief } from './reliefPlan.js';

const WAYS: readonly { readonly value: Rolled; readonly text: string }[] = [
  { value: 'by hand', text: 'by hand, both ways' },
  { value: 'by machine', text: 'through the machine' },
];
const HANDS = [
  { value: '0', text: 'as a plane' },
  { value: '0.08', text: 'by a steady hand' },
  { value: '0.2', text: 'by a hand that strays' },
] as const;

interface MakingProps extends PressingProps {
  readonly worked: WorkedRelief | string;
}

type ShavingProps = Omit<MakingProps, 'clays' | 'translucents'>;

/** How it is made, as sentences. */
export function Making(props: MakingProps): ReactElement {
  return (
    <>
      <SheetLine {...props} />
      <Pressing {...props} />
      <Shaving {...props} />
      <Rolling {...props} />
    </>
  );
}

function Shaving({ plan, worked, change }: ShavingProps): ReactElement {
  const valley = typeof worked === 'string' ? plan.thick - plan.depth : worked.pressed.valley;
  const top = typeof worked === 'string' ? plan.thick : topOf(worked.pressed);
  return (
    <div>
      shaved{' '}
      <Choice
        label="Who shaves"
        value={String(plan.strays)}
        options={HANDS}
        onChange={(strays) => {
          change({ strays: Number(strays) });
        }}
      />{' '}
      at{' '}
      <Length
        label="Height of the blade"
        value={plan.blade ?? valley}
        onChange={(blade) => {
          change({ blade });
        }}
      />{' '}
      from the tile,{' '}
      <Length
        label="Shaved off the top"
        value={top - (plan.blade ?? valley)}
        onChange={(off) => {
          change({ blade: top - off });
        }}
      />{' '}
      off the top{' '}
      {plan.blade === null ? (
        <Caption>the floor of the valleys</Caption>
      ) : (
        <Word
          fontSize="small"
          onClick={() => {
            change({ blade: null });
          }}
        >
          at the floor of the valleys
        </Word>
      )}
    </div>
  );
}

function Rolling({ plan, worked, change }: ShavingProps): ReactElement {
  const units = useUnits();
  const thick = typeof worked === 'string' ? plan.thick : worked.shaved.thick;
  if (plan.to === null)
    return (
      <Word
        fontSize="small"
        onClick={() => {
          change({ to: Math.round(80 * thick) / 100 });
        }}
      >
        then roll it
      </Word>
    );
  return (
    <div>
      rolled to{' '}
      <ThicknessValue
        label="Rolled to"
        value={plan.to}
        onChange={(to) => {
          change({ to });
        }}
      />{' '}
      <Choice
        label="How it is rolled"
        value={plan.way}
        options={WAYS}
        onChange={(way) => {
          change({ way });
        }}
      />{' '}
      <Word
        fontSize="small"
        onClick={() => {
          change({ to: null });
        }}
      >
        not rolled
      </Word>
      {plan.to >= thick && (
        <Warning>It is {showLength(thick, units, true)} thick when it is shaved: that takes nothing from it.</Warning>
      )}
    </div>
  );
}
