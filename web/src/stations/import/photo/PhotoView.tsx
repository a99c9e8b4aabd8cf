import { useMemo, type KeyboardEvent, type MouseEvent } from 'react';
import { markAt, moveMark, placeAt, usePicture } from '../../../store/picture.ts';
import { shareAt } from '../../../store/pictureJoin.ts';
import { useViewport } from '../../../lib/viewport.ts';
import { ViewButtons } from '../ViewButtons.tsx';
import { DrawnOver, SharedMarks } from './DrawnOver.tsx';
import { arrowOf } from '../../../lib/hotkeys.ts';
import { COLOURS } from '@ample/core/out';
import type { RefObject } from 'react';
import type { Flat } from '@ample/core/in/photo';
import type { View } from '../../../lib/viewport.ts';
import type { Point } from '@ample/core/geometry';

const NOTHING = { minX: 0, minY: 0, maxX: 100, maxY: 100 };

/** The picture: with the marks on it, or laid flat in millimetres with the outline clicked so far. */
export function PhotoView() {
  const { grey, flat, url, marks, sharing, shared } = usePicture();
  const content = useMemo(() => {
    if (flat)
      return {
        minX: flat.origin.x,
        minY: flat.origin.y,
        maxX: flat.origin.x + flat.width / flat.perMm,
        maxY: flat.origin.y + flat.height / flat.perMm,
      };
    return grey ? { minX: 0, minY: 0, maxX: grey.width, maxY: grey.height } : NOTHING;
  }, [grey, flat]);
  const { svg, view, fit, nearer, farther, toMat } = useViewport(content);
  if (!url) return null;
  const px = (n: number): number => n / view.k;
  const click = (e: MouseEvent<SVGSVGElement>) => {
    const p = toMat(e.clientX, e.clientY);
    if (flat && sharing) shareAt(p);
    else if (flat) placeAt(p);
    else markAt(p);
  };
  const nudge = (e: KeyboardEvent, i: number) => {
    const way = arrowOf(e.key);
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    const by = e.shiftKey ? 5 : 0.5;
    moveMark(i, { x: way.x * by, y: way.y * by });
  };
  return (
    <div className="relative h-full min-h-[460px] border border-line bg-white">
      <PhotoSheet
        svg={svg}
        flat={flat}
        click={click}
        view={view}
        url={url}
        content={content}
        marks={marks}
        px={px}
        nudge={nudge}
        sharing={sharing}
        shared={shared}
      />
      <ViewButtons fit={fit} nearer={nearer} farther={farther} />
    </div>
  );
}

/** The corners marked so far, joined; each moved with the arrow keys. */
const CornerMarks = ({
  marks,
  px,
  nudge,
}: {
  readonly marks: readonly Point[];
  readonly px: (n: number) => number;
  readonly nudge: (e: KeyboardEvent, i: number) => void;
}) => (
  <>
    {marks.length > 1 && (
      <path
        d={`M${marks.map((m) => `${m.x} ${m.y}`).join('L')}${marks.length === 4 ? 'Z' : ''}`}
        fill="none"
        stroke={COLOURS.pencil}
        strokeWidth={px(2)}
        pointerEvents="none"
      />
    )}
    {marks.map((m, i) => (
      <g key={i} data-handle="" tabIndex={0} role="button" aria-label={`Mark ${i + 1}`} onKeyDown={(e) => nudge(e, i)}>
        <circle cx={m.x} cy={m.y} r={px(9)} fill="none" stroke={COLOURS.white} strokeWidth={px(5)} />
        <circle cx={m.x} cy={m.y} r={px(9)} fill="none" stroke={COLOURS.pencil} strokeWidth={px(2.5)} />
        <circle cx={m.x} cy={m.y} r={px(1.5)} fill={COLOURS.pencil} />
      </g>
    ))}
  </>
);

function PhotoSheet({
  svg,
  flat,
  click,
  view,
  url,
  content,
  marks,
  px,
  nudge,
  sharing,
  shared,
}: {
  readonly svg: RefObject<SVGSVGElement | null>;
  readonly flat: Flat | null;
  readonly click: (e: MouseEvent<SVGSVGElement>) => void;
  readonly view: View;
  readonly url: string;
  readonly content: { minX: number; minY: number; maxX: number; maxY: number };
  readonly marks: readonly Point[];
  readonly px: (n: number) => number;
  readonly nudge: (e: KeyboardEvent, i: number) => void;
  readonly sharing: boolean;
  readonly shared: readonly Point[];
}) {
  return (
    <svg
      ref={svg}
      className="absolute inset-0 h-full w-full cursor-crosshair touch-none"
      role="application"
      aria-label={flat ? 'The picture laid flat' : 'The picture'}
      onClick={click}
    >
      <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
        <image
          href={url}
          x={content.minX}
          y={content.minY}
          width={content.maxX - content.minX}
          height={content.maxY - content.minY}
          preserveAspectRatio="none"
        />
        {!flat && <CornerMarks marks={marks} px={px} nudge={nudge} />}
        {flat && !sharing && <DrawnOver px={px} />}
        {flat && sharing && <SharedMarks marks={shared} px={px} />}
      </g>
    </svg>
  );
}
