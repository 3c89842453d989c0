import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { gaugedBySheet, type Gauged, type SettingThickness } from '#core/sheet';
import { attempt, readMass, showLength, showMass } from '#core/units';
import type { MachineDto, ReadingDto, ShelfAnswer } from '#contract';
import { Tick } from '../../parts/Tick.js';
import { Value } from '../../parts/Value.js';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { change } from '../../wire/save.js';

/** What is weighed: its sides in mm, and what it is of. */
interface OnTheScale {
  readonly width: number;
  readonly length: number;
  readonly density: number;
  readonly clayIds: readonly string[];
}

/** Whether somebody has measured the density of every clay in it. */
function isMeasured(clayIds: readonly string[], { clays, lines }: ShelfAnswer): boolean {
  const lineIds = clayIds.map((id) => clays.find((c) => c.id === id)?.lineId);
  return lineIds.length > 0 && lineIds.every((id) => lines.find((l) => l.id === id)?.densityMeasured === true);
}

/** What a rolled sheet weighs, and what that says of the setting it was rolled at. */
export function useWeighed(machine: MachineDto, setting: SettingThickness, shelf: ShelfAnswer) {
  const [mass, setMass] = useState<number | null>(null);
  const [kept, setKept] = useState(true);
  const gaugedOf = ({ clayIds, ...sheet }: OnTheScale): Gauged | null => {
    if (mass === null) return null;
    const weighed = { ...sheet, mass, densityMeasured: isMeasured(clayIds, shelf) };
    return attempt(
      () => gaugedBySheet(weighed),
      () => null,
    );
  };
  return {
    ...{ setting, mass, setMass, kept, setKept, gaugedOf },
    /** Keeps it as a reading of the setting. */
    keep: async (sheet: OnTheScale, takenOn: string): Promise<void> => {
      const gauged = gaugedOf(sheet);
      if (!gauged || !kept) return;
      const reading: ReadingDto = {
        id: crypto.randomUUID(),
        settingId: setting.id,
        ...gauged,
        way: 'weighed',
        takenOn,
      };
      await change('PUT', `/api/machines/${machine.id}`, { ...machine, readings: [...machine.readings, reading] });
    },
  };
}

interface WeighedProps {
  readonly weighed: ReturnType<typeof useWeighed>;
  readonly sheet: OnTheScale;
}

/** The sheet on the scale: how thick it really is, and a reading of its setting. */
export function Weighed({ weighed, sheet }: WeighedProps): ReactElement {
  const units = useUnits();
  const { setting, mass, setMass, kept, setKept, gaugedOf } = weighed;
  const gauged = gaugedOf(sheet);
  return (
    <Box fontSize="text">
      On the scale:{' '}
      <Value
        label="Weight of the rolled sheet"
        measures="mass"
        text={mass === null ? 'not weighed' : showMass(mass, units)}
        read={(text) => readMass(text, units)}
        onChange={setMass}
      />
      {gauged && (
        <>
          , so it is {showLength(gauged.mm, units, true)} ± {showLength(gauged.sigmaMm, units, true)} thick;{' '}
          {setting.label} was taken to be {showLength(setting.mm, units, true)}.
          <Caption display="block">
            <Tick checked={kept} onChange={setKept}>
              keep it as a reading of {setting.label}
            </Tick>
          </Caption>
        </>
      )}
    </Box>
  );
}
