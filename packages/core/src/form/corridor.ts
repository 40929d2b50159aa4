import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';
import { type CurvePoint, extremes } from './curve.js';
import { fitPoints, type Sample } from './fit.js';

/** Between two heights the outside has to keep between two radii (mm): what a ring can give. */
export interface Gate {
  readonly z0: number;
  readonly z1: number;
  readonly least: number;
  readonly most: number;
}

/** As near to the outermost radius as can be, or with as little bending as can be. */
export type Fit = 'tightest' | 'smoothest';

/** Radius and its limits at one height where the fit is worked out. */
interface Node {
  readonly z: number;
  readonly least: number;
  readonly most: number;
}

/**
 * A curve that keeps inside a row of gates, bottom to top. It is worked out at the joints, where both neighbours'
 * limits hold, and in the middle of every gate; between them the monotone curve cannot leave the gate.
 */
export function fitCorridor(gates: readonly Gate[], fit: Fit): Result<CurvePoint[]> {
  const nodes = nodesOf(gates);
  const shut = nodes.find(({ least, most }) => least > most);
  if (shut)
    return refuse(
      'corridor-shut',
      'rings',
      say`At height ${sayMm(shut.z)} no curve fits: the wall would have to lie outside ${sayMm(shut.least)} and inside ${sayMm(shut.most)} from the axis. Use wider rings there, a thinner wall or another order.`,
    );
  const radii = fit === 'tightest' ? nodes.map(({ most }) => most) : leastBending(nodes);
  const samples: Sample[] = nodes.map(({ z }, i) => ({ r: radii[i]!, z }));
  const inside = (curve: Parameters<typeof extremes>[0], from: number, to: number) =>
    gates.every(({ z0, z1, least, most }) => {
      const [low, high] = [Math.max(from, z0), Math.min(to, z1)];
      if (high <= low) return true;
      const met = extremes(curve, low, high);
      return met.least >= least - 1e-9 && met.most <= most + 1e-9;
    });
  return done(fitPoints(samples, inside));
}

function nodesOf(gates: readonly Gate[]): Node[] {
  const first = gates[0]!;
  const nodes: Node[] = [{ z: first.z0, least: first.least, most: first.most }];
  gates.forEach(({ z0, z1, least, most }, i) => {
    const next = gates[i + 1];
    nodes.push({ z: (z0 + z1) / 2, least, most });
    nodes.push({
      z: z1,
      least: Math.max(least, next?.least ?? least),
      most: Math.min(most, next?.most ?? most),
    });
  });
  return nodes;
}

/** Sweeps at most, and the change (mm) under which a sweep was the last. */
const SWEEPS = 40_000;
const SETTLED = 1e-7;
/** Over-relaxation: how much farther than its own best each radius is moved. */
const FURTHER = 1.7;

/**
 * Radii within the limits that bend least: minimises Σ (second divided difference)², each radius in turn brought to its
 * best and into its limits (projected successive over-relaxation; Cryer, SIAM J. Control 9, 1971).
 */
function leastBending(nodes: readonly Node[]): number[] {
  const r = nodes.map(({ least, most }) => Math.min(most, Math.max(least, (least + most) / 2)));
  const rows = bendings(nodes.map(({ z }) => z));
  const at = nodes.map((_, i) => rows.filter(({ first }) => i >= first && i <= first + 2));
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    let moved = 0;
    nodes.forEach(({ least, most }, i) => {
      let [pull, weight] = [0, 0];
      for (const { first, by } of at[i]!) {
        const own = by[i - first]!;
        pull += own * (by[0]! * r[first]! + by[1]! * r[first + 1]! + by[2]! * r[first + 2]!);
        weight += own * own;
      }
      if (weight === 0) return;
      const to = Math.min(most, Math.max(least, r[i]! - (FURTHER * pull) / weight));
      moved = Math.max(moved, Math.abs(to - r[i]!));
      r[i] = to;
    });
    if (moved < SETTLED) break;
  }
  return r;
}

/** Second divided differences over three neighbouring heights, scaled to the mean spacing. */
function bendings(z: readonly number[]): { first: number; by: readonly number[] }[] {
  const mean = (z.at(-1)! - z[0]!) / (z.length - 1);
  return z.slice(2).map((top, first) => {
    const [a, b] = [(z[first + 1]! - z[first]!) / mean, (top - z[first + 1]!) / mean];
    const share = Math.sqrt((a + b) / 2);
    const by = [2 / (a * (a + b)), -2 / (a * b), 2 / (b * (a + b))].map((value) => value * share);
    return { first, by };
  });
}
