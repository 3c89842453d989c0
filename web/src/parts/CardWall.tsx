import { Box, Flex } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type ReactElement } from 'react';
import { Second } from '../theme/pieces.js';
import { FindField } from './FindField.js';
import { holdsWords } from './holdsWords.js';
import { useWidth } from './useWidth.js';

interface Card {
  readonly id: string;
  readonly name: string;
}

interface WallProps<C extends Card> {
  /** what the list is called */
  readonly label: string;
  readonly cards: readonly C[];
  /** px of one card */
  readonly width: number;
  /** px of a row, about */
  readonly height: number;
  /** @param pictured false while one scrolls past: what takes time is not begun */
  readonly draw: (card: C, pictured: boolean) => ReactElement;
}

/** So many cards are looked over without a field to find one. */
const EASY = 24;
/** px between cards */
const GAP = 22;
/** Rows beyond the edge of the screen that are drawn too. */
const BEYOND = 2;

/** Cards side by side in rows. Where there are many, one finds a card by its name, and only what is seen is drawn. */
export function CardWall<C extends Card>({ label, cards, ...wall }: WallProps<C>): ReactElement {
  const [search, setSearch] = useState('');
  if (cards.length <= EASY)
    return (
      <Flex as="ul" wrap="wrap" gap={`${GAP}px`} marginTop={4} marginBottom={6} aria-label={label}>
        {cards.map((card) => (
          <li key={card.id}>{wall.draw(card, true)}</li>
        ))}
      </Flex>
    );
  const found = cards.filter((card) => holdsWords(card.name, search));
  return (
    <Box marginTop={3} marginBottom={6}>
      <Flex gap={4} alignItems="baseline">
        <FindField
          label={`Find among ${label.toLowerCase()}`}
          hint="a name"
          value={search}
          onChange={setSearch}
          width="260px"
        />
        <Second role="status">
          {found.length === cards.length ? cards.length : `${found.length} of ${cards.length}`}
        </Second>
      </Flex>
      {found.length === 0 ? (
        <Second marginTop={3}>None is called so.</Second>
      ) : (
        <Rows key={search.trim()} label={label} cards={found} {...wall} />
      )}
    </Box>
  );
}

/** The element that scrolls what is in another one. */
function scrollerOf(element: HTMLElement | null): HTMLElement | null {
  for (let at = element?.parentElement ?? null; at; at = at.parentElement)
    if (/auto|scroll/.test(getComputedStyle(at).overflowY)) return at;
  return null;
}

/** A card that came while one scrolls gets its picture when one stops, and keeps it. */
function OneCard<C extends Card>({
  card,
  still,
  draw,
}: Pick<WallProps<C>, 'draw'> & { readonly card: C; readonly still: boolean }): ReactElement {
  const [pictured, setPictured] = useState(still);
  if (still && !pictured) setPictured(true);
  return draw(card, pictured);
}

function Rows<C extends Card>({ label, cards, width, height, draw }: WallProps<C>): ReactElement {
  const [frame, room] = useWidth<HTMLDivElement>();
  const [above, setAbove] = useState(0);
  const scroller = useRef<HTMLElement | null>(null);
  const lanes = Math.max(1, Math.floor((room + GAP) / (width + GAP)));
  useLayoutEffect(() => {
    scroller.current = scrollerOf(frame.current);
    const box = scroller.current?.getBoundingClientRect();
    if (frame.current && box && scroller.current)
      setAbove(frame.current.getBoundingClientRect().top - box.top + scroller.current.scrollTop);
  }, [frame, room]);
  const rows = useVirtualizer({
    count: Math.ceil(cards.length / lanes),
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan: BEYOND,
    scrollMargin: above,
  });
  return (
    <Box
      ref={frame}
      role="list"
      aria-label={label}
      position="relative"
      marginTop={4}
      style={{ height: rows.getTotalSize() }}
    >
      {rows.getVirtualItems().map(({ index, start }) => (
        <Flex
          key={index}
          ref={rows.measureElement}
          data-index={index}
          role="none"
          gap={`${GAP}px`}
          paddingBottom={`${GAP}px`}
          position="absolute"
          top={0}
          style={{ transform: `translateY(${start - above}px)` }}
        >
          {cards.slice(index * lanes, (index + 1) * lanes).map((card, lane) => (
            <Box
              key={card.id}
              role="listitem"
              width={`${width}px`}
              aria-setsize={cards.length}
              aria-posinset={index * lanes + lane + 1}
            >
              <OneCard card={card} still={!rows.isScrolling} draw={draw} />
            </Box>
          ))}
        </Flex>
      ))}
    </Box>
  );
}
