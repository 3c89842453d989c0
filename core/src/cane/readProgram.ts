import { isOf, materialIn } from '#core/material';
import { complaint } from '#core/units';
import { MOST_CANES_DEEP } from './limits.js';
import { MOST_STEPS, PROGRAM_VERSION, SHAPES, TURNS, isBegin, type Do, type Program, type Step } from './program.js';

/** Checks a value of a document; `where` is the way to it, as in `steps 3, diameter`. */
type Check = (value: unknown, where: string) => void;
type Fields = Readonly<Record<string, Check>>;

function wrong(what: string, where: string): never {
  throw complaint('cane/format', { what, where });
}
const inner = (where: string, name: string): string => (where === '' ? name : `${where}, ${name}`);

const number =
  (low: number, high: number): Check =>
  (value, where) => {
    if (typeof value !== 'number' || !Number.isFinite(value) || value < low || value > high)
      wrong(`a number from ${low} to ${high.toLocaleString('en')} is wanted`, where);
  };
const whole =
  (low: number, high: number): Check =>
  (value, where) => {
    number(low, high)(value, where);
    if (!Number.isInteger(value)) wrong('a whole number is wanted', where);
  };
const text =
  (most: number): Check =>
  (value, where) => {
    if (typeof value !== 'string' || value.length > most) wrong(`text of at most ${most} letters is wanted`, where);
  };
const key: Check = (value, where) => {
  const material = typeof value === 'string' ? materialIn(value) : null;
  if (!material || !isOf(material, 'clay', 'mix', 'blend')) wrong('a clay, a mix or a blend is wanted', where);
};
const yes: Check = (value, where) => {
  if (typeof value !== 'boolean') wrong('true or false is wanted', where);
};
const among =
  (...words: readonly string[]): Check =>
  (value, where) => {
    if (typeof value !== 'string' || !words.includes(value)) wrong(`one of ${words.join(', ')} is wanted`, where);
  };
const list =
  (each: Check, low: number, high: number): Check =>
  (value, where) => {
    if (!Array.isArray(value) || value.length < low || value.length > high)
      wrong(`a list of ${low} to ${high.toLocaleString('en')} is wanted`, where);
    (value as unknown[]).forEach((item, i) => {
      each(item, `${where} ${i + 1}`);
    });
  };
/** Fields ending in `?` may be left out; others not named here may not be there. */
const object =
  (fields: Fields): Check =>
  (value, where) => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) wrong('an object is wanted', where);
    const given = value as Readonly<Record<string, unknown>>;
    for (const name of Object.keys(given))
      if (!Object.hasOwn(fields, name) && !Object.hasOwn(fields, `${name}?`))
        wrong(`“${name.slice(0, 40)}” is not known`, where);
    for (const [name, check] of Object.entries(fields)) {
      const plain = name.replace('?', '');
      if (given[plain] === undefined) {
        if (!name.endsWith('?')) wrong(`“${plain}” is missing`, where);
        continue;
      }
      check(given[plain], inner(where, plain));
    }
  };

const LENGTH = number(0.001, 5000);
const DEGREES = number(-3600, 3600);
const point: Check = (value, where) => {
  list(number(-5000, 5000), 2, 2)(value, where);
};
const points = list(point, 3, 6000);
const layers = list(object({ of: key, thickness: LENGTH }), 1, 12);
const shape = object({ shape: among(...SHAPES), 'ratio?': number(0.02, 50), 'points?': points });
const part: Check = (value, where) => {
  if (typeof value === 'object' && value !== null && 'ref' in value)
    object({ ref: text(80), 'name?': text(80) })(value, where);
  else object({ steps, 'name?': text(80) })(value, where);
};
const fill: Check = (value, where) => {
  if (typeof value === 'object' && value !== null && 'cane' in value)
    object({ cane: part, degrees: DEGREES })(value, where);
  else if (typeof value === 'object' && value !== null && 'blend' in value)
    object({ blend: key, degrees: DEGREES })(value, where);
  else object({ of: key })(value, where);
};

/** What each step has beside its id and its name. */
const FIELDS: Readonly<Record<Do, Fields>> = {
  log: { of: key, diameter: LENGTH, length: LENGTH },
  block: { of: key, width: LENGTH, height: LENGTH, length: LENGTH },
  plug: {
    of: key,
    wound: among('rolled', 'fan'),
    inside: among('first', 'last'),
    width: LENGTH,
    depth: LENGTH,
    length: LENGTH,
    'made?': text(80),
  },
  roll: { layers, rolled: LENGTH, length: LENGTH, 'made?': text(80) },
  loaf: { layers, times: whole(1, 400), width: LENGTH, length: LENGTH },
  template: { regions: list(object({ id: text(80), name: text(80), points, fill }), 1, 400), length: LENGTH },
  cane: { part },
  wrap: { of: key, thickness: LENGTH },
  press: { to: shape, turn: DEGREES },
  squeeze: { factor: number(0.02, 50) },
  turn: { degrees: DEGREES },
  mirror: {},
  split: { parts: whole(2, 24), degrees: DEGREES, 'keep?': whole(1, 24) },
  across: { pieces: whole(2, 400) },
  grid: { rows: whole(1, 40), columns: whole(1, 40), turns: among(...TURNS), 'others?': list(part, 0, 11) },
  pie: { count: whole(3, 36), mirrored: yes, corner: DEGREES },
  pair: { turned: among('mirror', 'half') },
  ring: {
    count: whole(3, 60),
    middle: (value, where) => {
      if (value !== null) part(value, where);
    },
  },
  bundle: {
    count: whole(1, 300),
    'others?': list(object({ part, count: whole(0, 300) }), 0, 12),
    to: shape,
    seed: whole(0, 1_000_000),
  },
  stack: { part, side: among('right', 'top') },
  insert: { part, x: number(-5000, 5000), y: number(-5000, 5000), diameter: LENGTH, degrees: DEGREES },
  reduce: { to: among('diameter', 'length'), value: LENGTH, 'withEnds?': yes },
  trim: { each: number(0, 5000) },
  slice: { thickness: LENGTH },
};

const step: Check = (value, where) => {
  const kind = typeof value === 'object' && value !== null && 'do' in value ? value.do : undefined;
  if (typeof kind !== 'string' || !Object.hasOwn(FIELDS, kind))
    wrong(`a step that Sledge does not know${typeof kind === 'string' ? ` (“${kind.slice(0, 40)}”)` : ''}`, where);
  object({ id: text(80), 'name?': text(80), do: among(kind as string), ...FIELDS[kind as Do] })(value, where);
};
/** How many canes stand around the steps that are being checked. */
let within = 0;

function steps(value: unknown, where: string): void {
  if (within >= MOST_CANES_DEEP) throw complaint('cane/deep', { most: MOST_CANES_DEEP });
  within += 1;
  try {
    list(step, 1, MOST_STEPS)(value, where);
  } finally {
    within -= 1;
  }
  (value as Step[]).forEach((s, i) => {
    if (isBegin(s) !== (i === 0))
      wrong(i === 0 ? 'it does not begin with clay' : 'it begins anew', `${where} ${i + 1}`);
  });
}

/** Points of all outlines of a cane: with more it could not be saved. */
const MOST_POINTS = 20_000;

/** Points of all outlines in a document whose steps were checked. */
function pointsIn(value: unknown): number {
  if (Array.isArray(value)) return value.reduce((sum: number, item) => sum + pointsIn(item), 0);
  if (typeof value !== 'object' || value === null) return 0;
  return Object.entries(value).reduce(
    (sum, [name, item]) => sum + (name === 'points' && Array.isArray(item) ? item.length : pointsIn(item)),
    0,
  );
}

/**
 * Takes a cane out of a document that somebody wrote or changed.
 * @param value as JSON gives it @throws Complaint `cane/newer`, `cane/format` with the place
 */
export function readProgram(value: unknown): Program {
  const version = typeof value === 'object' && value !== null && 'version' in value ? value.version : undefined;
  if (typeof version === 'number' && version > PROGRAM_VERSION)
    throw complaint('cane/newer', { version: String(version) });
  object({
    version: (v, where) => {
      if (v !== PROGRAM_VERSION) wrong('the version is not known', where);
    },
    steps: (v) => {
      steps(v, 'steps');
    },
  })(value, '');
  const points = pointsIn(value);
  if (points > MOST_POINTS) throw complaint('cane/points', { points, most: MOST_POINTS });
  return value as Program;
}

/** Every clay, mix and blend, and every other cane, that some steps name. */
export function usedIn(all: readonly Step[]): {
  readonly materials: readonly string[];
  readonly canes: readonly string[];
} {
  const [materials, canes] = [new Set<string>(), new Set<string>()];
  const look = (value: unknown, name: string): void => {
    if (Array.isArray(value))
      value.forEach((item) => {
        look(item, '');
      });
    else if (typeof value === 'object' && value !== null)
      for (const [key_, item] of Object.entries(value)) look(item, key_);
    else if (typeof value === 'string' && (name === 'of' || name === 'blend')) materials.add(value);
    else if (typeof value === 'string' && name === 'ref') canes.add(value);
  };
  look(all, '');
  return { materials: [...materials], canes: [...canes] };
}
