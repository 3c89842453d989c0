import { PROGRAM_VERSION, checkWork, readProgram, usedIn, type Program } from '#core/cane';
import { Complaint } from '#core/units';
import { complaint } from './sentences.js';

/** A cane as a document: its steps, the canes they take in, and what the materials are called and look like. */
export interface CaneFile {
  readonly name: string;
  readonly program: Program;
  /** by the id that the steps use */
  readonly canes: Readonly<Record<string, { readonly name: string; readonly program: Program }>>;
  readonly materials: Readonly<Record<string, { readonly name: string; readonly hexes: readonly string[] }>>;
  readonly slices: number;
  readonly sliceMm: number;
}
const KIND = 'cane';

/** JSON, as docs/formats.md describes it. */
export const writeCane = (file: CaneFile): string =>
  `${JSON.stringify({ kind: KIND, version: PROGRAM_VERSION, ...file }, null, 2)}\n`;

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

type Plain = Readonly<Record<string, unknown>>;

/** The file as an object. @throws Complaint `cane/newer`, `cane/format` */
function openCane(text: string): Plain {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw complaint('cane/format', { what: 'the file is not JSON', where: '' });
  }
  if (!isObject(value) || value.kind !== KIND)
    throw complaint('cane/format', { what: 'it does not say that it is one', where: '' });
  if (typeof value.version === 'number' && value.version > PROGRAM_VERSION)
    throw complaint('cane/newer', { version: String(value.version) });
  return value;
}

/** A program inside the file. @throws Complaint that says where it stands */
function readWithin(where: string, program: unknown): Program {
  try {
    return readProgram(program);
  } catch (error) {
    if (error instanceof Complaint && error.code === 'cane/format')
      throw new Complaint(error.code, `${error.message.replace(/\.$/, '')} (${where}).`);
    throw error;
  }
}

/** The canes that others take in. @throws Complaint `cane/format` */
function readCanes(value: unknown): CaneFile['canes'] {
  return Object.fromEntries(
    Object.entries(isObject(value) ? value : {}).map(([id, inner]) => {
      if (!isObject(inner)) throw complaint('cane/format', { what: 'an object is wanted', where: `canes, ${id}` });
      const program = readWithin(`in canes, ${id}`, inner.program);
      return [id, { name: nameOf(inner.name, `canes, ${id}`), program }];
    }),
  );
}

const isHex = (h: unknown): h is string => typeof h === 'string' && /^[0-9a-f]{6}$/i.test(h);

/** The materials by their names and colours. @throws Complaint `cane/format` */
function readMaterials(value: unknown): CaneFile['materials'] {
  return Object.fromEntries(
    Object.entries(isObject(value) ? value : {}).map(([key, inner]) => {
      const own: Plain = isObject(inner) ? inner : {};
      const hexes = Array.isArray(own.hexes) ? own.hexes.filter(isHex) : [];
      return [key, { name: nameOf(own.name, `materials, ${key}`), hexes }];
    }),
  );
}

/** @throws Complaint `cane/format` where a cane that is taken in is not there */
function checkThere(programs: readonly Program[], canes: CaneFile['canes']): void {
  const missing = programs.flatMap((p) => usedIn(p.steps).canes).find((ref) => !Object.hasOwn(canes, ref));
  if (missing === undefined) return;
  const what = `the cane “${missing.slice(0, 40)}” that it takes in is missing`;
  throw complaint('cane/format', { what, where: 'canes' });
}

/** A number above zero and not above the most, or the usual one where it is none. */
const amount = (value: unknown, usual: number, most: number): number =>
  typeof value === 'number' && Number.isFinite(value) && value > 0 ? Math.min(most, value) : usual;

/** Slices of a cane, and mm of each: where a file says nothing, and at most. */
const [USUAL_SLICES, MOST_SLICES, USUAL_MM, MOST_MM] = [20, 5000, 2, 100];

/**
 * @throws Complaint `cane/newer`, `cane/format` with the place that is wrong, and of a cane that is too much to
 * work out
 */
export function readCane(text: string): CaneFile {
  const value = openCane(text);
  const program = readProgram(value.program);
  const canes = readCanes(value.canes);
  const materials = readMaterials(value.materials);
  checkThere([program, ...Object.values(canes).map((c) => c.program)], canes);
  checkWork(program.steps, (ref) => (Object.hasOwn(canes, ref) ? canes[ref]?.program : undefined));
  return {
    name: nameOf(value.name, 'name'),
    program,
    canes,
    materials,
    slices: Math.round(amount(value.slices, USUAL_SLICES, MOST_SLICES)),
    sliceMm: amount(value.sliceMm, USUAL_MM, MOST_MM),
  };
}

function nameOf(value: unknown, where: string): string {
  if (typeof value !== 'string' || value.trim() === '' || value.length > 80)
    throw complaint('cane/format', { what: 'a name is wanted', where });
  return value.replace(/[\n\r\t"]/g, ' ').trim();
}

/**
 * Copies every cane that others take in, and puts other keys in the place of the materials'.
 * @param key what to take instead
 */
export function standAlone(file: CaneFile, key: (old: string) => string): Program {
  const exchange = (value: unknown, name: string, within: readonly string[]): unknown => {
    if (Array.isArray(value)) return value.map((item) => exchange(item, '', within));
    if (isObject(value)) {
      if (typeof value.ref === 'string') {
        const inner = Object.hasOwn(file.canes, value.ref) ? file.canes[value.ref] : undefined;
        if (!inner) throw complaint('cane/missing');
        if (within.includes(value.ref)) throw complaint('cane/itself', { name: inner.name });
        return { name: inner.name, steps: exchange(inner.program.steps, '', [...within, value.ref]) };
      }
      // what lay ready on another bench does not lie on this one
      const entries = Object.entries(value).filter(([k]) => k !== 'made');
      return Object.fromEntries(entries.map(([k, item]) => [k, exchange(item, k, within)]));
    }
    return typeof value === 'string' && (name === 'of' || name === 'blend') ? key(value) : value;
  };
  return readProgram({ ...file.program, version: PROGRAM_VERSION, steps: exchange(file.program.steps, '', []) });
}
