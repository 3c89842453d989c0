import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import type { IngredientDto, MixAnswer, MixDto, ShelfAnswer } from '#contract';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { Field, Plus, Second } from '../../theme/pieces.js';
import { change, useSaid } from '../../wire/save.js';
import { Warning } from '../../parts/Warning.js';
import { NotationField } from './NotationField.js';
import { useKeys } from '../../state/keys.js';

/** A mix before its first disc: it is saved as soon as it has one. */
export function NewMix({ count, shelf }: { readonly count: number; readonly shelf: ShelfAnswer }): ReactElement {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [picking, setPicking] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const clays = shelf.clays.filter((c) => !c.retired).slice(0, 12);
  useKeys('A new mix', [{ key: 'a', does: 'Add a clay', run: () => { setPicking(true); } }]);
  const begin = async (ingredients: readonly IngredientDto[]): Promise<boolean> => {
    const dto: MixDto = {
      id: crypto.randomUUID(), version: 0, name: name.trim() === '' ? `Mix ${count + 1}` : name.trim(), note: '', retired: false, basis: 'volume', ingredients: [...ingredients],
    };
    const path = `/api/mixes/${dto.id}`;
    const saved = await change<MixAnswer>('PUT', path, dto);
    if (saved) { void navigate(path.replace('/api', ''), { replace: true }); return true; }
    setWrong(useSaid.getState().refused[path]?.message ?? null);
    return false;
  };
  const one = (clayId: string | null, revisionId: string | null): void => { void begin([{ parts: '1', clayId, revisionId }]); };
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto">
      <h1>A new mix</h1>
      <Box maxWidth="420px">
        <Field autoFocus aria-label="Name of the mix" placeholder={`name, or leave it as Mix ${count + 1}`} value={name} onChange={(e) => { setName(e.currentTarget.value); setWrong(null); }} />
        {wrong !== null && <Warning>{wrong}</Warning>}
      </Box>
      <Box background="tile" border="rule" padding={4} maxWidth="640px">
        <Box marginBottom={3}>Lay down the first disc:</Box>
        <Flex wrap="wrap" gap={3}>
          {clays.map((clay) => (
            <Box as="button" key={clay.id} textAlign="center" width="88px" onClick={() => { one(clay.id, null); }}>
              <Box width="64px" height="64px" borderRadius="50%" margin="0 auto 4px" style={{ background: `#${clay.bakedHex}` }} />
              <Box fontSize="caption" fontWeight={600}>{clay.name}</Box>
            </Box>
          ))}
          <Plus aria-label="Add a clay or a mix" onClick={() => { setPicking(true); }}>+</Plus>
        </Flex>
        {picking && <Box marginTop={3}><MaterialPicker label="First clay of the mix" onPick={(p) => { one(p.clayId, p.revisionId); }} onCancel={() => { setPicking(false); }} /></Box>}
      </Box>
      <Box maxWidth="640px">
        <Second>or write it: </Second>
        <NotationField notation="" onRead={(answer) => { void begin(answer.ingredients); }} />
      </Box>
    </Flex>
  );
}
