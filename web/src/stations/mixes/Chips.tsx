import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { deltaE, hexOf, readColour, showLab, xyzOfLab, STAGES, type Lab, type Stage } from '#core/colour';
import { CHIP_WAYS, type ChipWay } from '#core/mix';
import { attempt, sentenceOf } from '#core/units';
import type { ChipDto, RevisionAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { readPastDay } from '../../state/readDay.js';
import { showDate, today } from '../../state/today.js';
import { Action, Caption, Field, Second, Word } from '../../theme/pieces.js';
import { UNSENT } from '../../wire/leaving.js';
import { PhotoLine } from './PhotoLine.js';
import { ReaderLine } from './ReaderLine.js';
import { change, useRefusal } from '../../wire/save.js';

const WAY_OPTIONS = CHIP_WAYS.map((value) => ({ value, text: value }));
const STAGE_OPTIONS = STAGES.map((value) => ({ value, text: value }));

/** What the mix is predicted to be, raw and baked, by its revision. */
export type Predicted = (revisionId: string, stage: Stage) => Lab | null;

interface ChipsProps {
  readonly chips: readonly ChipDto[];
  readonly revisions: readonly RevisionAnswer[];
  readonly shown: RevisionAnswer;
  readonly predicted: Predicted;
  /** the colour the mix is to have */
  readonly wanted: Lab | null;
}

/** The newest baked chip of a revision, and how far it is from what was predicted. */
export function LastChip({
  chips,
  shown,
  predicted,
}: Pick<ChipsProps, 'chips' | 'shown' | 'predicted'>): ReactElement | null {
  const last = chips.find((c) => c.revisionId === shown.id && c.stage === 'baked');
  const wished = predicted(shown.id, 'baked');
  if (!last || !wished) return null;
  return (
    <Box>
      <Caption>your last chip</Caption>
      <Box height="42px" borderRadius="6px" style={{ background: `#${hexOf(xyzOfLab(last))}` }} />
      <Box fontSize="small">
        <b>ΔE {deltaE(last, wished).toFixed(1)}</b> from this
      </Box>
    </Box>
  );
}

/** Chips that were really made: measured colour beside the predicted one, and a line to log the next. */
export function Chips({ chips, revisions, shown, predicted, wanted }: ChipsProps): ReactElement {
  return (
    <Box as="section" aria-label="Chips you made" width="100%">
      <Box as="h2" marginBottom={2}>
        Chips you made
      </Box>
      {chips.length === 0 && <Second>None yet. Made one? Write down how it reads.</Second>}
      <Flex as="ul" direction="column" gap={2}>
        {chips.map((chip) => (
          <OneChip
            key={chip.id}
            chip={chip}
            mixId={shown.mixId}
            predicted={predicted(chip.revisionId, chip.stage)}
            number={revisions.length > 1 ? revisions.find((r) => r.id === chip.revisionId)?.number : undefined}
          />
        ))}
      </Flex>
      <LogChip revisionId={shown.id} predicted={predicted} wanted={wanted} />
    </Box>
  );
}

function OneChip({
  chip,
  mixId,
  predicted,
  number,
}: {
  readonly chip: ChipDto;
  readonly mixId: string;
  readonly predicted: Lab | null;
  readonly number: number | undefined;
}): ReactElement {
  return (
    <Flex as="li" gap={3} alignItems="center">
      <Flex width="64px" height="34px" borderRadius="5px" overflow="hidden" flex="none" aria-hidden>
        <Box flex={1} style={{ background: `#${hexOf(xyzOfLab(chip))}` }} />
        {predicted && <Box flex={1} style={{ background: `#${hexOf(xyzOfLab(predicted))}` }} />}
      </Flex>
      <Box flex={1} fontSize="small" lineHeight={1.35}>
        {predicted && (
          <>
            <b>ΔE {deltaE(chip, predicted).toFixed(1)}</b> from the prediction
            <br />
          </>
        )}
        <Caption>
          {showDate(chip.madeOn)} · {chip.stage}, {chip.way}
          {number === undefined ? '' : ` · revision ${number}`} · {showLab(chip)}
        </Caption>
        <Box fontSize="caption">
          {predicted && (
            <>
              <Link to={`/mixes/correct?of=${mixId}&chip=${chip.id}`}>correct</Link> ·{' '}
            </>
          )}
          <Link to={`/mixes/find?colour=${showLab(chip)}`} title="find a mix of this colour">
            find
          </Link>{' '}
          ·{' '}
          <Word
            onClick={() => {
              void change('DELETE', `/api/chips/${chip.id}?version=${chip.version}`);
            }}
          >
            strike out
          </Word>
        </Box>
      </Box>
    </Flex>
  );
}

/** A typed colour, while it is one. */
function colourIn(text: string): Lab | null {
  return attempt(
    () => (text.trim() === '' ? null : readColour(text)),
    () => null,
  );
}

interface LogChipProps {
  readonly revisionId: string;
  readonly predicted: Predicted;
  readonly wanted: Lab | null;
}

/** A chip as it is typed, and logging it. */
function useLogging(revisionId: string) {
  const [id, setId] = useState<string>(() => crypto.randomUUID());
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const [stage, setStage] = useState<Stage>('baked');
  const [way, setWay] = useState<ChipWay>('colour reader');
  const [madeOn, setMadeOn] = useState(today());
  const path = `/api/chips/${id}`;
  const refusal = useRefusal(path);
  const type = (next: string): void => {
    setText(next);
    setWrong(null);
  };
  const log = async (): Promise<void> => {
    try {
      const { l, a, b } = readColour(text);
      const dto: ChipDto = { id, version: 0, revisionId, madeOn, stage, l, a, b, way };
      if (await change<ChipDto>('PUT', path, dto)) {
        setText('');
        setId(crypto.randomUUID());
      }
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return { text, type, stage, setStage, way, setWay, madeOn, setMadeOn, log, wrong: wrong ?? refusal?.message };
}

type Logging = ReturnType<typeof useLogging>;

/** How far the chip is off: from the prediction, and from what is wanted. */
function Off({
  logging,
  revisionId,
  predicted,
  wanted,
}: LogChipProps & { readonly logging: Logging }): ReactElement | null {
  const { text, stage } = logging;
  const reads = colourIn(text);
  const expected = predicted(revisionId, stage);
  if (!reads || !expected) return null;
  return (
    <Box fontSize="small" role="status" data-testid="off">
      <b>ΔE {deltaE(reads, expected).toFixed(1)}</b> from the prediction
      {wanted && stage === 'baked' && (
        <>
          , <b>{deltaE(reads, wanted).toFixed(1)}</b> from what is wanted
        </>
      )}
    </Box>
  );
}

/** What it is read with, where that is a device or a photograph. */
function ReadWith({
  logging,
  revisionId,
}: {
  readonly logging: Logging;
  readonly revisionId: string;
}): ReactElement | null {
  const { type, stage, way } = logging;
  const onRead = (lab: Lab): void => {
    type(showLab(lab));
  };
  if (way === 'colour reader') return <ReaderLine revisionId={revisionId} stage={stage} onRead={onRead} />;
  return way === 'photograph' ? <PhotoLine onRead={onRead} /> : null;
}

function LogChip(props: LogChipProps): ReactElement {
  const logging = useLogging(props.revisionId);
  const { text, type, stage, setStage, way, setWay, madeOn, setMadeOn, log, wrong } = logging;
  return (
    <Box
      as="form"
      {...UNSENT}
      marginTop={3}
      onSubmit={(e) => {
        e.preventDefault();
        void log();
      }}
    >
      <Flex gap={2}>
        <Field
          aria-label="How the chip reads"
          placeholder="AA3361 or 41 52 4"
          value={text}
          onChange={(e) => {
            type(e.currentTarget.value);
          }}
        />
        <Action type="submit">Log it</Action>
      </Flex>
      <Box fontSize="small" marginTop={1}>
        <Choice label="The chip is" value={stage} options={STAGE_OPTIONS} onChange={setStage} />, by{' '}
        <Choice label="Read how" value={way} options={WAY_OPTIONS} onChange={setWay} />, on{' '}
        <Value label="Chip made on" text={showDate(madeOn)} read={readPastDay} onChange={setMadeOn} />
      </Box>
      <ReadWith logging={logging} revisionId={props.revisionId} />
      <Off logging={logging} {...props} />
      {wrong !== undefined && <Warning>{wrong}</Warning>}
    </Box>
  );
}
