import { useEffect, useRef, type ReactElement } from 'react';
import { hexOf, xyzOfLab, type Lab } from '#core/colour';

const bytesOf = (lab: Lab): [number, number, number] => {
  const n = parseInt(hexOf(xyzOfLab(lab)), 16);
  return [n >> 16, (n >> 8) & 255, n & 255];
};

/** Colours in a row, drawn without steps. */
export function FadeStrip({
  labs,
  width,
  height,
  label,
}: {
  readonly labs: readonly Lab[];
  readonly width: number | string;
  readonly height: number;
  readonly label: string;
}): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || labs.length === 0) return;
    const image = context.createImageData(labs.length, 1);
    labs.forEach((lab, i) => {
      image.data.set([...bytesOf(lab), 255], 4 * i);
    });
    context.putImageData(image, 0, 0);
  }, [labs]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      width={labs.length}
      height={1}
      style={{ width, height, display: 'block' }}
    />
  );
}

const FACE = 96;

/** The face of a plug: what lies at each place of it. @param placeAt place along the fade, 0 to 1, or null outside */
export function PlugFace({
  labs,
  placeAt,
  width,
  height,
}: {
  readonly labs: readonly Lab[];
  readonly placeAt: (x: number, y: number) => number | null;
  readonly width: number;
  readonly height: number;
}): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || labs.length === 0) return;
    const colours = labs.map(bytesOf);
    const image = context.createImageData(FACE, FACE);
    for (let y = 0; y < FACE; y++)
      for (let x = 0; x < FACE; x++) {
        const place = placeAt((x + 0.5) / FACE, (y + 0.5) / FACE);
        if (place === null) continue;
        image.data.set(
          [...(colours[Math.round(Math.min(1, Math.max(0, place)) * (labs.length - 1))] ?? [0, 0, 0]), 255],
          4 * (y * FACE + x),
        );
      }
    context.putImageData(image, 0, 0);
  }, [labs, placeAt]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label="Face of the plug"
      width={FACE}
      height={FACE}
      style={{ width, height, display: 'block', flex: 'none' }}
    />
  );
}
