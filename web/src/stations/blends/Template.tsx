import { Global } from '@emotion/react';
import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { outlinesOf, type Layout } from '#core/blend';
import { showLength, showMass, type UnitSystem } from '#core/units';
import { ControlLine } from '../../parts/ControlLine.js';
import { controlLine, paperPage } from '../../parts/pdfPage.js';
import { useUnits } from '../../state/view.js';
import { saveFile } from '../mixes/exchange/saveFile.js';
import type { BlendColour } from './workedBlend.js';

const points = (layout: Layout, outline: readonly { x: number; y: number }[]): string => outline.map((p) => `${p.x.toFixed(3)},${(layout.height - p.y).toFixed(3)}`).join(' ');

/** The template as a drawing in millimetres, for any program that cuts or prints. */
export function saveTemplate(name: string, layout: Layout, colours: readonly BlendColour[]): void {
  const escape = (text: string): string => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
  const { width, height } = layout;
  const shapes = outlinesOf(layout).map((outline, i) => `  <polygon points="${points(layout, outline)}" fill="none" stroke="#000" stroke-width="0.2"><title>${escape(colours[i]?.name ?? '')}</title></polygon>`);
  saveFile(name, 'svg', 'image/svg+xml', `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">\n${shapes.join('\n')}\n</svg>\n`);
}

/** The template as a PDF at true size, with the line to check it by. */
export async function savePdf(name: string, layout: Layout, colours: readonly BlendColour[], sheets: string, units: UnitSystem): Promise<void> {
  const { width, height } = layout;
  const paper = await paperPage(Math.max(148, width + 24), Math.max(105, height + 62));
  const [left, top] = [12, 24];
  paper.text(name, left, 14, 14, true);
  for (const outline of outlinesOf(layout)) {
    outline.forEach((p, i) => {
      const q = outline[(i + 1) % outline.length] ?? p;
      paper.line(left + p.x, top + height - p.y, left + q.x, top + height - q.y);
    });
  }
  paper.text(`From left to right: ${colours.map((c) => `${c.name} ${showMass(c.grams, units)}`).join(', ')}.`, left, top + height + 8);
  paper.text(`${showLength(width, units)} × ${showLength(height, units)}, ${sheets}. Fold bottom to top, always.`, left, top + height + 18);
  controlLine(paper, left, top + height + 28);
  saveFile(name, 'pdf', 'application/pdf', await paper.document.save());
}

interface TemplateProps { readonly name: string; readonly layout: Layout; readonly colours: readonly BlendColour[]; readonly layers: number; readonly sheet: string }

/** The template on paper at true size, on a page as large as it needs. */
export function Template({ name, layout, colours, layers, sheet }: TemplateProps): ReactElement {
  const units = useUnits();
  const { width, height } = layout;
  return (
    <Box data-paper display="none" css={{ '@media print': { display: 'block' } }} color="#000" background="#fff" fontSize="10pt" lineHeight={1.4}>
      <Global styles={{ '@page': { size: `${Math.max(148, Math.ceil(width) + 24)}mm ${Math.max(105, Math.ceil(height) + 62)}mm`, margin: '10mm' } }} />
      <Box as="h1" fontSize="14pt" marginBottom="2mm">{name}</Box>
      <svg data-template width={`${width}mm`} height={`${height}mm`} viewBox={`0 0 ${width} ${height}`} style={{ display: 'block', overflow: 'visible' }}>
        {outlinesOf(layout).map((outline, i) => <polygon key={i} points={points(layout, outline)} fill="none" stroke="#000" strokeWidth="0.25" />)}
      </svg>
      <Box marginTop="3mm">From left to right: {colours.map((c) => `${c.name} ${showMass(c.grams, units)}`).join(', ')}. {showLength(width, units)} × {showLength(height, units)}, {layers} layers of {sheet}. Fold bottom to top, always.</Box>
      <ControlLine />
    </Box>
  );
}
