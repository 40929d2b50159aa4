import { type Curve, curveThrough, radiusAt } from '../form/curve.js';
import type { Made } from '../making/contract.js';
import { layOut, outlineAt } from '../making/layOut.js';
import {
  begun,
  bodyOf,
  insteadOf,
  isSolid,
  makeRing,
  type RingMaking,
  type StartId,
  tonesOf,
} from '../making/registry.js';
import type { MeantTone } from '../making/tone.js';
import { mm } from '../measure/quantity.js';
import type { RingNeed } from '../ring/need.js';
import type { Point } from '../ring/plane.js';
import type { SectionPoint } from './drawing.js';
import { outsidePatches } from './outside.js';

/** What comes out of a starting point, as a small picture: outlines with the tones they are meant to have, y up. */
export interface ExamplePicture {
  readonly seen: 'front' | 'above';
  readonly parts: readonly { readonly tone: MeantTone; readonly outline: readonly Point[] }[];
  /** Lines to be drawn: joints, and edges of rings. */
  readonly joints: readonly (readonly Point[])[];
  /** Grain that stands upright. */
  readonly grain: readonly (readonly Point[])[];
  /** Half of its width, and its height, in its own units. */
  readonly halfWidth: number;
  readonly height: number;
}

/** The ring of a picture, mm: so high that what is in its face can be seen. */
const SIZE = { outerRadiusMm: mm(60), innerRadiusMm: mm(42), heightMm: mm(34) };
/** A shell is as high as it is wide. */
const ROUND = { ...SIZE, heightMm: mm(117) };
const SEGMENTS = 12;
/** Turned a little, so that the middle of the picture is no joint. */
const TURNED = 0.12;
/** Several rings of it are drawn where one alone does not read, each as high. */
const STACKED = mm(13);
/** Lines of upright grain on a piece. */
const GRAIN = 4;

/** A ring as a starting point has it, from the front; of rings that are solid to the centre from above. Null where it begins with nothing. */
export function examplePicture(start: StartId): ExamplePicture | null {
  const making = begun(start, { segments: SEGMENTS, body: 'example' });
  if (!making) return null;
  const solid = isSolid(making);
  const made = madeOf(making, solid ? { ...SIZE, innerRadiusMm: mm(0) } : SIZE) ?? madeOf(making, ROUND);
  if (!made) return null;
  if (solid) return fromAbove(made, making);
  // Slices of one glue-up are two at least; what lies behind the face shows from above.
  const rings = made.reads?.rings ?? (bodyOf(making) === null ? 1 : 2);
  if (rings === 1) {
    const front = fromFront([made], making);
    const above = fromAbove(made, making);
    return tonesIn(above) > tonesIn(front) ? above : front;
  }
  const low = madeOf(making, { ...SIZE, heightMm: STACKED }) ?? made;
  return fromFront(
    Array.from({ length: rings }, () => low),
    making,
  );
}

const tonesIn = ({ parts }: ExamplePicture): number => new Set(parts.map(({ tone }) => tone)).size;

function madeOf(making: RingMaking, need: RingNeed): Made | null {
  const made = makeRing(making, need);
  if (made.ok) return made.value;
  const near = insteadOf(making, need);
  const other = near && makeRing(near, need);
  return other?.ok ? other.value : null;
}

/** The tones that places are meant to have; where any wood does, segments light and what is between them dark. */
function tonesFor(made: Made, making: RingMaking): (place: number) => MeantTone {
  const meant = tonesOf(making);
  const first = made.groups[0]!.count;
  return (place) => meant?.[place] ?? (place < first ? 'light' : 'dark');
}

function fromAbove(made: Made, making: RingMaking): ExamplePicture {
  const tone = tonesFor(made, making);
  const parts = layOut(made).map((piece) => ({ tone: tone(piece.place), outline: outlineAt(piece, 1) }));
  const joints = parts.map(({ outline }) => [...outline, outline[0]!]);
  return { seen: 'above', parts, joints, grain: [], halfWidth: made.cornerMm, height: 2 * made.cornerMm };
}

/** Rings on top of each other as turned to a cylinder, each half a segment on; a shell as turned to a ball. */
function fromFront(rings: readonly Made[], making: RingMaking): ExamplePicture {
  const radius = Math.min(...rings.map(({ gives }) => gives.outerRadiusMm)) - 0.5;
  const height = rings.reduce((sum, { heightMm }) => sum + heightMm, 0);
  const round = rings[0]!.ball !== null;
  const outside = round ? ball(radius, height) : cylinder(radius, height);
  let bottomMm = 0;
  const joints: Point[][] = [];
  const grain: Point[][] = [];
  const across = (y: number) => [-radius, radius].map((x) => ({ x, y }));
  const parts = rings.flatMap((made, i) => {
    const tone = tonesFor(made, making);
    const line = lineOf(outside, bottomMm, made.heightMm, round ? LEVELS : 1);
    const half = bodyOf(making) === null ? Math.PI / SEGMENTS : 0;
    const turn = TURNED + (i % 2) * half;
    const upright = new Set(made.kinds.flatMap((kind) => (kind.grain === 'upright' ? kind.places : [])));
    const seen = outsidePatches({ made, turn, bottomMm }, outside, line, 0, 'front');
    joints.push(across(bottomMm));
    bottomMm += made.heightMm;
    // Within a face that is put together every layer has an edge at every level: its figure shows by its tones alone.
    if (made.together.length === 0)
      joints.push(...seen.map(({ joint }) => joint.map(({ x, z }) => ({ x, y: z }))));
    for (const { outline } of seen.filter(({ place }) => upright.has(place))) {
      const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ z }) => z)];
      const [left, right] = [Math.min(...xs), Math.max(...xs)];
      for (let k = 1; k <= GRAIN; k++) {
        const x = left + ((right - left) * k) / (GRAIN + 1);
        grain.push([
          { x, y: Math.min(...ys) },
          { x, y: Math.max(...ys) },
        ]);
      }
    }
    return seen.map(({ place, outline }) => ({
      tone: tone(place),
      outline: outline.map(({ x, z }) => ({ x, y: z })),
    }));
  });
  if (round) joints.splice(0, 1);
  else joints.push(across(height));
  return { seen: 'front', parts, joints, grain, halfWidth: radius, height };
}

const cylinder = (radius: number, height: number): Curve =>
  curveThrough([0, height].map((z) => ({ radiusMm: mm(radius), heightMm: mm(z), kind: 'smooth' as const })));

/** Levels in which a ball is drawn. */
const LEVELS = 24;

const ball = (radius: number, height: number): Curve =>
  curveThrough(
    Array.from({ length: LEVELS + 1 }, (_, i) => {
      const z = (height * i) / LEVELS;
      const r = Math.sqrt(Math.max(1, radius ** 2 - (z - height / 2) ** 2));
      return { radiusMm: mm(r), heightMm: mm(z), kind: 'smooth' as const };
    }),
  );

const lineOf = (outside: Curve, bottomMm: number, heightMm: number, levels: number): SectionPoint[] =>
  Array.from({ length: levels + 1 }, (_, i) => {
    const z = bottomMm + (heightMm * i) / levels;
    return { r: radiusAt(outside, z), z };
  });
