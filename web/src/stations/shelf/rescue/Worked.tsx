import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { SHOWS, mostUnseen } from '#core/conditioning';
import { showMass } from '#core/units';
import { SQUEEZE_WORDS } from '../../../parts/conditioning/squeezeWords.js';
import { Chip } from '../../../parts/Chip.js';
import { Slide } from '../../../parts/Slide.js';
import { CountValue, MassValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { today } from '../../../state/today.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import { addedOf, toRescue, type OnShelf } from './rescuePlan.js';
import type { RescueOf } from './useRescue.js';

interface WorkedProps {
  readonly own: OnShelf;
  readonly rescue: RescueOf;
}

/** px of the block's chip before and after. */
const [WIDE, HIGH] = [150, 96];
/** Most drops that somebody counts. */
const MOST_DROPS = 2000;

/** What is worked in, to be changed; and how far one may go before it shows. */
function Amounts({ own, rescue }: WorkedProps): ReactElement {
  const units = useUnits();
  const { chosen, other, put, said, pigments } = rescue;
  const unseen = useMemo(
    () => (other ? mostUnseen(toRescue(own, said, pigments), addedOf(other, today())) : 0),
    [own, other, said, pigments],
  );
  const drops = (
    <CountValue
      label="Drops of softener"
      value={chosen.drops}
      onChange={(n) => {
        if (Number.isInteger(n) && n >= 0 && n <= MOST_DROPS) put({ drops: n });
      }}
    />
  );
  if (!other) return <Box fontSize="h3">Work in {drops} drops of softener, half of them first.</Box>;
  const slide = (grams: number): void => {
    put({ grams: Math.round(grams * 10) / 10 });
  };
  const most = Math.min(other.block.leftGrams, 2 * said.grams);
  return (
    <Box>
      <Box fontSize="h3" lineHeight={1.6}>
        Work in{' '}
        <MassValue
          label={`Of ${other.clay.name}`}
          value={chosen.grams}
          onChange={(grams) => {
            if (grams >= 0 && grams <= other.block.leftGrams) put({ grams });
          }}
        />{' '}
        of {other.clay.name} and {drops} drops of softener.
      </Box>
      <Slide
        label={`How much ${other.clay.name}`}
        text={showMass(chosen.grams, units)}
        value={chosen.grams}
        low={0}
        high={Math.max(1, Math.floor(10 * most) / 10)}
        grain={0.1}
        width={300}
        onSlide={slide}
        onSet={slide}
      />
      <Caption>
        {unseen >= most
          ? 'As much as there is of it does not show.'
          : `Up to ${showMass(unseen, units)} nobody sees (ΔE below ${SHOWS}).`}
      </Caption>
    </Box>
  );
}

/** The block before and after, and what it does between the fingers then. */
export function Worked({ own, rescue }: WorkedProps): ReactElement {
  const units = useUnits();
  const { becomes, shows, name } = rescue;
  if (typeof becomes === 'string') return <Warning>{becomes}</Warning>;
  const pairs = [
    ['as it is', own.clay.rawHex, own.clay.bakedHex],
    ['brought back', becomes.rawHex, becomes.bakedHex],
  ] as const;
  return (
    <Flex direction="column" gap={4}>
      <Flex gap={5} wrap="wrap">
        {pairs.map(([words, raw, baked]) => (
          <Box key={words}>
            <Flex gap={1}>
              <Chip hex={raw} width={WIDE / 2} height={HIGH} />
              <Chip hex={baked} width={WIDE / 2} height={HIGH} />
            </Flex>
            <Caption>{words}: raw, baked</Caption>
          </Box>
        ))}
      </Flex>
      <Amounts own={own} rescue={rescue} />
      <Box role="status" lineHeight={1.6}>
        It becomes <b>{showMass(becomes.grams, units)}</b> that {SQUEEZE_WORDS[becomes.squeeze]}, ΔE{' '}
        <b>{becomes.deltaE.toFixed(1)}</b> to what it was.
        {shows && (
          <Box>
            That is seen: it is a mix of its own then, <b>{name}</b>, and lies there as a lump.
          </Box>
        )}
      </Box>
      {becomes.sticky && (
        <Warning>That is more softener than clay takes: it gets sticky, and weak when it is baked.</Warning>
      )}
    </Flex>
  );
}
