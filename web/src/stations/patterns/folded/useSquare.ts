import { useMemo } from 'react';
import type { PlainCutter } from '#core/cutter';
import type { View } from '#core/pattern';
import { faceAddress } from '../../../parts/faceAddress.js';
import { usePatternFace } from '../../../workers/pattern.js';
import type { BenchPattern } from '../usePattern.js';

/** px of the picture of the square. */
const PIXELS = 360;

/** Addresses of pictures of a square from the middle of the finished sheet; null until they are painted. */
export interface Square {
  readonly face: string | null;
  /** its underside, as it lay below the face */
  readonly back: string | null;
}

export function useSquare(bench: BenchPattern, side: number): Square {
  const body = bench.bodies?.at(-1);
  return {
    face: usePainted(bench, side, { of: 'face' }),
    back: usePainted(bench, side, { of: 'level', depth: body?.thick ?? 0 }),
  };
}

function usePainted(bench: BenchPattern, side: number, view: View): string | null {
  const body = bench.bodies?.at(-1);
  const cutter: PlainCutter = { shape: 'rectangle', widthMm: side, heightMm: side };
  const place = { x: (body?.width ?? 0) / 2, y: (body?.height ?? 0) / 2, degrees: 0 };
  const wish = { pattern: bench.plain, at: bench.plain.steps.length - 1, view };
  const picture = usePatternFace({ ...wish, size: PIXELS, paints: bench.paints, cut: { cutter, place } }, false);
  return useMemo(() => picture && faceAddress(picture, 1, 1), [picture]);
}
