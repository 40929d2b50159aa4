import {
  type Answer,
  atOnce,
  type Board,
  costOf,
  type Demand,
  demandsOf,
  type Goal,
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
    return {
      layout: placed(demand, answer, ask.shop),
      answer,
      cost,
      heuristic: cost,
      bound: 0,
      tried: demand.tried,
      leastFeet: demand.leastFeet,
      stage: 'at once',
    };
  });
  const reasons = all.flatMap(({ reasons }) => reasons);
  return { demands: all, state: { woods, reasons, copies: null, done: all.length === 0 || !ask.solve } };
}

/** Lays out all woods: a good answer of each at once, then, where it is asked, better ones with their bounds, told as they come. */
export async function layOutBoards(
  ask: LayoutAsk,
  loadSolver: () => Promise<HighsLike>,
  tell: (state: LayoutState) => Promise<void> | void,
): Promise<void> {
  const { demands: all, state: first } = layOutAtOnce(ask);
  const woods = first.woods.slice();
  let copies: number | null = null;
  const state = (done: boolean): LayoutState => ({ ...first, woods: woods.slice(), copies, done });
  await tell(first);
  if (first.done) return;
  copies = howMany(demands({ ...ask, lumber: ask.one }, false));
  await tell(state(false));
  const solver = solverOf(await loadSolver());
  for (const [i, demand] of all.entries()) {
    const steps = solving(demand.problem, solver);
    for (let step = steps.next(); ; step = steps.next()) {
      const { answer, cost, heuristic, bound } = step.value;
      const stage = step.done ? 'done' : 'working';
      const layout = placed(demand, answer, ask.shop);
      woods[i] = { ...woods[i]!, layout, answer, cost, heuristic, bound, stage };
      await tell(state(step.done === true && i === all.length - 1));
      if (step.done) break;
    }
  }
}
