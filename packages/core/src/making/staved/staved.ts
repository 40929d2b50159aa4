import { z } from 'zod';
import { number } from '../../measure/field.js';
import { degrees, fromDegrees, mm, type Rad, rad } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMade, sayMm, sayRad } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { pitchOfCount, segmentCount, withoutWidth } from '../segments.js';
import { step } from '../step.js';
import type { PanelStock } from '../stock.js';
import { asAsked, bandOf, mostInner, radialWedge, wedgeOutline } from '../wedge.js';

const params = z.strictObject({
  way: z.literal('staved'),
  count: segmentCount,
  /** How far the staves lean out from upright, degrees; less than 0: they lean in. */
  leanDeg: number('Lean of the staves', -75, 75, '°'),
});

export type StavedParams = z.infer<typeof params>;

/**
 * Settings of the saw for N staves that lean by t from upright: mitre gauge m = atan(tan θ·sin t), measured on the face
 * from the slope line, and blade tilt b = asin(sin θ·cos t), θ = π/N. Derived in docs/how-it-computes.md, “Staves”.
 */
export function compoundAngles(count: number, lean: number): { mitre: Rad; bladeTilt: Rad } {
  const theta = Math.PI / count;
  const t = Math.abs(lean);
  return {
    mitre: rad(Math.atan(Math.tan(theta) * Math.sin(t))),
    bladeTilt: rad(Math.asin(Math.sin(theta) * Math.cos(t))),
  };
}

/** Staves round the axis, grain upright, straight or leaning. */
export const staved: Making<StavedParams> = {
  way: 'staved',
  starts: {
    staved: {
      name: 'Staves',
      says: 'grain upright, like a bucket: tall bands, and feature rings with a figured face',
      bond: 'as-it-was',
      begin: ({ segments }) => ({ way: 'staved', count: segments, leanDeg: 0 }),
    },
  },
  params,
  solid: false,
  groups: ({ count }) => [{ name: 'Stave', count }],
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count }),
  pitch: ({ count }) => pitchOfCount(count),
  make(given, need) {
    const { count, leanDeg } = given;
    const { heightMm } = need;
    const t = fromDegrees(leanDeg);
    const lean = Math.tan(t);
    const held = need.leaning?.(lean) ?? need;
    const narrow = withoutWidth(held.outerRadiusMm, held.innerRadiusMm);
    if (narrow) return narrow;
    const half = Math.PI / count;
    const wedges = Array.from({ length: count }, (_, i) => radialWedge((2 * i + 1) * half, half));
    const inner = mostInner(wedges.slice(0, 1), held.innerRadiusMm, heightMm, lean);
    const spread = (Math.abs(lean) * heightMm) / 2;
    if (inner === null || (lean !== 0 && inner <= spread))
      return refuse(
        'lean-too-steep',
        'leanDeg',
        say`Leaning by ${sayRad(t)} over ${sayMm(heightMm)}, the staves would meet in the middle at their narrow end: the hole at half height is ${sayMm(2 * held.innerRadiusMm)}, and more than ${sayMm(2 * spread)} is needed. Lean them less or make the ring lower.`,
        { most: degrees(rad(Math.atan((2 * (inner ?? held.innerRadiusMm * Math.cos(half))) / heightMm))) },
      );
    const faces = { outerRadiusMm: held.outerRadiusMm, innerRadiusMm: inner, lean };
    const { gives, cornerMm } = bandOf(wedges.slice(0, 1), faces, heightMm);
    const { mitre, bladeTilt } = compoundAngles(count, t);
    const edgeAt = (dz: number) => mm(2 * (faces.outerRadiusMm + dz) * Math.tan(half));
    const stock: PanelStock = {
      from: 'panel',
      shape: 'stave',
      lengthMm: mm(heightMm / Math.cos(t)),
      widthMm: edgeAt(spread),
      narrowMm: edgeAt(-spread),
      thicknessMm: mm((faces.outerRadiusMm - inner) * Math.cos(t)),
      mitre,
      bladeTilt,
    };
    return done(
      assemble({
        heightMm,
        gives: asAsked(gives, held),
        lean,
        cornerMm,
        repeats: count,
        groups: staved.groups(given),
        kinds: [
          {
            name: 'Stave',
            grain: 'upright',
            heightMm,
            stock,
            places: Array.from({ length: count }, (_, place) => place),
          },
        ],
        lay(place) {
          const at = (dz: number) => wedgeOutline(wedges[place]!, faces, dz);
          const bottom = at(-heightMm / 2);
          return { place, bottom, top: lean === 0 ? bottom : at(heightMm / 2) };
        },
        figures: [
          { key: 'blade-tilt', value: bladeTilt, unit: 'rad' },
          { key: 'taper-from-the-grain', value: mitre, unit: 'rad' },
          { key: 'angle-between-faces', value: Math.PI - 2 * bladeTilt, unit: 'rad' },
        ],
        steps: () => [
          step(
            'staves',
            'planer',
            say`Plane boards to ${sayMm(stock.thicknessMm, 'thickness')} and cut ${sayMade(count)} staves ${sayMm(stock.lengthMm, 'length')} long with the grain upright, ${sayMm(stock.widthMm, 'width')} wide.`,
            ['trapped-offcut', 'dust'],
          ),
          step(
            'bevel',
            'saw',
            lean === 0
              ? say`Tilt the blade to ${sayRad(bladeTilt, 'blade-tilt')} and bevel both edges.`
              : say`Taper each edge by ${sayRad(mitre, 'cut-angle')} from the grain, from ${sayMm(stock.widthMm)} to ${sayMm(stock.narrowMm!)}, with the blade tilted to ${sayRad(bladeTilt, 'blade-tilt')}.`,
            ['tapers', 'dust'],
          ),
          step(
            'glue',
            'clamps',
            'Tape them side by side, outside up, roll them up, check the last joint, then glue.',
          ),
          step(
            'flatten',
            'sander',
            'Flatten top and bottom square to the axis. Upright grain does not move along its length as flat rings do across theirs: keep the glued width small.',
            ['dust'],
          ),
        ],
      }),
    );
  },
  instead: (given) => (given.leanDeg === 0 ? null : { ...given, leanDeg: Math.trunc(given.leanDeg / 2) }),
};
