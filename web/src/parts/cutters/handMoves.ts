import { handLayout, outlineAt, type Cutter, type HandPlace } from '#core/cutter';
import { extentOf } from '#core/outline';
import { orSentence } from '#core/units';

/** mm that a piece goes with an arrow key, and with shift held; degrees that it turns with R. */
const [STEP, LEAP, TURN] = [1, 10, 15];

/** What is left of a sheet, mm. */
export interface Ground {
  readonly width: number;
  readonly length: number;
  /** as round as its sides allow; left out: with corners */
  readonly round?: boolean;
}

const within = (x: number, least: number, most: number): number => Math.min(Math.max(least, most), Math.max(least, x));

/** A place with the whole piece on the sheet. */
export function kept(cutter: Cutter, place: HandPlace, ground: Ground): HandPlace {
  const points = outlineAt(cutter, { ...place, x: 0, y: 0 });
  const { left, right, bottom, top } = extentOf({ points, round: false });
  return {
    ...place,
    x: within(place.x, -left, ground.width - right),
    y: within(place.y, -bottom, ground.length - top),
  };
}

/** What a key does to a piece; null where it is taken away; undefined where the key means nothing. */
export function moved(
  place: HandPlace,
  key: string,
  shift: boolean,
  cutter: Cutter,
  ground: Ground,
): HandPlace | null | undefined {
  const far = shift ? LEAP : STEP;
  const steps: Readonly<Record<string, Partial<HandPlace>>> = {
    ArrowLeft: { x: place.x - far },
    ArrowRight: { x: place.x + far },
    ArrowUp: { y: place.y + far },
    ArrowDown: { y: place.y - far },
    r: { degrees: (place.degrees + TURN) % 360 },
    R: { degrees: (place.degrees - TURN) % 360 },
    f: { flip: place.flip !== true },
  };
  if (key === 'Delete' || key === 'Backspace') return null;
  const step = steps[key];
  return step && kept(cutter, { ...place, ...step }, ground);
}

/** Why these pieces cannot be cut so; null where they can. */
export function wrongWith(cutter: Cutter, places: readonly HandPlace[], ground: Ground): string | null {
  const laid = orSentence(() => handLayout(cutter, places, { ...ground, bridge: 0 }));
  return typeof laid === 'string' ? laid : null;
}

/** The first place where one more lies on no other, row by row from the lower left; null where none is found. */
export function freePlace(cutter: Cutter, places: readonly HandPlace[], ground: Ground): HandPlace | null {
  const step = Math.max(2, Math.min(cutter.width, cutter.height) / 4);
  for (let y = 0; y <= ground.length; y += step)
    for (let x = 0; x <= ground.width; x += step) {
      const place = kept(cutter, { x, y, degrees: 0 }, ground);
      if (wrongWith(cutter, [...places, place], ground) === null) return place;
    }
  return null;
}
