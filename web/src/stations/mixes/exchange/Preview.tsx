import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { hexOf, xyzOfLab } from '#core/colour';
import type { ColourFile, FileContent, FileFault, MixLine } from '#core/formats';
import type { TakeInAnswer } from '#contract';
import { Warning } from '../../../parts/Warning.js';
import { Action, Caption, Second } from '../../../theme/pieces.js';
import { change, say } from '../../../wire/save.js';
import { contentWords, paletteFrom, takeIn, type Looked } from './lookedAt.js';

/** Mixes that are shown; more are counted. */
const MOST_SHOWN = 200;

/** What is wrong in the file, row by row. */
function Faults({ faults }: { readonly faults: readonly FileFault[] }): ReactElement | null {
  if (faults.length === 0) return null;
  return (
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
  );
}

/** The colours of the file, side by side. */
function Colours({ file }: { readonly file: ColourFile }): ReactElement {
  return (
    <Flex height="64px" marginBottom={3} aria-hidden>
      {file.colours.map((c, i) => (
        <Box key={i} flex={1} style={{ background: `#${hexOf(xyzOfLab(c.lab))}` }} />
      ))}
    </Flex>
  );
}

/** The mixes of the file, and which of them are on the board already. */
function Mixes({ mixes }: { readonly mixes: TakeInAnswer['mixes'] }): ReactElement | null {
  if (mixes.length === 0) return null;
  return (
    <Grid
      as="ul"
      templateColumns="repeat(auto-fill, minmax(260px, 1fr))"
      gap={2}
      marginBottom={3}
      maxHeight="260px"
      overflowY="auto"
      aria-label="Mixes of the file"
    >
      {mixes.slice(0, MOST_SHOWN).map((m) => (
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
      {mixes.length > MOST_SHOWN && <Caption>… and {mixes.length - MOST_SHOWN} more</Caption>}
    </Grid>
  );
}

/** Taking in what was looked at, all of it or nothing. */
function useTakingIn(fileName: string, onLeave: () => void) {
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const keepColours = async (file: ColourFile): Promise<void> => {
    setBusy(true);
    const dto = paletteFrom(file, fileName);
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
  return { busy, keepColours, keepMixes };
}

interface TakeProps {
  readonly content: FileContent;
  /** mixes of the file that are not on the board yet */
  readonly fresh: number;
  readonly faulty: boolean;
  readonly fileName: string;
  readonly onLeave: () => void;
}

/** The way in, where nothing is wrong. */
function Take({ content, fresh, faulty, fileName, onLeave }: TakeProps): ReactElement | null {
  const { busy, keepColours, keepMixes } = useTakingIn(fileName, onLeave);
  if (content.holds === 'colours')
    return (
      <Action
        main
        disabled={busy || faulty}
        onClick={() => {
          void keepColours(content.file);
        }}
      >
        Keep it as a palette
      </Action>
    );
  if (content.holds !== 'mixes') return null;
  const some = `Take in ${fresh === 1 ? 'one mix' : `${fresh} mixes`}`;
  return (
    <Action
      main
      disabled={busy || faulty || fresh === 0}
      onClick={() => {
        void keepMixes(content.mixes);
      }}
    >
      {fresh === 0 ? 'All of them are there' : some}
    </Action>
  );
}

interface PreviewProps {
  readonly looked: Looked;
  readonly onLeave: () => void;
}

/** What is in a file, before anything of it is taken in. */
export function Preview({ looked, onLeave }: PreviewProps): ReactElement {
  const { fileName, content, board } = looked;
  const faults: readonly FileFault[] = [...content.faults, ...(board?.faults ?? [])];
  return (
    <Box as="section" aria-label="What is in the file">
      <Flex alignItems="baseline" gap={4} marginBottom={3}>
        <h2>{fileName}</h2>
        <Second>{contentWords(content)}</Second>
      </Flex>
      <Faults faults={faults} />
      {content.holds === 'colours' && <Colours file={content.file} />}
      {board && <Mixes mixes={board.mixes} />}
      <Flex gap={2}>
        <Take
          content={content}
          fresh={board?.mixes.filter((m) => !m.there).length ?? 0}
          faulty={faults.length > 0}
          fileName={fileName}
          onLeave={onLeave}
        />
        <Action onClick={onLeave}>Leave it</Action>
      </Flex>
    </Box>
  );
}
