import { apart } from '#core/colour';
import type { PatternStep } from '#core/pattern';
import { showLength, type UnitSystem } from '#core/units';
import type { CaneMaterial } from '../canes/clay/materials.js';

/** Neighbours of a stack or a rope that are hard to tell apart. */
export interface Weak {
  readonly one: string;
  readonly other: string;
  readonly deltaE: number;
  readonly dL: number;
  /** mm: narrower than this they run together; null: at any width */
  readonly below: number | null;
}

/** ΔL* from which a lamp shows two colours clearly, and ΔE00 from which they are worth a word. */
const [CLEAR, WEAK] = [15, 20];

/** Of a rope or a heap: any of them may lie beside any other. */
function togetherIn(first: PatternStep): readonly string[] {
  if (first.do === 'logs') return first.logs.map((l) => l.of);
  return first.do === 'chop' ? first.bits.map((b) => b.of) : [];
}

/** Which materials lie beside each other at first. */
function neighboursIn(first: PatternStep): readonly (readonly [string, string])[] {
  if (first.do === 'stack') return first.layers.slice(1).map((l, i) => [first.layers[i]?.of ?? '', l.of] as const);
  const all = togetherIn(first);
  return all.flatMap((one, i) => all.slice(i + 1).map((other) => [one, other] as const));
}

/** Neighbours that run together, the weakest first, each pair once. */
export function weakIn(steps: readonly PatternStep[], materials: ReadonlyMap<string, CaneMaterial>): readonly Weak[] {
  const [first] = steps;
  const found = new Map<string, Weak>();
  for (const [a, b] of first ? neighboursIn(first) : []) {
    const [one, other] = [materials.get(a), materials.get(b)];
    if (!one || !other || a === b) continue;
    const { dL, deltaE: whole, runTogetherBelow } = apart(one.lab, other.lab);
    if (dL >= CLEAR || whole >= WEAK) continue;
    const key = [a, b].sort().join(' ');
    found.set(key, { one: one.name, other: other.name, deltaE: whole, dL, below: runTogetherBelow });
  }
  return [...found.values()].sort((x, y) => x.deltaE - y.deltaE);
}

export function weakWords({ one, other, below }: Weak, units: UnitSystem): string {
  if (below === null) return `${one} and ${other} cannot be told apart. A thin light or dark sheet between them helps.`;
  return (
    `${one} and ${other} run together below ${showLength(below, units, true)}. A thin light or dark sheet between ` +
    'them saves the pattern.'
  );
}
