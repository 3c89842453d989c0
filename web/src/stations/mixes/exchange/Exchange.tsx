import { FilePage, OpenFile } from '../../../parts/OpenFile.js';
import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { writeMixCsv, writeMixJson } from '#core/formats';
import { sentenceOf } from '#core/units';
import type { TakeOutAnswer } from '#contract';
import { COLOUR_KINDS } from '../../../parts/colourFiles.js';
import { saveFile } from '../../../parts/saveFile.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { ask } from '../../../wire/ask.js';
import { Labels } from './Labels.js';
import { lookInto, type Looked } from './lookedAt.js';
import { Preview } from './Preview.js';

/** Colours without their recipes are written in these. */
const COLOURS_ONLY = COLOUR_KINDS.filter((k) => k.ending !== 'csv' && k.ending !== 'json');

interface OutProps {
  readonly onOut: (write: (all: TakeOutAnswer) => void) => void;
}

const RECIPES = [
  { ending: 'csv', type: 'text/csv', write: writeMixCsv },
  { ending: 'json', type: 'application/json', write: writeMixJson },
] as const;

/** All mixes as files: with their recipes, or their colours alone. */
function Out({ onOut }: OutProps): ReactElement {
  return (
    <Box borderTop="rule" paddingTop={4}>
      <Box as="h2" marginBottom={2}>
        All mixes of the board
      </Box>
      <Box>
        With their recipes:{' '}
        {RECIPES.map(({ ending, type, write }, i) => (
          <span key={ending}>
            {i > 0 && ', '}
            <Word
              onClick={() => {
                onOut((all) => {
                  saveFile('Mixes', ending, type, write(all));
                });
              }}
            >
              .{ending}
            </Word>
          </span>
        ))}
      </Box>
      <Box>
        Their predicted colours alone:{' '}
        {COLOURS_ONLY.map(({ ending, text, type, write }, i) => (
          <span key={ending}>
            {i > 0 && ', '}
            <Word
              title={text}
              onClick={() => {
                onOut((all) => {
                  const colours = all.map((m) => ({ name: m.name, lab: m.lab, share: null }));
                  saveFile('Mixes', ending, type, write({ name: 'Mixes', colours }));
                });
              }}
            >
              .{ending}
            </Word>
          </span>
        ))}
      </Box>
      <Caption>A palette is written from its own page.</Caption>
    </Box>
  );
}

/** Looking into files, and writing them; what went wrong is said where the file was opened. */
function useFiles() {
  const [looked, setLooked] = useState<Looked | null>(null);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const look = async (file: File): Promise<void> => {
    setBusy(true);
    setWrong(null);
    setLooked(null);
    try {
      setLooked(await lookInto(file));
    } catch (error) {
      setWrong(sentenceOf(error));
    }
    setBusy(false);
  };
  const out = async (write: (all: TakeOutAnswer) => void): Promise<void> => {
    try {
      write(await ask<TakeOutAnswer>('GET', '/api/exchange/mixes'));
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  const leave = (): void => {
    setLooked(null);
  };
  return { looked, busy, wrong, look, out, leave };
}

/** Mixes and colours out to files and in from them, and chips on paper. */
export function Exchange(): ReactElement {
  const { looked, busy, wrong, look, out, leave } = useFiles();
  const onFile = (file: File): void => {
    void look(file);
  };
  return (
    <FilePage title="In and out" about="mixes and colours as files that other programs read too" onFile={onFile}>
      <OpenFile
        place="In and out"
        label="File to open"
        accept=".csv,.gpl,.ase,.css,.json"
        what="a file"
        busy={busy ? 'Reading …' : null}
        wrong={wrong}
        onFile={onFile}
      >
        or drop one here: .csv, .gpl, .ase, .css or .json. You see what is in it before anything is taken in.
      </OpenFile>
      {looked && <Preview key={looked.fileName} looked={looked} onLeave={leave} />}
      <Out
        onOut={(write) => {
          void out(write);
        }}
      />
      <Labels />
    </FilePage>
  );
}
