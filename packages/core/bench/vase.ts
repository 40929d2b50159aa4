import { mm } from '../src/measure/quantity.js';
import { plain } from '../src/measure/said.js';
import { type Prepared, type Stacking, stackUp } from '../src/project/prepare.js';

/** A shouldered vase of rings 8 mm high, in brick bond. */
export const vaseOf = (rings: number, count: number): Stacking => {
  const height = 8 * rings;
  const at = (radius: number, share: number) => ({
    radiusMm: mm(radius),
    heightMm: mm(share * height),
    kind: 'smooth' as const,
  });
  return {
    form: {
      points: [at(90, 0), at(150, 0.5), at(110, 0.85), at(120, 1)],
      inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(8) }], floorMm: mm(0) },
      recess: null,
      lid: null,
    },
    rings: Array.from({ length: rings }, (_, i) => ({
      id: `r${i}`,
      heightMm: mm(8),
      making: { way: 'segmented' as const, count },
      turn: (i % 2) / 2,
      woods: Array.from({ length: count }, (_, place) => ((place + i) % 3 === 0 ? 'dark' : 'light')),
    })),
    allowances: { outsideMm: mm(4), insideMm: mm(4) },
  };
};

export function stacked(stacking: Stacking): Prepared {
  const made = stackUp(stacking);
  if (!made.ok) throw new Error(plain(made.reasons[0]!.message));
  return made.value;
}

/** The middle of several runs, ms. */
export function middleOf(work: () => void, runs = 7): number {
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[runs >> 1]!;
}
