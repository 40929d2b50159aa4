import { done, type Result } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import type { RingNeed } from '../../ring/need.js';
import { assemble } from '../assemble.js';
import type { Made, PlaceGroup } from '../contract.js';
import { common, frameOf } from '../joints/frame.js';
import { arranging, joining } from '../joints/frameSteps.js';
import { otherGroups } from '../joints/framing.js';
import { placesOfSegments } from '../sources/contract.js';
import { sourceOf } from '../sources/registry.js';
import { LYING, stanceOf } from '../staves/staves.js';
import { ofStaves } from '../staves/steps.js';
import { standing } from '../staves/stock.js';
import { type Step, step } from '../step.js';
import { gluedUp, openBook, sawnWith, slicedSteps, slicingFigures } from './after.js';
import { marksOf } from './order.js';
import type { SegmentedParams } from './params.js';
import { STACK_WOVEN, WEAVING, wovenPicture } from './weaving.js';

/** What can be given a wood: the pieces of the segments sort by sort, then what lies between them, and the plug. */
export function groupsOf(given: SegmentedParams): PlaceGroup[] {
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
}

/** Sizes segments and joints, saws the segments from what they are sawn from, and puts the ring together. */
export function makeSegmented(given: SegmentedParams, need: RingNeed): Result<Made> {
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
    return [...steps, ...joining(frame), ...(given.woven ? [STACK_WOVEN] : [])];
  };
  return done(
    assemble({
      heightMm: need.heightMm,
      gives: frame.gives,
      cornerMm: frame.cornerMm,
      closed: frame.closed,
      radial: frame.radial && sawn.radial && given.plug === undefined,
      repeats: common(frame.repeats, source.repeats(of, count)),
      groups: groupsOf(given),
      kinds: kinds.map((kind) => sawnWith(glued, kind)),
      lean: frame.faces.lean,
      together: sawn.together,
      hidesGlue: sawn.hidesGlue,
      reads: given.woven ? WEAVING : sawn.reads,
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
      // The weave is drawn of segments of one wood; what has several has pictures of its own.
      ...(sawn.pictures
        ? { pictures: () => (given.staves ? sawn.pictures!().map(ofStaves) : sawn.pictures!()) }
        : given.woven && { pictures: () => [wovenPicture(given, frame)] }),
    }),
  );
}

/** Keeping the segments in the order in which they come off the strip. */
const numbering = (sawn: number, count: number, run: boolean): Step =>
  step(
    'number',
    'bench',
    say`Number the pieces 1 to ${sawn} as they come off, and glue them in that order.${run ? say` Segment ${count} meets segment 1: at that one joint the figure does not run on.` : ''}`,
  );
