import type { ReactElement } from 'react';
import { partsOf, withPart, type Shape, type SheetLayer, type Step } from '#core/cane';
import { readLength, readNumber, showLength } from '#core/units';
import { readCount } from '../../../parts/readCount.js';
import { LengthValue, Value } from '../../../parts/Value.js';
import { useUnits } from '../../../state/view.js';
import { Word } from '../../../theme/pieces.js';
import { Layers } from './Layers.js';
import { Of } from './Of.js';
import { PartWords } from './PartWords.js';
import type { EditorProps } from './view.js';

/** Reads what may stand before or behind a middle: with a sign, or without. */
const signed =
  (read: (text: string) => number) =>
  (text: string): number =>
    read(text.replace(/^\s*[-−]/, '')) * (/^\s*[-−]/.test(text) ? -1 : 1);
const readDegrees = signed((text) => readNumber(text.replace(/[°\s]/g, '')).valueOf());
export const readPlain = (text: string): number => readNumber(text).valueOf();

/** Names of the fields of a step that hold a value of some kind. */
type FieldOf<S, V> = { readonly [K in keyof S]-?: S[K] extends V ? K : never }[keyof S] & string;

interface OneField<S extends Step> {
  readonly of: EditorProps<S>;
  readonly label: string;
  readonly field: FieldOf<S, number>;
}

/** The step with some of its fields exchanged. */
export function set<S extends Step>({ step, onChange }: EditorProps<S>, part: Partial<S>): void {
  onChange({ ...step, ...part });
}
/** As {@link set}; of another size or clay than that of what lies there ready, it has to be made anew. */
export function setAnew<S extends Step & { readonly made?: string }>(of: EditorProps<S>, part: Partial<S>): void {
  const { made: _, ...rest } = of.step;
  of.onChange({ ...(rest as S), ...part });
}

const valueIn = <S extends Step>({ of, field }: OneField<S>): number => Number(of.step[field]);
const withValue = <S extends Step>({ field }: OneField<S>, value: number): Partial<S> =>
  ({ [field]: value }) as Partial<S>;

export function Length<S extends Step>(props: OneField<S>): ReactElement {
  return (
    <LengthValue
      label={props.label}
      value={valueIn(props)}
      onChange={(mm) => {
        set(props.of, withValue(props, mm));
      }}
    />
  );
}

/** A size of something that may lie there ready. */
export function Size<S extends Step & { readonly made?: string }>(props: OneField<S>): ReactElement {
  return (
    <LengthValue
      label={props.label}
      value={valueIn(props)}
      onChange={(mm) => {
        setAnew(props.of, withValue(props, mm));
      }}
    />
  );
}

/** How far before or behind the middle. */
export function Offset<S extends Step>(props: OneField<S>): ReactElement {
  const units = useUnits();
  const value = valueIn(props);
  return (
    <Value
      label={props.label}
      text={`${value < 0 ? '−' : ''}${showLength(Math.abs(value), units)}`}
      read={signed((text) => readLength(text, units))}
      onChange={(mm) => {
        set(props.of, withValue(props, mm));
      }}
    />
  );
}

export function Degrees<S extends Step>(props: OneField<S>): ReactElement {
  return (
    <>
      <Value
        label={props.label}
        text={String(Math.round(valueIn(props) * 10) / 10)}
        read={readDegrees}
        onChange={(n) => {
          set(props.of, withValue(props, n));
        }}
      />
      °
    </>
  );
}

export function Whole<S extends Step>(
  props: OneField<S> & { readonly low: number; readonly high: number },
): ReactElement {
  const { label, low, high } = props;
  return (
    <Value
      label={label}
      text={String(valueIn(props))}
      read={readCount(low, high, label)}
      onChange={(n) => {
        set(props.of, withValue(props, n));
      }}
    />
  );
}

/** What it is made of. */
export function Clay<S extends Step & { readonly of: string }>({ of }: { readonly of: EditorProps<S> }): ReactElement {
  return (
    <Of
      of={of.step.of}
      materials={of.materials}
      label="What it is made of"
      onPick={(key) => {
        of.onChange({ ...of.step, of: key });
      }}
    />
  );
}

interface OnePart<S extends Step> {
  readonly of: EditorProps<S>;
  readonly at?: number;
  readonly label: string;
}

/** One of the canes that it takes in. */
export function PartOf<S extends Step>({ of, at = 0, label }: OnePart<S>): ReactElement {
  return (
    <PartWords
      part={partsOf(of.step)[at]}
      label={label}
      canes={of.canes}
      insides={of.insides}
      onPick={(next) => {
        of.onChange(withPart(of.step, at, next) as S);
      }}
      onOpen={() => {
        of.onOpen(at);
      }}
    />
  );
}

interface StackOf<S extends Step> {
  readonly of: EditorProps<S>;
  readonly onLayers: (layers: readonly SheetLayer[]) => void;
}

export function Sheets<S extends Step & { readonly layers: readonly SheetLayer[] }>({
  of,
  onLayers,
}: StackOf<S>): ReactElement {
  return <Layers layers={of.step.layers} materials={of.materials} onChange={onLayers} />;
}

/** It lies there ready, until it is made anew. */
export function Ready<S extends Step & { readonly made?: string }>({
  of,
}: {
  readonly of: EditorProps<S>;
}): ReactElement | null {
  if (of.step.made === undefined) return null;
  return (
    <>
      {' '}
      · it lies there ready:{' '}
      <Word
        onClick={() => {
          setAnew(of, {});
        }}
      >
        make a new one
      </Word>
    </>
  );
}

/** Width for a height of 1 of the shapes that have one, where nothing else is said. */
const USUAL_RATIO: Readonly<Partial<Record<Shape['shape'], number>>> = {
  rectangle: 2,
  triangle: 1.155,
  teardrop: 0.66,
  petal: 0.5,
};
const [LEAST_RATIO, MOST_RATIO] = [0.02, 50];

/** How wide a shape is for its height. */
export function Ratio({
  to,
  onChange,
}: {
  readonly to: Shape;
  readonly onChange: (to: Shape) => void;
}): ReactElement | null {
  const usual = USUAL_RATIO[to.shape];
  if (usual === undefined) return null;
  return (
    <>
      ,{' '}
      <Value
        label="Width for its height"
        text={String(Math.round((to.ratio ?? usual) * 100) / 100)}
        read={readPlain}
        onChange={(ratio) => {
          if (ratio > LEAST_RATIO && ratio < MOST_RATIO) onChange({ ...to, ratio });
        }}
      />{' '}
      times as wide as high
    </>
  );
}
