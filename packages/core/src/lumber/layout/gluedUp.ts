import type { Reason } from '../../measure/reason.js';
import { greedy } from './greedy.js';
import { type Block, gluesUp, leastParts } from './kinds.js';
import { costOf, missingCost, missingIn, type Problem } from './problem.js';

/** Parts more than the widest board asks for that gluing a block up from is weighed with, at most. */
const MORE_PARTS = 2;
/** What a joint costs, as a share of the cheapest board that can be had: it is work, and shows. */
const JOINT = 0.1;

interface Weighed {
  readonly problem: Problem;
  readonly reasons: readonly Reason[];
}

/**
 * The demand of a wood with its discs and wide layers whole, or glued up from more parts than the widest board asks for where that
 * saves boards: block after block, by what a quick layout costs.
 *
 * @param demandWith the demand when each block is in so many parts.
 */
export function gluedUp<Demand extends Weighed>(
  blocks: readonly Block[],
  widestMm: number,
  demandWith: (parts: readonly number[]) => Demand,
): Demand {
  let parts = blocks.map((block) => leastParts(block, widestMm));
  let best = demandWith(parts);
  const weighed = blocks.flatMap((block, b) => (gluesUp(block) ? [b] : []));
  if (weighed.length === 0) return best;
  let cost = quickCost(best);
  for (const b of weighed) {
    const block = blocks[b]!;
    const least = parts[b]!;
    for (let more = 1; more <= MORE_PARTS; more++) {
      const other = parts.map((count, i) => (i === b ? least + more : count));
      const demand = demandWith(other);
      const next = quickCost(demand) + jointsCost(demand, block, more);
      if (next < cost) [best, cost, parts] = [demand, next, other];
    }
  }
  return best;
}

/** What a quick layout costs; pieces that it lacks, and those that fit nowhere, cost more than any board. */
function quickCost({ problem, reasons }: Weighed): number {
  const answer = greedy(problem);
  const lost = reasons.filter(({ code }) => code === 'fits-nowhere').length;
  return costOf(problem, answer) + missingCost(problem) * (missingIn(answer) + 1000 * lost);
}

/** What more joints cost in every block of a size, by the cheapest board that is sold, or that is there where none is. */
function jointsCost({ problem: { stocks } }: Weighed, block: Block, more: number): number {
  const sold = stocks.filter(({ copies }) => !Number.isFinite(copies));
  const costs = (sold.length > 0 ? sold : stocks).map(({ cost }) => cost);
  const discs = block.reduce((sum, { count }) => sum + count, 0);
  return costs.length > 0 ? JOINT * Math.min(...costs) * more * discs : 0;
}
