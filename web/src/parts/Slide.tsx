import { useRef, type ReactElement } from 'react';
import { grey } from '../theme/grey.js';

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
  /** when it is let go somewhere else, by hand or by key */
  readonly onSet: (value: number) => void;
}

const KEYS = /^Arrow|Page|Home|End/;

/** A value that is dragged: what follows from it follows the hand, and is kept when the hand lets go. */
export function Slide({ label, text, value, low, high, grain, width, onSlide, onSet }: SlideProps): ReactElement {
  const moved = useRef(false);
  const letGo = (at: number): void => {
    if (moved.current) onSet(at);
    moved.current = false;
  };
  return (
    <input
      type="range"
      aria-label={label}
      aria-valuetext={text}
      min={low}
      max={high}
      step={grain}
      value={value}
      style={{ width, accentColor: grey.ink, display: 'block' }}
      onChange={(e) => {
        moved.current = true;
        onSlide(e.currentTarget.valueAsNumber);
      }}
      onPointerUp={(e) => {
        letGo(e.currentTarget.valueAsNumber);
      }}
      onKeyUp={(e) => {
        if (KEYS.test(e.key)) letGo(e.currentTarget.valueAsNumber);
      }}
    />
  );
}
