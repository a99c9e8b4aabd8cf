import { contoursOf, heightsEvery, shapeOf, underbustAt, type Contour, type Figure } from '@ample/core/form';
import { COLOURS } from '@ample/core/out';

/** How far apart level lines are drawn, and the margin around the form, mm. */
const STEP = 22;
const MARGIN = 30;

const VIEWS = [
  ['front', 'From the front'],
  ['left', 'From the left'],
  ['back', 'From the back'],
] as const;

const path = ({ points }: Contour): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

/** A dress form in level lines, with tapes at the levels that were measured. */
export function FormDrawing({ figure }: { readonly figure: Figure }) {
  const shape = shapeOf(figure);
  const other = figure.right ? shapeOf(figure.right) : shape;
  const heights = heightsEvery(shape, STEP);
  const tapes = [figure.bust, underbustAt(figure), figure.waist, figure.hip];
  const all = VIEWS.map(([view]) => ({
    lines: contoursOf(shape, view, heights, other),
    tapes: contoursOf(shape, view, tapes, other),
  }));
  const points = all.flatMap((v) => v.lines.flatMap((l) => l.points));
  const [left, right] = [Math.min(...points.map((p) => p[0])), Math.max(...points.map((p) => p[0]))];
  const [top, bottom] = [Math.min(...points.map((p) => p[1])), Math.max(...points.map((p) => p[1]))];
  const box = [left - MARGIN, top - MARGIN, right - left + 2 * MARGIN, bottom - top + 2 * MARGIN].join(' ');
  return (
    <div className="grid grid-cols-3 gap-2">
      {VIEWS.map(([view, words], i) => (
        <figure key={view} className="m-0">
          <svg
            viewBox={box}
            className="block h-[320px] w-full"
            role="img"
            aria-label={`Dress form, ${words.toLowerCase()}`}
          >
            {all[i]?.lines.map((l) => (
              <path key={l.y} d={path(l)} fill="none" stroke={COLOURS.grey} strokeWidth="2" />
            ))}
            {all[i]?.tapes.map((l) => (
              <g key={l.y}>
                <path d={path(l)} fill="none" stroke={COLOURS.ink} strokeWidth="9" />
                <path d={path(l)} fill="none" stroke={COLOURS.tape} strokeWidth="6" />
              </g>
            ))}
          </svg>
          <figcaption className="text-center text-sm text-quiet">{words}</figcaption>
        </figure>
      ))}
    </div>
  );
}
