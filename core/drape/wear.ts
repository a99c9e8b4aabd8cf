import {
  CLOTHS,
  hang,
  leftHalfOf,
  prepare,
  solidOf,
  unionOf,
  type ClothId,
  type Layers,
  type Prepared,
  type Solid,
} from '../cloth/index.ts';
import {
  armMesh,
  formOfBoth,
  halfMesh,
  legMesh,
  legOf,
  meshOf,
  shapeOf,
  type Body,
  type Figure,
  type Form,
  type Mesh,
  type Shift,
} from '../form/index.ts';
import { edgesWithRole } from '../pattern/index.ts';
import {
  carryOver,
  edgeKey,
  haveLegs,
  isSleeve,
  placeOn,
  sew,
  wearsArms,
  type Garment,
  type Toile,
} from '../sew/index.ts';
import { layersOf } from './layered.ts';
import { STEPS, toRest, TOUCH, type Progress } from './rest.ts';
import { ok, toEnd, type Result } from '../units/index.ts';

/** A garment on a form: where its cloth lies, m. */
export interface Worn {
  readonly figure: Figure;
  readonly solid: Solid;
  readonly arms: boolean;
  readonly cloth: ClothId;
  readonly toile: Toile;
  readonly sheet: Prepared;
  readonly x: Float64Array;
  /** Where it may meet itself. */
  readonly layers: Layers;
  /** It hangs from its shoulders, not from the waist. */
  readonly hangs: boolean;
  /** Whether it came to rest, and in how many steps. */
  readonly settled: boolean;
  readonly steps: number;
}

/** A body to lay cloth on: a figure, and its surface as cloth feels it. */
export interface Stand {
  readonly figure: Figure;
  readonly solid: Solid;
  /** Its arms are on, held away from the sides. */
  readonly arms: boolean;
}
export function standOf(figure: Figure, arms = false): Stand {
  const shape = shapeOf(figure);
  const solid = solidIn(figure.beside ? halfMesh(shape, shapeOf(figure.beside)) : meshOf(shape));
  if (figure.legs) {
    const leg = solidIn(legMesh(legOf(figure, figure.legs, shape)));
    return { figure, arms, solid: leftHalfOf(unionOf(solid, leg), TOUCH.off) };
  }
  return { figure, arms, solid: arms ? unionOf(solid, solidIn(armMesh(figure))) : solid };
}
/** The form a garment is put on: it wears its arms under sleeves only. */
export const standFor = (figure: Figure, garment: Garment): Stand => standOf(figure, wearsArms(garment));
/** The form of a body as a garment asks for it: on its legs under trousers; its right side of a body of its own on request. */
export const formUnder = (
  { pieces }: Pick<Garment, 'pieces'>,
  body: Body,
  shift: Shift = {},
  right: Body | null = null,
): Form => formOfBoth(body, right, shift, haveLegs(pieces));
const solidIn = ({ positions, triangles }: Mesh): Solid =>
  solidOf({ positions: positions.map((v) => v / 1000), triangles });

/** Edges of the mesh, mm: to see at once, and to read. */
export const EDGES = { coarse: 22, fine: 12 } as const;
export type Fineness = keyof typeof EDGES;
/** Between the legs a mesh as coarse as a bodice’s catches on itself. */
const LEG_EDGES = { ...EDGES, coarse: 18 } as const;

/**
 * Puts a garment on and lets it come to rest; each step is told on the way. With another one already on, the cloth begins
 * where that lies. Refused where the pieces cannot be sewn.
 */
export function* wear(
  garment: Garment,
  { figure, solid, arms }: Stand,
  cloth: ClothId,
  fineness: Fineness,
  before?: Worn,
): Generator<Progress, Result<Worn>> {
  const { seams } = garment;
  const sewn = sew(garment, (figure.legs ? LEG_EDGES : EDGES)[fineness]);
  if (!sewn.ok) return sewn;
  const toile = sewn.value;
  const sheet = prepare(toile.sheet);
  const laid = placeOn(figure, toile, seams);
  const start = before ? carryOver(before.toile, before.x, toile, laid) : laid;
  for (const i of atCentre(toile)) start[3 * i] = 0;
  const shoulders = shouldersOf(toile, seams);
  const hangs = shoulders.length > 0;
  const held = heldFor(toile, hangs);
  const pinned = before ? [] : shoulders;
  for (const i of pinned) held.fill(1, 3 * i, 3 * i + 3);
  const layers = { ...layersOf(toile, laid, solid), apart: 2 * TOUCH.off, push: TOUCH.push };
  const on = hang({ sheet, cloth: CLOTHS[cloth], solid, touch: TOUCH, layers, held }, start);
  const letGo = (steps: number): void => {
    if (steps === STEPS.pinned && pinned.length > 0) held.set(heldFor(toile, hangs));
  };
  const rest = yield* toRest(on, before ? 'warm' : 'cold', letGo);
  return ok({
    figure,
    solid,
    arms,
    cloth,
    toile,
    sheet,
    x: on.x,
    layers,
    hangs,
    ...rest,
  });
}

/** The points of the shoulder seams; of raglan sleeves those at the neck. */
const shouldersOf = ({ edges, panels }: Toile, seams: Garment['seams']): readonly number[] => [
  ...seams
    .filter((s) => s.kind === 'shoulder')
    .flatMap((s) => [s.first, s.second])
    .flatMap((side) => side.edges.flatMap((e) => [...(edges.get(edgeKey(side.piece, e)) ?? [])])),
  ...panels
    .filter(isSleeve)
    .flatMap(({ piece }) =>
      edgesWithRole(piece, 'neck').flatMap((e) => [...(edges.get(edgeKey(piece.id, e.id)) ?? [])]),
    ),
];

/** The whole of the work at once. */
export const worn = (...args: Parameters<typeof wear>): Result<Worn> => toEnd(wear(...args));

/**
 * The two halves are alike, so the cloth stays on the plane between them where it meets itself. What does not hang from the
 * shoulders keeps its waist where it was laid, as a waistband or a tape holds it.
 */
export function heldFor(toile: Toile, hangs: boolean): Uint8Array {
  const { panels, edges, sheet } = toile;
  const held = new Uint8Array(3 * sheet.points);
  if (!hangs)
    for (const { piece } of panels)
      for (const e of edgesWithRole(piece, 'waist'))
        for (const i of edges.get(edgeKey(piece.id, e.id)) ?? []) held[3 * i + 1] = 1;
  for (const i of atCentre(toile)) held[3 * i] = 1;
  return held;
}
const atCentre = ({ centres, edges }: Toile): readonly number[] =>
  centres.flatMap((key) => [...(edges.get(key) ?? [])]);
