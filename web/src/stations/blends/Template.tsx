import { Global } from '@emotion/react';
import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { outlinesOf, type Layout } from '#core/blend';
import { showLength, showMass, type UnitSystem } from '#core/units';
import { ControlLine } from '../../parts/ControlLine.js';
import { PAPER_SIZE } from '../../parts/paper.js';
import { PaperBook } from '../../parts/pdfPage.js';
import { OVERLAP, tilesOf } from '../../parts/tiles.js';
import { showDate, today } from '../../state/today.js';
import { useUnits, useView, type Paper } from '../../state/view.js';
import { saveFile } from '../../parts/saveFile.js';
import type { BlendColour } from './workedBlend.js';
import { grey } from '../../theme/grey.js';

const points = (layout: Layout, outline: readonly { x: number; y: number }[]): string =>
  outline.map((p) => `${p.x.toFixed(3)},${(layout.height - p.y).toFixed(3)}`).join(' ');

/** The template as a drawing in millimetres, for any program that cuts or prints. */
export function saveTemplate(name: string, layout: Layout, colours: readonly BlendColour[]): void {
  const escape = (text: string): string => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
  const { width, height } = layout;
  const shapes = outlinesOf(layout).map(
    (outline, i) =>
      `  <polygon points="${points(layout, outline)}" fill="none" stroke="${grey.black}" ` +
      `stroke-width="0.2"><title>${escape(colours[i]?.name ?? '')}</title></polygon>`,
  );
  saveFile(
    name,
    'svg',
    'image/svg+xml',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ` +
      `${width} ${height}">\n${shapes.join('\n')}\n</svg>\n`,
  );
}

type Segment = readonly [number, number, number, number];

/** All lines of the template, mm, y downwards. */
const linesOf = (layout: Layout): Segment[] =>
  outlinesOf(layout).flatMap((outline) =>
    outline.map((p, i): Segment => {
      const q = outline[(i + 1) % outline.length] ?? p;
      return [p.x, layout.height - p.y, q.x, layout.height - q.y];
    }),
  );

const orderWords = (layout: Layout, colours: readonly BlendColour[], sheets: string, units: UnitSystem): string[] => [
  `From left to right: ${colours.map((c) => `${c.name} ${showMass(c.grams, units)}`).join(', ')}.`,
  `${showLength(layout.width, units)} × ${showLength(layout.height, units)}, ${sheets}. Fold bottom to top, always.`,
];

/** mm that the words below a template take. */
const WORDS = 16;

/** The template as a PDF at true size on a paper that printers have, on several where it is larger. */
export async function savePdf(
  name: string,
  layout: Layout,
  colours: readonly BlendColour[],
  sheets: string,
  units: UnitSystem,
  paper: Paper,
): Promise<void> {
  const book = await PaperBook.open(name, paper);
  const { page, y, single } = book.drawing(layout.width, layout.height, linesOf(layout), WORDS);
  const [words, from] = single ? [page, y] : [book.next(), book.top];
  orderWords(layout, colours, sheets, units).forEach((line, i) => {
    words.text(line, book.left, from + 8 + 6 * i, 9);
  });
  saveFile(name, 'pdf', 'application/pdf', await book.bytes());
}

/** mm of a page that are free for a drawing when it is printed from the window: without margins, head and foot. */
const PRINTED: Readonly<Record<Paper, { readonly width: number; readonly height: number }>> = {
  A5: { width: 126, height: 150 },
  A4: { width: 188, height: 236 },
  Letter: { width: 193, height: 218 },
};

interface TemplateProps {
  readonly name: string;
  readonly layout: Layout;
  readonly colours: readonly BlendColour[];
  readonly layers: number;
  readonly sheet: string;
}

/** The template on paper at true size; where it is larger than a page, on several that overlap. */
export function Template({ name, layout, colours, layers, sheet }: TemplateProps): ReactElement {
  const units = useUnits();
  const paper = useView((s) => s.paper);
  const { width, height } = layout;
  const tiles = tilesOf(width, height, PRINTED[paper]);
  return (
    <Box
      data-paper
      display="none"
      css={{ '@media print': { display: 'block' } }}
      color={grey.black}
      background={grey.tile}
      fontSize="10pt"
      lineHeight={1.4}
    >
      <Global styles={{ '@page': { size: PAPER_SIZE[paper], margin: '10mm' } }} />
      {tiles.map((tile, i) => (
        <Box key={i} css={i < tiles.length - 1 ? { breakAfter: 'page' } : {}}>
          <Box as="h1" fontSize="14pt" marginBottom="2mm">
            {name}{' '}
            <Box as="span" fontSize="9pt" fontWeight={400}>
              {showDate(today())}
              {tiles.length > 1
                ? ` · part ${i + 1} of ${tiles.length}: glue them where they overlap by ${OVERLAP} mm`
                : ''}
            </Box>
          </Box>
          <svg
            data-template
            width={`${tile.width}mm`}
            height={`${tile.height}mm`}
            viewBox={`${tile.x} ${tile.y} ${tile.width} ${tile.height}`}
            style={{ display: 'block' }}
          >
            {outlinesOf(layout).map((outline, k) => (
              <polygon key={k} points={points(layout, outline)} fill="none" stroke={grey.black} strokeWidth="0.25" />
            ))}
          </svg>
          {i === tiles.length - 1 && (
            <Box marginTop="3mm">{orderWords(layout, colours, `${layers} layers of ${sheet}`, units).join(' ')}</Box>
          )}
          <ControlLine />
        </Box>
      ))}
    </Box>
  );
}
