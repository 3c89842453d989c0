import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { SHAPES, TURNS, partsOf, type Part, type Shape, type SheetLayer, type Step } from '#core/cane';
import { complaint, readLength, readNumber, showLength } from '#core/units';
import type { CaneInside } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { CountValue, LengthValue, Value } from '../../parts/Value.js';
import { ThicknessValue } from '../../parts/Thickness.js';
import { useUnits } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import type { CaneMaterial } from './materials.js';
import { Of, type CaneChoice, type EditorProps } from './Of.js';
import { withPart } from './parts.js';
import { SHAPE_WORDS, TURN_WORDS } from './stepWords.js';
import { TemplateEditor } from './TemplateEditor.js';

/** Reads what may stand before or behind a middle: with a sign, or without. */
const signed =
  (read: (text: string) => number) =>
  (text: string): number =>
    read(text.replace(/^\s*[-−]/, '')) * (/^\s*[-−]/.test(text) ? -1 : 1);
const readDegrees = signed((text) => readNumber(text.replace(/[°\s]/g, '')).valueOf());
const count =
  (low: number, high: number, what: string) =>
  (text: string): number => {
    const n = readNumber(text).valueOf();
    if (!Number.isInteger(n) || n < low || n > high) throw complaint('cane/count', { what, low, high });
    return n;
  };

/** The values of a step, each to be changed where it stands. */
export function StepEditor({
  step,
  materials,
  blends,
  canes,
  insides,
  shelf,
  name,
  onChange,
  onOpen,
}: EditorProps<Step>): ReactElement {
  const units = useUnits();
  const set = (part: object): void => {
    onChange({ ...step, ...part } as Step);
  };
  const length = (label: string, field: string, value: number): ReactElement => (
    <LengthValue
      label={label}
      value={value}
      onChange={(mm) => {
        set({ [field]: mm });
      }}
    />
  );
  /** another size or clay than that of what lies there ready: it has to be made anew */
  const anew = (part: object): void => {
    set({ ...part, made: undefined });
  };
  const size = (label: string, field: string, value: number): ReactElement => (
    <LengthValue
      label={label}
      value={value}
      onChange={(mm) => {
        anew({ [field]: mm });
      }}
    />
  );
  const ready = 'made' in step && step.made !== undefined && (
    <>
      {' '}
      · it lies there ready:{' '}
      <Word
        onClick={() => {
          anew({});
        }}
      >
        make a new one
      </Word>
    </>
  );
  const whole = (label: string, field: string, value: number, low: number, high: number): ReactElement => (
    <Value
      label={label}
      text={String(value)}
      read={count(low, high, label)}
      onChange={(n) => {
        set({ [field]: n });
      }}
    />
  );
  const degrees = (label: string, field: string, value: number): ReactElement => (
    <>
      <Value
        label={label}
        text={String(Math.round(value * 10) / 10)}
        read={readDegrees}
        onChange={(n) => {
          set({ [field]: n });
        }}
      />
      °
    </>
  );
  const offset = (label: string, field: string, value: number): ReactElement => (
    <Value
      label={label}
      text={`${value < 0 ? '−' : ''}${showLength(Math.abs(value), units)}`}
      read={signed((text) => readLength(text, units))}
      onChange={(mm) => {
        set({ [field]: mm });
      }}
    />
  );
  const material = (of: string): ReactElement => (
    <Of
      of={of}
      materials={materials}
      label="What it is made of"
      onPick={(key) => {
        set({ of: key });
      }}
    />
  );
  const parts = partsOf(step);
  const part = (at: number, label: string): ReactElement => (
    <PartWords
      part={parts[at]}
      label={label}
      canes={canes}
      insides={insides}
      onPick={(next) => {
        onChange(withPart(step, at, next));
      }}
      onOpen={() => {
        onOpen(at);
      }}
    />
  );
  switch (step.do) {
    case 'log':
      return (
        <>
          of {material(step.of)}, {length('Diameter of the log', 'diameter', step.diameter)} across,{' '}
          {length('Length of the log', 'length', step.length)} long
        </>
      );
    case 'block':
      return (
        <>
          of {material(step.of)}, {length('Width of the block', 'width', step.width)} ×{' '}
          {length('Height of the block', 'height', step.height)}, {length('Length of the block', 'length', step.length)}{' '}
          long
        </>
      );
    case 'plug':
      return (
        <>
          of{' '}
          <Of
            of={step.of}
            place="plug"
            materials={materials}
            label="Blend of the plug"
            onPick={(of) => {
              anew({ of });
            }}
          />
          ,{' '}
          <Choice
            label="How it is wound"
            value={step.wound}
            options={[
              { value: 'rolled', text: 'rolled up' },
              { value: 'fan', text: 'folded like a fan' },
            ]}
            onChange={(wound) => {
              anew({ wound });
            }}
          />
          ,{' '}
          {step.wound === 'rolled' ? (
            <>
              <Choice
                label="Which end is inside"
                value={step.inside}
                options={[
                  { value: 'first', text: 'first colour inside' },
                  { value: 'last', text: 'last colour inside' },
                ]}
                onChange={(inside) => {
                  anew({ inside });
                }}
              />
              , {size('Diameter of the plug', 'width', step.width)} across
            </>
          ) : (
            <>
              {size('Width of the plug', 'width', step.width)} × {size('Depth of the plug', 'depth', step.depth)}
            </>
          )}
          , {length('Length of the plug', 'length', step.length)} long{ready}
        </>
      );
    case 'roll':
      return (
        <>
          {size('Length of the sheets', 'rolled', step.rolled)} of sheet rolled up,{' '}
          {length('Length of the roll', 'length', step.length)} long; from the inside:
          <Layers
            layers={step.layers}
            materials={materials}
            onChange={(layers) => {
              anew({ layers });
            }}
          />
          {ready}
        </>
      );
    case 'loaf':
      return (
        <>
          stacked {whole('The number of stacks', 'times', step.times, 1, 400)} times over,{' '}
          {length('Width of the loaf', 'width', step.width)} wide, {length('Length of the loaf', 'length', step.length)}{' '}
          long; from the bottom:
          <Layers
            layers={step.layers}
            materials={materials}
            onChange={(layers) => {
              set({ layers });
            }}
          />
        </>
      );
    case 'template':
      return (
        <TemplateEditor
          step={step}
          materials={materials}
          blends={blends}
          canes={canes}
          insides={insides}
          shelf={shelf}
          name={name}
          onChange={onChange}
          onOpen={onOpen}
        />
      );
    case 'cane':
      return <>{part(0, 'The cane to begin with')}</>;
    case 'wrap':
      return (
        <>
          with {material(step.of)},{' '}
          <ThicknessValue
            label="Thickness of the wrap"
            value={step.thickness}
            onChange={(thickness) => {
              set({ thickness });
            }}
          />{' '}
          thick
        </>
      );
    case 'press':
      return (
        <>
          to{' '}
          <Choice
            label="Shape"
            value={step.to.shape}
            options={SHAPES.filter((s) => s !== 'drawn' || step.to.shape === 'drawn').map((value) => ({
              value,
              text: SHAPE_WORDS[value],
            }))}
            onChange={(shape) => {
              set({ to: { shape } });
            }}
          />
          {ratioOf(step.to, (to) => {
            set({ to });
          })}
          , turned {degrees('Turn of the press', 'turn', step.turn)}
        </>
      );
    case 'squeeze':
      return (
        <>
          <Value
            label="How many times as wide"
            text={String(step.factor)}
            read={(t) => readNumber(t).valueOf()}
            onChange={(factor) => {
              set({ factor });
            }}
          />{' '}
          times as wide, and as much less high
        </>
      );
    case 'turn':
      return <>by {degrees('Turn', 'degrees', step.degrees)} to the left</>;
    case 'mirror':
      return <>left and right exchanged</>;
    case 'split':
      return (
        <>
          in{' '}
          <Value
            label="The number of parts"
            text={String(step.parts)}
            read={count(2, 24, 'The number of parts')}
            onChange={(parts) => {
              onChange({
                id: step.id,
                do: 'split',
                ...(step.name ? { name: step.name } : {}),
                parts,
                degrees: step.degrees,
              });
            }}
          />{' '}
          equal parts, the first cut at {degrees('Direction of the first cut', 'degrees', step.degrees)};{' '}
          <Choice
            label="Which parts go on"
            value={String(step.keep ?? 0)}
            options={[
              { value: '0', text: 'all go on, as they are alike' },
              ...Array.from({ length: step.parts }, (_, i) => ({
                value: String(i + 1),
                text: `only part ${i + 1}, to the left of cut ${i + 1}`,
              })),
            ]}
            onChange={(keep) => {
              onChange({
                id: step.id,
                do: 'split',
                ...(step.name ? { name: step.name } : {}),
                parts: step.parts,
                degrees: step.degrees,
                ...(keep === '0' ? {} : { keep: Number(keep) }),
              });
            }}
          />
        </>
      );
    case 'across':
      return <>in {whole('The number of pieces', 'pieces', step.pieces, 2, 400)} equal pieces</>;
    case 'grid':
      return (
        <>
          {whole('The number of rows', 'rows', step.rows, 1, 40)} rows of{' '}
          {whole('The number of columns', 'columns', step.columns, 1, 40)},{' '}
          <Choice
            label="How neighbours are turned"
            value={step.turns}
            options={TURNS.map((value) => ({ value, text: TURN_WORDS[value] }))}
            onChange={(turns) => {
              set({ turns });
            }}
          />
          {(step.others ?? []).map((_, i) => (
            <Box key={i}>
              and {part(i, `Other squares ${i + 1}`)} ·{' '}
              <Word
                onClick={() => {
                  set({ others: (step.others ?? []).filter((__, k) => k !== i) });
                }}
              >
                out
              </Word>
            </Box>
          ))}
        </>
      );
    case 'pie':
      return (
        <>
          {whole('The number of wedges', 'count', step.count, 3, 36)} around the middle,{' '}
          <Choice
            label="Mirrored or not"
            value={step.mirrored ? 'yes' : 'no'}
            options={[
              { value: 'yes', text: 'every other one mirrored' },
              { value: 'no', text: 'all the same way' },
            ]}
            onChange={(v) => {
              set({ mirrored: v === 'yes' });
            }}
          />
          , turned {degrees('Turn of the wedges', 'corner', step.corner)}
        </>
      );
    case 'pair':
      return (
        <>
          along the flat side,{' '}
          <Choice
            label="How the second lies"
            value={step.turned}
            options={[
              { value: 'mirror', text: 'mirrored' },
              { value: 'half', text: 'upside down' },
            ]}
            onChange={(turned) => {
              set({ turned });
            }}
          />
        </>
      );
    case 'ring':
      return (
        <>
          of {whole('The number of rods', 'count', step.count, 3, 60)} rods around{' '}
          {step.middle ? part(0, 'The rod in the middle') : 'nothing'}, squeezed without gaps
        </>
      );
    case 'bundle':
      return (
        <>
          of {whole('The number of rods', 'count', step.count, 1, 300)} of these
          {(step.others ?? []).map((o, i) => (
            <span key={i}>
              {' '}
              and{' '}
              <CountValue
                label={`How many of part ${i + 1}`}
                value={o.count}
                onChange={(n) => {
                  if (Number.isInteger(n) && n >= 0 && n <= 300)
                    set({ others: (step.others ?? []).map((x, k) => (k === i ? { ...x, count: n } : x)) });
                }}
              />{' '}
              {part(i, `Part ${i + 1} of the bundle`)}
            </span>
          ))}
          , squeezed to{' '}
          <Choice
            label="Shape of the bundle"
            value={step.to.shape}
            options={SHAPES.filter((s) => s !== 'drawn' && s !== 'petal' && s !== 'teardrop').map((value) => ({
              value,
              text: SHAPE_WORDS[value],
            }))}
            onChange={(shape) => {
              set({ to: { shape } });
            }}
          />
          , order {whole('Order of the rods', 'seed', step.seed, 0, 1_000_000)}
        </>
      );
    case 'stack':
      return (
        <>
          {part(0, 'What is stacked')}{' '}
          <Choice
            label="Where it is stacked"
            value={step.side}
            options={[
              { value: 'right', text: 'at the right' },
              { value: 'top', text: 'on top' },
            ]}
            onChange={(side) => {
              set({ side });
            }}
          />
        </>
      );
    case 'insert':
      return (
        <>
          {part(0, 'What is set in')}, {length('Diameter of the hole', 'diameter', step.diameter)} across,{' '}
          {offset('To the right of the middle', 'x', step.x)} right and {offset('Above the middle', 'y', step.y)} up,
          turned {degrees('Turn of what is set in', 'degrees', step.degrees)}
        </>
      );
    case 'reduce':
      return (
        <>
          to{' '}
          <LengthValue
            label="Reduce to"
            value={step.value}
            onChange={(value) => {
              set({ value });
            }}
          />{' '}
          <Choice
            label="Reduce by"
            value={reducedBy(step)}
            options={REDUCED_BY}
            onChange={(by) => {
              set({ to: by === 'diameter' ? 'diameter' : 'length', withEnds: by === 'whole' ? true : undefined });
            }}
          />
        </>
      );
    case 'trim':
      return <>{length('Cut off each end', 'each', step.each)} off each end</>;
    case 'slice':
      return (
        <>
          <ThicknessValue
            label="Thickness of a slice"
            value={step.thickness}
            onChange={(thickness) => {
              set({ thickness });
            }}
          />{' '}
          thick
        </>
      );
  }
}

const REDUCED_BY = [
  { value: 'diameter', text: 'across' },
  { value: 'length', text: 'long, without its ends' },
  { value: 'whole', text: 'long, with its ends' },
] as const;
function reducedBy({ to, withEnds }: Extract<Step, { do: 'reduce' }>): (typeof REDUCED_BY)[number]['value'] {
  if (to === 'diameter') return 'diameter';
  return withEnds ? 'whole' : 'length';
}

function ratioOf(to: Shape, onChange: (to: Shape) => void): ReactElement | null {
  if (!['rectangle', 'triangle', 'teardrop', 'petal'].includes(to.shape)) return null;
  const usual = { rectangle: 2, triangle: 1.155, teardrop: 0.66, petal: 0.5 }[to.shape as 'rectangle'];
  return (
    <>
      ,{' '}
      <Value
        label="Width for its height"
        text={String(Math.round((to.ratio ?? usual) * 100) / 100)}
        read={(t) => readNumber(t).valueOf()}
        onChange={(ratio) => {
          if (ratio > 0.02 && ratio < 50) onChange({ ...to, ratio });
        }}
      />{' '}
      times as wide as high
    </>
  );
}

function Layers({
  layers,
  materials,
  onChange,
}: {
  readonly layers: readonly SheetLayer[];
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly onChange: (layers: readonly SheetLayer[]) => void;
}): ReactElement {
  return (
    <>
      {layers.map((l, i) => (
        <Box key={i}>
          <Of
            of={l.of}
            materials={materials}
            label={`Sheet ${i + 1}`}
            onPick={(of) => {
              onChange(layers.map((x, k) => (k === i ? { ...x, of } : x)));
            }}
          />
          ,{' '}
          <ThicknessValue
            label={`Thickness of sheet ${i + 1}`}
            value={l.thickness}
            onChange={(thickness) => {
              onChange(layers.map((x, k) => (k === i ? { ...x, thickness } : x)));
            }}
          />
          {layers.length > 1 && (
            <>
              {' '}
              ·{' '}
              <Word
                aria-label={`Take sheet ${i + 1} out`}
                onClick={() => {
                  onChange(layers.filter((_, k) => k !== i));
                }}
              >
                out
              </Word>
            </>
          )}
        </Box>
      ))}
      {layers.length < 12 && (
        <Word
          fontSize="small"
          onClick={() => {
            const last = layers.at(-1);
            if (last) onChange([...layers, last]);
          }}
        >
          another sheet
        </Word>
      )}
    </>
  );
}

/** Another cane that a step takes in: its own steps, or a cane that is kept. */
function PartWords({
  part,
  label,
  canes,
  insides,
  onPick,
  onOpen,
}: {
  readonly part: Part | undefined;
  readonly label: string;
  readonly canes: readonly CaneChoice[];
  readonly insides: readonly CaneInside[];
  readonly onPick: (part: Part) => void;
  readonly onOpen: () => void;
}): ReactElement {
  if (!part) return <Caption>nothing</Caption>;
  const value = 'ref' in part ? part.ref : 'own';
  const inside = 'ref' in part ? insides.find((c) => c.revisionId === part.ref) : undefined;
  const newer = inside && !inside.newest ? canes.find((c) => c.name === inside.name) : undefined;
  const options = [
    ...('ref' in part
      ? canes.some((c) => c.revisionId === part.ref)
        ? []
        : [{ value: part.ref, text: `${part.name ?? 'a cane'}, as it was` }]
      : [{ value: 'own', text: part.name ?? 'a part of its own' }]),
    ...canes.map((c) => ({ value: c.revisionId, text: c.name })),
  ];
  return (
    <>
      <Choice
        label={label}
        value={value}
        options={options}
        onChange={(next) => {
          const cane = canes.find((c) => c.revisionId === next);
          if (cane) onPick({ ref: cane.revisionId, name: cane.name });
        }}
      />
      {inside && (
        <>
          {' '}
          (
          <Word
            aria-label={`Copy the steps of ${label}`}
            onClick={() => {
              onPick({ name: inside.name, steps: inside.program.steps });
            }}
          >
            copy its steps
          </Word>
          {newer && (
            <>
              ,{' '}
              <Word
                aria-label={`Take the newer ${inside.name}`}
                onClick={() => {
                  onPick({ ref: newer.revisionId, name: newer.name });
                }}
              >
                take its newer revision
              </Word>
            </>
          )}
          )
        </>
      )}
      {'steps' in part && (
        <>
          {' '}
          (
          <Word aria-label={`Open ${label}`} onClick={onOpen}>
            open
          </Word>
          )
        </>
      )}
    </>
  );
}
