import { hexOf, readColour, xyzOfLab, type Apart, type Help } from '#core/colour';
import { showLength, type UnitSystem } from '#core/units';
import type { ClayDto } from '#contract';
import type { Picked } from '../../parts/MaterialPicker.js';
import { UNKNOWN_HEX } from '../../theme/grey.js';

/** A colour of a stack. */
export interface Layer {
  readonly key: string;
  readonly name: string;
  readonly hex: string;
}

export const layerOf = ({ name, hexes }: Pick<Picked, 'name' | 'hexes'>): Layer => ({
  key: crypto.randomUUID(),
  name,
  hex: hexes[0] ?? UNKNOWN_HEX,
});

/** What the lamp leaves of a colour: its lightness. */
export const underLamp = (hex: string): string => hexOf(xyzOfLab({ l: readColour(hex).l, a: 0, b: 0 }));

/** Two layers changed round; the stack as it was where one of them is none. */
export function changedRound(stack: readonly Layer[], one: number, other: number): readonly Layer[] {
  const [first, second] = [stack[one], stack[other]];
  if (!first || !second) return stack;
  return stack.map((layer, i) => ({ [one]: second, [other]: first })[i] ?? layer);
}

/** The stack after what helps most was done. @param sheets clays that a thin sheet may be of */
export function helped(stack: readonly Layer[], help: Help, sheets: readonly ClayDto[]): readonly Layer[] {
  if (help.kind === 'swap') return changedRound(stack, help.first, help.second);
  const sheet = sheets[help.sheet];
  if (!sheet) return stack;
  const between = layerOf({ name: sheet.name, hexes: [sheet.bakedHex] });
  return [...stack.slice(0, help.at + 1), between, ...stack.slice(help.at + 1)];
}

/** What helps most, in words. */
export function helpWords(help: Help, stack: readonly Layer[], sheets: readonly ClayDto[]): string {
  const after = `helps most: no neighbours closer than ΔL* ${Math.round(help.dL)}.`;
  if (help.kind === 'swap')
    return `Changing ${stack[help.first]?.name ?? ''} and ${stack[help.second]?.name ?? ''} round ${after}`;
  return `A thin sheet of ${sheets[help.sheet]?.name ?? ''} between them ${after}`;
}

export const LAMP: Readonly<Record<Apart['lamp'], string>> = {
  clear: 'clear under the lamp',
  faint: 'faint under the lamp',
  lost: 'lost under the lamp',
};

/** Down to which size two neighbours can be told apart, in words. */
export function sizeWords({ dL, deltaE, runTogetherBelow }: Apart, units: UnitSystem): string {
  const size =
    runTogetherBelow === null
      ? 'run together at any size'
      : `run together below ${showLength(runTogetherBelow, units, true)}`;
  return `(ΔL* ${Math.round(dL)}), ΔE ${Math.round(deltaE)}; ${size}`;
}
