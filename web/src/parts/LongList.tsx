import { Box, chakra } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, type ReactElement, type ReactNode } from 'react';

interface LongListProps {
  readonly label: string;
  readonly total: number;
  /** side by side */
  readonly lanes: number;
  /** px that a row takes; all are alike */
  readonly height: number;
  readonly row: (place: number) => ReactNode;
  /** what stands at a place, so that it is known again at another one */
  readonly keyOf: (place: number) => string | undefined;
  /** first and last place that are on the screen, or nearly */
  readonly onSeen: (from: number, to: number) => void;
  /** another list: it begins at its beginning */
  readonly of: string;
  /** below the rows, as where there are none */
  readonly children?: ReactNode;
  readonly background?: string;
  readonly padding?: number;
}

/** Rows beyond the edge of the screen that are drawn too, so that scrolling meets no gap. */
const BEYOND = 12;
const Rows = chakra('ul', { base: { position: 'relative', width: '100%' } });
const Row = chakra('li', { base: { position: 'absolute', top: 0, minWidth: 0 } });

/** A list of which only what is seen is drawn, however long it is. */
export function LongList({
  label,
  total,
  lanes,
  height,
  row,
  keyOf,
  onSeen,
  of,
  children,
  background,
  padding = 0,
}: LongListProps): ReactElement {
  const frame = useRef<HTMLDivElement>(null);
  const list = useVirtualizer({
    count: total,
    lanes,
    getScrollElement: () => frame.current,
    estimateSize: () => height,
    overscan: BEYOND,
    paddingStart: padding,
    paddingEnd: padding,
  });
  const rows = list.getVirtualItems();
  const [first, last] = [rows[0]?.index ?? 0, rows.at(-1)?.index ?? 0];
  useEffect(() => {
    onSeen(first, last);
  }, [first, last, onSeen]);
  useEffect(() => {
    frame.current?.scrollTo({ top: 0 });
  }, [of]);
  const width = 100 / lanes;
  return (
    <Box ref={frame} overflowY="auto" minHeight={0} background={background} paddingX={`${padding}px`}>
      <Rows aria-label={label} style={{ height: list.getTotalSize() }}>
        {rows.map(({ index, lane, start }) => (
          <Row
            key={keyOf(index) ?? index}
            aria-setsize={total}
            aria-posinset={index + 1}
            style={{ left: `${lane * width}%`, width: `${width}%`, height, transform: `translateY(${start}px)` }}
          >
            {row(index)}
          </Row>
        ))}
      </Rows>
      {children}
    </Box>
  );
}
