import type { SegmentedParams } from '../making/segmented/params.js';

type Old = Readonly<Record<string, unknown>> & { readonly way: string };
type Answers = { readonly [K in keyof SegmentedParams]?: unknown } & { readonly way?: 'disc' };

/** Spacers of one thickness at every joint, as faces had them before; none where they were 0 thick. */
const everyJoint = ({ spacerMm }: Old): Answers =>
  Number(spacerMm) > 0
    ? { between: { put: 'spacers', spacers: { at: 'every', thicknessMm: spacerMm } } }
    : {};

const spacers = (given: Old): Answers =>
  given.spacers === undefined ? {} : { between: { put: 'spacers', spacers: given.spacers } };

/** What segments were sawn from: the fields of a way that was about nothing else. */
const from =
  (is: string) =>
  ({ way: _way, count: _count, spacerMm: _spacer, ...fields }: Old): Answers => ({
    sawnFrom: { is, ...fields },
  });

/** The ways of before version 14 that are put together from answers, of segments where nothing is said, by those that they had. */
const ANSWERS: Readonly<Record<string, (given: Old) => Answers>> = {
  flat: ({ parts }) => ({ parts }),
  spaced: (given) => ({ ...spacers(given), plug: given.plug }),
  open: ({ gap }) => ({ between: { put: 'gaps', gap } }),
  tilted: ({ tiltDeg, hand, cut, between, plug }) => ({ lean: { tiltDeg, hand, cut }, between, plug }),
  resawn: (given) => {
    const { parts, from, kerfMm, cleanUpMm } = given;
    return { parts, ...spacers(given), after: { done: 'sliced', from, kerfMm, cleanUpMm } };
  },
  grain: ({ match }) => {
    const { by, ...lost } = match as Readonly<Record<string, unknown>>;
    return by === 'run' ? { inOrder: true } : { after: { done: 'opened', ...lost } };
  },
  layered: (given) => ({ ...spacers(given), sawnFrom: { is: 'layers', ...(given.board as object) } }),
  laminated: from('laminated'),
  inlaid: (given) => ({ ...everyJoint(given), ...from('plugs')(given) }),
  lettered: (given) => ({ ...everyJoint(given), ...from('letters')(given) }),
  illusion: from('illusion'),
  staved: ({ leanDeg }) => ({ staves: { leanDeg } }),
  halves: ({ halves, divider }) => {
    const [a, b] = halves as readonly Readonly<Record<string, unknown>>[];
    return {
      count: Number(a?.count) + Number(b?.count),
      inHalves: { first: a?.count, spacersMm: [a?.spacerMm, b?.spacerMm], divider },
    };
  },
  pie: ({ plug }) => ({ toCentre: true, plug }),
  basket: ({ waferMm, leanDeg, hand }) => ({
    lean: { tiltDeg: leanDeg, hand, cut: 'same-edge' },
    between: { put: 'spacers', spacers: { at: 'every', thicknessMm: waferMm } },
    woven: true,
  }),
  medallion: ({ floor, borderMm }) => {
    const { figure, ...rest } = floor as Readonly<Record<string, unknown>>;
    return { way: 'disc', sawnFrom: { is: figure, ...rest, ...(figure === 'star' && { borderMm }) } };
  },
  twisted: ({ stripsMm, longestMm, from, boardMm, kerfMm, cleanUpMm, pinMm }) => ({
    way: 'disc',
    sawnFrom: { is: 'strips', stripsMm, ...(longestMm !== undefined && { longestMm }) },
    after: {
      done: 'sliced',
      from,
      boardMm,
      kerfMm,
      cleanUpMm,
      ...(pinMm !== undefined && { pinMm }),
    },
  }),
};

const isOld = (kept: object): kept is Old =>
  'way' in kept &&
  String(kept.way) in ANSWERS &&
  ('count' in kept ||
    'stripsMm' in kept ||
    ('halves' in kept && Array.isArray(kept.halves)) ||
    ('floor' in kept && typeof kept.floor === 'object' && kept.floor !== null));

/** A ring of before version 14 as it is put together from four answers; the same pieces at the same places. */
function answered(old: Old): Readonly<Record<string, unknown>> {
  const answers = { way: 'segmented', count: old.count, ...ANSWERS[old.way]!(old) };
  return Object.fromEntries(Object.entries(answers).filter(([, value]) => value !== undefined));
}

/** What an older Fellside kept, a document, a ring of the stash or steps to undo, with its rings put together from four answers. */
export function fourAnswers(kept: unknown): unknown {
  if (Array.isArray(kept)) return kept.map(fourAnswers);
  if (typeof kept !== 'object' || kept === null) return kept;
  if (isOld(kept)) return answered(kept);
  return Object.fromEntries(Object.entries(kept).map(([key, value]) => [key, fourAnswers(value)]));
}

/**
 * Whether a step to undo, or any of several, leads into a ring's parameters, or to one of them: where they have another shape
 * now, such a step no longer fits. Steps that put a ring's parameters whole do.
 */
export function leadsIntoRings(steps: unknown, parameter?: string): boolean {
  if (typeof steps !== 'object' || steps === null) return false;
  if ('path' in steps && Array.isArray(steps.path)) {
    const at = steps.path.indexOf('making');
    const into: unknown = steps.path[at + 1];
    if (steps.path.includes('rings') && at >= 0 && into !== undefined)
      if (parameter === undefined || into === parameter) return true;
  }
  return Object.values(steps).some((each) => leadsIntoRings(each, parameter));
}
