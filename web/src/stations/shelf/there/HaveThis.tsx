import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { ASSUMED_DENSITY } from '#core/clay';
import type { MadeAnswer, TakenBy } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { MaterialPicker, type Picked } from '../../../parts/MaterialPicker.js';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { CountValue, LengthValue, MassValue, TextValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { Action, Caption, Word } from '../../../theme/pieces.js';
import { useShelf } from '../../../wire/queries.js';
import { change, useRefusal } from '../../../wire/save.js';
import {
  HAVE_FORMS,
  MEASURED,
  densityOf,
  gramsOfSize,
  haveThing,
  notedDto,
  type Have,
  type HaveForm,
} from './haveThis.js';

const CALLED: Readonly<Record<HaveForm, string>> = {
  lump: 'a lump',
  sheet: 'a sheet',
  cane: 'a cane',
  threads: 'threads',
  cores: 'cores',
  baked: 'baked parts',
};
const FORMS = HAVE_FORMS.map((value) => ({ value, text: CALLED[value] }));
/** g of a lump before it is weighed. */
const USUAL_LUMP = 20;
const FIRST: Omit<Have, 'grams'> = {
  form: 'lump',
  name: '',
  widthMm: 60,
  lengthMm: 100,
  mm: 1.5,
  keptIn: '',
  count: 10,
};

interface HaveThisProps {
  readonly onSaved: (id: string) => void;
  readonly onCancel: () => void;
}

/** What is typed in, and the way to write it down. It weighs what its size says, until it was weighed. */
function useHave(onSaved: (id: string) => void) {
  const shelf = useShelf();
  const [picked, setPicked] = useState<Picked<TakenBy<'noted'>> | null>(null);
  const [density, setDensity] = useState(ASSUMED_DENSITY);
  const [typed, setTyped] = useState(FIRST);
  const [weighed, setWeighed] = useState<number | null>(null);
  const [path, setPath] = useState('/api/made');
  const refusal = useRefusal(path);
  const have: Have = { ...typed, grams: weighed ?? gramsOfSize(typed, density) ?? USUAL_LUMP };
  const set = ({ grams, ...part }: Partial<Have>): void => {
    if (grams !== undefined) setWeighed(grams);
    setTyped({ ...typed, ...part });
  };
  const pick = async (next: Picked<TakenBy<'noted'>>): Promise<void> => {
    setPicked(next);
    set({ name: next.name });
    setDensity(await densityOf(next.of, shelf.data));
  };
  const write = async (): Promise<void> => {
    if (!picked) return;
    const thing = haveThing(have, density);
    const to = `/api/made/${thing.id}/noted`;
    setPath(to);
    const answer = await change<MadeAnswer>('POST', to, notedDto(thing, picked.of));
    if (answer) onSaved(answer.id);
  };
  return { picked, pick, have, set, refusal, write };
}
type Having = ReturnType<typeof useHave>;

interface SizesProps extends Pick<Having, 'have' | 'set'> {
  readonly as: 'flat' | 'rod' | 'ball';
}

/** How long it is, and of something flat how thick. */
function LengthAndThickness({ have, set, as }: SizesProps): ReactElement {
  return (
    <>
      {as === 'rod' ? 'across,' : '×'}{' '}
      <LengthValue
        label="How long it is"
        value={have.lengthMm}
        onChange={(lengthMm) => {
          if (lengthMm > 0) set({ lengthMm });
        }}
      />{' '}
      {as === 'rod' ? 'long' : ', '}
      {as === 'flat' && (
        <>
          <ThicknessValue
            label="How thick it is"
            value={have.mm}
            onChange={(mm) => {
              if (mm > 0) set({ mm });
            }}
          />{' '}
          thick
        </>
      )}
    </>
  );
}

/** How many, and how large, as its kind is measured. */
function Sizes({ have, set }: Pick<Having, 'have' | 'set'>): ReactElement | null {
  const { as, counted } = MEASURED[have.form];
  if (as === 'weight') return null;
  return (
    <Box>
      {counted && (
        <>
          <CountValue
            label="How many there are"
            value={have.count}
            onChange={(count) => {
              if (Number.isInteger(count) && count > 0) set({ count });
            }}
          />{' '}
          of{' '}
        </>
      )}
      <LengthValue
        label={as === 'flat' ? 'How wide it is' : 'How far across it is'}
        value={have.widthMm}
        onChange={(widthMm) => {
          if (widthMm > 0) set({ widthMm });
        }}
      />{' '}
      {as === 'ball' ? 'across' : <LengthAndThickness have={have} set={set} as={as} />}
    </Box>
  );
}

/** Which clay, mix, blend or cane it is of. */
function OfWhat({ picked, pick }: Pick<Having, 'picked' | 'pick'>): ReactElement {
  const [picking, setPicking] = useState(true);
  if (!picking)
    return (
      <Box>
        of{' '}
        <Word
          fontWeight={700}
          onClick={() => {
            setPicking(true);
          }}
        >
          {picked?.name ?? 'which clay, mix, blend or cane?'}
        </Word>
      </Box>
    );
  return (
    <MaterialPicker
      place="noted"
      label="What it is made of"
      onPick={(next) => {
        setPicking(false);
        void pick(next);
      }}
      onCancel={() => {
        setPicking(false);
      }}
    />
  );
}

/** How large it is, what it weighs, what it is called and where it is kept. */
function Measured({ have, set, refusal, write }: Having): ReactElement {
  return (
    <>
      <Box>
        <Choice
          label="What kind of thing it is"
          value={have.form}
          options={FORMS}
          onChange={(form: HaveForm) => {
            set({ form });
          }}
        />
      </Box>

      <Sizes have={have} set={set} />
      <Box>
        <MassValue
          label="What it weighs"
          value={have.grams}
          onChange={(grams) => {
            if (grams > 0) set({ grams });
          }}
        />
        {have.form !== 'lump' && <Caption> from its size, until you weigh it</Caption>}
      </Box>
      <Box>
        called{' '}
        <TextValue
          label="What it is called"
          value={have.name}
          refusal={refusal?.sentenceFor('thing.name')}
          onChange={(name) => {
            set({ name });
          }}
        />
        , kept in{' '}
        <TextValue
          label="Where it lies"
          placeholder="where?"
          value={have.keptIn}
          onChange={(keptIn) => {
            set({ keptIn });
          }}
        />
      </Box>
      <Action
        alignSelf="flex-start"
        onClick={() => {
          void write();
        }}
      >
        It lies there
      </Action>
    </>
  );
}

/** Something that lies there already, typed in. */
export function HaveThis({ onSaved, onCancel }: HaveThisProps): ReactElement {
  const having = useHave(onSaved);
  const { picked, refusal } = having;
  return (
    <Box as="section" aria-label="I have this">
      <Box as="h2" marginBottom={2}>
        I have this
      </Box>
      <Flex direction="column" gap={3}>
        <OfWhat {...having} />
        {picked && <Measured {...having} />}
        <Word fontSize="small" alignSelf="flex-start" onClick={onCancel}>
          not now
        </Word>
        {refusal && <Warning>{refusal.message}</Warning>}
      </Flex>
    </Box>
  );
}
