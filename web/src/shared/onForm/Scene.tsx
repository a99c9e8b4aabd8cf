import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, type ReactNode } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide, OrthographicCamera } from 'three';
import type { Shown } from '@ample/core/drape';
import { formMesh, type Figure, type Mesh } from '@ample/core/form';
import { coloursOf, type Colouring } from './colours.ts';

/** How far apart two forms stand, and how much of the view stays free around them, m. */
const APART = { sides: 0.74, arms: 1.16 };
const MARGIN = 0.05;
/** The form is drawn a little slimmer than it is, so that it does not show through coarse cloth, m. */
const SLIMMER = 0.01;
/** How much of the form is seen above trousers, m. */
const ABOVE_WAIST = 0.06;
function geometryOf({ positions, triangles }: Mesh, colours?: Float32Array): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  if (colours) geometry.setAttribute('color', new BufferAttribute(colours, 3));
  geometry.setIndex(new BufferAttribute(triangles, 1));
  geometry.computeVertexNormals();
  smoothBetweenHalves(geometry);
  return geometry;
}

/** Where the two halves meet, each with a point of its own in the same place, they are one surface: no edge is shaded there. */
function smoothBetweenHalves(geometry: BufferGeometry): void {
  const [place, normal] = [geometry.getAttribute('position'), geometry.getAttribute('normal')];
  const first = new Map<string, number>();
  for (let i = 0; i < place.count; i++) {
    const key = `${place.getX(i)} ${place.getY(i)} ${place.getZ(i)}`;
    const other = first.get(key);
    if (other === undefined) {
      first.set(key, i);
      continue;
    }
    const sum = [
      normal.getX(i) + normal.getX(other),
      normal.getY(i) + normal.getY(other),
      normal.getZ(i) + normal.getZ(other),
    ] as const;
    const size = Math.hypot(...sum) || 1;
    for (const p of [i, other]) normal.setXYZ(p, sum[0] / size, sum[1] / size, sum[2] / size);
  }
}

/** The surface of a form, m, drawn in by a little. */
function slimForm(figure: Figure, arms: boolean): BufferGeometry {
  const { positions, triangles } = formMesh(figure, arms);
  const geometry = geometryOf({ positions: positions.map((v) => v / 1000), triangles });
  const [place, normal] = [geometry.getAttribute('position'), geometry.getAttribute('normal')];
  for (let i = 0; i < place.count; i++)
    place.setXYZ(
      i,
      place.getX(i) - SLIMMER * normal.getX(i),
      place.getY(i) - SLIMMER * normal.getY(i),
      place.getZ(i) - SLIMMER * normal.getZ(i),
    );
  return geometry;
}

/** Drag lines, as strokes. */
function dragGeometry({ drags }: Shown): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(drags, 3));
  return geometry;
}

/** Lines of the seams, just off the cloth. */
function seamGeometry(shown: Shown): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(shown.mesh.positions, 3));
  geometry.setIndex(new BufferAttribute(shown.seams, 1));
  return geometry;
}

function Dressed({
  figure,
  shown,
  arms,
  map,
  turn,
}: Standing & {
  readonly arms: boolean;
  readonly map: Colouring;
  readonly turn: number;
}) {
  const form = useMemo(() => slimForm(figure, arms), [figure, arms]);
  useEffect(() => () => form.dispose(), [form]);
  const cloth = useMemo(() => shown && geometryOf(shown.mesh, coloursOf(shown, map)), [shown, map]);
  const seams = useMemo(() => shown && seamGeometry(shown), [shown]);
  const drags = useMemo(() => (shown && map === 'pull' ? dragGeometry(shown) : null), [shown, map]);
  useEffect(() => () => cloth?.dispose(), [cloth]);
  useEffect(() => () => drags?.dispose(), [drags]);
  useEffect(() => () => seams?.dispose(), [seams]);
  return (
    <group rotation={[0, turn, 0]}>
      <mesh geometry={form}>
        <meshStandardMaterial color="#8f8a82" roughness={1} />
      </mesh>
      {cloth && (
        <mesh geometry={cloth}>
          <meshStandardMaterial
            vertexColors
            roughness={1}
            side={DoubleSide}
            polygonOffset
            polygonOffsetFactor={1}
            polygonOffsetUnits={1}
          />
        </mesh>
      )}
      {drags && (
        <lineSegments geometry={drags}>
          <lineBasicMaterial color="#1d1512" />
        </lineSegments>
      )}
      {seams && (
        <lineSegments geometry={seams}>
          <lineBasicMaterial color="#5c5346" />
        </lineSegments>
      )}
    </group>
  );
}

interface View {
  readonly low: number;
  readonly high: number;
  /** How wide each form needs the view to be, m, and how many there are. */
  readonly apart: number;
  readonly count: number;
}
const zoomOf = (size: { readonly width: number; readonly height: number }, { low, high, apart, count }: View): number =>
  Math.min(size.height / (high - low + 2 * MARGIN), size.width / (apart * count));

/** Makes all of the forms fit into the view. */
function Fit({ view }: { readonly view: View }) {
  const get = useThree((state) => state.get);
  const size = useThree((state) => state.size);
  const { low, high } = view;
  const zoom = zoomOf(size, view);
  useEffect(() => {
    const { camera, invalidate } = get();
    if (!(camera instanceof OrthographicCamera)) return;
    camera.position.set(0, (low + high) / 2, 5);
    camera.lookAt(0, (low + high) / 2, 0);
    camera.zoom = zoom;
    camera.updateProjectionMatrix();
    invalidate();
  }, [get, low, high, zoom]);
  return null;
}

/** Forms in a row, each in the middle of its share of the view. */
function Row({ view, children }: { readonly view: View; readonly children: readonly ReactNode[] }) {
  const size = useThree((state) => state.size);
  const share = size.width / zoomOf(size, view) / view.count;
  return children.map((child, i) => (
    <group key={i} position={[share * (i - (view.count - 1) / 2), 0, 0]}>
      {child}
    </group>
  ));
}

/** What is drawn stays readable, for the picture of a fitting. */
const KEPT = { preserveDrawingBuffer: true } as const;

/** A form, and the garment on it once it hangs. */
export interface Standing {
  readonly figure: Figure;
  readonly shown: Shown | null;
}

/** Forms side by side in their cloth, turned alike; drawn only when something changes. */
export function Scene({
  forms,
  map,
  turn,
}: {
  /** Null where none stands yet. */
  readonly forms: readonly (Standing | null)[];
  readonly map: Colouring;
  readonly turn: number;
}) {
  const arms = forms.some((f) => f?.shown?.arms);
  const view: View = { ...reachOf(forms), apart: APART[arms ? 'arms' : 'sides'], count: forms.length };
  return (
    <Canvas
      orthographic
      frameloop="demand"
      flat
      gl={KEPT}
      camera={{ position: [0, 1, 5], near: 0.1, far: 20 }}
      aria-hidden
    >
      <ambientLight intensity={1.25} />
      <directionalLight position={[-2, 3, 4]} intensity={1.9} />
      <directionalLight position={[3, 1, -2]} intensity={0.4} />
      <Fit view={view} />
      <Row view={view}>
        {forms.map((f, i) => (f ? <Dressed key={i} {...f} arms={arms} map={map} turn={turn} /> : null))}
      </Row>
    </Canvas>
  );
}

/** From the lowest to the highest of what is looked at, m; trousers are from the waist down. */
function reachOf(forms: readonly (Standing | null)[]): { readonly low: number; readonly high: number } {
  const [lows, highs]: [number[], number[]] = [[], []];
  for (const f of forms) {
    if (!f) continue;
    const heights = f.shown ? [...f.shown.mesh.positions].filter((_, i) => i % 3 === 1) : [];
    const bare = bareReach(f.figure);
    lows.push(lowest([bare.low, ...heights]));
    highs.push(f.figure.legs ? f.figure.waist / 1000 + ABOVE_WAIST : bare.high, highest(heights));
  }
  return { low: lows.length > 0 ? lowest(lows) : 0.7, high: highs.length > 0 ? highest(highs) : 1.5 };
}
/** From the lowest to the highest of a form, m; found once. */
function bareReach(figure: Figure): { readonly low: number; readonly high: number } {
  const known = REACHES.get(figure);
  if (known) return known;
  const heights = [...formMesh(figure, false).positions].filter((_, i) => i % 3 === 1).map((y) => y / 1000);
  const reach = { low: lowest(heights), high: highest(heights) };
  REACHES.set(figure, reach);
  return reach;
}
const REACHES = new WeakMap<Figure, { readonly low: number; readonly high: number }>();
const lowest = (list: readonly number[]): number => list.reduce((a, b) => Math.min(a, b), Infinity);
const highest = (list: readonly number[]): number => list.reduce((a, b) => Math.max(a, b), -Infinity);
