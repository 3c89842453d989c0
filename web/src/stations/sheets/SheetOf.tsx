import { flatOf } from '#core/mix';
import { recipesOf } from '../../wire/revisions.js';
import { type Mixable } from '#core/material';
import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { ASSUMED_DENSITY } from '#core/clay';

import { areaOfSheet, massOfSheet, thicknesses, thicknessOfSheet, translate } from '#core/sheet';
import { orSentence, readSize, showArea, showLength, showMass, showSize } from '#core/units';
import type { MachineDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { MassValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Word } from '../../theme/pieces.js';
import { useShelf } from '../../wire/queries.js';
import { bookOf } from '../../state/book.js';

interface OfWhat {
  readonly name: string;
  readonly density: number;
  readonly assumed: boolean;
}
const ANY: OfWhat = { name: 'any clay', density: ASSUMED_DENSITY, assumed: true };

/** Weight, area and thickness of a sheet: any two give the third. */
export function SheetOf({ own }: { readonly own: MachineDto }): ReactElement {
  const units = useUnits();
  const shelf = useShelf();
  const settings = thicknesses(own);
  const [grams, setGrams] = useState(40);
  const [size, setSize] = useState({ width: 80, height: 120 });
  const [settingId, setSettingId] = useState<string | null>(null);
  const [what, setWhat] = useState<OfWhat>(ANY);
  const [picking, setPicking] = useState(false);
  const setting = settings.find((s) => s.id === settingId) ?? settings[Math.floor(settings.length / 2)];
  const pick = async ({ of, name }: Picked<Mixable>): Promise<void> => {
    setPicking(false);
    if (!shelf.data) return;
    const flat = flatOf(of, bookOf(shelf.data, await recipesOf(of)));
    const lines = shelf.data.lines.filter((l) => flat.shares.some((s) => s.clay.lineId === l.id));
    setWhat({ name, density: flat.density, assumed: lines.some((l) => !l.densityMeasured) });
  };
  if (!setting) return <div />;
  const words = sheetWords(grams, size, setting.mm, what.density);
  const tilde = what.assumed || setting.knowledge === 'assumed' ? '~' : '';
  const like = typeof words === 'string' ? null : translate({ mm: words.thickness, sigmaMm: 0 }, own);
  const readSheet = (text: string): { width: number; height: number } => {
    const { width, height } = readSize(text, units);
    return { width, height: height ?? width };
  };
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        A sheet of <MassValue label="Weight of the sheet" value={grams} onChange={setGrams} />{' '}
        <Word
          fontFamily="heading"
          fontWeight={700}
          onClick={() => {
            setPicking(true);
          }}
        >
          {what.name}
        </Word>
      </Box>
      {picking && (
        <MaterialPicker
          place="sheet"
          label="What the sheet is made of"
          onPick={(p) => {
            void pick(p);
          }}
          onCancel={() => {
            setPicking(false);
          }}
        />
      )}
      {typeof words === 'string' ? (
        <Warning>{words}</Warning>
      ) : (
        <Box lineHeight={1.7}>
          at your{' '}
          <Choice
            label="Setting of the sheet"
            value={setting.id}
            options={settings.map((s) => ({ value: s.id, text: s.label }))}
            onChange={setSettingId}
          />
          :{' '}
          <b>
            {tilde}
            {showArea(words.area, units)}
          </b>
          ,{' '}
          {showSize(
            Math.min(own.rollerWidthMm, Math.sqrt(words.area)),
            words.area / Math.min(own.rollerWidthMm, Math.sqrt(words.area)),
            units,
          )}
          <br />a sheet of{' '}
          <Value
            label="Size of the sheet"
            text={showSize(size.width, size.height, units)}
            read={readSheet}
            onChange={setSize}
          />{' '}
          there weighs{' '}
          <b>
            {tilde}
            {showMass(words.mass, units)}
          </b>
          <br />
          and if one of that size weighs {showMass(grams, units)}, it is{' '}
          <b>
            {what.assumed ? '~' : ''}
            {showLength(words.thickness, units, true)}
          </b>{' '}
          thick{like && like.layers === 1 ? `, near your ${like.setting.label}` : ''}
        </Box>
      )}
    </div>
  );
}

function sheetWords(
  grams: number,
  size: { width: number; height: number },
  mm: number,
  density: number,
): { area: number; mass: number; thickness: number } | string {
  return orSentence(() => {
    const given = size.width * size.height;
    return {
      area: areaOfSheet(grams, mm, density),
      mass: massOfSheet(given, mm, density),
      thickness: thicknessOfSheet(grams, given, density),
    };
  });
}
