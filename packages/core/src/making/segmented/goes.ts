import { LEAST_OF_A_HALF } from '../halves/params.js';
import { gapIn, spacersIn, wrongBetween } from '../joints/between.js';
import type { Against, Beside } from '../sources/contract.js';
import { type SawnFrom, sourceOf } from '../sources/registry.js';

/** The four answers. */
export interface Answers extends Beside {
  readonly sawnFrom?: SawnFrom | undefined;
  readonly woven?: true | undefined;
}

/** Whether a ring can be one of a basket: a spacer in every joint, and all of them leaning one way. */
export const canWeave = ({ lean, between }: Pick<Answers, 'lean' | 'between'>): boolean =>
  lean !== undefined &&
  lean.cut !== 'turned-over' &&
  between?.put === 'spacers' &&
  between.spacers.at === 'every';

/** Why answers do not go together, with what would; null where they do. The rules, one to a line, in `RULES`. */
export function againstEachOther(given: Answers): Against | null {
  for (const rule of RULES) {
    const against = rule(given);
    if (against) return against;
  }
  return null;
}

const against = (path: string, message: string): Against => ({ path: path.split('.'), message });

const RULES: readonly ((given: Answers) => Against | null)[] = [
  ({ count, lean }) =>
    lean?.cut === 'turned-over' && count % 2 === 1
      ? against(
          'count',
          `Segment count is ${count}; wedges that are glued alternately upside down need an even count.`,
        )
      : null,
  ({ parts, between }) =>
    parts && between
      ? against(
          'between',
          `${spacersIn(between) ? 'Spacers' : 'Gaps'} go between equal segments only; make the widths equal, or leave the ${spacersIn(between) ? 'spacers' : 'gaps'} out.`,
        )
      : null,
  ({ parts, lean }) =>
    parts && lean
      ? against(
          'lean',
          'Joints lean between equal segments only; make the widths equal, or let the joints stand upright.',
        )
      : null,
  ({ parts, inOrder }) =>
    parts && inOrder
      ? against(
          'inOrder',
          'Segments of several widths are cut one width after the other and cannot keep their order along the strip; make them equal, or leave the order out.',
        )
      : null,
  ({ count, between }) => {
    const wrong = between ? wrongBetween(count, between) : null;
    return wrong && { ...wrong, path: ['between', ...wrong.path] };
  },
  ({ woven, ...beside }) =>
    woven && !canWeave(beside)
      ? against(
          'woven',
          'A ring of a basket has a spacer in every joint, and all of its joints lean one way; make it so, or do not weave it.',
        )
      : null,
  ({ between, plug }) =>
    gapIn(between) && plug
      ? against(
          'plug',
          'A ring with gaps between its segments has a hole; leave the plug out or close the gaps.',
        )
      : null,
  ({ count, inHalves }) =>
    inHalves && count - inHalves.first < LEAST_OF_A_HALF
      ? against(
          'inHalves.first',
          `The first half has ${inHalves.first} of ${count} segments; each half has ${LEAST_OF_A_HALF} at least.`,
        )
      : null,
  ({ inHalves, parts, lean, between, staves, toCentre, inOrder }) =>
    inHalves && (parts || lean || between || staves || toCentre || inOrder)
      ? against(
          'inHalves',
          'Each half closes by itself, of equal segments that lie flat with upright joints, the same spacer in all of them or none, round a hole; make it so, or let the segments close the ring together.',
        )
      : null,
  ({ inHalves, after }) =>
    inHalves?.divider?.sawn && after
      ? against(
          'after',
          'Slices of a ring that is sawn in two would be sawn twice; let the divider stay whole, or leave the ring whole.',
        )
      : null,
  ({ toCentre, between }) =>
    toCentre && gapIn(between)
      ? against(
          'toCentre',
          'A ring with gaps between its segments has a hole; let the segments end short of the middle, or close the gaps.',
        )
      : null,
  ({ staves, toCentre }) =>
    staves && toCentre
      ? against(
          'toCentre',
          'Staves stand round a hole; let the segments lie flat, or let the staves end short of the middle.',
        )
      : null,
  ({ staves, plug }) =>
    staves && staves.leanDeg !== 0 && plug
      ? against(
          'plug',
          'The hole between leaning staves widens, and a plug is as wide below as above; let the staves stand upright, or leave the plug out.',
        )
      : null,
  ({ staves, lean }) =>
    staves && lean
      ? against(
          'lean',
          'The joints of staves follow from how the staves lean; let the joints stand upright, or let the segments lie flat.',
        )
      : null,
  ({ staves, between }) =>
    staves && gapIn(between)
      ? against(
          'between',
          'Staves with gaps between them would be held by their end grain alone, which hardly holds; close the gaps, or let the segments lie flat.',
        )
      : null,
  ({ staves, inOrder }) =>
    staves && inOrder
      ? against(
          'inOrder',
          'Staves come off wide boards side by side and not off one strip; leave their order out, or let the segments lie flat.',
        )
      : null,
  ({ staves, after }) =>
    staves && after
      ? against(
          'after',
          'Sawn off staves, rings would meet end grain to end grain, which hardly holds; leave the ring whole, or let the segments lie flat.',
        )
      : null,
  ({ lean, inOrder }) =>
    inOrder && lean && lean.cut !== 'same-edge'
      ? against(
          'lean.cut',
          'Leaning segments keep their order along the strip where the same edge is out every time; cut them so.',
        )
      : null,
  ({ between, after }) =>
    gapIn(between) && after
      ? against(
          'after',
          'Segments with gaps between them are glued on the piece and are no ring before, so that there is none to saw apart; close the gaps, or leave the ring whole.',
        )
      : null,
  ({ count, after }) =>
    after?.done === 'opened' && count % 2 === 1
      ? against('count', `Segment count is ${count}; two halves opened like a book need an even count.`)
      : null,
  ({ parts, lean, between, plug, inHalves, after }) =>
    after?.done === 'opened' && (parts || lean || between || plug || inHalves)
      ? against(
          'after',
          'Two leaves of one half-ring make a ring of equal segments, glued to each other with upright joints, without a plug; make it so, or leave the ring whole.',
        )
      : null,
  ({ count, sawnFrom }) => {
    const { most } = sourceOf(sawnFrom).source;
    return most && count > most.count
      ? against('count', `Segment count is ${count}; ${most.of} has 3 to ${most.count}.`)
      : null;
  },
  (given) => {
    const { source, of } = sourceOf(given.sawnFrom);
    return source.against(of, given);
  },
];
