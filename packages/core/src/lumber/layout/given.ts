import { z } from 'zod';
import { done, type Result, refuse } from '../../measure/reason.js';
import type { Shop } from '../../settings/shop.js';
import type { Demand } from './demand.js';
import { placed, type WoodLayout } from './placed.js';
import { type Answer, groupOfStocks, groupsOf, type Problem } from './problem.js';

const place = z.number().int().min(0).max(100_000);

/** How the boards of one wood are sawn, found elsewhere: places of stocks, kinds and pieces in the demand of the same wood. */
export const givenSchema = z
  .array(
    z.strictObject({
      wood: z.string().max(60),
      boards: z
        .array(
          z.strictObject({
            stock: place,
            rips: z
              .array(
                z.strictObject({
                  section: place,
                  kind: place,
                  runs: z.array(z.array(place).max(1000)).min(1).max(40),
                }),
              )
              .max(500),
          }),
        )
        .max(2000),
    }),
  )
  .max(200);
export type Given = z.infer<typeof givenSchema>;

/** Answers as they are handed on. */
export const givenOf = (woods: readonly { readonly wood: string; readonly answer: Answer }[]): Given =>
  woods.map(({ wood, answer }) => ({
    wood,
    boards: answer.boards.map(({ stock, rips }) => ({
      stock,
      rips: rips.map(({ section, kind, runs }) => ({ section, kind, runs: runs.map((run) => [...run]) })),
    })),
  }));

/** Layouts that were found elsewhere, put in place once more; refused where they are not of these demands or cannot be sawn. */
export function placedGiven(demands: readonly Demand[], given: Given, shop: Shop): Result<WoodLayout[]> {
  const layouts: WoodLayout[] = [];
  for (const demand of demands) {
    const found = given.find(({ wood }) => wood === demand.wood);
    if (!found || !canBeSawn(demand.problem, found.boards))
      return refuse(
        'layout-not-of-this',
        'layouts',
        'The layout of the boards is of another state of the piece, the boards or the shop: open Cuts once more and wait until it is laid out.',
      );
    layouts.push(placed(demand, { boards: found.boards, missing: [] }, shop));
  }
  return done(layouts);
}

/** Whether boards are there, and their rips and runs fit in them. */
export function canBeSawn(problem: Problem, boards: Answer['boards']): boolean {
  const { kinds, stocks } = problem;
  const groupOf = groupOfStocks(problem);
  const fits = boards.every(({ stock, rips }) => {
    const { sections = [], leaves = [] } = stocks[stock] ?? {};
    const used = sections.map(() => 0);
    return rips.every(({ section, kind, runs }) => {
      const [part, of] = [sections[section], kinds[kind]];
      if (!part || !of || runs.length > (leaves[kind] ?? 0)) return false;
      used[section]! += of.width;
      return (
        used[section]! <= part.width &&
        runs.every(
          (run) =>
            run.length === of.pieces.length &&
            run.reduce((sum, count, i) => sum + count * of.pieces[i]!.length, of.overhead) <= part.length,
        )
      );
    });
  });
  return (
    fits &&
    groupsOf(problem).every(
      ({ copies }, g) => boards.filter(({ stock }) => groupOf[stock] === g).length <= copies,
    )
  );
}
