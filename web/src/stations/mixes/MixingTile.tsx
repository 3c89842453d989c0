import { ofMix } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { Fraction, attempt, showNumber } from '#core/units';
import { chromaHue, deltaE, readColour } from '#core/colour';
import { colourOf, flatten, printNotation, type Flat } from '#core/mix';
import type { IngredientDto, LearningAnswer, MixAnswer, MixDto, RevisionAnswer, ShelfAnswer } from '#contract';
import { Chip } from '../../parts/Chip.js';
import { TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { useTile } from '../../state/tile.js';
import { Caption, Key, Note, Second, Word } from '../../theme/pieces.js';
import { useLearning } from '../../wire/queries.js';
import { change, put, useRefusal } from '../../wire/save.js';
import { recipeOf, useBook } from '../../state/book.js';
import { usePigments } from '../../wire/pigments.js';
import { Chips, LastChip, type Predicted } from './Chips.js';
import { HowMuch } from './HowMuch.js';
import { Ladder } from './Ladder.js';
import { NotationField } from './NotationField.js';
import { Stacks } from './Stacks.js';

interface MixingTileProps {
  readonly mix: MixAnswer;
  readonly shelf: ShelfAnswer;
}

/** One mix: its discs, its chip, and how much of it. */
export function MixingTile({ mix, shelf }: MixingTileProps): ReactElement {
  const navigate = useNavigate();
  const [seen, setSeen] = useState<string | null>(null);
  // revisions of mixes that were just picked, until the server's answer brings them along
  const [picked, setPicked] = useState<readonly RevisionAnswer[]>([]);
  const newest = mix.revisions.at(-1);
  const shown = mix.revisions.find((r) => r.id === seen) ?? newest;
  const known = useMemo(() => [...mix.revisions, ...mix.referenced, ...picked], [mix, picked]);
  const book = useBook(shelf, known);
  const path = `/api/mixes/${mix.id}`;
  const refusal = useRefusal(path);
  const carry = useTile((s) => s.put);
  const pigments = usePigments();
  const learning = useLearning();

  const save = (part: Partial<MixDto>): void => {
    if (!newest) return;
    const dto: MixDto = {
      id: mix.id,
      version: mix.version,
      name: mix.name,
      note: mix.note,
      retired: mix.retired,
      basis: newest.basis,
      ingredients: [...newest.ingredients],
      ...part,
    };
    setSeen(null);
    void put(path, dto, {
      ...mix,
      ...part,
      revisions: mix.revisions.map((r) =>
        r === newest ? { ...r, basis: dto.basis, ingredients: dto.ingredients } : r,
      ),
    });
  };
  const worked = useMemo((): { flat: Flat } | { wrong: string } => {
    return attempt(
      () => ({ flat: flatten(recipeOf(shown?.basis ?? 'volume', shown?.ingredients ?? []), book, shown?.id) }),
      (wrong) => ({ wrong: wrong.message }),
    );
  }, [shown, book]);
  const baked = 'flat' in worked ? colourOf(worked.flat, 'baked', pigments) : null;
  useKeys('This mix', [
    {
      key: 'c',
      does: 'Carry it on the tile',
      run: () => {
        if (baked && newest)
          carry({ kind: 'mix', id: mix.id, revisionId: newest.id, name: mix.name, hexes: [baked.hex] });
      },
    },
  ]);
  if (!shown) return <Box padding={5}>This mix has no recipe.</Box>;

  const old = shown !== newest;
  const notation = printNotation(
    shown.ingredients.map((i) => ({ parts: new Fraction(i.parts), of: namedIn(i, shelf, known) })),
  );
  const outdated = shown.ingredients.flatMap((i) => known.find((r) => r.id === i.of.id && !r.newest) ?? []);
  const predicted: Predicted = (revisionId, stage) => {
    const recipe = book.recipe(revisionId);
    return recipe ? colourOf(flatten(recipe, book), stage, pigments).lab : null;
  };
  const fieldWrong = refusal && !refusal.sentenceFor('name') ? refusal.message : null;
  return (
    <Flex direction="column" gap={4} padding={5} overflowY="auto" minWidth={0}>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>
          <TextValue
            label="Name of the mix"
            value={mix.name}
            refusal={refusal?.sentenceFor('name')}
            onChange={(name) => {
              save({ name });
            }}
          />
        </h1>
        <Box fontSize="h2" fontFamily="heading">
          <NotationField
            notation={notation}
            disabled={old}
            onRead={(answer) => {
              setPicked(answer.referenced);
              save({ ingredients: [...answer.ingredients], ...(answer.basis === null ? {} : { basis: answer.basis }) });
            }}
          />
        </Box>
        <Box marginLeft="auto">
          <Second>
            {mix.revisions.length > 1 || shown.made ? `revision ${shown.number}` : ''}
            {shown.made ? ', made: a change begins a new one' : ''}
            {mix.retired ? ' · retired' : ''}
          </Second>
        </Box>
      </Flex>
      {fieldWrong !== null && <Warning>{fieldWrong}</Warning>}
      {old && (
        <Box>
          <Second>An older recipe. </Second>
          <Word
            onClick={() => {
              save({ basis: shown.basis, ingredients: [...shown.ingredients] });
            }}
          >
            Use it again
          </Word>{' '}
          ·{' '}
          <Word
            onClick={() => {
              setSeen(null);
            }}
          >
            back to revision {newest?.number}
          </Word>
        </Box>
      )}
      <Grid templateColumns="minmax(0, 1fr) 300px" gap={5}>
        <Stacks
          ingredients={shown.ingredients}
          basis={shown.basis}
          flat={'flat' in worked ? worked.flat : null}
          book={book}
          readOnly={old}
          mixId={mix.id}
          onChange={(ingredients) => {
            save({ ingredients });
          }}
          onBasis={(basis) => {
            save({ basis });
          }}
          onPicked={(r) => {
            setPicked((before) => [...before, ...r]);
          }}
        />
        <Flex direction="column" gap={3} minWidth={0}>
          {'wrong' in worked ? (
            <Warning>{worked.wrong}</Warning>
          ) : (
            baked && (
              <Grid templateColumns="190px 1fr" gap={4}>
                <Chip
                  hex={baked.hex}
                  width={190}
                  height={262}
                  scratched={shown.ingredients
                    .slice(0, 5)
                    .map((i) => `${showNumber(new Fraction(i.parts))} ${namedIn(i, shelf, known).name}`)}
                />
                <Flex direction="column" gap={3}>
                  <Box>
                    <Caption>baked</Caption>
                    <Box fontWeight={700} lineHeight={1.3}>
                      L* {Math.round(baked.lab.l)}
                    </Box>
                    <Box fontSize="small">
                      C* {Math.round(chromaHue(baked.lab).c)}
                      <br />h {Math.round(chromaHue(baked.lab).h)}
                    </Box>
                  </Box>
                  <Box>
                    <Caption>raw</Caption>
                    <Box
                      height="42px"
                      borderRadius="6px"
                      style={{ background: `#${colourOf(worked.flat, 'raw', pigments).hex}` }}
                    />
                  </Box>
                  {mix.wantedHex !== null && (
                    <Box>
                      <Caption>wanted</Caption>
                      <Box height="42px" borderRadius="6px" style={{ background: `#${mix.wantedHex}` }} />
                      <Box fontSize="small">
                        <b>ΔE {deltaE(readColour(mix.wantedHex), baked.lab).toFixed(1)}</b> from this
                      </Box>
                    </Box>
                  )}
                  <LastChip chips={mix.chips} shown={shown} predicted={predicted} />
                  <Caption>{trustOf(worked.flat, learning.data)}</Caption>
                  <Word
                    fontSize="small"
                    onClick={() => {
                      if (newest)
                        carry({ kind: 'mix', id: mix.id, revisionId: newest.id, name: mix.name, hexes: [baked.hex] });
                    }}
                  >
                    carry <Key>C</Key>
                  </Word>
                </Flex>
              </Grid>
            )
          )}
          {mix.sameAs.length > 0 && (
            <Warning>
              The same colour as{' '}
              {mix.sameAs.map((m, i) => (
                <span key={m.id}>
                  {i > 0 && ', '}
                  <Link to={`/mixes/${m.id}`}>{m.name}</Link>
                </span>
              ))}
              : the same parts of the same clays.
            </Warning>
          )}
          {!old &&
            outdated.map((r) => (
              <Warning key={r.id}>
                {r.mixName} has a newer recipe than revision {r.number}, which is used here.{' '}
                <Word
                  onClick={() => {
                    setSeen(null);
                    save({
                      ingredients: shown.ingredients.map((i) =>
                        i.of.id === r.id ? { ...i, of: ofMix(newestOf(r, mix.referenced).id) } : i,
                      ),
                    });
                  }}
                >
                  Use the newer
                </Word>
              </Warning>
            ))}
        </Flex>
      </Grid>
      {'flat' in worked && <Ladder name={mix.name} revisionId={shown.id} flat={worked.flat} shelf={shelf} />}
      <Box borderTop="rule" />
      <Grid templateColumns="minmax(0, 1.5fr) minmax(0, 1fr)" gap={6}>
        {'flat' in worked ? (
          <HowMuch
            flat={worked.flat}
            recipe={recipeOf(shown.basis, shown.ingredients)}
            book={book}
            shelf={shelf}
            nameAt={(i) => namedIn(shown.ingredients[i], shelf, known).name}
          />
        ) : (
          <div />
        )}
        <Flex direction="column" gap={2} alignItems="flex-start">
          <Chips
            chips={mix.chips}
            revisions={mix.revisions}
            shown={shown}
            predicted={predicted}
            wanted={mix.wantedHex === null ? null : readColour(mix.wantedHex)}
          />
          <Box as="h2" marginTop={3}>
            Written down
          </Box>
          <NoteBox
            note={mix.note}
            onChange={(note) => {
              save({ note });
            }}
          />
          {mix.revisions.length > 1 && (
            <Second>
              revisions{' '}
              {mix.revisions.map((r) => (
                <span key={r.id}>
                  {' '}
                  <Word
                    aria-pressed={r === shown}
                    fontWeight={r === shown ? 700 : 400}
                    onClick={() => {
                      setSeen(r.id);
                    }}
                  >
                    {r.number}
                  </Word>
                </span>
              ))}
            </Second>
          )}
          {mix.usedIn.length > 0 && (
            <Second>
              used in{' '}
              {mix.usedIn.map((m, i) => (
                <span key={m.id}>
                  {i > 0 && ' · '}
                  <Link to={`/mixes/${m.id}`}>{m.name}</Link>
                </span>
              ))}
            </Second>
          )}
          <Flex gap={4} fontSize="small">
            <Word
              onClick={() => {
                save({ retired: !mix.retired });
              }}
            >
              {mix.retired ? 'Bring it back' : 'Retire'}
            </Word>
            <Word
              onClick={() => {
                void change('DELETE', `${path}?version=${mix.version}`).then((gone) => {
                  if (gone !== null) void navigate('/mixes');
                });
              }}
            >
              Take off the board
            </Word>
          </Flex>
        </Flex>
      </Grid>
    </Flex>
  );
}

function NoteBox({
  note,
  onChange,
}: {
  readonly note: string;
  readonly onChange: (note: string) => void;
}): ReactElement {
  const [text, setText] = useState<string | null>(null);
  return (
    <Note
      aria-label="Note on the mix"
      minHeight="56px"
      placeholder="a note"
      value={text ?? note}
      onChange={(e) => {
        setText(e.currentTarget.value);
      }}
      onBlur={() => {
        if (text !== null && text !== note) onChange(text);
        setText(null);
      }}
    />
  );
}

/** What a prediction rests on. */
function trustOf(flat: Flat, learning: LearningAnswer | undefined): string {
  const learned = learning?.use ? learning.learned : null;
  const known = flat.shares.filter(({ clay }) => (learned?.[clay.id]?.chips ?? 0) > 0).length;
  if (known === 0) return 'predicted; strengths assumed';
  return known < flat.shares.length ? 'predicted; strengths partly learned' : 'predicted as your chips taught';
}

const newestOf = (old: RevisionAnswer, all: readonly RevisionAnswer[]): RevisionAnswer =>
  all.find((r) => r.mixId === old.mixId && r.newest) ?? old;

/** How an ingredient is called here, as the notation writes it. */
function namedIn(
  i: IngredientDto | undefined,
  shelf: ShelfAnswer,
  revisions: readonly RevisionAnswer[],
): { name: string; revision: number | null } {
  const clay = shelf.clays.find((c) => c.id === i?.of.id);
  if (clay) {
    const twins = shelf.clays.filter((c) => c.name.toLowerCase() === clay.name.toLowerCase());
    const line = shelf.lines.find((l) => l.id === clay.lineId);
    return { name: twins.length > 1 && line ? `${clay.name} of ${line.name}` : clay.name, revision: null };
  }
  const revision = revisions.find((r) => r.id === i?.of.id);
  return { name: revision?.mixName ?? 'a mix', revision: revision && !revision.newest ? revision.number : null };
}
