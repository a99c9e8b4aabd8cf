import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { COLOURS, pathData } from '@ample/core/out';
import type { Point } from '@ample/core/geometry';
import { drawable, grouped, MM_PER, snapPage } from '@ample/core/in/tracing';
import { useImport } from '../../store/import.ts';
import { arrowOf } from '../../lib/hotkeys.ts';
import type { Box } from '@ample/core/geometry';

/** The pages of a tiled file to be laid together: dragged, or with the arrow keys; they snap frame to frame. */
export function PageTiles({ toMat, k }: { readonly toMat: (x: number, y: number) => Point; readonly k: number }) {
  const raw = useImport((s) => s.raw);
  const placing = useImport((s) => s.placing);
  const window = useImport((s) => s.window);
  const factor = useImport((s) => (s.raw ? (MM_PER[s.unit] / MM_PER[s.raw.unit.name]) * s.scale : 1));
  const [drag, setDrag] = useState<{ readonly page: number; readonly at: Point } | null>(null);
  const drawn = useMemo(() => {
    const by = grouped(drawable(raw?.strokes ?? []).drawn, (s) => s.page);
    return new Map([...by].map(([page, strokes]) => [page, strokes.map((s) => pathData(s.path)).join('')]));
  }, [raw]);
  if (!raw || !window) return null;
  const put = (page: number, at: Point, snap: boolean) => {
    const to = snap ? snapPage(placing, page, at, window) : at;
    useImport.setState({ placing: placing.map((p, i) => (i === page ? to : p)), picked: null, choices: null });
  };
  const point = (e: PointerEvent): Point => {
    const p = toMat(e.clientX, e.clientY);
    return { x: p.x / factor, y: p.y / factor };
  };
  const onKey = (e: KeyboardEvent, page: number, at: Point) => {
    const way = arrowOf(e.key);
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    // Shift goes a whole page on: the usual way to lay one beside another.
    const by = e.shiftKey ? { x: window.maxX - window.minX, y: window.maxY - window.minY } : { x: 1, y: 1 };
    put(page, { x: at.x + way.x * by.x, y: at.y + way.y * by.y }, false);
  };
  return (
    <g transform={`scale(${factor})`}>
      {placing.map((placed, page) => {
        const at = drag?.page === page ? drag.at : placed;
        if (!at) return null;
        return (
          <PageTile
            key={page}
            page={page}
            at={at}
            onKey={onKey}
            point={point}
            setDrag={setDrag}
            drag={drag}
            put={put}
            window={window}
            drawn={drawn}
            k={k}
          />
        );
      })}
    </g>
  );
}

function PageTile({
  page,
  at,
  onKey,
  point,
  setDrag,
  drag,
  put,
  window,
  drawn,
  k,
}: {
  readonly page: number;
  readonly at: Point;
  readonly onKey: (e: KeyboardEvent, page: number, at: Point) => void;
  readonly point: (e: PointerEvent) => Point;
  readonly setDrag: (value: { readonly page: number; readonly at: Point } | null) => void;
  readonly drag: { readonly page: number; readonly at: Point } | null;
  readonly put: (page: number, at: Point, snap: boolean) => void;
  readonly window: Box;
  readonly drawn: Map<number, string>;
  readonly k: number;
}) {
  const grip = useRef<Point>({ x: 0, y: 0 });
  return (
    <g
      data-handle=""
      tabIndex={0}
      role="button"
      aria-label={`Page ${page + 1}`}
      className="cursor-grab"
      transform={`translate(${at.x} ${at.y})`}
      onKeyDown={(e) => onKey(e, page, at)}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        const p = point(e);
        grip.current = { x: p.x - at.x, y: p.y - at.y };
        setDrag({ page, at });
      }}
      onPointerMove={(e) => {
        if (drag?.page !== page) return;
        const p = point(e);
        setDrag({ page, at: { x: p.x - grip.current.x, y: p.y - grip.current.y } });
      }}
      onPointerUp={() => {
        if (drag) put(page, drag.at, true);
        setDrag(null);
      }}
      onPointerCancel={() => setDrag(null)}
    >
      <PageDrawing page={page} window={window} d={drawn.get(page) ?? ''} held={drag?.page === page} k={k} />
    </g>
  );
}

/** What is drawn on one page, in its frame, with its number. */
const PageDrawing = ({
  page,
  window,
  d,
  held,
  k,
}: {
  readonly page: number;
  readonly window: Box;
  readonly d: string;
  readonly held: boolean;
  readonly k: number;
}) => (
  <>
    <clipPath id={`page-${page}`}>
      <rect x={window.minX} y={window.minY} width={window.maxX - window.minX} height={window.maxY - window.minY} />
    </clipPath>
    <rect
      x={window.minX}
      y={window.minY}
      width={window.maxX - window.minX}
      height={window.maxY - window.minY}
      fill={COLOURS.white}
      fillOpacity={0.85}
      stroke={held ? COLOURS.pencil : COLOURS.grey}
      vectorEffect="non-scaling-stroke"
    />
    <path d={d} clipPath={`url(#page-${page})`} fill="none" stroke={COLOURS.ink} vectorEffect="non-scaling-stroke" />
    <text x={window.minX + 14 / k} y={window.minY + 24 / k} fontSize={18 / k} fill={COLOURS.quiet}>
      {page + 1}
    </text>
  </>
);
