import { distance, isFinitePoint, type Path, type Point, type Segment } from '../../geometry/index.ts';
import { MOST_SPANS } from '../tracing/index.ts';
import { TOL } from '../../units/index.ts';

/** A line as it was drawn, before it is known what it belongs to. */
export interface Drawn {
  readonly path: Path;
  readonly closed: boolean;
}

/** How many spans a whole file may still have; shared by all its pens. */
export class Budget {
  constructor(public left: number = MOST_SPANS) {}
  get spent(): boolean {
    return this.left < 0;
  }
  /** Uses it up: what comes next is known to be too much. */
  spend(): void {
    this.left = -1;
  }
}

/**
 * Collects lines from moves, lines and curves, as drawing programs give them. Bits without length fall away; a line
 * with a number that is none is dropped whole and counted in `broken`. Nothing is taken once the budget is spent.
 */
export class Pen {
  readonly drawn: Drawn[] = [];
  broken = 0;
  private start: Point | null = null;
  private at: Point = { x: 0, y: 0 };
  private segments: Segment[] = [];
  private bad = false;
  constructor(
    private readonly budget: Budget,
    private readonly to: (p: Point) => Point = (p) => p,
  ) {}

  move(x: number, y: number): void {
    this.lift(false);
    this.at = this.to({ x, y });
    this.start = this.at;
    this.bad = !isFinitePoint(this.at);
  }
  line(x: number, y: number): void {
    const to = this.to({ x, y });
    if (!isFinitePoint(to)) this.bad = true;
    if (distance(to, this.at) <= TOL.same) return;
    this.put({ kind: 'line', to });
  }
  curve(a: number, b: number, c: number, d: number, x: number, y: number): void {
    const [c1, c2, to] = [this.to({ x: a, y: b }), this.to({ x: c, y: d }), this.to({ x, y })];
    if (![c1, c2, to].every(isFinitePoint)) this.bad = true;
    if ([c1, c2, to].every((p) => distance(p, this.at) <= TOL.same)) return;
    this.put({ kind: 'cubic', c1, c2, to });
  }
  /** A curve with one handle, raised to one with two: the same curve exactly. */
  bend(a: number, b: number, x: number, y: number): void {
    const [c, to] = [this.to({ x: a, y: b }), this.to({ x, y })];
    const third = (p: Point): Point => ({ x: p.x + (2 / 3) * (c.x - p.x), y: p.y + (2 / 3) * (c.y - p.y) });
    if (![c, to].every(isFinitePoint)) this.bad = true;
    this.put({ kind: 'cubic', c1: third(this.at), c2: third(to), to });
  }
  close(): void {
    if (this.start && distance(this.at, this.start) > TOL.same) this.put({ kind: 'line', to: this.start });
    this.lift(true);
  }
  /** Ends what is being drawn. */
  done(): readonly Drawn[] {
    this.lift(false);
    return this.drawn;
  }

  private put(segment: Segment): void {
    this.start ??= this.at;
    if (--this.budget.left < 0) return;
    this.segments.push(segment);
    this.at = segment.to;
  }
  private lift(closed: boolean): void {
    const start = this.start;
    if (this.bad) this.broken += start ? 1 : 0;
    else if (start && this.segments.length > 0) {
      const back = this.segments.length > 1 && distance(this.at, start) <= TOL.meets;
      this.drawn.push({ path: { start, segments: this.segments }, closed: closed || back });
    }
    this.segments = [];
    // What is drawn after a close begins where that one began; a line that begins nowhere is none.
    this.at = closed && start ? start : this.at;
    this.bad = !isFinitePoint(this.at);
    this.start = null;
  }
}
