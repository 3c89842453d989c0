import type { OfMix as MaterialOfMix } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { hexOf, readColour, showLab, xyzOfLab } from '#core/colour';
import type { MixAnswer, ShelfAnswer } from '#contract';
import { Reading } from '../../parts/Empty.js';
import { MaterialPicker } from '../../parts/MaterialPicker.js';
import { MassValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { Caption, Second } from '../../theme/pieces.js';
import { useMix } from '../../wire/queries.js';
import { recipesOf } from '../../wire/revisions.js';
import { OneWay } from './OneWay.js';
import { useCorrection, type Correcting } from './useCorrection.js';

/** Below this the eye sees no difference worth a correction, and above that a colour is not reached. ΔE00 */
const [GOOD, REACHED] = [1, 2];
/** More is not corrected at once, in grams. */
const MOST_GRAMS = 1e5;

/** A mix that came out differently: which one, and what to add to it. */
export function Correct({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const [query] = useSearchParams();
  const navigate = useNavigate();
  const of = query.get('of');
  const mix = useMix(of ?? undefined);
  const pick = async (mixed: MaterialOfMix): Promise<void> => {
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

interface OfMixProps {
  readonly mix: MixAnswer;
  readonly chipId: string | null;
  readonly shelf: ShelfAnswer;
}

function OfMix({ mix, chipId, shelf }: OfMixProps): ReactElement {
  const correcting = useCorrection(mix, chipId, shelf);
  const { revision, reads, wanted, grams, found } = correcting;
  if (!revision || !wanted) return <Box>This mix has no recipe.</Box>;
  const wantedHex = hexOf(xyzOfLab(wanted));
  return (
    <>
      <Grid templateColumns="repeat(2, 190px) minmax(0, 1fr)" gap={5} alignItems="center">
        <Swatch title="it reads" hex={reads && hexOf(xyzOfLab(reads))} />
        <Swatch title="wanted" hex={wantedHex} />
        <Sentence mix={mix} correcting={correcting} />
      </Grid>
      <Box borderTop="rule" paddingTop={4} role="status">
        <Verdict correcting={correcting} />
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
                wantedHex={wantedHex}
                shelf={shelf}
              />
            ))}
        </Flex>
      </Box>
    </>
  );
}

interface SentenceProps {
  readonly mix: MixAnswer;
  readonly correcting: Correcting;
}

/** How much there is of it, how it reads, and how it was wanted. */
function Sentence({ mix, correcting }: SentenceProps): ReactElement {
  const { revision, grams, setGrams, reads, setTyped, wish, setWish, wanted, off } = correcting;
  return (
    <Flex direction="column" gap={2}>
      <Box fontSize="h2">
        I have{' '}
        <MassValue
          label="Grams of the mix"
          value={grams}
          onChange={(g) => {
            if (g > 0 && g < MOST_GRAMS) setGrams(g);
          }}
        />{' '}
        of <Link to={`/mixes/${mix.id}`}>{mix.name}</Link>
        {mix.revisions.length > 1 ? <Second> revision {revision?.number}</Second> : null},
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
        I wanted{' '}
        <Value label="Colour wanted" text={wanted ? showLab(wanted) : ''} read={readColour} onChange={setWish} />.
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
  );
}

/** Whether it can be brought there, in a sentence. */
function Verdict({ correcting: { reads, found, off } }: { readonly correcting: Correcting }): ReactElement | null {
  if (!reads)
    return <Warning>No chip of this mix is logged. Type how it reads, or log a chip at the mix first.</Warning>;
  if (found === null) return <Second>looking …</Second>;
  const closest = found.at(-1);
  if (!closest) return null;
  const nearest = closest.deltaE.toFixed(1);
  if (found.length > 1)
    return closest.deltaE > REACHED ? (
      <Warning>No two of your clays bring it all the way. The nearest is ΔE {nearest}.</Warning>
    ) : null;
  if ((off ?? 0) < GOOD) return null;
  return (
    <Warning>
      None of your clays brings it nearer: as it is, ΔE {nearest}, is the nearest. Add to it only for another colour, or
      begin anew.
    </Warning>
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
