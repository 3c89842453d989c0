import { ownMachine } from '../../state/bench.js';
import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { BatchAnswer, MachinesAnswer } from '#contract';
import { TextValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { readDay } from '../../state/readDay.js';
import { showDate, today } from '../../state/today.js';
import { SendIt } from '../../parts/SendIt.js';
import { Action, Second, ViewLink, Word } from '../../theme/pieces.js';
import { change, put, useRefusal } from '../../wire/save.js';
import { copyOf, dtoOf, isGeneral, newPiece } from './batchMoves.js';
import { ClayNeeded } from './ClayNeeded.js';
import { MorePieces } from './MorePieces.js';
import { Papers } from './making/Papers.js';
import { Price } from './price/Price.js';
import { Pieces, type Parts, type Save } from './Pieces.js';

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

/** What of it is made already; the rest is what is planned here. */
function MadeSoFar({ batch: { parts } }: { readonly batch: BatchAnswer }): ReactElement | null {
  if (parts.length === 0) return null;
  return (
    <Box as="ul" aria-label="Made so far">
      {parts.map(({ entryId, title, madeOn }) => (
        <li key={entryId}>
          <Link to={`/diary/${entryId}`}>{title}</Link> <Second>made on {showDate(madeOn)}</Second>
        </li>
      ))}
    </Box>
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
  const cuttable = [...batch.plan.pieces, ...batch.plan.assemblies].some((p) => p.wrong === null);
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
      <Flex gap={4} fontSize="small">
        <Word
          onClick={() => {
            void change('DELETE', `${path}?version=${batch.version}`).then((gone) => {
              if (gone !== null) void navigate('/batches');
            });
          }}
        >
          Take this batch away
        </Word>
        <SendIt kind="batch" id={batch.id} />
      </Flex>
      {late && <Warning>The day it was for has passed.</Warning>}
    </>
  );
}

interface BatchPlanProps {
  readonly batch: BatchAnswer;
  readonly machines: MachinesAnswer;
  /** which of its views; null: its pieces */
  readonly view: string | null;
}

/** Its views: what is made, and what that costs. */
function Views({ batch, view }: Pick<BatchPlanProps, 'batch' | 'view'>): ReactElement {
  const views = [
    [null, 'the pieces'],
    ['price', 'the price'],
  ] as const;
  return (
    <Flex as="nav" gap={5} aria-label="Views of the batch">
      {views.map(([name, text]) => (
        <ViewLink
          key={text}
          to={`/batches/${batch.id}${name === null ? '' : `/${name}`}`}
          aria-current={name === view ? 'page' : undefined}
        >
          {text}
        </ViewLink>
      ))}
    </Flex>
  );
}

/** Prices of one kind of piece, put to the batch. */
function withPrices(batch: BatchAnswer, id: string, prices: number[]): Pick<BatchAnswer, 'pieces' | 'assemblies'> {
  return {
    pieces: batch.pieces.map((p) => (p.id === id ? { ...p, prices } : p)),
    assemblies: batch.assemblies.map((a) => (a.id === id ? { ...a, prices } : a)),
  };
}

/** A batch: its kinds of pieces, and beside them the clay they take. */
export function BatchPlan({ batch, machines, view }: BatchPlanProps): ReactElement {
  const path = `/api/batches/${batch.id}`;
  const refusal = useRefusal(path);
  const made = batch.doneEntryId !== null;
  const save: Save = (part) => {
    const next = { ...batch, ...part, assemblies: part.assemblies ?? batch.assemblies };
    void put(path, dtoOf(next), next);
  };
  const parts = { batch, machines, made, refusal, save };
  return (
    <Grid templateColumns="minmax(0, 1fr) 300px" minHeight={0}>
      <Flex direction="column" gap={4} padding={5} overflowY="auto" minWidth={0}>
        <Head {...parts} />
        {refusal && isGeneral(refusal.problem.fields) && <Warning>{refusal.message}</Warning>}
        <MadeSoFar batch={batch} />
        <Views batch={batch} view={view} />
        {view === 'price' ? (
          <Price
            batch={batch}
            setup={machines.setup}
            disabled={made}
            onPrices={(id, prices) => {
              save(withPrices(batch, id, prices));
            }}
          />
        ) : (
          <Pieces {...parts} />
        )}
        {!made && view === null && (
          <MorePieces
            machine={ownMachine(machines) !== undefined}
            onAdd={(of) => {
              const piece = newPiece(batch, machines, of);
              if (piece) save({ pieces: [...batch.pieces, piece] });
            }}
            onAssembled={(assembly) => {
              save({ assemblies: [...batch.assemblies, assembly] });
            }}
          />
        )}
      </Flex>
      <ClayNeeded
        plan={batch.plan}
        currency={machines.setup.currency}
        names={new Map([...batch.pieces, ...batch.assemblies].map(({ id, name }) => [id, name]))}
        onCurrency={(currency) => {
          void change('PUT', '/api/bench', { ...machines.setup, currency });
        }}
      >
        {made ? <AfterMaking batch={batch} /> : <BeforeMaking batch={batch} path={path} />}
        <Papers batch={batch} currency={machines.setup.currency} />
      </ClayNeeded>
    </Grid>
  );
}
