import { Box } from '@chakra-ui/react';
import { useRef, useState, type ReactElement } from 'react';
import type { Lab } from '#core/colour';
import { sentenceOf } from '#core/units';
import { FileField } from '../../parts/FileWord.js';
import { Warning } from '../../parts/Warning.js';
import { Action, Caption } from '../../theme/pieces.js';
import { openPicture } from '../../workers/picture.js';
import { FromPhotograph } from './palettes/FromPhotograph.js';

/** A photograph that stays in this window; another number for each that is opened. */
function useOpened() {
  const [photo, setPhoto] = useState<{ readonly file: Blob; readonly number: number } | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const open = async (file: File): Promise<void> => {
    const number = (photo?.number ?? 0) + 1;
    setPhoto(null);
    try {
      const { bytes, type } = await openPicture(file);
      setPhoto({ file: new Blob([bytes as Uint8Array<ArrayBuffer>], { type }), number });
      setWrong(null);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return { photo, wrong, open };
}

/** The colour of a chip out of a photograph of it: first something grey, then the chip. */
export function PhotoLine({ onRead }: { readonly onRead: (lab: Lab) => void }): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  const { photo, wrong, open } = useOpened();
  return (
    <Box marginTop={2} fontSize="small" role="group" aria-label="Photograph of the chip">
      <FileField
        field={input}
        label="Photograph of the chip to open"
        accept="image/*"
        onFile={(file) => {
          void open(file);
        }}
      />
      <Action
        onClick={() => {
          input.current?.click();
        }}
      >
        Open a photograph of it
      </Action>
      {photo && <FromPhotograph key={photo.number} source={photo.file} what="the chip" onRead={onRead} />}
      {wrong !== null && <Warning>{wrong}</Warning>}
      {!photo && <Caption> it stays on this machine</Caption>}
    </Box>
  );
}
