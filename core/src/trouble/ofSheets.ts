import { cause, NONE, percent, soft, warm, whole, type Cause } from './cause.js';
import { above, below } from './facts.js';

export const OF_SHEETS = {
  mud: [
    cause(
      'beyond the stop line',
      4,
      'It was folded or twisted once too often.',
      (f) => [above(f.beyond, 0, 4, (v) => `it went ${whole(v)} beyond the stop line`)],
      'Cut it, and lay a fresh colour between the pieces.',
      'Stop at the line, and look before each fold.',
    ),
    cause(
      'colours too near',
      2,
      'Its colours mix to a dull one.',
      NONE,
      'Take it as one colour, or as a core.',
      'Keep opposite colours apart with white, black or a metal.',
    ),
    cause(
      'too warm to fold',
      1.5,
      'It was so soft that the colours smeared.',
      (f) => [warm(f, 2.5), soft(f, 2)],
      'Cool it, and go on when it is firm.',
      'Rest it between the folds.',
    ),
  ],
  'dull mica': [
    cause(
      'sheen not even',
      3,
      'Its flakes did not lie one way yet.',
      (f) => [below(f.sheenPasses, 0.9, 4, (v) => `it had ${percent(v)} of the passes its sheen wants`)],
      'Nothing baked shines anew; sand and polish brings some of it.',
      'Pass it until no mottle is seen, always fed the same way.',
    ),
    cause(
      'rolled too far',
      3,
      'It was rolled too thin after it was shaved.',
      (f) => [above(f.beyond, 0, 3, (v) => `it was rolled ${whole(v)} settings too far`)],
      'Glaze it: gloss brings the last of it out.',
      'Shave last, and roll one setting less.',
    ),
    cause(
      'too much else in it',
      2,
      'Too little mica is in the mix.',
      (f) => [below(f.mica, 0.4, 3, (v) => `${percent(v)} of it is mica clay`)],
      null,
      'Keep at least half of it mica clay.',
    ),
    cause(
      'not sanded',
      2,
      'It is not sanded and polished.',
      NONE,
      'Sand it wet from 400 to 1000, then polish or glaze.',
      'Plan the sanding: mica shows after it.',
    ),
  ],
  'gouged mica': [
    cause(
      'blade too steep',
      3,
      'The blade went below the valleys.',
      NONE,
      'Level the whole to the gouge, if it is thick enough.',
      'Hold the blade bent and flat, and take hairs.',
    ),
    cause(
      'too soft to shave',
      2.5,
      'The sheet was soft, and stuck to the blade.',
      (f) => [warm(f, 3), soft(f, 2)],
      'Cool it for a quarter of an hour, then go on.',
      'Shave it cold, on a tile that it sticks to.',
    ),
    cause(
      'relief too deep',
      1.5,
      'The stamp is deeper than the sheet allows.',
      (f) => [below(f.thickMm, 2, 2, (v) => `it was ${v.toFixed(1)} mm thick`)],
      null,
      'A thicker sheet, or a shallower stamp.',
    ),
  ],
  'stuck to the stamp': [
    cause(
      'no release',
      4,
      'The stamp was dry.',
      NONE,
      'Cool it with the stamp on, then bend the stamp away.',
      'Wet the stamp, or dust it.',
    ),
    cause(
      'too soft for a stamp',
      2.5,
      'The clay was soft and warm.',
      (f) => [warm(f, 3), soft(f, 2.5)],
      'Cool it with the stamp on, then bend the stamp away.',
      'Cool the sheet before it is pressed.',
    ),
  ],
} as const satisfies Readonly<Record<string, readonly Cause[]>>;
