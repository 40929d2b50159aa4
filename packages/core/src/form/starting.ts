import { mm } from '../measure/quantity.js';
import type { Form, FormPoint } from './shape.js';

/** A shape to start from: radius as a share of half the diameter, height as a share of the height. */
interface StartingShape {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** Usual height ÷ diameter. */
  readonly proportion: number;
  readonly points: readonly (readonly [radius: number, height: number, corner?: 'corner'])[];
  /** Height of the floor as a share of the height; null when it is as thick as the wall and a little more. */
  readonly floor: number | null;
  /** Begun as one shell of panels, not as rings. */
  readonly shell?: true;
  /**
   * Lid line and thickness of the lid at its top, knob and all, as shares of the height (0: as the floor); joined for good where
   * the hollow has no mouth.
   */
  readonly lid?: { readonly line: number; readonly roof: number; readonly joined?: true };
}

/** How far from its poles a ball or an egg is cut off flat, radians. */
const FLAT = 0.2;

export const STARTING_SHAPES: readonly StartingShape[] = [
  {
    id: 'bowl',
    name: 'Bowl',
    says: 'open, on a small foot',
    proportion: 0.45,
    points: [
      [0.38, 0],
      [0.42, 0.08, 'corner'],
      [0.74, 0.32],
      [0.93, 0.64],
      [1, 1],
    ],
    floor: null,
  },
  {
    id: 'platter',
    name: 'Platter',
    says: 'wide and shallow',
    proportion: 0.16,
    points: [
      [0.5, 0],
      [0.53, 0.22, 'corner'],
      [0.82, 0.55],
      [1, 1],
    ],
    floor: 0.3,
  },
  {
    id: 'vase',
    name: 'Vase',
    says: 'shoulder, neck and lip',
    proportion: 1.7,
    points: [
      [0.48, 0],
      [0.56, 0.05],
      [0.86, 0.36],
      [1, 0.6],
      [0.66, 0.84],
      [0.5, 0.93],
      [0.58, 1],
    ],
    floor: null,
  },
  {
    id: 'goblet',
    name: 'Goblet',
    says: 'cup on a stem',
    proportion: 1.75,
    points: [
      [0.84, 0],
      [0.78, 0.035, 'corner'],
      [0.3, 0.12],
      [0.2, 0.28],
      [0.28, 0.42],
      [0.86, 0.62],
      [1, 0.78],
      [0.94, 1],
    ],
    floor: 0.5,
  },
  {
    id: 'jar',
    name: 'Jar with lid',
    says: 'body, lid and knob',
    proportion: 1.05,
    points: [
      [0.62, 0],
      [0.7, 0.04],
      [0.97, 0.28],
      [1, 0.42],
      [0.86, 0.68],
      [0.88, 0.7, 'corner'],
      [0.82, 0.76],
      [0.4, 0.85],
      [0.13, 0.88],
      [0.12, 0.92],
      [0.22, 0.97],
      [0.14, 1],
    ],
    floor: null,
    lid: { line: 0.7, roof: 0.18 },
  },
  {
    id: 'hollow-form',
    name: 'Hollow form',
    says: 'wide body, small opening',
    proportion: 0.85,
    points: [
      [0.36, 0],
      [0.4, 0.04],
      [0.84, 0.34],
      [1, 0.58],
      [0.78, 0.84],
      [0.34, 0.97],
      [0.32, 1],
    ],
    floor: null,
  },
  {
    id: 'cylinder',
    name: 'Cylinder box',
    says: 'straight sides',
    proportion: 1.1,
    points: [
      [1, 0],
      [1, 1],
    ],
    floor: null,
  },
  {
    id: 'bell',
    name: 'Bell',
    says: 'flaring from a narrow shoulder',
    proportion: 0.95,
    points: [
      [0.3, 0],
      [0.46, 0.06],
      [0.56, 0.2],
      [0.62, 0.45],
      [0.72, 0.72],
      [0.88, 0.92],
      [1, 1],
    ],
    floor: null,
  },
  {
    id: 'ball',
    name: 'Ball',
    says: 'closed at both ends, two halves joined',
    proportion: Math.cos(FLAT),
    points: ballPoints(10),
    floor: null,
    lid: { line: 0.5, roof: 0, joined: true },
  },
  {
    id: 'globe',
    name: 'Facetted globe',
    says: 'a ball of 80 flat panels, no rings',
    proportion: Math.cos(FLAT),
    points: ballPoints(10),
    floor: null,
    lid: { line: 0.5, roof: 0, joined: true },
    shell: true,
  },
  {
    id: 'egg',
    name: 'Egg',
    says: 'closed, blunt below and narrow above',
    proportion: 1.35,
    points: ballPoints(10, 0.2),
    floor: null,
    lid: { line: 0.42, roof: 0, joined: true },
  },
  {
    id: 'spindle',
    name: 'Spindle',
    says: 'closed, running out into points',
    proportion: 2.2,
    points: [
      [0, 0],
      [0.12, 0.1],
      [0.5, 0.26],
      [0.95, 0.42],
      [1, 0.5],
      [0.95, 0.58],
      [0.5, 0.74],
      [0.12, 0.9],
      [0, 1],
    ],
    floor: 0.2,
    lid: { line: 0.5, roof: 0.2, joined: true },
  },
];

/**
 * Points of a ball by their angles from below, cut off flat at both ends so far as it can stand; `narrower` draws the upper
 * half in and lets the lower one bulge, as an egg's: r = sin θ·(1 − n·cos(π − θ)).
 */
function ballPoints(parts: number, narrower = 0): StartingShape['points'] {
  const raw = Array.from({ length: parts + 1 }, (_, i) => {
    const angle = FLAT + ((Math.PI - 2 * FLAT) * i) / parts;
    return { r: Math.sin(angle) * (1 + narrower * Math.cos(angle)), z: -Math.cos(angle) };
  });
  const [low, high] = [raw[0]!.z, raw.at(-1)!.z];
  const widest = Math.max(...raw.map(({ r }) => r));
  return raw.map(({ r, z }) => [r / widest, (z - low) / (high - low)] as const);
}

/** The starting shape scaled to a height, a greatest diameter and a wall (all mm). */
export function startingForm(
  shape: StartingShape,
  heightMm: number,
  diameterMm: number,
  wallMm: number,
): Form {
  const points: FormPoint[] = shape.points.map(([radius, height, corner]) => ({
    radiusMm: mm((radius * diameterMm) / 2),
    heightMm: mm(height * heightMm),
    kind: corner ?? 'smooth',
  }));
  const floorMm = shape.floor === null ? Math.min(1.25 * wallMm, heightMm / 2) : shape.floor * heightMm;
  return {
    points,
    inside: {
      by: 'wall',
      walls: [{ heightMm: mm(0), wallMm: mm(wallMm) }],
      floorMm: mm(floorMm),
    },
    recess: null,
    lid: shape.lid
      ? {
          heightMm: mm(shape.lid.line * heightMm),
          roofMm: mm(shape.lid.roof > 0 ? shape.lid.roof * heightMm : floorMm),
          ...(shape.lid.joined && { joined: true as const }),
        }
      : null,
  };
}
