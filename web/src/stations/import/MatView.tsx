import { useMemo } from 'react';
import { COLOURS, pathData } from '@ample/core/out';
import { boundsOf, type Box } from '@ample/core/geometry';
import { outlinePlaces, outlineThrough } from '@ample/core/in/tracing';
import { readRows, useTyped } from '../../store/typed.ts';
import { useViewport } from '../../lib/viewport.ts';
import type { ReadRow } from '../../store/typed.ts';

/** What was typed so far, on a grid of centimetres or inches: the curve appears as one types. */
export function MatView() {
  const typed = useTyped();
  const { read } = useMemo(() => readRows(typed), [typed]);
  const around = outlinePlaces(read);
  const outline = around.length >= 3 ? outlineThrough(around) : null;
  const content = useMemo(() => {
    const b = boundsOf([...read, { x: 0, y: 0 }, { x: 300, y: typed.from === 'lowerLeft' ? -300 : 300 }]);
    return { minX: b.minX - 20, minY: b.minY - 20, maxX: b.maxX + 20, maxY: b.maxY + 20 };
  }, [read, typed.from]);
  const { svg, view } = useViewport(content);
  // The mat goes on beyond what is in view.
  const mat = {
    minX: content.minX - 600,
    minY: content.minY - 600,
    maxX: content.maxX + 600,
    maxY: content.maxY + 600,
  };
  const px = (n: number): number => n / view.k;
  return (
    <div className="relative h-full min-h-[460px] bg-mat">
      <svg
        ref={svg}
        className="absolute inset-0 h-full w-full touch-none"
        role="img"
        aria-label="What was typed so far, on the mat"
      >
        <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
          <Grid mat={mat} step={typed.unit === 'in' ? 25.4 : 10} px={px} />
          {outline?.ok ? (
            <path d={pathData(outline.value, true)} fill={COLOURS.tissue} stroke={COLOURS.ink} strokeWidth={px(2)} />
          ) : (
            around.length > 1 && (
              <path
                d={`M${around.map((p) => `${p.x} ${p.y}`).join('L')}`}
                fill="none"
                stroke={COLOURS.tissue}
                strokeWidth={px(2)}
              />
            )
          )}
          {read.map((p) => (
            <PlaceMark key={p.row} place={p} px={px} />
          ))}
        </g>
      </svg>
    </div>
  );
}

/** Lines `step` mm apart, every fifth of them heavier. */
function Grid({ mat, step, px }: { readonly mat: Box; readonly step: number; readonly px: (n: number) => number }) {
  const lines = (from: number, to: number): readonly number[] => {
    const first = Math.floor(from / step);
    return Array.from({ length: Math.min(600, Math.ceil(to / step) - first + 1) }, (_, i) => (first + i) * step);
  };
  const look = (at: number) => ({
    stroke: COLOURS.grid,
    strokeWidth: px(Math.round(at / step) % 5 === 0 ? 1.4 : 0.6),
  });
  return (
    <>
      {lines(mat.minX, mat.maxX).map((x) => (
        <line key={`x${x}`} x1={x} x2={x} y1={mat.minY} y2={mat.maxY} {...look(x)} />
      ))}
      {lines(mat.minY, mat.maxY).map((y) => (
        <line key={`y${y}`} x1={mat.minX} x2={mat.maxX} y1={y} y2={y} {...look(y)} />
      ))}
    </>
  );
}

function PlaceMark({ place, px }: { readonly place: ReadRow; readonly px: (n: number) => number }) {
  return (
    <g>
      {place.kind === 'corner' ? (
        <rect
          x={place.x - px(4)}
          y={place.y - px(4)}
          width={px(8)}
          height={px(8)}
          fill={COLOURS.white}
          stroke={COLOURS.ink}
          strokeWidth={px(1.5)}
        />
      ) : (
        <circle
          cx={place.x}
          cy={place.y}
          r={px(4.5)}
          fill={place.kind === 'curve' ? COLOURS.white : COLOURS.brass}
          stroke={COLOURS.ink}
          strokeWidth={px(1.5)}
        />
      )}
      <text
        x={place.x + px(8)}
        y={place.y - px(7)}
        fontSize={px(15)}
        fill={COLOURS.ink}
        stroke={COLOURS.tissue}
        strokeWidth={px(4)}
        paintOrder="stroke"
      >
        {place.row + 1}
      </text>
    </g>
  );
}
