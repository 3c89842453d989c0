import { ornamentSteps, type Ornament, type OrnamentStep } from '#core/pattern';
import { showLength, type UnitSystem } from '#core/units';
import type { BenchWords } from '../../../parts/BenchSteps.js';

export const ORNAMENT_NAMES: Readonly<Record<Ornament, string>> = {
  parcel: 'Parcel',
  rosette: 'Rosette',
  pod: 'Pod',
  'leaf fan': 'Leaf fan',
};
export const ORNAMENT_ABOUT: Readonly<Record<Ornament, string>> = {
  parcel: 'four corners to the middle, like a seed packet',
  rosette: 'the corners to the middle, turned over, and once more',
  pod: 'two sides to the line between the corners, and again',
  'leaf fan': 'eight pleats, pinched at one end and opened at the other',
};

/** Minutes that a sheet rests on paper before it is folded, and between turning it over and going on: assumptions. */
export const [REST, PAUSE] = [20, 5];

/** What hands do at a step. */
function lineOf({ crease, bent }: OrnamentStep): string {
  if (!crease) return `Lift it with the blade and turn it over, left to right. Let it lie ${PAUSE} minutes.`;
  const many = bent > 1 ? `${bent} layers at once` : 'one layer';
  return crease.way === 'over'
    ? `Fold ${many} over along the line, loosely first, then stroke the crease from its middle outwards.`
    : `Fold ${many} under along the line: a pleat the other way.`;
}

/** Folding at the bench: cut, rest, dust, every fold, and how it is baked. */
export function foldSteps(
  ornament: Ornament,
  { side, mm, thickest }: { readonly side: number; readonly mm: number; readonly thickest: number },
  units: UnitSystem,
): BenchWords[] {
  const folds = ornamentSteps(ornament).map((step, i): BenchWords => {
    const title = step.crease ? `Fold ${i + 1}` : 'Turn it over';
    return { title, line: lineOf(step) };
  });
  const fan = ornament === 'leaf fan' ? 'Pinch one end and let the other open. ' : '';
  return [
    {
      title: 'Cut the square',
      line:
        `A square of ${showLength(side, units)}, ${showLength(mm, units, true)} thick, with a template and a ` +
        'straight blade.',
      figure: showLength(side, units),
    },
    {
      title: 'Let it rest',
      line: `On paper, ${REST} minutes: a sheet that is cool and a little dry stretches less at its creases.`,
      figure: String(REST),
      of: 'minutes',
    },
    {
      title: 'Dust it',
      line: 'Starch or talc on both sides with a soft brush, and blow off what is too much: nothing sticks then.',
    },
    ...folds,
    {
      title: 'Prop it and bake it',
      line:
        `${fan}A roll of paper in each fold that shall stay open. It bakes as ${showLength(thickest, units, true)}, ` +
        'its layers together.',
    },
  ];
}

/** The steps of folding among those of the bench come after so many others. */
export const BEFORE_FOLDS = 3;
