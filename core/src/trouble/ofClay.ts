import { cause, crumbly, NONE, old, percent, SHARED, soft, warm, whole, type Cause } from './cause.js';
import { above, below } from './facts.js';

export const OF_CLAY = {
  'cracks at a fold': [
    SHARED.underConditioned,
    SHARED.oldClay,
    cause(
      'too dry',
      1,
      'Powder or leaching took too much of its softener.',
      NONE,
      'Fold it warm, with a drop of softener.',
      'Leach for minutes, not over night; dust less.',
    ),
  ],
  'split edges of a blend': [
    cause(
      'wide end in last',
      3,
      'The fold did not go in first, or the sheet was wider than it holds together.',
      NONE,
      'Fold the edges to the middle and go on.',
      'The fold first; press the edges together before each pass.',
    ),
    { ...SHARED.underConditioned, prior: 3 },
    { ...SHARED.oldClay, prior: 2 },
  ],
  streaks: [
    cause(
      'too few blend passes',
      4,
      'It had too few passes.',
      (f) => [below(f.blendPasses, 0.9, 4, (v) => `it had ${percent(v)} of the passes it wanted`)],
      'Pass it on until no line is seen.',
      'Count the passes: ten more than looks right.',
    ),
    cause(
      'folded the wrong way',
      2.5,
      'It was folded the wrong way once.',
      (f) => [above(f.blendPasses, 1, 2, () => 'it had all its passes')],
      'Take it as streaks, or mix it through.',
      'Mark the edge that goes in, and fold always across the fade.',
    ),
    cause(
      'parts of two firmnesses',
      2,
      'One of its clays is firmer than the other.',
      (f) => [crumbly(f, 2), old(f, 1.6)],
      'Pass it on; the firm one gives in later.',
      'Condition each to one firmness before they are cut.',
    ),
  ],
  lint: [
    cause(
      'dirty hands or tools',
      4,
      'Hands, rollers or the table were not clean.',
      NONE,
      'Pick it out with tape; after the oven sand it.',
      'Wipe hands and rollers before light colours; dark ones last.',
    ),
    cause(
      'lay open',
      2,
      'It lay open.',
      (f) => [above(f.restedDays, 7, 2.5, (v) => `it lay ${whole(v)} days`)],
      'Shave a hair off, or wipe it with alcohol away from the oven.',
      'Cover what lies there.',
    ),
  ],
  ripples: [
    cause(
      'fed too thin at once',
      3,
      'It was taken down too many settings at once.',
      NONE,
      'Lay it on paper and roll it smooth by hand.',
      'One setting at a time.',
    ),
    cause(
      'soft sheet',
      2.5,
      'The sheet was soft and warm.',
      (f) => [warm(f, 3), soft(f, 2.5)],
      'Cool it on a tile, then pass it once more.',
      'Cool the sheet before the thin settings, paper around it.',
    ),
    cause(
      'dirty rollers',
      1.5,
      'Something sticks to the rollers.',
      NONE,
      'Wipe the rollers with paper and a drop of oil.',
      'Wipe them before thin sheets.',
    ),
  ],
} as const satisfies Readonly<Record<string, readonly Cause[]>>;
