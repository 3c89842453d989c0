import { Box } from '@chakra-ui/react';
import { useEffect, useState, type ReactElement } from 'react';
import { deltaE, type Lab, type Stage } from '#core/colour';
import { sentenceOf } from '#core/units';
import { Warning } from '../../parts/Warning.js';
import { Action, Caption, Word } from '../../theme/pieces.js';
import { NoReading, calibrateReader, connectReader, letReaderGo, readOnce, useReader } from '../../wire/reader.js';

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

/** The colour reader: find it, show it white, read the chip. */
export function ReaderLine({ revisionId, stage, onRead }: ReaderLineProps): ReactElement {
  const { link, state } = useReader();
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
  const read = async (): Promise<string> => {
    const labs: Lab[] = [];
    while (labs.length < TIMES) labs.push(await readOnce(revisionId, stage));
    const middle = mean(labs);
    const off = Math.max(...labs.map((lab) => deltaE(lab, middle)));
    if (off > APART)
      throw new NoReading(`The readings lie ΔE ${off.toFixed(1)} apart. Lay the chip flat and read again.`);
    onRead(middle);
    return `mean of ${TIMES} readings, within ΔE ${off.toFixed(1)}`;
  };
  const calibrate = async (): Promise<string> => {
    await calibrateReader();
    return 'calibrated';
  };
  return (
    <Box marginTop={2} fontSize="small" aria-label="Colour reader" role="group">
      {link === 'none' && <Action onClick={connectReader}>Connect the reader</Action>}
      {link === 'looking' && <Caption>looking for the reader …</Caption>}
      {link === 'away' && <Caption>The reader is gone; looking for it …</Caption>}
      {link === 'there' &&
        state &&
        (state.calibrated ? (
          <Action
            disabled={busy}
            onClick={() => {
              void attempt(read);
            }}
          >
            {busy ? 'reading …' : 'Read the chip'}
          </Action>
        ) : (
          <Action
            disabled={busy}
            onClick={() => {
              void attempt(calibrate);
            }}
          >
            Calibrate on white
          </Action>
        ))}
      {link === 'there' && state && (
        <Caption>
          {' '}
          {said !== null && wrong === null ? `${said} · ` : ''}
          {state.calibrated ? (
            <>
              {state.readingsLeft <= SOON ? `only ${state.readingsLeft} readings until it wants white again; ` : ''}
              <Word
                onClick={() => {
                  void attempt(calibrate);
                }}
              >
                calibrate
              </Word>
            </>
          ) : (
            'lay it on its white tile first'
          )}
        </Caption>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
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
