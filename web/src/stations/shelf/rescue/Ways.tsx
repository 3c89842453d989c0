import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { showMass, type UnitSystem } from '#core/units';
import { useUnits } from '../../../state/view.js';
import { Caption, Second, Word } from '../../../theme/pieces.js';
import type { Way } from './rescuePlan.js';
import type { RescueOf } from './useRescue.js';

/** Ways that are shown at once. */
const FIRST = 5;
/** px of the colour that a way gives. */
const [WIDE, HIGH] = [64, 34];

export const dropsWords = (drops: number): string => `${drops} ${drops === 1 ? 'drop' : 'drops'} of softener`;

function wayWords({ other, addedGrams, drops }: Way, units: UnitSystem): string {
  const clay = other ? [`${showMass(addedGrams, units)} ${other.clay.name}, ${other.line.name}`] : [];
  return [...clay, ...(drops > 0 ? [dropsWords(drops)] : [])].join(' and ');
}

/** What it does to the colour, and whether it is enough. */
function resultWords({ becomes, enough, needed, other, unseen }: Way, units: UnitSystem): string {
  const colour = becomes.deltaE < 0.05 ? 'the same colour' : `ΔE ${becomes.deltaE.toFixed(1)}, not seen`;
  if (enough) return `${colour} · ${showMass(becomes.grams, units)} in all`;
  if (other && needed !== null && unseen !== null && needed > unseen)
    return `${colour} · not enough: ${showMass(needed, units)} would be, and that shows`;
  return `${colour} · not enough by itself`;
}

function OneWay({ way, rescue }: { readonly way: Way; readonly rescue: RescueOf }): ReactElement {
  const units = useUnits();
  const { chosen, choose } = rescue;
  const here = chosen.blockId === (way.other?.block.id ?? null);
  return (
    <Flex as="li" gap={3} alignItems="center">
      <Flex aria-hidden flex="none">
        <Box width={`${WIDE / 2}px`} height={`${HIGH}px`} style={{ background: `#${way.becomes.rawHex}` }} />
        <Box width={`${WIDE / 2}px`} height={`${HIGH}px`} style={{ background: `#${way.becomes.bakedHex}` }} />
      </Flex>
      <Box minWidth={0}>
        <Word
          aria-pressed={here}
          fontWeight={here ? 700 : undefined}
          onClick={() => {
            choose(way);
          }}
        >
          {wayWords(way, units)}
        </Word>
        <Caption display="block">{resultWords(way, units)}</Caption>
      </Box>
    </Flex>
  );
}

/** What can be worked in, the best first: each as far as nobody sees it. */
export function Ways({ rescue }: { readonly rescue: RescueOf }): ReactElement | null {
  const [all, setAll] = useState(false);
  const { ways } = rescue;
  if (typeof ways === 'string') return null;
  const shown = all ? ways : ways.slice(0, FIRST);
  return (
    <Box as="section" aria-label="What to work in">
      <Flex alignItems="baseline" gap={3} marginBottom={2}>
        <h2>What to work in</h2>
        <Second>its colour then, raw and baked</Second>
      </Flex>
      {ways.length === 0 && <Caption>Nothing is needed: warm it and condition it.</Caption>}
      <Flex as="ul" direction="column" gap={3}>
        {shown.map((way) => (
          <OneWay key={way.other?.block.id ?? 'softener'} way={way} rescue={rescue} />
        ))}
      </Flex>
      {ways.length > FIRST && (
        <Word
          marginTop={2}
          fontSize="small"
          onClick={() => {
            setAll(!all);
          }}
        >
          {all ? 'fewer' : `${ways.length - FIRST} more clays`}
        </Word>
      )}
    </Box>
  );
}
