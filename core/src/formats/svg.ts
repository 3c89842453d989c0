import { parseSync, type INode } from 'svgson';
import svgpath from 'svgpath';
import { placesOf, type Segment } from './svgPath.js';
import { drawnOf, type Drawn, type DrawnRegion, type Point } from '#core/cane';
import { type Mm } from '#core/units';
import { countElements, withoutHead, withoutSections } from './xml.js';
import { complaint } from './sentences.js';

const MOST_LETTERS = 6_000_000;
const MOST_POINTS = 60_000;
const MOST_REGIONS = 400;
const MOST_DEPTH = 60;
/** Letters of all the movements that an element stands in. */
const MOST_TRANSFORM = 4000;
/** Points that a template keeps: more cannot be saved. */
const MOST_KEPT = 20_000;
/** mm by which a curve may be off when it becomes straight pieces, and an outline when it is simplified. */
const OUTLINE = 0.03;
const LARGEST: Mm = 110;
const USUAL: Mm = 40;
const MM: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, px: 25.4 / 96 };

/** Things that are not taken from a drawing: they would run, load, or draw what is no flat region. */
const LEFT_OUT: Readonly<Record<string, string>> = {
  script: 'scripts',
  image: 'pictures',
  use: 'copies',
  text: 'texts',
  foreignObject: 'foreign parts',
  linearGradient: 'gradients',
  radialGradient: 'gradients',
  filter: 'filters',
  mask: 'masks',
  animate: 'movements',
  a: 'links',
};
const NAMED: Readonly<Record<string, string>> = {
  black: '000000',
  white: 'FFFFFF',
  red: 'FF0000',
  green: '008000',
  blue: '0000FF',
  yellow: 'FFFF00',
  orange: 'FFA500',
  purple: '800080',
  pink: 'FFC0CB',
  brown: 'A52A2A',
  grey: '808080',
  gray: '808080',
};

/**
 * `#abc`, `#aabbcc`, `rgb(…)` or a usual name as six hex digits; null: not filled; undefined: a fill that is none
 * of these.
 */
function hexOfFill(fill: string): string | null | undefined {
  const text = fill.trim().toLowerCase();
  if (text === 'none' || text === 'transparent') return null;
  const short = /^#([0-9a-f])([0-9a-f])([0-9a-f])$/.exec(text);
  if (short)
    return short
      .slice(1)
      .map((d) => d + d)
      .join('')
      .toUpperCase();
  const long = /^#([0-9a-f]{6})([0-9a-f]{2})?$/.exec(text);
  if (long?.[1]) return long[1].toUpperCase();
  const rgb = /^rgba?\(\s*(\d+)[\s,]+(\d+)[\s,]+(\d+)/.exec(text);
  if (rgb)
    return rgb
      .slice(1, 4)
      .map((n) => Math.min(255, Number(n)).toString(16).padStart(2, '0'))
      .join('')
      .toUpperCase();
  return Object.hasOwn(NAMED, text) ? NAMED[text] : undefined;
}

interface Reading {
  readonly regions: DrawnRegion[];
  readonly out: Map<string, number>;
  readonly classes: ReadonlyMap<string, string>;
  points: number;
}

/** The d of a shape, or null for what is no shape. */
function pathOf({ name, attributes: a }: INode): string | null {
  const n = (key: string): number => Number.parseFloat(a[key] ?? '0') || 0;
  switch (name) {
    case 'path':
      return a.d ?? '';
    case 'rect':
      return `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}z`;
    case 'circle':
    case 'ellipse': {
      const [rx, ry] = name === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')];
      return `M${n('cx') - rx} ${n('cy')}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
    }
    case 'polygon':
    case 'polyline':
      return (a.points ?? '').trim() === '' ? '' : `M${a.points ?? ''}z`;
    default:
      return null;
  }
}

/** What a style says of a property. */
function ruleOf(style: string, key: string): string | undefined {
  for (const rule of style.split(';')) {
    const colon = rule.indexOf(':');
    if (colon >= 0 && rule.slice(0, colon).trim().toLowerCase() === key) return rule.slice(colon + 1);
  }
  return undefined;
}

function fillOf({ attributes: a }: INode, inherited: string, classes: Reading['classes']): string {
  const byClass = (a.class ?? '')
    .split(/\s+/)
    .map((c) => classes.get(c))
    .find((f) => f !== undefined);
  return ruleOf(a.style ?? '', 'fill') ?? byClass ?? a.fill ?? inherited;
}

/** Closed lines of a path, curves as straight pieces. @param scale mm of a unit */
function ringsOf(d: string, transform: string, scale: number, reading: Reading): Point[][] {
  const rings: Point[][] = [];
  let ring: Point[] = [];
  const close = (): void => {
    if (ring.length > 2) rings.push(ring);
    ring = [];
  };
  svgpath(d)
    .transform(transform)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const own = segment as unknown as Segment;
      if (own[0] === 'M') close();
      const places = placesOf(own, x, y, scale);
      reading.points += places.length;
      if (reading.points > MOST_POINTS) throw complaint('svg/points', { most: MOST_POINTS });
      ring.push(...places);
    });
  close();
  return rings;
}

function walk(node: INode, transform: string, fill: string, depth: number, scale: number, reading: Reading): void {
  if (depth > MOST_DEPTH) throw complaint('svg/deep');
  const { name, attributes: a } = node;
  const leave = (what: string): void => {
    reading.out.set(what, (reading.out.get(what) ?? 0) + 1);
  };
  const left = Object.hasOwn(LEFT_OUT, name) ? LEFT_OUT[name] : undefined;
  if (left !== undefined && name !== 'a') {
    leave(left);
    return;
  }
  if (['defs', 'style', 'title', 'desc', 'metadata', 'clipPath', 'symbol', 'pattern', 'marker'].includes(name)) return;
  if (ruleOf(a.style ?? '', 'display')?.trim() === 'none' || a.display === 'none') return;
  const here = `${transform} ${a.transform ?? ''}`.trim();
  if (here.length > MOST_TRANSFORM) throw complaint('svg/deep');
  const own = fillOf(node, fill, reading.classes);
  const d = pathOf(node);
  if (d !== null) {
    const hex = hexOfFill(own);
    if (hex === null) {
      leave('lines without a fill');
      return;
    }
    const rings = ringsOf(d, here, scale, reading);
    if (rings.length > 0 && hex === undefined) leave('fills that are no flat colour');
    if (name === 'path' && rings.length > 0 && !/z\s*$/i.test(d.trim()))
      leave('open outlines, closed with a straight line');
    for (const points of rings) {
      if (reading.regions.length >= MOST_REGIONS) throw complaint('cane/regions');
      reading.regions.push({
        name:
          (a.id ?? a['inkscape:label'] ?? '').replace(/[\n\r\t"]/g, ' ').slice(0, 80) ||
          `region ${reading.regions.length + 1}`,
        hex: hex ?? '999999',
        points,
      });
    }
  }
  for (const child of node.children) if (child.type === 'element') walk(child, here, own, depth + 1, scale, reading);
}

/** The rules of a style sheet: what each is for, and what it says. */
function rulesOf(text: string): (readonly [string, string])[] {
  return text.split('}').flatMap((rule) => {
    const open = rule.lastIndexOf('{');
    return open < 0 ? [] : [[rule.slice(0, open), rule.slice(open + 1)] as const];
  });
}

function classesOf(node: INode, found = new Map<string, string>()): Map<string, string> {
  if (node.name === 'style') {
    const text = node.children.map((c) => c.value).join('\n');
    for (const [names, rules] of rulesOf(text.replaceAll('&lt;', '<').replaceAll('&amp;', '&'))) {
      const fill = ruleOf(rules, 'fill');
      if (fill !== undefined)
        for (const one of names.split(',')) {
          const name = /^\s*\.([\w-]+)\s*$/.exec(one)?.[1];
          if (name !== undefined) found.set(name, fill);
        }
    }
  }
  node.children.forEach((child) => {
    classesOf(child, found);
  });
  return found;
}

/** Size that a drawing says it has, mm; null where it says none. */
function widthOf({ attributes: a }: INode): Mm | null {
  const found = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc|px)?\s*$/.exec(a.width ?? '');
  const mm = found?.[1] === undefined ? NaN : Number(found[1]) * (MM[found[2] ?? 'px'] ?? 1);
  return mm > 0 && Number.isFinite(mm) ? mm : null;
}

/**
 * Takes the flat, filled regions out of an SVG drawing. Nothing in it runs
 * and nothing it points at is loaded; what is no flat region is left out and
 * said.
 * @throws Complaint `svg/unreadable`, `svg/large`, `svg/points`, `svg/deep`, `svg/empty`, `cane/regions`
 */
export function readSvg(text: string): Drawn {
  if (text.length > MOST_LETTERS) throw complaint('svg/large');
  if (/<!ENTITY/i.test(text)) throw complaint('svg/unreadable');
  const body = withoutSections(withoutHead(text));
  countElements(body);
  let root: INode;
  try {
    root = parseSync(body);
  } catch {
    throw complaint('svg/unreadable');
  }
  if (root.name !== 'svg') throw complaint('svg/unreadable');
  const box = (root.attributes.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const said = widthOf(root);
  const reading: Reading = { regions: [], out: new Map(), classes: classesOf(root), points: 0 };
  const unit = said !== null && (box[2] ?? 0) > 0 ? said / (box[2] ?? 1) : (MM.px as number);
  walk(root, '', '#000', 0, Math.min(unit, 1), reading);
  if (reading.regions.length === 0) throw complaint('svg/empty');
  const xs = reading.regions.flatMap((r) => r.points.map((p) => p[0]));
  const across =
    (xs.reduce((a, b) => Math.max(a, b), -Infinity) - xs.reduce((a, b) => Math.min(a, b), Infinity)) * unit;
  if (!Number.isFinite(across) || across <= 0) throw complaint('svg/unreadable');
  const fits = across <= LARGEST && across >= 2;
  const notes = [...reading.out].map(([what, n]) => `${n} ${what}.`);
  if (!fits)
    notes.push(
      `The drawing is ${across > LARGEST ? 'larger than hands reduce' : 'very small'}; it was made ${USUAL} mm wide.`,
    );
  const drawn = drawnOf(
    reading.regions,
    fits ? across : USUAL,
    OUTLINE,
    notes.length > 0 ? [`Not taken as they are: ${notes.join(' ')}`] : [],
  );
  if (drawn.regions.reduce((sum, r) => sum + r.points.length, 0) > MOST_KEPT)
    throw complaint('svg/points', { most: MOST_KEPT });
  return drawn;
}
