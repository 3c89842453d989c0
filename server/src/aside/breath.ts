/** Lets everybody else be answered before a long piece of work goes on. */
export const breath = (): Promise<void> =>
  new Promise((resolve) => {
    setImmediate(resolve);
  });

/** Things of a list that are worked through between two breaths. */
const AT_ONCE = 40;

/** Works through a long list, with a breath now and then. */
export async function inBreaths<T>(list: readonly T[], work: (item: T) => void): Promise<void> {
  for (const [i, item] of list.entries()) {
    if (i % AT_ONCE === AT_ONCE - 1) await breath();
    work(item);
  }
}
