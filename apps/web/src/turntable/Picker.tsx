import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import { type Intersection, type Plane, Raycaster, Vector2, type Vector3 } from 'three';

/** A press that moves less than this is a click, px. */
const SLACK = 4;

/** Beyond a plane by less than this is on it, mm. */
const TOUCH = 1e-3;

interface PickerProps {
  /** Whether a point is cut away and cannot be touched. */
  readonly hidden: (point: Vector3) => boolean;
  readonly onPlace: (ring: number, place: number) => void;
}

/** Ring and place of what a ray meets; null where that is air, or no wood. */
function metAt({ object: { userData }, faceIndex, uv }: Intersection): readonly [number, number] | null {
  const owner = userData.owner as Uint16Array | undefined;
  if (owner && faceIndex != null) return [owner[2 * faceIndex]!, owner[2 * faceIndex + 1]!];
  return uv && userData.met ? userData.met(uv) : null;
}

/** A click on the piece in space goes to the segment that shows there; drags only turn it. */
export function Picker({ hidden, onPlace }: PickerProps) {
  const { camera, gl, scene } = useThree();
  useEffect(() => {
    const element = gl.domElement;
    const caster = new Raycaster();
    let from: { x: number; y: number } | null = null;
    const down = ({ clientX: x, clientY: y }: PointerEvent) => {
      from = { x, y };
    };
    const up = ({ clientX: x, clientY: y }: PointerEvent) => {
      if (!from || Math.hypot(x - from.x, y - from.y) > SLACK) return;
      const box = element.getBoundingClientRect();
      const at = new Vector2(((x - box.left) / box.width) * 2 - 1, 1 - ((y - box.top) / box.height) * 2);
      caster.setFromCamera(at, camera);
      for (const hit of caster.intersectObjects(scene.children, true)) {
        const planes = (hit.object.userData.planes ?? []) as readonly Plane[];
        const cutOff = planes.some((plane) => plane.distanceToPoint(hit.point) < -TOUCH);
        const met = cutOff || hidden(hit.point) ? null : metAt(hit);
        if (met) return onPlace(...met);
      }
    };
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointerup', up);
    return () => {
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointerup', up);
    };
  }, [camera, gl, scene, hidden, onPlace]);
  return null;
}
