import { namedColour } from './named.js';

import { labOf, xyzOfLab, type Lab, type Xyz } from './lab.js';
import { complaint } from './sentences.js';

/** sRGB to XYZ and back, D65 (IEC 61966-2-1); rows of the linear matrices. */
const TO_XYZ = [
  [0.4123907992659595, 0.357584339383878, 0.1804807884018343],
  [0.2126390058715104, 0.7151686787677559, 0.0721923153607337],
  [0.0193308187155918, 0.1191947797946259, 0.9505321522496608],
] as const;
export const FROM_XYZ = [
  [3.2409699419045213, -1.5373831775700935, -0.4986107602930033],
  [-0.9692436362808798, 1.8759675015077206, 0.0415550574071756],
  [0.0556300796969936, -0.2039769588889766, 1.0569715142428786],
] as const;

const decode = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const encode = (v: number): number => (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);

/**
 * Six hex digits (with or without `#`), or a plain word for a colour, to the digits in capitals.
 * @throws Complaint `colour/unreadable`
 */
export function readHex(text: string): string {
  const found = /^#?([0-9a-f]{6})$/i.exec(text.trim());
  const hex = found?.[1]?.toUpperCase() ?? namedColour(text);
  if (hex === null) throw complaint('colour/unreadable', { text: text.trim() });
  return hex;
}

/** Linear-light R, G, B in 0..1 of six hex digits. @throws Complaint `colour/unreadable` */
export function linearOf(hex: string): readonly [number, number, number] {
  const digits = readHex(hex);
  const channel = (at: number): number => decode(parseInt(digits.slice(at, at + 2), 16) / 255);
  return [channel(0), channel(2), channel(4)];
}

/** XYZ of six hex digits. @throws Complaint `colour/unreadable` */
export const xyzOfHex = (hex: string): Xyz => xyzOfLinear(linearOf(hex));

/** CIELAB of linear light in the channels of sRGB. */
export const labOfLinear = (rgb: readonly [number, number, number]): Lab => labOf(xyzOfLinear(rgb));

/** Linear light in the channels of sRGB, not clipped: the inverse of {@link labOfLinear}. */
export function linearOfLab(lab: Lab): [number, number, number] {
  const { x, y, z } = xyzOfLab(lab);
  const row = (m: readonly [number, number, number]): number => m[0] * x + m[1] * y + m[2] * z;
  return [row(FROM_XYZ[0]), row(FROM_XYZ[1]), row(FROM_XYZ[2])];
}

function xyzOfLinear([r, g, b]: readonly [number, number, number]): Xyz {
  const row = (m: readonly [number, number, number]): number => m[0] * r + m[1] * g + m[2] * b;
  return { x: row(TO_XYZ[0]), y: row(TO_XYZ[1]), z: row(TO_XYZ[2]) };
}

/** The nearest displayable sRGB colour as six hex digits; channels outside are clipped. */
export function hexOf({ x, y, z }: Xyz): string {
  return FROM_XYZ.map(([mx, my, mz]) => {
    const value = encode(Math.min(1, Math.max(0, mx * x + my * y + mz * z)));
    return Math.round(value * 255)
      .toString(16)
      .padStart(2, '0');
  })
    .join('')
    .toUpperCase();
}
