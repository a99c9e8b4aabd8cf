import type svgpath from 'svgpath';
import type { Pen } from './pen.ts';

/** Sends path data to the pen; it must be absolute, without arcs and short forms. */
export function sendSvg(path: ReturnType<typeof svgpath>, pen: Pen): void {
  path.iterate((segment, _i, x, y) => {
    const [code, ...n] = segment as unknown as [string, ...number[]];
    const [a = 0, b = 0, c = 0, d = 0, f = 0, g = 0] = n;
    if (code === 'M') pen.move(a, b);
    else if (code === 'L') pen.line(a, b);
    else if (code === 'H') pen.line(a, y);
    else if (code === 'V') pen.line(x, a);
    else if (code === 'C') pen.curve(a, b, c, d, f, g);
    else if (code === 'Q') pen.bend(a, b, c, d);
    else pen.close();
  });
}

/** The fewest spans that path data can draw: one for each of its letters. Parsing a million of them takes seconds. */
export const spansAtLeast = (data: string): number => data.match(/[lhvcsqta]/gi)?.length ?? 0;
