import type { LayerOf, PieceOrder } from '#core/batch';
import { cutterOf } from '#core/cutter';
import { thicknesses, type SettingThickness } from '#core/sheet';
import type { MachineDto, PieceDto } from '#contract';

/** A setting with its machine. */
export interface Gap {
  readonly machine: MachineDto;
  readonly setting: SettingThickness;
}

/** Every setting of every machine, by its id. */
export const gapsOf = (machines: readonly MachineDto[]): ReadonlyMap<string, Gap> =>
  new Map(machines.flatMap((machine) => thicknesses(machine).map((setting) => [setting.id, { machine, setting }])));

/** How wide a sheet with a fade is; nothing of anything else. */
function widthOf(of: LayerOf, fades: ReadonlyMap<string, number>): { fadeMm?: number } {
  const fadeMm = fades.get(of.id);
  return fadeMm === undefined ? {} : { fadeMm };
}

/** A kind of piece as core plans it. */
export function orderOf(
  piece: PieceDto,
  gaps: ReadonlyMap<string, Gap>,
  fades: ReadonlyMap<string, number>,
): PieceOrder {
  return {
    id: piece.id,
    name: piece.name,
    count: piece.count,
    spare: piece.spare,
    cutter: cutterOf(piece),
    pairs: piece.pairs ?? false,
    film: piece.film ?? false,
    lie: piece.lie ?? 'close',
    bridgeMm: piece.bridgeMm,
    edgeMm: piece.edgeMm ?? 0,
    sheetWidthMm: piece.sheetWidthMm,
    sheetLengthMm: piece.sheetLengthMm,
    finish: piece.finish ?? [],
    ...(piece.placed ? { placed: piece.placed } : {}),
    layers: piece.layers.flatMap((layer, i) => {
      const gap = gaps.get(layer.settingId);
      if (!gap) return [];
      const lies = piece.placed && i === piece.layers.length - 1 ? { mm: piece.placed.mm, asItLies: true } : {};
      return [
        {
          of: layer.of,
          machineName: gap.machine.name,
          settingLabel: gap.setting.label,
          mm: gap.setting.mm,
          assumed: gap.setting.knowledge === 'assumed',
          rollerWidthMm: gap.machine.rollerWidthMm,
          ...widthOf(layer.of, fades),
          ...lies,
        },
      ];
    }),
  };
}
