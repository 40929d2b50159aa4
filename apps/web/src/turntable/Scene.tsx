import type { Species } from '@fellside/core';
import { Canvas, useFrame, useThree } from '@react-three/fiber';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { type PerspectiveCamera, Plane, Quaternion, Vector3 } from 'three';
import type { Stand } from './eye.js';
import { Orbit } from './Orbit.js';
import { Picker } from './Picker.js';
import { Quality } from './Quality.js';
import { Room } from './Room.js';
import { Skin } from './Skin.js';
import type { Skinned } from './useSkin.js';
import { keptBy, Wood } from './Wood.js';
import { ability } from './webgl.js';
import type { State3, WoodMesh } from './woodMeshes.js';

/** Draws what is seen at a size in px; the piece turned on by a share of a whole turn. Null where that is too large. */
export type Draw = (width: number, height: number, share?: number) => HTMLCanvasElement | null;

/** Does work that draws pictures; the scene itself is drawn again when all of them are made. */
export type TakePictures = <T>(work: (draw: Draw) => Promise<T>) => Promise<T>;

interface SceneProps {
  readonly meshes: readonly WoodMesh[];
  readonly palette: ReadonlyMap<string, Species>;
  /** Its surface in its woods, drawn where it is as turned; null while that is not known. */
  readonly skin: Skinned | null;
  /** How much its finish gleams, 0 to 1. */
  readonly sheen: number;
  readonly footMm: number;
  /** Whether it is seen small, and only has to turn. */
  readonly small: boolean;
  readonly state: State3;
  readonly cutAway: boolean;
  readonly stand: Stand;
  readonly heightMm: number;
  readonly radiusMm: number;
  readonly turn: number;
  /** The direction that is looked at first, radians from the index mark. */
  readonly facing: number;
  /** Direction of the light round the piece, radians. */
  readonly light: number;
  readonly label: string;
  readonly onPlace?: ((ring: number, place: number) => void) | undefined;
  readonly onReady?: ((take: TakePictures) => void) | undefined;
}

/** The middle of the quarter lies beside the line of sight, so that no joint at the index mark is the cut. */
const ASIDE = 0.0437;

/** The two sides of a quarter that faces a direction: what lies behind both is cut away. */
function quarterFacing(direction: number): readonly [Plane, Plane] {
  const [from, to] = [-1, 1].map((side) => direction + ASIDE + (side * Math.PI) / 4) as [number, number];
  return [
    new Plane(new Vector3(Math.sin(from), -Math.cos(from), 0), 0),
    new Plane(new Vector3(-Math.sin(to), Math.cos(to), 0), 0),
  ];
}
const nowhere = () => false;

/** The piece in space, drawn only when something changes. */
export function Scene(props: SceneProps) {
  const { meshes, palette, state, cutAway, stand, heightMm, radiusMm, turn, light, onPlace } = props;
  const quarter = useMemo(() => (cutAway ? quarterFacing(props.facing) : null), [cutAway, props.facing]);
  const hidden = useMemo(
    () => (quarter ? (point: Vector3) => quarter.every((side) => side.distanceToPoint(point) < 0) : nowhere),
    [quarter],
  );
  const tall = heightMm + state.apartMm * 2;
  const dressed = props.skin?.skin.whole && state.turned === 1 && state.apartMm === 0;
  const kept = useMemo(() => keptBy([], quarter), [quarter]);
  // What software draws is lit plainly where it is small, or where all pieces are drawn one by one.
  const plain = ability().software && (props.small || !dressed);
  const faces = cutAway || state.apartMm > 0 ? 'all' : dressed ? 'skin' : 'caps';
  return (
    <Canvas
      frameloop="demand"
      dpr={[1, 2]}
      flat
      camera={{ fov: 32 }}
      gl={{ antialias: !ability().software, localClippingEnabled: true }}
      className="[&_canvas]:object-contain"
      role="img"
      aria-label={props.label}
    >
      <color attach="background" args={['#eceeec']} />
      <hemisphereLight args={['#ffffff', '#a9a59b', plain ? 1.3 : 0.5]} position={[0, 0, 1]} />
      <directionalLight
        position={[Math.cos(light) * 400, Math.sin(light) * 400, 420]}
        intensity={plain ? 1.6 : 1.4}
      />
      <Room
        standing={dressed === true || meshes.length > 0}
        footMm={props.footMm}
        widestMm={radiusMm}
        windows={!(props.small && ability().software)}
        light={light}
      />
      {dressed && props.skin && <Skin {...props.skin} sheen={props.sheen} kept={kept} />}
      {meshes.map((mesh) => (
        <Wood
          key={mesh.name}
          mesh={mesh}
          colour={palette.get(mesh.key)?.colour ?? '#999999'}
          state={state}
          faces={faces}
          dressed={dressed === true}
          plain={plain}
          cut={quarter}
        />
      ))}
      <Orbit stand={stand} heightMm={tall} radiusMm={radiusMm} turn={props.facing + turn} />
      <Quality />
      <Frames light={light} />
      {onPlace && <Picker hidden={hidden} onPlace={onPlace} />}
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

const UP = new Vector3(0, 0, 1);

/** Hands out a way to take pictures of the scene: one of them stands on the canvas until the next is made. */
function Camera({ onReady }: { onReady: (take: TakePictures) => void }) {
  const { gl, scene, get, setFrameloop } = useThree();
  const draw = useCallback<Draw>(
    (width, height, share = 0) => {
      const eye = (get().camera as PerspectiveCamera).clone();
      eye.aspect = width / height;
      eye.position.applyAxisAngle(UP, -2 * Math.PI * share);
      eye.quaternion.premultiply(new Quaternion().setFromAxisAngle(UP, -2 * Math.PI * share));
      eye.updateProjectionMatrix();
      gl.setPixelRatio(1);
      gl.setSize(width, height, false);
      gl.render(scene, eye);
      if (gl.domElement.width !== width || gl.domElement.height !== height) return null;
      const picture = Object.assign(document.createElement('canvas'), { width, height });
      picture.getContext('2d')?.drawImage(gl.domElement, 0, 0);
      return picture;
    },
    [gl, scene, get],
  );
  const take = useCallback<TakePictures>(
    async (work) => {
      const ratio = gl.getPixelRatio();
      setFrameloop('never');
      try {
        return await work(draw);
      } finally {
        const { size } = get();
        gl.setPixelRatio(ratio);
        gl.setSize(size.width, size.height, false);
        setFrameloop('demand');
        get().invalidate();
      }
    },
    [gl, get, setFrameloop, draw],
  );
  useEffect(() => onReady(take), [onReady, take]);
  return null;
}
