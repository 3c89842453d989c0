import type { Clay } from '#core/clay';
import { normalFrom, seedOf, seeded } from '#core/units';
import { labOf, mixPigments, statedPigment, type Lab, type Stage } from '#core/colour';
import { CURVE_TERMS, correctedPigment, type Flat, type LearnedClay } from '#core/mix';
import type { ReaderErrandDto, ReaderSays } from '#contract';
import type { Outcome } from './line.js';

/** How the stand-in behaves; all of it is made up, as each real reader has its own. */
const NOISE = 0.45;
const DRIFT_EACH = 0.06;
export const READINGS_PER_CALIBRATION = 24;
/** After so many readings the connection is lost instead of an answer. */
export const DROPS_EVERY = 8;

/**
 * How a clay really is in the little world of the stand-in: as its packet
 * says, but for a strength and a curve of its own, always the same for a name.
 */
export function hiddenClay(clay: Pick<Clay, 'name' | 'kind'>): Pick<LearnedClay, 'logStrength' | 'curve'> {
  const normal = normalFrom(seeded(seedOf(`${clay.kind} ${clay.name}`)));
  return {
    logStrength: 0.5 * normal(),
    curve: Array.from({ length: CURVE_TERMS }, (_, term) => (0.07 * normal()) / (1 + term)),
  };
}

/** The colour that a chip of a mix has in that world. */
export function chipOf(flat: Flat, stage: Stage): Lab {
  const pigments = flat.shares.map(({ clay }) => correctedPigment(statedPigment(clay, stage), hiddenClay(clay)));
  return labOf(
    mixPigments(
      pigments,
      flat.shares.map((s) => s.volume.valueOf()),
    ),
  );
}

/**
 * A colour reader that ships with Sledge, for those who have none and for
 * the tests: it is noisy, drifts, wants a white calibration, and loses the
 * connection now and then.
 */
export class StandInReader {
  private readonly normal: () => number;
  private calibrated = false;
  private sinceCalibration = 0;
  private readings = 0;

  constructor(seed: number) {
    this.normal = normalFrom(seeded(seed));
  }

  state(): ReaderSays {
    return {
      says: 'state',
      standIn: true,
      calibrated: this.calibrated,
      readings: this.sinceCalibration,
      readingsLeft: this.calibrated ? READINGS_PER_CALIBRATION - this.sinceCalibration : 0,
    };
  }

  /** @param under the chip's true colour; null: nothing lies under it */
  carryOut({ id, errand }: Pick<ReaderErrandDto, 'id' | 'errand'>, under: Lab | null): Outcome<ReaderSays> {
    if (errand === 'calibrate') {
      this.calibrated = true;
      this.sinceCalibration = 0;
      return { says: [this.state()] };
    }
    if (!this.calibrated)
      return {
        says: [{ says: 'refused', errand: id, why: 'The reader wants to see its white tile first. Calibrate it.' }],
      };
    if (!under) return { says: [{ says: 'refused', errand: id, why: 'Nothing lies under the reader.' }] };
    this.readings++;
    if (this.readings % DROPS_EVERY === 0) return 'lost';
    this.sinceCalibration++;
    const drift = DRIFT_EACH * this.sinceCalibration;
    if (this.sinceCalibration >= READINGS_PER_CALIBRATION) this.calibrated = false;
    const off = (): number => NOISE * this.normal();
    return {
      says: [
        {
          says: 'reading',
          errand: id,
          l: clamp(under.l + off() - drift, 0, 100),
          a: under.a + off(),
          b: under.b + off() + drift / 2,
        },
        this.state(),
      ],
    };
  }
}

const clamp = (x: number, low: number, high: number): number => Math.min(high, Math.max(low, x));
