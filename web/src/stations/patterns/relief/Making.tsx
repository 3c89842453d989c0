import type { ReactElement } from 'react';
import { TEXTURES, type Rolled } from '#core/mica';
import { readLength, readSize, showLength, showSize } from '#core/units';
import type { ClayDto } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Word } from '../../../theme/pieces.js';
import type { ReliefPlan, WorkedRelief } from './reliefPlan.js';

const WAYS: readonly { readonly value: Rolled; readonly text: string }[] = [
  { value: 'by hand', text: 'by hand, both ways' },
  { value: 'by machine', text: 'through the machine' },
];
const HANDS = [
  { value: '0', text: 'as a plane' },
  { value: '0.08', text: 'by a steady hand' },
  { value: '0.2', text: 'by a hand that strays' },
] as const;

interface MakingProps {
  readonly plan: ReliefPlan;
  readonly clays: readonly ClayDto[];
  readonly worked: WorkedRelief | string;
  readonly change: (part: Partial<ReliefPlan>) => void;
}

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

function SheetLine({ plan, clays, change }: MakingProps): ReactElement {
  const units = useUnits();
  const options = clays.map(({ id, name }) => ({ value: id, text: name }));
  return (
    <div>
      A sheet of{' '}
      <Choice
        label="The mica clay"
        value={plan.clayId}
        options={options}
        onChange={(clayId) => {
          change({ clayId });
        }}
      />
      ,{' '}
      <Value
        label="Size of the sheet"
        text={showSize(plan.width, plan.height, units)}
        read={(typed) => readSize(typed, units)}
        onChange={({ width, height }) => {
          change({ width, height: height ?? width });
        }}
      />
      ,{' '}
      <ThicknessValue
        label="Thickness of the sheet"
        value={plan.thick}
        onChange={(thick) => {
          change({ thick });
        }}
      />{' '}
      thick
    </div>
  );
}

function Pressing({ plan, change }: MakingProps): ReactElement {
  return (
    <div>
      pressed with{' '}
      <Choice
        label="Texture"
        value={plan.texture}
        options={TEXTURES.map((value) => ({ value, text: value }))}
        onChange={(texture) => {
          change({ texture });
        }}
      />
      ,{' '}
      <Length
        label="From rise to rise"
        value={plan.pitch}
        onChange={(pitch) => {
          change({ pitch });
        }}
      />{' '}
      from rise to rise,{' '}
      <Length
        label="Depth of the relief"
        value={plan.depth}
        onChange={(depth) => {
          change({ depth });
        }}
      />{' '}
      deep
    </div>
  );
}

interface LengthProps {
  readonly label: string;
  readonly value: number;
  readonly onChange: (mm: number) => void;
}

/** A length, finely. */
function Length({ label, value, onChange }: LengthProps): ReactElement {
  const units = useUnits();
  return (
    <Value
      label={label}
      measures="length"
      text={showLength(value, units, true)}
      read={(typed) => readLength(typed, units)}
      onChange={onChange}
    />
  );
}

function Shaving({ plan, worked, change }: Omit<MakingProps, 'clays'>): ReactElement {
  const valley = typeof worked === 'string' ? plan.thick - plan.depth : worked.pressed.valley;
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

function Rolling({ plan, worked, change }: Omit<MakingProps, 'clays'>): ReactElement {
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
