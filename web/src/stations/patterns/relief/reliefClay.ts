import { hidingThickness, type PigmentSource, type Stage } from '#core/colour';
import { ofClay, ofMix } from '#core/material';
import type { MicaColours } from '#core/mica';
import { lookUp } from '#core/stock';
import type { ClayDto, LineDto, MixDto, RevisionAnswer, ShelfAnswer } from '#contract';
import { bookOf } from '../../../state/book.js';
import { edgeLightIn } from '../../canes/clay/materials.js';
import { MIDDLE, sheenOf } from '../sheen.js';

/** What a relief is pressed into: how it looks, what it weighs, and how deep its light comes from. */
export interface ReliefClay {
  readonly name: string;
  readonly colours: MicaColours;
  readonly density: number;
  /** mm below the surface, on the middle */
  readonly deep: number;
}

/** Clays of a kind that lie there to be used. */
export const claysOf = ({ clays }: ShelfAnswer, kind: ClayDto['kind']): readonly ClayDto[] =>
  clays.filter((c) => c.kind === kind && !c.retired);

export const lineOf = ({ lines }: ShelfAnswer, clay: ClayDto): LineDto | undefined =>
  lines.find((l) => l.id === clay.lineId);

/** A mica clay with as much translucent: the flakes below the surface show. */
const halves = (clayId: string, translucentId: string): MixDto['ingredients'] => [
  { parts: '1', of: ofClay(clayId) },
  { parts: '1', of: ofClay(translucentId) },
];

const nameOf = (clay: ClayDto, translucent: ClayDto): string => `${clay.name} and ${translucent.name}`;

/** The mix that a relief is made of, as it is kept. */
export const mixOfBoth = (clay: ClayDto, translucent: ClayDto, name: string): MixDto => ({
  ...{ id: crypto.randomUUID(), version: 0, name, note: 'for a relief in mica', retired: false },
  ...{ wantedHex: null, basis: 'volume' },
  ingredients: halves(clay.id, translucent.id),
});

/** A mix that is nowhere kept yet. */
const tried = (clay: ClayDto, translucent: ClayDto): RevisionAnswer => ({
  ...{ id: 'tried', mixId: 'tried', mixName: nameOf(clay, translucent), number: 1, newest: true, made: false },
  ...{ basis: 'volume', createdAt: '', ingredients: halves(clay.id, translucent.id) },
});

/** Mica clay, alone or mixed 1 : 1 with translucent. @param stage raw or baked */
export function reliefClay(
  shelf: ShelfAnswer,
  clay: ClayDto,
  translucent: ClayDto | null,
  stage: Stage,
  pigments: PigmentSource,
): ReliefClay {
  const of = translucent ? ofMix('tried') : ofClay(clay.id);
  const book = bookOf(shelf, translucent ? [tried(clay, translucent)] : []);
  const { name, labs, pigment, density, kinds, shares } = lookUp(of, book, { stage, pigments });
  const [lab = { l: 50, a: 0, b: 0 }] = labs;
  return {
    ...{ name, density, colours: sheenOf({ lab, micaShare: kinds.mica ?? 0, edgeLight: edgeLightIn(shares, shelf) }) },
    deep: MIDDLE * hidingThickness(pigment),
  };
}
