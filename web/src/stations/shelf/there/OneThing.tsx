import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { SHEET_FORMS, type MadeAnswer, type ThereAnswer, type TubAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { CountValue, LengthValue, MassValue, TextValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useKeys } from '../../../state/keys.js';
import { useTile } from '../../../state/tile.js';
import { showDate } from '../../../state/today.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Key, Rule, Second, Word } from '../../../theme/pieces.js';
import type { Refused } from '../../../wire/ask.js';
import { change, useRefusal } from '../../../wire/save.js';
import { carriedSheet, sentSheet } from '../../sheets/sheetWords.js';
import { USUAL_SLICE, awayChoices, awayDto, slicedDto, slicesIn, weighedAnew, type AwayTo } from './oneThing.js';
import { Cores } from './Cores.js';
import { RollSlices } from './RollSlices.js';
import { ThereFace } from './ThereFace.js';
import { coverWords, sizeWords } from './thereWords.js';

interface OneThingProps {
  readonly thing: ThereAnswer;
  readonly tubs: readonly TubAnswer[];
}

/** The plan that a thing was made from; null where it is of one clay. */
function planOf({ of, blendId, caneId, patternId }: MadeAnswer): string | null {
  if (blendId !== null) return `/blends/${blendId}`;
  if (caneId !== null) return `/canes/${caneId}`;
  if (patternId !== null) return `/patterns/${patternId}`;
  return of.kind === 'clay' ? `/shelf/${of.id}` : null;
}

/** What it is of, when it was made, and the ways to both. */
function Comes({ thing }: { readonly thing: ThereAnswer }): ReactElement {
  const navigate = useNavigate();
  const plan = planOf(thing);
  return (
    <Second>
      {plan === null ? (
        thing.ofName
      ) : (
        <Word
          onClick={() => {
            void navigate(plan);
          }}
        >
          {thing.ofName}
        </Word>
      )}{' '}
      · {showDate(thing.madeOn)} ·{' '}
      <Word
        onClick={() => {
          void navigate(`/diary/${thing.entryId}`);
        }}
      >
        in the diary
      </Word>
    </Second>
  );
}

/** Slices are cut off a cane. */
function CutSlices({ thing }: { readonly thing: ThereAnswer }): ReactElement {
  const [mm, setMm] = useState(USUAL_SLICE);
  const fit = slicesIn(thing, mm);
  const [count, setCount] = useState(Math.max(1, Math.min(10, fit)));
  const path = `/api/made/${thing.id}/sliced`;
  const refusal = useRefusal(path);
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Cut slices
      </Box>
      <CountValue
        label="Slices to cut"
        value={count}
        onChange={(n) => {
          if (Number.isInteger(n) && n > 0) setCount(n);
        }}
      />{' '}
      of{' '}
      <LengthValue
        label="Thickness of the slices"
        value={mm}
        onChange={(value) => {
          if (value > 0) setMm(value);
        }}
      />{' '}
      <Action
        marginLeft={2}
        disabled={fit === 0}
        onClick={() => {
          void change('POST', path, slicedDto(thing, count, mm));
        }}
      >
        Cut
      </Action>
      <Caption display="block">{fit === 0 ? 'it is too short for one' : `${fit} are in what is left of it`}</Caption>
      {refusal && <Warning>{refusal.message}</Warning>}
    </div>
  );
}

/** It goes to a tub, or away. */
function Away({ thing, tubs }: OneThingProps): ReactElement {
  const [to, setTo] = useState<AwayTo>('fits');
  const path = `/api/made/${thing.id}/away`;
  const refusal = useRefusal(path);
  return (
    <Box fontSize="small">
      <Word
        onClick={() => {
          void change('POST', path, awayDto(thing, to));
        }}
      >
        Throw it
      </Word>{' '}
      <Choice label="Where it is thrown" value={to} options={awayChoices(tubs)} onChange={setTo} />
      {refusal && <Warning>{refusal.message}</Warning>}
    </Box>
  );
}

interface SavedProps extends Pick<OneThingProps, 'thing'> {
  readonly refusal: Refused | undefined;
  readonly save: (part: Partial<MadeAnswer>) => void;
}

function Name({ thing, refusal, save }: SavedProps): ReactElement {
  return (
    <h2>
      <TextValue
        label="Name of the thing"
        value={thing.name}
        refusal={refusal?.sentenceFor('name')}
        onChange={(name) => {
          save({ name });
        }}
      />
    </h2>
  );
}

/** How large it is, what it weighs, and where it is kept. */
function Measures({ thing, refusal, save }: SavedProps): ReactElement {
  const units = useUnits();
  return (
    <Box lineHeight={1.6}>
      {sizeWords(thing, units)},{' '}
      <MassValue
        label="Weight of the thing"
        value={thing.left}
        refusal={refusal?.sentenceFor('grams')}
        onChange={(grams) => {
          if (grams > 0) save({ grams: weighedAnew(thing, grams) });
        }}
      />
      <br />
      kept in{' '}
      <TextValue
        label="Where it is kept"
        placeholder="where?"
        value={thing.keptIn}
        onChange={(keptIn) => {
          save({ keptIn });
        }}
      />
    </Box>
  );
}

/** The plans that count on it. */
function Reserved({ thing }: { readonly thing: ThereAnswer }): ReactElement {
  const navigate = useNavigate();
  return (
    <>
      {thing.reservedFor.map(({ kind, id, name }) => (
        <Box key={id} fontSize="small">
          reserved for{' '}
          <Word
            onClick={() => {
              void navigate(kind === 'batch' ? `/batches/${id}` : `/canes/${id}`);
            }}
          >
            {name}
          </Word>
        </Box>
      ))}
    </>
  );
}

/** The way to the page of sheets, where they are cut and rolled on. */
function InBook({ thing }: { readonly thing: ThereAnswer }): ReactElement | null {
  const navigate = useNavigate();
  if (!SHEET_FORMS.includes(thing.form)) return null;
  return (
    <Box fontSize="small">
      <Word
        onClick={() => {
          void navigate(`/sheets/book/${thing.id}`);
        }}
      >
        in the sheet book
      </Word>
      , to cut it, roll it thinner or wind it up
    </Box>
  );
}

/** px of the face of a cane. */
const FACE = 132;

/** What lies there: what it is, where it is kept, and what becomes of it. */
export function OneThing({ thing, tubs }: OneThingProps): ReactElement {
  const carry = useTile((s) => s.put);
  const path = `/api/sheets/${thing.id}`;
  const refusal = useRefusal(path);
  const save = (part: Partial<MadeAnswer>): void => {
    void change('PUT', path, sentSheet({ ...thing, ...part }));
  };
  const put = (): void => {
    carry(carriedSheet(thing));
  };
  useKeys('What lies there', [{ key: 'c', does: 'Carry it on the tile', run: put }]);
  const own = { thing, refusal, save };
  const covers = coverWords(thing, useUnits());
  return (
    <>
      <div>
        <Name {...own} />
        <Comes thing={thing} />
      </div>
      {thing.caneId !== null && <ThereFace thing={thing} size={FACE} />}
      <Measures {...own} />
      {covers !== null && <Second>{covers}</Second>}
      <Reserved thing={thing} />
      {thing.form === 'cane' && <CutSlices thing={thing} />}
      {thing.form === 'lump' && <Cores grams={thing.left} density={thing.density} slices={null} />}
      {thing.form === 'slices' && (
        <>
          <RollSlices thing={thing} />
          <Cores
            grams={thing.left}
            density={thing.density}
            slices={{ count: thing.count, across: thing.widthMm, mm: thing.mm }}
          />
        </>
      )}
      <InBook thing={thing} />
      <Rule />
      <Flex gap={4} wrap="wrap" fontSize="small">
        <Word onClick={put}>
          carry <Key>C</Key>
        </Word>
        <Word
          onClick={() => {
            save({ gone: true });
          }}
        >
          Used up
        </Word>
      </Flex>
      <Away thing={thing} tubs={tubs} />
      {refusal && !refusal.problem.fields && <Warning>{refusal.message}</Warning>}
    </>
  );
}
