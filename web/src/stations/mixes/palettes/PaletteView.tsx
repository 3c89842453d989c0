import { HARDLY_ANY } from '../../../parts/amounts.js';
import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { hexOf, xyzOfLab } from '#core/colour';
import { showMass } from '#core/units';
import type { PaletteDto, ShelfAnswer, SwatchDto } from '#contract';
import { AmountBar } from '../../../parts/AmountBar.js';
import { Choice } from '../../../parts/Choice.js';
import { MassValue, TextValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useKeys } from '../../../state/keys.js';
import { useUnits } from '../../../state/view.js';
import { Action, Key, Second, Word } from '../../../theme/pieces.js';
import { change } from '../../../wire/save.js';
import { SaveColours } from '../exchange/SaveColours.js';
import { MixingSheet } from './MixingSheet.js';
import { OneColour } from './OneColour.js';
import { named, withoutColour } from './paletteMoves.js';
import { Picture } from './Picture.js';
import { PictureWords } from './PictureWords.js';
import { useMixes, usePicking, type Mixes, type Picking } from './usePalette.js';

const SPLITS = [
  { value: 'share', text: 'by share of the picture' },
  { value: 'even', text: 'the same for each' },
] as const;
/** More is not mixed at once, in grams. */
const MOST_GRAMS = 1e5;

/** All of a palette, as its views are given it. */
interface Parts {
  readonly palette: PaletteDto;
  readonly picking: Picking;
  readonly mixes: Mixes;
}

/** Its name, and the ways out: paper and files. */
function Head({ palette, picking, mixes }: Parts): ReactElement {
  return (
    <Flex alignItems="baseline" gap={4} wrap="wrap">
      <h1>
        <TextValue
          label="Name of the palette"
          value={palette.name}
          refusal={picking.refusal?.sentenceFor('name')}
          onChange={(name) => {
            picking.save({ name });
          }}
        />
      </h1>
      <Second>
        <Link to="/mixes/photograph">all palettes</Link> {' · '}
        <Word onClick={mixes.print}>print the mixing sheet</Word> <Key>P</Key> {' · as a file '}
        <SaveColours
          file={() => ({
            name: palette.name,
            colours: palette.swatches.map(({ name, l, a, b, share }) => ({ name, lab: { l, a, b }, share })),
          })}
        />
      </Second>
    </Flex>
  );
}

/** How much is mixed, and where the mixes go. */
function MixesWords({ mixes }: { readonly mixes: Mixes }): ReactElement {
  const { grams, setGrams, split, setSplit, done, rows, toBoard } = mixes;
  return (
    <>
      <Box>
        Mixes for{' '}
        <MassValue
          label="Weight for all colours"
          value={grams}
          onChange={(g) => {
            if (g > 0 && g < MOST_GRAMS) setGrams(g);
          }}
        />{' '}
        in all, <Choice label="How the weight is shared out" value={split} options={SPLITS} onChange={setSplit} />
      </Box>
      <Box>
        <Action
          disabled={done < rows.length || rows.length === 0}
          onClick={() => {
            void toBoard();
          }}
        >
          Put the mixes on the board
        </Action>
      </Box>
    </>
  );
}

/** The way to be rid of it. */
function TakeAway({ path, version }: { readonly path: string; readonly version: number }): ReactElement {
  const navigate = useNavigate();
  return (
    <Box fontSize="small">
      <Word
        onClick={() => {
          void change('DELETE', `${path}?version=${version}`).then((gone) => {
            if (gone !== null) void navigate('/mixes/photograph');
          });
        }}
      >
        Take the palette away
      </Word>
    </Box>
  );
}

/** The picture, and beside it what is done with it. */
function PictureAndWords({ palette, picking, mixes }: Parts): ReactElement {
  const { gains, patch, purpose, point, wrong } = picking;
  const source = palette.pictureId;
  return (
    <Grid templateColumns="auto minmax(0, 1fr)" gap={5}>
      {source === null ? (
        <span />
      ) : (
        <Picture
          source={source}
          gains={gains}
          patch={patch}
          purpose={purpose}
          onPoint={(x, y) => {
            void point(x, y);
          }}
        />
      )}
      <Flex direction="column" gap={3}>
        {source !== null && <PictureWords picking={picking} />}
        {wrong !== null && <Warning>{wrong}</Warning>}
        <MixesWords mixes={mixes} />
        <TakeAway path={picking.path} version={palette.version} />
      </Flex>
    </Grid>
  );
}

/** The colours by their parts of the whole, and how far the search for their mixes has come. */
function ShareBar({ palette, mixes }: Omit<Parts, 'picking'>): ReactElement {
  const { shares, rows, done } = mixes;
  return (
    <>
      <Flex height="30px" flex="none" aria-hidden>
        {palette.swatches.map((s, i) => (
          <Box key={s.id} style={{ background: `#${hexOf(xyzOfLab(s))}`, width: `${100 * (shares[i] ?? 0)}%` }} />
        ))}
      </Flex>
      <Box role="status" fontSize="small" color="ink2" data-matched={done === rows.length}>
        {rows.length === 0 && 'No colour yet: click one in the picture.'}
        {done < rows.length && `looking for the mix of colour ${done + 1} of ${rows.length} …`}
        {rows.length > 0 && done >= rows.length && 'left the colour of the picture, right the mix'}
      </Box>
    </>
  );
}

/** Each colour with the mix for it. */
function Colours({ palette, picking, mixes }: Parts): ReactElement {
  return (
    <Grid
      as="ul"
      templateColumns="repeat(auto-fill, minmax(270px, 1fr))"
      columnGap={5}
      rowGap={4}
      aria-label="Colours of the palette"
    >
      {mixes.rows.map((row, i) => (
        <OneColour
          key={row.id}
          row={row}
          swatch={palette.swatches[i] as SwatchDto}
          known={mixes.matches[i] !== undefined}
          onOut={() => {
            picking.save(withoutColour(palette, row.id));
          }}
          onName={(name) => {
            picking.save(named(palette, row.id, name));
          }}
        />
      ))}
    </Grid>
  );
}

/** What the mixes take of each clay. */
function ClayForAll({ all }: { readonly all: Mixes['all'] }): ReactElement {
  const units = useUnits();
  const longest = Math.max(1, ...all.map((c) => c.grams));
  return (
    <Box borderTop="rule" paddingTop={4} maxWidth="560px">
      <Box as="h2" marginBottom={2}>
        Clay for all of them
      </Box>
      {all.map((c) => (
        <Box key={c.clayId} marginBottom={2}>
          <Flex justifyContent="space-between" fontSize="small">
            <b>{c.name}</b>
            <span>
              {showMass(c.grams, units)}
              {c.short > HARDLY_ANY ? `, ${showMass(c.short, units)} short` : ''}
            </span>
          </Flex>
          <AmountBar grams={c.grams} short={c.short} longest={longest} hex={c.hex} />
        </Box>
      ))}
    </Box>
  );
}

interface PaletteViewProps {
  readonly palette: PaletteDto;
  readonly shelf: ShelfAnswer;
}

/** A palette: its picture, its colours, the mix for each, and the clay for all. */
export function PaletteView({ palette, shelf }: PaletteViewProps): ReactElement {
  const picking = usePicking(palette);
  const mixes = useMixes(palette, shelf);
  const { refusal } = picking;
  useKeys('This palette', [
    { key: 'p', does: 'Print the mixing sheet', run: mixes.print },
    { key: 'g', does: 'Show what is grey or white: the neutral point', run: picking.turnPurpose },
  ]);
  const parts = { palette, picking, mixes };
  return (
    <>
      <Flex
        direction="column"
        gap={4}
        padding={5}
        overflowY="auto"
        minWidth={0}
        css={{ '@media print': { display: 'none' } }}
      >
        <Head {...parts} />
        {refusal && refusal.sentenceFor('name') === undefined && <Warning>{refusal.message}</Warning>}
        <PictureAndWords {...parts} />
        <ShareBar palette={palette} mixes={mixes} />
        <Colours {...parts} />
        {mixes.all.length > 0 && <ClayForAll all={mixes.all} />}
      </Flex>
      <MixingSheet name={palette.name} pictureId={palette.pictureId} rows={mixes.rows} clays={mixes.all} />
    </>
  );
}
