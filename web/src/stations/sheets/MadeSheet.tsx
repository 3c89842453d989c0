import { Box, chakra } from '@chakra-ui/react';
import { useId, type ReactElement } from 'react';
import { showLength, showMass, showSize, type UnitSystem } from '#core/units';
import type { MadeAnswer } from '#contract';
import { CutPieces } from '../../parts/cutters/CutPieces.js';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { SheetImage } from '../patterns/faces/SheetImage.js';
import { leftOfSheet } from './sheetWords.js';
import { grey } from '../../theme/grey.js';

/** px for a mm of a sheet lying flat, and of the face of a plug. */
const [FLAT, FACE] = [1.6, 4.6];
const TALLEST = 270;
const Pick = chakra('button', { base: { textAlign: 'left', display: 'block', _hover: { background: 'paper' } } });

interface MadeSheetProps {
  readonly sheet: MadeAnswer;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  /** pieces that still fit; null: that is no question here */
  readonly fits: number | null;
}

/** `2 × 1.50 mm, 4 of Bench roller` */
function thicknessWords({ layers, mm, rolledAt }: MadeAnswer, units: UnitSystem): string {
  const times = layers > 1 ? `${layers} × ` : '';
  const at = rolledAt === '' ? '' : `, ${rolledAt}`;
  return `${times}${showLength(mm, units, true)}${at}`;
}

type Band = ReturnType<typeof leftOfSheet>['bands'][number];

interface HolesProps {
  readonly band: Band;
  /** px for a mm, and px of the whole sheet from its top */
  readonly scale: number;
  readonly height: number;
}

/** The holes of pieces that were cut out together. */
function Holes({ band, scale, height }: HolesProps): ReactElement {
  const { cutter, layout, from, count } = band;
  return (
    <g fill={grey.bench} transform={`translate(0 ${height - from * scale}) scale(${scale} ${-scale})`}>
      <CutPieces cutter={cutter} places={layout} count={count} whole />
    </g>
  );
}

interface StopsProps {
  readonly id: string;
  readonly sheet: MadeAnswer;
}

/** Its colours, along a sheet or from the middle of a plug. */
function Colours({ id, sheet: { form, hexes, inside } }: StopsProps): ReactElement {
  const outwards = form === 'plug';
  const stops = (outwards && inside === 'last' ? [...hexes].reverse() : hexes).map((hex, i, all) => {
    const share = all.length > 1 ? i / (all.length - 1) : 0;
    // the area law: what lies at a share of the tape lies at its root of the radius
    return <stop key={i} offset={outwards ? Math.sqrt(share) : share} stopColor={`#${hex}`} />;
  });
  return outwards ? <radialGradient id={id}>{stops}</radialGradient> : <linearGradient id={id}>{stops}</linearGradient>;
}

/** px of the drawing of a sheet or a plug, and for a mm of it. */
function sizeOf({ form, widthMm, lengthMm, mm }: MadeAnswer): {
  readonly w: number;
  readonly h: number;
  readonly scale: number;
} {
  const flat = form === 'sheet' || form === 'baked';
  const round = form === 'fan' || form === 'lump' ? mm : widthMm;
  const height = flat ? lengthMm : round;
  const scale = Math.min(form === 'sheet' ? FLAT : FACE, TALLEST / height);
  return { w: widthMm * scale, h: height * scale, scale };
}

/** The sheet or the face of the plug, to scale. */
function Drawing({ sheet }: { readonly sheet: MadeAnswer }): ReactElement {
  const id = useId();
  const { w, h, scale } = sizeOf(sheet);
  const [only] = sheet.hexes;
  const plain = only === undefined ? grey.unknown : `#${only}`;
  const paint = sheet.hexes.length > 1 ? `url(#${id})` : plain;
  return (
    <svg width={w} height={h} style={{ display: 'block' }} aria-hidden>
      <defs>
        <Colours id={id} sheet={sheet} />
      </defs>
      {sheet.form === 'plug' && <circle cx={w / 2} cy={h / 2} r={w / 2} fill={paint} />}
      {sheet.form !== 'plug' && <rect width={w} height={h} fill={paint} />}
      {sheet.form === 'sheet' && sheet.patterned && <SheetImage of={sheet.patterned} width={w} height={h} />}
      {sheet.form === 'sheet' &&
        leftOfSheet(sheet).bands.map((band, b) => <Holes key={b} band={band} scale={scale} height={h} />)}
    </svg>
  );
}

/** How many pieces still fit. */
function Fits({ fits }: { readonly fits: number }): ReactElement {
  if (fits === 0) return <Box fontSize="small">no such piece fits</Box>;
  return (
    <Box fontSize="small">
      <b>{fits}</b> pieces still fit
    </Box>
  );
}

/** Its line under the drawing is at least so wide, px. */
const NARROWEST = 60;

/** A sheet as it lies there, holes and all, or the face of a plug, to scale. */
export function MadeSheet({ sheet, chosen, onChoose, fits }: MadeSheetProps): ReactElement {
  const units = useUnits();
  const { widthMm, lengthMm } = sheet;
  const flat = sheet.form === 'sheet';
  const size = flat ? showSize(widthMm, lengthMm, units) : showLength(widthMm, units);
  const words = flat
    ? thicknessWords(sheet, units)
    : `${showLength(widthMm, units)} across, ${showLength(lengthMm, units)} high`;
  return (
    <Pick onClick={onChoose} aria-label={`${sheet.name}, ${size}`} aria-pressed={chosen}>
      <Drawing sheet={sheet} />
      <Box
        height={chosen ? '9px' : '1px'}
        marginTop={chosen ? 1 : '12px'}
        background="ink"
        style={{ width: Math.max(sizeOf(sheet).w, NARROWEST) }}
      />
      <Box fontWeight={600} lineHeight={1.25} marginTop={1} maxWidth="220px">
        {sheet.name}
      </Box>
      <Caption display="block">
        {words} · {showMass(sheet.gone ? sheet.grams : sheet.left, units)}
      </Caption>
      {fits !== null && <Fits fits={fits} />}
    </Pick>
  );
}
