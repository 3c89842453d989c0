import { Box, Flex } from '@chakra-ui/react';
import { useId, useState, type ReactElement } from 'react';
import { cutterOfSize, readCutter, showCutter, type Cutter } from '#core/cutter';
import { orSentence, sentenceOf } from '#core/units';
import { FileWord } from '../../../parts/FileWord.js';
import { asName, freeName } from '../../../parts/names.js';
import { Warning } from '../../../parts/Warning.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Field } from '../../../theme/pieces.js';
import { change } from '../../../wire/save.js';
import { readAside } from '../../../workers/reading.js';
import { CutterArt } from '../../../parts/cutters/CutterTile.js';
import { newCutter } from '../../../parts/cutters/ownCutters.js';
import { cutterFrom, readCorners } from './corners.js';

const EXAMPLE: Cutter = { shape: 'leaf', width: 18, height: 30 };

/** px that the picture of a new one may have. */
const ROOM = 120;

interface NewCutterProps {
  readonly taken: readonly string[];
  readonly onKept: (id: string) => void;
}

/** What is typed: a shape with its size, or corners. */
function typedCutter(text: string, units: 'metric' | 'imperial'): Cutter {
  return /^\s*-?\d+(\.\d+)?\s*[ ,]\s*-?\d+(\.\d+)?\s*[,;]/.test(text)
    ? readCorners(text)
    : readCutter(text, units, cutterOfSize(20, null));
}

/** What is typed of a new cutter, and the ways it comes into the drawer. */
function useNewCutter({ taken, onKept }: NewCutterProps) {
  const units = useUnits();
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const typed = text.trim() === '' ? null : orSentence(() => typedCutter(text, units));
  const cutter = typed !== null && typeof typed !== 'string' ? typed : null;
  const keep = async (made: Cutter, called: string): Promise<void> => {
    const dto = newCutter(made, freeName(asName(called), new Set(taken.map((name) => name.toLowerCase()))));
    if ((await change('PUT', `/api/cutters/${dto.id}`, dto)) === null) return;
    setText('');
    onKept(dto.id);
  };
  const put = (): void => {
    setWrong(typeof typed === 'string' ? typed : null);
    if (cutter) void keep(cutter, showCutter(cutter, units));
  };
  const takeDrawing = async (file: File): Promise<void> => {
    const drawn = await readAside(file, async (reader) => reader.svg(file));
    await keep(cutterFrom(drawn), file.name.replace(/\.svg$/i, ''));
  };
  const fromFile = (file: File): void => {
    takeDrawing(file).catch((error: unknown) => {
      setWrong(sentenceOf(error));
    });
  };
  const type = (next: string): void => {
    setText(next);
    setWrong(null);
  };
  return { text, type, wrong, cutter, put, fromFile };
}

/** A cutter more: written down, by its corners, or out of a drawing. */
export function NewCutter(props: NewCutterProps): ReactElement {
  const id = useId();
  const units = useUnits();
  const { text, type, wrong, cutter, put, fromFile } = useNewCutter(props);
  return (
    <Box>
      <Box as="h2" marginBottom={2}>
        One more
      </Box>
      <label htmlFor={id}>
        <Caption>shape and size, or its corners in mm</Caption>
      </label>
      <Flex gap={2}>
        <Field
          id={id}
          aria-label="A cutter more: shape and size, or its corners in mm"
          value={text}
          placeholder={showCutter(EXAMPLE, units)}
          autoComplete="off"
          onChange={(e) => {
            type(e.currentTarget.value);
          }}
          onKeyDown={(e) => {
            if (e.key === 'Enter') put();
          }}
        />
        <Action onClick={put} disabled={text.trim() === ''}>
          Put in
        </Action>
      </Flex>
      {cutter && (
        <Box marginTop={2}>
          <CutterArt cutter={cutter} scale={Math.min(3, ROOM / Math.max(cutter.width, cutter.height))} />
        </Box>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
      <Box fontSize="small" marginTop={2}>
        or{' '}
        <FileWord label="A drawing of the cutter" accept=".svg,image/svg+xml" onFile={fromFile}>
          take its outline from an SVG drawing
        </FileWord>
      </Box>
    </Box>
  );
}
