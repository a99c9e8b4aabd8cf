import { endOf, pathFromSpans, pathLength, polyline, reversePath, type Path } from '../geometry/index.ts';
import { doubleDartsOf, legsTo, type Piece } from '../pattern/index.ts';

/** A stretch of the edge of the cloth: an edge of the piece, or one leg of a dart. */
export interface Stretch {
  readonly id: string;
  readonly path: Path;
  readonly length: number;
}

/** Two legs of a dart, sewn to each other from end to end, the second against the way it runs. */
export type Legs = readonly [string, string];

/** A piece as it is sewn: without allowances, its darts cut out of it along their legs. */
export interface Cut {
  readonly piece: Piece;
  readonly outline: readonly Stretch[];
  readonly holes: readonly (readonly Stretch[])[];
  readonly legs: readonly Legs[];
}

/** A place on the edge of a cut piece: on which stretch, and how far along it, mm. */
export interface Spot {
  readonly piece: string;
  readonly stretch: string;
  readonly at: number;
}

const stretch = (id: string, path: Path): Stretch => ({ id, path, length: pathLength(path) });

export function cutOf(piece: Piece): Cut {
  const legs: Legs[] = [];
  const outline = piece.edges.flatMap((edge): readonly Stretch[] => {
    const dart = piece.darts.find((d) => d.mouth === edge.id);
    if (!dart) return [stretch(edge.id, edge.path)];
    const [one, two] = [`${dart.id} first leg`, `${dart.id} second leg`];
    legs.push([one, two]);
    return [stretch(one, polyline([edge.path.start, dart.tip])), stretch(two, polyline([dart.tip, endOf(edge.path)]))];
  });
  const holes = doubleDartsOf(piece)
    .filter((d) => d.width > 0)
    .map((d) => {
      const [[upperOne, upperTwo], [lowerOne, lowerTwo]] = [legsTo(d, 'upper'), legsTo(d, 'lower')];
      const id = (end: string, side: string): string => `${d.id} ${end} ${side}`;
      legs.push([id('upper', 'one'), id('upper', 'two')], [id('lower', 'one'), id('lower', 'two')]);
      return [
        stretch(id('upper', 'one'), pathFromSpans([upperOne])),
        stretch(id('lower', 'one'), reversePath(pathFromSpans([lowerOne]))),
        stretch(id('lower', 'two'), pathFromSpans([lowerTwo])),
        stretch(id('upper', 'two'), reversePath(pathFromSpans([upperTwo]))),
      ];
    });
  return { piece, outline, holes, legs };
}
