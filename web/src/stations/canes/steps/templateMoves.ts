import { keyOf, materialIn, ofBlend, ofClay } from '#core/material';
import { extentOf, seenAreas, signedArea, type Fill, type Region, type Step } from '#core/cane';
import { Complaint } from '#core/units';
import { deltaE, readColour } from '#core/colour';
import type { ShelfAnswer } from '#contract';
import type { CaneChoice } from './view.js';

export type Template = Extract<Step, { do: 'template' }>;

/** The colour that stands for no colour at all, where a shelf is empty. */
const NO_COLOUR = 'FFFFFF';

/** Regions that are filled alike belong together until somebody parts them. */
const groupKey = ({ fill }: Region): string =>
  JSON.stringify('cane' in fill ? ['cane', 'ref' in fill.cane ? fill.cane.ref : fill.cane.name, fill.degrees] : fill);

/** The clay of the shelf that is nearest to a colour of a drawing. */
export function nearestClay(hex: string, shelf: ShelfAnswer): string {
  const lab = readColour(hex);
  const clays = shelf.clays.filter((c) => !c.retired);
  const best = clays.reduce(
    (a, b) => (deltaE(readColour(b.bakedHex), lab) < deltaE(readColour(a.bakedHex), lab) ? b : a),
    clays[0] ?? { id: '', bakedHex: NO_COLOUR },
  );
  return keyOf(ofClay(best.id));
}

/** Regions that are filled alike, together, or each by itself, in the order of the template. */
export function groupsOf(regions: readonly Region[], each: boolean): readonly (readonly Region[])[] {
  const found = new Map<string, Region[]>();
  for (const region of regions) {
    const key = each ? region.id : groupKey(region);
    found.set(key, [...(found.get(key) ?? []), region]);
  }
  return [...found.values()];
}

/** How far the ground reaches along one of its sides, mm. */
function extent(step: Template, axis: 0 | 1): number {
  const places = step.regions[0]?.points.map((p) => p[axis]) ?? [0, 1];
  return Math.max(...places) - Math.min(...places);
}
export const widthOf = (step: Template): number => extent(step, 0);
export const heightOf = (step: Template): number => extent(step, 1);

/** The smallest and the largest template, mm across. */
const [SMALLEST, LARGEST] = [2, 300];

/** The template as wide as this, and all in it in proportion; as it was where that is no width. @param mm */
export function asWide(step: Template, mm: number): Template {
  if (!(mm > SMALLEST) || mm > LARGEST) return step;
  const k = mm / widthOf(step);
  const regions = step.regions.map((r) => ({ ...r, points: r.points.map(([x, y]) => [x * k, y * k] as const) }));
  return { ...step, regions };
}

/** A region more, filled as the one before it, or with the first clay there is. @param keys of all materials */
export function withDrawn(step: Template, points: Region['points'], keys: Iterable<string>): Template {
  const last = step.regions.at(-1);
  const clay = [...keys].find((key) => materialIn(key)?.kind === 'clay') ?? '';
  const fill: Fill = last && step.regions.length > 1 ? last.fill : { of: clay };
  const drawn = { id: crypto.randomUUID(), name: `drawn ${step.regions.length}`, points, fill };
  return { ...step, regions: [...step.regions, drawn] };
}

/** Some regions filled anew. */
export function refilled(step: Template, group: readonly Region[], fill: Fill): Template {
  const ids = new Set(group.map((r) => r.id));
  return { ...step, regions: step.regions.map((r) => (ids.has(r.id) ? { ...r, fill } : r)) };
}

/** Without some regions. */
export function without(step: Template, group: readonly Region[]): Template {
  const ids = new Set(group.map((r) => r.id));
  return { ...step, regions: step.regions.filter((r) => !ids.has(r.id)) };
}

/** What a region can be filled with: one colour, a blend, a cane. */
export type FillKind = 'of' | 'blend' | 'cane';

/** What fills a region as a key of a material; empty where it is a cane. */
export function keyIn(fill: Fill): string {
  if ('of' in fill) return fill.of;
  return 'blend' in fill ? fill.blend : '';
}

/** Which of the three a region is filled with. */
export function kindIn(fill: Fill): FillKind {
  if ('cane' in fill) return 'cane';
  return 'blend' in fill ? 'blend' : 'of';
}

/** What some regions together are called. */
export function groupName(group: readonly Region[], ground: boolean): string {
  if (ground) return 'ground';
  return group.length === 1 ? (group[0]?.name ?? '') : `${group.length} regions`;
}

/** Whether some regions are what lies around all others. */
export const isGround = (step: Template, group: readonly Region[]): boolean => group.some((r) => r === step.regions[0]);

const known = new WeakMap<Template, readonly number[]>();

/** mm² of each region that is seen; of a drawing that cannot be worked out yet, none. */
function seenIn(step: Template): readonly number[] {
  const before = known.get(step);
  if (before) return before;
  const seen = seenOrNone(step);
  known.set(step, seen);
  return seen;
}

function seenOrNone(step: Template): readonly number[] {
  try {
    return seenAreas(step);
  } catch (error) {
    if (!(error instanceof Complaint)) throw error;
    return step.regions.map(() => 0);
  }
}

/** mm² of clay in some regions: without what lies on top of them. */
export function clayArea(step: Template, group: readonly Region[]): number {
  const seen = seenIn(step);
  return group.reduce((sum, region) => sum + (seen[step.regions.indexOf(region)] ?? 0), 0);
}

/** What a region is filled with when the kind is changed: the first there is of it, or nothing. */
export function firstFill(
  kind: FillKind,
  keys: Iterable<string>,
  blends: readonly { readonly revisionId: string }[],
  canes: readonly CaneChoice[],
): Fill | null {
  const [key] = keys;
  if (kind === 'of') return key === undefined ? null : { of: key };
  if (kind === 'blend') return blends[0] ? { blend: keyOf(ofBlend(blends[0].revisionId)), degrees: 90 } : null;
  return canes[0] ? { cane: { ref: canes[0].revisionId, name: canes[0].name }, degrees: 0 } : null;
}

/** What fills a region, in words. @param names of materials by their keys */
export const fillName = (fill: Fill, names: (key: string) => string): string =>
  'cane' in fill ? (fill.cane.name ?? 'a cane') : names(keyIn(fill));

/** The regions in the order of building: the ground, then all others from the left, as they are laid. */
export function orderOf({ regions }: Template): readonly Region[] {
  const [ground] = regions;
  return [...regions]
    .map((region) => ({ region, from: extentOf({ points: region.points, round: false }).left }))
    .sort((a, b) => Number(b.region === ground) - Number(a.region === ground) || a.from - b.from)
    .map(({ region }) => region);
}

/** The template with one of its regions as the ground: its outline is that of the cane then, the old ground is out. */
export function asGround(step: Template, region: Region): Template {
  const [ground] = step.regions;
  return { ...step, regions: [region, ...step.regions.filter((r) => r !== region && r !== ground)] };
}

/** mm² within the outline of the template. */
export const wholeArea = (step: Template): number => {
  const [ground] = step.regions;
  return ground ? Math.abs(signedArea(ground.points)) : 0;
};
