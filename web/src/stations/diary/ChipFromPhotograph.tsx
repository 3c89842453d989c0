import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { deltaE, hexOf, labOf, xyzOfHex, xyzOfLab, type Lab } from '#core/colour';
import type { ChipDto } from '#contract';
import type { DiaryAnswer } from '#contract/diary';
import { Chip } from '../../parts/Chip.js';
import { Choice } from '../../parts/Choice.js';
import { Warning } from '../../parts/Warning.js';
import { Action, Caption, Word } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { FromPhotograph } from '../mixes/palettes/FromPhotograph.js';

type Mix = DiaryAnswer['mixes'][number];

interface ReadOff {
  readonly lab: Lab;
  /** something grey told the light */
  readonly neutral: boolean;
}

interface BesideProps {
  readonly mix: Mix;
  readonly read: ReadOff;
  readonly onKeep: () => void;
  readonly kept: boolean;
}

/** px of a chip. */
const [WIDE, HIGH] = [120, 84];

/** The chip as it was predicted, and as the photograph has it. */
function Beside({ mix, read, onKeep, kept }: BesideProps): ReactElement {
  const off = deltaE(read.lab, labOf(xyzOfHex(mix.hex)));
  return (
    <Box marginTop={2}>
      <Flex gap={4}>
        <Box>
          <Chip hex={mix.hex} width={WIDE} height={HIGH} />
          <Caption>predicted</Caption>
        </Box>
        <Box>
          <Chip hex={hexOf(xyzOfLab(read.lab))} width={WIDE} height={HIGH} />
          <Caption>in the photograph</Caption>
        </Box>
      </Flex>
      <Box role="status" marginTop={1}>
        <b>ΔE {off.toFixed(1)}</b> from the prediction of {mix.name}
      </Box>
      {!read.neutral && (
        <Warning>Nothing grey told the light: this colour is that of the lamp as much as that of the clay.</Warning>
      )}
      <Box marginTop={2}>
        {kept ? (
          <Caption>kept as a chip of {mix.name}: predictions learn from it</Caption>
        ) : (
          <Action onClick={onKeep}>Keep it as a chip of {mix.name}</Action>
        )}
      </Box>
    </Box>
  );
}

interface Props {
  readonly entry: DiaryAnswer;
}

/** What was read off, and keeping it as a chip. */
function useReading({ entry }: Props) {
  const [revisionId, setMix] = useState(entry.mixes[0]?.revisionId ?? '');
  const [pictureId, setPicture] = useState(entry.pictures[0]?.id ?? '');
  const [read, setRead] = useState<ReadOff | null>(null);
  const [keptId, setKept] = useState<string | null>(null);
  const [id, setId] = useState(() => crypto.randomUUID());
  const path = `/api/chips/${id}`;
  const refusal = useRefusal(path);
  const keep = async (): Promise<void> => {
    if (!read) return;
    const { l, a, b } = read.lab;
    const dto: ChipDto = {
      ...{ id, version: 0, revisionId, madeOn: entry.madeOn, stage: 'baked', l, a, b, way: 'photograph' },
    };
    if (!(await change<ChipDto>('PUT', path, dto))) return;
    setKept(id);
    setId(crypto.randomUUID());
  };
  const onRead = (lab: Lab, neutral: boolean): void => {
    setRead({ lab, neutral });
    setKept(null);
  };
  return { revisionId, setMix, pictureId, setPicture, read, onRead, keep, kept: keptId !== null, refusal };
}

/** A photograph of what was made gives the colour of its mixes to their chips, beside the prediction. */
export function ChipFromPhotograph({ entry }: Props): ReactElement | null {
  const [open, setOpen] = useState(false);
  const { revisionId, setMix, pictureId, setPicture, read, onRead, keep, kept, refusal } = useReading({ entry });
  const mix = entry.mixes.find((m) => m.revisionId === revisionId) ?? entry.mixes[0];
  const picture = entry.pictures.find((p) => p.id === pictureId) ?? entry.pictures[0];
  if (!mix || !picture) return null;
  if (!open)
    return (
      <Box>
        <Word
          onClick={() => {
            setOpen(true);
          }}
        >
          the colours of a photograph, for the chips
        </Word>
      </Box>
    );
  return (
    <Box as="section" aria-label="Colours of a photograph" maxWidth="560px">
      <Box as="h2">
        Of{' '}
        <Choice
          label="Mix that was photographed"
          value={mix.revisionId}
          options={entry.mixes.map((m) => ({ value: m.revisionId, text: m.name }))}
          onChange={setMix}
        />{' '}
        in{' '}
        <Choice
          label="Photograph with its colour"
          value={picture.id}
          options={entry.pictures.map((p, i) => ({ value: p.id, text: `photograph ${i + 1}` }))}
          onChange={setPicture}
        />
      </Box>
      <FromPhotograph key={picture.id} source={picture.id} what={mix.name} onRead={onRead} />
      {read && <Beside mix={mix} read={read} kept={kept} onKeep={() => void keep()} />}
      {refusal && <Warning>{refusal.message}</Warning>}
    </Box>
  );
}
