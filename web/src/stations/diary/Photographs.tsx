import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { sentenceOf } from '#core/units';
import type { DiaryAnswer, EntryPictureDto } from '#contract/diary';
import { MOST_PICTURES } from '#contract/limits';
import { FileWord } from '../../parts/FileWord.js';
import { Warning } from '../../parts/Warning.js';
import { keepPhotographLater, smallSourceOf, sourceOf } from '../../parts/openPhotograph.js';
import { Word } from '../../theme/pieces.js';
import { saveEntry, type Told } from './saveEntry.js';

type Entry = Told & Pick<DiaryAnswer, 'title'>;

/** px of one photograph. */
const SIZE = 220;

function OnePhotograph({
  id,
  title,
  number,
  onLetGo,
}: {
  readonly id: string;
  readonly title: string;
  readonly number: number;
  readonly onLetGo: () => void;
}): ReactElement {
  const words = `Photograph ${number} of ${title}`;
  return (
    <Box as="li" maxWidth="100%">
      <a href={sourceOf(id)} target="_blank" rel="noreferrer" aria-label={`${words}, large`}>
        <img
          src={smallSourceOf(id)}
          alt={words}
          style={{ width: SIZE, height: SIZE, objectFit: 'cover', display: 'block', maxWidth: '100%' }}
        />
      </a>
      <Word fontSize="small" aria-label={`Let go ${words}`} onClick={onLetGo}>
        let it go
      </Word>
    </Box>
  );
}

/** Photographs of what was made, taken with the camera of a tablet or a phone, or opened as files. */
export function Photographs({ entry }: { readonly entry: Entry }): ReactElement {
  const [wrong, setWrong] = useState<string | null>(null);
  const save = (pictures: readonly EntryPictureDto[]): void => {
    saveEntry(entry, { pictures });
  };
  const add = async (file: File): Promise<void> => {
    setWrong(null);
    try {
      const id = await keepPhotographLater(file);
      save([...entry.pictures, { id }]);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return (
    <Box as="section" aria-label="Photographs">
      {entry.pictures.length > 0 && (
        <Flex as="ul" gap={4} wrap="wrap" marginBottom={2}>
          {entry.pictures.map(({ id }, i) => (
            <OnePhotograph
              key={id}
              id={id}
              title={entry.title}
              number={i + 1}
              onLetGo={() => {
                save(entry.pictures.filter((one) => one.id !== id));
              }}
            />
          ))}
        </Flex>
      )}
      {entry.pictures.length < MOST_PICTURES && (
        <FileWord
          label="Photograph of what was made"
          accept="image/*"
          onFile={(file) => {
            void add(file);
          }}
        >
          a photograph
        </FileWord>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
