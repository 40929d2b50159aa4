import { mm } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { assemble } from '../assemble.js';
import type { BoardRows, Making, Start } from '../contract.js';
import { gluedUp, sawnWith, slicedSteps, slicingFigures } from '../segmented/after.js';
import { type DiscParams, discParams } from './params.js';
import { type DiscSawnFrom, discSourceOf } from './sources.js';

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
    begin: () => ({ way: 'disc', sawnFrom: { is: 'star', points: 8, lit: 'clockwise', borderMm: mm(12) } }),
  },
} satisfies Record<string, Start<DiscParams>>;

type DiscStart = keyof typeof DISC_STARTS;

/** The starting point that each is nearest to. */
const START_OF: Record<DiscSawnFrom['is'], DiscStart> = {
  layers: 'disc',
  star: 'medallion',
  cabin: 'medallion',
};

/** A bottom, a foot or a floor with no hole and no joints between segments. */
export const disc: Making<DiscParams> = {
  way: 'disc',
  params: discParams,
  starts: DISC_STARTS,
  nearest: ({ sawnFrom }) => (sawnFrom ? START_OF[sawnFrom.is] : 'disc'),
  called({ sawnFrom, after }) {
    const { name } = DISC_STARTS[sawnFrom ? START_OF[sawnFrom.is] : 'disc'];
    return `${name}${sawnFrom?.is === 'layers' ? ' of layers' : ''}${after ? ', sliced' : ''}`;
  },
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
  whole({ after: _, ...whole }) {
    return whole;
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
    const glued = gluedUp(given.after, need);
    const laid = source.lay(of, glued.need);
    if (!laid.ok) return laid;
    const { kinds, cornerMm, repeats, figures, laidOnPlan, lay, steps, pictures } = laid.value;
    return done(
      assemble({
        heightMm: need.heightMm,
        gives: { outerRadiusMm: glued.need.outerRadiusMm, innerRadiusMm: 0 },
        cornerMm: mm(cornerMm),
        radial: kinds.length === 1,
        repeats,
        laidOnPlan,
        groups: disc.groups(given),
        kinds: kinds.map((kind) =>
          given.after ? sawnWith(glued, { ...kind, heightMm: need.heightMm }) : kind,
        ),
        lay,
        figures: [...slicingFigures(given.after, glued, 'disc'), ...figures],
        steps: (planing) =>
          given.after ? slicedSteps(given.after, glued, steps(planing), 'disc') : steps(planing),
        ...(pictures && { pictures }),
      }),
    );
  },
  instead(given, need) {
    const { source, of } = discSourceOf(given.sawnFrom);
    const sawnFrom = source.instead?.(of, gluedUp(given.after, need).need) ?? null;
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
