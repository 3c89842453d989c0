/** A value with the fields of things in one order, and without those that are left out or null. */
function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== 'object' || value === null) return value;
  return Object.entries(value)
    .filter(([, field]) => field !== null && field !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, field]) => [name, inOrder(field)]);
}

/** Whether two documents say the same, in whatever order their fields stand. */
export const sameDocument = (one: unknown, other: unknown): boolean =>
  JSON.stringify(inOrder(one)) === JSON.stringify(inOrder(other));
