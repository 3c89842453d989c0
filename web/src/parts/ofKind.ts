type Kinded = { readonly kind: string };
type OfKind<S extends Kinded, K> = Extract<S, { readonly kind: K }>;

/** What is done for each kind of a thing. */
export type ByKind<S extends Kinded, More extends readonly unknown[], R> = {
  readonly [K in S['kind']]: (thing: OfKind<S, K>, ...more: More) => R;
};

/** Does with a thing what its table says for its kind. */
export function ofKind<S extends Kinded, More extends readonly unknown[], R>(
  table: ByKind<S, More, R>,
  thing: S,
  ...more: More
): R {
  // a row takes things of its own kind, and this is the row of this thing's
  const row = table[thing.kind as S['kind']] as unknown as (thing: S, ...more: More) => R;
  return row(thing, ...more);
}
