import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import { type PerspectiveCamera, Vector3 } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';

/** What the eye goes to: the whole piece from outside, or into it from above. */
export type Stand = 'outside' | 'inside';

interface OrbitProps {
  readonly stand: Stand;
  readonly heightMm: number;
  readonly radiusMm: number;
  /** Where the eye stands round the axis, radians from the index mark. */
  readonly turn: number;
}

/** Room around the piece, in its own size. */
const ROOM = 1.02;

/** Turning the piece under the pointer: drags go round it, the wheel and two fingers come nearer. */
export function Orbit({ stand, heightMm, radiusMm, turn }: OrbitProps) {
  const { camera, gl, invalidate, size } = useThree();
  useEffect(() => {
    const eye = camera as PerspectiveCamera;
    const controls = new OrbitControls(eye, gl.domElement);
    const half = (eye.fov * Math.PI) / 360;
    const wide = Math.min(1, size.width / Math.max(1, size.height));
    const away = (ROOM * Math.hypot(heightMm / 2, radiusMm)) / Math.sin(half) / wide;
    const rise = stand === 'inside' ? 1.15 : 0.38;
    eye.up.set(0, 0, 1);
    eye.near = away / 100;
    eye.far = away * 10;
    eye.position.set(
      away * Math.cos(rise) * Math.cos(turn),
      away * Math.cos(rise) * Math.sin(turn),
      heightMm / 2 + away * Math.sin(rise),
    );
    controls.target = new Vector3(0, 0, stand === 'inside' ? heightMm * 0.6 : heightMm / 2);
    controls.enablePan = false;
    controls.minDistance = away / 8;
    controls.maxDistance = away * 3;
    const changed = () => invalidate();
    controls.addEventListener('change', changed);
    controls.update();
    eye.updateProjectionMatrix();
    invalidate();
    return () => {
      controls.removeEventListener('change', changed);
      controls.dispose();
    };
  }, [camera, gl, invalidate, stand, heightMm, radiusMm, turn, size.width, size.height]);
  return null;
}
