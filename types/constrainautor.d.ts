/** What we use of the package: its own types are its sources, which our stricter settings would check. */
interface Triangulation {
  readonly coords: ArrayLike<number>;
  triangles: Uint32Array;
  halfedges: Int32Array;
}

export default class Constrainautor {
  constructor(triangulation: Triangulation);
  /** Makes sure of an edge between each pair of points; throws where an edge runs through a point or another edge. */
  constrainAll(edges: readonly (readonly [number, number])[]): this;
}
