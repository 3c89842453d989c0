import type { ReactElement } from 'react';

interface SlideProps {
  readonly label: string;
  /** as it is read aloud */
  readonly text: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly grain: number;
  readonly width: number | string;
  /** while it is dragged */
  readonly onSlide: (value: number) => void;
  /** when it is let go, by hand or by key */
  readonly onSet: (value: number) => void;
}

const KEYS = /^Arrow|Page|Home|End/;

/** A value that is dragged: what follows from it follows the hand, and is kept when the hand lets go. */
export function Slide({ label, text, value, low, high, grain, width, onSlide, onSet }: SlideProps): ReactElement {
  return (
    <input type="range" aria-label={label} aria-valuetext={text} min={low} max={high} step={grain} value={value} style={{ width, accentColor: '#141414', display: 'block' }}
      onChange={(e) => { onSlide(e.currentTarget.valueAsNumber); }}
      onPointerUp={(e) => { onSet(e.currentTarget.valueAsNumber); }}
      onKeyUp={(e) => { if (KEYS.test(e.key)) onSet(e.currentTarget.valueAsNumber); }} />
  );
}
