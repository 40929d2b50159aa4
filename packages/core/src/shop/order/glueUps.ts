import type { Equipment } from '../../settings/workshop.js';
import type { Stacking } from './schools.js';

/** Rings, or stacks of them, that are glued to each other at one go. Every joint is named by the ring above it, whatever way is chosen. */
export interface GlueUp {
  /** Joints that it closes, by the place of the upper ring of each. */
  readonly joints: readonly number[];
  /** Rings of what comes out, without those that were on the stack before. */
  readonly rings: readonly number[];
  /** What holds it while it sets. */
  readonly on: Equipment;
  /** It goes onto what stands on the lathe already. */
  readonly ontoStack: boolean;
}

/** The joint between two rings of which one lies on the other. */
const jointOf = (a: number, b: number): number => Math.max(a, b);

/** The glue-ups of rings that go on after one another, `onto` a ring that is on already or none. */
export function gluedUpBy(
  stacking: Stacking,
  rings: readonly number[],
  onto: number | null,
  batch: number,
): GlueUp[] {
  if (stacking === 'rod') {
    const joints = rings.slice(1).map((ring, i) => jointOf(ring, rings[i]!));
    return joints.length > 0 ? [{ joints, rings, on: 'presses', ontoStack: false }] : [];
  }
  const { first, packs } =
    stacking === 'pairs' ? inPairs(rings) : stacking === 'batches' ? inBatches(rings, batch) : singly(rings);
  const glueUps = [...first];
  let on = onto;
  for (const pack of packs) {
    if (on !== null)
      glueUps.push({ joints: [jointOf(on, pack[0]!)], rings: pack, on: 'lathes', ontoStack: true });
    on = pack.at(-1)!;
  }
  return glueUps;
}

/** What is glued beside the lathe first, and the packs that go onto the stack one after the other. */
interface Packed {
  readonly first: readonly GlueUp[];
  readonly packs: readonly (readonly number[])[];
}

const singly = (rings: readonly number[]): Packed => ({ first: [], packs: rings.map((ring) => [ring]) });

function inBatches(rings: readonly number[], batch: number): Packed {
  const packs: number[][] = [];
  for (let i = 0; i < rings.length; i += batch) packs.push(rings.slice(i, i + batch));
  const first = packs
    .filter(({ length }) => length > 1)
    .map((pack): GlueUp => {
      const joints = pack.slice(1).map((ring, i) => jointOf(ring, pack[i]!));
      return { joints, rings: pack, on: 'plates', ontoStack: false };
    });
  return { first, packs };
}

function inPairs(rings: readonly number[]): Packed {
  const first: GlueUp[] = [];
  let packs = rings.map((ring) => [ring]);
  while (packs.length > 1) {
    const next: number[][] = [];
    for (let i = 0; i < packs.length; i += 2) {
      const [lower, upper] = [packs[i]!, packs[i + 1]];
      if (!upper) {
        next.push(lower);
        continue;
      }
      const both = [...lower, ...upper];
      first.push({
        joints: [jointOf(lower.at(-1)!, upper[0]!)],
        rings: both,
        on: 'presses',
        ontoStack: false,
      });
      next.push(both);
    }
    packs = next;
  }
  return { first, packs };
}
