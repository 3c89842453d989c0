import { Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { writePattern } from '#core/formats';
import type { PatternAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { saveFile } from '../../../parts/saveFile.js';
import { Warning } from '../../../parts/Warning.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { patternFile } from '../../../workers/pattern.js';
import type { BenchPattern } from '../usePattern.js';

const SIZES = ['1024', '2048', '4096'].map((value) => ({ value, text: `${value} px` }));

interface SaveProps {
  readonly pattern: PatternAnswer;
  readonly bench: BenchPattern;
  readonly at: number;
}

/** Painting a face for a file, which takes its time and can be stopped. */
function usePainting({ pattern, bench, at }: SaveProps) {
  const [share, setShare] = useState(0);
  const [going, setGoing] = useState<AbortController | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const save = async (size: number): Promise<void> => {
    const own = new AbortController();
    setGoing(own);
    setShare(0);
    setWrong(null);
    try {
      const wish = { pattern: bench.plain, at, view: { of: 'face' } as const, size, paints: bench.paints };
      const file = await patternFile(wish, setShare, own.signal);
      if (file) saveFile(pattern.name, 'png', 'image/png', file);
    } catch {
      setWrong('This picture could not be painted here. Take a smaller one.');
    }
    setGoing(null);
  };
  return { share, going, wrong, save };
}

/** The face as a picture, and the patterned sheet as a document. */
export function SavePattern(props: SaveProps): ReactElement {
  const { pattern, bench } = props;
  const [size, setSize] = useState('2048');
  const { share, going, wrong, save } = usePainting(props);
  const document = (): void => {
    const materials = [...bench.materials].map(([key, m]) => [key, { name: m.name, hexes: m.hexes }]);
    const file = { name: pattern.name, program: pattern.program, materials: Object.fromEntries(materials) as never };
    saveFile(pattern.name, 'json', 'application/json', writePattern(file));
  };
  return (
    <>
      <span>
        <Word aria-label="Face as PNG" disabled={going !== null} onClick={() => void save(Number(size))}>
          PNG
        </Word>{' '}
        of <Choice label="Size of the picture" value={size} options={SIZES} onChange={setSize} />
      </span>
      <Word aria-label="Patterned sheet as JSON" onClick={document}>
        JSON
      </Word>
      {going && (
        <Flex gap={2}>
          <progress value={share} aria-label="Painting the face" />
          <Caption>{Math.round(100 * share)} %</Caption>
          <Word
            onClick={() => {
              going.abort();
            }}
          >
            stop
          </Word>
        </Flex>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </>
  );
}
