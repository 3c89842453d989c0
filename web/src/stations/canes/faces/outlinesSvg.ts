import { UNKNOWN_HEX } from '../../../theme/grey.js';
import type { PlainStep } from '../../../workers/canePlain.js';
import type { CaneMaterial } from '../clay/materials.js';

interface Area {
  readonly key: string;
  readonly place: number | null;
  readonly rings: readonly (readonly (readonly [number, number])[])[];
}

const escape = (text: string): string => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
const hexAt = (material: CaneMaterial | undefined, place: number | null): string => {
  const paint = material?.paint;
  if (!paint) return UNKNOWN_HEX;
  const at = paint.length === 3 || place === null ? 0 : 3 * Math.min(255, Math.floor(place * 256));
  return [0, 1, 2].map((i) => (paint[at + i] ?? 0).toString(16).padStart(2, '0')).join('');
};

/** The edges of a face as a drawing in millimetres, each material a path of its own. */
export function outlinesSvg(
  areas: readonly Area[],
  { width, height, points }: PlainStep,
  materials: ReadonlyMap<string, CaneMaterial>,
): string {
  const [left, top] = [Math.min(...points.map((p) => p[0])), Math.max(...points.map((p) => p[1]))];
  const path = (ring: readonly (readonly [number, number])[]): string =>
    `M${ring.map(([x, y]) => `${(x - left).toFixed(3)} ${(top - y).toFixed(3)}`).join('L')}Z`;
  const paths = areas.map(
    ({ key, place, rings }) =>
      `  <path d="${rings.map(path).join('')}" fill="#${hexAt(materials.get(key), place)}" ` +
      `fill-rule="evenodd"><title>${escape(materials.get(key)?.name ?? '')}</title></path>`,
  );
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(3)}mm" ` +
    `height="${height.toFixed(3)}mm" viewBox="0 0 ${width.toFixed(3)} ` +
    `${height.toFixed(3)}">\n${paths.join('\n')}\n</svg>\n`
  );
}
