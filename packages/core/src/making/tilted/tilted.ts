import { degrees, fromDegrees, mm, rad } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMm, sayRad } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { circle, drilled, plugGroup, plugKind, plugSteps } from '../plug.js';
import {
  GLUE_LEANING,
  pitchOfCount,
  planeAndRip,
  segmentStock,
  setTheSaw,
  withoutWidth,
} from '../segments.js';
import { step } from '../step.js';
import type { StripStock } from '../stock.js';
import { asAsked, bandOf, mostInner, wedgeOutline } from '../wedge.js';
import { type TiltedParams, tiltedParams } from './params.js';
import { leaning, segmentKinds } from './pieces.js';

/** Joints that lean by the tilt of the blade: a spiral, or a zigzag of leaning joints. */
export const tilted: Making<TiltedParams> = {
  way: 'tilted',
  name: 'Tilted joints',
  says: 'joints lean by the tilt of the blade: stripes that run round the piece as they climb',
  params: tiltedParams,
  solid: false,
  bond: 'as-it-was',
  begin: ({ segments }) => ({
    way: 'tilted',
    count: segments,
    tiltDeg: 15,
    hand: 'right',
    cut: 'two-fences',
  }),
  groups: ({ count, plug }) => [{ name: 'Segment', count }, ...plugGroup(plug)],
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count }),
  pitch: ({ count }) => pitchOfCount(count),
  mirror: (given) => ({ ...given, hand: given.hand === 'left' ? 'right' : 'left' }),
  make(given, need) {
    const { count, plug, cut, hand } = given;
    const { outerRadiusMm, heightMm } = need;
    const innerRadiusMm = plug ? plug.diameterMm / 2 : need.innerRadiusMm;
    const narrow = withoutWidth(outerRadiusMm, innerRadiusMm);
    if (narrow) return narrow;
    const tau = fromDegrees(given.tiltDeg);
    const half = Math.PI / count;
    const delta = (heightMm / 2) * Math.tan(tau);
    const aside = delta / Math.cos(half);
    const edge = 2 * outerRadiusMm * Math.tan(half);
    if (2 * aside >= edge)
      return refuse(
        'tilt-eats-segment',
        'tiltDeg',
        say`A tilt of ${sayRad(tau)} moves each joint by ${sayMm(2 * aside)} from bottom to top; the long edge is only ${sayMm(edge)}. Tilt less, make the ring thinner or take fewer segments.`,
        { most: degrees(rad(Math.atan((edge * Math.cos(half)) / heightMm))) },
      );
    const inner = mostInner(leaning(count, tau, given).slice(0, 2), innerRadiusMm, heightMm);
    if (inner === null)
      return refuse(
        'hole-too-small',
        'innerRadiusMm',
        say`Tilted by ${sayRad(tau)}, the hole cannot be smaller than ${sayMm(2 * aside)} across, and ${sayMm(2 * innerRadiusMm)} is asked for. Put in a plug at least that large.`,
        { least: aside },
      );
    if (cut === 'turned-over' && inner * Math.tan(half) <= aside)
      return refuse(
        'tilt-eats-segment',
        'tiltDeg',
        say`A tilt of ${sayRad(tau)} leaves nothing of the short edge of ${sayMm(2 * inner * Math.tan(half))} on the narrow face of a wedge. Tilt less or take fewer segments.`,
      );
    if (outerRadiusMm - inner <= SAME_LENGTH) return withoutWidth(outerRadiusMm, inner)!;
    const wedges = leaning(count, tau, given);
    const faces = { outerRadiusMm, innerRadiusMm: inner, lean: 0 };
    const { gives, cornerMm } = bandOf(wedges.slice(0, 2), faces, heightMm);
    const stock: StripStock = {
      ...segmentStock(faces, half, heightMm),
      bladeTilt: rad(tau),
      cutting: cut,
      ...(cut !== 'turned-over' && { hand }),
    };
    return done(
      assemble({
        heightMm,
        gives: asAsked(plug ? { ...gives, innerRadiusMm: 0 } : gives, need),
        cornerMm,
        radial: false,
        repeats: cut === 'turned-over' ? count / 2 : count,
        groups: tilted.groups(given),
        kinds: [...segmentKinds(stock, count, heightMm), ...plugKind(plug, heightMm, count)],
        lay(place) {
          if (place === count) {
            const outline = circle(innerRadiusMm);
            return { place, bottom: outline, top: outline };
          }
          const at = (dz: number) => {
            const outline = wedgeOutline(wedges[place]!, faces, dz);
            return plug ? drilled(outline, innerRadiusMm, Math.PI / 2) : outline;
          };
          return { place, bottom: at(-heightMm / 2), top: at(heightMm / 2) };
        },
        figures: [
          { key: 'joints-move-bottom-to-top', value: 2 * aside, unit: 'mm' },
          { key: 'turn-of-a-joint-outside', value: 2 * Math.asin(delta / outerRadiusMm), unit: 'rad' },
        ],
        steps: (planing) => [
          planeAndRip(stock, planing),
          setTheSaw(stock, cut === 'two-fences' ? 2 * count : count, HOW[cut], ['tilted-blade']),
          step(
            'sort',
            'bench',
            cut === 'two-fences'
              ? say`Sort the pieces by hand: ${count} lean ${hand} and make this ring, ${count} lean the other way and make its mirror image.`
              : cut === 'same-edge'
                ? say`All ${count} pieces lean ${hand}.`
                : 'Lay them alternately upside down: wide face up, wide face down.',
          ),
          GLUE_LEANING,
          ...plugSteps(plug),
        ],
      }),
    );
  },
  instead(given, { outerRadiusMm, innerRadiusMm, heightMm }) {
    const half = Math.PI / given.count;
    const bored = given.plug ? given.plug.diameterMm / 2 : innerRadiusMm;
    const most = Math.min(
      outerRadiusMm * Math.sin(half),
      given.cut === 'turned-over' ? bored * Math.sin(half) * 0.5 : Infinity,
    );
    const delta = (heightMm / 2) * Math.tan(fromDegrees(given.tiltDeg));
    if (delta >= most * 0.9) {
      const tiltDeg = Math.floor((Math.atan(most / heightMm) * 180) / Math.PI);
      return tiltDeg >= 1 && tiltDeg < given.tiltDeg ? { ...given, tiltDeg } : null;
    }
    const least = delta / Math.cos(half);
    if (bored >= least) return null;
    const diameterMm = mm(Math.ceil(2 * least + 4));
    return { ...given, plug: { diameterMm, drillMm: diameterMm } };
  },
};

const HOW: Record<TiltedParams['cut'], string> = {
  'two-fences': 'between two fences, never turning the strip over',
  'same-edge': 'the same edge out every time',
  'turned-over': 'turning the strip over between cuts',
};
