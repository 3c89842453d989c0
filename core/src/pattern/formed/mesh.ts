import { placeOn, surfaceOf, type RoundForm } from './form.js';

/** A form as triangles: corners in mm, where each lies on its picture, and which three belong together. */
export interface FormMesh {
  readonly corners: Float32Array;
  /** turns around the axis and the share of the area, 0 to 1 each */
  readonly places: Float32Array;
  readonly triangles: Uint32Array;
}

/** Corners around the axis, and from end to end. */
const [AROUND, ALONG] = [96, 64];

/** A form with its axis upright. @throws Complaint `pattern/form size` */
export function meshOf(form: RoundForm): FormMesh {
  const surface = surfaceOf(form);
  const across = AROUND + 1;
  const corners = new Float32Array(3 * across * (ALONG + 1));
  const places = new Float32Array(2 * across * (ALONG + 1));
  const middle = ((surface.along[0] as number) + (surface.along.at(-1) as number)) / 2;
  for (let j = 0; j <= ALONG; j++) {
    // closer together towards the ends, where it curves most
    const share = (1 - Math.cos((Math.PI * j) / ALONG)) / 2;
    const [radius, along] = placeOn(surface, share);
    for (let i = 0; i <= AROUND; i++) {
      const [n, turn] = [j * across + i, (2 * Math.PI * i) / AROUND];
      corners.set([radius * Math.cos(turn), along - middle, -radius * Math.sin(turn)], 3 * n);
      places.set([i / AROUND, share], 2 * n);
    }
  }
  const triangles: number[] = [];
  for (let j = 0; j < ALONG; j++)
    for (let i = 0; i < AROUND; i++) {
      const n = j * across + i;
      triangles.push(n, n + 1, n + across, n + 1, n + across + 1, n + across);
    }
  return { corners, places, triangles: Uint32Array.from(triangles) };
}
