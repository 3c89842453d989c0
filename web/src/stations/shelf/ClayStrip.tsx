import { Box, Flex } from '@chakra-ui/react';
import { Suspense, lazy, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { KINDS, strengthOf } from '#core/clay';
import { readNumber } from '#core/units';
import { readHex } from '#core/colour';
import type { BlockDto, ClayDto, LineDto, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { textureOf } from '../../parts/texture.js';
import { TextValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { Rule, Second, Word } from '../../theme/pieces.js';
import { useUsedIn } from '../../wire/queries.js';
import { change, useRefusal } from '../../wire/save.js';
import { BlockWords } from './BlockWords.js';
import { inOrder } from './shelfWords.js';
import { TakeOrAdd } from './TakeOrAdd.js';

/** What it takes to condition a block rests on much that the shelf itself does not need. */
const ConditionNote = lazy(async () => ({ default: (await import('./ConditionNote.js')).ConditionNote }));

const KIND_OPTIONS = KINDS.map((value) => ({ value, text: value }));

/** What the views of a clay are given. */
interface OwnProps {
  readonly clay: ClayDto;
  readonly says: (field: string) => string | undefined;
  readonly save: (part: Partial<ClayDto>) => void;
}

/** Its name, its line, its kind. */
function Head({ clay, says, save, line }: OwnProps & { readonly line: LineDto | undefined }): ReactElement {
  return (
    <div>
      <h2>
        <TextValue
          label="Name of the clay"
          value={clay.name}
          refusal={says('name')}
          onChange={(name) => {
            save({ name });
          }}
        />
      </h2>
      <Second>
        {line?.name} ·{' '}
        <Choice
          label="Kind"
          value={clay.kind}
          options={KIND_OPTIONS}
          onChange={(kind) => {
            save({ kind });
          }}
        />
        {clay.retired ? ' · retired' : ''}
      </Second>
    </div>
  );
}

/** A field of its baked colour, with the texture of its kind. */
function Colour({ clay }: { readonly clay: ClayDto }): ReactElement {
  const texture = textureOf(clay.kind);
  return (
    <svg width="100%" height="64" aria-hidden>
      <rect width="100%" height="64" fill={`#${clay.bakedHex}`} />
      {texture !== null && <rect width="100%" height="64" fill={texture} />}
    </svg>
  );
}

/** Colour of the edges of its flakes: a strip cut straight through a sheet with an even sheen shows it. */
function Edges({ clay, says, save }: OwnProps): ReactElement {
  return (
    <Box>
      flakes on their edges{' '}
      <Value
        label="Colour of the edges of its flakes"
        text={clay.edgeHex ?? '~'}
        read={(text) => (/^[~\s]*$/.test(text) ? null : readHex(text))}
        refusal={says('edgeHex')}
        onChange={(edgeHex) => {
          save({ edgeHex });
        }}
      />
      {clay.edgeHex == null && ', assumed: three tenths of the light'}
    </Box>
  );
}

/** Its colours, raw and baked, and how strong it is. */
function Figures({ clay, says, save }: OwnProps): ReactElement {
  const strength = strengthOf(clay);
  return (
    <Box>
      <Box>
        raw{' '}
        <Value
          label="Raw colour"
          text={clay.rawHex}
          read={readHex}
          refusal={says('rawHex')}
          onChange={(rawHex) => {
            save({ rawHex });
          }}
        />{' '}
        · baked{' '}
        <Value
          label="Baked colour"
          text={clay.bakedHex}
          read={readHex}
          refusal={says('bakedHex')}
          onChange={(bakedHex) => {
            save({ bakedHex });
          }}
        />
      </Box>
      {clay.kind === 'mica' && <Edges clay={clay} says={says} save={save} />}
      <Box>
        strength{' '}
        <Value
          label="Strength"
          text={`${strength.assumed ? '~' : ''}${strength.value}`}
          refusal={says('strength')}
          read={(text) => (text.trim() === '' ? null : readNumber(text.replace(/^~/, '')).valueOf())}
          onChange={(value) => {
            save({ strength: value });
          }}
        />
        {strength.assumed ? ', assumed by its kind' : ''}
      </Box>
    </Box>
  );
}

interface BlocksProps {
  readonly blocks: readonly BlockDto[];
  readonly block: BlockDto | undefined;
  readonly onChoose: (id: string) => void;
  readonly onAddBlock: () => void;
}

/** Its blocks, the one to use first in front. */
function Blocks({ blocks, block, onChoose, onAddBlock }: BlocksProps): ReactElement {
  return (
    <Flex direction="column" gap={3}>
      <h3>
        {['No block yet', 'One block'][blocks.length] ?? `${blocks.length} blocks, the one to use first in front`}
      </h3>
      {blocks.map((b) => (
        <BlockWords
          key={b.id}
          block={b}
          chosen={b.id === block?.id}
          many={blocks.length > 1}
          onChoose={() => {
            onChoose(b.id);
          }}
        />
      ))}
      <Word alignSelf="flex-start" onClick={onAddBlock}>
        {blocks.length === 0 ? 'Add a block' : 'Another block'}
      </Word>
    </Flex>
  );
}

/** Retired, or off the shelf altogether. */
function Away({
  clay,
  save,
  path,
  onGone,
}: Omit<OwnProps, 'says'> & { readonly path: string; readonly onGone: () => void }): ReactElement {
  return (
    <Flex gap={4}>
      <Word
        onClick={() => {
          save({ retired: !clay.retired });
        }}
      >
        {clay.retired ? 'Bring it back' : 'Retire'}
      </Word>
      <Word
        onClick={() => {
          void change('DELETE', `${path}?version=${clay.version}`).then((gone) => {
            if (gone !== null) onGone();
          });
        }}
      >
        Take off the shelf
      </Word>
    </Flex>
  );
}

interface ClayStripProps {
  readonly clay: ClayDto;
  readonly shelf: ShelfAnswer;
  readonly onAddBlock: () => void;
  readonly onGone: () => void;
}

/** Everything about one clay, edited where it stands. */
export function ClayStrip({ clay, shelf, onAddBlock, onGone }: ClayStripProps): ReactElement {
  const line = shelf.lines.find((l) => l.id === clay.lineId);
  const blocks = inOrder(shelf.blocks.filter((b) => b.clayId === clay.id));
  const [blockId, setBlockId] = useState<string | null>(null);
  const block = blocks.find((b) => b.id === blockId) ?? blocks.find((b) => b.leftGrams > 0) ?? blocks[0];
  const path = `/api/clays/${clay.id}`;
  const refusal = useRefusal(path);
  const save = (part: Partial<ClayDto>): void => {
    void change('PUT', path, { ...clay, ...part });
  };
  const own = { clay, save, says: (field: string): string | undefined => refusal?.sentenceFor(field) };
  return (
    <>
      <Head {...own} line={line} />
      <Colour clay={clay} />
      <Figures {...own} />
      <Rule />
      <Blocks blocks={blocks} block={block} onChoose={setBlockId} onAddBlock={onAddBlock} />
      <Suspense>
        <ConditionNote line={line} block={block} />
      </Suspense>
      {block && (
        <>
          <Rule />
          <TakeOrAdd key={block.id} block={block} name={clay.name} />
        </>
      )}
      <Rule />
      <div>
        <h3>Used in</h3>
        <UsedIn clayId={clay.id} />
      </div>
      {refusal && !refusal.problem.fields && <Warning>{refusal.message}</Warning>}
      <Away clay={clay} save={save} path={path} onGone={onGone} />
    </>
  );
}

/** The mixes that a clay is in, as far as they are worth reading. */
function UsedIn({ clayId }: { readonly clayId: string }): ReactElement {
  const { data } = useUsedIn(clayId);
  if (!data) return <Second>looking …</Second>;
  if (data.total === 0) return <Second>no mix yet</Second>;
  const more = data.total - data.mixes.length;
  return (
    <>
      {data.mixes.map((m, i) => (
        <span key={m.id}>
          {i > 0 && ' · '}
          <Link to={`/mixes/${m.id}`}>{m.name}</Link>
        </span>
      ))}
      {more > 0 && <Second> and {more.toLocaleString('en')} more</Second>}
    </>
  );
}
