import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { readDateCode, showMonth } from '#core/clay';
import { readNumber } from '#core/units';
import type { BlockDto } from '#contract';
import { MassValue, Value } from '../../parts/Value.js';
import { today } from '../../state/today.js';
import { Word } from '../../theme/pieces.js';
import { useMachines } from '../../wire/queries.js';
import { change, useRefusal } from '../../wire/save.js';
import { grey } from '../../theme/grey.js';

interface FieldsProps {
  readonly block: BlockDto;
  readonly says: (field: string) => string | undefined;
  readonly save: (part: Partial<BlockDto>) => void;
}

/** What is left of it, and what it was when it was new. */
function Weights({ block, says, save }: FieldsProps): ReactElement {
  return (
    <>
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
    </>
  );
}

/** A price as it is typed; null where it is left empty. */
const readPrice = (text: string): number | null =>
  text.trim() === '' ? null : readNumber(text.replace(/[^\d.,]/g, '')).valueOf();

/** What was paid for it. */
function Price({ block, says, save }: FieldsProps): ReactElement {
  const currency = useMachines().data?.setup.currency ?? '';
  const shown = block.price === null ? '' : `${block.price.toFixed(2)} ${currency}`.trim();
  return (
    <Value
      label="Paid"
      text={shown}
      placeholder="price?"
      refusal={says('price')}
      read={readPrice}
      onChange={(price) => {
        save({ price });
      }}
    />
  );
}

/** When it was made, by the code on its wrapper. */
function DateCode({ block, says, save, path }: FieldsProps & { readonly path: string }): ReactElement {
  return (
    <Box fontSize="small" color="ink2">
      {block.madeOn === null ? 'code ' : `made ${showMonth(block.madeOn)}, code `}
      <Value
        label="Date code"
        text={block.dateCode}
        placeholder="not read"
        refusal={says('madeOn')}
        read={(text) => ({ dateCode: text.trim(), madeOn: text.trim() === '' ? null : readDateCode(text, today()) })}
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
  );
}

interface BlockWordsProps {
  readonly block: BlockDto;
  readonly chosen: boolean;
  readonly many: boolean;
  readonly onChoose: () => void;
}

/** One block in words, each of them changed where it stands. */
export function BlockWords({ block, chosen, many, onChoose }: BlockWordsProps): ReactElement {
  const path = `/api/blocks/${block.id}`;
  const refusal = useRefusal(path);
  const own: FieldsProps = {
    block,
    save: (part) => {
      void change('PUT', path, { ...block, ...part });
    },
    says: (field) => refusal?.sentenceFor(field),
  };
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
        <Weights {...own} />
        {' · '}
        <Price {...own} /> paid
        <DateCode {...own} path={path} />
      </Box>
    </Flex>
  );
}
