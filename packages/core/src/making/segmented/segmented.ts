import { rad } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making, PlaceGroup } from '../contract.js';
import { mirroredParts, withCount } from '../flat/parts.js';
import { anglesOf } from '../flat/ring.js';
import { inHalvesFor, LEAST_OF_A_HALF, mirroredHalves } from '../halves/params.js';
import { betweenFor, gapIn, mirroredBetween, thickerBetween } from '../joints/between.js';
import { common, frameOf } from '../joints/frame.js';
import { arranging, joining } from '../joints/frameSteps.js';
import { otherGroups } from '../joints/framing.js';
import { jointRun, UPRIGHT_RUN } from '../joints/stripe.js';
import { placesOfSegments } from '../sources/contract.js';
import { sourceOf } from '../sources/registry.js';
import { LYING, stanceOf } from '../staves/staves.js';
import { ofStaves } from '../staves/steps.js';
import { standing } from '../staves/stock.js';
import { type Step, step } from '../step.js';
import { gluedUp, openBook, sawnWith, slicedSteps, slicingFigures } from './after.js';
import { boardsOf } from './boards.js';
import { calledOf, startOfSegmented } from './called.js';
import { nearestMade } from './nearest.js';
import { marksOf, pairsOfBook } from './order.js';
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
  groups(given): PlaceGroup[] {
    const { source, of } = sourceOf(given.sawnFrom);
    const { called } = stanceOf(given.staves);
    const sawn = source.groups(of).filter(({ each }) => each > 0);
    return [
      ...sawn.map(({ name, each }) => ({
        name: name === LYING.called ? called : name,
        count: each * given.count,
      })),
      ...otherGroups(given),
    ];
  },
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
  strict: ({ sawnFrom }) => sourceOf(sawnFrom).source.strict === true,
  tones(given) {
    const { source, of } = sourceOf(given.sawnFrom);
    const sawn = source.tones?.(of, given.count);
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
  make(given, need) {
    const { count, inOrder, after } = given;
    const { source, of } = sourceOf(given.sawnFrom);
    const glued = gluedUp(after, need);
    const opened = after?.done === 'opened' ? after : undefined;
    const framed = frameOf(given, glued.need, glued.within);
    if (!framed.ok) return framed;
    const frame = framed.value;
    const sawing = source.saw(of, frame, given);
    if (!sawing.ok) return sawing;
    const sawn = sawing.value;
    const places = placesOfSegments(source.groups(of), count);
    const later = places - count;
    const kinds = [
      ...sawn.kinds.map((kind) => (given.staves ? standing(kind, frame) : kind)),
      ...frame.others.map((kind) => ({ ...kind, places: kind.places.map((place) => place + later) })),
    ];
    const gluing = (planing: Parameters<typeof sawn.steps>[0]): Step[] => {
      const steps = [...sawn.steps(planing), ...arranging(frame)];
      if (inOrder || opened) steps.push(numbering(opened ? count / 2 : count, count, !opened));
      if (opened) steps.push(openBook(opened, count / 2));
      return [...steps, ...joining(frame)];
    };
    return done(
      assemble({
        heightMm: need.heightMm,
        gives: frame.gives,
        cornerMm: frame.cornerMm,
        closed: frame.closed,
        radial: frame.radial && sawn.radial,
        repeats: common(frame.repeats, source.repeats(of, count)),
        groups: segmented.groups(given),
        kinds: kinds.map((kind) => sawnWith(glued, kind)),
        lean: frame.faces.lean,
        together: sawn.together,
        hidesGlue: sawn.hidesGlue,
        reads: sawn.reads,
        layers: sawn.layers,
        figures: [...slicingFigures(after, glued), ...frame.figures, ...(sawn.figures ?? [])],
        warnings: [...frame.warnings, ...(sawn.warnings ?? [])],
        lay(place) {
          if (place < places) return sawn.lay(place);
          const other = frame.layOther(place - later);
          return 'bottom' in other ? { ...other, place } : other.map((part) => ({ ...part, place }));
        },
        mark: marksOf(given, places),
        steps: (planing) =>
          after?.done === 'sliced' ? slicedSteps(after, glued, gluing(planing)) : gluing(planing),
        ...(sawn.pictures && {
          pictures: () => (given.staves ? sawn.pictures!().map(ofStaves) : sawn.pictures!()),
        }),
      }),
    );
  },
  instead: (given, need) => nearestMade(given, need, segmented.make),
};

/** Keeping the segments in the order in which they come off the strip. */
const numbering = (sawn: number, count: number, run: boolean): Step =>
  step(
    'number',
    'bench',
    say`Number the pieces 1 to ${sawn} as they come off, and glue them in that order.${run ? say` Segment ${count} meets segment 1: at that one joint the figure does not run on.` : ''}`,
  );
