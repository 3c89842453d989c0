import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import { RESCUED_FROM, type RescuedFrom } from '#core/conditioning';
import { showMass } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { Empty, Reading } from '../../../parts/Empty.js';
import { MassValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { WriteDown } from '../../../parts/WriteDown.js';
import { useKeys } from '../../../state/keys.js';
import { useUnits } from '../../../state/view.js';
import { Action, Key } from '../../../theme/pieces.js';
import { useShelf } from '../../../wire/queries.js';
import { handsWords, otherWayWords } from './rescueWords.js';
import { onShelf, type OnShelf } from './rescuePlan.js';
import { useRescue, type RescueOf } from './useRescue.js';
import { Ways, dropsWords } from './Ways.js';
import { Worked } from './Worked.js';

/** A block that is hard, crumbles or is too soft is brought back. */
export default function Rescue(): ReactElement {
  const { blockId } = useParams();
  const shelf = useShelf();
  if (!shelf.data) return <Reading error={shelf.error} />;
  const own = onShelf(
    shelf.data,
    shelf.data.blocks.find((b) => b.id === blockId),
  );
  if (!own) return <Empty title="This block is not on the shelf any more">It was used up, or taken away.</Empty>;
  if (own.block.leftGrams <= 0)
    return <Empty title={`Nothing is left of this block of ${own.clay.name}`}>There is nothing to bring back.</Empty>;
  return <OfBlock key={own.block.id} own={own} shelf={shelf.data} />;
}

const FROM_WORDS: Readonly<Record<RescuedFrom, string>> = {
  stiff: 'is stiff',
  cracks: 'cracks',
  crumbles: 'crumbles',
  'too soft': 'is too soft',
};
const FROM_OPTIONS = RESCUED_FROM.map((value) => ({ value, text: FROM_WORDS[value] }));
const LOST_OPTIONS = [
  { value: 'tub', text: 'into the scrap tub' },
  { value: 'thrown', text: 'thrown away' },
] as const;

interface OfBlockProps {
  readonly own: OnShelf;
  readonly shelf: ShelfAnswer;
}

/** What is taken of the block, what is wrong with it, and what was lost. */
function Sentence({ own, rescue }: { readonly own: OnShelf; readonly rescue: RescueOf }): ReactElement {
  const { said, say } = rescue;
  return (
    <Box fontSize="h3" lineHeight={1.7}>
      <MassValue
        label="Of the block"
        value={said.grams}
        onChange={(grams) => {
          if (grams > 0 && grams <= own.block.leftGrams) say({ grams, lostGrams: Math.min(said.lostGrams, grams / 2) });
        }}
      />{' '}
      of it{' '}
      <Choice
        label="What it does"
        value={said.from}
        options={FROM_OPTIONS}
        onChange={(from) => {
          say({ from });
        }}
      />
      ; crumbs of{' '}
      <MassValue
        label="Crumbs that are lost"
        value={said.lostGrams}
        onChange={(lostGrams) => {
          if (lostGrams >= 0 && lostGrams < said.grams) say({ lostGrams });
        }}
      />{' '}
      cannot be worked in
      {said.lostGrams > 0 && (
        <>
          {' '}
          and go{' '}
          <Choice
            label="Where the crumbs go"
            value={said.lostTo}
            options={LOST_OPTIONS}
            onChange={(lostTo) => {
              say({ lostTo });
            }}
          />
        </>
      )}
      .
    </Box>
  );
}

function OfBlock({ own, shelf }: OfBlockProps): ReactElement {
  const rescue = useRescue(own, shelf);
  const [done, setDone] = useState(false);
  const back = (
    <Box fontSize="small">
      <Link to={`/shelf/${own.clay.id}`}>{own.clay.name} on the shelf</Link>
    </Box>
  );
  if (done)
    return (
      <Flex direction="column" gap={4} padding={5} height="100%" overflowY="auto">
        {back}
        <Written rescue={rescue} own={own} onBack={() => setDone(false)} />
      </Flex>
    );
  return (
    <Flex direction="column" gap={5} padding={5} height="100%" overflowY="auto">
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>
          Bring back {own.clay.name}, {own.line.name}
        </h1>
        <Box marginLeft="auto">{back}</Box>
      </Flex>
      <Sentence own={own} rescue={rescue} />
      {typeof rescue.ways === 'string' && <Warning>{rescue.ways}</Warning>}
      <Grid templateColumns="repeat(auto-fit, minmax(340px, 1fr))" gap={6} alignItems="start">
        <Ways rescue={rescue} />
        <Worked own={own} rescue={rescue} />
      </Grid>
      <Hands own={own} rescue={rescue} onDone={() => setDone(true)} />
    </Flex>
  );
}

interface HandsProps {
  readonly own: OnShelf;
  readonly rescue: RescueOf;
  readonly onDone: () => void;
}

/** How hands do it, what else one could do, and the way to the diary. */
function Hands({ own, rescue, onDone }: HandsProps): ReactElement {
  const { said, becomes } = rescue;
  const can = typeof becomes !== 'string';
  useKeys('Bringing a block back', [{ key: 'd', does: 'It is done', run: can ? onDone : () => undefined }]);
  return (
    <>
      <Grid templateColumns="repeat(auto-fit, minmax(340px, 1fr))" gap={6} borderTop="rule" paddingTop={4}>
        <Box as="section" aria-label="How hands do it">
          <h2>How hands do it</h2>
          <Box as="ol" paddingLeft={5} marginTop={2} lineHeight={1.6} css={{ listStyle: 'decimal' }}>
            {handsWords(said.from).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Box>
        </Box>
        <Box as="section" aria-label="The other way">
          <h2>Or leave it as it is</h2>
          <Box marginTop={2} lineHeight={1.6}>
            {otherWayWords(said.from)}{' '}
            <Link to={`/sheets/condition?of=${own.clay.id}:${said.grams}`}>How it is conditioned</Link>
          </Box>
        </Box>
      </Grid>
      <Box>
        <Action main disabled={!can} onClick={onDone}>
          Done: it is brought back <Key>D</Key>
        </Action>
      </Box>
    </>
  );
}

interface WrittenProps {
  readonly own: OnShelf;
  readonly rescue: RescueOf;
  readonly onBack: () => void;
}

/** What went in, and then the diary and the shelf have it. */
function Written({ own, rescue, onBack }: WrittenProps): ReactElement {
  const units = useUnits();
  const { said, chosen, other, becomes, refusal, write } = rescue;
  const grams = typeof becomes === 'string' ? 0 : becomes.grams;
  const parts = [
    `${showMass(said.grams - said.lostGrams, units)} ${own.clay.name}`,
    ...(other && chosen.grams > 0 ? [`${showMass(chosen.grams, units)} ${other.clay.name}`] : []),
    ...(chosen.drops > 0 ? [dropsWords(chosen.drops)] : []),
  ];
  return (
    <WriteDown
      refusal={refusal}
      onBack={onBack}
      disabled={typeof becomes === 'string'}
      onWrite={(written) => {
        void write(written);
      }}
    >
      <Box fontSize="22px">
        {parts.join(', ')}: <b>{showMass(grams, units)}</b> in all. It lies on the shelf again in its new state, and
        every plan knows it.
      </Box>
    </WriteDown>
  );
}
