import {
  type Answer,
  atOnce,
  type Board,
  costOf,
  type Demand,
  demandsOf,
  type FoundWay,
  type Goal,
  type HighsLike,
  howMany,
  type Lumber,
  layingOut,
  type Owned,
  type Progress,
  placed,
  type Reason,
  rollOf,
  type Shop,
  solverOf,
  triedOf,
  type WoodLayout,
} from '@fellside/core';

/** What is to be laid out: plain data, as a worker is sent it. */
export interface LayoutAsk {
  /** Id of the piece that it is asked for. */
  readonly piece: string | null;
  readonly lumber: Lumber;
  /** What a single piece takes, where several are cut together: how often the boards on hand give it. */
  readonly one: Lumber;
  readonly boards: readonly Board[];
  readonly shop: Shop;
  readonly goal: Goal;
  readonly buying: boolean;
  /** What pieces belong to. */
  readonly owned: Owned;
  /** Whether better layouts are looked for than the one at once. */
  readonly solve: boolean;
}

/** How far one wood's layout is. */
export interface WoodState {
  readonly layout: WoodLayout;
  /** The same as it is handed on. */
  readonly answer: Answer;
  readonly cost: number;
  readonly heuristic: number;
  readonly bound: number;
  /** Ways to crosscut boards that were found besides those tried in any case, as they are handed on. */
  readonly found: readonly FoundWay[];
  /** In how many ways crosscutting the boards was tried, and the board feet that no layout at all needs less of. */
  readonly tried: number;
  readonly leastFeet: number;
  readonly stage: 'at once' | 'working' | 'done';
}

export interface LayoutState {
  readonly woods: readonly WoodState[];
  readonly reasons: readonly Reason[];
  /** How many of the piece the boards on hand give; null while it is not known, and where it is not asked. */
  readonly copies: number | null;
  readonly done: boolean;
}

/** The demands of all woods; what pieces belong to is said by name. */
function demands({ lumber, boards, shop, goal, owned }: LayoutAsk, buying: boolean): Demand[] {
  return demandsOf(lumber, boards, shop, rollOf(owned), { goal, buying });
}

/** The layout that is there at once, of every wood. */
export function layOutAtOnce(ask: LayoutAsk): {
  readonly demands: readonly Demand[];
  readonly state: LayoutState;
} {
  const all = demands(ask, ask.buying);
  const woods = all.map((demand): WoodState => {
    const answer = atOnce(demand.problem);
    const cost = costOf(demand.problem, answer);
    return woodState(demand, { answer, cost, heuristic: cost, bound: 0 }, 'at once', ask.shop);
  });
  const reasons = all.flatMap(({ reasons }) => reasons);
  return { demands: all, state: { woods, reasons, copies: null, done: all.length === 0 || !ask.solve } };
}

const woodState = (
  demand: Demand,
  { answer, cost, heuristic, bound }: Pick<Progress, 'answer' | 'cost' | 'heuristic' | 'bound'>,
  stage: WoodState['stage'],
  shop: Shop,
): WoodState => ({
  layout: placed(demand, answer, shop),
  answer,
  found: demand.found,
  cost,
  heuristic,
  bound,
  tried: triedOf(demand),
  leastFeet: demand.leastFeet,
  stage,
});

/** Solves one wood of a question, by its place; told as it gets better, `done` at the end. */
export async function solveWood(
  ask: LayoutAsk,
  wood: number,
  highs: HighsLike,
  tell: (state: WoodState) => Promise<void> | void,
): Promise<void> {
  const demand = demands(ask, ask.buying)[wood]!;
  const steps = layingOut(demand, solverOf(highs), ask.shop);
  for (;;) {
    const step = steps.next();
    await tell(woodState(step.value.demand, step.value, step.done ? 'done' : 'working', ask.shop));
    if (step.done) return;
  }
}

/** How many of a single piece the boards on hand give. */
export const copiesOf = (ask: LayoutAsk, highs: HighsLike): number =>
  howMany(demands({ ...ask, lumber: ask.one }, false), solverOf(highs), ask.shop);

/** Who solves: woods side by side where there are several to do it. */
export interface Solving {
  wood(ask: LayoutAsk, wood: number, tell: (state: WoodState) => Promise<void> | void): Promise<void>;
  copies(ask: LayoutAsk): Promise<number>;
}

/** Lays out all woods: a good answer of each at once, then, where it is asked, better ones with their bounds, told as they come. */
export async function layOutBoards(
  ask: LayoutAsk,
  solving: Solving,
  tell: (state: LayoutState) => Promise<void> | void,
): Promise<void> {
  const { demands: all, state: first } = layOutAtOnce(ask);
  const woods = first.woods.slice();
  let copies: number | null = null;
  const state = (done: boolean): LayoutState => ({ ...first, woods: woods.slice(), copies, done });
  await tell(first);
  if (first.done) return;
  await Promise.all([
    ...all.map((_, i) =>
      solving.wood(ask, i, async (wood) => {
        woods[i] = wood;
        await tell(state(false));
      }),
    ),
    solving.copies(ask).then(async (count) => {
      copies = count;
      await tell(state(false));
    }),
  ]);
  await tell(state(true));
}
