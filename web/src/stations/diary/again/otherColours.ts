import { isMixable, keyOf, materialIn, type Material, type MaterialKey } from '#core/material';
import type { Swaps } from './againPlan.js';

type Plain = Readonly<Record<string, unknown>>;
const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null;

/** A clay or a mix, as a document names it: as a thing with a kind and an id, or by its key; null: something else. */
function namedBy(value: unknown): MaterialKey | null {
  const of = typeof value === 'string' ? materialIn(value) : asThing(value);
  return of && isMixable(of) ? keyOf(of) : null;
}

function asThing(value: unknown): Material | null {
  if (!isPlain(value) || typeof value.kind !== 'string' || typeof value.id !== 'string') return null;
  return materialIn(`${value.kind}:${value.id}`);
}

/** Every clay and mix that a document names, each once, in their order. */
export function coloursIn(document: unknown): readonly MaterialKey[] {
  const found = new Set<MaterialKey>();
  const look = (value: unknown): void => {
    const key = namedBy(value);
    if (key !== null) found.add(key);
    else if (isPlain(value)) Object.values(value).forEach(look);
  };
  look(document);
  return [...found];
}

/** What stands in the place of a value that names a material. */
function swapped(value: unknown, key: MaterialKey, swaps: Swaps): unknown {
  const other = swaps.get(key);
  if (other === undefined) return value;
  if (typeof value === 'string') return other;
  const of = materialIn(other);
  return of ? { ...(value as Plain), kind: of.kind, id: of.id } : value;
}

/** A document with other clays and mixes in the places of some; all else is as it was. */
export function inOtherColours<T>(document: T, swaps: Swaps): T {
  const visit = (value: unknown): unknown => {
    const key = namedBy(value);
    if (key !== null) return swapped(value, key, swaps);
    if (Array.isArray(value)) return value.map(visit);
    return isPlain(value) ? Object.fromEntries(Object.entries(value).map(([k, v]) => [k, visit(v)])) : value;
  };
  return visit(document) as T;
}
