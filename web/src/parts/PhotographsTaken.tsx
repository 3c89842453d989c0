import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { sentenceOf } from '#core/units';
import { MOST_PICTURES } from '#contract/limits';
import { Word } from '../theme/pieces.js';
import { FileWord } from './FileWord.js';
import { keepPhotographLater, sourceOf } from './openPhotograph.js';
import { Warning } from './Warning.js';

/** px of a photograph that was just taken. */
const SIZE = 132;

interface PhotographsTakenProps {
  /** ids, in their order */
  readonly pictures: readonly string[];
  readonly onChange: (pictures: readonly string[]) => void;
}

/** Photographs that go with what is written down: from the camera of what is in the hand, or from files. */
export function PhotographsTaken({ pictures, onChange }: PhotographsTakenProps): ReactElement {
  const [wrong, setWrong] = useState<string | null>(null);
  const take = async (file: File): Promise<void> => {
    setWrong(null);
    try {
      onChange([...pictures, await keepPhotographLater(file)]);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return (
    <Flex gap={4} wrap="wrap" alignItems="flex-end" role="group" aria-label="Photographs taken">
      {pictures.map((id, i) => (
        <Box key={id}>
          <img
            src={sourceOf(id)}
            alt={`Photograph ${i + 1}`}
            style={{ width: SIZE, height: SIZE, objectFit: 'cover', display: 'block' }}
          />
          <Word
            fontSize="small"
            aria-label={`Let go photograph ${i + 1}`}
            onClick={() => {
              onChange(pictures.filter((one) => one !== id));
            }}
          >
            let it go
          </Word>
        </Box>
      ))}
      {pictures.length < MOST_PICTURES && (
        <FileWord
          label="Photograph for the diary"
          accept="image/*"
          onFile={(file) => {
            void take(file);
          }}
        >
          {pictures.length === 0 ? 'a photograph of it' : 'one more'}
        </FileWord>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Flex>
  );
}
