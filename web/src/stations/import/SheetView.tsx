import { useEffect, useMemo, type MouseEvent } from 'react';
import { COLOURS, pathData } from '@ample/core/out';
import { boundsOfStrokes, boxOf, drawable, type Lines, type Stroke } from '@ample/core/in/tracing';
import { sheetOf, shownOf, useImport } from '../../store/import.ts';
import { useViewport } from '../../lib/viewport.ts';
import { PageTiles } from './PageTiles.tsx';
import { PickedPiece } from './PickedPiece.tsx';
import { clickAt } from './tools.ts';
import { ViewButtons } from './ViewButtons.tsx';

const NOWHERE = { minX: 0, minY: 0, maxX: 200, maxY: 200 };

/** The drawing on one sheet: lines as they look in the file, what is picked on top. */
export function SheetView({ lines }: { readonly lines: Lines }) {
  const hidden = useImport((s) => s.hidden);
  const tool = useImport((s) => s.tool);
  const clicks = useImport((s) => s.clicks);
  const shown = shownOf(lines, hidden);
  const { drawn, left } = useMemo(() => drawable(shown), [shown]);
  const content = useMemo(() => {
    const b = boundsOfStrokes(lines.strokes) ?? NOWHERE;
    return { minX: b.minX - 15, minY: b.minY - 15, maxX: b.maxX + 15, maxY: b.maxY + 15 };
  }, [lines]);
  const { svg, view, fit, nearer, farther, toMat } = useViewport(content);
  const ring = useImport((s) => s.picked?.ring ?? null);
  useEffect(() => {
    if (!ring) return fit();
    const b = boxOf(ring.path);
    fit({ minX: b.minX - 30, minY: b.minY - 30, maxX: b.maxX + 30, maxY: b.maxY + 30 });
  }, [ring, fit]);
  const click = (e: MouseEvent<SVGSVGElement>) => clickAt(toMat(e.clientX, e.clientY));
  return (
    <div className="relative h-full min-h-[460px] border border-line bg-white">
      <svg
        ref={svg}
        className={`absolute inset-0 h-full w-full touch-none ${tool === 'pages' ? '' : 'cursor-crosshair'}`}
        role="application"
        aria-label="The sheet with the lines of the file"
        onClick={click}
      >
        <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
          {tool === 'pages' ? <PageTiles toMat={toMat} k={view.k} /> : <Drawn lines={lines} shown={drawn} />}
          <PickedPiece k={view.k} />
          {clicks.map((p, i) => (
            <circle
              key={i}
              cx={p.x}
              cy={p.y}
              r={5 / view.k}
              fill="none"
              stroke={COLOURS.pencil}
              strokeWidth={2 / view.k}
            />
          ))}
          {clicks.length === 2 && clicks[0] && clicks[1] && (
            <line
              x1={clicks[0].x}
              y1={clicks[0].y}
              x2={clicks[1].x}
              y2={clicks[1].y}
              stroke={COLOURS.pencil}
              strokeWidth={2 / view.k}
            />
          )}
        </g>
      </svg>
      {left > 0 && (
        <p className="absolute top-2 left-2 max-w-[60%] border-l-4 border-brass bg-white px-3 py-1" role="status">
          There are more lines than can be drawn at once: {left} are not shown. Hide the kinds of line you do not need.
        </p>
      )}
      <ViewButtons fit={fit} nearer={nearer} farther={farther} />
    </div>
  );
}

/** Lines that look alike are one path: a nest of ten sizes has thousands. */
function Drawn({ lines, shown }: { readonly lines: Lines; readonly shown: readonly Stroke[] }) {
  const groups = useMemo(() => {
    const by = new Map<string, string[]>();
    for (const s of shown) {
      const list = by.get(s.style) ?? [];
      list.push(pathData(s.path));
      by.set(s.style, list);
    }
    return [...by].map(([id, d]) => ({ style: lines.styles.find((x) => x.id === id), id, d: d.join('') }));
  }, [lines, shown]);
  return groups.map(({ id, style, d }) => (
    <path
      key={id}
      d={d}
      fill="none"
      stroke={readable(style?.color ?? null)}
      strokeWidth={1.2}
      strokeDasharray={style && style.dash.length > 0 ? style.dash.map((v) => Math.max(2, v * 3)).join(' ') : undefined}
      vectorEffect="non-scaling-stroke"
      pointerEvents="none"
    />
  ));
}

/** A colour too light to be seen on white is drawn in ink. */
function readable(color: string | null): string {
  const m = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/.exec(color ?? '');
  if (!m) return COLOURS.ink;
  const [r, g, b] = m.slice(1).map((h) => parseInt(h, 16)) as [number, number, number];
  return 0.3 * r + 0.6 * g + 0.1 * b > 190 ? COLOURS.grey : (color as string);
}

/** The sheet of the file that is open; null while nothing is. */
export const useSheet = (): Lines | null => {
  const raw = useImport((s) => s.raw);
  const unit = useImport((s) => s.unit);
  const scale = useImport((s) => s.scale);
  const placing = useImport((s) => s.placing);
  const window = useImport((s) => s.window);
  const full = useImport((s) => s.full);
  return useMemo(() => sheetOf({ raw, unit, scale, placing, window, full }), [raw, unit, scale, placing, window, full]);
};
