import { Box } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { showLong } from '#core/units';
import type { MadeAnswer } from '#contract';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Second } from '../../../theme/pieces.js';
import { useSheets } from '../../../wire/queries.js';

/** How much of a plug or a sheet there is along the cane: a plug is so high, a sheet that is rolled up so wide. */
const alongOf = (sheet: MadeAnswer): number => (sheet.form === 'sheet' ? sheet.widthMm : sheet.lengthMm);

/** mm along the cane of everything in the sheet book that is not used up, by its id. */
export function useThere(): ReadonlyMap<string, number> {
  const sheets = useSheets();
  return useMemo(
    () => new Map((sheets.data ?? []).filter((s) => !s.gone).map((s) => [s.id, alongOf(s)])),
    [sheets.data],
  );
}

/** mm that hands do not miss. */
const HAIR = 0.5;

/** Of what lies there ready: whether it is enough, and what is left of it. */
export function MadeThing({ id, needed }: { readonly id: string; readonly needed: number }): ReactElement | null {
  const units = useUnits();
  const sheets = useSheets();
  const there = useThere().get(id);
  if (!sheets.data) return null;
  const name = sheets.data.find((s) => s.id === id)?.name ?? 'It';
  if (there === undefined)
    return <Warning>{name} lay ready in the sheet book, and is used up: another one has to be made.</Warning>;
  if (needed > there + HAIR)
    return (
      <Warning>
        {name} lies there ready, but there are only {showLong(there, units)} of it: the rest has to be made, or take
        fewer slices.
      </Warning>
    );
  return (
    <Box>
      <Second>
        from {name}, which lies there ready:{' '}
        {there - needed > HAIR ? `${showLong(there - needed, units)} of it stay` : 'all of it'}
      </Second>
    </Box>
  );
}
