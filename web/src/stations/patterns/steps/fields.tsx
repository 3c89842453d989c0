import type { ReactElement } from 'react';
import type { PatternStep } from '#core/pattern';
import { readLength, readNumber, showLength } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { readCount } from '../../../parts/readCount.js';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { LengthValue, Value } from '../../../parts/Value.js';
import { useUnits } from '../../../state/view.js';
import { Word } from '../../../theme/pieces.js';
import { Of } from '../../canes/steps/Of.js';
import type { EditorProps } from './view.js';

/** Names of the fields of a step that hold a value of some kind. */
type FieldOf<S, V> = { readonly [K in keyof S]-?: S[K] extends V ? K : never }[keyof S] & string;

interface OneField<S extends PatternStep, V> {
  readonly of: EditorProps<S>;
  readonly label: string;
  readonly field: FieldOf<S, V>;
}

/** The step with some of its fields exchanged. */
export function set<S extends PatternStep>({ step, onChange }: EditorProps<S>, part: Partial<S>): void {
  onChange({ ...step, ...part });
}
const put = <S extends PatternStep, V>({ of, field }: OneField<S, V>, value: V): void => {
  set(of, { [field]: value } as unknown as Partial<S>);
};
const valueIn = <S extends PatternStep, V>({ of, field }: OneField<S, V>): V => of.step[field] as V;

export const newId = (): string => crypto.randomUUID();
/** A size to a tenth of a millimetre. */
export const tenth = (mm: number): number => Math.max(0.1, Math.round(mm * 10) / 10);

export function Length<S extends PatternStep>(props: OneField<S, number>): ReactElement {
  return (
    <LengthValue
      label={props.label}
      value={valueIn(props)}
      onChange={(mm) => {
        put(props, mm);
      }}
    />
  );
}

/** A thickness: in mm, as a setting of one's own machine, or in the words of an instruction. */
export function Thickness<S extends PatternStep>(props: OneField<S, number>): ReactElement {
  return (
    <ThicknessValue
      label={props.label}
      value={valueIn(props)}
      onChange={(mm) => {
        put(props, mm);
      }}
    />
  );
}

/** Reads what may stand before or behind a middle: with a sign, or without. */
const signed =
  (read: (text: string) => number) =>
  (text: string): number =>
    read(text.replace(/^\s*[-−]/, '')) * (/^\s*[-−]/.test(text) ? -1 : 1);

export function Offset<S extends PatternStep>(props: OneField<S, number>): ReactElement {
  const units = useUnits();
  const value = valueIn(props);
  return (
    <Value
      label={props.label}
      text={`${value < 0 ? '−' : ''}${showLength(Math.abs(value), units)}`}
      read={signed((text) => readLength(text, units))}
      onChange={(mm) => {
        put(props, mm);
      }}
    />
  );
}

export function Degrees<S extends PatternStep>(props: OneField<S, number>): ReactElement {
  return (
    <>
      <Value
        label={props.label}
        text={String(Math.round(valueIn(props) * 10) / 10)}
        read={signed((text) => readNumber(text.replace(/[°\s]/g, '')).valueOf())}
        onChange={(n) => {
          put(props, n);
        }}
      />
      °
    </>
  );
}

/** A number that need not be whole, as turns. */
export function Plain<S extends PatternStep>(props: OneField<S, number>): ReactElement {
  return (
    <Value
      label={props.label}
      text={String(Math.round(valueIn(props) * 100) / 100)}
      read={signed((text) => readNumber(text).valueOf())}
      onChange={(n) => {
        put(props, n);
      }}
    />
  );
}

export function Whole<S extends PatternStep>(
  props: OneField<S, number> & { readonly low: number; readonly high: number },
): ReactElement {
  const { label, low, high } = props;
  return (
    <Value
      label={label}
      text={String(valueIn(props))}
      read={readCount(low, high, label)}
      onChange={(n) => {
        put(props, n);
      }}
    />
  );
}

/** One of a few words. */
export function OneOf<S extends PatternStep, V extends string>(
  props: OneField<S, V> & { readonly options: readonly { readonly value: V; readonly text: string }[] },
): ReactElement {
  return (
    <Choice
      label={props.label}
      value={valueIn(props)}
      options={props.options}
      onChange={(value) => {
        put(props, value);
      }}
    />
  );
}

/** Whether something is done, in words. */
export function YesNo<S extends PatternStep>(
  props: OneField<S, boolean> & { readonly yes: string; readonly no: string },
): ReactElement {
  return (
    <Choice
      label={props.label}
      value={valueIn(props) ? 'yes' : 'no'}
      options={[
        { value: 'yes', text: props.yes },
        { value: 'no', text: props.no },
      ]}
      onChange={(value) => {
        put(props, value === 'yes');
      }}
    />
  );
}

/** What it is made of. */
export function Clay<S extends PatternStep & { readonly of: string }>({
  of,
  label,
}: {
  readonly of: EditorProps<S>;
  readonly label: string;
}): ReactElement {
  return (
    <Of
      of={of.step.of}
      materials={of.materials}
      label={label}
      onPick={(key) => {
        of.onChange({ ...of.step, of: key });
      }}
    />
  );
}

/** Chance puts it elsewhere. */
export function Again<S extends PatternStep & { readonly seed: number }>({
  of,
}: {
  readonly of: EditorProps<S>;
}): ReactElement {
  return (
    <Word
      onClick={() => {
        of.onChange({ ...of.step, seed: (of.step.seed + 1) % 1_000_000 });
      }}
    >
      elsewhere
    </Word>
  );
}

/** A list of things in a row, each on a line of its own, with ways to take one out and to add another. */
export function Rows<T>({
  all,
  most,
  word,
  onChange,
  children,
}: {
  readonly all: readonly T[];
  readonly most: number;
  readonly word: string;
  readonly onChange: (all: readonly T[]) => void;
  readonly children: (one: T, i: number, put: (next: T) => void) => ReactElement;
}): ReactElement {
  return (
    <>
      {all.map((one, i) => (
        <div key={i}>
          {children(one, i, (next) => {
            onChange(all.map((x, k) => (k === i ? next : x)));
          })}
          {all.length > 1 && (
            <>
              {' '}
              ·{' '}
              <Word
                aria-label={`Take ${word} ${i + 1} out`}
                onClick={() => {
                  onChange(all.filter((_, k) => k !== i));
                }}
              >
                out
              </Word>
            </>
          )}
        </div>
      ))}
      {all.length < most && (
        <Word
          fontSize="small"
          onClick={() => {
            const last = all.at(-1);
            if (last) onChange([...all, last]);
          }}
        >
          another {word}
        </Word>
      )}
    </>
  );
}
