import type { Plug } from '#core/blend';
import type { MadeDto } from '#contract';

/** The sheet of a blend wound up: how the book keeps a plug (see `MadeDto`). */
export const plugSheet = (sheet: MadeDto, plug: Plug): MadeDto =>
  plug.kind === 'rolled'
    ? {
        ...sheet,
        form: 'plug',
        widthMm: plug.diameter,
        lengthMm: plug.height,
        mm: plug.diameter,
        layers: 1,
        inside: plug.inside,
      }
    : { ...sheet, form: 'fan', widthMm: plug.width, lengthMm: plug.height, mm: plug.depth, layers: 1, inside: null };
