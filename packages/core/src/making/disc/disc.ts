import { mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { assemble } from '../assemble.js';
import type { BoardRows, Making, Start } from '../contract.js';
import { sawnWith, slicedSteps, slicingFigures } from '../segmented/after.js';
import { pinned, thickDisc } from './apart.js';
import { apartWarnings } from './apartTold.js';
import type { DiscCalled } from './contract.js';
import { type DiscParams, discParams } from './params.js';
import { type DiscSawnFrom, discSourceBegun, discSourceOf } from './sources.js';

/** Starting points of discs. */
export const DISC_STARTS = {
  disc: {
    name: 'Solid disc',
    says: 'one piece, sawn round: bottoms and feet',
    bond: 'as-it-was',
    begin: () => ({ way: 'disc' }),
  },
  medallion: {
    name: 'Medallion floor',
    says: 'a floor glued flat: a star of light and dark halves, or a log-cabin square',
    bond: 'as-it-was',
    begin: () => ({ way: 'disc', sawnFrom: discSourceBegun('star') }),
  },
  twisted: {
    name: 'Twisted stack',
    says: 'thin discs sawn from a board of parallel strips, each turned a little: any form swirls',
    bond: 'as-it-was',
    begin: ({ body }) => ({
      way: 'disc',
      sawnFrom: discSourceBegun('strips'),
      after: { done: 'sliced', from: body, boardMm: mm(44), kerfMm: mm(1.5875), cleanUpMm: mm(0) },
    }),
  },
} satisfies Record<DiscCalled['start'], Start<DiscParams>>;

const calledAs = ({ sawnFrom, after }: DiscParams): DiscCalled =>
  discSourceOf(sawnFrom).source.called[after ? 'sliced' : 'whole'];

/** A bottom, a foot or a floor with no hole and no joints between segments. */
export const disc: Making<DiscParams> = {
  way: 'disc',
  params: discParams,
  starts: DISC_STARTS,
  nearest: (given) => calledAs(given).start,
  called: (given) => calledAs(given).called,
  solid: () => true,
  strict: ({ sawnFrom }) => discSourceOf(sawnFrom).source.strict,
  groups(given) {
    const { source, of } = discSourceOf(given.sawnFrom);
    return source.groups(of);
  },
  segments: () => null,
  withSegments: (given) => given,
  pitch({ sawnFrom }) {
    const { source, of } = discSourceOf(sawnFrom);
    return source.pitch(of);
  },
  body: ({ after }) => after?.from ?? null,
  ofBody: (given, from) => (given.after ? { ...given, after: { ...given.after, from } } : given),
  whole({ after: _, ...whole }) {
    return whole;
  },
  board({ sawnFrom, after }) {
    const { source, of } = discSourceOf(sawnFrom);
    if (!after || (source.longest?.(of) ?? null) === null) return null;
    const { from: _, pinMm: _pin, ...sawn } = after;
    return JSON.stringify([of, sawn]);
  },
  tones({ sawnFrom }) {
    const { source, of } = discSourceOf(sawnFrom);
    return source.tones?.(of) ?? null;
  },
  mirror(given) {
    const { source, of } = discSourceOf(given.sawnFrom);
    return source.mirror ? { ...given, sawnFrom: source.mirror(of) } : given;
  },
  boards({ sawnFrom }) {
    const { rows } = discSourceOf(sawnFrom).source;
    return rows ? [rowsOf(rows)] : [];
  },
  make(given, need) {
    const { source, of } = discSourceOf(given.sawnFrom);
    const { after } = given;
    const thick = after && thickDisc(after, need, source.longest?.(of) ?? null);
    const laid = source.lay(of, thick?.size ?? need);
    if (!laid.ok) return laid;
    const { kinds, cornerMm, repeats, figures, laidOnPlan, warnings = [], lay, pictures } = laid.value;
    const { steps, stacked } = laid.value;
    return done(
      assemble({
        heightMm: need.heightMm,
        gives: { outerRadiusMm: (thick?.size ?? need).outerRadiusMm, innerRadiusMm: 0 },
        cornerMm: mm(cornerMm),
        radial: kinds.length === 1,
        repeats,
        laidOnPlan,
        groups: disc.groups(given),
        kinds: thick
          ? kinds.map((kind) => sawnWith(thick.sawn, { ...kind, heightMm: need.heightMm }))
          : kinds,
        lay,
        figures: thick ? [...slicingFigures(after, thick.glued, 'disc'), ...figures] : figures,
        warnings: thick ? [...apartWarnings(after, need, thick), ...warnings] : warnings,
        steps: (planing) =>
          thick
            ? slicedSteps(after, thick.sawn, pinned(steps(planing), after.pinMm), 'disc', stacked)
            : steps(planing),
        ...(pictures && { pictures }),
      }),
    );
  },
  instead(given, need) {
    const { source, of } = discSourceOf(given.sawnFrom);
    const size = given.after ? thickDisc(given.after, need, source.longest?.(of) ?? null).size : need;
    const sawnFrom = source.instead?.(of, size) ?? null;
    return sawnFrom && { ...given, sawnFrom };
  },
};

/** The rows of what a disc is sawn from as those of the disc. */
const rowsOf = (rows: BoardRows<DiscSawnFrom>): BoardRows<DiscParams> => {
  const from = ({ sawnFrom }: DiscParams) => discSourceOf(sawnFrom).of;
  return {
    called: (given) => rows.called(from(given)),
    sizes: (given) => rows.sizes(from(given)),
    withSizes: (given, sizes) => ({ ...given, sawnFrom: rows.withSizes(from(given), sizes) }),
    places: (given, row) => rows.places(from(given), row),
    upward: (given) => rows.upward(from(given)),
    ...(rows.left && { left: (given, made) => rows.left!(from(given), made) }),
  };
};
