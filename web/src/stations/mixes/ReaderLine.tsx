import { Box } from '@chakra-ui/react';
import { useEffect, useState, type ReactElement } from 'react';
import { deltaE, type Lab, type Stage } from '#core/colour';
import { sentenceOf } from '#core/units';
import { Warning } from '../../parts/Warning.js';
import { Action, Caption, Word } from '../../theme/pieces.js';
import {
  NoReading,
  calibrateReader,
  connectReader,
  letReaderGo,
  readOnce,
  useReader,
  type ReaderState,
} from '../../wire/reader.js';

/** A chip is read so many times and the mean is taken: a single reading is noisy. */
const TIMES = 3;
/** Readings that lie farther apart than this are not of one place. */
const APART = 3;
/** So many readings before it has to, a reader had better be calibrated. */
const SOON = 6;

interface ReaderLineProps {
  readonly revisionId: string;
  readonly stage: Stage;
  readonly onRead: (lab: Lab) => void;
}

const mean = (labs: readonly Lab[]): Lab => ({
  l: labs.reduce((sum, x) => sum + x.l, 0) / labs.length,
  a: labs.reduce((sum, x) => sum + x.a, 0) / labs.length,
  b: labs.reduce((sum, x) => sum + x.b, 0) / labs.length,
});

/** Several readings of one place, and their mean. @throws NoReading where they lie too far apart */
async function readChip(revisionId: string, stage: Stage): Promise<{ readonly lab: Lab; readonly off: number }> {
  const labs: Lab[] = [];
  while (labs.length < TIMES) labs.push(await readOnce(revisionId, stage));
  const lab = mean(labs);
  const off = Math.max(...labs.map((one) => deltaE(one, lab)));
  if (off > APART)
    throw new NoReading(`The readings lie ΔE ${off.toFixed(1)} apart. Lay the chip flat and read again.`);
  return { lab, off };
}

/** What is done with the reader, one thing at a time. */
function useReading({ revisionId, stage, onRead }: ReaderLineProps) {
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  useEffect(() => letReaderGo, []);
  const attempt = async (what: () => Promise<string>): Promise<void> => {
    setBusy(true);
    setWrong(null);
    try {
      setSaid(await what());
    } catch (error) {
      setWrong(sentenceOf(error));
    }
    setBusy(false);
  };
  const read = (): void => {
    void attempt(async () => {
      const { lab, off } = await readChip(revisionId, stage);
      onRead(lab);
      return `mean of ${TIMES} readings, within ΔE ${off.toFixed(1)}`;
    });
  };
  const calibrate = (): void => {
    void attempt(async () => {
      await calibrateReader();
      return 'calibrated';
    });
  };
  return { busy, said: wrong === null ? said : null, wrong, read, calibrate };
}

type Reading = ReturnType<typeof useReading>;

interface ThereProps {
  readonly state: ReaderState;
  readonly reading: Reading;
}

/** The reader is there: read with it, or show it white first. */
function There({ state, reading: { busy, said, read, calibrate } }: ThereProps): ReactElement {
  if (!state.calibrated)
    return (
      <>
        <Action disabled={busy} onClick={calibrate}>
          Calibrate on white
        </Action>
        <Caption> {said === null ? '' : `${said} · `}lay it on its white tile first</Caption>
      </>
    );
  return (
    <>
      <Action disabled={busy} onClick={read}>
        {busy ? 'reading …' : 'Read the chip'}
      </Action>
      <Caption>
        {' '}
        {said === null ? '' : `${said} · `}
        {state.readingsLeft <= SOON ? `only ${state.readingsLeft} readings until it wants white again; ` : ''}
        <Word onClick={calibrate}>calibrate</Word>
      </Caption>
    </>
  );
}

/** The colour reader: find it, show it white, read the chip. */
export function ReaderLine(props: ReaderLineProps): ReactElement {
  const { link, state } = useReader();
  const reading = useReading(props);
  return (
    <Box marginTop={2} fontSize="small" aria-label="Colour reader" role="group">
      {link === 'none' && <Action onClick={connectReader}>Connect the reader</Action>}
      {link === 'looking' && <Caption>looking for the reader …</Caption>}
      {link === 'away' && <Caption>The reader is gone; looking for it …</Caption>}
      {link === 'there' && state && <There state={state} reading={reading} />}
      {reading.wrong !== null && <Warning>{reading.wrong}</Warning>}
      {state?.standIn && (
        <Box>
          <Caption>
            This reader is a stand-in that comes with Sledge: it makes its readings up from the recipe, with noise and
            drift.
          </Caption>
        </Box>
      )}
    </Box>
  );
}
