import {
  PIECE_VERSION,
  type PartOf,
  type PieceDocument,
  type PlaceOf,
  type ShapeOf,
  type Size,
  type Value,
} from './document.js';

/** A piece to begin with: its shape, and the colours that are meant. */
export interface PieceModel {
  readonly name: string;
  readonly about: string;
  readonly piece: PieceDocument;
}

type Shape = ShapeOf<Value>;
type Place = PlaceOf<Value>;
type Outline = Extract<Shape, { is: 'cut' }>['outline'];

const by = (size: string, times = 1): Value => ({ size, times });
const mm = (id: string, name: string, value: number): Size => ({ id, name, unit: 'mm', value });
const count = (id: string, name: string, value: number): Size => ({ id, name, unit: 'count', value });

/** Colours of the kitchen garden, as they are meant. */
const LIKE = {
  ...{ chalk: 'F1EEE4', soot: '26242A', beetroot: '7B1E4B', radish: 'D23B5E', carrot: 'E7712C', squash: 'E29A2E' },
  ...{ corn: 'F0CB55', pea: '93B84C', leek: '4F7F45', turnip: 'CDA9CB', aubergine: '3D2551', metal: '9A9DA3' },
} as const;
type Like = keyof typeof LIKE;

const MIDDLE: Place = { lies: 'at', x: 0, y: 0, turn: 0 };
const at = (x: Value, y: Value, turn = 0): Place => ({ lies: 'at', x, y, turn });
const ring = (n: Value, radius: Value, turn = 0, gaps = false): Place => ({ lies: 'ring', n, radius, turn, gaps });

const outline = (shape: Outline['shape'], width: Value, height: Value = width): Outline => ({ shape, width, height });
const cut = (of: Outline, thick: Value, more: Partial<Extract<Shape, { is: 'cut' }>> = {}): Shape => ({
  is: 'cut',
  outline: of,
  mm: thick,
  ...more,
});
const ball = (width: Value, form: Extract<Shape, { is: 'ball' }>['form'] = 'round', ratio: Value = 1): Shape => ({
  is: 'ball',
  form,
  width,
  ratio,
});
const finding = (form: Extract<Shape, { is: 'finding' }>['form'], width: number, length: number): Shape => ({
  is: 'finding',
  finding: null,
  form,
  width,
  length,
});

type More = Partial<Pick<PartOf<Value>, 'on' | 'under'>>;
const part = (name: string, like: Like, shape: Shape, place: Place = MIDDLE, more: More = {}): PartOf<Value> => ({
  ...{ id: name, name, of: null, like: LIKE[like], on: null, shape, place },
  ...more,
});
const piece = (sizes: readonly Size[], parts: readonly PartOf<Value>[]): PieceDocument => ({
  version: PIECE_VERSION,
  sizes,
  parts,
});

const blossom = piece(
  [mm('petal', 'petal', 20), count('petals', 'petals', 6), mm('heart', 'heart', 10)],
  [
    part(
      'leaf',
      'leek',
      cut(outline('leaf', by('petal', 0.5), by('petal', 1.05)), 1.2, { lines: 1 }),
      ring(5, by('petal', 0.82), 36),
    ),
    part('base', 'chalk', cut(outline('round', by('heart', 2)), 1.6)),
    part(
      'outer petal',
      'beetroot',
      cut(outline('petal', by('petal', 0.6), by('petal')), 1.2, { cup: 2.5, lines: 3, fade: 'out' }),
      ring(by('petals'), by('petal', 0.66)),
    ),
    part(
      'inner petal',
      'radish',
      cut(outline('petal', by('petal', 0.45), by('petal', 0.75)), 1.2, { cup: 3.5, lines: 3, fade: 'out' }),
      ring(by('petals'), by('petal', 0.5), 0, true),
    ),
    part('heart', 'squash', ball(by('heart'), 'disc', 0.5)),
    part('seed', 'corn', ball(1.2), { lies: 'scatter', n: 30, radius: by('heart', 0.36), apart: 1.15, seed: 7 }),
    part('pin', 'metal', finding('pin', 5, 25), at(0, 0, 90), { under: true }),
  ],
);

const pod = piece(
  [mm('pod', 'pod', 64), count('peas', 'peas', 5), mm('pea', 'pea', 8.5)],
  [
    part('pod', 'leek', cut(outline('leaf', by('pod', 0.27), by('pod')), 2, { lines: 1 })),
    part('pea', 'pea', ball(by('pea')), { lies: 'row', n: by('peas'), apart: by('pea', 1.02), x: 0, y: 0, turn: 90 }),
    part('tendril', 'leek', { is: 'snake', width: 1.6, length: 26, bend: 'ring' }, at(0, by('pod', 0.5))),
    part('ring', 'metal', finding('ring', 6, 6), at(0, by('pod', 0.6))),
  ],
);

const carrot = piece(
  [mm('carrot', 'thickness', 11), count('leaves', 'leaves', 3)],
  [
    part('carrot', 'carrot', ball(by('carrot'), 'drop', 2.6), at(0, 0, 180)),
    part('leaf', 'leek', cut(outline('leaf', by('carrot', 0.5), by('carrot', 1.4)), 1.2, { lines: 1 }), {
      lies: 'row',
      n: by('leaves'),
      apart: by('carrot', 0.34),
      x: 0,
      y: by('carrot', 1.7),
      turn: 0,
    }),
    part('hook', 'metal', finding('hook', 9, 18), at(0, by('carrot', 2.9))),
  ],
);

const basket = piece(
  [mm('core', 'core', 14), mm('slice', 'slice', 6)],
  [
    part('bead', 'squash', {
      ...{ is: 'covered', core: by('core'), wall: 1.2, slice: by('slice') },
      ...{ with: null, withLike: LIKE.soot, bakedFirst: true },
    }),
  ],
);

const turnip = piece(
  [mm('turnip', 'turnip', 16)],
  [
    part('turnip', 'turnip', ball(by('turnip'), 'disc', 0.8)),
    part('cap', 'aubergine', cut(outline('round', by('turnip', 0.62)), 0.8)),
    part(
      'leaf',
      'pea',
      cut(outline('leaf', by('turnip', 0.25), by('turnip', 0.75)), 1, { lines: 1, cup: 2 }),
      ring(3, by('turnip', 0.36)),
    ),
    part('stalk', 'leek', ball(by('turnip', 0.2))),
  ],
);

const squash = piece(
  [mm('squash', 'squash', 38), count('ribs', 'ribs', 8)],
  [
    part('half', 'squash', { is: 'veneer', form: 'dome', width: by('squash'), height: by('squash', 0.3), mm: 2 }),
    part(
      'rib',
      'carrot',
      { is: 'snake', width: 1.5, length: by('squash', 0.36), bend: 'straight' },
      ring(by('ribs'), by('squash', 0.26)),
    ),
    part('stalk', 'leek', {
      ...{ is: 'twist', width: 3.5, length: by('squash', 0.3), bend: 'straight' },
      ...{ with: null, withLike: LIKE.pea },
    }),
  ],
);

const hoop = piece(
  [mm('round', 'around', 95), mm('rope', 'rope', 4)],
  [
    part('rope', 'leek', {
      ...{ is: 'twist', width: by('rope'), length: by('round'), bend: 'ring' },
      ...{ with: null, withLike: LIKE.chalk },
    }),
    part('leaf', 'leek', cut(outline('leaf', 7, 18), 1.2, { lines: 1 }), {
      lies: 'pair',
      x: 6,
      y: by('round', -0.16),
      turn: -60,
    }),
    part('hook', 'metal', finding('hook', 9, 18), at(0, by('round', 0.24))),
  ],
);

const cabbage = piece(
  [mm('leaf', 'leaf', 17), count('leaves', 'leaves', 7)],
  [
    part(
      'outer leaf',
      'aubergine',
      cut(outline('petal', by('leaf'), by('leaf')), 1, { cup: 3, lines: 3, fade: 'out' }),
      ring(by('leaves'), by('leaf', 0.66)),
    ),
    part(
      'leaf',
      'beetroot',
      cut(outline('petal', by('leaf', 0.8), by('leaf', 0.8)), 1, { cup: 4, lines: 3, fade: 'out' }),
      ring(by('leaves', 0.75), by('leaf', 0.44), 20),
    ),
    part(
      'inner leaf',
      'turnip',
      cut(outline('petal', by('leaf', 0.55), by('leaf', 0.55)), 1, { cup: 4, lines: 1, fade: 'out' }),
      ring(by('leaves', 0.5), by('leaf', 0.25), 40),
    ),
    part('heart', 'chalk', ball(by('leaf', 0.3))),
    part('pin', 'metal', finding('pin', 5, 20), at(0, 0, 90), { under: true }),
  ],
);

const onion = piece(
  [mm('slice', 'slice', 30), count('rings', 'drops', 9)],
  [
    part('slice', 'chalk', cut(outline('round', by('slice')), 2)),
    part('skin', 'radish', { is: 'snake', width: 1.6, length: by('slice', 3), bend: 'ring' }),
    part('ring', 'turnip', { is: 'snake', width: 1.4, length: by('slice', 2), bend: 'ring' }),
    part('drop', 'radish', ball(2.4, 'drop', 2.2), ring(by('rings'), by('slice', 0.4), 0)),
    part('bud', 'pea', ball(by('slice', 0.16), 'disc', 0.6)),
    part('post', 'metal', finding('post', 5, 5), MIDDLE, { under: true }),
  ],
);

/** Pieces of the kitchen garden to begin with: each in any size, of any clay. */
export const PIECE_MODELS: readonly PieceModel[] = [
  { name: 'Radish blossom', about: 'brooch: two rings of petals on leaves, a heart with seeds', piece: blossom },
  { name: 'Pea pod', about: 'ornament: peas in a row on a leaf', piece: pod },
  { name: 'Carrot', about: 'drop earring with three leaves', piece: carrot },
  { name: 'Basket bead', about: 'slices of a cane all around a core of scrap', piece: basket },
  { name: 'Turnip', about: 'charm: a flattened ball with a cap', piece: turnip },
  { name: 'Squash half', about: 'ornament: a sheet over a dome, with ribs', piece: squash },
  { name: 'Leek hoop', about: 'earring: a twisted ring with a pair of leaves', piece: hoop },
  { name: 'Cabbage rosette', about: 'brooch: three rings of leaves in each other', piece: cabbage },
  { name: 'Onion slice', about: 'stud: rings and drops on a slice', piece: onion },
];
