/** Letters that a name may have, by the rules of the contract. */
const LONGEST_NAME = 80;

/** A name that was put together, no longer than a name may be. */
export const asName = (text: string): string => text.slice(0, LONGEST_NAME);

/** The name, or the name with the first number that makes one that is free. @param taken in small letters */
export function freeName(wanted: string, taken: ReadonlySet<string>): string {
  let name = wanted;
  for (let n = 2; taken.has(name.toLowerCase()); n++) name = `${wanted} ${n}`;
  return name;
}

/** Names in small letters, to be looked through for one that is free. */
export const takenNames = (things: readonly { readonly name: string }[] = []): ReadonlySet<string> =>
  new Set(things.map((thing) => thing.name.toLowerCase()));
