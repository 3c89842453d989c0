import {
  PATTERN_VERSION,
  patternMaterials,
  readPattern,
  withPatternMaterial,
  type PatternProgram,
} from '#core/pattern';
import { complaint } from './sentences.js';

/** A patterned sheet as a document: its steps, and what its materials are called and look like. */
export interface PatternFile {
  readonly name: string;
  readonly program: PatternProgram;
  readonly materials: Readonly<Record<string, { readonly name: string; readonly hexes: readonly string[] }>>;
}
const KIND = 'patterned sheet';

/** JSON, as docs/formats.md describes it. */
export const writePattern = (file: PatternFile): string =>
  `${JSON.stringify({ kind: KIND, version: PATTERN_VERSION, ...file }, null, 2)}\n`;

type Plain = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The file as an object. @throws Complaint `pattern/newer`, `pattern/format` */
function openPattern(text: string): Plain {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw complaint('pattern/format', { what: 'the file is not JSON', where: '' });
  }
  if (!isObject(value) || value.kind !== KIND)
    throw complaint('pattern/format', { what: 'it does not say that it is one', where: '' });
  if (typeof value.version === 'number' && value.version > PATTERN_VERSION)
    throw complaint('pattern/newer', { version: String(value.version) });
  return value;
}

function nameOf(value: unknown, where: string): string {
  if (typeof value !== 'string' || value.trim() === '' || value.length > 80)
    throw complaint('pattern/format', { what: 'a name is wanted', where });
  return value.replace(/[\n\r\t"]/g, ' ').trim();
}

const isHex = (h: unknown): h is string => typeof h === 'string' && /^[0-9a-f]{6}$/i.test(h);

function readMaterials(value: unknown): PatternFile['materials'] {
  return Object.fromEntries(
    Object.entries(isObject(value) ? value : {}).map(([key, inner]) => {
      const own: Plain = isObject(inner) ? inner : {};
      const hexes = Array.isArray(own.hexes) ? own.hexes.filter(isHex) : [];
      return [key, { name: nameOf(own.name, `materials, ${key}`), hexes }];
    }),
  );
}

/** @throws Complaint `pattern/newer`, `pattern/format` with the place that is wrong */
export function readPatternFile(text: string): PatternFile {
  const value = openPattern(text);
  return {
    name: nameOf(value.name, 'name'),
    program: readPattern(value.program),
    materials: readMaterials(value.materials),
  };
}

/**
 * The cane of this bench that is called as one of a file.
 * @throws Complaint `pattern/no cane`
 */
export function caneCalled(
  { materials }: PatternFile,
  old: string,
  canes: readonly { readonly name: string; readonly revisionId: string }[],
): string {
  const name = (Object.hasOwn(materials, old) ? materials[old]?.name : undefined) ?? 'that it is cut of';
  const cane = canes.find((c) => c.name.toLowerCase() === name.toLowerCase());
  if (!cane) throw complaint('pattern/no cane', { name });
  return `cane:${cane.revisionId}`;
}

/** The program of a file with other keys in the place of its materials'. @param key what to take instead */
export function patternWith({ program }: PatternFile, key: (old: string) => string): PatternProgram {
  // by way of marks, so that no key is exchanged twice
  const marked = patternMaterials(program.steps).map((old, i) => [old, `clay:mark-${i}`] as const);
  let steps = program.steps;
  for (const [old, mark] of marked) steps = withPatternMaterial(steps, old, mark);
  for (const [old, mark] of marked) steps = withPatternMaterial(steps, mark, key(old));
  return readPattern({ version: PATTERN_VERSION, steps });
}
