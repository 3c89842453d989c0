import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { hexOf, showLab, xyzOfLab, type Lab } from '#core/colour';
import { complaint, MOST_COLOURS, recast, type Gains } from '#core/picture';
import { readNumber, showMass, sentenceOf } from '#core/units';
import type { MixDto, PaletteDto, ShelfAnswer, SwatchDto } from '#contract';
import { AmountBar } from '../../../parts/AmountBar.js';
import { Choice } from '../../../parts/Choice.js';
import { MassValue, TextValue, Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useBook } from '../../../state/book.js';
import { useKeys } from '../../../state/keys.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Key, Second, Word } from '../../../theme/pieces.js';
import { change, put, say, useRefusal } from '../../../wire/save.js';
import type { PlainInput } from '../../../workers/find.worker.js';
import { askPicture } from '../../../workers/picture.js';
import { useMatches } from '../../../workers/useFind.js';
import { usePlainClays } from '../../../workers/usePlainClays.js';
import { SaveColours } from '../exchange/SaveColours.js';
import { clayForAll, matchedOf, type Matched } from './matched.js';
import { MixingSheet } from './MixingSheet.js';
import { Picture } from './Picture.js';

const SPLITS = [
  { value: 'share', text: 'by share of the picture' },
  { value: 'even', text: 'the same for each' },
] as const;
/** Of a colour that was picked by hand, as if it had this share. */
const HAND_SHARE = 0.1;

/** A palette: its picture, its colours, the mix for each, and the clay for all. */
export function PaletteView({
  palette,
  shelf,
}: {
  readonly palette: PaletteDto;
  readonly shelf: ShelfAnswer;
}): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const [patch, setPatch] = useState(9);
  const [purpose, setPurpose] = useState<'colour' | 'neutral'>('colour');
  const [count, setCount] = useState(6);
  const [grams, setGrams] = useState(60);
  const [split, setSplit] = useState<'share' | 'even'>('share');
  const [wrong, setWrong] = useState<string | null>(null);
  const path = `/api/palettes/${palette.id}`;
  const refusal = useRefusal(path);
  const clays = usePlainClays(shelf);
  const book = useBook(shelf, []);
  const gains: Gains = [palette.gainR, palette.gainG, palette.gainB];
  const save = (part: Partial<PaletteDto>): void => {
    const dto = { ...palette, ...part };
    void put<PaletteDto>(path, dto, dto);
  };
  const swatchOf = (lab: Lab, share: number | null): SwatchDto => ({
    id: crypto.randomUUID(),
    name: '',
    ...lab,
    share,
  });
  const attempt = async (what: () => Promise<void>): Promise<void> => {
    setWrong(null);
    try {
      await what();
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  const cast = (to: Gains): void => {
    save({
      gainR: to[0],
      gainG: to[1],
      gainB: to[2],
      swatches: palette.swatches.map((s) => ({ ...s, ...recast(s, gains, to) })),
    });
    setPurpose('colour');
  };
  const point = (x: number, y: number): Promise<void> =>
    attempt(async () => {
      if (purpose === 'neutral') {
        const to = await askPicture((worker) => worker.neutralAt(x, y, patch));
        if (to) cast(to);
        return;
      }
      const lab = await askPicture((worker) => worker.colourAt(x, y, patch, gains));
      if (lab) save({ swatches: [...palette.swatches, swatchOf(lab, null)] });
    });
  const again = (): Promise<void> =>
    attempt(async () => {
      const found = await askPicture((worker) => worker.palette(count, gains));
      save({
        swatches: [...found.map((c) => swatchOf(c.lab, c.share)), ...palette.swatches.filter((s) => s.share === null)],
      });
    });
  const weights = palette.swatches.map((s) => (split === 'even' ? 1 : (s.share ?? HAND_SHARE)));
  const whole = weights.reduce((a, b) => a + b, 0);
  const gramsOf = (i: number): number => (grams * (weights[i] ?? 0)) / whole;
  const inputs = useMemo(
    (): PlainInput[] =>
      palette.swatches.map(({ l, a, b }) => ({ target: { l, a, b }, grams: 0, mostClays: 3, locked: [], clays })),
    [palette.swatches, clays],
  );
  const matches = useMatches(inputs);
  const rows = palette.swatches.map((s, i) => matchedOf(s, matches[i] ?? [], gramsOf(i), book));
  const done = matches.filter((m) => m !== undefined).length;
  const all = clayForAll(rows).map((c) => ({
    ...c,
    hex: book.clay(c.clayId)?.bakedHex ?? '999999',
    short: Math.max(0, c.grams - (clays.find((own) => own.id === c.clayId)?.left ?? 0)),
  }));
  const longest = Math.max(1, ...all.map((c) => c.grams));
  const print = (): void => {
    if (done === rows.length) window.print();
    else say('Wait until a mix is found for every colour.');
  };
  const toBoard = async (): Promise<void> => {
    for (const [i, row] of rows.entries()) {
      if (!row.recipe) continue;
      const dto: MixDto = {
        id: crypto.randomUUID(),
        version: 0,
        name: `${palette.name.slice(0, 60)} ${i + 1} ${crypto.randomUUID().slice(0, 3)}`,
        note: `for the palette ${palette.name}, ΔE ${row.deltaE?.toFixed(1) ?? ''}`,
        retired: false,
        wantedHex: row.hex,
        basis: 'volume',
        ingredients: row.recipe.ingredients.map(({ parts, of }) => ({ parts: parts.toFraction(), of })),
      };
      await change('PUT', `/api/mixes/${dto.id}`, dto);
    }
    void navigate(`/mixes`);
  };
  useKeys('This palette', [
    { key: 'p', does: 'Print the mixing sheet', run: print },
    {
      key: 'g',
      does: 'Show what is grey or white: the neutral point',
      run: () => {
        setPurpose(purpose === 'neutral' ? 'colour' : 'neutral');
      },
    },
  ]);
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
        <Flex alignItems="baseline" gap={4} wrap="wrap">
          <h1>
            <TextValue
              label="Name of the palette"
              value={palette.name}
              refusal={refusal?.sentenceFor('name')}
              onChange={(name) => {
                save({ name });
              }}
            />
          </h1>
          <Second>
            <Link to="/mixes/photograph">all palettes</Link> · <Word onClick={print}>print the mixing sheet</Word>{' '}
            <Key>P</Key> · as a file{' '}
            <SaveColours
              file={() => ({
                name: palette.name,
                colours: palette.swatches.map(({ name, l, a, b, share }) => ({ name, lab: { l, a, b }, share })),
              })}
            />
          </Second>
        </Flex>
        {refusal && refusal.sentenceFor('name') === undefined && <Warning>{refusal.message}</Warning>}
        <Grid templateColumns="auto minmax(0, 1fr)" gap={5}>
          {palette.pictureId === null ? (
            <span />
          ) : (
            <Picture
              source={palette.pictureId}
              gains={gains}
              patch={patch}
              purpose={purpose}
              onPoint={(x, y) => {
                void point(x, y);
              }}
            />
          )}
          <Flex direction="column" gap={3}>
            {palette.pictureId !== null && (
              <>
                <Box>
                  A click takes {purpose === 'colour' ? 'the colour' : <b>the neutral point</b>} under a patch of{' '}
                  <Value
                    label="Side of the patch in pixels"
                    text={String(patch)}
                    read={readPatch}
                    onChange={setPatch}
                  />{' '}
                  pixels.
                </Box>
                <Box>
                  <Action
                    aria-pressed={purpose === 'neutral'}
                    main={purpose === 'neutral'}
                    onClick={() => {
                      setPurpose(purpose === 'neutral' ? 'colour' : 'neutral');
                    }}
                  >
                    {purpose === 'neutral' ? 'Now click something grey or white' : 'Show it what is grey'} <Key>G</Key>
                  </Action>
                  {gains.some((g) => Math.abs(g - 1) > 1e-9) && (
                    <Second>
                      {' '}
                      the cast is taken away ·{' '}
                      <Word
                        onClick={() => {
                          cast([1, 1, 1]);
                        }}
                      >
                        as the photograph is
                      </Word>
                    </Second>
                  )}
                </Box>
                <Box>
                  <Action
                    onClick={() => {
                      void again();
                    }}
                  >
                    Take colours anew
                  </Action>{' '}
                  <Value label="Number of colours" text={String(count)} read={readCount} onChange={setCount} /> of them
                  <Caption>, those picked by hand stay</Caption>
                </Box>
              </>
            )}
            {wrong !== null && <Warning>{wrong}</Warning>}
            <Box>
              Mixes for{' '}
              <MassValue
                label="Weight for all colours"
                value={grams}
                onChange={(g) => {
                  if (g > 0 && g < 1e5) setGrams(g);
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
            <Box fontSize="small">
              <Word
                onClick={() => {
                  void change('DELETE', `${path}?version=${palette.version}`).then((gone) => {
                    if (gone !== null) void navigate('/mixes/photograph');
                  });
                }}
              >
                Take the palette away
              </Word>
            </Box>
          </Flex>
        </Grid>
        <Flex height="30px" flex="none" aria-hidden>
          {palette.swatches.map((s, i) => (
            <Box
              key={s.id}
              style={{ background: `#${hexOf(xyzOfLab(s))}`, width: `${(100 * (weights[i] ?? 0)) / whole}%` }}
            />
          ))}
        </Flex>
        <Box role="status" fontSize="small" color="ink2" data-matched={done === rows.length}>
          {rows.length === 0 && 'No colour yet: click one in the picture.'}
          {done < rows.length && `looking for the mix of colour ${done + 1} of ${rows.length} …`}
          {rows.length > 0 && done >= rows.length && 'left the colour of the picture, right the mix'}
        </Box>
        <Grid
          as="ul"
          templateColumns="repeat(auto-fill, minmax(270px, 1fr))"
          columnGap={5}
          rowGap={4}
          aria-label="Colours of the palette"
        >
          {rows.map((row, i) => (
            <OneColour
              key={row.id}
              row={row}
              swatch={palette.swatches[i] as SwatchDto}
              known={matches[i] !== undefined}
              onOut={() => {
                save({ swatches: palette.swatches.filter((s) => s.id !== row.id) });
              }}
              onName={(name) => {
                save({ swatches: palette.swatches.map((s) => (s.id === row.id ? { ...s, name } : s)) });
              }}
            />
          ))}
        </Grid>
        {all.length > 0 && (
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
                    {c.short > 0.05 ? `, ${showMass(c.short, units)} short` : ''}
                  </span>
                </Flex>
                <AmountBar grams={c.grams} short={c.short} longest={longest} hex={c.hex} />
              </Box>
            ))}
          </Box>
        )}
      </Flex>
      <MixingSheet name={palette.name} pictureId={palette.pictureId} rows={rows} clays={all} />
    </>
  );
}

interface OneColourProps {
  readonly row: Matched;
  readonly swatch: SwatchDto;
  readonly known: boolean;
  readonly onOut: () => void;
  readonly onName: (name: string) => void;
}

function OneColour({ row, swatch, known, onOut, onName }: OneColourProps): ReactElement {
  const units = useUnits();
  return (
    <Flex as="li" gap={3}>
      <Flex width="92px" height="76px" borderRadius="9px" overflow="hidden" flex="none" aria-hidden>
        <Box flex={1} style={{ background: `#${row.hex}` }} />
        <Box flex={1.4} style={{ background: `#${row.mixHex ?? row.hex}` }} />
      </Flex>
      <Box minWidth={0} lineHeight={1.35} fontSize="small">
        <Box fontWeight={600} data-testid="notation">
          {known ? (row.notation ?? 'No clay is on the shelf for it') : '…'}
        </Box>
        {row.deltaE !== null && (
          <span>
            <b>ΔE {row.deltaE.toFixed(1)}</b>
            {row.deltaE > 2 ? ', the nearest there is' : ''} · {showMass(row.grams, units)}
          </span>
        )}
        <br />
        <Caption>{row.perClay.map((c) => `${showMass(c.grams, units)} ${c.name}`).join(', ')}</Caption>
        <br />
        <Caption>
          <TextValue
            label={`Name of the colour ${showLab(swatch)}`}
            placeholder="a name"
            value={swatch.name}
            onChange={onName}
          />{' '}
          {swatch.share === null ? 'picked' : `${(100 * swatch.share).toFixed(0)} %`} ·{' '}
          <Link to={`/mixes/find?colour=${showLab(swatch)}`}>find</Link> ·{' '}
          <Word aria-label={`Take ${showLab(swatch)} out`} onClick={onOut}>
            out
          </Word>
        </Caption>
      </Box>
    </Flex>
  );
}

function readCount(text: string): number {
  const count = readNumber(text).valueOf();
  if (!Number.isInteger(count) || count < 1 || count > MOST_COLOURS)
    throw complaint('picture/count', { most: MOST_COLOURS });
  return count;
}

function readPatch(text: string): number {
  const side = readNumber(text).valueOf();
  if (!Number.isInteger(side) || side < 1 || side > 201)
    throw complaint('unit/range', { what: 'The side of the patch', low: '1', high: '201 pixels' });
  return side;
}
