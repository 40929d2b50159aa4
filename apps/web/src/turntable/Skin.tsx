import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import {
  DataTexture,
  LinearFilter,
  LinearMipmapLinearFilter,
  type Plane,
  RepeatWrapping,
  RGBAFormat,
  SRGBColorSpace,
  type Vector2,
} from 'three';
import type { DrawnSkin } from '../workers/skins.js';
import { skinGeometry } from './skinGeometry.js';
import { ability } from './webgl.js';

interface SkinProps {
  readonly skin: DrawnSkin;
  /** Whether it is of the piece as it is: else what is pressed is not known. */
  readonly current: boolean;
  /** From 0 (dull) to 1 (a mirror). */
  readonly sheen: number;
  /** Sets of planes, each of which keeps a part of what is drawn. */
  readonly kept: readonly (Plane[] | null)[];
}

/** The picture of a surface, as graphics hardware has it: in the middle of its colours from afar. */
function textureOf({ columns, rows, pixels }: DrawnSkin): DataTexture {
  const texture = new DataTexture(pixels as Uint8Array<ArrayBuffer>, columns, rows, RGBAFormat);
  texture.colorSpace = SRGBColorSpace;
  texture.wrapS = RepeatWrapping;
  texture.magFilter = LinearFilter;
  texture.minFilter = LinearMipmapLinearFilter;
  texture.generateMipmaps = true;
  texture.anisotropy = ability().software ? 1 : 8;
  texture.needsUpdate = true;
  return texture;
}

/** Which ring and place show at a point of the picture; null in air. */
export function metOn({ columns, rows, ring, place }: DrawnSkin, { x, y }: Pick<Vector2, 'x' | 'y'>) {
  const column = Math.floor((x - Math.floor(x)) * columns) % columns;
  const at = Math.min(rows - 1, Math.max(0, Math.floor(y * rows))) * columns + column;
  return ring[at]! < 0 || place[at]! < 0 ? null : ([ring[at]!, place[at]!] as const);
}

/** The surface of the turned piece in its woods, under its finish. */
export function Skin({ skin, current, sheen, kept }: SkinProps) {
  const { line } = skin;
  const geometry = useMemo(() => skinGeometry(line), [line]);
  const texture = useMemo(() => textureOf(skin), [skin]);
  const { invalidate } = useThree();
  useEffect(() => () => geometry.dispose(), [geometry]);
  useEffect(() => () => texture.dispose(), [texture]);
  useEffect(() => invalidate());
  const userData = useMemo(
    () => ({ met: (uv: Vector2) => (current ? metOn(skin, uv) : null) }),
    [skin, current],
  );
  return kept.map((planes, i) => (
    <mesh key={i === 0 ? 'first' : 'second'} geometry={geometry} userData={userData}>
      {/* A hair nearer than the pieces beneath, which have the very same shape. */}
      <meshStandardMaterial
        map={texture}
        roughness={1 - 0.8 * sheen}
        vertexColors
        alphaTest={0.5}
        clippingPlanes={planes}
        polygonOffset
        polygonOffsetFactor={-1}
        polygonOffsetUnits={-2}
      />
    </mesh>
  ));
}
