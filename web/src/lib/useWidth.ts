import { useEffect, useState, type RefCallback } from 'react';

/** The width an element has on the screen, CSS px, followed as it changes; `first` until it is laid out. */
export function useWidth(first: number): readonly [RefCallback<Element>, number] {
  const [element, setElement] = useState<Element | null>(null);
  const [width, setWidth] = useState(first);
  useEffect(() => {
    if (!element) return;
    const measure = () => setWidth(Math.round(element.getBoundingClientRect().width) || first);
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(element);
    return () => watch.disconnect();
  }, [element, first]);
  return [setElement, width];
}
