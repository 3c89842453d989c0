import { Box, chakra } from '@chakra-ui/react';
import { useId, type ReactElement } from 'react';
import { showLength, showMass, showSize, type UnitSystem } from '#core/units';
import type { SheetAnswer } from '#contract';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { leftOfSheet } from './sheetWords.js';
import { grey } from '../../theme/grey.js';

/** px for a mm of a sheet lying flat, and of the face of a plug. */
const [FLAT, FACE] = [1.6, 4.6];
const TALLEST = 270;
const Pick = chakra('button', { base: { textAlign: 'left', display: 'block', _hover: { background: 'paper' } } });

interface MadeSheetProps {
  readonly sheet: SheetAnswer;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  /** pieces that still fit; null: that is no question here */ readonly fits: number | null;
}

/** `2 × 1.50 mm, 4 of Bench roller` */
function thicknessWords({ layers, mm, rolledAt }: SheetAnswer, units: UnitSystem): string {
  const times = layers > 1 ? `${layers} × ` : '';
  const at = rolledAt === '' ? '' : `, ${rolledAt}`;
  return `${times}${showLength(mm, units, true)}${at}`;
}

/** A sheet as it lies there, holes and all, or the face of a plug, to scale. */
export function MadeSheet({ sheet, chosen, onChoose, fits }: MadeSheetProps): ReactElement {
  const units = useUnits();
  const id = useId();
  const { form, widthMm, lengthMm, mm, hexes } = sheet;
  const flat = form === 'sheet';
  const height = { sheet: lengthMm, plug: widthMm, fan: mm }[form];
  const scale = Math.min(flat ? FLAT : FACE, TALLEST / height);
  const [w, h] = [widthMm * scale, height * scale];
  const stops = (sheet.inside === 'last' && form === 'plug' ? [...hexes].reverse() : hexes).map((hex, i, all) => {
    const share = all.length > 1 ? i / (all.length - 1) : 0;
    // the area law: what lies at a share of the tape lies at its root of the radius
    return <stop key={i} offset={form === 'plug' ? Math.sqrt(share) : share} stopColor={`#${hex}`} />;
  });
  const paint = hexes.length > 1 ? `url(#${id})` : `#${hexes[0] ?? '999999'}`;
  return (
    <Pick
      onClick={onChoose}
      aria-label={`${sheet.name}, ${flat ? showSize(widthMm, lengthMm, units) : showLength(widthMm, units)}`}
      aria-pressed={chosen}
    >
      <svg width={w} height={h} style={{ display: 'block' }} aria-hidden>
        <defs>
          {form === 'plug' ? (
            <radialGradient id={id}>{stops}</radialGradient>
          ) : (
            <linearGradient id={id}>{stops}</linearGradient>
          )}
        </defs>
        {form === 'plug' ? (
          <circle cx={w / 2} cy={h / 2} r={w / 2} fill={paint} />
        ) : (
          <rect width={w} height={h} fill={paint} />
        )}
        {flat &&
          leftOfSheet(sheet).bands.map((band, b) =>
            Array.from({ length: band.count }, (_, i) => {
              const [x, y] = [
                (band.layout.centres[2 * i] ?? 0) * scale,
                h - (band.from + (band.layout.centres[2 * i + 1] ?? 0)) * scale,
              ];
              if (band.cutter.shape === 'round')
                return (
                  <circle key={`${b} ${i}`} cx={x} cy={y} r={(band.cutter.diameter / 2) * scale} fill={grey.bench} />
                );
              const [pw, ph] = band.layout.turned
                ? [band.cutter.height, band.cutter.width]
                : [band.cutter.width, band.cutter.height];
              return (
                <rect
                  key={`${b} ${i}`}
                  x={x - (pw / 2) * scale}
                  y={y - (ph / 2) * scale}
                  width={pw * scale}
                  height={ph * scale}
                  fill={grey.bench}
                />
              );
            }),
          )}
      </svg>
      <Box
        height={chosen ? '9px' : '1px'}
        marginTop={chosen ? 1 : '12px'}
        background="ink"
        style={{ width: Math.max(w, 60) }}
      />
      <Box fontWeight={600} lineHeight={1.25} marginTop={1} maxWidth="220px">
        {sheet.name}
      </Box>
      <Caption display="block">
        {flat
          ? thicknessWords(sheet, units)
          : `${showLength(widthMm, units)} across, ${showLength(lengthMm, units)} high`}{' '}
        · {showMass(sheet.grams, units)}
      </Caption>
      {fits !== null && (
        <Box fontSize="small">
          {fits === 0 ? (
            'no such piece fits'
          ) : (
            <>
              <b>{fits}</b> pieces still fit
            </>
          )}
        </Box>
      )}
    </Pick>
  );
}
