import { useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import type { PerspectiveCamera } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { awayFrom, eyeAt, type Looked, targetOf } from './eye.js';

type OrbitProps = Pick<Looked, 'stand' | 'heightMm' | 'radiusMm' | 'turn'>;

/** Turning the piece under the pointer: drags go round it, the wheel and two fingers come nearer. */
export function Orbit({ stand, heightMm, radiusMm, turn }: OrbitProps) {
  const { camera, gl, invalidate, size } = useThree();
  const eye = camera as PerspectiveCamera;
  const controls = useMemo(() => new OrbitControls(eye), [eye]);
  const before = useRef<Looked | null>(null);
  useEffect(() => {
    const changed = () => invalidate();
    eye.up.set(0, 0, 1);
    controls.enablePan = false;
    controls.connect(gl.domElement);
    controls.addEventListener('change', changed);
    return () => {
      controls.removeEventListener('change', changed);
      controls.disconnect();
    };
  }, [controls, eye, gl, invalidate]);
  const aspect = size.width / Math.max(1, size.height);
  useEffect(() => {
    const looked = { stand, heightMm, radiusMm, turn, aspect, half: (eye.fov * Math.PI) / 360 };
    const away = awayFrom(looked);
    eye.position.copy(eyeAt(looked, before.current && { looked: before.current, eye: eye.position }));
    before.current = looked;
    eye.near = away / 100;
    eye.far = away * 10;
    controls.target.copy(targetOf(looked));
    controls.minDistance = away / 8;
    controls.maxDistance = away * 3;
    controls.update();
    eye.updateProjectionMatrix();
    invalidate();
  }, [controls, eye, invalidate, stand, heightMm, radiusMm, turn, aspect]);
  return null;
}
