import { ownMachine } from '../../state/bench.js';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import type { BatchAnswer, BatchDto, MachinesAnswer } from '#contract';
import { TextValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { readDay } from '../../state/readDay.js';
import { showDate, today } from '../../state/today.js';
import { Action, Second, Word } from '../../theme/pieces.js';
import type { Refused } from '../../wire/ask.js';
import { change, put, useRefusal } from '../../wire/save.js';
import { copyOf, dtoOf, isGeneral, newPiece, refusedOf, settingsOf } from './batchMoves.js';
import { ClayNeeded } from './ClayNeeded.js';
import { MorePieces } from './MorePieces.js';
import { Piece } from './Piece.js';

type Save = (part: Partial<BatchDto>) => void;

/** What the views of a batch are given. A batch that was made is not changed. */
interface Parts {
  readonly batch: BatchAnswer;
  readonly machines: MachinesAnswer;
  readonly made: boolean;
  readonly refusal: Refused | undefined;
  readonly save: Save;
}

/** Its name, its day, its note. */
function Head({ batch, made, refusal, save }: Parts): ReactElement {
  return (
    <Flex alignItems="baseline" gap={4} wrap="wrap">
      <h1>
        <TextValue
          label="Name of the batch"
          value={batch.name}
          disabled={made}
          refusal={refusal?.sentenceFor('name')}
          onChange={(name) => {
            save({ name });
          }}
        />
      </h1>
      <Second>
        for{' '}
        <Value
          label="Due on"
          text={batch.dueOn === null ? '' : showDate(batch.dueOn)}
          placeholder="no day"
          disabled={made}
          read={readDay}
          onChange={(dueOn) => {
            save({ dueOn });
          }}
        />
      </Second>
      <Second>
        <TextValue
          label="Note on the batch"
          value={batch.note}
          placeholder="a note"
          disabled={made}
          onChange={(note) => {
            save({ note });
          }}
        />
      </Second>
    </Flex>
  );
}

/** Its kinds of pieces. */
function Pieces({ batch, machines, made, refusal, save }: Parts): ReactElement {
  const settings = useMemo(() => settingsOf(machines), [machines]);
  return (
    <>
      {batch.pieces.map((piece, i) => (
        <Piece
          key={piece.id}
          batchId={batch.id}
          piece={piece}
          plan={batch.plan.pieces[i]}
          materials={batch.plan.materials}
          settings={settings}
          disabled={made}
          refused={refusedOf(refusal?.problem.fields, i)}
          onChange={(next) => {
            save({ pieces: batch.pieces.map((p) => (p.id === piece.id ? next : p)) });
          }}
          onRemove={() => {
            save({ pieces: batch.pieces.filter((p) => p.id !== piece.id) });
          }}
        />
      ))}
      {batch.pieces.length === 0 && (
        <Box maxWidth="420px" color="ink2">
          No pieces yet. Begin with the mix or the clay they are cut from.
        </Box>
      )}
    </>
  );
}

interface NextProps {
  readonly batch: BatchAnswer;
  readonly path: string;
}

/** Where the batch goes from here, once it was made. */
function AfterMaking({ batch }: { readonly batch: BatchAnswer }): ReactElement {
  const navigate = useNavigate();
  return (
    <Flex gap={2} wrap="wrap">
      <Action
        main
        onClick={() => {
          void navigate(`/diary/${batch.doneEntryId ?? ''}`);
        }}
      >
        In the diary
      </Action>
      <Again batch={batch}>Make it again</Again>
    </Flex>
  );
}

/** The same once more, as a batch of its own. */
function Again({ batch, children }: { readonly batch: BatchAnswer; readonly children: string }): ReactElement {
  const navigate = useNavigate();
  const again = async (): Promise<void> => {
    const copy = copyOf(batch);
    if (await change('PUT', `/api/batches/${copy.id}`, copy)) void navigate(`/batches/${copy.id}`);
  };
  return (
    <Action
      onClick={() => {
        void again();
      }}
    >
      {children}
    </Action>
  );
}

/** Where the batch goes from here, while it is planned. */
function BeforeMaking({ batch, path }: NextProps): ReactElement {
  const navigate = useNavigate();
  const cuttable = batch.plan.pieces.some((p) => p.wrong === null);
  const late = batch.dueOn !== null && batch.dueOn < today();
  return (
    <>
      <Flex gap={2} wrap="wrap">
        <Action
          main
          disabled={!cuttable}
          onClick={() => {
            void navigate(`/bench/${batch.id}`);
          }}
        >
          To the bench
        </Action>
        <Again batch={batch}>Copy</Again>
      </Flex>
      <Word
        fontSize="small"
        alignSelf="flex-start"
        onClick={() => {
          void change('DELETE', `${path}?version=${batch.version}`).then((gone) => {
            if (gone !== null) void navigate('/batches');
          });
        }}
      >
        Take this batch away
      </Word>
      {late && <Warning>The day it was for has passed.</Warning>}
    </>
  );
}

interface BatchPlanProps {
  readonly batch: BatchAnswer;
  readonly machines: MachinesAnswer;
}

/** A batch: its kinds of pieces, and beside them the clay they take. */
export function BatchPlan({ batch, machines }: BatchPlanProps): ReactElement {
  const path = `/api/batches/${batch.id}`;
  const refusal = useRefusal(path);
  const made = batch.doneEntryId !== null;
  const save: Save = (part) => {
    void put(path, { ...dtoOf(batch), ...part }, { ...batch, ...part });
  };
  const parts = { batch, machines, made, refusal, save };
  return (
    <Grid templateColumns="minmax(0, 1fr) 300px" minHeight={0}>
      <Flex direction="column" gap={4} padding={5} overflowY="auto" minWidth={0}>
        <Head {...parts} />
        {refusal && isGeneral(refusal.problem.fields) && <Warning>{refusal.message}</Warning>}
        <Pieces {...parts} />
        {!made && (
          <MorePieces
            machine={ownMachine(machines) !== undefined}
            onAdd={(of) => {
              const piece = newPiece(batch, machines, of);
              if (piece) save({ pieces: [...batch.pieces, piece] });
            }}
          />
        )}
      </Flex>
      <ClayNeeded
        plan={batch.plan}
        currency={machines.setup.currency}
        onCurrency={(currency) => {
          void change('PUT', '/api/bench', { ...machines.setup, currency });
        }}
      >
        {made ? <AfterMaking batch={batch} /> : <BeforeMaking batch={batch} path={path} />}
      </ClayNeeded>
    </Grid>
  );
}
