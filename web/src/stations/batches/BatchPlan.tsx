import { type Mixable } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { thicknesses } from '#core/sheet';
import type { BatchAnswer, BatchDto, MachinesAnswer, PieceDto } from '#contract';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { TextValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { readDay } from '../../state/readDay.js';
import { showDate, today } from '../../state/today.js';
import { Action, Second, Word } from '../../theme/pieces.js';
import { change, put, useRefusal } from '../../wire/save.js';
import { ClayNeeded } from './ClayNeeded.js';
import { Piece } from './Piece.js';

/** A batch: its kinds of pieces, and beside them the clay they take. */
export function BatchPlan({
  batch,
  machines,
}: {
  readonly batch: BatchAnswer;
  readonly machines: MachinesAnswer;
}): ReactElement {
  const navigate = useNavigate();
  const [adding, setAdding] = useState(false);
  const path = `/api/batches/${batch.id}`;
  const refusal = useRefusal(path);
  const done = batch.doneEntryId !== null;
  const own = machines.machines.find((m) => m.id === machines.setup.machineId) ?? machines.machines[0];
  const settings = machines.machines.flatMap((machine) =>
    thicknesses(machine).map((s) => ({ ...s, machine, own: machine.id === own?.id })),
  );
  const save = (part: Partial<BatchDto>): void => {
    const dto: BatchDto = {
      id: batch.id,
      version: batch.version,
      name: batch.name,
      note: batch.note,
      dueOn: batch.dueOn,
      pieces: [...batch.pieces],
      ...part,
    };
    void put(path, dto, { ...batch, ...part });
  };
  useKeys(
    'This batch',
    done
      ? []
      : [
          {
            key: 'a',
            does: 'Add a kind of piece',
            run: () => {
              setAdding(true);
            },
          },
        ],
  );
  const usual = own?.settings[Math.floor(own.settings.length / 2)];
  const add = ({ of }: Picked<Mixable>): void => {
    setAdding(false);
    if (!own || !usual) return;
    const piece: PieceDto = {
      id: crypto.randomUUID(),
      name: `Piece ${batch.pieces.length + 1}`,
      shape: 'round',
      widthMm: 20,
      heightMm: null,
      count: 10,
      spare: 1,
      bridgeMm: 2,
      edgeMm: batch.pieces.at(-1)?.edgeMm ?? 0,
      sheetWidthMm: Math.min(110, own.rollerWidthMm),
      sheetLengthMm: 200,
      layers: [{ id: crypto.randomUUID(), of, settingId: usual.id }],
    };
    save({ pieces: [...batch.pieces, piece] });
  };
  const again = async (): Promise<void> => {
    const id = crypto.randomUUID();
    const pieces = batch.pieces.map((p) => ({
      ...p,
      id: crypto.randomUUID(),
      layers: p.layers.map((l) => ({ ...l, id: crypto.randomUUID() })),
    }));
    const copy: BatchDto = {
      id,
      version: 0,
      name: `${batch.name}, again`.slice(0, 80),
      note: batch.note,
      dueOn: null,
      pieces,
    };
    if (await change('PUT', `/api/batches/${id}`, copy)) void navigate(`/batches/${id}`);
  };
  const cuttable = batch.plan.pieces.some((p) => p.wrong === null);
  const general =
    refusal && !refusal.problem.fields?.some((f) => f.field === 'name' || f.field.startsWith('pieces.'))
      ? refusal.message
      : null;
  return (
    <Grid templateColumns="minmax(0, 1fr) 300px" minHeight={0}>
      <Flex direction="column" gap={4} padding={5} overflowY="auto" minWidth={0}>
        <Flex alignItems="baseline" gap={4} wrap="wrap">
          <h1>
            <TextValue
              label="Name of the batch"
              value={batch.name}
              disabled={done}
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
              disabled={done}
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
              disabled={done}
              onChange={(note) => {
                save({ note });
              }}
            />
          </Second>
        </Flex>
        {general !== null && <Warning>{general}</Warning>}
        {batch.pieces.map((piece, i) => (
          <Piece
            key={piece.id}
            piece={piece}
            plan={batch.plan.pieces[i]}
            materials={batch.plan.materials}
            settings={settings}
            disabled={done}
            refused={
              refusal?.problem.fields
                ?.filter((f) => f.field.startsWith(`pieces.${i}.`))
                .map((f) => ({ field: f.field.slice(`pieces.${i}.`.length), sentence: f.sentence })) ?? []
            }
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
        {!done && <MorePieces machine={own !== undefined} adding={adding} onAdd={add} onAdding={setAdding} />}
      </Flex>
      <ClayNeeded
        plan={batch.plan}
        currency={machines.setup.currency}
        onCurrency={(currency) => {
          void change('PUT', '/api/bench', { ...machines.setup, currency });
        }}
      >
        {done ? (
          <Flex gap={2} wrap="wrap">
            <Action
              main
              onClick={() => {
                void navigate(`/diary/${batch.doneEntryId ?? ''}`);
              }}
            >
              In the diary
            </Action>
            <Action
              onClick={() => {
                void again();
              }}
            >
              Make it again
            </Action>
          </Flex>
        ) : (
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
            <Action
              onClick={() => {
                void again();
              }}
            >
              Copy
            </Action>
          </Flex>
        )}
        {!done && (
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
        )}
        {!done && batch.dueOn !== null && batch.dueOn < today() && <Warning>The day it was for has passed.</Warning>}
      </ClayNeeded>
    </Grid>
  );
}

interface MoreProps {
  /** whether there is one of one's own */
  readonly machine: boolean;
  readonly adding: boolean;
  readonly onAdd: (picked: Picked<Mixable>) => void;
  readonly onAdding: (adding: boolean) => void;
}

/** Another kind of piece, as soon as there is a machine to roll it with. */
function MorePieces({ machine, adding, onAdd, onAdding }: MoreProps): ReactElement {
  const navigate = useNavigate();
  if (!machine)
    return (
      <Warning>
        A machine comes first: its settings say how thick a sheet is.{' '}
        <Word
          onClick={() => {
            void navigate('/sheets');
          }}
        >
          Describe it
        </Word>
      </Warning>
    );
  if (adding)
    return (
      <MaterialPicker
        place="layer"
        label="What the new piece is cut from"
        onPick={onAdd}
        onCancel={() => {
          onAdding(false);
        }}
      />
    );
  return (
    <Action
      alignSelf="flex-start"
      onClick={() => {
        onAdding(true);
      }}
    >
      Add a kind of piece
    </Action>
  );
}
