import type { StartColours, Step } from '#core/cane';
import { lace, petal, savoy } from './handBuilt.js';

interface CaneRow {
  readonly name: string;
  /** a starting point by its id, or steps of its own */
  readonly start: string | ((colours: StartColours) => readonly Step[]);
  readonly slices: number;
  readonly sliceMm: number;
  readonly note: string;
  readonly fade: string;
  readonly dark: string;
  readonly light: string;
  readonly strong: string;
  /** of glass: its tints, and that it is looked at against the light */
  readonly glass?: readonly string[];
}

/** Canes of the scenario, from starting points or built by hand; the newest last. */
export const canes: readonly CaneRow[] = [
  {
    name: 'Artichoke petal',
    start: petal,
    slices: 130,
    sliceMm: 2,
    note: 'for the leaves of the brooch',
    fade: 'Pod fade',
    dark: 'Aubergine',
    light: 'Chalk',
    strong: 'Leek',
  },
  {
    name: 'Savoy leaf',
    start: savoy,
    slices: 100,
    sliceMm: 2,
    note: 'after a drawing',
    fade: 'Beet fade',
    dark: 'Aubergine',
    light: 'Young leek',
    strong: 'Leek',
  },
  {
    name: 'Cold-frame lace',
    start: lace,
    slices: 60,
    sliceMm: 1.5,
    note: 'hangs in the window of the stall',
    fade: 'Straw fade',
    dark: 'Soot',
    light: 'Chalk',
    strong: 'Beetroot',
    glass: ['Beet glass', 'Carrot glass', 'Corn glass', 'Pea glass', 'Leek mist', 'Radish glass'],
  },
  {
    name: 'Garden speckle',
    start: 'speckle',
    slices: 24,
    sliceMm: 2.5,
    note: 'for the radish brooches',
    fade: 'Straw fade',
    dark: 'Soot',
    light: 'Corn',
    strong: 'Carrot',
  },
  {
    name: 'Beetroot ring',
    start: 'beetroot-ring',
    slices: 48,
    sliceMm: 2.2,
    note: 'for the drops',
    fade: 'Straw fade',
    dark: 'Aubergine',
    light: 'Radish flesh',
    strong: 'Beetroot',
  },
  {
    name: 'Woven basket, straw',
    start: 'woven-basket',
    slices: 60,
    sliceMm: 2.2,
    note: 'for the basket beads',
    fade: 'Straw fade',
    dark: 'Aubergine',
    light: 'Chalk',
    strong: 'Leek',
  },
];
