import type { Mm } from '#core/units';

/** mm of a layer of a blend whose setting nobody chose: of the setting nearest to it. An assumption. */
export const ASSUMED_LAYER: Mm = 2;

/**
 * The setting that the layers of a blend are rolled at: the chosen one, or the nearest to {@link ASSUMED_LAYER}; null
 * where there is no machine.
 * @param settings of one's own machine
 */
export function layerSetting<S extends { readonly id: string; readonly mm: Mm }>(
  settings: readonly S[],
  chosen: string | null,
): S | null {
  const off = ({ mm }: S): number => Math.abs(mm - ASSUMED_LAYER);
  const nearest = [...settings].sort((a, b) => off(a) - off(b))[0];
  return settings.find((s) => s.id === chosen) ?? nearest ?? null;
}
