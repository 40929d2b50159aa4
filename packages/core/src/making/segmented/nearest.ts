import { mm } from '../../measure/quantity.js';
import type { Result } from '../../measure/reason.js';
import type { RingNeed } from '../../ring/need.js';
import type { Made } from '../contract.js';
import { closingBetween } from '../joints/between.js';
import { frameOf } from '../joints/frame.js';
import { sourceOf } from '../sources/registry.js';
import { gluedUp } from './after.js';
import { againstEachOther } from './goes.js';
import type { SegmentedParams } from './params.js';

type Make = (given: SegmentedParams, need: RingNeed) => Result<Made>;

/** The nearest that can be made where this cannot: what is tried follows from why not; null where nothing of it helps. */
export function nearestMade(given: SegmentedParams, need: RingNeed, make: Make): SegmentedParams | null {
  const made = make(given, need);
  if (made.ok) return null;
  const [reason] = made.reasons;
  const limit = (name: string) => Number(reason?.limits?.[name] ?? 0);
  const can = (tried: SegmentedParams) => againstEachOther(tried) === null && make(tried, need).ok;
  for (const tried of proposals(given, need, reason?.code ?? '', limit)) if (can(tried)) return tried;
  return null;
}

function* proposals(
  given: SegmentedParams,
  need: RingNeed,
  code: string,
  limit: (name: string) => number,
): Generator<SegmentedParams> {
  const { lean, between, count } = given;
  if (code === 'does-not-close') {
    const closing = closingBetween(count, between);
    if (closing) yield { ...given, between: closing };
  }
  if (code === 'hole-too-small' && limit('least') < need.outerRadiusMm / 2) {
    const diameterMm = mm(Math.ceil(2 * limit('least') + PLUG_TO_SPARE));
    yield { ...given, plug: { diameterMm, drillMm: diameterMm } };
  }
  if (code === 'plug-too-large' && given.plug && !given.sawnFrom) {
    const diameterMm = mm(need.outerRadiusMm / 2);
    yield { ...given, plug: { diameterMm, drillMm: mm(Math.min(given.plug.drillMm, diameterMm)) } };
  }
  if (code === 'lean-too-steep' && given.staves)
    for (let leanDeg = Math.trunc(given.staves.leanDeg / 2); leanDeg !== 0; leanDeg = Math.trunc(leanDeg / 2))
      yield { ...given, staves: { leanDeg } };
  if (code === 'tilt-eats-segment' && lean)
    for (let tiltDeg = Math.floor(limit('most')); tiltDeg >= 1; tiltDeg = Math.floor(tiltDeg * 0.8))
      yield { ...given, lean: { ...lean, tiltDeg } };
  if (code === 'gap-no-contact' && between?.put === 'gaps')
    yield {
      ...given,
      between: {
        put: 'gaps',
        gap:
          between.gap.sides === 'tapered'
            ? { sides: 'tapered', share: 0.25 }
            : { sides: 'parallel', widthMm: mm(limit('most') / 3) },
      },
    };
  const { source, of } = sourceOf(given.sawnFrom);
  const glued = gluedUp(given.after, need);
  const frame = source.instead ? frameOf(given, glued.need, glued.within) : null;
  const sawnFrom = frame?.ok ? source.instead!(of, frame.value) : null;
  if (sawnFrom) yield { ...given, sawnFrom };
}

/** A plug that is proposed covers the hole by this much in all (mm). */
const PLUG_TO_SPARE = 4;
