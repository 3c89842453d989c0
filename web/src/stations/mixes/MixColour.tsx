import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';
import { Link } from 'react-router';
import { Fraction, showNumber } from '#core/units';
import { chromaHue, deltaE, readColour, type Lab } from '#core/colour';
import { brittleOfMix } from '#core/stock';
import { Chip } from '../../parts/Chip.js';
import { Warning } from '../../parts/Warning.js';
import { Caption, Key, Word } from '../../theme/pieces.js';
import { useLearning } from '../../wire/queries.js';
import { LastChip } from './Chips.js';
import { brittleWords, outdatedIn, trustWords, withNewer } from './mixMoves.js';
import type { MixEditing, WorkedMix } from './useMixEditing.js';

/** Ingredients that are scratched into the chip; more have no room. */
const MOST_SCRATCHED = 5;
/** The chip, px. */
const CHIP = { width: 190, height: 262 };

interface MixColourProps {
  readonly editing: MixEditing;
}

/** A colour under its name. */
function Patch({ name, hex }: { readonly name: string; readonly hex: string }): ReactElement {
  return (
    <>
      <Caption>{name}</Caption>
      <Box height="42px" borderRadius="6px" style={{ background: `#${hex}` }} />
    </>
  );
}

function BakedFigures({ lab }: { readonly lab: Lab }): ReactElement {
  const { c, h } = chromaHue(lab);
  return (
    <Box>
      <Caption>baked</Caption>
      <Box fontWeight={700} lineHeight={1.3}>
        L* {Math.round(lab.l)}
      </Box>
      <Box fontSize="small">
        C* {Math.round(c)}
        <br />h {Math.round(h)}
      </Box>
    </Box>
  );
}

interface ColouredProps extends MixColourProps {
  readonly worked: Extract<WorkedMix, { wrong: null }>;
}

/** The colour that was wanted, and how far this is from it. */
function Wanted({ editing, worked }: ColouredProps): ReactElement | null {
  const { wantedHex } = editing.mix;
  if (wantedHex === null) return null;
  return (
    <Box>
      <Patch name="wanted" hex={wantedHex} />
      <Box fontSize="small">
        <b>ΔE {deltaE(readColour(wantedHex), worked.baked.lab).toFixed(1)}</b> from this
      </Box>
    </Box>
  );
}

/** The chip with its recipe scratched in, and its figures. */
function ChipAndFigures({ editing, worked }: ColouredProps): ReactElement {
  const { mix, shown, predicted, named, carry } = editing;
  const learning = useLearning();
  const scratched = shown.ingredients.slice(0, MOST_SCRATCHED);
  return (
    <Grid templateColumns={`${CHIP.width}px 1fr`} gap={4}>
      <Chip
        hex={worked.baked.hex}
        {...CHIP}
        scratched={scratched.map((i) => `${showNumber(new Fraction(i.parts))} ${named(i).name}`)}
      />
      <Flex direction="column" gap={3}>
        <BakedFigures lab={worked.baked.lab} />
        <Box>
          <Patch name="raw" hex={worked.raw.hex} />
        </Box>
        <Wanted editing={editing} worked={worked} />
        <LastChip chips={mix.chips} shown={shown} predicted={predicted} />
        <Caption>{trustWords(worked.flat, learning.data)}</Caption>
        <Caption>{brittleWords(brittleOfMix(worked.flat, editing.book))}</Caption>
        <Word fontSize="small" onClick={carry}>
          carry <Key>C</Key>
        </Word>
      </Flex>
    </Grid>
  );
}

function SameColour({ editing }: MixColourProps): ReactElement | null {
  const { sameAs } = editing.mix;
  if (sameAs.length === 0) return null;
  return (
    <Warning>
      The same colour as{' '}
      {sameAs.map((m, i) => (
        <span key={m.id}>
          {i > 0 && ', '}
          <Link to={`/mixes/${m.id}`}>{m.name}</Link>
        </span>
      ))}
      : the same parts of the same clays.
    </Warning>
  );
}

/** That a mix in it has a newer recipe. */
function OutdatedMixes({ editing }: MixColourProps): ReactNode {
  const { shown, known, mix, save } = editing;
  return outdatedIn(shown.ingredients, known).map((old) => (
    <Warning key={old.id}>
      {old.mixName} has a newer recipe than revision {old.number}, which is used here.{' '}
      <Word
        onClick={() => {
          save({ ingredients: withNewer(shown.ingredients, old, mix.referenced) });
        }}
      >
        Use the newer
      </Word>
    </Warning>
  ));
}

/** The colour of a mix, and what is to be said of it. */
export function MixColour({ editing }: MixColourProps): ReactElement {
  const { worked, old } = editing;
  return (
    <Flex direction="column" gap={3} minWidth={0}>
      {worked.flat ? <ChipAndFigures editing={editing} worked={worked} /> : <Warning>{worked.wrong}</Warning>}
      <SameColour editing={editing} />
      {!old && <OutdatedMixes editing={editing} />}
    </Flex>
  );
}
