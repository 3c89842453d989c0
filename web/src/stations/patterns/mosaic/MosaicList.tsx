import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { newMosaic } from '#core/mosaic';
import { sentenceOf } from '#core/units';
import type { MosaicAnswer, MosaicCard, MosaicDto } from '#contract';
import { FileWord } from '../../../parts/FileWord.js';
import { freeName, takenNames } from '../../../parts/names.js';
import { nameOfFile, sourceOf } from '../../../parts/openPhotograph.js';
import { Warning } from '../../../parts/Warning.js';
import { Second } from '../../../theme/pieces.js';
import { useMosaics } from '../../../wire/queries.js';
import { change } from '../../../wire/save.js';
import { mosaicShades } from '../../../workers/mosaic.js';
import { keepPicture } from '../keptPicture.js';
import { shadeOf } from './mosaicMoves.js';

/** A new mosaic of a picture, with its shades. @throws Complaint */
async function begun(file: File, cards: readonly MosaicCard[]): Promise<string | null> {
  const mosaic = newMosaic(await keepPicture(file));
  const labs = await mosaicShades(mosaic.pictureId ?? '', mosaic.colours, mosaic.run);
  const dto: MosaicDto = {
    ...{ id: crypto.randomUUID(), version: 0, note: '' },
    name: freeName(nameOfFile(file.name, 'Mosaic'), takenNames(cards)),
    mosaic: { ...mosaic, shades: labs.map(shadeOf) },
  };
  return (await change<MosaicAnswer>('PUT', `/api/mosaics/${dto.id}`, dto)) && dto.id;
}

/** Mosaics that are planned, and the way to a new one. */
export function MosaicList(): ReactElement {
  const navigate = useNavigate();
  const cards = useMosaics().data ?? [];
  const [wrong, setWrong] = useState<string | null>(null);
  const open = async (file: File): Promise<void> => {
    setWrong(null);
    try {
      const id = await begun(file, cards);
      if (id !== null) void navigate(`/patterns/mosaic/${id}`);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return (
    <Box marginTop={3}>
      <FileWord label="A picture for a mosaic" accept="image/*,.svg" onFile={(file) => void open(file)}>
        a mosaic of threads
      </FileWord>
      <Second> from a picture or a drawing: its shades, its threads, where each piece lies</Second>
      {wrong !== null && <Warning>{wrong}</Warning>}
      {cards.length > 0 && (
        <Flex as="ul" gap={4} wrap="wrap" marginTop={2} aria-label="Your mosaics">
          {cards.map(({ id, name, pictureId }) => (
            <Box as="li" key={id} width="120px" fontSize="small">
              <Link to={`/patterns/mosaic/${id}`}>
                {pictureId !== null && (
                  <img src={sourceOf(pictureId)} alt="" style={{ height: 90, maxWidth: 120, objectFit: 'cover' }} />
                )}
                {name}
              </Link>
            </Box>
          ))}
        </Flex>
      )}
    </Box>
  );
}
