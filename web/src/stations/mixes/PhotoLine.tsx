import { FileField } from '../../parts/FileWord.js';
import { Box } from '@chakra-ui/react';
import { useRef, useState, type ReactElement } from 'react';
import type { Lab } from '#core/colour';
import { NO_CAST, type Gains } from '#core/picture';
import { sentenceOf } from '#core/units';
import { Warning } from '../../parts/Warning.js';
import { Action, Caption, Word } from '../../theme/pieces.js';
import { askPicture, openPicture } from '../../workers/picture.js';
import { Picture } from './palettes/Picture.js';

/** Side of the patch that is averaged, in pixels: a chip fills a good part of its photograph. */
const PATCH = 15;
const ROOM = { width: 320, height: 230 };

type Purpose = 'neutral' | 'colour';

/** A photograph, its light, and what the next click in it takes. */
function usePhotograph(onRead: (lab: Lab) => void) {
  const [photo, setPhoto] = useState<Blob | null>(null);
  const [gains, setGains] = useState<Gains>(NO_CAST);
  const [purpose, setPurpose] = useState<Purpose>('neutral');
  const [wrong, setWrong] = useState<string | null>(null);
  const attempt = async (what: () => Promise<void>): Promise<void> => {
    try {
      await what();
      setWrong(null);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  const open = async (file: File): Promise<void> => {
    setPhoto(null);
    setGains(NO_CAST);
    setPurpose('neutral');
    await attempt(async () => {
      const { bytes, type } = await openPicture(file);
      setPhoto(new Blob([bytes as Uint8Array<ArrayBuffer>], { type }));
    });
  };
  const takeNeutral = async (x: number, y: number): Promise<void> => {
    const to = await askPicture((worker) => worker.neutralAt(x, y, PATCH));
    if (!to) return;
    setGains(to);
    setPurpose('colour');
  };
  const takeColour = async (x: number, y: number): Promise<void> => {
    const lab = await askPicture((worker) => worker.colourAt(x, y, PATCH, gains));
    if (lab) onRead(lab);
  };
  const point = (x: number, y: number): Promise<void> =>
    attempt(() => (purpose === 'neutral' ? takeNeutral(x, y) : takeColour(x, y)));
  return { photo, gains, purpose, setPurpose, wrong, open, point };
}

interface WhatNextProps {
  readonly purpose: Purpose;
  readonly onPurpose: (purpose: Purpose) => void;
}

/** What the next click takes. */
function WhatNext({ purpose, onPurpose }: WhatNextProps): ReactElement {
  if (purpose === 'neutral')
    return (
      <Box marginBottom={1}>
        Click something grey or white in it,{' '}
        <Word
          onClick={() => {
            onPurpose('colour');
          }}
        >
          or take it as it is
        </Word>
        .
      </Box>
    );
  return (
    <Box marginBottom={1}>
      Now click the chip.{' '}
      <Word
        onClick={() => {
          onPurpose('neutral');
        }}
      >
        another grey
      </Word>
    </Box>
  );
}

/** The colour of a chip out of a photograph of it: first something grey, then the chip. */
export function PhotoLine({ onRead }: { readonly onRead: (lab: Lab) => void }): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  const { photo, gains, purpose, setPurpose, wrong, open, point } = usePhotograph(onRead);
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
      {photo && (
        <Box marginTop={2}>
          <WhatNext purpose={purpose} onPurpose={setPurpose} />
          <Picture
            source={photo}
            room={ROOM}
            gains={gains}
            patch={PATCH}
            purpose={purpose}
            onPoint={(x, y) => {
              void point(x, y);
            }}
          />
        </Box>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
      {!photo && <Caption> it stays on this machine</Caption>}
    </Box>
  );
}
