import { fromDegrees, mm } from '../../measure/quantity.js';
import { done, refuse } from '../../measure/reason.js';
import { say, sayMm, sayRad } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { holdFigures } from '../joints/hold.js';
import { levelThickness } from '../joints/jointed.js';
import { repeatsOf, spacerKinds } from '../joints/kinds.js';
import { layJointed } from '../joints/lay.js';
import { largestShift } from '../joints/ring.js';
import { lastLayer, layerSizes, placesOfLayer, spacerGroups, withLayers } from '../joints/spacers.js';
import { FIT_WITH_SPACERS, glueOpen, planeSpacers } from '../joints/steps.js';
import { heldIn } from '../joints/strips.js';
import { thickerSpacers } from '../joints/thicker.js';
import { plugGroup, plugKind, plugSteps } from '../plug.js';
import { GLUE_LEANING, pitchOfCount, planeAndRip, segmentStock, setTheSaw } from '../segments.js';
import { step } from '../step.js';
import type { StripStock } from '../stock.js';
import { asAsked } from '../wedge.js';
import { betweenFor, mirroredBetween, nearestClosing, sizedRing, spacersOf, warningsOf } from './between.js';
import { type TiltedParams, tiltedParams } from './params.js';
import { segmentKinds } from './pieces.js';
import { jointRuns } from './stripe.js';

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
  groups: (given) => [
    { name: 'Segment', count: given.count },
    ...(given.between?.put === 'spacers' ? spacerGroups(given.count, given.between.spacers) : []),
    ...plugGroup(given.plug),
  ],
  segments: ({ count }) => count,
  withSegments: (given, count) => ({
    ...given,
    count,
    ...(given.between && { between: betweenFor(given.between, count) }),
  }),
  pitch: ({ count }) => pitchOfCount(count),
  thicker: ({ between, ...given }, times) =>
    between?.put === 'spacers'
      ? { ...given, between: { ...between, spacers: thickerSpacers(between.spacers, times) } }
      : null,
  mirror: (given) => ({
    ...given,
    hand: given.hand === 'left' ? 'right' : 'left',
    ...(given.between && { between: mirroredBetween(given.between, given.count) }),
  }),
  rows: {
    called: () => 'Layers of a spacer, counter-clockwise',
    sizes: ({ between }) => (between?.put === 'spacers' ? layerSizes(between.spacers) : []),
    withSizes: (given, sizes) =>
      given.between?.put === 'spacers'
        ? { ...given, between: { ...given.between, spacers: withLayers(given.between.spacers, sizes) } }
        : given,
    places: (given, row) => placesOfLayer(given.count, tilted.groups(given).slice(1), row),
    upward: () => false,
    left: ({ between }) => (between?.put === 'spacers' ? lastLayer(between.spacers) : null),
  },
  stripWidth(given, need) {
    if (given.plug) return null;
    const sized = sizedRing(given, need);
    return sized.ok ? sized.value.faces.outerRadiusMm - sized.value.faces.innerRadiusMm : null;
  },
  usuallySanded: ({ between }) => (between?.put === 'gaps' ? 'none' : 'both'),
  runs: jointRuns,
  make(given, need) {
    const { count, plug, cut, hand, between } = given;
    const { outerRadiusMm, heightMm } = need;
    const innerRadiusMm = plug ? mm(plug.diameterMm / 2) : need.innerRadiusMm;
    const sized = sizedRing(given, { ...need, innerRadiusMm });
    if (!sized.ok) return sized;
    const { wedges, faces, strips, gives, cornerMm } = sized.value;
    const layers = between?.put === 'spacers' ? between.spacers.layers : undefined;
    const tau = fromDegrees(given.tiltDeg);
    const { half } = wedges[0]!;
    const delta = (heightMm / 2) * Math.tan(tau);
    const aside = delta / Math.cos(half);
    const short = 2 * faces.innerRadiusMm * Math.tan(half);
    if (cut === 'turned-over' && short <= 2 * aside)
      return refuse(
        'tilt-eats-segment',
        'tiltDeg',
        say`A tilt of ${sayRad(tau)} leaves nothing of the short edge of ${sayMm(short)} on the narrow face of a wedge. Tilt less or take fewer segments.`,
      );
    const thicknesses = spacersOf(given);
    const stock: StripStock = {
      ...segmentStock(faces, half, heightMm),
      bladeTilt: tau,
      cutting: cut,
      ...(cut !== 'turned-over' && { hand }),
    };
    return done(
      assemble({
        heightMm,
        gives: asAsked(plug ? { ...gives, innerRadiusMm: 0 } : gives, need),
        cornerMm,
        closed: between?.put !== 'gaps',
        radial: false,
        repeats: repeatsOf(heldIn(thicknesses, layers), cut === 'turned-over' ? 2 : 1),
        groups: tilted.groups(given),
        kinds: [
          ...segmentKinds(stock, count, heightMm),
          ...spacerKinds(sized.value, count),
          ...plugKind(plug, heightMm, count + strips.length),
        ],
        lay: layJointed(sized.value, plug, need),
        figures: [
          { key: 'joints-move-bottom-to-top', value: 2 * aside, unit: 'mm' },
          { key: 'turn-of-a-joint-outside', value: 2 * Math.asin(delta / outerRadiusMm), unit: 'rad' },
          ...(between?.put === 'gaps' ? holdFigures(between.gap, count, need) : []),
          ...(strips.length > 0
            ? ([
                { key: 'pushed-out-by', value: largestShift(wedges), unit: 'mm' },
                { key: 'spacer-level', value: levelThickness(Math.max(...thicknesses), tau), unit: 'mm' },
              ] as const)
            : []),
        ],
        warnings: warningsOf(given, need),
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
          ...(strips.length > 0 ? [planeSpacers(sized.value, tau), FIT_WITH_SPACERS] : []),
          ...(between?.put === 'gaps' ? glueOpen(count) : [GLUE_LEANING]),
          ...plugSteps(plug),
        ],
      }),
    );
  },
  instead(given, { outerRadiusMm, innerRadiusMm, heightMm }) {
    const closing = nearestClosing(given);
    if (closing) return closing;
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
