import { chromaHue, type Lab } from '#core/colour';
import type { Mm } from '#core/units';
import type { Offcut } from './backwards.js';
import type { MaterialKey } from '#core/cane/document';

/**
 * What a material is like in the scrap: its colour, for a blend that of its middle, and whether it is mostly mica
 * clay.
 */
export interface ScrapMaterial {
  readonly lab: Lab;
  readonly mica: boolean;
}

export const SCRAP_GROUPS = [
  'mica',
  'whites',
  'greys',
  'blacks',
  'reds',
  'oranges',
  'browns',
  'yellows',
  'greens',
  'blues',
  'violets',
  'mixed',
] as const;
export type ScrapGroup = (typeof SCRAP_GROUPS)[number];

/** Off-cuts that go together: mm³ by material, and all of it. */
export interface ScrapHeap {
  readonly group: ScrapGroup;
  readonly volumes: ReadonlyMap<MaterialKey, number>;
  readonly volume: number;
}

/**
 * Chroma below which clay counts as without colour; lightness of white and black; lightness under which an orange
 * is a brown. Assumptions.
 */
const [DULL, WHITE, BLACK, BROWN] = [10, 80, 30, 55];
/** Where each family of hues ends, degrees of CIELAB. */
const HUES: readonly (readonly [number, ScrapGroup])[] = [
  [42, 'reds'],
  [75, 'oranges'],
  [108, 'yellows'],
  [190, 'greens'],
  [290, 'blues'],
  [345, 'violets'],
  [360, 'reds'],
];
/** Share of an off-cut that has to be of one group for it to lie with its own: an assumption. */
const OWN = 0.9;

/** The colour group of a clay, as scrap is sorted. */
export function groupOf({ lab, mica }: ScrapMaterial): ScrapGroup {
  if (mica) return 'mica';
  const { c, h } = chromaHue(lab);
  if (c < DULL && lab.l > WHITE) return 'whites';
  if (c < DULL) return lab.l < BLACK ? 'blacks' : 'greys';
  const hue = HUES.find(([to]) => h < to)?.[1] ?? 'reds';
  return hue === 'oranges' && lab.l < BROWN ? 'browns' : hue;
}

/**
 * Off-cuts sorted as at the bench: mica with mica, one colour with its own,
 * and lumps in which several lie together apart from both, for dark cores.
 * @param materialOf what is not known counts as of no group, so that its lumps are mixed
 * @returns the largest heap first; the volumes are all there
 */
export function sortScrap(
  offcuts: readonly Offcut[],
  materialOf: (key: MaterialKey) => ScrapMaterial | undefined,
): ScrapHeap[] {
  const heaps = new Map<ScrapGroup, Map<MaterialKey, number>>();
  for (const { volumes } of offcuts) {
    const shares = new Map<ScrapGroup, number>();
    let whole = 0;
    for (const [key, volume] of volumes) {
      const material = materialOf(key);
      const group = material ? groupOf(material) : 'mixed';
      shares.set(group, (shares.get(group) ?? 0) + volume);
      whole += volume;
    }
    const own = [...shares].find(([, volume]) => volume >= OWN * whole)?.[0] ?? 'mixed';
    const heap = heaps.get(own) ?? new Map<MaterialKey, number>();
    for (const [key, volume] of volumes) heap.set(key, (heap.get(key) ?? 0) + volume);
    heaps.set(own, heap);
  }
  return [...heaps]
    .map(([group, volumes]): ScrapHeap => ({
      group,
      volumes,
      volume: [...volumes.values()].reduce((a, b) => a + b, 0),
    }))
    .sort((a, b) => b.volume - a.volume);
}

/** How many balls of a diameter a volume (mm³) gives. */
export const coresFrom = (volume: number, diameter: Mm): number =>
  Math.floor(volume / ((Math.PI / 6) * diameter ** 3) + 1e-9);
