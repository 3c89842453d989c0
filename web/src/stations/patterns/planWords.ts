import type { Start } from '#core/pattern';
import { showLength, showSize, type Density, type UnitSystem } from '#core/units';
import type { PatternToMake } from '../../workers/patternPlain.js';
import type { CaneMaterial } from '../canes/clay/materials.js';
import { gramsOf } from '../canes/words/caneWords.js';

/** One thing to begin with, with its sizes. */
export function startWords(
  { what, of, sizes, count = 0 }: Start,
  name: (key: string) => string,
  units: UnitSystem,
): string {
  const [a = 0, b = 0, c = 0] = sizes;
  switch (what) {
    case 'sheet':
      return `${name(of)}: a sheet ${showSize(a, b, units)}, ${showLength(c, units, true)}`;
    case 'log':
      return `${name(of)}: a log ${showLength(a, units)} across, ${showLength(b, units)} long`;
    case 'bits':
      return `${name(of)}: bits of ${showLength(a, units)}`;
    case 'slices':
      return (
        `${count} ${count === 1 ? 'slice' : 'slices'} of ${name(of)}, ${showSize(a, b, units)}, ` +
        showLength(c, units, true)
      );
    case 'specks':
      return `${name(of)}: specks of ${showLength(a, units)}`;
  }
}

/** g/cm³ of the finished sheets. */
export function densityOf(
  { given }: Pick<PatternToMake, 'given'>,
  materials: ReadonlyMap<string, CaneMaterial>,
): Density {
  const volume = given.reduce((sum, [, mm3]) => sum + mm3, 0);
  return (1000 * gramsOf(given, materials).total) / Math.max(1e-9, volume);
}
