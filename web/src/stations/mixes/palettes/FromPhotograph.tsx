import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { Lab } from '#core/colour';
import { NO_CAST, type Gains } from '#core/picture';
import { sentenceOf } from '#core/units';
import { Warning } from '../../../parts/Warning.js';
import { Word } from '../../../theme/pieces.js';
import { askPicture } from '../../../workers/picture.js';
import { Picture } from './Picture.js';

/** Side of the patch that is averaged, in pixels: a chip fills a good part of its photograph. */
const PATCH = 15;
const ROOM = { width: 320, height: 230 };

type Purpose = 'neutral' | 'colour';

/** The light of a photograph, and what the next click in it takes. */
function useLight(onRead: (lab: Lab, neutral: boolean) => void) {
  const [gains, setGains] = useState<Gains>(NO_CAST);
  const [purpose, setPurpose] = useState<Purpose>('neutral');
  const [wrong, setWrong] = useState<string | null>(null);
  const takeNeutral = async (x: number, y: number): Promise<void> => {
    const to = await askPicture((worker) => worker.neutralAt(x, y, PATCH));
    if (!to) return;
    setGains(to);
    setPurpose('colour');
  };
  const takeColour = async (x: number, y: number): Promise<void> => {
    const lab = await askPicture((worker) => worker.colourAt(x, y, PATCH, gains));
    if (lab) onRead(lab, gains !== NO_CAST);
  };
  const point = async (x: number, y: number): Promise<void> => {
    try {
      await (purpose === 'neutral' ? takeNeutral(x, y) : takeColour(x, y));
      setWrong(null);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return { gains, purpose, setPurpose, wrong, point };
}

interface WhatNextProps {
  readonly purpose: Purpose;
  /** what is clicked after the grey */
  readonly what: string;
  readonly onPurpose: (purpose: Purpose) => void;
}

/** What the next click takes. */
function WhatNext({ purpose, what, onPurpose }: WhatNextProps): ReactElement {
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
      Now click {what}.{' '}
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

interface FromPhotographProps {
  /** a picture that is kept, by its id, or a file */
  readonly source: string | Blob;
  readonly what: string;
  /** @param neutral whether something grey told the light */
  readonly onRead: (lab: Lab, neutral: boolean) => void;
}

/** A colour out of a photograph: first something grey, which tells the light, then what is looked at. */
export function FromPhotograph({ source, what, onRead }: FromPhotographProps): ReactElement {
  const { gains, purpose, setPurpose, wrong, point } = useLight(onRead);
  return (
    <Box marginTop={2}>
      <WhatNext purpose={purpose} what={what} onPurpose={setPurpose} />
      <Picture
        source={source}
        room={ROOM}
        gains={gains}
        patch={PATCH}
        purpose={purpose}
        onPoint={(x, y) => {
          void point(x, y);
        }}
      />
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
