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

/**
 * @throws Complaint `cane/newer`, `cane/format` with the place that is wrong, and of a cane that is too much to
 * work out
 */
export function readCane(text: string): CaneFile {
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
  const within = (where: string, work: () => Program): Program => {
    try {
      return work();
    } catch (error) {
      if (error instanceof Complaint && error.code === 'cane/format' && where !== '')
        throw new Complaint(error.code, `${error.message.replace(/\.$/, '')} (${where}).`);
      throw error;
    }
  };
  const program = within('', () => readProgram(value.program));
  const canes = Object.fromEntries(
    Object.entries(isObject(value.canes) ? value.canes : {}).map(([id, inner]) => {
      if (!isObject(inner)) throw complaint('cane/format', { what: 'an object is wanted', where: `canes, ${id}` });
      return [
        id,
        {
          name: nameOf(inner.name, `canes, ${id}`),
          program: within(`in canes, ${id}`, () => readProgram(inner.program)),
        },
      ];
    }),
  );
  const materials = Object.fromEntries(
    Object.entries(isObject(value.materials) ? value.materials : {}).map(([key, inner]) => {
      const hexes =
        isObject(inner) && Array.isArray(inner.hexes)
          ? inner.hexes.filter((h): h is string => typeof h === 'string' && /^[0-9a-f]{6}$/i.test(h))
          : [];
      return [key, { name: nameOf(isObject(inner) ? inner.name : undefined, `materials, ${key}`), hexes }];
    }),
  );
  const missing = [program, ...Object.values(canes).map((c) => c.program)]
    .flatMap((p) => usedIn(p.steps).canes)
    .find((ref) => !Object.hasOwn(canes, ref));
  if (missing !== undefined)
    throw complaint('cane/format', {
      what: `the cane “${missing.slice(0, 40)}” that it takes in is missing`,
      where: 'canes',
    });
  checkWork(program.steps, (ref) => (Object.hasOwn(canes, ref) ? canes[ref]?.program : undefined));
  const whole = (v: unknown, usual: number): number =>
    typeof v === 'number' && Number.isFinite(v) && v > 0 ? v : usual;
  return {
    name: nameOf(value.name, 'name'),
    program,
    canes,
    materials,
    slices: Math.min(5000, Math.round(whole(value.slices, 20))),
    sliceMm: Math.min(100, whole(value.sliceMm, 2)),
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
  return readProgram({ version: PROGRAM_VERSION, steps: exchange(file.program.steps, '', []) });
}
