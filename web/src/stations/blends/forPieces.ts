import { placesOnFade, sheetForPieces, type FadePieces, type SheetForPieces } from '#core/blend';
import { cutterOf, cutterOfSize, type Places, plainCutter } from '#core/cutter';
import { attempt } from '#core/units';
import type { BlendPlanDto, BlendWantedDto } from '#contract';
import { relaid } from './planMoves.js';
import type { Rolled } from './rolled.js';

/** What is planned for where nobody has said: two rounds of petals that show all of the fade. */
const USUAL_MM = 1.5;
const USUAL_WANTED: BlendWantedDto = {
  ...plainCutter(cutterOfSize(20, 30)),
  shape: 'petal',
  count: 12,
  shows: 'whole',
  shades: 5,
  along: 'height',
  mm: USUAL_MM,
  bridgeMm: 2,
};

/** The same, rolled at the setting of one's own that comes nearest. */
export function usualWanted({ settings }: Rolled): BlendWantedDto {
  const nearest = [...settings].sort((a, b) => Math.abs(a.mm - USUAL_MM) - Math.abs(b.mm - USUAL_MM))[0];
  return { ...USUAL_WANTED, mm: nearest?.mm ?? USUAL_MM };
}

const piecesOf = ({ count, shows, shades, along, bridgeMm, mm, ...rest }: BlendWantedDto): FadePieces => {
  const { width, height } = cutterOf(rest);
  const [own, other] = along === 'width' ? [width, height] : [height, width];
  return { count, shows, shades, mm, bridge: bridgeMm, along: own, across: other };
};

/** The sheet for pieces, on one's own machine. @throws Complaint as `sheetForPieces` */
const sheetFor = (wanted: BlendWantedDto, { mm, settings, own }: Rolled): SheetForPieces =>
  sheetForPieces(piecesOf(wanted), {
    layerMm: mm,
    widestMm: settings[0]?.mm ?? mm,
    rollerWidth: own?.rollerWidthMm ?? Infinity,
  });

/** The sheet that a plan is made for; null where it is made for none, or as it stands gives none. */
export function sheetOfPlan(plan: BlendPlanDto, rolled: Rolled): SheetForPieces | null {
  const { wanted } = plan;
  if (!wanted) return null;
  return attempt(
    () => sheetFor(wanted, rolled),
    () => null,
  );
}

/** A plan made anew for pieces: its size, layers, cuts and tape. @throws Complaint as `sheetForPieces`, `layoutOf` */
export function plannedFor(plan: BlendPlanDto, wanted: BlendWantedDto, rolled: Rolled): BlendPlanDto {
  const sheet = sheetFor(wanted, rolled);
  const tapeSettingId = rolled.settings.find((s) => Math.abs(s.mm - wanted.mm) < 0.005)?.id ?? null;
  const { width, height, layers, pure } = sheet;
  const kind = pure > 0 ? 'pure ends' : 'corner';
  const size = { width, height, layers, pure, kind, wanted, placed: null, stack: null } as const;
  return relaid({ ...plan, ...size, turning: 'folded', tapeWidth: sheet.length, tapeSettingId }, {});
}

/** Where the cutter goes on the finished sheet: all pieces the same way round. */
export function cutsFor(wanted: BlendWantedDto, sheet: SheetForPieces): Places {
  const turn = wanted.along === 'width' ? 0 : 90;
  return {
    centres: placesOnFade(piecesOf(wanted), sheet),
    turns: new Float64Array(wanted.count).fill(turn),
    flips: new Float64Array(wanted.count),
  };
}
