import { showLength, showTemperature, type UnitSystem } from '#core/units';
import type { PlainWarning } from '../../../workers/canePlain.js';

/** A warning as a sentence that says what to do. */
export function warningWords(w: PlainWarning, name: (key: string) => string, units: UnitSystem): string {
  const mm = (x: number): string => showLength(x, units, true);
  switch (w.kind) {
    case 'feature':
      return (
        `At this size ${name(w.material)} is only ${mm(w.mm)} wide in places: the eye does not see it at ` +
        'arm’s length. Begin with it thicker, or reduce less.'
      );
    case 'together':
      return w.below === null
        ? `${name(w.one)} and ${name(w.other)} lie side by side and are only ΔE ${w.deltaE.toFixed(1)} apart: ` +
            'they run together at any size. Put a thin dark or light sheet between them, or take another mix.'
        : `${name(w.one)} and ${name(w.other)} are ΔE ${w.deltaE.toFixed(1)} apart, but where they are ` +
            `${mm(w.mm)} wide the eye sees only ΔE ${w.seen.toFixed(1)}: they run together below ${mm(w.below)}. ` +
            'Reduce less, or begin with them wider.';
    case 'thin wall':
      return (
        `Walls of ${name(w.material)} are ${mm(w.mm)}; what lies beside them shows through below ` +
        `${mm(w.hides)}. Wrap thicker, or reduce less.`
      );
    case 'too thick':
      return (
        `At step ${w.step} it is ${showLength(w.mm, units)} across: too thick to reduce by hand. Cut it ` +
        'lengthwise, or begin smaller.'
      );
    case 'too thin':
      return `${mm(w.mm)} across does not hold its shape in the hand. Stop earlier, or chill it before slicing.`;
    case 'lengths':
      return (
        `At step ${w.step} a piece of ${showLength(w.one, units)} meets one of ` +
        `${showLength(w.other, units)}, which cannot be ` +
        'made to fit: what is longer is lost. Reduce that one to as much.'
      );
    case 'air':
      return (
        `Step ${w.step}: round rods leave ${Math.round(w.share * 100)} % air between them. Squeeze from all ` +
        'sides until the outline has shrunk by so much, or bubbles stay.'
      );
    case 'old':
      return `${name(w.material)} is old: it cracks when it is reduced. Condition it well, and just before.`;
    case 'crumbly':
      return `${name(w.material)} crumbles: condition it just before use, and reduce it warm.`;
    case 'bakes':
      return (
        `These lines bake differently, from ${showTemperature(w.lowest, units)} to ` +
        `${showTemperature(w.highest, units)}. Bake at ${showTemperature(w.at, units)}, the highest that all of them ` +
        'stand, for the longest of their times.'
      );
  }
}
