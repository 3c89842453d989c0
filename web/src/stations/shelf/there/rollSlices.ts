import { feedPlan, thicknesses } from '#core/sheet';
import { slicesFor, slicesRolled, type Laying, type SliceRolled } from '#core/stock';
import type { LaidDto, MachineDto, ThereAnswer } from '#contract';
import { today } from '../../../state/today.js';

/** How slices are laid and rolled. */
export interface Rolling {
  readonly laying: Laying;
  /** mm of backing under them; 0: none */
  readonly backing: number;
  /** mm of the finished sheet */
  readonly to: number;
  readonly turned: boolean;
  /** the sheet wanted, mm; along the feed and across */
  readonly along: number;
  readonly across: number;
}

export const USUAL_ROLLING: Rolling = { laying: 'puzzle', backing: 1.5, to: 1.5, turned: true, along: 60, across: 60 };

/** What becomes of slices that are rolled. */
export interface RolledOut {
  readonly slice: SliceRolled;
  /** labels of the settings in turn; empty without a machine */
  readonly settings: readonly string[];
  readonly count: number;
  /** g of the slices, and of what lies under them, for the sheet wanted */
  readonly grams: number;
  readonly backingGrams: number;
}

type Slices = Pick<ThereAnswer, 'widthMm' | 'mm' | 'count' | 'grams' | 'density'>;

/** The gaps in turn, down to the one that is nearest to the thickness wanted. */
function gapsTo({ to, turned, along, across }: Rolling, stack: number, own: MachineDto | undefined) {
  if (!own || to >= stack) return { passes: [to], settings: [] };
  const settings = thicknesses(own);
  const target = [...settings].sort((a, b) => Math.abs(a.mm - to) - Math.abs(b.mm - to))[0];
  if (!target) return { passes: [to], settings: [] };
  const { feeds } = feedPlan({
    ...{ machine: own, mm: stack, width: across, length: along, settingId: target.id },
    ...{ thinning: 'one at a time', turns: turned },
  });
  // the last gap is as wide as was asked for, also where no setting is quite so
  const gaps = feeds.map((f) => f.mm);
  return { passes: [...gaps.slice(0, -1), to], settings: feeds.map((f) => f.setting.label) };
}

/** Slices laid on a backing and rolled: what each becomes, and how many a sheet takes. */
export function rolledOut(slices: Slices, rolling: Rolling, own: MachineDto | undefined): RolledOut {
  const { widthMm, mm, density } = slices;
  const { backing, to, turned, laying, along, across } = rolling;
  const { passes, settings } = gapsTo(rolling, mm + backing, own);
  const slice = slicesRolled({ along: widthMm, across: widthMm, mm, backing, passes, turned });
  const face = { along: widthMm, across: widthMm, area: (Math.PI / 4) * widthMm ** 2 };
  const before = { along: (along * widthMm) / slice.along, across: (across * widthMm) / slice.across };
  const count = laying === 'single' ? 1 : slicesFor(laying, face, before);
  const sheet = along * across * Math.min(to, mm + backing);
  const under = (sheet * slice.backing) / (slice.backing + slice.mm);
  return {
    ...{ slice, settings, count },
    grams: (slices.grams * count) / slices.count,
    backingGrams: (under * density) / 1000,
  };
}

/** The sheet, as it is written down. */
export const laidDto = (
  slices: ThereAnswer,
  rolling: Rolling,
  count: number,
  backing: LaidDto['backing'],
): LaidDto => ({
  version: slices.version,
  entryId: crypto.randomUUID(),
  madeOn: today(),
  sheetId: crypto.randomUUID(),
  name: `${slices.ofName}, laid`.slice(0, 80),
  count,
  widthMm: rolling.across,
  lengthMm: rolling.along,
  mm: Math.min(rolling.to, slices.mm + rolling.backing),
  backing: backing ?? null,
  keptIn: slices.keptIn,
});
