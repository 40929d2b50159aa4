import { type Answer, costOf, missingIn, type Problem, type Sawn } from './problem.js';

/** Costs nearer than this share are the same. */
const SAME_COST = 1e-9;

/**
 * Whether an answer is better than another: it lacks less; or costs less and lacks as much; or costs as much and fewer fences are set
 * for it, board by board; or as many, and the largest piece that is left over is larger, before many small ones; or there are fewer
 * parts to crosscut.
 */
export function isBetter(problem: Problem, next: Answer, best: Answer): boolean {
  const lacks = missingIn(next) - missingIn(best);
  if (lacks !== 0) return lacks < 0;
  const [costs, before] = [costOf(problem, next), costOf(problem, best)];
  if (Math.abs(costs - before) > SAME_COST * before) return costs < before;
  const fences = fencesOf(problem, next) - fencesOf(problem, best);
  if (fences !== 0) return fences < 0;
  const left = largestLeft(problem, next) - largestLeft(problem, best);
  return left !== 0 ? left > 0 : partsOf(problem, next) < partsOf(problem, best);
}

const partsOf = ({ stocks }: Problem, { boards }: Answer): number =>
  boards.reduce((sum, { stock }) => sum + stocks[stock]!.sections.length, 0);

/** How often the fence is set where boards are sawn one after the other: widths of rips, board by board. */
export const fencesOf = ({ kinds }: Problem, { boards }: Pick<Answer, 'boards'>): number =>
  boards.reduce((sum, { rips }) => sum + new Set(rips.map(({ kind }) => kinds[kind]!.width)).size, 0);

/** The largest piece worth keeping that is left of all boards, beside the rips of a part, or a part that none is ripped from: tenths of a mm, squared. */
export const largestLeft = (problem: Problem, { boards }: Pick<Answer, 'boards'>): number =>
  Math.max(0, ...boards.flatMap((board) => leftOf(problem, board)));

function leftOf({ kinds, stocks, keeps }: Problem, { stock, rips }: Sawn): number[] {
  return stocks[stock]!.sections.map(({ length, width }, section) => {
    const ripped = rips
      .filter((rip) => rip.section === section)
      .reduce((sum, { kind }) => sum + kinds[kind]!.width, 0);
    const kept = length >= (keeps?.length ?? 0) && width - ripped >= (keeps?.width ?? 0);
    return kept ? length * (width - ripped) : 0;
  });
}
