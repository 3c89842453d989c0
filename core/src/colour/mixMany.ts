import { BANDS, WEIGHTS, WHITE } from './bands.js';
import { PREDICT } from './kernelBytes.js';
import { labOf } from './lab.js';
import { mixThree, type Pigment } from './pigment.js';
import { kernelOf, type Address, type Vectors } from './vectors.js';

/** The exports of core/kernel/predict.ts. */
interface Exports extends Vectors {
  begin(pigments: number, mixes: number): void;
  run(count: number): void;
  readonly absorption: Address;
  readonly scattering: Address;
  readonly weights: Address;
  readonly inverseWhite: Address;
  readonly pigments: Address;
  readonly volumes: Address;
  readonly colours: Address;
}

/**
 * Colours of many mixes of three pigments, the same as `mixThree` and `labOf`
 * give: lay pigments and volumes, `run`, and read colours.
 */
export interface Mixer {
  /** three places a mix */
  readonly pigments: Int32Array;
  /** three volumes a mix */
  readonly volumes: Float64Array;
  /** X, Y, Z, L*, a*, b* a mix */
  readonly colours: Float64Array;
  /** works out the first so many mixes */
  run(count: number): void;
}

function plainMixer(of: readonly Pigment[], most: number): Mixer {
  const pigments = new Int32Array(3 * most);
  const volumes = new Float64Array(3 * most);
  const colours = new Float64Array(6 * most);
  const run = (count: number): void => {
    for (let mix = 0; mix < count; mix++) {
      const one = of[pigments[3 * mix] as number] as Pigment;
      const other = of[pigments[3 * mix + 1] as number] as Pigment;
      const third = of[pigments[3 * mix + 2] as number] as Pigment;
      const [u, v, w] = volumes.subarray(3 * mix, 3 * mix + 3) as unknown as [number, number, number];
      const xyz = mixThree(one, u, other, v, third, w);
      const { l, a, b } = labOf(xyz);
      colours.set([xyz.x, xyz.y, xyz.z, l, a, b], 6 * mix);
    }
  };
  return { pigments, volumes, colours, run };
}

/** Rows of bands as the kernel reads them: two bands of each row, then the next two. */
function inPairs(rows: Float64Array): Float64Array {
  return rows.map((_, place) => {
    const pair = Math.floor(place / 6);
    const row = Math.floor((place % 6) / 2);
    return rows[row * BANDS + 2 * pair + (place % 2)] as number;
  });
}

function vectorMixer(kernel: Exports, of: readonly Pigment[], most: number): Mixer {
  kernel.begin(of.length, most);
  const numbers = ({ value }: Address, count: number): Float64Array =>
    new Float64Array(kernel.memory.buffer, value, count);
  of.forEach(({ absorption }, i) => {
    numbers(kernel.absorption, of.length * BANDS).set(absorption, i * BANDS);
  });
  numbers(kernel.scattering, of.length).set(of.map((pigment) => pigment.scattering));
  numbers(kernel.weights, 3 * BANDS).set(inPairs(WEIGHTS));
  numbers(kernel.inverseWhite, 3).set([1 / WHITE.x, 1 / WHITE.y, 1 / WHITE.z]);
  return {
    pigments: new Int32Array(kernel.memory.buffer, kernel.pigments.value, 3 * most),
    volumes: numbers(kernel.volumes, 3 * most),
    colours: numbers(kernel.colours, 6 * most),
    run: (count) => {
      kernel.run(count);
    },
  };
}

/**
 * A mixer of some pigments.
 * @param most mixes that are worked out at a time
 * @param plainly without vector instructions, as where they are not to be had
 */
export function mixerOf(pigments: readonly Pigment[], most: number, plainly = false): Mixer {
  const kernel = plainly ? null : kernelOf<Exports>(PREDICT);
  return kernel ? vectorMixer(kernel, pigments, most) : plainMixer(pigments, most);
}
