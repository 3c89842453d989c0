import { useEffect, useState } from 'react';
import type { Layout } from '#core/blend';
import type { Place } from './cutMoves.js';

/** Margins of the drawing, px: for the words and measures round the sheet. */
export const [LEFT, TOP, RIGHT, BELOW] = [38, 16, 66, 36];
/** px that the list, the strip, the tile and the margins take beside the sheet. */
const BESIDE = 700;
const [TALLEST, NARROWEST] = [214, 260];

/** Room on the screen for a sheet, px across. */
export function useRoom(): number {
  const [width, setWidth] = useState(window.innerWidth);
  useEffect(() => {
    const measure = (): void => {
      setWidth(window.innerWidth);
    };
    window.addEventListener('resize', measure);
    return () => {
      window.removeEventListener('resize', measure);
    };
  }, []);
  return Math.max(NARROWEST, width - BESIDE);
}

/** px for a mm. */
export const scaleIn = (layout: Layout, room: number): number => Math.min(room / layout.width, TALLEST / layout.height);

/** Between places on the sheet, mm, and on the drawing, px; the y of a sheet goes up. */
export interface OnScreen {
  /** of the sheet as it is drawn, px */
  readonly w: number;
  readonly h: number;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly line: (places: readonly Place[]) => string;
  readonly place: (px: number, py: number) => Place;
}

/** The drawing of a sheet. @param scale px for a mm */
export function onScreen({ width, height }: Layout, scale: number): OnScreen {
  const [w, h] = [width * scale, height * scale];
  const x = (mm: number): number => LEFT + mm * scale;
  const y = (mm: number): number => TOP + h - mm * scale;
  return {
    w,
    h,
    x,
    y,
    line: (places) => places.map((p) => `${x(p.x)},${y(p.y)}`).join(' '),
    place: (px, py) => ({ x: (px - LEFT) / scale, y: (TOP + h - py) / scale }),
  };
}
