import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { chromaHue, readColour, showLab } from '#core/colour';
import { showMass } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import type { Picked } from '../../parts/materialChoices.js';
import { Tick } from '../../parts/Tick.js';
import { MassValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { ClayRoles } from './ClayRoles.js';
import { OneFound } from './OneFound.js';
import { useUnits } from '../../state/view.js';
import { Caption, Second, Word } from '../../theme/pieces.js';
import type { Finding } from './useFinding.js';
import { useFinding } from './useFinding.js';
import { useKeys } from '../../state/keys.js';
import { grey, UNKNOWN_HEX } from '../../theme/grey.js';
const MOST = [1, 2, 3] as const;
const MOST_OPTIONS = [
  { value: '1', text: 'one clay' },
  { value: '2', text: 'two clays' },
  { value: '3', text: 'three clays' },
] as const;
/** Farther than this a mix is not the colour that was asked for. */
const REACHED = 2;

const LOOKING: Readonly<Record<string, string>> = {
  looking: 'looking for closer ones …',
  stopped: 'stopped before all were looked at',
};
/** How far the search has come. */
const searchWords = (state: string, clays: number): string =>
  LOOKING[state] ?? `nothing closer in ${clays} clays, up to eight parts with halves`;

interface WantedColourProps {
  readonly finding: Finding;
}

/** The colour as it is written, and picked. */
function WantedColour({ finding }: WantedColourProps): ReactElement {
  const { target, setTarget, hex } = finding;

  return (
    <Box fontSize="h2">
      The colour is{' '}
      <Value
        label="Colour to find"
        text={target ? showLab(target) : ''}
        placeholder="7B1E4B or 52 41 -8"
        read={readColour}
        onChange={setTarget}
      />{' '}
      <input
        type="color"
        aria-label="Pick the colour"
        tabIndex={-1}
        value={`#${(hex ?? UNKNOWN_HEX).toLowerCase()}`}
        onChange={(e) => {
          setTarget(readColour(e.currentTarget.value));
        }}
        style={{
          width: 34,
          height: 24,
          padding: 1,
          border: `1px solid ${grey.ink}`,
          background: grey.tile,
          verticalAlign: 'middle',
        }}
      />
    </Box>
  );
}

interface WhoseColourProps {
  readonly finding: Finding;
}

/** Or the colour of something that is there. */
function WhoseColour({ finding }: WhoseColourProps): ReactElement {
  const { target, setTarget } = finding;
  const [picking, setPicking] = useState(false);
  const begin = (): void => {
    setPicking(true);
  };
  useKeys('Finding a mix', [{ key: 'p', does: 'Take the colour of a clay or a mix', run: begin }]);
  const pick = ({ hexes: [hex] }: Picked): void => {
    setPicking(false);
    if (hex !== undefined) setTarget(readColour(hex));
  };
  return (
    <>
      <Box>
        or <Word onClick={begin}>that of a clay or a mix</Word>
        {target && (
          <Second>
            {' '}
            · L* {Math.round(target.l)}, C* {Math.round(chromaHue(target).c)}, h {Math.round(chromaHue(target).h)}
          </Second>
        )}
      </Box>
      {picking && (
        <MaterialPicker
          place="chosen"
          label="Whose colour"
          onPick={pick}
          onCancel={() => {
            setPicking(false);
          }}
        />
      )}
    </>
  );
}

interface HowManyProps {
  readonly finding: Finding;
}

/** Of how many clays, and for how much. */
function HowMany({ finding }: HowManyProps): ReactElement {
  const { mixGrams, setMixGrams, most, setMost } = finding;

  return (
    <Box>
      of at most{' '}
      <Choice
        label="Most clays"
        value={`${most}`}
        options={MOST_OPTIONS}
        onChange={(value) => {
          setMost(MOST[Number(value) - 1] ?? 3);
        }}
      />
      , for{' '}
      <MassValue
        label="Weight to find for"
        value={mixGrams}
        onChange={(g) => {
          if (g > 0 && g < 1e6) setMixGrams(g);
        }}
      />
    </Box>
  );
}

interface LimitsProps {
  readonly finding: Finding;
}

/** What the search keeps to. */
function Limits({ finding }: LimitsProps): ReactElement {
  const { opaque, setOpaque, enough, setEnough } = finding;

  return (
    <Box fontSize="small">
      <Tick checked={enough} onChange={setEnough}>
        only what the shelf has enough of
      </Tick>
      {' · '}
      <Tick checked={opaque} onChange={setOpaque}>
        opaque clays only
      </Tick>
    </Box>
  );
}

interface SearchLineProps {
  readonly finding: Finding;
}

/** How far the search has come. */
function SearchLine({ finding }: SearchLineProps): ReactElement {
  const { target, input, state, stop, closest } = finding;

  return (
    <Flex alignItems="baseline" gap={4} marginBottom={2}>
      <h2>{target ? 'From the simplest to the closest' : 'Say a colour first'}</h2>
      <Box role="status" fontSize="small" color="ink2" data-search={state}>
        {target && (state !== 'done' || closest) && searchWords(state, input?.clays.length ?? 0)}
      </Box>
      {state === 'looking' && target && (
        <Word fontSize="small" onClick={stop}>
          stop
        </Word>
      )}
    </Flex>
  );
}

interface NothingFoundProps {
  readonly finding: Finding;
}

/** That nothing can be made, or that nothing reaches the colour. */
function NothingFound({ finding }: NothingFoundProps): ReactElement {
  const { target, input, state, closest } = finding;

  return (
    <>
      {target && state === 'done' && !closest && (
        <Warning>
          No mix can be made like this:{' '}
          {input?.clays.length === 0
            ? 'no clay is left to choose from.'
            : 'the shelf has too little, or more clays must be in than may be.'}
        </Warning>
      )}
      {state === 'done' && closest && closest.deltaE > REACHED && (
        <Warning>
          None of these clays reaches this colour. The nearest that they come is ΔE {closest.deltaE.toFixed(1)}.
        </Warning>
      )}
    </>
  );
}

/** A colour, and the mixes of the clays at hand that come nearest to it. */
export function FindMix({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const units = useUnits();
  const finding = useFinding(shelf);
  const { mixGrams, target, hex, worthSeeing } = finding;
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Find a mix</h1>
        <Second>for a colour you have seen, from the clays you have</Second>
      </Flex>
      <Grid templateColumns="190px minmax(0, 1fr)" gap={5}>
        <Box
          height="150px"
          border={hex === null ? 'dashed' : 'none'}
          style={hex === null ? {} : { background: `#${hex}` }}
          aria-hidden
        />
        <Flex direction="column" gap={2} fontSize="text">
          <WantedColour finding={finding} />
          <WhoseColour finding={finding} />
          <HowMany finding={finding} />
          <Limits finding={finding} />
        </Flex>
      </Grid>
      <Box borderTop="rule" paddingTop={4}>
        <SearchLine finding={finding} />
        <NothingFound finding={finding} />
        <Flex as="ul" wrap="wrap" gap={5} paddingTop={3} aria-label="Mixes found">
          {target &&
            hex !== null &&
            worthSeeing.map((f) => (
              <OneFound
                key={`${f.clayIds.join()}${f.units.join()}`}
                found={f}
                target={hex}
                shelf={shelf}
                grams={mixGrams}
              />
            ))}
        </Flex>
      </Box>
      <ClayRoles finding={finding} />
      <Caption>Amounts in {showMass(mixGrams, units)}; colours are predicted and baked.</Caption>
    </Flex>
  );
}
