import { ofClay, type Mixable } from '#core/material';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { IngredientDto, ShelfAnswer } from '#contract';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { Field, Plus, Second } from '../../theme/pieces.js';
import { Warning } from '../../parts/Warning.js';
import { NotationField } from './NotationField.js';
import { useMakeMix } from './useMakeMix.js';
import { useKeys } from '../../state/keys.js';

/** Clays that are laid out to begin with. */
const LAID_OUT = 12;

interface FirstDiscProps {
  readonly shelf: ShelfAnswer;
  readonly onFirst: (of: Mixable) => void;
}

/** The first disc: one of some clays, or any clay or mix. */
function FirstDisc({ shelf, onFirst }: FirstDiscProps): ReactElement {
  const [picking, setPicking] = useState(false);
  const begin = (): void => {
    setPicking(true);
  };
  useKeys('A new mix', [{ key: 'a', does: 'Add a clay', run: begin }]);
  const clays = shelf.clays.filter((c) => !c.retired).slice(0, LAID_OUT);
  return (
    <Box background="tile" border="rule" padding={4} maxWidth="640px">
      <Box marginBottom={3}>Lay down the first disc:</Box>
      <Flex wrap="wrap" gap={3}>
        {clays.map((clay) => (
          <Box
            as="button"
            key={clay.id}
            textAlign="center"
            width="88px"
            onClick={() => {
              onFirst(ofClay(clay.id));
            }}
          >
            <Box
              width="64px"
              height="64px"
              borderRadius="50%"
              margin="0 auto 4px"
              style={{ background: `#${clay.bakedHex}` }}
            />
            <Box fontSize="caption" fontWeight={600}>
              {clay.name}
            </Box>
          </Box>
        ))}
        <Plus aria-label="Add a clay or a mix" onClick={begin}>
          +
        </Plus>
      </Flex>
      {picking && (
        <Box marginTop={3}>
          <MaterialPicker
            place="ingredient"
            label="First clay of the mix"
            onPick={(p) => {
              onFirst(p.of);
            }}
            onCancel={() => {
              setPicking(false);
            }}
          />
        </Box>
      )}
    </Box>
  );
}

interface NewMixProps {
  readonly count: number;
  readonly shelf: ShelfAnswer;
}

/** A mix before its first disc: it is saved as soon as it has one. */
export function NewMix({ count, shelf }: NewMixProps): ReactElement {
  const [name, setName] = useState('');
  const { make, wrong, forget } = useMakeMix();
  const begin = (ingredients: readonly IngredientDto[]): void => {
    void make(name.trim() === '' ? `Mix ${count + 1}` : name.trim(), ingredients, { replace: true });
  };
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto">
      <h1>A new mix</h1>
      <Box maxWidth="420px">
        <Field
          autoFocus
          aria-label="Name of the mix"
          placeholder={`name, or leave it as Mix ${count + 1}`}
          value={name}
          onChange={(e) => {
            setName(e.currentTarget.value);
            forget();
          }}
        />
        {wrong !== null && <Warning>{wrong}</Warning>}
      </Box>
      <FirstDisc
        shelf={shelf}
        onFirst={(of) => {
          begin([{ parts: '1', of }]);
        }}
      />
      <Box maxWidth="640px">
        <Second>or write it: </Second>
        <NotationField
          notation=""
          onRead={(answer) => {
            begin(answer.ingredients);
          }}
        />
      </Box>
    </Flex>
  );
}
