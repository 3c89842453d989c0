import { benchMachine } from '../../state/bench.js';
import { Box } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { fadeOf, stacked, windUp } from '#core/blend';
import { showLength, showLong, showSize } from '#core/units';
import type { BlendAnswer, MachinesAnswer, ShelfAnswer, MadeAnswer, MadeDto } from '#contract';
import { useUnits } from '../../state/view.js';
import { Action, Caption } from '../../theme/pieces.js';
import { usePigments } from '../../wire/pigments.js';
import { useBlendOf, useMachines, useShelf } from '../../wire/queries.js';
import { plugSheet } from '../blends/plugSheet.js';
import { tapePlanOf } from '../blends/tapeMm.js';
import { rolledOn } from '../blends/rolled.js';
import { coloursIn, layoutIn } from '../blends/workedBlend.js';
import { cutWords, leftOfSheet, sentSheet } from './sheetWords.js';

interface WindUpProps {
  readonly sheet: MadeAnswer;
  readonly blendId: string;
  readonly onWind: (made: MadeDto) => void;
}

/** A blend that lies flat, wound up as its plan says, from what is left of it now. */
export function WindUp({ sheet, blendId, onWind }: WindUpProps): ReactElement | null {
  const blend = useBlendOf(blendId);
  const [machines, shelf] = [useMachines(), useShelf()];
  if (!blend.data || !machines.data || !shelf.data) return null;
  return <Winding sheet={sheet} blend={blend.data} machines={machines.data} shelf={shelf.data} onWind={onWind} />;
}

interface WindingProps {
  readonly sheet: MadeAnswer;
  readonly blend: BlendAnswer;
  readonly machines: MachinesAnswer;
  readonly shelf: ShelfAnswer;
  readonly onWind: (made: MadeDto) => void;
}

function Winding({ sheet, blend, machines, shelf, onWind }: WindingProps): ReactElement | null {
  const units = useUnits();
  const pigments = usePigments();
  const { plan } = blend;
  const base = useMemo(() => coloursIn(blend, shelf, pigments), [blend, shelf, pigments]);
  const fade = useMemo(
    () =>
      typeof base === 'string'
        ? null
        : fadeOf(
            layoutIn(plan),
            base.map((c) => c.pigment),
          ),
    [base, plan],
  );
  const { length } = leftOfSheet(sheet);
  if (!fade || length < 1) return null;
  const own = benchMachine(machines);
  const lies = { width: sheet.widthMm, length, mm: (sheet.mm * sheet.layers) / (plan.stack ?? 1) };
  const { winding } = tapePlanOf(plan, rolledOn(plan, own), fade, lies);
  const { tape: one, plug } = windUp({ width: lies.width, height: lies.length, thickness: lies.mm }, winding);
  const tape = stacked(one, winding.tapes);
  const wind = (): void => {
    const cut = cutWords(sheet, units);
    const note =
      cut === ''
        ? sheet.note
        : [sheet.note, `Before it was wound up ${cut} were cut from it.`].filter((line) => line !== '').join('\n');
    onWind(plugSheet({ ...sentSheet(sheet), cuts: [], note, grams: (sheet.grams * length) / sheet.lengthMm }, plug));
  };
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Wind it up
      </Box>
      <Box fontSize="small">
        a tape {showLength(tape.width, units)} wide, {showLong(tape.length, units)} long at{' '}
        {showLength(tape.thickness, units, true)}, then{' '}
        {plug.kind === 'rolled' ? (
          <>
            rolled up: <b>{showSize(plug.diameter, plug.height, units)}</b>
          </>
        ) : (
          <>
            folded like a fan: <b>{showSize(plug.width, plug.depth, units)}</b>
          </>
        )}
      </Box>
      <Action marginTop={2} onClick={wind}>
        {plug.kind === 'rolled' ? 'It is rolled up' : 'It is folded up'}
      </Action>
      <Caption display="block">
        as the plan of the blend says
        {sheet.cuts.length > 0 ? `, from the ${showLong(length, units)} that are left` : ''}
      </Caption>
    </div>
  );
}
