import { gapIn, spacersIn, wrongBetween } from '../joints/between.js';
import type { Against, Beside } from '../sources/contract.js';
import { type SawnFrom, sourceOf } from '../sources/registry.js';

/** The four answers. */
export interface Answers extends Beside {
  readonly sawnFrom?: SawnFrom | undefined;
}

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
  ({ between, plug }) =>
    gapIn(between) && plug
      ? against(
          'plug',
          'A ring with gaps between its segments has a hole; leave the plug out or close the gaps.',
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
  ({ parts, lean, between, plug, after }) =>
    after?.done === 'opened' && (parts || lean || between || plug)
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
