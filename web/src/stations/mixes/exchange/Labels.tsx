import { Global } from '@emotion/react';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { createPortal } from 'react-dom';
import { hexOf, showLab, xyzOfLab } from '#core/colour';
import { Complaint, complaint, readSize, sentenceOf, showSize, type UnitSystem } from '#core/units';
import type { TakeOutAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { ControlLine } from '../../../parts/ControlLine.js';
import { PAPER_SIZE } from '../../../parts/paper.js';
import { Value } from '../../../parts/Value.js';
import { useKeys } from '../../../state/keys.js';
import { today, showDate } from '../../../state/today.js';
import { PAPERS, useUnits, useView } from '../../../state/view.js';
import { Action, Caption, Field, Key } from '../../../theme/pieces.js';
import { useAllMixes } from '../../../wire/queries.js';
import { Warning } from '../../../parts/Warning.js';
import { grey } from '../../../theme/grey.js';

interface Size {
  readonly width: number;
  readonly height: number;
}
const SMALLEST: Size = { width: 25, height: 12 };
const LARGEST: Size = { width: 120, height: 80 };

/** A size of a label as it is typed. @throws Complaint `unit/unreadable`, `unit/range` */
function readLabel(text: string, units: UnitSystem): Size {
  const { width, height } = readSize(text, units);
  if (height === null) throw complaint('unit/unreadable', { text, wanted: 'a size. Write 50 × 22 mm' });
  if (width < SMALLEST.width || height < SMALLEST.height || width > LARGEST.width || height > LARGEST.height)
    throw new Complaint(
      'unit/range',
      `A label is from ${showSize(SMALLEST.width, SMALLEST.height, units)} to ` +
        `${showSize(LARGEST.width, LARGEST.height, units)}.`,
    );
  return { width, height };
}

/** The mixes whose name or recipe has all of some words. */
export function withWords(all: TakeOutAnswer, search: string): TakeOutAnswer {
  const words = search
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  return all.filter((m) => words.every((w) => `${m.name} ${m.recipe}`.toLowerCase().includes(w)));
}

/** Labels that are shown before they are printed. */
const SHOWN = 4;
const print = (): void => {
  window.print();
};

interface SheetProps {
  readonly chosen: TakeOutAnswer;
  readonly size: Size;
}

/** All labels on paper. */
function LabelSheet({ chosen, size }: SheetProps): ReactElement {
  const paper = useView((s) => s.paper);
  return createPortal(
    <Box
      data-paper
      display="none"
      css={{ '@media print': { display: 'block', printColorAdjust: 'exact' } }}
      color={grey.black}
      background={grey.tile}
    >
      <Global
        styles={{
          '@page': { size: PAPER_SIZE[paper], margin: '9mm' },
          '@media print': { '#root': { display: 'none' } },
        }}
      />
      <Flex wrap="wrap" gap="2mm">
        {chosen.map((m) => (
          <OneLabel key={m.name} mix={m} size={size} />
        ))}
      </Flex>
      <ControlLine />
    </Box>,
    document.body,
  );
}

interface AskedProps {
  readonly size: Size;
  readonly onSize: (size: Size) => void;
  readonly search: string;
  readonly onSearch: (search: string) => void;
  /** labels there will be */
  readonly count: number;
}

/** How large, on which paper, for which mixes. */
function Asked({ size, onSize, search, onSearch, count }: AskedProps): ReactElement {
  const units = useUnits();
  const { paper, choosePaper } = useView();
  return (
    <Flex gap={3} alignItems="center" wrap="wrap" marginBottom={3}>
      <span>
        <Value
          label="Size of a label"
          text={showSize(size.width, size.height, units)}
          read={(text) => readLabel(text, units)}
          onChange={onSize}
        />{' '}
        at true size, on{' '}
        <Choice
          label="Paper"
          value={paper}
          options={PAPERS.map((value) => ({ value, text: value }))}
          onChange={choosePaper}
        />
        , for mixes with
      </span>
      <Box width="180px">
        <Field
          aria-label="Labels for mixes with"
          placeholder="any name or clay"
          value={search}
          onChange={(e) => {
            onSearch(e.currentTarget.value);
          }}
        />
      </Box>
      <Action disabled={count === 0} onClick={print}>
        Print {count === 1 ? 'one label' : `${count} labels`} <Key>P</Key>
      </Action>
    </Flex>
  );
}

/** Labels for chips, printed at true size: name, recipe, colour. */
export function Labels(): ReactElement {
  const [size, setSize] = useState<Size>({ width: 50, height: 22 });
  const [search, setSearch] = useState('');
  const all = useAllMixes();
  const chosen = withWords(all.data ?? [], search);
  useKeys('Labels', [{ key: 'p', does: 'Print the labels', run: print }]);
  return (
    <Box borderTop="rule" paddingTop={4}>
      <Box as="h2" marginBottom={2}>
        Labels for chips
      </Box>
      <Asked size={size} onSize={setSize} search={search} onSearch={setSearch} count={chosen.length} />
      <Flex gap="2mm" wrap="wrap" aria-label="Labels as they will be" role="img">
        {chosen.slice(0, SHOWN).map((m) => (
          <OneLabel key={m.name} mix={m} size={size} />
        ))}
      </Flex>
      <Caption>The first ones as they will be; a screen may show them larger or smaller.</Caption>
      {all.error && <Warning>{sentenceOf(all.error)}</Warning>}
      <LabelSheet chosen={chosen} size={size} />
    </Box>
  );
}

function OneLabel({ mix, size }: { readonly mix: TakeOutAnswer[number]; readonly size: Size }): ReactElement {
  return (
    <Flex
      data-label
      border={`0.3mm solid ${grey.black}`}
      background={grey.tile}
      color={grey.black}
      overflow="hidden"
      flex="none"
      style={{ width: `${size.width}mm`, height: `${size.height}mm` }}
      css={{ breakInside: 'avoid' }}
    >
      <Box width="22%" flex="none" style={{ background: `#${hexOf(xyzOfLab(mix.lab))}` }} />
      <Box padding="1mm" minWidth={0} fontSize="8pt" lineHeight={1.2}>
        <Box fontWeight={700} whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis" fontSize="9pt">
          {mix.name}
        </Box>
        <Box css={{ display: '-webkit-box', WebkitLineClamp: 2, WebkitBoxOrient: 'vertical', overflow: 'hidden' }}>
          {mix.recipe}
          {mix.basis === 'mass' ? ', by mass' : ''}
        </Box>
        <Box fontSize="7pt" whiteSpace="nowrap" overflow="hidden">
          {showLab(mix.lab)}
          <br />
          {showDate(today())}
        </Box>
      </Box>
    </Flex>
  );
}
