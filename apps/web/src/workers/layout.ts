import {
  type Board,
  type Demand,
  demandsOf,
  type Goal,
  greedy,
  type HighsLike,
  howMany,
  type Lumber,
  type Owned,
  placed,
  type Reason,
  rollOf,
  type Shop,
  solverOf,
  solving,
  type WoodLayout,
} from '@fellside/core';

/** What is to be laid out: plain data, as a worker is sent it. */
export interface LayoutAsk {
  /** Id of the piece that it is asked for. */
  readonly piece: string | null;
  readonly lumber: Lumber;
  readonly boards: readonly Board[];
  readonly shop: Shop;
  readonly goal: Goal;
  readonly buying: boolean;
  /** What pieces belong to. */
  readonly owned: Owned;
}

/** How far one wood's layout is. */
export interface WoodState {
  readonly layout: WoodLayout;
  readonly cost: number;
  readonly heuristic: number;
  readonly bound: number;
  /** In how many ways crosscutting the boards was tried, and the board feet that no layout at all needs less of. */
  readonly tried: number;
  readonly leastFeet: number;
  readonly stage: 'at once' | 'working' | 'done';
}

export interface LayoutState {
  readonly woods: readonly WoodState[];
  readonly reasons: readonly Reason[];
  /** How many of the piece the boards on hand give; null while it is not known. */
  readonly copies: number | null;
  readonly done: boolean;
}

/** The demands of all woods; what pieces belong to is said by name. */
function demands({ lumber, boards, shop, goal, owned }: LayoutAsk, buying: boolean): Demand[] {
  return demandsOf(lumber, boards, shop, rollOf(owned), { goal, buying });
}

/** Lays out all woods: a good answer of each at once, then better ones with their bounds, told as they come. */
export async function layOutBoards(
  ask: LayoutAsk,
  loadSolver: () => Promise<HighsLike>,
  tell: (state: LayoutState) => Promise<void> | void,
): Promise<void> {
  const all = demands(ask, ask.buying);
  let copies: number | null = null;
  const woods: WoodState[] = all.map((demand) => {
    const first = greedy(demand.problem);
    const cost = first.boards.reduce((sum, { stock }) => sum + demand.problem.stocks[stock]!.cost, 0);
    return {
      layout: placed(demand, first, ask.shop),
      cost,
      heuristic: cost,
      bound: 0,
      tried: demand.tried,
      leastFeet: demand.leastFeet,
      stage: 'at once',
    };
  });
  const state = (done: boolean): LayoutState => ({
    woods: woods.slice(),
    reasons: all.flatMap(({ reasons }) => reasons),
    copies,
    done,
  });
  await tell(state(all.length === 0));
  if (all.length === 0) return;
  copies = howMany(demands(ask, false));
  await tell(state(false));
  const solver = solverOf(await loadSolver());
  for (const [i, demand] of all.entries()) {
    const steps = solving(demand.problem, solver);
    for (let step = steps.next(); ; step = steps.next()) {
      const { answer, cost, heuristic, bound } = step.value;
      const stage = step.done ? 'done' : 'working';
      woods[i] = { ...woods[i]!, layout: placed(demand, answer, ask.shop), cost, heuristic, bound, stage };
      await tell(state(step.done === true && i === all.length - 1));
      if (step.done) break;
    }
  }
}
