import { showLength, type UnitSystem } from '#core/units';
import type { TaughtFigure } from '#contract';

/** Kinds of steps as the page of a bench says them; those of finishing are called as they are. */
const STEPS: Readonly<Record<string, string>> = {
  condition: 'conditioning clay',
  ready: 'taking what lies there',
  mix: 'mixing a colour',
  roll: 'rolling sheets',
  stack: 'laying sheets together',
  cut: 'cutting pieces',
  shape: 'shaping parts',
  clean: 'cleaning rollers and hands',
  assemble: 'putting parts together',
};

type Named = Pick<TaughtFigure, 'kind' | 'name'>;

/** What a figure is of. */
export function figureName({ kind, name }: Named): string {
  switch (kind) {
    case 'passes':
      return `Passes for half a block of ${name}`;
    case 'minutes':
      return `Minutes for ${STEPS[name] ?? name}`;
    case 'ends':
      return 'Ends of a cane, in widths of it';
    case 'sheen':
      return 'Passes until a sheen is even';
    case 'blends':
      return 'Passes until a strong blend is free of streaks';
    case 'breakage':
      return `Pieces of ${name} that break`;
    case 'stop':
      return 'Veins at which you stop folding';
  }
}

const round = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

/** A value of a figure, in its unit. */
export function valueWords({ kind }: Pick<TaughtFigure, 'kind'>, value: number, units: UnitSystem): string {
  if (kind === 'stop') return showLength(value, units, true);
  if (kind === 'breakage') return `${round(100 * value, 1)} %`;
  if (kind === 'minutes') return `${round(value, 2)} ×`;
  return kind === 'ends' ? round(value, 2) : round(value, 0);
}

/** What one would do so that a figure is known better. */
export function teachWords({ kind, name }: Named): string {
  switch (kind) {
    case 'passes':
      return `Count the passes of ${name} once at the bench of its conditioning.`;
    case 'minutes':
      return `Work through ${STEPS[name] ?? name} at a card without a break.`;
    case 'ends':
      return 'Measure what is cut off both ends of the next cane.';
    case 'sheen':
      return 'Count the passes of the next sheet of mica clay until its sheen is even.';
    case 'blends':
      return 'Count the passes of the next blend until no streak is left.';
    case 'stop':
      return 'Say where you stopped at the end of the next patterned sheet, and how you like it.';
    case 'breakage':
      return `Say at the end of a card how many pieces of ${name} broke.`;
  }
}

export const countWords = ({ from, odd }: Pick<TaughtFigure, 'from' | 'odd'>): string => {
  if (from === 0) return 'nothing counted yet';
  const all = from === 1 ? 'one count' : `${from} counts`;
  if (odd === 0) return all;
  return `${all}, ${odd === 1 ? 'one odd one' : `${odd} odd ones`} left out`;
};
