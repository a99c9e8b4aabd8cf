import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom';
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from 'react';
import type { Box, Point } from '@ample/core/geometry';

export interface View {
  readonly x: number;
  readonly y: number;
  readonly k: number;
}

export interface Viewport {
  readonly svg: RefObject<SVGSVGElement | null>;
  readonly view: View;
  /** Everything, or a part of the mat, in view; what was put in view stays so when the window changes. */
  readonly fit: (part?: Box) => void;
  /** Brings a part of the mat as near as it fits. */
  readonly show: (box: Box) => void;
  readonly nearer: () => void;
  readonly farther: () => void;
  /** Screen to mat, mm. */
  readonly toMat: (clientX: number, clientY: number) => Point;
}

/** Width of the strip of tools beside the mat, pixels. */
const TOOLS = 82;

/** Room kept free beside the content for its numbers, pixels. */
interface Margins {
  readonly left?: number;
  readonly below?: number;
}

/** Where a part is shown with room to spare, what lies beside it is shown, not the empty ground beyond the content. */
function filled(at: number, from: number, to: number, room: number): number {
  if (to - from <= room) return at;
  return Math.min(at - Math.max(0, at + from), at + Math.max(0, room - (at + to)));
}

/** The view that fits a box into a picture of some size, and shows what lies beside it rather than empty ground. */
function viewOf(box: Box, whole: Box, width: number, height: number, left: number): View {
  const { minX, minY, maxX, maxY } = box;
  const k = Math.min(width / (maxX - minX), height / (maxY - minY));
  const x = (width - (maxX - minX) * k) / 2 - minX * k;
  const y = (height - (maxY - minY) * k) / 2 - minY * k;
  return {
    x: left + filled(x, whole.minX * k, whole.maxX * k, width),
    y: filled(y, whole.minY * k, whole.maxY * k, height),
    k,
  };
}

/** The view with a box in its middle, as near as it fits with a little room around it. */
function viewOn(box: Box, width: number, height: number): View {
  const k = Math.min(width / (box.maxX - box.minX), height / (box.maxY - box.minY)) * 0.92;
  return { x: width / 2 - ((box.minX + box.maxX) / 2) * k, y: height / 2 - ((box.minY + box.maxY) / 2) * k, k };
}

/** Handles and pieces keep their own drags; two fingers always mean the mat, the wheel too. */
function meansTheMat(e: Event): boolean {
  if (e.type === 'wheel' || ('touches' in e && (e as TouchEvent).touches.length > 1)) return true;
  return !(e.target as Element).closest('[data-handle], [data-piece]') && !(e as MouseEvent).button;
}

const zooming = (onView: (view: View) => void): ZoomBehavior<SVGSVGElement, unknown> =>
  zoom<SVGSVGElement, unknown>()
    .scaleExtent([0.2, 12])
    .filter(meansTheMat)
    .on('zoom', ({ transform: { x, y, k } }: { transform: View }) => onView({ x, y, k }));

/** Does something at once and whenever the drawing's size changes. */
function useResized(svg: RefObject<SVGSVGElement | null>, act: () => void): void {
  useEffect(() => {
    const el = svg.current;
    if (!el) return;
    act();
    const watch = new ResizeObserver(act);
    watch.observe(el);
    return () => watch.disconnect();
  }, [svg, act]);
}

/** Pan and zoom of the mat: wheel, pinch and drag on the empty mat; handles keep their own drags. */
export function useViewport(content: Box, { left = 0, below = 0 }: Margins = {}): Viewport {
  const svg = useRef<SVGSVGElement | null>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  const [view, setView] = useState<View>({ x: 0, y: 0, k: 1 });
  const at = useRef(view);
  const whole = useMemo(
    () => ({ minX: content.minX, minY: content.minY, maxX: content.maxX, maxY: content.maxY }),
    [content.minX, content.minY, content.maxX, content.maxY],
  );

  const part = useRef<Box | null>(null);
  const refit = useCallback(() => {
    const el = svg.current;
    if (!el || !behaviour.current) return;
    const { width: across, height: down } = el.getBoundingClientRect();
    // The tools keep a strip of their own at the right.
    const [width, height] = [across - TOOLS - left, down - below];
    if (width <= 0 || height <= 0) return;
    const { x, y, k } = viewOf(part.current ?? whole, whole, width, height, left);
    select(el).call(behaviour.current.transform, zoomIdentity.translate(x, y).scale(k));
  }, [whole, left, below]);
  const fit = useCallback(
    (box?: Box) => {
      part.current = box ?? null;
      refit();
    },
    [refit],
  );

  useLayoutEffect(() => {
    const el = svg.current;
    if (!el) return;
    const z = zooming((next) => {
      at.current = next;
      setView(next);
    });
    behaviour.current = z;
    select(el).call(z).on('dblclick.zoom', null);
    return () => {
      select(el).on('.zoom', null);
    };
  }, []);

  useResized(svg, refit);

  const show = useCallback((box: Box) => {
    const el = svg.current;
    if (!el || !behaviour.current) return;
    const { width, height } = el.getBoundingClientRect();
    const { x, y, k } = viewOn(box, width, height);
    select(el).call(behaviour.current.transform, zoomIdentity.translate(x, y).scale(k));
  }, []);

  const by = useCallback((factor: number) => {
    if (svg.current && behaviour.current) select(svg.current).call(behaviour.current.scaleBy, factor);
  }, []);
  const nearer = useCallback(() => by(1.25), [by]);
  const farther = useCallback(() => by(0.8), [by]);
  const toMat = useCallback((clientX: number, clientY: number): Point => {
    const box = svg.current?.getBoundingClientRect();
    const { x, y, k } = at.current;
    return { x: (clientX - (box?.left ?? 0) - x) / k, y: (clientY - (box?.top ?? 0) - y) / k };
  }, []);
  return { svg, view, fit, show, nearer, farther, toMat };
}
