const STORE = 'sledge-own';
const MOST = 400;

function kept(): string[] {
  try {
    const ids: unknown = JSON.parse(sessionStorage.getItem(STORE) ?? '[]');
    return Array.isArray(ids) ? (ids as string[]) : [];
  } catch {
    return [];
  }
}

let ids: string[] | null = null;
const known = (): string[] => (ids ??= kept());

/** The changes that this window has made, by their ids; a reload keeps them. */
export const own = {
  add(id: string): void {
    ids = [...known(), id].slice(-MOST);
    try {
      sessionStorage.setItem(STORE, JSON.stringify(ids));
    } catch {
      // then a reload asks before it takes one of these back
    }
  },
  has: (id: string): boolean => known().includes(id),
};
