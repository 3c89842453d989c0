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

/** A mix before its first disc: it is saved as soon as it has one. */
export function NewMix({ count, shelf }: { readonly count: number; readonly shelf: ShelfAnswer }): ReactElement {
  const [name, setName] = useState('');
  const [picking, setPicking] = useState(false);
  const { make, wrong, forget } = useMakeMix();
  const clays = shelf.clays.filter((c) => !c.retired).slice(0, 12);
  useKeys('A new mix', [
    {
      key: 'a',
      does: 'Add a clay',
      run: () => {
        setPicking(true);
      },
    },
  ]);
  const begin = (ingredients: readonly IngredientDto[]): void => {
    void make(name.trim() === '' ? `Mix ${count + 1}` : name.trim(), ingredients, { replace: true });
  };
  const one = (of: Mixable): void => {
    begin([{ parts: '1', of }]);
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
                one(ofClay(clay.id));
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
          <Plus
            aria-label="Add a clay or a mix"
            onClick={() => {
              setPicking(true);
            }}
          >
            +
          </Plus>
        </Flex>
        {picking && (
          <Box marginTop={3}>
            <MaterialPicker
              place="ingredient"
              label="First clay of the mix"
              onPick={(p) => {
                one(p.of);
              }}
              onCancel={() => {
                setPicking(false);
              }}
            />
          </Box>
        )}
      </Box>
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
