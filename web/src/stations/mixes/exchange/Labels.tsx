import { Global } from '@emotion/react';
import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useState, type ReactElement } from 'react';
import { createPortal } from 'react-dom';
import { hexOf, showLab, xyzOfLab } from '#core/colour';
import { Complaint, complaint, readSize, showSize } from '#core/units';
import type { TakeOutAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { ControlLine } from '../../../parts/ControlLine.js';
import { PAPER_SIZE } from '../../../parts/paper.js';
import { Value } from '../../../parts/Value.js';
import { useKeys } from '../../../state/keys.js';
import { today, showDate } from '../../../state/today.js';
import { PAPERS, useUnits, useView } from '../../../state/view.js';
import { Action, Caption, Field, Key } from '../../../theme/pieces.js';
import { ask } from '../../../wire/ask.js';
import { grey } from '../../../theme/grey.js';

interface Size {
  readonly width: number;
  readonly height: number;
}
const SMALLEST: Size = { width: 25, height: 12 };
const LARGEST: Size = { width: 120, height: 80 };

/** Labels for chips, printed at true size: name, recipe, colour. */
export function Labels(): ReactElement {
  const units = useUnits();
  const { paper, choosePaper } = useView();
  const [size, setSize] = useState<Size>({ width: 50, height: 22 });
  const [search, setSearch] = useState('');
  const [all, setAll] = useState<TakeOutAnswer>([]);
  useEffect(() => {
    void ask<TakeOutAnswer>('GET', '/api/exchange/mixes')
      .then(setAll)
      .catch(() => undefined);
  }, []);
  const words = search
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  const chosen = all.filter((m) => words.every((w) => `${m.name} ${m.recipe}`.toLowerCase().includes(w)));
  const readLabel = (text: string): Size => {
    const { width, height } = readSize(text, units);
    if (height === null) throw complaint('unit/unreadable', { text, wanted: 'a size. Write 50 × 22 mm' });
    if (width < SMALLEST.width || height < SMALLEST.height || width > LARGEST.width || height > LARGEST.height)
      throw new Complaint(
        'unit/range',
        `A label is from ${showSize(SMALLEST.width, SMALLEST.height, units)} to ` +
          `${showSize(LARGEST.width, LARGEST.height, units)}.`,
      );
    return { width, height };
  };
  useKeys('Labels', [
    {
      key: 'p',
      does: 'Print the labels',
      run: () => {
        window.print();
      },
    },
  ]);
  return (
    <Box borderTop="rule" paddingTop={4}>
      <Box as="h2" marginBottom={2}>
        Labels for chips
      </Box>
      <Flex gap={3} alignItems="center" wrap="wrap" marginBottom={3}>
        <span>
          <Value
            label="Size of a label"
            text={showSize(size.width, size.height, units)}
            read={readLabel}
            onChange={setSize}
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
              setSearch(e.currentTarget.value);
            }}
          />
        </Box>
        <Action
          disabled={chosen.length === 0}
          onClick={() => {
            window.print();
          }}
        >
          Print {chosen.length === 1 ? 'one label' : `${chosen.length} labels`} <Key>P</Key>
        </Action>
      </Flex>
      <Flex gap="2mm" wrap="wrap" aria-label="Labels as they will be" role="img">
        {chosen.slice(0, 4).map((m) => (
          <OneLabel key={m.name} mix={m} size={size} />
        ))}
      </Flex>
      <Caption>The first ones as they will be; a screen may show them larger or smaller.</Caption>
      {createPortal(
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
      )}
    </Box>
  );
}

function OneLabel({ mix, size }: { readonly mix: TakeOutAnswer[number]; readonly size: Size }): ReactElement {
  return (
    <Flex
      data-label
      border="0.3mm solid #000"
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
