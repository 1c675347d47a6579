import { useEffect, useRef, useState } from 'react';

/** The size that an element has on the page, in whole pixels; drawings are made for it, so that text keeps its size. */
export function useSize<E extends Element>(width: number, height: number) {
  const ref = useRef<E>(null);
  const [size, setSize] = useState({ width, height });
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      const { width: w, height: h } = entry!.contentRect;
      if (w > 50 && h > 50) setSize({ width: Math.round(w), height: Math.round(h) });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, ...size };
}
