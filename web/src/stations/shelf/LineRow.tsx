import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { FIRMNESSES, ageInMonths, inOrder, showAge } from './shelfWords.js';
import { TOUGHNESSES, toughnessOf, type Toughness } from '#core/clay';
import { showMass } from '#core/units';
import type { BlockDto, ClayDto, LineDto } from '#contract';
import { BakeWords, type LineFieldsProps } from './BakeWords.js';
import { Block } from '../../parts/Block.js';
import { Choice } from '../../parts/Choice.js';
import { TextValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { NARROW, STACKED } from '../../theme/narrow.js';
import { Plus, Word } from '../../theme/pieces.js';
import { readNumber } from '#core/units';
import { change, useRefusal } from '../../wire/save.js';
import { today } from '../../state/today.js';
import { grey } from '../../theme/grey.js';

const Clay = chakra('button', {
  base: {
    display: 'block',
    padding: '6px',
    margin: '-6px',
    border: '3px solid transparent',
    _hover: { borderColor: 'hairline' },
    '&&&[aria-pressed=true]': { borderColor: 'ink' },
  },
});

interface LineRowProps {
  readonly line: LineDto;
  readonly clays: readonly ClayDto[];
  readonly blocks: readonly BlockDto[];
  readonly chosen: string | undefined;
  readonly onChoose: (clayId: string) => void;
  readonly onAddColour: () => void;
}

/** One line: what the packet says, and its clays. */
export function LineRow({ line, clays, blocks, chosen, onChoose, onAddColour }: LineRowProps): ReactElement {
  return (
    <Grid
      templateColumns="158px 1fr"
      gap={4}
      paddingY="10px"
      borderBottom="2px solid"
      borderColor={grey.ghost}
      as="section"
      aria-label={line.name}
      css={{ [NARROW]: STACKED }}
    >
      <LineWords line={line} empty={clays.length === 0} />
      <Flex wrap="wrap" columnGap={3} rowGap={3} alignItems="flex-start">
        {clays.map((clay) => (
          <ClayOnShelf
            key={clay.id}
            clay={clay}
            blocks={inOrder(blocks.filter((b) => b.clayId === clay.id))}
            chosen={clay.id === chosen}
            onChoose={() => {
              onChoose(clay.id);
            }}
          />
        ))}
        {clays.length > 0 ? (
          <Plus
            aria-label={`Another colour of ${line.name}`}
            title="another colour"
            width="32px"
            height="48px"
            onClick={onAddColour}
          >
            +
          </Plus>
        ) : (
          <Word fontSize="small" onClick={onAddColour}>
            Add the first colour of {line.name}
          </Word>
        )}
      </Flex>
    </Grid>
  );
}

/** A density as it is typed, with or without its unit. @throws Complaint `parts/unreadable` */
const readDensity = (text: string): number => readNumber(text.replace(/^~/, '').replace(/\s*g.*$/, '')).valueOf();

/** What a line is like after baking: as one said, or as its firmness suggests. */
const toughnessOptions = (line: LineDto): { value: Toughness | 'assumed'; text: string }[] => [
  { value: 'assumed', text: `~${toughnessOf({ ...line, toughness: null }).toughness}` },
  ...TOUGHNESSES.map((value) => ({ value, text: `${value} baked` })),
];

/** How firm it is, and how dense. */
function ClayWords({ line, says, save }: LineFieldsProps): ReactElement {
  return (
    <>
      <Choice
        label={`Firmness of ${line.name}`}
        value={line.firmness}
        options={FIRMNESSES}
        onChange={(firmness) => {
          save({ firmness });
        }}
      />
      {', '}
      <Value
        label={`Density of ${line.name}`}
        text={`${line.densityMeasured ? '' : '~'}${line.density} g/cm³`}
        refusal={says('density')}
        read={readDensity}
        onChange={(density) => {
          save({ density, densityMeasured: true });
        }}
      />
      {', '}
      <Choice
        label={`${line.name} after baking`}
        value={line.toughness ?? 'assumed'}
        options={toughnessOptions(line)}
        onChange={(said) => {
          save({ toughness: said === 'assumed' ? null : said });
        }}
      />
    </>
  );
}

interface LineWordsProps {
  readonly line: LineDto;
  readonly empty: boolean;
}

/** A line: its name, and what the packet says of it. */
function LineWords({ line, empty }: LineWordsProps): ReactElement {
  const path = `/api/lines/${line.id}`;
  const refusal = useRefusal(path);
  const own: LineFieldsProps = {
    line,
    says: (field) => refusal?.sentenceFor(field),
    save: (part) => {
      void change('PUT', path, { ...line, ...part });
    },
  };
  return (
    <Box fontSize="caption" lineHeight={1.55} css={{ '& input, & select': { borderBottomColor: 'hairline' } }}>
      <Box fontFamily="heading" fontWeight={700} fontSize="h3">
        <TextValue
          label="Name of the line"
          value={line.name}
          refusal={own.says('name')}
          onChange={(name) => {
            own.save({ name });
          }}
        />
      </Box>
      <ClayWords {...own} />
      <BakeWords {...own} />
      {refusal && !refusal.problem.fields && <Warning>{refusal.message}</Warning>}
      {empty && (
        <Word
          onClick={() => {
            void change('DELETE', `${path}?version=${line.version}`);
          }}
        >
          take it off the shelf
        </Word>
      )}
    </Box>
  );
}

function ClayOnShelf({
  clay,
  blocks,
  chosen,
  onChoose,
}: {
  readonly clay: ClayDto;
  readonly blocks: readonly BlockDto[];
  readonly chosen: boolean;
  readonly onChoose: () => void;
}): ReactElement {
  const units = useUnits();
  const there = blocks.filter((b) => b.leftGrams > 0);
  const left = there.reduce((sum, b) => sum + b.leftGrams, 0);
  const oldest = there.find((b) => b.madeOn !== null)?.madeOn;
  const months = oldest ? ageInMonths(oldest, today()) : null;
  return (
    <Clay onClick={onChoose} aria-pressed={chosen} opacity={clay.retired ? 0.6 : 1}>
      <Flex gap="2px" minHeight="48px" alignItems="flex-start" wrap="wrap">
        {there.length > 0 ? (
          [...there]
            .reverse()
            .map((b) => <Block key={b.id} net={b.netGrams} left={b.leftGrams} hex={clay.bakedHex} kind={clay.kind} />)
        ) : (
          <Block net={57} left={0} hex={clay.bakedHex} kind={clay.kind} />
        )}
      </Flex>
      <Box fontWeight={600} fontSize="small" marginTop={1} lineHeight={1.3}>
        {clay.name}
      </Box>
      <Box lineHeight={1.35} fontSize="caption" color="ink2">
        {left > 0 ? showMass(left, units) : 'none left'}
        {clay.retired ? ' · retired' : ''}
      </Box>
      {months !== null && (
        <Box lineHeight={1.35} fontSize="caption" color="ink2">
          {showAge(months)}
        </Box>
      )}
    </Clay>
  );
}
