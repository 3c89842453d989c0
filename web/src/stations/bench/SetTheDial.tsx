import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { showTemperature } from '#core/units';
import { useUnits } from '../../state/view.js';
import { useOvens } from '../../wire/queries.js';
import { runsWords, sureWords, toSet, warmingWords } from '../batches/ovens/ovenWords.js';

/** What to set on the dial of each oven for a true temperature. */
export function SetTheDial({ celsius }: { readonly celsius: number }): ReactElement | null {
  const units = useUnits();
  const ovens = useOvens();
  if (!ovens.data) return null;
  if (ovens.data.length === 0)
    return (
      <Box fontSize="text">
        A dial is often off by ten degrees: <Link to="/batches/ovens">describe your oven</Link>, and it says here what
        to set.
      </Box>
    );
  return (
    <Box fontSize="22px" lineHeight={1.4}>
      {ovens.data.map((oven) => {
        const set = toSet(oven, celsius);
        return (
          <div key={oven.id}>
            Set {ovens.data.length > 1 ? `the dial of ${oven.name}` : 'your dial'} to{' '}
            <b>{showTemperature(set.dial, units)}</b>: {runsWords(set.oven, set.dial, units)} (
            {sureWords(set.oven, set.off, units)}). {warmingWords(set, celsius, units)}
          </div>
        );
      })}
    </Box>
  );
}
