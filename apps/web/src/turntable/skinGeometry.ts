import type { SkinLine, SkinPoint } from '@fellside/core';
import { BufferAttribute, BufferGeometry } from 'three';

/** A surface has so many sides; normals make it round. */
const AROUND = 72;
/** Points between which the line turns by less are left out, radians: half of the angle between two sides. */
const TURN = Math.PI / AROUND;
/** Light that is left at the bottom of a narrow hollow, and under what overhangs. */
const DEEP = 0.35;
const UNDER = 0.25;

/** How much of the room's light comes to points of the line: less the deeper they lie in a hollow. */
export function lightAlong({ stretches, outside }: SkinLine): (point: SkinPoint) => number {
  const within = stretches.flat().filter(({ alongMm }) => alongMm > outside[1]);
  const mouth = within[0];
  const narrowest = new Map<SkinPoint, number>();
  let least = Infinity;
  for (const point of within) {
    if (point.radius > 0) least = Math.min(least, point.radius);
    narrowest.set(point, least);
  }
  return (point) => {
    const radius = narrowest.get(point);
    if (radius === undefined || !mouth) return 1 - UNDER * Math.max(0, 0 - point.rise);
    // The middle of a top that is closed lies in no hollow.
    if (radius === Infinity) return 1;
    const deep = Math.max(0, mouth.z - point.z);
    return DEEP + (1 - DEEP) * (radius ** 2 / (radius ** 2 + deep ** 2));
  };
}

/** The points of a stretch that are needed for it to look as it is: its ends, and where it has turned. */
export function thinned(stretch: readonly SkinPoint[]): SkinPoint[] {
  const kept = [stretch[0]!];
  for (let i = 1; i < stretch.length; i++) {
    const [last, next] = [kept.at(-1)!, stretch[i + 1]];
    const turned = next ? Math.acos(Math.min(1, last.level * next.level + last.rise * next.rise)) : Infinity;
    if (turned > TURN) kept.push(stretch[i]!);
  }
  return kept;
}

/** The surface that a line makes when it is turned about the axis; textures go round it once, and along the line once. */
export function skinGeometry(line: SkinLine): BufferGeometry {
  const { lengthMm } = line;
  const stretches = line.stretches.map(thinned);
  const points = stretches.reduce((sum, { length }) => sum + length, 0);
  const quads = stretches.reduce((sum, { length }) => sum + length - 1, 0);
  const vertices = points * (AROUND + 1);
  const [position, normal, colour] = [0, 1, 2].map(() => new Float32Array(3 * vertices)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const uv = new Float32Array(2 * vertices);
  const index = new Uint32Array(6 * quads * AROUND);
  const lit = lightAlong({ ...line, stretches });
  let [v, i] = [0, 0];
  for (const stretch of stretches)
    stretch.forEach((point, along) => {
      const light = lit(point);
      for (let k = 0; k <= AROUND; k++, v++) {
        const angle = (2 * Math.PI * k) / AROUND;
        const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
        position.set([point.radius * cos, point.radius * sin, point.z], 3 * v);
        normal.set([point.level * cos, point.level * sin, point.rise], 3 * v);
        colour.fill(light, 3 * v, 3 * v + 3);
        uv.set([k / AROUND, point.alongMm / lengthMm], 2 * v);
        if (along === 0 || k === AROUND) continue;
        const below = v - (AROUND + 1);
        index.set([below, below + 1, v + 1, below, v + 1, v], i);
        i += 6;
      }
    });
  const made = new BufferGeometry();
  made.setAttribute('position', new BufferAttribute(position, 3));
  made.setAttribute('normal', new BufferAttribute(normal, 3));
  made.setAttribute('color', new BufferAttribute(colour, 3));
  made.setAttribute('uv', new BufferAttribute(uv, 2));
  made.setIndex(new BufferAttribute(index, 1));
  made.computeBoundingSphere();
  return made;
}
