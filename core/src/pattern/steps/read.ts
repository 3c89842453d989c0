import { among, list, object, readAs, text, wrong, type Check, type Inner } from '#core/document';
import type { MaterialKey } from '#core/cane';
import { MOST_STEPS, PATTERN_VERSION, type AnyStep } from '#core/pattern/document';
import { fieldsOf, isBegin, isKnown, type PatternProgram, type PatternStep } from './kinds.js';
import { complaint } from './sentences.js';

const kindIn = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && 'do' in value ? value.do : undefined;

const step: Check = (value, where, inner) => {
  const kind = kindIn(value);
  const called = typeof kind === 'string' ? ` (“${kind.slice(0, 40)}”)` : '';
  if (typeof kind !== 'string' || !isKnown(kind)) return wrong(`a step that Sledge does not know${called}`, where);
  object({ id: text(80), 'name?': text(80), do: among(kind), ...fieldsOf(kind) })(value, where, inner);
};

/** There is nothing inside of a patterned sheet that has steps of its own. */
const NO_INNER: Inner = {
  steps: (_, where) => {
    wrong('no steps are wanted', where);
  },
};

const steps: Check = (value, where, inner) => {
  list(step, 1, MOST_STEPS)(value, where, inner);
  (value as readonly AnyStep[]).forEach((s, i) => {
    if (isBegin(s) !== (i === 0))
      wrong(i === 0 ? 'it does not begin with clay' : 'it begins anew', `${where} ${i + 1}`);
  });
};
const version: Check = (value, where) => {
  if (value !== PATTERN_VERSION) wrong('the version is not known', where);
};
const program = object({ version, steps });

/**
 * Takes a patterned sheet out of a document that somebody wrote or changed.
 * @param value as JSON gives it @throws Complaint `pattern/newer`, `pattern/format` with the place
 */
export function readPattern(value: unknown): PatternProgram {
  const written = typeof value === 'object' && value !== null && 'version' in value ? value.version : undefined;
  if (typeof written === 'number' && written > PATTERN_VERSION)
    throw complaint('pattern/newer', { version: String(written) });
  readAs(
    () => {
      program(value, '', NO_INNER);
    },
    (not) => complaint('pattern/format', not),
  );
  return value as PatternProgram;
}

/** Every clay, mix and blend that some steps name, each once. */
export function patternMaterials(all: readonly PatternStep[]): readonly MaterialKey[] {
  const keys = new Set<MaterialKey>();
  const look = (value: unknown): void => {
    if (Array.isArray(value)) for (const item of value) look(item);
    else if (typeof value === 'object' && value !== null)
      for (const [field, item] of Object.entries(value)) {
        if (field === 'of' && typeof item === 'string') keys.add(item);
        else look(item);
      }
  };
  look(all);
  return [...keys];
}

/** Some steps with one material in the place of another. */
export function withPatternMaterial(all: readonly PatternStep[], of: MaterialKey, other: MaterialKey): PatternStep[] {
  const exchanged = (value: unknown, name: string): unknown => {
    if (Array.isArray(value)) return value.map((item) => exchanged(item, ''));
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries(Object.entries(value).map(([field, item]) => [field, exchanged(item, field)]));
    return value === of && name === 'of' ? other : value;
  };
  return exchanged(all, '') as PatternStep[];
}
