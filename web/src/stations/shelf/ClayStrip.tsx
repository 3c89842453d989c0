import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { KINDS, ageInMonths, conditioningOf, readDateCode, showAge, showMonth, strengthOf } from '#core/clay';
import { attempt, readMass, readNumber, showMass, showMinutes } from '#core/units';
import { readHex } from '#core/colour';
import type { BlockDto, ClayDto, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { textureOf } from '../../parts/texture.js';
import { MassValue, TextValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { today } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Field, Rule, Second, Word } from '../../theme/pieces.js';
import { UNSENT } from '../../wire/leaving.js';
import { useMachines } from '../../wire/queries.js';
import { useUsedIn } from '../../wire/queries.js';
import { change, useRefusal } from '../../wire/save.js';
import { inOrder } from './shelfWords.js';
import { grey } from '../../theme/grey.js';

const KIND_OPTIONS = KINDS.map((value) => ({ value, text: value }));

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
  const says = (field: string): string | undefined => refusal?.sentenceFor(field);
  const strength = strengthOf(clay);
  const texture = textureOf(clay.kind);
  const months = block?.madeOn ? ageInMonths(block.madeOn, today()) : null;
  const how = line && block && block.leftGrams > 0 ? conditioningOf(line.firmness, months, block.leftGrams) : null;
  return (
    <>
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
      <svg width="100%" height="64" aria-hidden>
        <rect width="100%" height="64" fill={`#${clay.bakedHex}`} />
        {texture !== null && <rect width="100%" height="64" fill={texture} />}
      </svg>
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
      <Rule />
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
              setBlockId(b.id);
            }}
          />
        ))}
        <Word alignSelf="flex-start" onClick={onAddBlock}>
          {blocks.length === 0 ? 'Add a block' : 'Another block'}
        </Word>
      </Flex>
      {how && months !== null && (how.softener || how.useSameDay) && (
        <Warning>
          {showAge(months)} old{line?.firmness === 'crumbly' ? ' and of a crumbly line' : ''}. Plan{' '}
          <b>~{showMinutes(how.minutes)}</b> to bring it back{how.warmFirst ? ', warmed first' : ''}
          {how.softener ? ', with a little softener' : ''}
          {how.useSameDay ? ', and use it the same day' : ''}.
        </Warning>
      )}
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
    </>
  );
}

function BlockWords({
  block,
  chosen,
  many,
  onChoose,
}: {
  readonly block: BlockDto;
  readonly chosen: boolean;
  readonly many: boolean;
  readonly onChoose: () => void;
}): ReactElement {
  const currency = useMachines().data?.setup.currency ?? '';
  const path = `/api/blocks/${block.id}`;
  const refusal = useRefusal(path);
  const save = (part: Partial<BlockDto>): void => {
    void change('PUT', path, { ...block, ...part });
  };
  const says = (field: string): string | undefined => refusal?.sentenceFor(field);
  return (
    <Flex gap={3} alignItems="flex-start">
      {many && (
        <input
          type="radio"
          name="block"
          aria-label="Take from this block"
          checked={chosen}
          onChange={onChoose}
          style={{ accentColor: grey.ink, marginTop: 6 }}
        />
      )}
      <Box flex={1}>
        <MassValue
          label="Grams left"
          value={block.leftGrams}
          refusal={says('leftGrams')}
          onChange={(leftGrams) => {
            save({ leftGrams });
          }}
        />{' '}
        of{' '}
        <MassValue
          label="Net weight"
          value={block.netGrams}
          refusal={says('netGrams')}
          onChange={(netGrams) => {
            save({ netGrams });
          }}
        />{' '}
        left
        {' · '}
        <Value
          label="Paid"
          text={block.price === null ? '' : `${block.price.toFixed(2)}${currency === '' ? '' : ` ${currency}`}`}
          placeholder="price?"
          refusal={says('price')}
          read={(text) => (text.trim() === '' ? null : readNumber(text.replace(/[^\d.,]/g, '')).valueOf())}
          onChange={(price) => {
            save({ price });
          }}
        />{' '}
        paid
        <Box fontSize="small" color="ink2">
          {block.madeOn === null ? 'code ' : `made ${showMonth(block.madeOn)}, code `}
          <Value
            label="Date code"
            text={block.dateCode}
            placeholder="not read"
            refusal={says('madeOn')}
            read={(text) => ({ dateCode: text.trim(), madeOn: text.trim() === '' ? null : readDateCode(text) })}
            onChange={save}
          />
          {block.leftGrams === 0 && (
            <>
              {' · '}
              <Word
                onClick={() => {
                  void change('DELETE', `${path}?version=${block.version}`);
                }}
              >
                throw the wrapper away
              </Word>
            </>
          )}
        </Box>
      </Box>
    </Flex>
  );
}

function TakeOrAdd({ block, name }: { readonly block: BlockDto; readonly name: string }): ReactElement {
  const units = useUnits();
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const move = (sign: 1 | -1): void => {
    attempt(
      () => {
        const grams = readMass(text, units);
        const leftGrams = Math.round((block.leftGrams + sign * grams) * 1000) / 1000;
        if (!(grams > 0)) {
          setWrong('That is nothing. Write a weight above zero.');
          return;
        }
        if (leftGrams < 0) {
          setWrong(`There are only ${showMass(block.leftGrams, units)} left of this block.`);
          return;
        }
        if (leftGrams > block.netGrams) {
          setWrong(`This block had ${showMass(block.netGrams, units)} when it was new. Add another block instead.`);
          return;
        }
        setWrong(null);
        setText('');
        void change('PUT', `/api/blocks/${block.id}`, { ...block, leftGrams });
      },
      (wrong) => {
        setWrong(wrong.message);
      },
    );
  };
  return (
    <Box
      as="form"
      {...UNSENT}
      onSubmit={(e) => {
        e.preventDefault();
        move(-1);
      }}
    >
      <Box as="h3" marginBottom={2}>
        Take or add
      </Box>
      <Flex gap={2}>
        <Field
          aria-label={`Weight of ${name} to take or add`}
          placeholder={showMass(14, units)}
          value={text}
          onChange={(e) => {
            setText(e.currentTarget.value);
            setWrong(null);
          }}
        />
        <Action main type="submit">
          Take
        </Action>
        <Action
          type="button"
          onClick={() => {
            move(1);
          }}
        >
          Add
        </Action>
      </Flex>
      {wrong !== null ? <Warning>{wrong}</Warning> : <Caption>from {showMass(block.leftGrams, units)}</Caption>}
    </Box>
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
