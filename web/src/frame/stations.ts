/** The stations, in the order of the work. */
export const STATIONS = [
  ['shelf', 'Shelf'],
  ['mixes', 'Mixes'],
  ['sheets', 'Sheets'],
  ['blends', 'Blends'],
  ['canes', 'Canes'],
  ['patterns', 'Patterns'],
  ['batches', 'Batches'],
  ['bench', 'Bench'],
  ['diary', 'Diary'],
] as const;
export type StationPath = (typeof STATIONS)[number][0];

/** What a device does that was let in for the bench and the diary only. */
const AT_BENCH: readonly StationPath[] = ['bench', 'diary'];

/** The stations that a device may go to. */
export const stationsFor = (rights: 'all' | 'bench'): readonly (typeof STATIONS)[number][] =>
  rights === 'all' ? STATIONS : STATIONS.filter(([path]) => AT_BENCH.includes(path));

/** What hands at the bench go to most, on a screen that is held: where it leads, and what it is called. */
export const AT_HAND = [
  ['bench', 'Bench'],
  ['batches/days', 'Days'],
  ['shelf', 'Shelf'],
  ['diary', 'Diary'],
] as const;

/** Stations that are made for a table, and not for a screen that is held. */
export const AT_TABLE: readonly StationPath[] = ['mixes', 'sheets', 'blends', 'canes', 'patterns', 'batches'];

/** Whether an address belongs to a station that is made for a table. */
export function isAtTable(pathname: string): boolean {
  const [, first = '', second = ''] = pathname.split('/');
  if (first === 'batches' && second === 'days') return false;
  return AT_TABLE.some((path) => path === first);
}
