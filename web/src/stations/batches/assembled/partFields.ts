import type { Lies, PartOf, PlaceOf, ShapeIs, ShapeOf, Size, Value } from '#core/piece';
import { numberOf } from '#core/piece';

export type AnyPart = PartOf<Value>;
type AnyShape = ShapeOf<Value>;
type AnyPlace = PlaceOf<Value>;

/** A number of a part that can be changed, and perhaps follows a size of the piece. */
export interface NumberField {
  readonly key: string;
  readonly label: string;
  readonly unit: 'mm' | 'count' | 'times' | 'degrees';
  /** it is always its own number */
  readonly own?: boolean;
}

const mm = (key: string, label: string): NumberField => ({ key, label, unit: 'mm' });
const times = (key: string, label: string): NumberField => ({ key, label, unit: 'times' });
const OUTLINE = [mm('outline.width', 'wide'), mm('outline.height', 'long')];
const LONG = [mm('width', 'thick'), mm('length', 'long')];

/** The numbers of each shape, in the order a maker says them: one that is missing does not compile. */
export const SHAPE_FIELDS: Readonly<Record<ShapeIs, readonly NumberField[]>> = {
  cut: [
    ...OUTLINE,
    mm('mm', 'thick'),
    mm('cup', 'bent up by'),
    { key: 'lines', label: 'lines pressed in', unit: 'count', own: true },
  ],
  slice: [...OUTLINE, mm('mm', 'thick')],
  ball: [mm('width', 'wide'), times('ratio', 'length to width')],
  snake: LONG,
  twist: LONG,
  covered: [mm('core', 'core'), mm('wall', 'wall'), mm('slice', 'across a slice')],
  veneer: [mm('width', 'wide'), mm('height', 'high'), mm('mm', 'thick')],
  finding: [mm('width', 'wide'), mm('length', 'long')],
};

const turn: NumberField = { key: 'turn', label: 'turned', unit: 'degrees', own: true };
const n: NumberField = { key: 'n', label: 'how many', unit: 'count' };
const AT = [mm('x', 'to the right'), mm('y', 'up')];

/** The numbers of each way to lie. */
export const PLACE_FIELDS: Readonly<Record<Lies, readonly NumberField[]>> = {
  at: [...AT, turn],
  ring: [n, mm('radius', 'from the middle'), turn],
  row: [n, mm('apart', 'apart'), ...AT, turn],
  scatter: [n, mm('radius', 'within'), mm('apart', 'apart')],
  pair: [...AT, turn],
  stack: [n, ...AT],
};

type Fields = Readonly<Record<string, unknown>>;

/** What stands in a field, whose name may be a way, as in `outline.width`. */
export function valueIn(of: AnyShape | AnyPlace, key: string): Value {
  const value = key.split('.').reduce<unknown>((inner, name) => (inner as Fields | undefined)?.[name], of);
  return (value ?? 0) as Value;
}

/** The same with another value there. */
export function withValue<T extends AnyShape | AnyPlace>(of: T, key: string, value: Value): T {
  const [first = '', rest] = key.split('.');
  const inner = (of as unknown as Fields)[first];
  return { ...of, [first]: rest === undefined ? value : { ...(inner as Fields), [rest]: value } };
}

/** The size that a value follows; null: none. */
export const followed = (value: Value): string | null => (typeof value === 'number' ? null : value.size);

/** A number put in the place of another one: where that followed a size, so does this one, by another share. */
export function follow(value: Value, next: number, sizes: readonly Size[]): Value {
  if (typeof value === 'number') return next;
  const size = sizes.find((s) => s.id === value.size);
  return size ? { size: size.id, times: next / size.value } : next;
}

/** A value that follows a size from now on, or none, and is as large as before. */
export function following(value: Value, sizeId: string | null, sizes: readonly Size[]): Value {
  const now = numberOf(value, sizes);
  const size = sizes.find((s) => s.id === sizeId);
  return size ? { size: size.id, times: now / size.value } : now;
}

/** A first shape of each kind, about as large as what was there. */
export const FIRST_SHAPE: Readonly<Record<ShapeIs, (width: number) => AnyShape>> = {
  cut: (width) => ({ is: 'cut', outline: { shape: 'round', width, height: width }, mm: 1.5 }),
  slice: (width) => ({ is: 'slice', outline: { shape: 'round', width, height: width }, mm: 2 }),
  ball: (width) => ({ is: 'ball', form: 'round', width, ratio: 1 }),
  snake: (width) => ({ is: 'snake', width: 2, length: width * 3, bend: 'straight' }),
  twist: (width) => ({ is: 'twist', width: 3, length: width * 3, bend: 'straight', with: null, withLike: 'F1EEE4' }),
  covered: (width) => ({
    ...{ is: 'covered', core: width, wall: 1.2, slice: 6 },
    ...{ with: null, withLike: '26242A', bakedFirst: true },
  }),
  veneer: (width) => ({ is: 'veneer', form: 'dome', width, height: width / 4, mm: 1.5 }),
  finding: () => ({ is: 'finding', finding: null, form: 'pin', width: 5, length: 25 }),
};

/** A first place of each kind. */
export const FIRST_PLACE: Readonly<Record<Lies, AnyPlace>> = {
  at: { lies: 'at', x: 0, y: 0, turn: 0 },
  ring: { lies: 'ring', n: 6, radius: 10, turn: 0, gaps: false },
  row: { lies: 'row', n: 3, apart: 8, x: 0, y: 0, turn: 0 },
  scatter: { lies: 'scatter', n: 12, radius: 8, apart: 1.5, seed: 1 },
  pair: { lies: 'pair', x: 8, y: 0, turn: 0 },
  stack: { lies: 'stack', n: 2, x: 0, y: 0 },
};
