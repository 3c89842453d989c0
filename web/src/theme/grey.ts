/**
 * The greys of the house, for the theme and for what is drawn (SVG, canvases, charts), which cannot read its tokens.
 * No colour but these: the only colour on the screen is clay.
 */
export const grey = {
  ink: '#141414',
  ink2: '#444444',
  /** words of lesser weight in bright light */
  dark: '#2e2e2e',
  /** words of lesser weight on a drawing */
  soft: '#5e5e5e',
  /** outlines of what is not there */
  ghost: '#6d6d6d',
  hairline: '#8a8a8a',
  /** lines of a scale */
  scale: '#a9a9a9',
  /** in place of a colour that nobody knows any more */
  unknown: '#999999',
  bench: '#c9c9c9',
  /** between the stripes of what is short */
  pale: '#dcdcdc',
  paper: '#f6f6f6',
  tile: '#ffffff',
  /** on a colour, where ink is not dark enough */
  black: '#000000',
} as const;

/** The same as six digits, where a colour is kept as those. */
export const UNKNOWN_HEX = grey.unknown.slice(1);
export const PAPER_HEX = grey.paper.slice(1);

/** Half of the light, to the eye: L* 50 as luminance Y. */
const HALF_LIGHT = 0.18;

/** What can be read on a colour. @param y its luminance, 0 to 1 */
export const inkOn = (y: number): string => (y > HALF_LIGHT ? grey.black : grey.tile);
