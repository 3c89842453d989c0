/** @jest-environment ./web/test/page.mjs */
import type { Region } from '#core/cane';
import { massOf } from '#core/clay';
import type { CaneAnswer } from '#contract';
import { FitBeside } from '../src/stations/canes/steps/FitBeside.js';
import { TemplatePicture } from '../src/stations/canes/steps/TemplatePicture.js';
import { laidOf } from '../src/stations/canes/steps/templateBuild.js';
import { asGround, orderOf, wholeArea, type Template } from '../src/stations/canes/steps/templateMoves.js';
import { boxRegion } from './kitchen.js';
import { shown, type Shown } from './screen.js';

const box = (id: string, x: number, y: number, w: number, h: number, of = 'clay:soot'): Region =>
  boxRegion(id, [x, y], [w, h], of);
const WING: Template = {
  ...{ id: 't', do: 'template', length: 50 },
  regions: [
    box('ground', -20, -15, 40, 30, 'clay:chalk'),
    box('right', 10, -5, 6, 10),
    box('left', -16, -5, 6, 10),
    box('middle', -3, -8, 6, 16),
  ],
};
const names = (key: string): string => ({ 'clay:soot': 'Soot', 'clay:chalk': 'Chalk' })[key] ?? '…';
const beginning = { names, own: undefined, units: 'metric', length: 50 } as const;

describe('building a template from its left side', () => {
  test('regions are laid from the left, whatever the order they were drawn in, and the ground fills the rest', () => {
    expect(orderOf(WING).map((r) => r.id)).toEqual(['ground', 'left', 'middle', 'right']);
    const laid = laidOf(WING, beginning);
    expect(laid.map((l) => l.title)).toEqual(['left', 'middle', 'right', 'fill the ground']);
    expect(laid.map((l) => `${l.figure} ${l.of}`)).toEqual(['1 of 4', '2 of 4', '3 of 4', '4 of 4']);
  });

  test('each says its clay, its size and its weight, by its density', () => {
    const [left] = laidOf(WING, { ...beginning, densities: (key) => (key === 'clay:soot' ? 2 : undefined) });
    // 60 mm² in 50 mm at 2 g/cm³
    expect(massOf(60 * 50, 2)).toBe(6);
    expect(left?.line).toBe('Soot, 6 × 10 mm, 6 g in 50 mm. Lay it against what stands.');
    const ground = laidOf(WING, beginning).at(-1);
    // 1200 − 60 − 60 − 96 mm²
    expect(ground?.line).toContain(`${((984 * 50 * 1.9) / 1000).toFixed(1)} g in 50 mm. Fill what is left`);
  });

  test('what stands by then grows by one at a time, and holds what is laid now', () => {
    const drawings = laidOf(WING, beginning).map((l) => l.drawing);
    drawings.forEach(({ standing, now }, i) => {
      expect(standing).toHaveLength(i + 1);
      expect(standing.at(-1)).toBe(now);
    });
  });

  test('a cane in a region is called by its name', () => {
    const rod: Region = { ...box('eye', 0, 0, 4, 4), fill: { cane: { ref: 'r', name: 'a speckle' }, degrees: 0 } };
    const laid = laidOf({ ...WING, regions: [...WING.regions, rod] }, beginning);
    expect(laid.find((l) => l.title === 'eye')?.line).toMatch(/^a speckle, 4 × 4 mm/);
  });
});

describe('its picture', () => {
  const picture = (standing?: readonly string[], now?: string): SVGPolygonElement[] => {
    const page = shown(
      <TemplatePicture
        {...{ step: WING, scale: 2, colourOf: () => '26242A', now, label: 'What stands' }}
        {...(standing ? { standing: new Set(standing) } : {})}
      />,
    );
    return [...page.getByRole('img', { name: 'What stands' }).querySelectorAll('polygon')];
  };

  test('what is still to come is an outline, what is laid now is outlined heavily', () => {
    const polygons = picture(['left', 'middle'], 'middle');
    expect(polygons.map((p) => p.getAttribute('fill'))).toEqual(['none', 'none', '#26242A', '#26242A']);
    const widths = polygons.map((p) => Number(p.getAttribute('stroke-width')));
    expect(widths.filter((w) => w === Math.max(...widths))).toHaveLength(1);
    expect(widths.indexOf(Math.max(...widths))).toBe(3);
  });

  test('all of it in colour where nothing is said, to scale', () => {
    const polygons = picture();
    expect(polygons.every((p) => p.getAttribute('fill') === '#26242A')).toBe(true);
    expect(polygons[0]?.getAttribute('points')).toBe('0,60 80,60 80,0 0,0');
  });
});

describe('another ground', () => {
  test('its outline is that of the cane, the old ground is out, and all others stay as they are', () => {
    const leaf = box('leaf', -18, -12, 36, 24);
    const next = asGround({ ...WING, regions: [...WING.regions, leaf] }, leaf);
    expect(next.regions.map((r) => r.id)).toEqual(['leaf', 'right', 'left', 'middle']);
    expect(wholeArea(next)).toBe(36 * 24);
  });
});

describe('shapes that belong together', () => {
  const other = (template: Template): CaneAnswer =>
    ({ id: 'c2', program: { version: 1, steps: [template] } }) as unknown as CaneAnswer;
  async function beside(template: Template): Promise<Shown & { readonly heights: number[] }> {
    const heights: number[] = [];
    const page = shown(
      <FitBeside
        step={WING}
        colourOf={() => '26242A'}
        canes={[{ revisionId: 'r2', name: 'Lower wing' }]}
        onHeight={(mm) => heights.push(mm)}
      />,
      'metric',
      [
        [['/api/canes'], [{ id: 'c2', revisionId: 'r2', name: 'Lower wing' }]],
        [['/api/canes/c2'], other(template)],
      ],
    );
    await page.user.selectOptions(page.getByLabelText('The template it belongs with'), 'Lower wing');
    return { ...page, heights };
  }

  test('stand beside each other at one scale, each with its size and its area', async () => {
    const page = await beside({ ...WING, regions: [box('ground', 0, 0, 20, 15)] });
    expect(page.words()).toContain('40 × 30 mm, 1200 mm²');
    expect(page.words()).toContain('20 × 15 mm, 300 mm²');
    expect(page.words()).toContain('this one has 4.00 times the area');
    const [own, its] = page.getAllByRole('img').map((svg) => Number(svg.getAttribute('width')));
    expect((own! - 6) / (its! - 6)).toBeCloseTo(2, 6);
    await page.user.click(page.getByRole('button', { name: 'make this as high' }));
    expect(page.heights).toEqual([15]);
  });

  test('that fit say so', async () => {
    const page = await beside({ ...WING, regions: [box('ground', 0, 0, 40, 30)] });
    expect(page.words()).toContain('both are 30 mm high, they fit');
    expect(page.words()).toContain('as much clay in both');
  });
});
