import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { BackSide, BufferAttribute, BufferGeometry, Color, Plane, Vector3 } from 'three';
import { cutPieces } from './cutFaces.js';
import { placeVertices, type State3, type WoodMesh } from './woodMeshes.js';

/** How much darker end grain is than long grain. */
const END_GRAIN = 0.34;
/** Sawn wood hardly gleams. */
const RAW = 0.95;

/** A wood's pieces as a geometry for drawing, at the place that a state puts them. */
function useGeometry(mesh: WoodMesh, state: State3): BufferGeometry {
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    made.setAttribute('position', new BufferAttribute(new Float32Array(mesh.blank.length), 3));
    made.setAttribute('normal', new BufferAttribute(new Float32Array(mesh.blank.length), 3));
    const light = new Float32Array(mesh.blank.length);
    mesh.end.forEach((end, v) => {
      light.fill(1 - END_GRAIN * end * end, 3 * v, 3 * v + 3);
    });
    made.setAttribute('color', new BufferAttribute(light, 3));
    made.setIndex(new BufferAttribute(mesh.index, 1));
    return made;
  }, [mesh]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  useMemo(() => {
    const [position, normal] = [geometry.getAttribute('position'), geometry.getAttribute('normal')];
    placeVertices(mesh, state, position.array as Float32Array, normal.array as Float32Array);
    position.needsUpdate = true;
    normal.needsUpdate = true;
    geometry.computeBoundingSphere();
  }, [geometry, mesh, state]);
  return geometry;
}

/** The faces along which slanted cuts part a wood's pieces in a state; null where there are none, or none in sight. */
function useCutFaces(mesh: WoodMesh, state: State3, inSight: boolean): BufferGeometry | null {
  const geometry = useMemo(() => {
    if (mesh.sides.length === 0 || !inSight) return null;
    const [positions, normals] = [new Float32Array(mesh.blank.length), new Float32Array(mesh.blank.length)];
    const up = state.apartMm * (mesh.level[0] ?? 0);
    placeVertices(mesh, { turned: state.turned, apartMm: 0 }, positions, normals);
    const made = new BufferGeometry();
    made.setAttribute('position', new BufferAttribute(cutPieces(mesh, positions).faces, 3));
    made.translate(0, 0, up);
    made.computeVertexNormals();
    return made;
  }, [mesh, state, inSight]);
  useEffect(() => () => geometry?.dispose(), [geometry]);
  return geometry;
}

/** Which faces are drawn: those that show on a whole turned piece, tops and bottoms as well, or all. */
export type Faces = 'skin' | 'caps' | 'all';

/** The first of a mesh's triangles that are drawn, and the one behind the last; where the surface is drawn apart, without it. */
export function shownOf({ skin, bare, caps, index }: WoodMesh, faces: Faces, dressed: boolean) {
  const last = { skin: skin + bare, caps: skin + bare + caps, all: index.length / 3 }[faces];
  return [dressed ? skin : 0, last] as const;
}

interface RawProps {
  readonly plain: boolean;
  readonly color: Color;
  readonly vertexColors?: boolean;
  readonly clippingPlanes: Plane[] | null;
}

interface WoodProps {
  readonly mesh: WoodMesh;
  readonly colour: string;
  readonly state: State3;
  readonly faces: Faces;
  /** Whether the surface is drawn apart, in its figure. */
  readonly dressed: boolean;
  /** Lit plainly, without the room's windows. */
  readonly plain: boolean;
  /** The two sides of a quarter that is cut away; none: nothing is. */
  readonly cut: readonly [Plane, Plane] | null;
}

/** Planes that keep what lies within a part of the piece, moved up by as much as the part is. */
export const planesOf = ({ sides, level }: WoodMesh, { apartMm }: State3): Plane[] =>
  sides.map(
    ({ normal: { x, y, z }, most }) =>
      new Plane(new Vector3(-x, -y, -z), most + z * apartMm * (level[0] ?? 0)),
  );

/**
 * Sets of planes, each of which keeps a part of what is drawn: what a quarter leaves is the half before its one side, and
 * of the other half what lies before its other side.
 */
export function keptBy(own: readonly Plane[], cut: WoodProps['cut']): (Plane[] | null)[] {
  if (!cut) return [own.length > 0 ? [...own] : null];
  const [first, second] = cut;
  return [
    [...own, first],
    [...own, first.clone().negate(), second],
  ];
}

/** A geometry of the very same points, of which another range is drawn. */
function sharing(whole: BufferGeometry): BufferGeometry {
  const made = new BufferGeometry();
  for (const name of ['position', 'normal', 'color']) made.setAttribute(name, whole.getAttribute(name));
  made.setIndex(whole.index);
  made.boundingSphere = whole.boundingSphere;
  return made;
}

/** Sawn wood as it takes the light. */
function Raw({ plain, ...of }: RawProps) {
  return plain ? <meshLambertMaterial {...of} /> : <meshStandardMaterial roughness={RAW} {...of} />;
}

/** All pieces of one wood. Where they are cut through, their far sides stand for the cut face. */
export function Wood({ mesh, colour, state, faces, dressed, plain, cut }: WoodProps) {
  const whole = useGeometry(mesh, state);
  const geometry = useMemo(() => sharing(whole), [whole]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  const divided = mesh.sides.length > 0;
  const shown = divided && state.turned < 1 ? 'all' : faces;
  const [first, last] = shownOf(mesh, shown, dressed);
  geometry.setDrawRange(3 * first, 3 * (last - first));
  const { invalidate } = useThree();
  const shade = useMemo(() => new Color(colour), [colour]);
  const face = useMemo(() => new Color(colour).multiplyScalar(0.82), [colour]);
  const own = useMemo(() => planesOf(mesh, state), [mesh, state]);
  const kept = useMemo(() => keptBy(own, cut), [own, cut]);
  const faced = useCutFaces(mesh, state, shown === 'all');
  useEffect(() => invalidate());
  return kept.map((planes, i) => (
    <group key={`${planes?.length ?? 0} ${i === 0 ? 'first' : 'second'}`}>
      <mesh geometry={geometry} userData={{ owner: mesh.owner, planes: own }}>
        <Raw plain={plain} color={shade} vertexColors clippingPlanes={planes} />
      </mesh>
      {faced && (
        <mesh geometry={faced}>
          <Raw plain={plain} color={shade} clippingPlanes={cut ? planes : null} />
        </mesh>
      )}
      {cut && planes && (
        <mesh geometry={whole}>
          {/* Drawn a hair nearer: a neighbour's joint lies in the very same plane. */}
          <meshBasicMaterial
            color={face}
            side={BackSide}
            clippingPlanes={planes}
            polygonOffset
            polygonOffsetFactor={-0.5}
            polygonOffsetUnits={-4}
          />
        </mesh>
      )}
    </group>
  ));
}
