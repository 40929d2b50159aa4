import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { DataTexture, Euler, LinearFilter, PMREMGenerator, RGBAFormat } from 'three';
import { RoomEnvironment } from 'three/addons/environments/RoomEnvironment.js';

interface RoomProps {
  readonly footMm: number;
  readonly widestMm: number;
  /** Whether its windows are to be seen in the finish: where it is small and software draws, plain light does. */
  readonly windows: boolean;
  /** Whether the piece stands there: nothing has no shadow. */
  readonly standing: boolean;
  /** Direction of the light round the piece, radians. */
  readonly light: number;
}

/** Points across the picture of the shadow. */
const SHADOW = 128;
const DARKEST = 0.5;

/** What of the light does not come to the table at a distance from the axis: most under the foot's edge. */
export function shadowAt(
  radius: number,
  { footMm, widestMm }: Pick<RoomProps, 'footMm' | 'widestMm'>,
): number {
  const out = Math.max(0, radius - footMm);
  const near = Math.exp(-out / (0.12 * widestMm));
  const wide = Math.exp(-((radius / (1.15 * widestMm)) ** 2));
  return DARKEST * (0.6 * near + 0.4 * wide);
}

/** A quiet room: light from all sides, what its windows leave on a finish, and the shadow where the piece stands. */
export function Room({ footMm, widestMm, windows, standing, light }: RoomProps) {
  const { gl, scene, invalidate } = useThree();
  useEffect(() => {
    if (!windows) return;
    const maker = new PMREMGenerator(gl);
    const made = maker.fromScene(new RoomEnvironment(), 0.04);
    scene.environment = made.texture;
    scene.environmentIntensity = 0.55;
    invalidate();
    return () => {
      scene.environment = null;
      made.dispose();
      maker.dispose();
    };
  }, [gl, scene, invalidate, windows]);
  useEffect(() => {
    // The room stands on its floor: its y is up here.
    scene.environmentRotation = new Euler(Math.PI / 2, 0, light);
    invalidate();
  }, [scene, light, invalidate]);
  const reach = 2.4 * widestMm;
  const shadow = useMemo(() => {
    const pixels = new Uint8Array(4 * SHADOW * SHADOW);
    for (let i = 0; i < SHADOW * SHADOW; i++) {
      const [x, y] = [i % SHADOW, Math.floor(i / SHADOW)].map(
        (at) => ((at + 0.5) / SHADOW - 0.5) * 2 * reach,
      ) as [number, number];
      const fades = Math.max(0, 1 - Math.hypot(x, y) / reach);
      pixels.set([40, 36, 30, 255 * fades * shadowAt(Math.hypot(x, y), { footMm, widestMm })], 4 * i);
    }
    const texture = new DataTexture(pixels, SHADOW, SHADOW, RGBAFormat);
    texture.magFilter = LinearFilter;
    texture.needsUpdate = true;
    return texture;
  }, [reach, footMm, widestMm]);
  useEffect(() => () => shadow.dispose(), [shadow]);
  if (!standing) return null;
  return (
    <mesh position={[0, 0, -0.1]}>
      <planeGeometry args={[2 * reach, 2 * reach]} />
      <meshBasicMaterial map={shadow} transparent depthWrite={false} />
    </mesh>
  );
}
