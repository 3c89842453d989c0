import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { showLab } from '#core/colour';
import { showMass } from '#core/units';
import type { SwatchDto } from '#contract';
import { TextValue } from '../../../parts/Value.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Word } from '../../../theme/pieces.js';
import type { Matched } from './matched.js';

/** Farther off than this ΔE00, a mix is only the nearest there is. */
const REACHED = 2;

interface OneColourProps {
  readonly row: Matched;
  readonly swatch: SwatchDto;
  readonly known: boolean;
  readonly onOut: () => void;
  readonly onName: (name: string) => void;
}

/** A colour of the palette beside its mix. */
export function OneColour({ row, swatch, known, onOut, onName }: OneColourProps): ReactElement {
  const units = useUnits();
  return (
    <Flex as="li" gap={3}>
      <Flex width="92px" height="76px" borderRadius="9px" overflow="hidden" flex="none" aria-hidden>
        <Box flex={1} style={{ background: `#${row.hex}` }} />
        <Box flex={1.4} style={{ background: `#${row.mixHex ?? row.hex}` }} />
      </Flex>
      <Box minWidth={0} lineHeight={1.35} fontSize="small">
        <Box fontWeight={600} data-testid="notation">
          {known ? (row.notation ?? 'No clay is on the shelf for it') : '…'}
        </Box>
        {row.deltaE !== null && (
          <span>
            <b>ΔE {row.deltaE.toFixed(1)}</b>
            {row.deltaE > REACHED ? ', the nearest there is' : ''} · {showMass(row.grams, units)}
          </span>
        )}
        <br />
        <Caption>{row.perClay.map((c) => `${showMass(c.grams, units)} ${c.name}`).join(', ')}</Caption>
        <br />
        <Caption>
          <TextValue
            label={`Name of the colour ${showLab(swatch)}`}
            placeholder="a name"
            value={swatch.name}
            onChange={onName}
          />{' '}
          {swatch.share === null ? 'picked' : `${(100 * swatch.share).toFixed(0)} %`} ·{' '}
          <Link to={`/mixes/find?colour=${showLab(swatch)}`}>find</Link> ·{' '}
          <Word aria-label={`Take ${showLab(swatch)} out`} onClick={onOut}>
            out
          </Word>
        </Caption>
      </Box>
    </Flex>
  );
}
