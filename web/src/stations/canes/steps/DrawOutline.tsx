import { useState, type ReactElement } from 'react';
import { outlineOf, reachOf, rectangle, type Point, type Region } from '#core/cane';
import { sentenceOf } from '#core/units';
import { Warning } from '../../../parts/Warning.js';
import { PAPER_HEX, UNKNOWN_HEX } from '../../../theme/grey.js';
import DrawPad from './DrawPad.js';

interface DrawOutlineProps {
  readonly points: readonly Point[];
  readonly onDraw: (points: readonly Point[]) => void;
}

/** Around a drawn outline there is room to draw a larger one: so much, as a share of it. */
const ROOM = 0.25;

/** The pad: as large as the outline and some room around it. */
function padAround(points: readonly Point[]): Region {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const far = (values: readonly number[]): number => Math.max(...values.map(Math.abs)) * (1 + ROOM);
  const { points: corners } = rectangle(2 * far(xs), 2 * far(ys));
  return { id: 'pad', name: 'pad', points: corners, fill: { of: '' } };
}

/** An outline to press to, drawn by hand or typed. One that cannot be pressed to is said and not taken. */
export default function DrawOutline({ points, onDraw }: DrawOutlineProps): ReactElement {
  const [wrong, setWrong] = useState<string | null>(null);
  const drawn: Region = { id: 'drawn', name: 'the shape', points, fill: { of: '' } };
  const take = (next: readonly Point[]): void => {
    try {
      reachOf(outlineOf(next).outline);
      setWrong(null);
      onDraw(next);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return (
    <>
      <DrawPad
        regions={[padAround(points), drawn]}
        colourOf={(region) => (region.id === 'pad' ? PAPER_HEX : UNKNOWN_HEX)}
        onDraw={take}
        around="the shape"
      />
      {wrong !== null && <Warning>{wrong}</Warning>}
    </>
  );
}
