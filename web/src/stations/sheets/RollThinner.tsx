import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { feedPlan, thicknesses } from '#core/sheet';
import { showLength, showSize } from '#core/units';
import type { SheetAnswer, SheetDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption } from '../../theme/pieces.js';
import { useMachines } from '../../wire/queries.js';
import { cutWords, leftOfSheet, sentSheet } from './sheetWords.js';

/** What is left of a sheet, rolled thinner: which settings in turn, and the size it has then. */
export function RollThinner({
  sheet,
  onRolled,
}: {
  readonly sheet: SheetAnswer;
  readonly onRolled: (made: SheetDto) => void;
}): ReactElement | null {
  const units = useUnits();
  const { data } = useMachines();
  const [settingId, setSettingId] = useState<string | null>(null);
  const own = data?.machines.find((m) => m.id === data.setup.machineId) ?? data?.machines[0];
  const { length } = leftOfSheet(sheet);
  const stack = sheet.mm * sheet.layers;
  const thinner = own ? thicknesses(own).filter((s) => s.mm < stack * 0.98) : [];
  const [first] = thinner;
  if (!own || !first || length < 1) return null;
  const to = thinner.find((s) => s.id === settingId) ?? first;
  const { feeds, byHandTo } = feedPlan({
    machine: own,
    mm: stack,
    width: sheet.widthMm,
    length,
    settingId: to.id,
    thinning: 'one at a time',
    turns: false,
  });
  const size = { widthMm: sheet.widthMm, lengthMm: (length * stack) / to.mm };
  const roll = (): void => {
    const cut = cutWords(sheet, units);
    const note = [sheet.note, ...(cut === '' ? [] : [`Before it was rolled thinner ${cut} were cut from it.`])]
      .filter((line) => line !== '')
      .join('\n');
    onRolled({
      ...sentSheet(sheet),
      ...size,
      mm: to.mm,
      layers: 1,
      cuts: [],
      note,
      grams: (sheet.grams * length) / sheet.lengthMm,
      rolledAt: `${to.label} of ${own.name}`,
    });
  };
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Roll it thinner
      </Box>
      <Box fontSize="small">
        to your{' '}
        <Choice
          label="Setting to roll it to"
          value={to.id}
          options={thinner.map((s) => ({ value: s.id, text: s.label }))}
          onChange={setSettingId}
        />
        : {byHandTo !== null && `by hand to ${showLength(byHandTo, units)}, then `}
        {feeds.map((f) => f.setting.label).join(', ')} in turn; then{' '}
        <b>{showSize(size.widthMm, size.lengthMm, units)}</b> at {showLength(to.mm, units, true)}
      </Box>
      <Action marginTop={2} onClick={roll}>
        It is rolled
      </Action>
      {sheet.cuts.length > 0 && <Caption display="block">what is left of it, after the pieces that were cut</Caption>}
    </div>
  );
}
