import type { Do, ShapeKind, Step, Turns } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';

export const SHAPE_WORDS: Readonly<Record<ShapeKind, string>> = {
  round: 'a round',
  square: 'a square',
  rectangle: 'a rectangle',
  triangle: 'a triangle',
  teardrop: 'a teardrop',
  petal: 'a petal',
  hexagon: 'a hexagon',
  'half round': 'a half round',
  drawn: 'a drawn outline',
};
export const TURN_WORDS: Readonly<Record<Turns, string>> = {
  none: 'all the same way',
  quarter: 'each a quarter further',
  half: 'every other one upside down',
  mirror: 'every other one mirrored',
};

/** What can be done, as it is offered. */
export const DO_WORDS: Readonly<Record<Do, string>> = {
  log: 'Log',
  block: 'Block',
  plug: 'Plug of a blend',
  roll: 'Jelly roll',
  loaf: 'Stripe loaf',
  template: 'Template',
  cane: 'Another cane',
  wrap: 'Wrap',
  press: 'Press to a shape',
  squeeze: 'Squeeze one way',
  turn: 'Turn',
  mirror: 'Mirror',
  split: 'Cut lengthwise',
  across: 'Cut across',
  grid: 'Join in rows',
  pie: 'Join as wedges',
  pair: 'Join two',
  ring: 'Ring of rods',
  bundle: 'Bundle',
  stack: 'Stack beside',
  insert: 'Set in',
  reduce: 'Reduce',
  trim: 'Trim the ends',
  slice: 'Slice',
};

/** Steps that can follow, by what hands do. */
export const NEXT: readonly { readonly group: string; readonly kinds: readonly Do[] }[] = [
  { group: 'cover', kinds: ['wrap', 'insert'] },
  { group: 'shape', kinds: ['press', 'squeeze', 'turn', 'mirror'] },
  { group: 'cut', kinds: ['across', 'split'] },
  { group: 'join', kinds: ['grid', 'pie', 'pair', 'ring', 'bundle', 'stack'] },
  { group: 'finish', kinds: ['reduce', 'trim', 'slice'] },
];

const SPLIT_WORDS: Readonly<Record<number, string>> = { 2: 'Cut in half', 4: 'Cut in quarters' };

/** A step in a few words, under its face. */
export function stepTitle(step: Step, units: UnitSystem): string {
  const mm = (x: number): string => showLength(x, units);
  if (step.name) return step.name;
  switch (step.do) {
    case 'log':
      return 'Log';
    case 'block':
      return 'Block';
    case 'plug':
      return step.wound === 'fan' ? 'Fan plug' : 'Plug';
    case 'roll':
      return 'Jelly roll';
    case 'loaf':
      return `Loaf, ${step.layers.length * step.times} stripes`;
    case 'template':
      return `Template, ${step.regions.length} region${step.regions.length === 1 ? '' : 's'}`;
    case 'cane':
      return step.part.name ?? 'A cane';
    case 'wrap':
      return `Wrap ${showLength(step.thickness, units, true)}`;
    case 'press':
      return `Press to ${SHAPE_WORDS[step.to.shape]}`;
    case 'squeeze':
      return step.factor > 1 ? 'Flatten' : 'Squeeze high';
    case 'turn':
      return `Turn ${Math.round(step.degrees)}°`;
    case 'mirror':
      return 'Mirror';
    case 'split':
      return `${SPLIT_WORDS[step.parts] ?? `Cut in ${step.parts} wedges`}${step.keep === undefined ? '' : `, part ${step.keep}`}`;
    case 'across':
      return `Cut across in ${step.pieces}`;
    case 'grid':
      return `Join ${step.rows} × ${step.columns}`;
    case 'pie':
      return `${step.count} wedges${step.mirrored ? ', mirrored' : ''}`;
    case 'pair':
      return step.turned === 'mirror' ? 'Join two, mirrored' : 'Join two, turned';
    case 'ring':
      return `Ring of ${step.count}`;
    case 'bundle':
      return `Bundle of ${step.count + (step.others ?? []).reduce((sum, o) => sum + o.count, 0)}`;
    case 'stack':
      return step.side === 'right' ? 'Stack beside' : 'Stack on top';
    case 'insert':
      return `Set in ${step.part.name ?? 'a cane'}`;
    case 'reduce':
      return `Reduce to ${mm(step.value)}${step.to === 'diameter' ? '' : ` long${step.withEnds ? ' with its ends' : ''}`}`;
    case 'trim':
      return `Trim ${mm(step.each)}`;
    case 'slice':
      return `Slice ${mm(step.thickness)}`;
  }
}
