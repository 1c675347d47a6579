import { useLayoutEffect, useRef, useState } from 'react';

/** Smaller than this an element is only on its way to its size, px. */
const LEAST = 50;

/**
 * The size that an element has on the page, in whole pixels; drawings are made for it, so that text keeps its size. It is read before the page is
 * painted: a drawing made for a guess would be seen for a moment and then be another one.
 */
export function useSize<E extends Element>(width: number, height: number) {
  const ref = useRef<E>(null);
  const [size, setSize] = useState({ width, height });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const take = (w: number, h: number) => {
      const [width, height] = [Math.round(w), Math.round(h)];
      if (width > LEAST && height > LEAST) setSize((last) => (last.width === width && last.height === height ? last : { width, height }));
    };
    const style = getComputedStyle(element);
    const [left, right, top, bottom] = (['paddingLeft', 'paddingRight', 'paddingTop', 'paddingBottom'] as const).map((side) =>
      parseFloat(style[side]),
    );
    take(element.clientWidth - left! - right!, element.clientHeight - top! - bottom!);
    const observer = new ResizeObserver(([entry]) => take(entry!.contentRect.width, entry!.contentRect.height));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, ...size };
}
