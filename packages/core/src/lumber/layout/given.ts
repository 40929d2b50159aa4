import { z } from 'zod';
import { done, type Result, refuse } from '../../measure/reason.js';
import type { Shop } from '../../settings/shop.js';
import { type Demand, type FoundWay, withWays } from './demand.js';
import { placed, type WoodLayout } from './placed.js';
import { type Answer, groupOfStocks, groupsOf, type Problem } from './problem.js';

const place = z.number().int().min(0).max(100_000);

/** How the boards of one wood are sawn, found elsewhere: places of stocks, kinds and pieces in the demand of the same wood. */
export const givenSchema = z
  .array(
    z.strictObject({
      wood: z.string().max(60),
      /** Ways to crosscut boards that stand behind those that are tried in any case: lengths in mm. */
      found: z
        .array(
          z.strictObject({
            group: place,
            way: z.array(z.array(z.number().min(1).max(1e5)).max(1000)).max(100),
          }),
        )
        .max(1000)
        .default([]),
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
export const givenOf = (
  woods: readonly {
    readonly wood: string;
    readonly answer: Answer;
    readonly found: readonly FoundWay[];
  }[],
): Given =>
  woods.map(({ wood, answer, found }) => ({
    wood,
    found: found.map(({ group, way }) => ({ group, way: way.map((lengths) => [...lengths]) })),
    boards: answer.boards.map(({ stock, rips }) => ({
      stock,
      rips: rips.map(({ section, kind, runs }) => ({ section, kind, runs: runs.map((run) => [...run]) })),
    })),
  }));

/** Layouts that were found elsewhere, put in place once more; refused where they are not of these demands or cannot be sawn. */
export function placedGiven(demands: readonly Demand[], given: Given, shop: Shop): Result<WoodLayout[]> {
  const layouts: WoodLayout[] = [];
  for (const first of demands) {
    const told = given.find(({ wood }) => wood === first.wood);
    const demand = told && withWays(first, told.found, shop);
    if (!demand || !canBeSawn(demand.problem, told.boards))
      return refuse(
        'layout-not-of-this',
        'layouts',
        'The layout of the boards is of another state of the piece, the boards or the shop: open Cuts once more and wait until it is laid out.',
      );
    layouts.push(placed(demand, { boards: told.boards, missing: [] }, shop));
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
