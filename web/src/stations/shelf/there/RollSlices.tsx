import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { showLength, showMass, showSize } from '#core/units';
import type { TakenBy, ThereAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { MaterialPicker, type Picked } from '../../../parts/MaterialPicker.js';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { LengthValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { ownMachine } from '../../../state/bench.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Second, Word } from '../../../theme/pieces.js';
import { useMachines } from '../../../wire/queries.js';
import { change, useRefusal } from '../../../wire/save.js';
import { USUAL_ROLLING, laidDto, rolledOut, type RolledOut, type Rolling } from './rollSlices.js';
import { ThereFace } from './ThereFace.js';

const LAYINGS = [
  { value: 'puzzle', text: 'like a puzzle, without gaps' },
  { value: 'rows', text: 'in rows' },
  { value: 'single', text: 'one by one' },
] as const;
const TURNS = [
  { value: 'turned', text: 'turned a quarter before each pass' },
  { value: 'straight', text: 'always fed the same way' },
] as const;

/** px for a mm of a slice, and the room for what it becomes. */
const [SCALE, ROOM] = [3, 240];

interface RollingProps {
  readonly rolling: Rolling;
  readonly set: (part: Partial<Rolling>) => void;
}

/** Whether there is a backing, and for how large a sheet. */
function ForSheet({ rolling, set }: RollingProps): ReactElement {
  return (
    <>
      {rolling.backing > 0 && (
        <>
          {' · '}
          <Word
            fontSize="small"
            onClick={() => {
              set({ backing: 0 });
            }}
          >
            without a backing
          </Word>
        </>
      )}
      {rolling.laying !== 'single' && (
        <>
          , for a sheet of{' '}
          <LengthValue
            label="Length of the sheet, along the feed"
            value={rolling.along}
            onChange={(along) => {
              if (along > 0) set({ along });
            }}
          />{' '}
          ×{' '}
          <LengthValue
            label="Width of the sheet"
            value={rolling.across}
            onChange={(across) => {
              if (across > 0) set({ across });
            }}
          />
        </>
      )}
    </>
  );
}

/** How they are laid and rolled, in a sentence. */
function RollingWords({ rolling, set }: RollingProps): ReactElement {
  return (
    <Box fontSize="small" lineHeight={1.7}>
      Laid{' '}
      <Choice
        label="How slices are laid"
        value={rolling.laying}
        options={LAYINGS}
        onChange={(laying) => {
          set({ laying });
        }}
      />{' '}
      on{' '}
      <ThicknessValue
        label="Thickness of the backing"
        value={rolling.backing}
        onChange={(backing) => {
          set({ backing });
        }}
      />{' '}
      of backing, rolled to{' '}
      <ThicknessValue
        label="Thickness they are rolled to"
        value={rolling.to}
        onChange={(to) => {
          set({ to });
        }}
      />
      ,{' '}
      <Choice
        label="How slices are fed"
        value={rolling.turned ? 'turned' : 'straight'}
        options={TURNS}
        onChange={(turns) => {
          set({ turned: turns === 'turned' });
        }}
      />
      <ForSheet rolling={rolling} set={set} />
    </Box>
  );
}

interface BecomesProps {
  readonly thing: ThereAnswer;
  readonly out: RolledOut;
}

/** A slice before and after, at one scale: the feed runs from left to right. */
function Becomes({ thing, out }: BecomesProps): ReactElement {
  const units = useUnits();
  const { slice, settings } = out;
  const scale = Math.min(SCALE, ROOM / (thing.widthMm + slice.along));
  const [before, w, h] = [thing.widthMm * scale, slice.along * scale, slice.across * scale];
  return (
    <>
      <Flex gap={3} alignItems="center" marginY={2} role="img" aria-label="A slice before and after rolling">
        <ThereFace thing={thing} size={before} />
        <Box width={`${w}px`} height={`${h}px`} overflow="hidden" flex="none">
          <Box
            style={{ transform: `scale(${w / before}, ${h / before})`, transformOrigin: '0 0' }}
            width={`${before}px`}
          >
            <ThereFace thing={thing} size={before} />
          </Box>
        </Box>
      </Flex>
      <Second>
        {settings.length > 0 && <>your {settings.join(', ')} in turn · </>}
        each becomes {showSize(slice.along, slice.across, units)}, {showLength(slice.mm, units, true)} thick
        {slice.backing > 0 && ` on ${showLength(slice.backing, units, true)}`}: {slice.growth.toFixed(1)} times the area
        {slice.oval > 1.05 && `, an oval of ${slice.oval.toFixed(1)} to 1`}
      </Second>
    </>
  );
}

interface LayProps extends BecomesProps {
  readonly rolling: Rolling;
}

/** Written down: the slices and their backing are a sheet from now on. */
function Lay({ thing, out, rolling }: LayProps): ReactElement {
  const units = useUnits();
  const [picking, setPicking] = useState(false);
  const [under, setUnder] = useState<Picked<TakenBy<'taken'>> | null>(null);
  const path = `/api/made/${thing.id}/laid`;
  const refusal = useRefusal(path);
  const { count, backingGrams } = out;
  const lay = (): void => {
    const backing = under && backingGrams > 0 ? [{ of: under.of, grams: backingGrams }] : null;
    void change('POST', path, laidDto(thing, rolling, count, backing));
  };
  return (
    <Box marginTop={2}>
      <Box fontSize="small">
        <b>{count}</b> {count === 1 ? 'slice' : 'slices'} of the {thing.count}
        {backingGrams > 0 && (
          <>
            , {showMass(backingGrams, units)} of backing from{' '}
            <Word
              fontSize="small"
              onClick={() => {
                setPicking(true);
              }}
            >
              {under?.name ?? 'nothing that lies there'}
            </Word>
          </>
        )}
      </Box>
      {picking && (
        <MaterialPicker
          place="taken"
          label="What the backing is of"
          onCancel={() => {
            setPicking(false);
          }}
          onPick={(picked) => {
            setPicking(false);
            setUnder(picked);
          }}
        />
      )}
      <Action marginTop={2} disabled={count > thing.count} onClick={lay}>
        It is laid and rolled
      </Action>
      {count > thing.count && <Caption display="block">{count - thing.count} slices are missing for it</Caption>}
      {refusal && <Warning>{refusal.message}</Warning>}
    </Box>
  );
}

/** Slices as material: how many a sheet takes, and what they become when they are rolled. */
export function RollSlices({ thing }: { readonly thing: ThereAnswer }): ReactElement {
  const { data } = useMachines();
  const [rolling, setRolling] = useState<Rolling>(USUAL_ROLLING);
  const out = rolledOut(thing, rolling, data && ownMachine(data));
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Lay and roll them
      </Box>
      <RollingWords
        rolling={rolling}
        set={(part) => {
          setRolling({ ...rolling, ...part });
        }}
      />
      <Becomes thing={thing} out={out} />
      {rolling.laying !== 'single' && <Lay thing={thing} out={out} rolling={rolling} />}
    </div>
  );
}
