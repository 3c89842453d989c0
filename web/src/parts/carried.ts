import type { CarriedKind } from '#contract/archive';

/** Stations with things that can be carried over, by the beginning of their address. */
const STATIONS: Readonly<Record<string, CarriedKind>> = {
  ...{ mixes: 'mix', blends: 'blend', canes: 'cane', patterns: 'pattern', batches: 'batch' },
};
const ID = /^[0-9a-f]{8}-[0-9a-f-]{27}$/;

/** The thing that is open at an address; null: none that could be carried over. */
export function thingAt(pathname: string): { readonly kind: CarriedKind; readonly id: string } | null {
  const [, station = '', id = ''] = pathname.split('/');
  const kind = STATIONS[station];
  return kind !== undefined && ID.test(id) ? { kind, id } : null;
}

/** Where things without a station of their own stand. */
const ELSEWHERE: Readonly<Partial<Record<CarriedKind, string>>> = {
  palette: '/mixes/photograph',
  mosaic: '/patterns',
  // kept pieces are there where a batch gets one
  pieceModel: '/batches',
};

/** Where things of a kind stand. */
export const carriedPath = (kind: CarriedKind): string =>
  ELSEWHERE[kind] ?? `/${Object.entries(STATIONS).find(([, k]) => k === kind)?.[0] ?? 'shelf'}`;
