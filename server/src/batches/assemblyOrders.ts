import { Injectable } from '@nestjs/common';
import type { AssemblyOrder, Rolling } from '#core/batch';
import { layPiece, settlePiece, type LaidPart, type PieceDocument } from '#core/piece';
import { thicknesses } from '#core/sheet';
import { attempt } from '#core/units';
import type { AssemblyDto, MachineDto } from '#contract';

/** Parts of a piece laid together, how thick it is then, or why it cannot be laid. */
interface LaidPiece {
  readonly laid: readonly LaidPart[];
  readonly thickest: number;
  readonly wrong: string | null;
}

/** Pieces that are kept laid together; a batch is planned again with each of its changes. */
const KEPT = 60;
/** mm of the sheet that parts are cut of, where the rollers are not narrower. */
const [WIDE, LONG] = [110, 200];
/** Without a machine sheets are rolled by hand between guides: as wide as a hand roller is. */
const BY_HAND: Omit<Rolling, 'mm'> = { machineName: '', settingLabel: '', assumed: false, rollerWidthMm: 150 };

const layTogether = (piece: PieceDocument): LaidPiece =>
  attempt(
    () => {
      const { parts, wrong } = layPiece(piece);
      const [first] = wrong;
      return { laid: parts, thickest: settlePiece(parts)?.thickest ?? 0, wrong: first?.sentence ?? null };
    },
    ({ message }) => ({ laid: [], thickest: 0, wrong: message }),
  );

/** The setting of a machine that is nearest to a thickness. */
function nearest(machine: MachineDto, mm: number): Rolling | null {
  const [best] = [...thicknesses(machine)].sort((a, b) => Math.abs(a.mm - mm) - Math.abs(b.mm - mm));
  if (!best) return null;
  const { label, knowledge } = best;
  const { name: machineName, rollerWidthMm } = machine;
  return { machineName, settingLabel: label, mm: best.mm, assumed: knowledge === 'assumed', rollerWidthMm };
}

/** Hands assembled pieces to core: laid together, their sheets at the settings of one's own machine. */
@Injectable()
export class AssemblyOrders {
  private readonly kept = new Map<string, LaidPiece>();

  /** @param own the machine of the bench; undefined: there is none */
  of(assemblies: readonly AssemblyDto[], own: MachineDto | undefined): AssemblyOrder[] {
    const rolling = (mm: number): Rolling => (own && nearest(own, mm)) ?? { ...BY_HAND, mm };
    const sheetWidthMm = Math.min(WIDE, own?.rollerWidthMm ?? BY_HAND.rollerWidthMm);
    return assemblies.map(({ piece, ...assembly }) => ({
      ...assembly,
      ...this.laid(piece),
      sheetWidthMm,
      sheetLengthMm: LONG,
      rolling,
    }));
  }

  private laid(piece: PieceDocument): LaidPiece {
    const key = JSON.stringify(piece);
    const known = this.kept.get(key) ?? layTogether(piece);
    this.kept.delete(key);
    this.kept.set(key, known);
    const [oldest] = this.kept.keys();
    if (this.kept.size > KEPT && oldest !== undefined) this.kept.delete(oldest);
    return known;
  }
}
