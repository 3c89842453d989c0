import { ofClay } from '#core/material';
import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import { chromaHue, hexOf, readColour, showLab, xyzOfLab, type Lab } from '#core/colour';
import { flatten, partsOf, printNotation, toGrams, type Found, type Recipe } from '#core/mix';
import { attempt, showMass } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { MassValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useBook } from '../../state/book.js';
import { useKeys } from '../../state/keys.js';
import { useUnits, useView } from '../../state/view.js';
import { Action, Caption, Second, Word } from '../../theme/pieces.js';
import type { PlainInput } from '../../workers/find.worker.js';
import { useFind, useKnownClays } from '../../workers/useFind.js';
import { usePlainClays } from '../../workers/usePlainClays.js';
import { useMakeMix } from './useMakeMix.js';

/** What a clay may do in the search; a click goes on to the next. */
const ROLES = ['may', 'must', 'not'] as const;
type Role = (typeof ROLES)[number];
const MOST = [1, 2, 3] as const;
const MOST_OPTIONS = [
  { value: '1', text: 'one clay' },
  { value: '2', text: 'two clays' },
  { value: '3', text: 'three clays' },
] as const;
/** Farther than this a mix is not the colour that was asked for. */
const REACHED = 2;

/** Simpler mixes that are farther off than this are not shown. */
const FAR_OFF = 12;

/** What a difference is called up to so many ΔE00. */
const CALLED: readonly (readonly [below: number, words: string])[] = [
  [1, 'the same to the eye'],
  [2, 'close'],
  [5, 'near, but to be told apart'],
];
const words = (deltaE: number): string => CALLED.find(([below]) => deltaE < below)?.[1] ?? 'far off';

const LOOKING: Readonly<Record<string, string>> = {
  looking: 'looking for closer ones …',
  stopped: 'stopped before all were looked at',
};
/** How far the search has come. */
const searchWords = (state: string, clays: number): string =>
  LOOKING[state] ?? `nothing closer in ${clays} clays, up to eight parts with halves`;

const ClayRole = chakra('button', {
  base: {
    width: '74px',
    textAlign: 'center',
    padding: '4px 2px',
    border: '1px solid transparent',
    _hover: { borderColor: 'hairline' },
    '&&&[data-role=must]': { borderColor: 'ink', borderBottomWidth: '5px' },
    '&[data-role=not]': { opacity: 0.45 },
  },
});

/** A colour that came with the address, where it is one. */
function readIn(text: string | null): Lab | null {
  return attempt(
    () => (text === null ? null : readColour(text)),
    () => null,
  );
}

/** A colour, and the mixes of the clays at hand that come nearest to it. */
export function FindMix({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const units = useUnits();
  const [query] = useSearchParams();
  const { mixGrams, setMixGrams } = useView();
  const [target, setTarget] = useState<Lab | null>(() => readIn(query.get('colour')));
  const [picking, setPicking] = useState(false);
  const [roles, setRoles] = useState<Readonly<Record<string, Role>>>({});
  const [opaque, setOpaque] = useState(false);
  const [enough, setEnough] = useState(true);
  const [most, setMost] = useState<1 | 2 | 3>(3);
  useKeys('Finding a mix', [
    {
      key: 'p',
      does: 'Take the colour of a clay or a mix',
      run: () => {
        setPicking(true);
      },
    },
  ]);
  const role = (id: string): Role => roles[id] ?? 'may';
  const usable = useMemo(
    () => shelf.clays.filter((c) => !c.retired && (!opaque || c.kind === 'opaque')),
    [shelf, opaque],
  );
  const plain = usePlainClays(shelf, opaque);
  useKnownClays(plain);
  const input = useMemo(
    (): PlainInput | null =>
      target && {
        target,
        grams: enough ? mixGrams : 0,
        mostClays: most,
        locked: plain.filter((c) => roles[c.id] === 'must').map((c) => c.id),
        clays: plain.filter((c) => roles[c.id] !== 'not'),
      },
    [target, enough, mixGrams, most, plain, roles],
  );
  const { found, state, stop } = useFind(input);
  const hex = target ? hexOf(xyzOfLab(target)) : null;
  const closest = found.at(-1);
  // simpler mixes that are another colour altogether only stand in the way
  const worthSeeing = found.filter((f) => f === closest || f.deltaE < FAR_OFF);
  const pick = ({ hexes: [hex] }: Picked): void => {
    setPicking(false);
    if (hex !== undefined) setTarget(readColour(hex));
  };
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Find a mix</h1>
        <Second>for a colour you have seen, from the clays you have</Second>
      </Flex>
      <Grid templateColumns="190px minmax(0, 1fr)" gap={5}>
        <Box
          height="150px"
          border={hex === null ? '1px dashed #141414' : 'none'}
          style={hex === null ? {} : { background: `#${hex}` }}
          aria-hidden
        />
        <Flex direction="column" gap={2} fontSize="text">
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
              value={`#${(hex ?? '999999').toLowerCase()}`}
              onChange={(e) => {
                setTarget(readColour(e.currentTarget.value));
              }}
              style={{
                width: 34,
                height: 24,
                padding: 1,
                border: '1px solid #141414',
                background: '#fff',
                verticalAlign: 'middle',
              }}
            />
          </Box>
          <Box>
            or{' '}
            <Word
              onClick={() => {
                setPicking(true);
              }}
            >
              that of a clay or a mix
            </Word>
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
          <Box fontSize="small">
            <label>
              <input
                type="checkbox"
                checked={enough}
                onChange={(e) => {
                  setEnough(e.currentTarget.checked);
                }}
                style={{ accentColor: '#141414' }}
              />{' '}
              only what the shelf has enough of
            </label>
            {' · '}
            <label>
              <input
                type="checkbox"
                checked={opaque}
                onChange={(e) => {
                  setOpaque(e.currentTarget.checked);
                }}
                style={{ accentColor: '#141414' }}
              />{' '}
              opaque clays only
            </label>
          </Box>
        </Flex>
      </Grid>
      <Box borderTop="rule" paddingTop={4}>
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
      <Box borderTop="rule" paddingTop={4}>
        <Flex alignItems="baseline" gap={4} marginBottom={2}>
          <h2>Clays</h2>
          <Caption>a click: may be in, must be in, not at all</Caption>
        </Flex>
        <Flex wrap="wrap" gap={1}>
          {usable.map((c) => (
            <ClayRole
              key={c.id}
              data-role={role(c.id)}
              aria-label={`${c.name}: ${role(c.id)} be in`}
              onClick={() => {
                setRoles({ ...roles, [c.id]: ROLES[(ROLES.indexOf(role(c.id)) + 1) % ROLES.length] ?? 'may' });
              }}
            >
              <Box
                width="40px"
                height="40px"
                borderRadius="50%"
                margin="0 auto 3px"
                style={{ background: `#${c.bakedHex}` }}
              />
              <Box fontSize="caption" fontWeight={600} lineHeight={1.2}>
                {c.name}
              </Box>
              <Caption>{role(c.id)}</Caption>
            </ClayRole>
          ))}
        </Flex>
      </Box>
      <Caption>Amounts in {showMass(mixGrams, units)}; colours are predicted and baked.</Caption>
    </Flex>
  );
}

function OneFound({
  found,
  target,
  shelf,
  grams,
}: {
  readonly found: Found;
  readonly target: string;
  readonly shelf: ShelfAnswer;
  readonly grams: number;
}): ReactElement {
  const units = useUnits();
  const book = useBook(shelf, []);
  const { make, wrong } = useMakeMix();
  const parts = partsOf(found.units);
  const recipe: Recipe = {
    basis: 'volume',
    ingredients: found.clayIds.map((id, i) => ({ parts: parts[i] ?? parts[0]!, of: ofClay(id) })),
  };
  const perClay = toGrams(flatten(recipe, book), grams);
  const notation = printNotation(
    recipe.ingredients.map((i, k) => ({
      parts: i.parts,
      of: { name: book.clay(found.clayIds[k] ?? '')?.name ?? '', revision: null },
    })),
  );
  const put = (): void => {
    const ingredients = recipe.ingredients.map(({ parts: n, of }) => ({ parts: n.toFraction(), of }));
    void make(`Like ${target} ${crypto.randomUUID().slice(0, 3)}`, ingredients, {
      wantedHex: target,
      note: `found for the colour ${target}, ΔE ${found.deltaE.toFixed(1)}`,
    });
  };
  return (
    <Box as="li" width="160px">
      <Flex height="104px" borderRadius="10px" overflow="hidden" aria-hidden>
        <Box flex={1} style={{ background: `#${target}` }} />
        <Box flex={1.6} style={{ background: `#${hexOf(xyzOfLab(found.lab))}` }} />
      </Flex>
      <Box fontWeight={600} marginTop={2} lineHeight={1.3} data-testid="notation">
        {notation}
      </Box>
      <Box>
        <b>ΔE {found.deltaE.toFixed(1)}</b> <Second>{words(found.deltaE)}</Second>
      </Box>
      <Box lineHeight={1.35}>
        <Caption>
          {perClay.map((c) => `${showMass(c.grams, units)} ${book.clay(c.clayId)?.name ?? ''}`).join(', ')}
        </Caption>
      </Box>
      <Action marginTop={2} onClick={put}>
        Put it on the board
      </Action>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
