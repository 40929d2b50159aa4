import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { BackSide, BufferAttribute, BufferGeometry, Color, type Plane } from 'three';
import { placeVertices, type State3, type WoodMesh } from './woodMeshes.js';

/** How much darker end grain is than long grain. */
const END_GRAIN = 0.34;

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

export type Faces = 'skin' | 'caps' | 'all';

interface WoodProps {
  readonly mesh: WoodMesh;
  readonly colour: string;
  readonly state: State3;
  /** What has to be drawn: the skin of a whole turned piece, tops and bottoms as well, or all. */
  readonly faces: Faces;
  /** Planes that cut a quarter away; none: nothing is. */
  readonly cut: Plane[] | null;
}

/** All pieces of one wood. Where they are cut through, their far sides stand for the cut face. */
export function Wood({ mesh, colour, state, faces, cut }: WoodProps) {
  const geometry = useGeometry(mesh, state);
  const triangles = { skin: mesh.skin, caps: mesh.skin + mesh.caps, all: mesh.index.length / 3 }[faces];
  geometry.setDrawRange(0, 3 * triangles);
  const { invalidate } = useThree();
  const shade = useMemo(() => new Color(colour), [colour]);
  const face = useMemo(() => new Color(colour).multiplyScalar(0.82), [colour]);
  useEffect(() => invalidate());
  return (
    <>
      <mesh geometry={geometry} userData={{ owner: mesh.owner }}>
        <meshLambertMaterial
          key={cut ? 'cut' : 'whole'}
          color={shade}
          vertexColors
          clippingPlanes={cut}
          clipIntersection={cut !== null}
        />
      </mesh>
      {cut && (
        <mesh geometry={geometry}>
          {/* Drawn a hair nearer: a neighbour's joint lies in the very same plane. */}
          <meshBasicMaterial
            color={face}
            side={BackSide}
            clippingPlanes={cut}
            clipIntersection
            polygonOffset
            polygonOffsetFactor={-0.5}
            polygonOffsetUnits={-4}
          />
        </mesh>
      )}
    </>
  );
}
