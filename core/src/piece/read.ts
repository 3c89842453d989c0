import { among, list, number, object, points, readAs, text, whole, wrong, yesOrNo } from '#core/document';
import type { Check, Fields, Inner } from '#core/document';
import { CUTTER_SHAPES } from '#core/cutter';
import { materialIn } from '#core/material';
import {
  BALL_FORMS,
  BENDS,
  FADE_WAYS,
  FINDING_FORMS,
  MOST_PARTS,
  MOST_SIZES,
  PIECE_VERSION,
  type Lies,
  type PieceDocument,
  type ShapeIs,
} from './document.js';
import { complaint } from './sentences.js';

const isObject = (value: unknown): boolean => typeof value === 'object' && value !== null;
const following = object({ size: text(80), times: number(-1000, 1000) });

/** A number, or so many times a size. */
const value =
  (low: number, high: number): Check =>
  (given, where, inner) => {
    const check = isObject(given) ? following : number(low, high);
    check(given, where, inner);
  };
const LENGTH = value(0.05, 1000);
const LENGTH_OR_NONE = value(0, 1000);
const PLACE = value(-1000, 1000);
const COUNT = value(1, 500);
const TURN = number(-360, 360);

const orNull =
  (check: Check): Check =>
  (given, where, inner) => {
    if (given !== null) check(given, where, inner);
  };
const material: Check = (given, where) => {
  if (typeof given !== 'string' || !materialIn(given)) wrong('a clay or something made of clay is wanted', where);
};
const hex: Check = (given, where) => {
  if (typeof given !== 'string' || !/^[0-9A-Fa-f]{6}$/.test(given)) wrong('a colour of six digits is wanted', where);
};

const outline = object({
  ...{ shape: among(...CUTTER_SHAPES), width: LENGTH, height: LENGTH },
  ...{ 'rim?': LENGTH_OR_NONE, 'points?': points },
});
const bent = { width: LENGTH, length: LENGTH, bend: among(...BENDS) };
const inside = { with: orNull(material), withLike: hex };

/** What each shape reads: one that is missing does not compile. */
const SHAPES: Readonly<Record<ShapeIs, Fields>> = {
  cut: { outline, mm: LENGTH, 'cup?': LENGTH_OR_NONE, 'lines?': whole(0, 20), 'fade?': among(...FADE_WAYS) },
  slice: { outline, mm: LENGTH },
  ball: { form: among(...BALL_FORMS), width: LENGTH, ratio: value(0.05, 50) },
  snake: bent,
  twist: { ...bent, ...inside },
  covered: { core: LENGTH, wall: LENGTH, 'slice?': LENGTH, ...inside, bakedFirst: yesOrNo },
  veneer: { form: among('dome', 'hollow'), width: LENGTH, height: LENGTH, mm: LENGTH },
  finding: { finding: orNull(text(80)), form: among(...FINDING_FORMS), width: LENGTH, length: LENGTH },
};
const PLACES: Readonly<Record<Lies, Fields>> = {
  at: { x: PLACE, y: PLACE, turn: TURN },
  ring: { n: COUNT, radius: LENGTH_OR_NONE, turn: TURN, gaps: yesOrNo },
  scatter: { n: COUNT, radius: LENGTH, apart: LENGTH_OR_NONE, seed: whole(0, 1_000_000) },
  row: { n: COUNT, apart: LENGTH_OR_NONE, x: PLACE, y: PLACE, turn: TURN },
  pair: { x: PLACE, y: PLACE, turn: TURN },
  stack: { n: COUNT, x: PLACE, y: PLACE },
};

/** One of several kinds, told apart by the word in one field. */
const kinds =
  (field: string, table: Readonly<Record<string, Fields>>): Check =>
  (given, where, inner) => {
    const word = isObject(given) ? (given as Readonly<Record<string, unknown>>)[field] : undefined;
    const fields = typeof word === 'string' && Object.hasOwn(table, word) ? table[word] : undefined;
    if (!fields) return wrong(`one of ${Object.keys(table).join(', ')} is wanted as “${field}”`, where);
    object({ [field]: among(String(word)), ...fields })(given, where, inner);
  };

const part = object({
  ...{ id: text(80), name: text(80), of: orNull(material), like: hex },
  ...{ on: orNull(text(80)), 'under?': yesOrNo, shape: kinds('is', SHAPES), place: kinds('lies', PLACES) },
});
const size = object({ id: text(80), name: text(80), unit: among('mm', 'count'), value: number(0.05, 1000) });
const version: Check = (given, where) => {
  if (given !== PIECE_VERSION) wrong('the version is not known', where);
};
const piece = object({ version, sizes: list(size, 0, MOST_SIZES), parts: list(part, 0, MOST_PARTS) });

const NO_INNER: Inner = {
  steps: (_, where) => {
    wrong('no steps are wanted', where);
  },
};

/** @throws Complaint `piece/twice` */
function eachOnce(all: readonly { readonly id: string }[]): void {
  if (new Set(all.map(({ id }) => id)).size !== all.length) throw complaint('piece/twice');
}

/** @throws Complaint `piece/on` where a part lies on none, `piece/itself` where on itself, also by others */
function checkTree({ parts }: PieceDocument): void {
  const byId = new Map(parts.map((p) => [p.id, p]));
  for (const one of parts) {
    let below = one.on;
    for (let deep = 0; below !== null; deep++) {
      const under = byId.get(below);
      if (!under) throw complaint('piece/on', { name: one.name });
      if (under === one || deep > parts.length) throw complaint('piece/itself', { name: one.name });
      below = under.on;
    }
  }
}

/**
 * Takes a piece out of a document that somebody wrote or changed.
 * @param given as JSON gives it
 * @throws Complaint `piece/newer`, `piece/format` with the place, `piece/twice`, `piece/on`, `piece/itself`
 */
export function readPiece(given: unknown): PieceDocument {
  const written = isObject(given) ? (given as { version?: unknown }).version : undefined;
  if (typeof written === 'number' && written > PIECE_VERSION)
    throw complaint('piece/newer', { version: String(written) });
  readAs(
    () => {
      piece(given, '', NO_INNER);
    },
    (not) => complaint('piece/format', not),
  );
  const read = given as PieceDocument;
  eachOnce(read.parts);
  eachOnce(read.sizes);
  checkTree(read);
  return read;
}
