import { rad } from '../../measure/quantity.js';
import type { Making } from '../contract.js';
import { mirroredParts, withCount } from '../flat/parts.js';
import { anglesOf } from '../flat/ring.js';
import { inHalvesFor, LEAST_OF_A_HALF, mirroredHalves } from '../halves/params.js';
import { betweenFor, gapIn, mirroredBetween, thickerBetween } from '../joints/between.js';
import { frameOf } from '../joints/frame.js';
import { otherGroups } from '../joints/framing.js';
import { jointRun, UPRIGHT_RUN } from '../joints/stripe.js';
import { placesOfSegments } from '../sources/contract.js';
import { sourceOf } from '../sources/registry.js';
import { gluedUp } from './after.js';
import { boardsOf } from './boards.js';
import { calledOf, startOfSegmented } from './called.js';
import { groupsOf, makeSegmented } from './make.js';
import { nearestMade } from './nearest.js';
import { pairsOfBook } from './order.js';
import { type SegmentedParams, segmentedParams } from './params.js';
import { SEGMENTED_STARTS } from './starts.js';

/** A ring put together from segments, joints, what a segment is sawn from, and what is done with it then. */
export const segmented: Making<SegmentedParams> = {
  way: 'segmented',
  params: segmentedParams,
  starts: SEGMENTED_STARTS,
  nearest: startOfSegmented,
  called: calledOf,
  solid: ({ toCentre }) => toCentre === true,
  groups: groupsOf,
  segments: ({ count }) => count,
  withSegments(given, wanted) {
    const { source, of } = sourceOf(given.sawnFrom);
    const least = given.inHalves ? 2 * LEAST_OF_A_HALF : 0;
    const count = Math.max(least, Math.min(wanted, source.most?.count ?? wanted));
    const { between: _, ...rest } = withCount(given, count);
    const between = given.between && betweenFor(given.between, count);
    return {
      ...rest,
      ...(between && { between }),
      ...(given.inHalves && { inHalves: inHalvesFor(given.inHalves, count) }),
      ...(given.sawnFrom && { sawnFrom: source.withCount?.(of, count) ?? of }),
    };
  },
  pitch: ({ count, parts, inHalves }) =>
    rad(inHalves ? Math.PI / inHalves.first : (2 * Math.PI * (parts?.length ?? 1)) / count),
  thicker(given, times) {
    const between = thickerBetween(given.between, times);
    return between && { ...given, between };
  },
  mirror(given) {
    const { source, of } = sourceOf(given.sawnFrom);
    const { count, lean, between, inHalves } = given;
    return {
      ...mirroredParts(given),
      ...(lean && { lean: { ...lean, hand: lean.hand === 'left' ? ('right' as const) : ('left' as const) } }),
      ...(between && { between: mirroredBetween(between, count) }),
      ...(inHalves && { inHalves: mirroredHalves(inHalves, count) }),
      ...(given.sawnFrom && { sawnFrom: source.mirror?.(of, count) ?? of }),
    };
  },
  body: ({ after }) => (after?.done === 'sliced' ? after.from : null),
  ofBody: (given, from) =>
    given.after?.done === 'sliced' ? { ...given, after: { ...given.after, from } } : given,
  whole({ after: _, ...whole }) {
    return whole;
  },
  usuallySanded: ({ between }) => (gapIn(between) ? 'none' : 'both'),
  runs({ lean, after }, size, radiusMm) {
    if (!lean) return UPRIGHT_RUN;
    const { need, within } = gluedUp(after, size);
    const bottom = within.fromMm - need.heightMm / 2;
    return jointRun(lean, [bottom, bottom + within.heightMm], radiusMm);
  },
  leans: ({ lean }) => lean !== undefined,
  strict: ({ sawnFrom, woven }) => woven === true || sourceOf(sawnFrom).source.strict === true,
  tones(given) {
    const { source, of } = sourceOf(given.sawnFrom);
    const { count, woven } = given;
    const segments = placesOfSegments(source.groups(of), count);
    const sawn =
      source.tones?.(of, count) ?? (woven ? Array.from({ length: segments }, () => 'light' as const) : null);
    if (!sawn) return null;
    const others = otherGroups(given).reduce((sum, { count }) => sum + count, 0);
    return [...sawn, ...Array.from({ length: others }, () => 'dark' as const)];
  },
  oneWood({ sawnFrom, after, count }) {
    const { source, of } = sourceOf(sawnFrom);
    if (after?.done === 'opened') return pairsOfBook(placesOfSegments(source.groups(of), count), count);
    return source.oneWood?.(of, count) ?? [];
  },
  boards: boardsOf,
  stripWidth(given, size) {
    const { parts, plug, between, lean, after, sawnFrom, staves, toCentre, inHalves } = given;
    if (plug || after || sawnFrom || staves || toCentre || inHalves) return null;
    if (!between && !lean)
      return (
        size.outerRadiusMm - size.innerRadiusMm * Math.cos(Math.max(...anglesOf(given.count, parts)) / 2)
      );
    const sized = frameOf(given, size, { fromMm: 0, heightMm: size.heightMm });
    return sized.ok ? sized.value.faces.outerRadiusMm - sized.value.faces.innerRadiusMm : null;
  },
  make: makeSegmented,
  instead: (given, need) => nearestMade(given, need, makeSegmented),
};
