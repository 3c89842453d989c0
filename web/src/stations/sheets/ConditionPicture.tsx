import type { ReactElement, ReactNode } from 'react';
import type { ConditionStep } from '#core/conditioning';
import { ofKind, type ByKind } from '../../parts/ofKind.js';
import { grey } from '../../theme/grey.js';

type Pass = Extract<ConditionStep, { readonly kind: 'pass' }>;

const WIDE = 140;
const HIGH = 70;
const STROKE = { stroke: grey.ink, fill: 'none' } as const;

/** A block as it lies on the table. */
const block = (width: number, height: number): ReactNode => <rect y={HIGH - height} width={width} height={height} />;

/** A slice is drawn so many pixels thick for each millimetre, within what can be seen and set apart. */
const sliceWidth = (mm: number): number => Math.max(3, Math.min(18, mm * 5));

/** How a sheet is folded before it goes in again. */
const FOLDED: Readonly<Record<Pass['fold'], ReactNode>> = {
  'sides to the middle': (
    <>
      <rect y="58" width="132" height="12" />
      <rect y="44" width="62" height="12" />
      <rect x="70" y="44" width="62" height="12" />
      <path {...STROKE} d="M6 38Q20 10 58 34M126 38Q112 10 74 34" />
    </>
  ),
  'folded edge first': (
    <>
      <path d="M132 40H30A14 14 0 0 0 30 68H132V56H30A2 2 0 0 1 30 52H132Z" />
      <path {...STROKE} d="M30 26H4M12 20L4 26L12 32" />
    </>
  ),
};

const whole = (): ReactNode => block(70, 56);

/** The clay at each kind of step. */
const PICTURES: ByKind<ConditionStep, [], ReactNode> = {
  warm: whole,
  cool: whole,
  leach: () => (
    <>
      <rect y="50" width="128" height="8" />
      <path {...STROKE} d="M0 46H136M0 62H136" />
      <path {...STROKE} d="M20 18H108V42H20Z" />
    </>
  ),
  softener: whole,
  crumble: whole,
  rest: whole,
  knock: () => block(116, 30),
  slice: ({ mm }) => [0, 1, 2, 3, 4].map((i) => <rect key={i} x={i * 26} y={14} width={sliceWidth(mm)} height={56} />),
  press: () => block(128, 16),
  'step up': () =>
    [0, 1, 2, 3].map((i) => <rect key={i} x={i * 34} y={HIGH - 4 - i * 5} width={28} height={4 + i * 5} />),
  pass: ({ fold }) => FOLDED[fold],
  knead: () => (
    <>
      <rect x="2" y="50" width="132" height="20" rx="10" />
      <path {...STROKE} d="M30 40Q68 6 106 40" />
    </>
  ),
  'try fold': () => <path d="M132 44H40A12 12 0 0 0 40 68H132V57H42A1 1 0 0 1 42 55H132Z" />,
};

interface ConditionPictureProps {
  readonly step: ConditionStep;
  readonly hex: string;
}

/** The clay at a step: a block, slices, a folded sheet, a rope. */
export function ConditionPicture({ step, hex }: ConditionPictureProps): ReactElement {
  return (
    <svg width={WIDE} height={HIGH} fill={`#${hex}`} aria-hidden>
      {ofKind(PICTURES, step)}
    </svg>
  );
}
