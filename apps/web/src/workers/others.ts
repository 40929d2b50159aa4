import {
  type Named,
  type Running,
  type Shop,
  type Species,
  say,
  sentenceIn,
  type Tick,
  tasksOf,
  workDone,
  workOf,
} from '@fellside/core';
import type { SavedProject } from '../store/api.js';

/** Another piece that is planned together with the open one: its document, and what is done of it. */
export interface OtherPiece {
  readonly id: string;
  readonly document: SavedProject['document'];
  readonly ticks: readonly Tick[];
}

/** What is left of other pieces, and what of theirs is in clamps. */
export interface OtherWork {
  readonly tasks: readonly Named[];
  readonly running: readonly Running[];
  /** Names of those that cannot be planned. */
  readonly without: readonly string[];
}

/** Ids of jobs of another piece begin with its id and this. */
export const OF_PIECE = '|';

/** What is left to be done of pieces; of those that have no plan only the names. */
export function otherWork(
  pieces: readonly OtherPiece[],
  shop: Shop,
  woods: readonly Species[],
  now: number,
): OtherWork {
  const works = pieces.map(({ id, document, ticks }) => {
    const order = workOf(document, shop, woods);
    if (!order.ok) return { tasks: [], running: [], without: [document.name] };
    const { tasks, running } = tasksOf(order.value, workDone(ticks, now), `${id}${OF_PIECE}`);
    const named = tasks.map((task) => ({
      ...task,
      title: sentenceIn(say`${document.name}: ${task.title}`, shop.units),
    }));
    return { tasks: named, running, without: [] };
  });
  return {
    tasks: works.flatMap(({ tasks }) => tasks),
    running: works.flatMap(({ running }) => running),
    without: works.flatMap(({ without }) => without),
  };
}
