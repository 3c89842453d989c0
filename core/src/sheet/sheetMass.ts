import { type Density, type Grams, type Mm, type Mm2 } from '#core/units';
import { complaint } from './sentences.js';

function positive(value: number, what: string): number {
  if (!(value > 0) || !Number.isFinite(value)) throw complaint('amount/positive', { what });
  return value;
}

/** m = ρ·A·t (docs/models.md §1). @throws Complaint `amount/positive` */
export function massOfSheet(area: Mm2, thickness: Mm, density: Density): Grams {
  return (positive(area, 'The area') * positive(thickness, 'The thickness') * positive(density, 'The density')) / 1000;
}

/** The area a weight of clay covers at a thickness. @throws Complaint `amount/positive` */
export function areaOfSheet(mass: Grams, thickness: Mm, density: Density): Mm2 {
  return (
    (positive(mass, 'The weight') * 1000) / (positive(thickness, 'The thickness') * positive(density, 'The density'))
  );
}

/** The thickness of a sheet that weighs so much. @throws Complaint `amount/positive` */
export function thicknessOfSheet(mass: Grams, area: Mm2, density: Density): Mm {
  return (positive(mass, 'The weight') * 1000) / (positive(area, 'The area') * positive(density, 'The density'));
}

/** mm³ of a disc punched with a round cutter. @throws Complaint `amount/positive` */
export function discVolume(diameter: Mm, thickness: Mm): number {
  return (Math.PI / 4) * positive(diameter, 'The cutter') ** 2 * positive(thickness, 'The thickness');
}
