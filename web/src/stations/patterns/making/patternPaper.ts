import { cutterOf, cutterOpening, outlineAt, showCutter } from '#core/cutter';
import type { Point } from '#core/outline';
import { showLength, showMass, showSize, type UnitSystem } from '#core/units';
import type { PatternAnswer, PatternCutDto } from '#contract';
import { Column, FACE_PX, TITLE, type PaperFace } from '../../../parts/paperColumn.js';
import { PaperBook } from '../../../parts/pdfPage.js';
import { saveFile } from '../../../parts/saveFile.js';
import type { Paper } from '../../../state/view.js';
import { patternFile, type PatternToMake, type PlainBody, type PlainPattern } from '../../../workers/pattern.js';
import { gramsOf } from '../../canes/words/caneWords.js';
import { placesOn } from '../cutting/cutMoves.js';
import { viewFor } from '../PatternRow.js';
import type { BenchPattern } from '../usePattern.js';
import type { PatternWords } from './patternSteps.js';

/** What the build sheet of a patterned sheet is made of. */
export interface PatternSheet {
  readonly pattern: PatternAnswer;
  readonly bench: BenchPattern;
  /** as large as it is made */
  readonly plain: PlainPattern;
  readonly plan: PatternToMake;
  readonly bodies: readonly PlainBody[];
  /** the steps as they are said at the bench */
  readonly words: readonly PatternWords[];
  readonly units: UnitSystem;
  readonly size: Paper;
}

type Segment = readonly [number, number, number, number];

/** A closed line as straight ones, y downwards. */
const closed = (points: readonly Point[], height: number): Segment[] =>
  points.map(([x, y], i): Segment => {
    const [u, v] = points[(i + 1) % points.length] as Point;
    return [x, height - y, u, height - v];
  });

/** Corners of the edge of a round sheet on paper. */
const AROUND = 180;

/** The edge of a sheet. */
function edgeOf({ width, height, round }: Pick<PlainBody, 'width' | 'height' | 'round'>): readonly Point[] {
  if (!round)
    return [
      [0, 0],
      [width, 0],
      [width, height],
      [0, height],
    ];
  return Array.from({ length: AROUND }, (_, i): Point => {
    const turn = (2 * Math.PI * i) / AROUND;
    return [(width / 2) * (1 + Math.cos(turn)), (height / 2) * (1 + Math.sin(turn))];
  });
}

/** All lines of one sheet with the cutters on it, mm, y downwards from its upper left corner. */
export function cutLines(
  sheet: Pick<PlainBody, 'width' | 'height' | 'round'>,
  cuts: readonly PatternCutDto[],
  at: number,
): Segment[] {
  const pieces = cuts.flatMap((cut) => {
    const cutter = cutterOf(cut);
    const opening = cutterOpening(cutter);
    return placesOn(cut, at).flatMap((place) => {
      const turn = (place.degrees * Math.PI) / 180;
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      const inner = opening?.map(([u, y]): Point => {
        const x = place.flip === true ? -u : u;
        return [place.x + x * c - y * s, place.y + x * s + y * c];
      });
      return [...closed(outlineAt(cutter, place), sheet.height), ...(inner ? closed(inner, sheet.height) : [])];
    });
  });
  return [...closed(edgeOf(sheet), sheet.height), ...pieces];
}

/** mm that the words below a drawing take, for each cutter. */
const BELOW = 6;

/** Where it is cut, at true size: to be laid on the sheet and pricked through. */
function writeCuts(book: PaperBook, { pattern, plan, units }: PatternSheet): void {
  const cuts = pattern.cuts ?? [];
  const used = [...new Set(cuts.flatMap((c) => c.places.map((p) => p.sheet)))].sort((a, b) => a - b);
  for (const at of used) {
    const { width, height } = plan.sheet;
    const below = BELOW * (cuts.length + 2);
    const { page, y, single } = book.drawing(width, height, cutLines(plan.sheet, cuts, at), below);
    const [words, from] = single ? [page, y + 8] : [book.next(), book.top];
    const all = cuts.flatMap((cut) => {
      const many = placesOn(cut, at).length;
      return many === 0 ? [] : [`${many} of ${cut.name}, ${showCutter(cutterOf(cut), units)}`];
    });
    const title = used.length > 1 ? `Where to cut, sheet ${at + 1}: true size` : 'Where to cut: true size';
    [title, ...all].forEach((line, i) => {
      words.text(line, book.left, from + BELOW * i, 9, i === 0);
    });
  }
}

/** What to begin with, every step with its picture, and where it is cut, on paper. */
export async function savePatternSheet(sheet: PatternSheet): Promise<void> {
  const { pattern, bench, plain, plan, bodies, words, units, size } = sheet;
  const name = `${pattern.name}, build sheet`;
  const book = await PaperBook.open(name, size);
  const column = new Column(book);
  const { mixed, total } = gramsOf(plan.taken, bench.materials);
  const { width, height, thick, round } = plan.sheet;
  const large = round ? `${showLength(width, units)} across` : showSize(width, height, units);
  column.line(`${large}, ${showLength(thick, units, true)} thick; ${showMass(total, units)} of clay.`);
  const first = mixed.map(({ material, grams }) => `${material.name} ${showMass(grams, units)}`);
  if (first.length > 0) column.line(`To make first: ${first.join(', ')}.`);
  column.gap();
  for (const { title, line, caution } of words) {
    column.line(title, TITLE, true);
    column.line(line);
    if (caution != null) column.line(caution);
  }
  column.gap();
  const faces = bodies.flatMap((body, at): PaperFace[] => {
    const title = words.find((w) => w.face === at && w.title !== 'Get ready')?.title ?? '';
    const wish = { pattern: plain, at, view: viewFor(body), size: FACE_PX, paints: bench.paints };
    return body.there ? [{ title: `${at + 1} ${title}`, words: [], picture: () => patternFile(wish) }] : [];
  });
  await column.faces('What is there after each step', faces);
  writeCuts(book, sheet);
  saveFile(name, 'pdf', 'application/pdf', await book.bytes());
}
