import { recipesOf } from '../../wire/revisions.js';
import { ofClay, ofMix, type OfMix } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { deltaE, hexOf, readColour, showLab, xyzOfLab, statedPigment, type Lab } from '#core/colour';
import { colourOf, flatten, pigmentOfMix, type Correction, type Flat } from '#core/mix';
import { Fraction, showMass } from '#core/units';
import type { MixAnswer, ShelfAnswer } from '#contract';
import { Reading } from '../../parts/Empty.js';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { MassValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useBook } from '../../state/book.js';
import { usePigments } from '../../wire/pigments.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Second } from '../../theme/pieces.js';
import { useMix } from '../../wire/queries.js';
import type { PlainCorrection } from '../../workers/find.worker.js';
import { useCorrections } from '../../workers/useFind.js';
import { usePlainClays } from '../../workers/usePlainClays.js';
import { useMakeMix } from './useMakeMix.js';

/** Below this the eye sees no difference worth a correction, ΔE00. */
const GOOD = 1;

/** A mix that came out differently: which one, and what to add to it. */
export function Correct({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const [query] = useSearchParams();
  const navigate = useNavigate();
  const of = query.get('of');
  const mix = useMix(of ?? undefined);
  const pick = async (mixed: OfMix): Promise<void> => {
    const [revision] = await recipesOf(mixed);
    if (revision) void navigate(`/mixes/correct?of=${revision.mixId}`);
  };
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>Correct a mix</h1>
        <Second>it came out differently: what to add, since nothing can be taken out</Second>
      </Flex>
      {of === null && (
        <Box>
          <Box marginBottom={2}>Which mix do you have?</Box>
          <MaterialPicker
            place="corrected"
            label="Mix to correct"
            onPick={(p) => {
              void pick(p.of);
            }}
            onCancel={() => undefined}
          />
        </Box>
      )}
      {of !== null && mix.data && (
        <OfMix key={`${of}${query.get('chip') ?? ''}`} mix={mix.data} chipId={query.get('chip')} shelf={shelf} />
      )}
      {of !== null && !mix.data && <Reading error={mix.error} />}
    </Flex>
  );
}

/** As the recipe would come out if every clay were as its packet says. */
const asStated = (flat: Flat): Lab => colourOf(flat, 'baked', statedPigment).lab;

function OfMix({
  mix,
  chipId,
  shelf,
}: {
  readonly mix: MixAnswer;
  readonly chipId: string | null;
  readonly shelf: ShelfAnswer;
}): ReactElement {
  const chip = mix.chips.find((c) => c.id === chipId) ?? mix.chips.find((c) => c.stage === 'baked');
  const revision = mix.revisions.find((r) => r.id === chip?.revisionId) ?? mix.revisions.at(-1);
  const known = useMemo(() => [...mix.revisions, ...mix.referenced], [mix]);
  const book = useBook(shelf, known);
  const revisionId = revision?.id ?? '';
  const flat = useMemo(() => {
    const recipe = book.recipe(revisionId);
    return recipe ? flatten(recipe, book) : null;
  }, [book, revisionId]);
  const [grams, setGrams] = useState(40);
  const [typed, setTyped] = useState<Lab | null>(null);
  const [wish, setWish] = useState<Lab | null>(mix.wantedHex === null ? null : readColour(mix.wantedHex));
  const pigments = usePigments();
  const clays = usePlainClays(shelf);
  const reads = typed ?? chip ?? null;
  const stated = useMemo(() => flat && asStated(flat), [flat]);
  const wanted = wish ?? stated;
  const input = useMemo(
    (): PlainCorrection | null =>
      reads && wanted && flat
        ? {
            grams,
            reads: { l: reads.l, a: reads.a, b: reads.b },
            wanted,
            pigment: pigmentOfMix(flat, 'baked', pigments),
            density: flat.density,
            clays,
          }
        : null,
    [grams, reads, wanted, flat, clays, pigments],
  );
  const found = useCorrections(input);
  if (!revision || !flat || !wanted) return <Box>This mix has no recipe.</Box>;
  const off = reads && deltaE(reads, wanted);
  const closest = found?.at(-1);
  return (
    <>
      <Grid templateColumns="repeat(2, 190px) minmax(0, 1fr)" gap={5} alignItems="center">
        <Swatch title="it reads" hex={reads && hexOf(xyzOfLab(reads))} />
        <Swatch title="wanted" hex={hexOf(xyzOfLab(wanted))} />
        <Flex direction="column" gap={2}>
          <Box fontSize="h2">
            I have{' '}
            <MassValue
              label="Grams of the mix"
              value={grams}
              onChange={(g) => {
                if (g > 0 && g < 1e5) setGrams(g);
              }}
            />{' '}
            of <Link to={`/mixes/${mix.id}`}>{mix.name}</Link>
            {mix.revisions.length > 1 ? <Second> revision {revision.number}</Second> : null},
          </Box>
          <Box fontSize="h2">
            it reads{' '}
            <Value
              label="How it reads"
              text={reads ? showLab(reads) : ''}
              placeholder="AA3361 or 41 52 4"
              read={readColour}
              onChange={setTyped}
            />
            ,
          </Box>
          <Box fontSize="h2">
            I wanted <Value label="Colour wanted" text={showLab(wanted)} read={readColour} onChange={setWish} />.
          </Box>
          {off !== null && (
            <Box>
              <b>ΔE {off.toFixed(1)}</b> <Second>{off < GOOD ? 'the same to the eye: leave it' : 'apart'}</Second>
              {wish === null && (
                <Caption> · wanted: what the recipe would be if every clay were as its packet says</Caption>
              )}
            </Box>
          )}
        </Flex>
      </Grid>
      <Box borderTop="rule" paddingTop={4} role="status">
        {!reads && <Warning>No chip of this mix is logged. Type how it reads, or log a chip at the mix first.</Warning>}
        {reads && found === null && <Second>looking …</Second>}
        {found && closest && found.length === 1 && (off ?? 0) >= GOOD && (
          <Warning>
            None of your clays brings it nearer: as it is, ΔE {closest.deltaE.toFixed(1)}, is the nearest. Add to it
            only for another colour, or begin anew.
          </Warning>
        )}
        {found && closest && found.length > 1 && closest.deltaE > 2 && (
          <Warning>No two of your clays bring it all the way. The nearest is ΔE {closest.deltaE.toFixed(1)}.</Warning>
        )}
        {found && found.length > 1 && (
          <Box as="h2" marginBottom={3}>
            Add
          </Box>
        )}
        <Flex as="ul" gap={5} wrap="wrap" aria-label="What to add">
          {found
            ?.filter((f) => f.adds.length > 0)
            .map((f) => (
              <OneWay
                key={f.adds.map((a) => a.clayId).join()}
                found={f}
                mix={mix}
                revisionId={revision.id}
                grams={grams}
                wantedHex={hexOf(xyzOfLab(wanted))}
                shelf={shelf}
              />
            ))}
        </Flex>
      </Box>
    </>
  );
}

function Swatch({ title, hex }: { readonly title: string; readonly hex: string | null }): ReactElement {
  return (
    <Box>
      <Box
        height="150px"
        borderRadius="12px"
        border={hex === null ? 'dashed' : 'none'}
        style={hex === null ? {} : { background: `#${hex}` }}
        aria-hidden
      />
      <Caption>{title}</Caption>
    </Box>
  );
}

interface OneWayProps {
  readonly found: Correction;
  readonly mix: MixAnswer;
  readonly revisionId: string;
  readonly grams: number;
  readonly wantedHex: string;
  readonly shelf: ShelfAnswer;
}

/** One correction; the grams are those that really went in, so that the new recipe is what it is. */
function OneWay({ found, mix, revisionId, grams, wantedHex, shelf }: OneWayProps): ReactElement {
  const units = useUnits();
  const { make, wrong } = useMakeMix();
  const [added, setAdded] = useState<readonly number[]>(found.adds.map((a) => a.grams));
  const named = (id: string): string => shelf.clays.find((c) => c.id === id)?.name ?? '';
  const exact = (g: number): string => new Fraction(Math.round(g * 100), 100).toFraction();
  const put = (): void => {
    const went = found.adds.flatMap((a, i) =>
      (added[i] ?? 0) > 0 ? [{ parts: exact(added[i] ?? 0), of: ofClay(a.clayId) }] : [],
    );
    void make(
      `${mix.name} corrected ${crypto.randomUUID().slice(0, 3)}`.slice(0, 80),
      [{ parts: exact(grams), of: ofMix(revisionId) }, ...went],
      {
        basis: 'mass',
        wantedHex,
        note:
          `${showMass(grams, units)} of ${mix.name}, and ` +
          `${found.adds.map((a, i) => `${showMass(added[i] ?? 0, units)} of ${named(a.clayId)}`).join(', ')}`,
      },
    );
  };
  return (
    <Box as="li" width="250px">
      <Flex height="96px" borderRadius="10px" overflow="hidden" aria-hidden>
        <Box flex={1} style={{ background: `#${wantedHex}` }} />
        <Box flex={1.6} style={{ background: `#${hexOf(xyzOfLab(found.lab))}` }} />
      </Flex>
      <Box fontSize="h3" fontWeight={600} marginTop={2} data-testid="adds">
        {found.adds.map((a) => `${showMass(a.grams, units)} ${named(a.clayId)}`).join(' + ')}
      </Box>
      <Box>
        <b>ΔE {found.deltaE.toFixed(1)}</b> <Second>from what you wanted</Second>
      </Box>
      <Box fontSize="small" marginTop={2}>
        Really went in:{' '}
        {found.adds.map((a, i) => (
          <span key={a.clayId}>
            {i > 0 && ', '}
            <MassValue
              label={`Grams of ${named(a.clayId)} that went in`}
              value={added[i] ?? 0}
              onChange={(g) => {
                if (g >= 0 && g < 1e4) setAdded(added.map((old, k) => (k === i ? g : old)));
              }}
            />{' '}
            {named(a.clayId)}
          </span>
        ))}
      </Box>
      <Action marginTop={2} onClick={put}>
        Put the new mix on the board
      </Action>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
