import { isMaterial } from '#core/material';
/** A thing as it is sent: its fields by name. */
export type Fields = Readonly<Record<string, unknown>>;

/** Two states of a thing joined: what both agree on, and the fields that both changed, each in its own way. */
export interface Joined {
  readonly body: Fields;
  readonly touching: readonly string[];
}

/** Fields that say which thing it is, and not what it is like. */
const NAMES_IT = new Set(['id', 'version']);

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Equal as far as the wire goes: a field that is left out is one that is null. */
export function same(a: unknown, b: unknown): boolean {
  if ((a ?? null) === (b ?? null)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((item, i) => same(item, b[i]));
  if (!isFields(a) || !isFields(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]));
}

type WithId = Fields & { readonly id: string };
const haveIds = (list: unknown): list is readonly WithId[] =>
  Array.isArray(list) && list.every((item) => isFields(item) && typeof item.id === 'string' && !isMaterial(item));

/** What comes of one place of the thing; `clash` where both changed it, each in its own way. */
type Place = { readonly value: unknown } | { readonly clash: true };
const CLASH: Place = { clash: true };

/** Lists of things with ids are joined thing by thing; what one side added or took away is added or taken away. */
function joinLists(base: readonly WithId[], mine: readonly WithId[], theirs: readonly WithId[]): Place {
  const byId = (list: readonly WithId[]): Map<string, WithId> => new Map(list.map((item) => [item.id, item]));
  const [was, own, other] = [byId(base), byId(mine), byId(theirs)];
  const joined: unknown[] = [];
  for (const id of new Set([...theirs, ...mine].map((item) => item.id))) {
    const place = joinPlace(was.get(id), own.get(id), other.get(id));
    if ('clash' in place) return CLASH;
    if (place.value !== undefined && place.value !== null) joined.push(place.value);
  }
  return { value: joined };
}

function joinFields(base: Fields, mine: Fields, theirs: Fields): Place {
  const joined: Record<string, unknown> = {};
  for (const key of Object.keys(mine)) {
    const place = joinPlace(base[key], mine[key], theirs[key]);
    if ('clash' in place) return CLASH;
    joined[key] = place.value;
  }
  return { value: joined };
}

function joinPlace(base: unknown, mine: unknown, theirs: unknown): Place {
  if (same(mine, theirs) || same(base, mine)) return { value: theirs };
  if (same(base, theirs)) return { value: mine };
  if (haveIds(base) && haveIds(mine) && haveIds(theirs)) return joinLists(base, mine, theirs);
  // what a thing is made of is one value, whatever fields say it
  if ([base, mine, theirs].some(isMaterial)) return CLASH;
  if (isFields(base) && isFields(mine) && isFields(theirs)) return joinFields(base, mine, theirs);
  return CLASH;
}

/**
 * Joins what this window and another one made of the same state.
 * @param base the state that both began on; where it is not known, every difference touches
 * @returns `body` has this window's fields where both changed one
 */
export function join(base: Fields | undefined, mine: Fields, theirs: Fields): Joined {
  const body: Record<string, unknown> = {};
  const touching: string[] = [];
  for (const [key, own] of Object.entries(mine)) {
    if (NAMES_IT.has(key) || !(key in theirs)) {
      body[key] = own;
      continue;
    }
    const place: Place = base ? joinPlace(base[key], own, theirs[key]) : joinPlace(NaN, own, theirs[key]);
    body[key] = 'clash' in place ? own : place.value;
    if ('clash' in place) touching.push(key);
  }
  return { body: { ...body, version: theirs.version }, touching };
}

/** A thing as it is sent, out of what is read: a mix has its recipe in its newest revision. */
export function asSent(read: object): Fields {
  const fields = read as Fields;
  if (!Array.isArray(fields.revisions)) return fields;
  const newest: unknown = fields.revisions.at(-1);
  return isFields(newest) ? { ...newest, ...fields } : fields;
}
