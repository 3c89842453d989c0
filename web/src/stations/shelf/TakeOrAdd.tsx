import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { attempt, readMass, showMass, type UnitSystem } from '#core/units';
import type { BlockDto } from '#contract';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Field } from '../../theme/pieces.js';
import { UNSENT } from '../../wire/leaving.js';
import { change } from '../../wire/save.js';

/** A thousandth of a gram is kept of what is left. */
const THOUSANDTHS = 1000;
/** Half an ounce, as an example, in grams. */
const EXAMPLE = 14;

/** What is left of a block after a weight was taken or added; or the sentence why that cannot be. */
function leftAfter(block: BlockDto, text: string, sign: 1 | -1, units: UnitSystem): number | string {
  return attempt(
    () => {
      const grams = readMass(text, units);
      const left = Math.round((block.leftGrams + sign * grams) * THOUSANDTHS) / THOUSANDTHS;
      if (!(grams > 0)) return 'That is nothing. Write a weight above zero.';
      if (left < 0) return `There are only ${showMass(block.leftGrams, units)} left of this block.`;
      if (left > block.netGrams)
        return `This block had ${showMass(block.netGrams, units)} when it was new. Add another block instead.`;
      return left;
    },
    (wrong) => wrong.message,
  );
}

interface TakeOrAddProps {
  readonly block: BlockDto;
  readonly name: string;
}

/** Clay taken from a block, or put back. */
export function TakeOrAdd({ block, name }: TakeOrAddProps): ReactElement {
  const units = useUnits();
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const move = (sign: 1 | -1): void => {
    const leftGrams = leftAfter(block, text, sign, units);
    if (typeof leftGrams === 'string') {
      setWrong(leftGrams);
      return;
    }
    setWrong(null);
    setText('');
    void change('PUT', `/api/blocks/${block.id}`, { ...block, leftGrams });
  };
  return (
    <Box
      as="form"
      {...UNSENT}
      onSubmit={(e) => {
        e.preventDefault();
        move(-1);
      }}
    >
      <Box as="h3" marginBottom={2}>
        Take or add
      </Box>
      <Flex gap={2}>
        <Field
          aria-label={`Weight of ${name} to take or add`}
          placeholder={showMass(EXAMPLE, units)}
          value={text}
          onChange={(e) => {
            setText(e.currentTarget.value);
            setWrong(null);
          }}
        />
        <Action main type="submit">
          Take
        </Action>
        <Action
          type="button"
          onClick={() => {
            move(1);
          }}
        >
          Add
        </Action>
      </Flex>
      {wrong !== null ? <Warning>{wrong}</Warning> : <Caption>from {showMass(block.leftGrams, units)}</Caption>}
    </Box>
  );
}
