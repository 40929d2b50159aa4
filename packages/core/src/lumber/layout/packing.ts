import { ripOff } from './greedy.js';
import { type Answer, missingIn, type Problem, type Rips, type Sawn, wantedOf } from './problem.js';
import type { Program, Solver } from './program.js';

/** How long boards are tried for, in entries of the program. */
const ENTRIES = 1e6;

/**
 * Whether some boards, one by one, give all that is wanted: whole rips in every section of every board, exactly as wide as they are.
 * `impossible` when it is proven that they do not; an answer when they do; neither when it is not known after as much work as it may take.
 */
export function packed(
  problem: Problem,
  boards: readonly number[],
  solver: Solver,
): { readonly answer: Answer | null; readonly impossible: boolean } {
  const { kinds, stocks } = problem;
  const wanted = wantedOf(problem);
  const places = boards.flatMap((stock, board) =>
    stocks[stock]!.sections.flatMap((section, s) =>
      kinds.flatMap((kind, k) => {
        const room = section.length - kind.overhead;
        const gives = kind.pieces.map(
          ({ length }) => stocks[stock]!.leaves[k]! * Math.max(0, Math.floor(room / length)),
        );
        return kind.width <= section.width && gives.some((count) => count > 0)
          ? [{ board, stock, section: s, kind: k, gives, room: room * stocks[stock]!.leaves[k]! }]
          : [];
      }),
    ),
  );
  const first = places.length;
  const across = boards.flatMap((stock, board) =>
    stocks[stock]!.sections.map(({ width }, section) => ({
      terms: places.flatMap((place, i): [number, number][] =>
        place.board === board && place.section === section ? [[i, -kinds[place.kind]!.width]] : [],
      ),
      least: -width,
    })),
  );
  let slack = first;
  const along = kinds.flatMap(({ pieces }, k) => {
    const own = places.flatMap((place, i) => (place.kind === k ? [{ ...place, i }] : []));
    const lacks = pieces.map(() => slack++);
    const byCount = pieces.map((_, p) => ({
      terms: [
        ...own.map(({ i, gives }): [number, number] => [i, gives[p]!]),
        [lacks[p]!, 1] as [number, number],
      ],
      least: wanted[k]![p]!,
    }));
    if (pieces.length < 2) return byCount;
    const byLength = {
      terms: [
        ...own.map(({ i, room }): [number, number] => [i, room]),
        ...lacks.map((column, p): [number, number] => [column, pieces[p]!.length]),
      ],
      least: pieces.reduce((sum, { length }, p) => sum + length * wanted[k]![p]!, 0),
    };
    return [...byCount, byLength];
  });
  const program: Program = {
    costs: Array.from({ length: slack }, (_, i) => (i < first ? 0 : 1)),
    rows: [...across, ...along].filter(({ terms }) => terms.length > 0),
    whole: true,
  };
  const solved = solver(program, { entries: ENTRIES, gap: 0 });
  if (!solved) return { answer: null, impossible: false };
  if (solved.value > 0.5) return { answer: null, impossible: solved.proven };
  const left = wantedOf(problem);
  const sawn = boards.map((stock, board): Sawn => {
    const rips: Rips[] = [];
    places.forEach((place, i) => {
      if (place.board !== board) return;
      for (let n = 0; n < solved.x[i]!; n++) {
        const { runs } = ripOff(problem, place, left);
        if (runs.length === 0) continue;
        for (const run of runs)
          run.forEach((count, piece) => {
            left[place.kind]![piece]! -= count;
          });
        rips.push({ section: place.section, kind: place.kind, runs });
      }
    });
    return { stock, rips };
  });
  const answer: Answer = {
    boards: sawn.filter(({ rips }) => rips.length > 0),
    missing: left.map((counts) => counts.map((count) => Math.max(0, count))),
  };
  return { answer: missingIn(answer) === 0 ? answer : null, impossible: false };
}
