import { strengthOf, type Clay } from '#core/clay';
import { deltaE, deltaEFrame, statedPigment, type Frame, type Lab, type Pigment, type Stage } from '#core/colour';
import { choleskyInPlace, choleskyInverse, choleskySolve } from '#core/linear';
import { TERMS, correctedPigment } from './curves.js';
import { expectedOf, type Expected } from './expected.js';
import { SIGMA_OF_CHIP, SIGMA_STATED, sigmaOfStrength, type Evidence, type Learned } from './evidence.js';
import { UNKNOWNS, addInformation, sandwich, seenThrough, sensitivity, sightOf } from './sensitivity.js';

/** One chip after the fit: how far it is from what is predicted now, and how much it counted (1: in full). */
export interface Residual {
  readonly id: string;
  readonly before: number;
  readonly after: number;
  readonly weight: number;
  /** the difference from a prediction made without this chip, in units of what was expected */
  readonly surprise: number;
}

/** All that was learned, and what the next question needs. */
export interface Lesson {
  readonly clays: readonly Clay[];
  readonly learned: Learned;
  readonly residuals: readonly Residual[];
  /** of all unknowns of all clays, (n·UNKNOWNS)² */
  readonly covariance: Float64Array;
}

interface Row {
  readonly of: readonly number[];
  readonly volumes: readonly number[];
  readonly stage: Stage;
  readonly lab: Lab;
  readonly frame: Frame;
  readonly sigma: number;
}

const STEPS = 40;
const ROBUST_ROUNDS = 4;
/** Degrees of freedom of the Student distribution that says how much a surprising chip counts: an assumption. */
const FREEDOM = 4;

/** The fit at one time: unknowns of all clays in a row. */
class Fit {
  readonly size: number;
  private readonly stated: Readonly<Record<Stage, readonly Pigment[]>>;
  private readonly ofStrength: readonly number[];
  private readonly expected: readonly Expected[];
  /** every strength at its default, every curve as pigments of that colour have it on average */
  readonly begin: Float64Array;
  readonly rows: readonly Row[];
  private readonly own: readonly Row[];

  constructor(clays: readonly Clay[], evidence: readonly Evidence[]) {
    this.size = clays.length * UNKNOWNS;
    this.stated = {
      baked: clays.map((c) => statedPigment(c, 'baked')),
      raw: clays.map((c) => statedPigment(c, 'raw')),
    };
    this.ofStrength = clays.map((clay) => 1 / sigmaOfStrength(clay) ** 2);
    this.expected = clays.map(expectedOf);
    this.begin = new Float64Array(this.size);
    this.expected.forEach(({ mean }, i) => {
      this.begin.set(mean, i * UNKNOWNS + 1);
    });
    const places = new Map(clays.map((c, i) => [c.id, i]));
    this.rows = evidence.map(({ shares, stage, lab, way }): Row => ({
      of: shares.map((s) => places.get(s.clayId) ?? -1),
      volumes: shares.map((s) => s.volume),
      stage,
      lab,
      frame: deltaEFrame(lab),
      sigma: SIGMA_OF_CHIP[way],
    }));
    this.own = clays.map((_, i): Row => {
      const lab = sensitivity([this.stated.baked[i] as Pigment], [1]).lab;
      return { of: [i], volumes: [1], stage: 'baked', lab, frame: deltaEFrame(lab), sigma: SIGMA_STATED };
    });
  }

  pigment(i: number, stage: Stage, x: Float64Array): Pigment {
    const at = i * UNKNOWNS;
    return correctedPigment(this.stated[stage][i] as Pigment, {
      logStrength: x[at] as number,
      curve: Array.from(x.subarray(at + 1, at + UNKNOWNS)),
    });
  }

  look({ of, volumes, stage }: Row, x: Float64Array): { lab: Lab; rows: Float64Array } {
    return sensitivity(
      of.map((i) => this.pigment(i, stage, x)),
      volumes,
    );
  }

  /** Squared length of the residual of a row, in units of its uncertainty. */
  private static square({ frame, lab, sigma }: Row, is: Lab): number {
    const [u, v, w] = seenThrough(frame, is.l - lab.l, is.a - lab.a, is.b - lab.b, sigma);
    return u * u + v * v + w * w;
  }

  squares(x: Float64Array): number[] {
    return this.rows.map((row) => Fit.square(row, this.look(row, x).lab));
  }

  /** How far the terms of a clay are from what is expected of them. */
  private offExpected(i: number, x: Float64Array): Float64Array {
    const { mean } = this.expected[i] as Expected;
    return mean.map((m, t) => (x[i * UNKNOWNS + 1 + t] as number) - m);
  }

  private cost(x: Float64Array, weights: readonly number[]): number {
    let sum = 0;
    this.rows.forEach((row, i) => {
      sum += (weights[i] as number) * Fit.square(row, this.look(row, x).lab);
    });
    for (const row of this.own) sum += Fit.square(row, this.look(row, x).lab);
    this.ofStrength.forEach((certain, i) => {
      sum += certain * (x[i * UNKNOWNS] as number) ** 2;
    });
    this.expected.forEach(({ precision }, i) => {
      const off = this.offExpected(i, x);
      for (let s = 0; s < TERMS; s++)
        for (let t = 0; t < TERMS; t++)
          sum += (precision[s * TERMS + t] as number) * (off[s] as number) * (off[t] as number);
    });
    return sum;
  }

  /** JᵀJ with the prior, and −Jᵀr. */
  private normal(x: Float64Array, weights: readonly number[]): { information: Float64Array; pull: Float64Array } {
    const information = new Float64Array(this.size * this.size);
    const pull = new Float64Array(this.size);
    const add = (row: Row, weight: number): void => {
      const { lab, rows } = this.look(row, x);
      const sight = sightOf(row.of, rows, row.frame, row.sigma);
      addInformation(information, this.size, sight, weight);
      const off = seenThrough(row.frame, lab.l - row.lab.l, lab.a - row.lab.a, lab.b - row.lab.b, row.sigma);
      const columns = sight.places.length;
      for (let r = 0; r < 3; r++)
        for (let k = 0; k < columns; k++) {
          const to = sight.places[k] as number;
          pull[to] = (pull[to] as number) - weight * (off[r] as number) * (sight.rows[r * columns + k] as number);
        }
    };
    this.rows.forEach((row, i) => {
      add(row, weights[i] as number);
    });
    for (const row of this.own) add(row, 1);
    this.addExpected(x, information, pull);
    return { information, pull };
  }

  private addExpected(x: Float64Array, information: Float64Array, pull: Float64Array): void {
    this.ofStrength.forEach((certain, i) => {
      const at = i * UNKNOWNS;
      information[at * this.size + at] = (information[at * this.size + at] as number) + certain;
      pull[at] = (pull[at] as number) - certain * (x[at] as number);
    });
    this.expected.forEach(({ precision }, i) => {
      const off = this.offExpected(i, x);
      const at = i * UNKNOWNS + 1;
      for (let s = 0; s < TERMS; s++)
        for (let t = 0; t < TERMS; t++) {
          const certain = precision[s * TERMS + t] as number;
          const to = (at + s) * this.size + at + t;
          information[to] = (information[to] as number) + certain;
          pull[at + s] = (pull[at + s] as number) - certain * (off[t] as number);
        }
    });
  }

  /** Levenberg and Marquardt's damped least squares. */
  solve(from: Float64Array, weights: readonly number[]): Float64Array {
    let x = from;
    let cost = this.cost(x, weights);
    let damping = 0.01;
    for (let step = 0; step < STEPS; step++) {
      const { information, pull } = this.normal(x, weights);
      let better = false;
      for (let attempt = 0; attempt < 8 && !better; attempt++) {
        const damped = information.slice();
        for (let k = 0; k < this.size; k++)
          damped[k * this.size + k] = (damped[k * this.size + k] as number) * (1 + damping);
        const move = pull.slice();
        if (choleskyInPlace(damped, this.size)) {
          choleskySolve(damped, this.size, move);
          const next = x.map((v, k) => v + (move[k] as number));
          const nextCost = this.cost(next, weights);
          if (nextCost < cost) {
            const gain = cost - nextCost;
            [x, cost, better] = [next, nextCost, true];
            damping = Math.max(1e-6, damping / 5);
            if (gain < 1e-4 * (1 + cost)) return x;
            continue;
          }
        }
        damping *= 6;
      }
      if (!better) return x;
    }
    return x;
  }

  covariance(x: Float64Array, weights: readonly number[]): Float64Array {
    const { information } = this.normal(x, weights);
    choleskyInPlace(information, this.size);
    return choleskyInverse(information, this.size);
  }

  /**
   * How surprising a chip is for a fit that has not seen it: its residual against noise and what the fit does not
   * know.
   */
  surprise(row: Row, x: Float64Array, covariance: Float64Array, weight: number): number {
    const { lab, rows } = this.look(row, x);
    const [p = 0, , , , q = 0, , , , r = 0] = sandwich(
      sightOf(row.of, rows, row.frame, row.sigma),
      covariance,
      this.size,
    );
    // the share of the residual's expected square that is left after the chip itself took part in the fit
    const taken = Math.min(2.7, weight * (p + q + r));
    return Math.sqrt(Fit.square(row, lab) / (3 - taken));
  }
}

/**
 * Learns from logged chips how strong each clay really is and how its curve
 * differs from the smoothest one: damped least squares on ΔE00 with priors
 * at the default strengths, at the stated colours, and at the curves that
 * pigments of such a colour have (docs/models.md §4). A chip that
 * does not fit the others counts less (Student weights), so that it is
 * pointed at and not averaged in.
 * @param clays all on the shelf; chips with a clay that is not among them are left out
 */
export function learn(clays: readonly Clay[], evidence: readonly Evidence[]): Lesson {
  const known = new Set(clays.map((c) => c.id));
  const usable = evidence.filter((e) => e.shares.length > 0 && e.shares.every((s) => known.has(s.clayId)));
  const fit = new Fit(clays, usable);
  let weights = usable.map(() => 1);
  const start = new Float64Array(fit.size);
  let x = usable.length === 0 ? start : fit.solve(fit.begin, weights);
  for (let round = 0; round < ROBUST_ROUNDS && usable.length > 2; round++) {
    weights = fit.squares(x).map((square) => Math.min(1, (FREEDOM + 3) / (FREEDOM + square)));
    x = fit.solve(x, weights);
  }
  const covariance = fit.covariance(x, weights);
  const learned = Object.fromEntries(
    clays.map((clay, i) => {
      const at = i * UNKNOWNS;
      return [
        clay.id,
        {
          logStrength: x[at] ?? 0,
          sigma: Math.sqrt(covariance[at * fit.size + at] ?? 0),
          curve: Array.from(x.subarray(at + 1, at + 1 + TERMS)),
          chips: usable.filter((e) => e.shares.some((s) => s.clayId === clay.id)).length,
        },
      ];
    }),
  );
  const residuals = fit.rows.map((row, i): Residual => ({
    id: usable[i]?.id ?? '',
    before: deltaE(row.lab, fit.look(row, start).lab),
    after: deltaE(row.lab, fit.look(row, x).lab),
    weight: weights[i] ?? 1,
    surprise: fit.surprise(row, x, covariance, weights[i] ?? 1),
  }));
  return { clays, learned, residuals, covariance };
}

/** The strength that is predicted with: the default or typed one, times what was learned. */
export const learnedStrength = (clay: Clay, learned: Learned): number =>
  strengthOf(clay).value * Math.exp(learned[clay.id]?.logStrength ?? 0);
