import { expose, transfer } from 'comlink';
import { pigmentOf, type Lab, type Pigment } from '#core/colour';
import {
  correct,
  correctedPigment,
  triangleHeight,
  trianglePicture,
  find,
  type Corners,
  type Correction,
  type CorrectInput,
  type Candidate,
  type FindInput,
  type Found,
  type LearnedClay,
} from '#core/mix';
import { beginLong, stop } from './long.js';
import { SEARCH } from './names.js';
import { keepComplaints } from './thrown.js';

keepComplaints();

/** A clay as it crosses to the worker: its pigment is worked out there. */
export interface PlainClay {
  readonly id: string;
  readonly hex: string;
  readonly strength: number;
  readonly learned: LearnedClay | null;
  readonly density: number;
  readonly left: number;
}
export type PlainInput = Omit<FindInput, 'clays'> & { readonly target: Lab; readonly clays: readonly PlainClay[] };

export type PlainCorrection = Omit<CorrectInput, 'clays'> & { readonly clays: readonly PlainClay[] };

const pigments = new Map<string, Pigment>();

function known({ hex, strength, learned }: PlainClay): Pigment {
  const key = `${hex}:${strength}:${learned ? [learned.logStrength, ...learned.curve].join() : ''}`;
  let pigment = pigments.get(key);
  if (!pigment) {
    const stated = pigmentOf(hex, strength);
    pigment = learned ? correctedPigment(stated, learned) : stated;
    pigments.set(key, pigment);
  }
  return pigment;
}

const candidateOf = (clay: PlainClay): Candidate => ({
  id: clay.id,
  pigment: known(clay),
  density: clay.density,
  left: clay.left,
});

const worker = {
  /**
   * Searches until it is done, stopped, or a newer search of its name has begun.
   * @param tell called with each better list @returns false where it was stopped
   */
  async find(input: PlainInput, tell: (found: readonly Found[]) => void, name = SEARCH): Promise<boolean> {
    const goesOn = beginLong(name);
    const search = find({ ...input, clays: input.clays.map(candidateOf) });
    for (let step = search.next(); ; step = search.next()) {
      tell(step.value);
      if (step.done) return true;
      if (!(await goesOn())) return false;
    }
  },
  /** Works the pigments of clays out ahead. */
  meet(clays: readonly PlainClay[]): void {
    clays.forEach(known);
  },
  correct(input: PlainCorrection): Correction[] {
    return correct({ ...input, clays: input.clays.map(candidateOf) });
  },
  /** A triangle of three mixes as a picture. */
  triangle(corners: Corners, width: number): ImageData {
    const data = new Uint8ClampedArray(trianglePicture(corners, width));
    return transfer(new ImageData(data, width, triangleHeight(width)), [data.buffer]);
  },
  stop,
};
export type FindWorker = typeof worker;

expose(worker);
