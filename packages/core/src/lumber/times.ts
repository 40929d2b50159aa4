import type { Lumber } from './lumber.js';
import type { Cut } from './strips.js';

/** What several of one piece take, cut together: everything so many times, but a setting of the saw is tried once. */
export function lumberTimes(lumber: Lumber, copies: number): Lumber {
  if (copies === 1) return lumber;
  const { strips, panels, woods } = lumber;
  const tests = (wood: string) =>
    strips.reduce((sum, list) => sum + (list.wood === wood ? testsIn(list.cuts) : 0), 0);
  return {
    ...lumber,
    strips: strips.map((list) => ({ ...list, cuts: list.cuts.map((cut) => cutTimes(cut, copies)) })),
    panels: panels.map((panel) => ({ ...panel, count: copies * panel.count })),
    woods: woods.map((need) => ({
      ...need,
      pieces: copies * need.pieces,
      spares: copies * (need.spares - tests(need.wood)) + tests(need.wood),
      finishedMm3: copies * need.finishedMm3,
      segmentsMm3: copies * need.segmentsMm3,
      stashMm3: copies * need.stashMm3,
    })),
  };
}

const testsIn = (cuts: readonly Cut[]): number =>
  cuts.reduce((sum, { purpose, count }) => sum + (purpose === 'test' ? count : 0), 0);

const cutTimes = (cut: Cut, copies: number): Cut =>
  cut.purpose === 'test'
    ? cut
    : {
        ...cut,
        count: copies * cut.count,
        ...(cut.numbers && { numbers: Array.from({ length: copies }, () => cut.numbers!).flat() }),
      };
