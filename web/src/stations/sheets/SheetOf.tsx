import { flatOf } from '#core/mix';
import { recipesOf } from '../../wire/revisions.js';
import { type Mixable } from '#core/material';
import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { ASSUMED_DENSITY } from '#core/clay';

import { areaOfSheet, massOfSheet, thicknesses, thicknessOfSheet, translate, type SettingThickness } from '#core/sheet';
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

interface OfWhichProps {
  readonly grams: number;
  readonly onGrams: (grams: number) => void;
  readonly what: OfWhat;
  readonly onWhat: (what: OfWhat) => void;
}

/** How much, and of which clay or mix. */
function OfWhich({ grams, onGrams, what, onWhat }: OfWhichProps): ReactElement {
  const shelf = useShelf();
  const [picking, setPicking] = useState(false);
  const pick = async ({ of, name }: Picked<Mixable>): Promise<void> => {
    setPicking(false);
    if (!shelf.data) return;
    const flat = flatOf(of, bookOf(shelf.data, await recipesOf(of)));
    const lines = shelf.data.lines.filter((l) => flat.shares.some((s) => s.clay.lineId === l.id));
    onWhat({ name, density: flat.density, assumed: lines.some((l) => !l.densityMeasured) });
  };
  return (
    <>
      <Box as="h2" marginBottom={2}>
        A sheet of <MassValue label="Weight of the sheet" value={grams} onChange={onGrams} />{' '}
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
    </>
  );
}

/** Weight, area and thickness of a sheet: any two give the third. */
export function SheetOf({ own }: { readonly own: MachineDto }): ReactElement {
  const settings = thicknesses(own);
  const [grams, setGrams] = useState(40);
  const [settingId, setSettingId] = useState<string | null>(null);
  const [what, setWhat] = useState<OfWhat>(ANY);
  const setting = settings.find((s) => s.id === settingId) ?? settings[Math.floor(settings.length / 2)];
  if (!setting) return <div />;
  return (
    <div>
      <OfWhich grams={grams} onGrams={setGrams} what={what} onWhat={setWhat} />
      <Third own={own} grams={grams} what={what} setting={setting} onSetting={setSettingId} />
    </div>
  );
}

interface ThirdProps {
  readonly own: MachineDto;
  readonly grams: number;
  readonly what: OfWhat;
  readonly setting: SettingThickness;
  readonly onSetting: (id: string) => void;
}

/** From the weight the area, from a size the weight, and from both the thickness. */
function Third({ own, grams, what, setting, onSetting }: ThirdProps): ReactElement {
  const units = useUnits();
  const [size, setSize] = useState({ width: 80, height: 120 });
  const words = sheetWords(grams, size, setting.mm, what.density);
  if (typeof words === 'string') return <Warning>{words}</Warning>;
  const tilde = what.assumed || setting.knowledge === 'assumed' ? '~' : '';
  const like = translate({ mm: words.thickness, sigmaMm: 0 }, own);
  const across = Math.min(own.rollerWidthMm, Math.sqrt(words.area));
  const readSheet = (text: string): { width: number; height: number } => {
    const { width, height } = readSize(text, units);
    return { width, height: height ?? width };
  };
  return (
    <Box lineHeight={1.7}>
      at your{' '}
      <Choice
        label="Setting of the sheet"
        value={setting.id}
        options={thicknesses(own).map((s) => ({ value: s.id, text: s.label }))}
        onChange={onSetting}
      />
      :{' '}
      <b>
        {tilde}
        {showArea(words.area, units)}
      </b>
      , {showSize(across, words.area / across, units)}
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
