import type { Layers, Solid } from '../cloth/index.ts';
import { haveLegs, isSleeve, type Toile } from '../sew/index.ts';

/** The tubes of a garment. */
const TUBE = { body: 0, sleeve: 1, collar: 2 } as const;

/**
 * What of a garment that was just laid around a body may meet: its body and its sleeve, and cloth that folds on itself. Trousers meet
 * their mirror image between the legs and not themselves: laid there front to back, they would push each other up into the crotch.
 */
export function layersOf(toile: Toile, laid: Float64Array, solid: Solid): Omit<Layers, 'apart' | 'push'> {
  const { triangles } = toile.sheet;
  const outward = new Int8Array(triangles.length / 3);
  const tube = new Uint8Array(triangles.length / 3);
  for (const panel of toile.panels) {
    const band = toile.bands.find((b) => b.piece === panel.piece);
    const away = wayOut(panel.from, panel.to, triangles, laid, solid);
    // A collar has been turned over: its outside lies on the outside of what is below it.
    outward.fill(band?.falls ? -away : away, panel.from, panel.to);
    tube.fill(
      band?.falls ? TUBE.collar : isSleeve(panel) || band?.cuff ? TUBE.sleeve : TUBE.body,
      panel.from,
      panel.to,
    );
  }
  return { outward, tube, itself: !haveLegs(toile.panels.map((p) => p.piece)), turned: TUBE.collar };
}

/** Whether the triangles of a panel run against the clock seen from outside, on the whole: 1, else −1. */
function wayOut(from: number, to: number, triangles: Int32Array, x: Float64Array, solid: Solid): 1 | -1 {
  const out = new Float64Array(4);
  let sum = 0;
  for (let t = from; t < to; t++) {
    const [a, b, c] = [3 * triangles[3 * t]!, 3 * triangles[3 * t + 1]!, 3 * triangles[3 * t + 2]!];
    const [u, v] = [b, c].map((p) => [0, 1, 2].map((d) => x[p + d]! - x[a + d]!)) as [number[], number[]];
    solid.at(x[a]!, x[a + 1]!, x[a + 2]!, out);
    for (let d = 0; d < 3; d++) {
      const [e, f] = [(d + 1) % 3, (d + 2) % 3];
      sum += (u[e]! * v[f]! - u[f]! * v[e]!) * out[1 + d]!;
    }
  }
  return sum < 0 ? -1 : 1;
}
