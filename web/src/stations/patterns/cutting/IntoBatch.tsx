import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { sentenceOf } from '#core/units';
import type { BatchAnswer, BatchDto, MachinesAnswer, PatternAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { MaterialPicker, type Picked } from '../../../parts/MaterialPicker.js';
import { freeName, takenNames } from '../../../parts/names.js';
import { Warning } from '../../../parts/Warning.js';
import { Action, Caption, Word } from '../../../theme/pieces.js';
import { ask } from '../../../wire/ask.js';
import { useBatches, useStock } from '../../../wire/queries.js';
import { change } from '../../../wire/save.js';
import type { TakenBy } from '#contract';
import type { Hands } from '../usePattern.js';
import { wrongOn, type SheetsToCut } from './cutMoves.js';
import { nearestSetting, newBatchOf, piecesFor, sheetAsLayer } from './intoBatch.js';
import type { Cutting } from './useCutting.js';

interface IntoBatchProps {
  readonly pattern: PatternAnswer;
  readonly cutting: Pick<Cutting, 'cuts'>;
  readonly sheets: SheetsToCut;
  readonly hands: Hands;
  readonly machines: MachinesAnswer;
}

const NEW = 'new';
/** mm of a backing, until it is said at the batch. */
const USUAL_BACKING = 1;

/** What a batch is sent as. */
const sentBatch = ({ id, version, name, note, dueOn, pieces }: BatchAnswer): BatchDto => ({
  ...{ id, version, name, note, dueOn },
  pieces: [...pieces],
});

/** What is chosen, and the way into the batch. */
function useInto({ pattern, cutting, sheets, hands, machines }: IntoBatchProps) {
  const navigate = useNavigate();
  const batches = useBatches();
  const stock = useStock();
  const [backing, setBacking] = useState<Picked<TakenBy<'layer'>> | null>(null);
  const [into, setInto] = useState<string>(NEW);
  const [wrong, setWrong] = useState<string | null>(null);
  const open = (batches.data ?? []).filter((b) => !b.done);
  const settingId = nearestSetting(machines, sheets.thick);
  const backAt = nearestSetting(machines, USUAL_BACKING);
  const making =
    settingId === null || backAt === null
      ? null
      : {
          ...{ pattern, cuts: cutting.cuts, sheets, hands: hands.seed, settingId, stock: stock.data },
          backing: backing && { of: backing.of, settingId: backAt },
        };
  const go = async (): Promise<void> => {
    if (!making) return;
    setWrong(null);
    try {
      const pieces = piecesFor(making);
      const name = freeName(pattern.name, takenNames(batches.data));
      const old = into === NEW ? null : sentBatch(await ask<BatchAnswer>('GET', `/api/batches/${into}`));
      const dto = old ? { ...old, pieces: [...old.pieces, ...pieces] } : newBatchOf(name, pieces);
      if (await change<BatchAnswer>('PUT', `/api/batches/${dto.id}`, dto)) void navigate(`/batches/${dto.id}`);
      else setWrong('The batch could not be changed. Look at it at Batches, and try again.');
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return { open, backing, setBacking, into, setInto, making, wrong, go };
}

/** What the pieces are laid on. */
function OnBacking({
  backing,
  onBacking,
}: {
  readonly backing: Picked<TakenBy<'layer'>> | null;
  readonly onBacking: (backing: Picked<TakenBy<'layer'>> | null) => void;
}): ReactElement {
  const [picking, setPicking] = useState(false);
  if (picking)
    return (
      <MaterialPicker
        place="layer"
        label="What they are laid on"
        onCancel={() => {
          setPicking(false);
        }}
        onPick={(picked) => {
          setPicking(false);
          onBacking(picked);
        }}
      />
    );
  return (
    <Box>
      on{' '}
      <Word
        onClick={() => {
          setPicking(true);
        }}
      >
        {backing?.name ?? 'no backing'}
      </Word>
      {backing && (
        <>
          {' · '}
          <Word
            fontSize="small"
            onClick={() => {
              onBacking(null);
            }}
          >
            without
          </Word>
        </>
      )}
    </Box>
  );
}

/** The pieces become pieces of a batch, each where it was put. */
export function IntoBatch(props: IntoBatchProps): ReactElement {
  const { cutting, sheets } = props;
  const { open, backing, setBacking, into, setInto, making, wrong, go } = useInto(props);
  const used = new Set(cutting.cuts.flatMap((c) => c.places.map((p) => p.sheet)));
  const bad = [...used].find((sheet) => wrongOn(cutting.cuts, sheet, sheets) !== null);
  const many = cutting.cuts.reduce((sum, c) => sum + c.places.length, 0);
  const lies = making !== null && [...used].every((sheet) => sheetAsLayer(making, sheet).kind === 'made');
  const options = [{ value: NEW, text: 'a new batch' }, ...open.map((b) => ({ value: b.id, text: b.name }))];
  return (
    <Box>
      <Box as="h2" marginBottom={1}>
        Into a batch
      </Box>
      <Box fontSize="small" lineHeight={1.8}>
        as pieces of <Choice label="Which batch" value={into} options={options} onChange={setInto} />
        <OnBacking backing={backing} onBacking={setBacking} />
      </Box>
      <Action marginTop={2} disabled={many === 0 || making === null || bad !== undefined} onClick={() => void go()}>
        {many === 1 ? 'One piece' : `${many} pieces`} into the batch
      </Action>
      {making === null && <Warning>A machine comes first: its settings say how thick a backing is.</Warning>}
      {bad !== undefined && <Warning>Sheet {bad + 1} cannot be cut so yet.</Warning>}
      {wrong !== null && <Warning>{wrong}</Warning>}
      {many > 0 && (
        <Caption display="block" marginTop={1}>
          {lies
            ? 'The sheet lies there: it is taken for them.'
            : 'The sheet is still to be made: until then the batch says so, and its clay is on the shopping list.'}
        </Caption>
      )}
    </Box>
  );
}
