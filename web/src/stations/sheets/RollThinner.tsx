import { ownMachine } from '../../state/bench.js';
import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { feedPlan, thicknesses, type SettingThickness } from '#core/sheet';
import { cracksOf } from '#core/stock';
import { showLength, showSize, type UnitSystem } from '#core/units';
import type { MachineDto, MadeAnswer, MadeDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Second } from '../../theme/pieces.js';
import { useMachines } from '../../wire/queries.js';
import { cutWords, leftOfSheet, sentSheet } from './sheetWords.js';

/** A setting has to be thinner than the sheet by this share to be worth a pass. */
const THINNER = 0.98;

/** The note of a sheet that pieces were cut from, now that its holes are rolled away. */
function noteOf(sheet: MadeAnswer, units: UnitSystem): string {
  const cut = cutWords(sheet, units);
  const before = cut === '' ? '' : `Before it was rolled thinner ${cut} were cut from it.`;
  return [sheet.note, before].filter((line) => line !== '').join('\n');
}

/** The sheet after it was rolled to a setting: the clay that is left stays, so its length follows. */
function rolledTo(sheet: MadeAnswer, to: SettingThickness, own: MachineDto, units: UnitSystem): MadeDto {
  const { length } = leftOfSheet(sheet);
  return {
    ...sentSheet(sheet),
    lengthMm: (length * sheet.mm * sheet.layers) / to.mm,
    mm: to.mm,
    layers: 1,
    cuts: [],
    note: noteOf(sheet, units),
    grams: (sheet.grams * length) / sheet.lengthMm,
    rolledAt: `${to.label} of ${own.name}`,
  };
}

/** What leaf metal that lies on a sheet does when it is rolled so much longer. */
function leafWords(stretch: number, units: UnitSystem): string {
  const { along, shown } = cracksOf(stretch, 1);
  return (
    `leaf metal on it would crack ~${showLength(along.apart, units, true)} apart, gaping ` +
    `${showLength(along.gap, units, true)}: ${Math.round(100 * shown)} % clay between the flakes`
  );
}

interface RollThinnerProps {
  readonly sheet: MadeAnswer;
  readonly onRolled: (made: MadeDto) => void;
}

/** What is left of a sheet, rolled thinner: which settings in turn, and the size it has then. */
export function RollThinner({ sheet, onRolled }: RollThinnerProps): ReactElement | null {
  const units = useUnits();
  const { data } = useMachines();
  const [settingId, setSettingId] = useState<string | null>(null);
  const own = data && ownMachine(data);
  const { length } = leftOfSheet(sheet);
  const stack = sheet.mm * sheet.layers;
  const thinner = own ? thicknesses(own).filter((s) => s.mm < stack * THINNER) : [];
  const [first] = thinner;
  if (!own || !first || length < 1) return null;
  const to = thinner.find((s) => s.id === settingId) ?? first;
  const made = rolledTo(sheet, to, own, units);
  const { feeds, byHandTo } = feedPlan({
    machine: own,
    mm: stack,
    width: sheet.widthMm,
    length,
    settingId: to.id,
    thinning: 'one at a time',
    turns: false,
  });
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
        <b>{showSize(made.widthMm, made.lengthMm, units)}</b> at {showLength(to.mm, units, true)}
      </Box>
      <Box>
        <Second>{leafWords(stack / to.mm, units)}</Second>
      </Box>
      <Action
        marginTop={2}
        onClick={() => {
          onRolled(made);
        }}
      >
        It is rolled
      </Action>
      {sheet.cuts.length > 0 && <Caption display="block">what is left of it, after the pieces that were cut</Caption>}
    </div>
  );
}
