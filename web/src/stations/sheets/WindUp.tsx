import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { stacked, windUp } from '#core/blend';
import { showLength, showSize } from '#core/units';
import type { SheetAnswer, SheetDto } from '#contract';
import { useUnits } from '../../state/view.js';
import { Action, Caption } from '../../theme/pieces.js';
import { useBlendOf, useMachines } from '../../wire/queries.js';
import { tapeMmOf, windingOf } from '../blends/tapeMm.js';
import { plugSheet } from '../blends/plugSheet.js';
import { sentSheet } from './sheetWords.js';

/** A blend that lies flat, wound up as its plan says, from its size of now. */
export function WindUp({ sheet, blendId, onWind }: { readonly sheet: SheetAnswer; readonly blendId: string; readonly onWind: (made: SheetDto) => void }): ReactElement | null {
  const units = useUnits();
  const blend = useBlendOf(blendId);
  const machines = useMachines();
  if (!blend.data || !machines.data) return null;
  const { plan } = blend.data;
  const winding = windingOf(plan, tapeMmOf(plan, machines.data));
  const { tape: one, plug } = windUp({ width: sheet.widthMm, height: sheet.lengthMm, thickness: (sheet.mm * sheet.layers) / winding.tapes }, winding);
  const tape = stacked(one, winding.tapes);
  return (
    <div>
      <Box as="h2" marginBottom={2}>Wind it up</Box>
      <Box fontSize="small">a tape {showLength(tape.width, units)} wide, {showLength(tape.length, units)} long at {showLength(tape.thickness, units, true)}, then {plug.kind === 'rolled' ? <>rolled up: <b>{showSize(plug.diameter, plug.height, units)}</b></> : <>folded like a fan: <b>{showSize(plug.width, plug.depth, units)}</b></>}</Box>
      <Action marginTop={2} onClick={() => { onWind(plugSheet(sentSheet(sheet), plug)); }}>{plug.kind === 'rolled' ? 'It is rolled up' : 'It is folded up'}</Action>
      <Caption display="block">as the plan of the blend says</Caption>
    </div>
  );
}
