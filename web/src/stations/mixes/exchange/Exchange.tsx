import { Box, Flex, Grid } from '@chakra-ui/react';
import { useRef, useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { hexOf, xyzOfLab } from '#core/colour';
import {
  writeMixCsv,
  writeMixJson,
  type ColourFile,
  type FileFault,
  type FileContent,
  type MixLine,
} from '#core/formats';
import { sentenceOf } from '#core/units';
import type { PaletteDto, TakeInAnswer, TakeOutAnswer } from '#contract';
import { Warning } from '../../../parts/Warning.js';
import { useKeys } from '../../../state/keys.js';
import { Action, Caption, Key, Second, Word } from '../../../theme/pieces.js';
import { NoAnswer, ask } from '../../../wire/ask.js';
import { change, say } from '../../../wire/save.js';
import { readAside } from '../../../workers/reading.js';
import { Labels } from './Labels.js';
import { COLOUR_KINDS, saveFile } from '../../../parts/saveFile.js';

/** What was read of a file, and what the server makes of its mixes. */
interface Looked {
  readonly fileName: string;
  readonly content: FileContent;
  readonly board: TakeInAnswer | null;
}

/** Mixes and colours out to files and in from them, and chips on paper. */
export function Exchange(): ReactElement {
  const input = useRef<HTMLInputElement>(null);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  useKeys('In and out', [
    {
      key: 'o',
      does: 'Open a file',
      run: () => {
        input.current?.click();
      },
    },
  ]);
  const look = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setBusy(true);
    setWrong(null);
    setLooked(null);
    try {
      const content = await readAside(file, async (reader) => reader.read(file));
      const board =
        content.holds === 'mixes' && content.faults.length === 0 ? await takeIn(content.mixes, false) : null;
      setLooked({ fileName: file.name, content, board });
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
  return (
    <Flex
      direction="column"
      gap={5}
      padding={5}
      overflowY="auto"
      minWidth={0}
      onDragOver={(e) => {
        e.preventDefault();
      }}
      onDrop={(e) => {
        e.preventDefault();
        void look(e.dataTransfer.files[0]);
      }}
    >
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>In and out</h1>
        <Second>mixes and colours as files that other programs read too</Second>
      </Flex>
      <Box border="dashed" padding={5}>
        <input
          ref={input}
          type="file"
          accept=".csv,.gpl,.ase,.css,.json"
          aria-label="File to open"
          style={{ position: 'absolute', opacity: 0, width: 1, height: 1 }}
          tabIndex={-1}
          onChange={(e) => {
            void look(e.currentTarget.files?.[0]);
            e.currentTarget.value = '';
          }}
        />
        <Action
          disabled={busy}
          onClick={() => {
            input.current?.click();
          }}
        >
          {busy ? 'Reading …' : 'Open a file'} <Key>O</Key>
        </Action>
        <Second>
          {' '}
          or drop one here: .csv, .gpl, .ase, .css or .json. You see what is in it before anything is taken in.
        </Second>
        {wrong !== null && (
          <Box marginTop={3}>
            <Warning>{wrong}</Warning>
          </Box>
        )}
      </Box>
      {looked && (
        <Preview
          key={looked.fileName}
          looked={looked}
          onLeave={() => {
            setLooked(null);
          }}
        />
      )}
      <Box borderTop="rule" paddingTop={4}>
        <Box as="h2" marginBottom={2}>
          All mixes of the board
        </Box>
        <Box>
          With their recipes:{' '}
          <Word
            onClick={() => {
              void out((all) => {
                saveFile('Mixes', 'csv', 'text/csv', writeMixCsv(all));
              });
            }}
          >
            .csv
          </Word>
          ,{' '}
          <Word
            onClick={() => {
              void out((all) => {
                saveFile('Mixes', 'json', 'application/json', writeMixJson(all));
              });
            }}
          >
            .json
          </Word>
        </Box>
        <Box>
          Their predicted colours alone:{' '}
          {COLOUR_KINDS.filter((k) => k.ending !== 'csv' && k.ending !== 'json').map(
            ({ ending, text, type, write }, i) => (
              <span key={ending}>
                {i > 0 && ', '}
                <Word
                  title={text}
                  onClick={() => {
                    void out((all) => {
                      saveFile(
                        'Mixes',
                        ending,
                        type,
                        write({ name: 'Mixes', colours: all.map((m) => ({ name: m.name, lab: m.lab, share: null })) }),
                      );
                    });
                  }}
                >
                  .{ending}
                </Word>
              </span>
            ),
          )}
        </Box>
        <Caption>A palette is written from its own page.</Caption>
      </Box>
      <Labels />
    </Flex>
  );
}

const takeIn = (mixes: readonly MixLine[], sure: boolean): Promise<TakeInAnswer> =>
  sure
    ? change<TakeInAnswer>('POST', '/api/exchange/mixes', { mixes, sure }).then((answer) => {
        if (!answer) throw new NoAnswer('The mixes were not taken in.');
        return answer;
      })
    : ask<TakeInAnswer>('POST', '/api/exchange/mixes', { mixes, sure }, { 'x-sledge-change': crypto.randomUUID() });

function Preview({
  looked: { fileName, content, board },
  onLeave,
}: {
  readonly looked: Looked;
  readonly onLeave: () => void;
}): ReactElement {
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const faults: readonly FileFault[] = [...content.faults, ...(board?.faults ?? [])];
  const keepColours = async (file: ColourFile): Promise<void> => {
    setBusy(true);
    const dto: PaletteDto = {
      id: crypto.randomUUID(),
      version: 0,
      name: file.name.replaceAll('"', '').slice(0, 80) || 'Palette',
      note: `from ${fileName}`.slice(0, 2000),
      pictureId: null,
      gainR: 1,
      gainG: 1,
      gainB: 1,
      swatches: file.colours.map((c) => ({
        id: crypto.randomUUID(),
        name: c.name.slice(0, 80),
        ...c.lab,
        share: c.share,
      })),
    };
    if (await change('PUT', `/api/palettes/${dto.id}`, dto)) void navigate(`/mixes/photograph/${dto.id}`);
    else setBusy(false);
  };
  const keepMixes = async (mixes: readonly MixLine[]): Promise<void> => {
    setBusy(true);
    const { taken } = await takeIn(mixes, true);
    say(`${taken ?? 0} mixes taken in.`);
    if (taken !== null) onLeave();
    setBusy(false);
  };
  const fresh = board?.mixes.filter((m) => !m.there).length ?? 0;
  return (
    <Box as="section" aria-label="What is in the file">
      <Flex alignItems="baseline" gap={4} marginBottom={3}>
        <h2>{fileName}</h2>
        <Second>
          {content.holds === 'colours' && `${content.file.colours.length} colours, “${content.file.name}”`}
          {content.holds === 'mixes' && `${content.mixes.length} mixes`}
          {content.holds !== 'colours' && content.holds !== 'mixes' && 'cannot be taken in'}
        </Second>
      </Flex>
      {faults.length > 0 && (
        <Box marginBottom={4} maxHeight="220px" overflowY="auto">
          <Box fontWeight={600} marginBottom={2}>
            Nothing is taken in until this is right:
          </Box>
          <Flex as="ul" direction="column" gap={1} aria-label="What is wrong in the file">
            {faults.map((f, i) => (
              <li key={i}>
                <Warning>
                  {f.row === null ? '' : `Row ${f.row}: `}
                  {f.sentence}
                </Warning>
              </li>
            ))}
          </Flex>
        </Box>
      )}
      {content.holds === 'colours' && (
        <Flex height="64px" marginBottom={3} aria-hidden>
          {content.file.colours.map((c, i) => (
            <Box key={i} flex={1} style={{ background: `#${hexOf(xyzOfLab(c.lab))}` }} />
          ))}
        </Flex>
      )}
      {board && board.mixes.length > 0 && (
        <Grid
          as="ul"
          templateColumns="repeat(auto-fill, minmax(260px, 1fr))"
          gap={2}
          marginBottom={3}
          maxHeight="260px"
          overflowY="auto"
          aria-label="Mixes of the file"
        >
          {board.mixes.slice(0, 200).map((m) => (
            <Flex as="li" key={m.row} gap={3} alignItems="center">
              <Box width="40px" height="32px" borderRadius="5px" flex="none" style={{ background: `#${m.hex}` }} />
              <Box minWidth={0} lineHeight={1.3} fontSize="small">
                <b>{m.name}</b>
                {m.there ? <Caption> on the board already</Caption> : null}
                <br />
                <Caption>{m.notation}</Caption>
              </Box>
            </Flex>
          ))}
          {board.mixes.length > 200 && <Caption>… and {board.mixes.length - 200} more</Caption>}
        </Grid>
      )}
      <Flex gap={2}>
        {content.holds === 'colours' && (
          <Action
            main
            disabled={busy || faults.length > 0}
            onClick={() => {
              void keepColours(content.file);
            }}
          >
            Keep it as a palette
          </Action>
        )}
        {content.holds === 'mixes' && (
          <Action
            main
            disabled={busy || faults.length > 0 || fresh === 0}
            onClick={() => {
              void keepMixes(content.mixes);
            }}
          >
            {fresh === 0 ? 'All of them are there' : `Take in ${fresh === 1 ? 'one mix' : `${fresh} mixes`}`}
          </Action>
        )}
        <Action onClick={onLeave}>Leave it</Action>
      </Flex>
    </Box>
  );
}
