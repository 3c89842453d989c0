import { LENGTH, among, object, text, whole } from '#core/document';
import {
  LEAST_BELOW,
  MOST_CELLS,
  TEXTURES,
  levelHeights,
  textureHeights,
  type Heights,
  type Levels,
  type Texture,
} from '#core/mica';
import {
  AIR,
  flat,
  measuredPieces,
  once,
  planArea,
  topIn,
  wholeOf,
  type Body,
  type Field,
  type Top,
} from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import { seeded, type Mm } from '#core/units';
import type { ChangeKind, PatternContext } from './kind.js';
import { moved } from './plain.js';
import { positive, saltOf, shown } from './measure.js';
import { complaint } from './sentences.js';

/** A stamp pressed in: where it is raised the clay goes down, beside it comes up, and on the middle it stays. */
export interface PressRelief extends Doing<'relief'> {
  readonly texture: Texture;
  /** mm from one rise to the next */
  readonly pitch: Mm;
  readonly depth: Mm;
  /** a picture that is pressed in instead of the texture; left out: the texture */
  readonly drawn?: Levels;
}

/** The two ways to shave a relief: bent over something round, so that only its top meets the blade, or lying flat. */
export const SCHOOLS = ['flat', 'bent'] as const;
export type School = (typeof SCHOOLS)[number];

/** So much shaved off the top; what is below stays. */
export interface Skim extends Doing<'skim'> {
  readonly off: Mm;
  readonly school: School;
}

const heightsFor = (body: Body, { texture, pitch, drawn }: PressRelief): Heights =>
  drawn ? levelHeights(drawn, body) : textureHeights(texture, body, pitch);

export const relief: ChangeKind<PressRelief> = {
  fields: {
    texture: among(...TEXTURES),
    pitch: LENGTH,
    depth: LENGTH,
    'drawn?': object({
      columns: whole(1, MOST_CELLS),
      rows: whole(1, MOST_CELLS),
      levels: text(MOST_CELLS * MOST_CELLS),
    }),
  },
  to: ['block', 'sheet'],
  change: (open, step) => {
    const body = flat(open);
    const depth = positive(step.depth, 'The relief');
    const { at, mean } = heightsFor(body, step);
    const { thick } = body;
    const valley = thick - depth * mean;
    if (valley < LEAST_BELOW * thick)
      throw complaint('pattern/too deep', { what: 'The relief', depth: shown(depth), thick: shown(thick) });
    const stands = (x: Mm, y: Mm): Mm => valley + depth * at(x, y);
    const pressed =
      (field: Field): Field =>
      (x, y, z) => {
        const high = stands(x, y);
        return z > high ? AIR : field(x, y, (z * thick) / high);
      };
    const parts = moved(body, pressed);
    const top = { of: parts.field, at: stands };
    // a roller over it presses every column back to what it was
    return { ...body, ...parts, thick: valley + depth, top, shut: () => body };
  },
};

/** mm by which honest hands dip below a plane on the middle, and between the places where they do so: assumptions. */
const [STRAYS, STRAYS_EVERY] = [0.05, 13];

/** How a blade strays: slow waves of three directions, down from where it is set. */
function straying({ wobble, seed }: PatternContext): (x: Mm, y: Mm) => Mm {
  if (wobble <= 0) return () => 0;
  const chance = seeded(seed * 577 + 19);
  const waves = [0, 1, 2].map(() => {
    const turn = 2 * Math.PI * chance();
    const by = (2 * Math.PI) / (STRAYS_EVERY * (1 + chance()));
    return { u: by * Math.cos(turn), v: by * Math.sin(turn), first: 2 * Math.PI * chance() };
  });
  const each = (wobble * STRAYS) / waves.length;
  return (x, y) => waves.reduce((sum, { u, v, first }) => sum + each * (Math.sin(u * x + v * y + first) - 1), 0);
}

/** Tries by which the top of what is left is found. */
const HALVINGS = 14;

/** How high the clay of a place stands below a level. */
function topUnder(field: Field, x: Mm, y: Mm, level: Mm): Mm {
  if (field(x, y, level) !== AIR) return level;
  let [low, high] = [0, level];
  for (let n = 0; n < HALVINGS; n++) {
    const middle = (low + high) / 2;
    if (field(x, y, middle) === AIR) high = middle;
    else low = middle;
  }
  return low;
}

/** What is left pressed flat: every column as high as they are on the middle. */
function rolledFlat(field: Field, top: Top['at'], thick: Mm): Field {
  return (x, y, z) => field(x, y, (z / thick) * top(x, y) * BELOW);
}
/** A hair below the top there is clay. */
const BELOW = 1 - 1e-6;

export const skim: ChangeKind<Skim> = {
  fields: { off: LENGTH, school: among(...SCHOOLS) },
  to: ['block', 'sheet'],
  change: (body, { off }, context, at) => {
    const level = body.thick - positive(off, 'What is shaved off');
    if (level <= 0) throw complaint('pattern/below', { depth: shown(off), thick: shown(body.thick) });
    const stray = straying({ ...context, seed: saltOf(context, at) });
    const blade = (x: Mm, y: Mm): Mm => Math.max(0, level + stray(x, y));
    const shaved =
      (field: Field): Field =>
      (x, y, z) =>
        z > blade(x, y) ? AIR : field(x, y, z);
    const stood = topIn(body) ?? ((x: Mm, y: Mm): Mm => topUnder(body.field, x, y, level));
    const parts = moved(body, shaved);
    const { field } = parts;
    const volumes = once(() => measuredPieces({ ...body, ...parts }, { from: 0, to: level }));
    const stands = (x: Mm, y: Mm): Mm => Math.min(stood(x, y), blade(x, y));
    const open: Body = { ...body, ...parts, thick: level, form: 'sheet', top: { of: field, at: stands }, volumes };
    const shut = once((): Body => {
      const thick = wholeOf(volumes()) / (body.count * planArea(body));
      const { shut: _, top: __, ...whole } = open;
      return { ...whole, ...moved(open, (f) => rolledFlat(f, stands, thick)), thick };
    });
    return { ...open, shut };
  },
};
