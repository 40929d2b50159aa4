import { done, type Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import { anglesOf, flatRing } from '../flat/ring.js';
import { halved } from '../halves/halved.js';
import { segmentStock } from '../segments.js';
import { stanceOf } from '../staves/staves.js';
import type { StripStock } from '../stock.js';
import { gapIn, jointingOf } from './between.js';
import { closes } from './closing.js';
import type { Framing } from './framing.js';
import { noHold } from './hold.js';
import { jointed } from './jointed.js';
import { repeatsOf, spacerKinds } from './kinds.js';
import { leanOf } from './lean.js';
import type { Shaped } from './sized.js';
import { heldIn } from './strips.js';
import { doesNotClose, tooNarrowInTurn } from './told.js';

/** Segments, joints and faces for the band Ri..Ro; refuses what does not close, holds nothing, or leaves no wood. */
export function shaped(framing: Framing, need: RingNeed): Result<Shaped> {
  const { count, parts, lean, between, staves, inHalves } = framing;
  if (inHalves) return halved(framing, inHalves, need);
  const stance = stanceOf(staves);
  if (!lean && !between) {
    const sized = flatRing(count, anglesOf(count, parts), need, stance);
    if (!sized.ok) return sized;
    const { kinds, ...ring } = sized.value;
    const facesOf = () => ring.faces;
    return done({ ...ring, facesOf, segments: kinds, jointed: null, inJoints: null, radial: true });
  }
  const jointing = jointingOf(count, between, lean && leanOf(lean), stance.slope);
  const gap = gapIn(between);
  const loose =
    gap && noHold(gap, count, need.outerRadiusMm, between?.put === 'gaps' ? 'between.gap' : 'between');
  if (loose) return loose;
  if (!closes(jointing.thicknesses)) return doesNotClose(jointing);
  const sized = jointed(jointing, need);
  if (!sized.ok) return sized;
  const { wedges, faces, gives, cornerMm, strips, stripOutline } = sized.value;
  const narrow = lean && tooNarrowInTurn(lean, wedges[0]!.half, faces, need.heightMm);
  if (narrow) return narrow;
  const stock: StripStock = {
    ...segmentStock(faces, wedges[0]!.half, need.heightMm),
    ...(lean && {
      bladeTilt: leanOf(lean).tau,
      cutting: lean.cut,
      ...(lean.cut !== 'turned-over' && { hand: lean.hand }),
    }),
  };
  const name = !lean
    ? stance.called
    : stock.hand
      ? `Segment leaning ${stock.hand}`
      : 'Wedge, alternately upside down';
  const places = Array.from({ length: count }, (_, place) => place);
  return done({
    faces,
    gives,
    cornerMm,
    segments: [{ name, grain: 'along', heightMm: need.heightMm, stock, places }],
    jointed: sized.value,
    inJoints:
      strips.length === 0
        ? null
        : { kinds: spacerKinds(sized.value, count), number: strips.length, outline: stripOutline },
    repeats: repeatsOf(heldIn(jointing)),
    radial: lean === undefined && strips.length === 0 && gap?.sides !== 'parallel',
    wedge: (segment) => wedges[segment]!,
    facesOf: () => faces,
  });
}
