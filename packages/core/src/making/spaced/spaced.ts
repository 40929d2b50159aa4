import { mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import type { Figure } from '../figures.js';
import { closes, ovalOf, shiftsOf } from '../joints/closing.js';
import { jointed } from '../joints/jointed.js';
import { repeatsOf, spacerKinds } from '../joints/kinds.js';
import { layJointed } from '../joints/lay.js';
import { nearestSpacers } from '../joints/nearest.js';
import { largestShift, pushed } from '../joints/ring.js';
import {
  lastLayer,
  layerSizes,
  mirroredSpacers,
  placesOfLayer,
  spacerGroups,
  spacersFor,
  thicknessesOf,
  withLayers,
} from '../joints/spacers.js';
import { FIT_WITH_SPACERS, GLUE_SPACERS, planeSpacers } from '../joints/steps.js';
import { heldIn } from '../joints/strips.js';
import { thickerFrame } from '../joints/thicker.js';
import { doesNotClose, OVAL_NOTICED, ovalWarning, thickWarning } from '../joints/told.js';
import { plugGroup, plugKind, plugSteps } from '../plug.js';
import { pitchOfCount, planeAndRip, segmentStock, setTheSaw } from '../segments.js';
import { asAsked, type Faces, type Wedge } from '../wedge.js';
import { type SpacedParams, spacedParams } from './params.js';

/** Equal segments with thin parallel spacers between them, at every joint or at some. */
export const spaced: Making<SpacedParams> = {
  way: 'spaced',
  name: 'Spaced segments',
  says: 'thin parallel spacers between segments: lines up the piece, or room round a feature',
  params: spacedParams,
  solid: false,
  bond: 'as-it-was',
  begin: ({ segments }) => ({
    way: 'spaced',
    count: segments,
    spacers: { at: 'every', thicknessMm: mm(3) },
  }),
  groups: (given) => [
    { name: 'Segment', count: given.count },
    ...spacerGroups(given.count, given.spacers),
    ...plugGroup(given.plug),
  ],
  segments: ({ count }) => count,
  withSegments: (given, count) => ({ ...given, count, spacers: spacersFor(given.spacers, count) }),
  pitch: ({ count }) => pitchOfCount(count),
  thicker: thickerFrame,
  mirror: (given) => ({ ...given, spacers: mirroredSpacers(given.spacers, given.count) }),
  rows: {
    called: () => 'Layers of a spacer, counter-clockwise',
    sizes: ({ spacers }) => layerSizes(spacers),
    withSizes: (given, sizes) => ({ ...given, spacers: withLayers(given.spacers, sizes) }),
    places: (given, row) => placesOfLayer(given.count, spacerGroups(given.count, given.spacers), row),
    upward: () => false,
    left: ({ spacers }) => lastLayer(spacers),
  },
  stripWidth({ plug, ...given }, need) {
    const thicknesses = thicknessesOf(given);
    if (plug || !closes(thicknesses)) return null;
    const sized = jointed({ thicknesses, filled: true, layers: given.spacers.layers }, need);
    return sized.ok ? sized.value.faces.outerRadiusMm - sized.value.faces.innerRadiusMm : null;
  },
  make(given, need) {
    const thicknesses = thicknessesOf(given);
    if (!closes(thicknesses)) return doesNotClose(thicknesses);
    const { count, plug } = given;
    const { layers } = given.spacers;
    const { outerRadiusMm, heightMm } = need;
    const innerRadiusMm = plug ? mm(plug.diameterMm / 2) : need.innerRadiusMm;
    const sized = jointed({ thicknesses, filled: true, layers }, { ...need, innerRadiusMm });
    if (!sized.ok) return sized;
    const { wedges, faces, strips, gives, cornerMm } = sized.value;
    const half = Math.PI / count;
    const segment = segmentStock(faces, half, heightMm);
    const oval = ovalOf(thicknesses);
    return done(
      assemble({
        heightMm,
        gives: asAsked(plug ? { ...gives, innerRadiusMm: 0 } : gives, need),
        cornerMm,
        radial: false,
        repeats: repeatsOf(heldIn(thicknesses, layers)),
        groups: spaced.groups(given),
        kinds: [
          {
            name: 'Segment',
            grain: 'along',
            heightMm,
            stock: segment,
            places: Array.from({ length: count }, (_, place) => place),
          },
          ...spacerKinds(sized.value, count),
          ...plugKind(plug, heightMm, count + strips.length),
        ],
        lay: layJointed(sized.value, plug, need),
        figures: [
          { key: 'pushed-out-by', value: largestShift(wedges), unit: 'mm' },
          ...ovalFigures(wedges, faces, oval),
        ],
        warnings: [...thickWarning(thicknesses, outerRadiusMm, half), ...ovalWarning(oval)],
        steps: (planing) => [
          planeAndRip(segment, planing),
          setTheSaw(segment, count),
          planeSpacers(sized.value),
          FIT_WITH_SPACERS,
          GLUE_SPACERS,
          ...plugSteps(plug),
        ],
      }),
    );
  },
  instead(given, need) {
    const thicknesses = thicknessesOf(given);
    if (!closes(thicknesses)) {
      const near = nearestSpacers(given.count, given.spacers);
      return near && { ...given, spacers: near };
    }
    const wedges = pushed(shiftsOf(thicknesses));
    const least = largestShift(wedges);
    const innerRadiusMm = given.plug ? given.plug.diameterMm / 2 : need.innerRadiusMm;
    if (innerRadiusMm >= least || least > need.outerRadiusMm / 2) return null;
    const diameterMm = mm(Math.ceil(2 * least + PLUG_TO_SPARE));
    return { ...given, plug: { diameterMm, drillMm: diameterMm } };
  },
};

/** How oval it is, and its radii across the flats the short and the long way before turning. */
function ovalFigures(wedges: readonly Wedge[], faces: Faces, oval: number): Figure[] {
  const flats = wedges.map(
    ({ middle, shift }) => faces.outerRadiusMm + shift.x * Math.cos(middle) + shift.y * Math.sin(middle),
  );
  return [
    { key: 'oval-before-turning', value: oval, unit: 'mm' },
    ...(oval > OVAL_NOTICED
      ? ([
          { key: 'outer-radius-the-short-way', value: Math.min(...flats), unit: 'mm' },
          { key: 'outer-radius-the-long-way', value: Math.max(...flats), unit: 'mm' },
        ] as const)
      : []),
  ];
}

/** A plug that is proposed covers the hole by this much in all (mm). */
const PLUG_TO_SPARE = 4;
