import { useEffect, useRef, useState, type RefObject } from 'react';

/** How wide something is on the screen, px; 0 until it is known. */
export function useWidth<E extends HTMLElement>(): readonly [RefObject<E | null>, number] {
  const frame = useRef<E>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      setWidth(entry?.contentRect.width ?? 0);
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, []);
  return [frame, width];
}
