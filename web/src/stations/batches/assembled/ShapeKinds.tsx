import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { CUTTER_SHAPES } from '#core/cutter';
import { BALL_FORMS, BENDS, FADE_WAYS, type ShapeIs } from '#core/piece';
import { Choice } from '../../../parts/Choice.js';
import { MadeOfWhat } from './MadeOfWhat.js';
import type { AnyPart } from './partFields.js';
import type { FieldsProps } from './partProps.js';
import { BALL_WORDS, BEND_WORDS } from './partWords.js';

type ShapeOfKind<K extends ShapeIs> = Extract<AnyPart['shape'], { is: K }>;
interface KindProps<K extends ShapeIs> extends FieldsProps {
  readonly shape: ShapeOfKind<K>;
  readonly put: (shape: AnyPart['shape']) => void;
}

const among = <T extends string>(values: readonly T[], words?: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, text: words?.[value] ?? value }));

const FADE_WORDS = {
  out: 'from the middle outwards',
  in: 'from outside inwards',
  across: 'from side to side',
} as const;

const Ball = ({ part, shape, put }: KindProps<'ball'>): ReactElement => (
  <Choice
    label={`Form of ${part.name}`}
    value={shape.form}
    options={among(BALL_FORMS, BALL_WORDS)}
    onChange={(form) => {
      put({ ...shape, form });
    }}
  />
);

const Cut = ({ part, shape, put }: KindProps<'cut'>): ReactElement => (
  <Flex gap={3} wrap="wrap">
    <Choice
      label={`Outline of ${part.name}`}
      value={shape.outline.shape}
      options={among(CUTTER_SHAPES.filter((s) => s !== 'drawn' || shape.outline.shape === 'drawn'))}
      onChange={(outline) => {
        put({ ...shape, outline: { ...shape.outline, shape: outline } });
      }}
    />
    <Choice
      label={`Fade on ${part.name}`}
      value={shape.fade ?? 'out'}
      options={among(FADE_WAYS, FADE_WORDS).map((o) => ({ ...o, text: `a fade runs ${o.text}` }))}
      onChange={(fade) => {
        put({ ...shape, fade });
      }}
    />
  </Flex>
);

const Slice = ({ part, shape, put }: KindProps<'slice'>): ReactElement => (
  <Choice
    label={`Outline of ${part.name}`}
    value={shape.outline.shape}
    options={among(CUTTER_SHAPES.filter((s) => s !== 'drawn'))}
    onChange={(outline) => {
      put({ ...shape, outline: { ...shape.outline, shape: outline } });
    }}
  />
);

const Bent = ({ part, shape, materials, put }: KindProps<'snake' | 'twist'>): ReactElement => (
  <Flex gap={3} wrap="wrap">
    <Choice
      label={`Bend of ${part.name}`}
      value={shape.bend}
      options={among(BENDS, BEND_WORDS)}
      onChange={(bend) => {
        put({ ...shape, bend });
      }}
    />
    {shape.is === 'twist' && (
      <span>
        with{' '}
        <MadeOfWhat
          label={`Other snake of ${part.name}`}
          of={shape.with}
          materials={materials}
          onPick={(of) => {
            put({ ...shape, with: of });
          }}
        />
      </span>
    )}
  </Flex>
);

const Covered = ({ part, shape, materials, put }: KindProps<'covered'>): ReactElement => (
  <span>
    around a core of{' '}
    <MadeOfWhat
      label={`Core of ${part.name}`}
      of={shape.with}
      materials={materials}
      onPick={(of) => {
        put({ ...shape, with: of });
      }}
    />
    , which is{' '}
    <Choice
      label={`Baking of the core of ${part.name}`}
      value={shape.bakedFirst ? 'first' : 'raw'}
      options={[
        { value: 'first', text: 'baked before it is covered' },
        { value: 'raw', text: 'covered raw' },
      ]}
      onChange={(when) => {
        put({ ...shape, bakedFirst: when === 'first' });
      }}
    />
  </span>
);

const Veneer = ({ part, shape, put }: KindProps<'veneer'>): ReactElement => (
  <Choice
    label={`Form under ${part.name}`}
    value={shape.form}
    options={[
      { value: 'dome', text: 'over a dome' },
      { value: 'hollow', text: 'in a bowl' },
    ]}
    onChange={(form) => {
      put({ ...shape, form });
    }}
  />
);

const NONE = '';

/** Which of the findings that lie there. */
const WhichFinding = ({ part, shape, findings, put }: KindProps<'finding'>): ReactElement => (
  <Choice
    label={`Finding of ${part.name}`}
    value={shape.finding ?? NONE}
    options={[
      { value: NONE, text: findings.length > 0 ? 'choose one of yours' : 'none is there yet' },
      ...findings.map((f) => ({ value: f.id, text: `${f.name}, ${f.count} there` })),
    ]}
    onChange={(id) => {
      const one = findings.find((f) => f.id === id);
      if (one) put({ ...shape, finding: id, form: one.form, width: one.widthMm, length: one.lengthMm });
    }}
  />
);

/** What is said of each shape beside its numbers: one that is missing does not compile. */
const KINDS: { readonly [K in ShapeIs]: (props: KindProps<K>) => ReactElement } = {
  cut: Cut,
  slice: Slice,
  ball: Ball,
  snake: Bent as (props: KindProps<'snake'>) => ReactElement,
  twist: Bent as (props: KindProps<'twist'>) => ReactElement,
  covered: Covered,
  veneer: Veneer,
  finding: WhichFinding,
};

/** What is said of a shape beside its numbers. */
export function ShapeKinds(props: FieldsProps): ReactElement {
  const { part, set } = props;
  const Kind = KINDS[part.shape.is] as (p: KindProps<ShapeIs>) => ReactElement;
  return (
    <Kind
      {...props}
      shape={part.shape}
      put={(shape) => {
        set({ ...part, shape });
      }}
    />
  );
}
