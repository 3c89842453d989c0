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

/** The colour of a chip out of a photograph of it: first something grey, then the chip. */
export function PhotoLine({ onRead }: { readonly onRead: (lab: Lab) => void }): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  const [photo, setPhoto] = useState<Blob | null>(null);
  const [gains, setGains] = useState<Gains>(NO_CAST);
  const [purpose, setPurpose] = useState<'neutral' | 'colour'>('neutral');
  const [wrong, setWrong] = useState<string | null>(null);
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setWrong(null);
    setPhoto(null);
    try {
      const { bytes, type } = await openPicture(file);
      setPhoto(new Blob([bytes as Uint8Array<ArrayBuffer>], { type }));
    } catch (error) {
      setWrong(sentenceOf(error));
    }
    setGains(NO_CAST);
    setPurpose('neutral');
  };
  const point = async (x: number, y: number): Promise<void> => {
    try {
      if (purpose === 'neutral') {
        const to = await askPicture((worker) => worker.neutralAt(x, y, PATCH));
        if (to) {
          setGains(to);
          setPurpose('colour');
        }
      } else {
        const lab = await askPicture((worker) => worker.colourAt(x, y, PATCH, gains));
        if (lab) onRead(lab);
      }
      setWrong(null);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return (
    <Box marginTop={2} fontSize="small" role="group" aria-label="Photograph of the chip">
      <input
        ref={input}
        type="file"
        accept="image/*"
        aria-label="Photograph of the chip to open"
        tabIndex={-1}
        style={{ position: 'absolute', opacity: 0, width: 1, height: 1 }}
        onChange={(e) => {
          void open(e.currentTarget.files?.[0]);
          e.currentTarget.value = '';
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
          <Box marginBottom={1}>
            {purpose === 'neutral' ? (
              <>
                Click something grey or white in it,{' '}
                <Word
                  onClick={() => {
                    setPurpose('colour');
                  }}
                >
                  or take it as it is
                </Word>
                .
              </>
            ) : (
              <>
                Now click the chip.{' '}
                <Word
                  onClick={() => {
                    setPurpose('neutral');
                  }}
                >
                  another grey
                </Word>
              </>
            )}
          </Box>
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
