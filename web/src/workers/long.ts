/**
 * Work of a worker that takes long. It has a name: a stop, and newer work of the same name, end it at its next breath.
 * How far it is, it tells through a function that the window hands over.
 */
const newest = new Map<string, number>();
let begun = 0;

/** Lets everything go before that is waiting for this worker. */
const breath = (): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve);
  });

/** Begins work of that name. @returns takes a breath, and says whether the work is still wanted */
export function beginLong(name: string): () => Promise<boolean> {
  const own = ++begun;
  newest.set(name, own);
  return async () => {
    await breath();
    return newest.get(name) === own;
  };
}

/** Ends the work of that name, where there is any. */
export function stop(name: string): void {
  newest.delete(name);
}
