import type { Species } from '@fellside/core';
import { Canvas, useFrame, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import { type PerspectiveCamera, Plane, Vector3 } from 'three';
import { Orbit, type Stand } from './Orbit.js';
import { Picker } from './Picker.js';
import { Wood } from './Wood.js';
import type { State3, WoodMesh } from './woodMeshes.js';

/** Takes a picture of what is seen, at a size in px. */
export type TakePicture = (width: number, height: number) => Promise<Blob | null>;

interface SceneProps {
  readonly meshes: readonly WoodMesh[];
  readonly palette: ReadonlyMap<string, Species>;
  readonly state: State3;
  readonly cutAway: boolean;
  readonly stand: Stand;
  readonly heightMm: number;
  readonly radiusMm: number;
  readonly turn: number;
  /** Direction of the light round the piece, radians. */
  readonly light: number;
  readonly label: string;
  readonly onPlace?: ((ring: number, place: number) => void) | undefined;
  readonly onReady?: ((take: TakePicture) => void) | undefined;
}

/** Where the quarter that is cut away begins, radians: beside the joints at the index mark, so that no joint is the cut. */
const BEGINS = -Math.PI / 2 + 0.0437;
const ENDS = BEGINS + Math.PI / 2;
/** Its two sides: what lies behind both is cut away. */
const QUARTER = [
  new Plane(new Vector3(Math.sin(BEGINS), -Math.cos(BEGINS), 0), 0),
  new Plane(new Vector3(-Math.sin(ENDS), Math.cos(ENDS), 0), 0),
];
const inQuarter = (point: Vector3) => QUARTER.every((plane) => plane.distanceToPoint(point) < 0);
const nowhere = () => false;

/** The piece in space, drawn only when something changes. */
export function Scene(props: SceneProps) {
  const { meshes, palette, state, cutAway, stand, heightMm, radiusMm, turn, light, onPlace } = props;
  const tall = heightMm + state.apartMm * 2;
  return (
    <Canvas
      frameloop="demand"
      dpr={[1, 2]}
      flat
      camera={{ fov: 32 }}
      gl={{ antialias: true, localClippingEnabled: true }}
      role="img"
      aria-label={props.label}
    >
      <color attach="background" args={['#eceeec']} />
      <hemisphereLight args={['#ffffff', '#a9a59b', 1.9]} />
      <directionalLight position={[Math.cos(light) * 400, Math.sin(light) * 400, 420]} intensity={2.1} />
      {meshes.map((mesh) => (
        <Wood
          key={mesh.key}
          mesh={mesh}
          colour={palette.get(mesh.key)?.colour ?? '#999999'}
          state={state}
          cut={cutAway ? QUARTER : null}
        />
      ))}
      <Orbit stand={stand} heightMm={tall} radiusMm={radiusMm} turn={turn} />
      <Frames light={light} />
      {onPlace && <Picker hidden={cutAway ? inQuarter : nowhere} onPlace={onPlace} />}
      {props.onReady && <Camera onReady={props.onReady} />}
    </Canvas>
  );
}

/** Counts the frames on the canvas, for measuring, and draws one when the light has moved. */
function Frames({ light }: { light: number }) {
  const { gl, invalidate } = useThree();
  const frames = useRef(0);
  useEffect(() => invalidate(), [invalidate, light]);
  useFrame(() => {
    frames.current++;
    gl.domElement.dataset.frames = String(frames.current);
  });
  return null;
}

/** Hands out a way to take a picture of the scene. */
function Camera({ onReady }: { onReady: (take: TakePicture) => void }) {
  const { gl, scene, camera, size, invalidate } = useThree();
  const take = useMemo<TakePicture>(
    () => async (width, height) => {
      const eye = (camera as PerspectiveCamera).clone();
      eye.aspect = width / height;
      eye.updateProjectionMatrix();
      const ratio = gl.getPixelRatio();
      gl.setPixelRatio(1);
      gl.setSize(width, height, false);
      gl.render(scene, eye);
      const picture = await new Promise<Blob | null>((done) => gl.domElement.toBlob(done, 'image/png'));
      gl.setPixelRatio(ratio);
      gl.setSize(size.width, size.height, false);
      invalidate();
      return picture;
    },
    [gl, scene, camera, size, invalidate],
  );
  useEffect(() => onReady(take), [onReady, take]);
  return null;
}
