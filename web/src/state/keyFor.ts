/** A key that does something here. `key` as the keyboard gives it: `z`, `Z`, `?`, ` `. */
export interface KeyBinding {
  readonly key: string;
  readonly does: string;
  readonly run: () => void;
  readonly hidden?: boolean;
}

/** What is known of a key that was pressed. */
export interface Pressed {
  readonly key: string;
  readonly defaultPrevented: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly altKey: boolean;
}

/** What has the focus while it is pressed. */
export type Focus = 'field' | 'button' | 'nothing';

/** Keys that a button takes for itself. */
const OF_BUTTONS: readonly string[] = [' ', 'Enter'];

/** What a key does here: nothing while somebody types, with another key held, or where a button takes it. */
export function bindingFor(bindings: readonly KeyBinding[], pressed: Pressed, focus: Focus): KeyBinding | undefined {
  const { key, defaultPrevented, ctrlKey, metaKey, altKey } = pressed;
  if (defaultPrevented || ctrlKey || metaKey || altKey || focus === 'field') return undefined;
  if (focus === 'button' && OF_BUTTONS.includes(key)) return undefined;
  return bindings.find((b) => b.key === key);
}

/** All keys of what is on the screen. */
export interface Bound {
  readonly place: string;
  readonly bindings: readonly KeyBinding[];
}

/** The list with the keys of one place set anew, or without them; keys that are hidden are not listed. */
export function listed(
  places: readonly Bound[],
  place: string,
  bindings: readonly KeyBinding[] | null,
): readonly Bound[] {
  const others = places.filter((p) => p.place !== place);
  return bindings ? [...others, { place, bindings: bindings.filter((b) => !b.hidden) }] : others;
}
