import { layerMargins } from '../check/layerMargins.js';
import { radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import { bodyOf } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { done, type Result, refuse } from '../measure/reason.js';
import { say } from '../measure/said.js';
import { wallBand } from '../ring/need.js';
import type { Band } from '../ring/overlap.js';
import type { Errors } from '../settings/errors.js';
import type { WallRing } from '../simulate/borders.js';
import { build } from '../simulate/build.js';
import { builtMade } from '../simulate/builtMade.js';
import { linesOver } from '../simulate/lines.js';
import type { Method, RingToBuild, ToBuild } from '../simulate/subject.js';
import type { Prepared, PreparedRing } from './prepare.js';

const NO_WALL: Band = { outerRadiusMm: 0, innerRadiusMm: 0 };
/** Up and down by this (mm), to see how the wall changes with the height. */
const NEAR = 0.5;

/** A piece as it is planned, made ready to be built many times; refused while one of its rings cannot be made, or is no ring but a shell. */
export function toBuild(prepared: Prepared): Result<ToBuild> {
  const rings = ringsToBuild(prepared);
  if (!rings.ok) return rings;
  const { vessel } = prepared;
  return done({
    rings: rings.value,
    lines: linesOver(prepared.rings.map((ring) => wallRing(ring, vessel))),
    floor: floorOf(vessel, rings.value),
  });
}

function ringsToBuild({ vessel, rings }: Prepared): Result<RingToBuild[]> {
  const ready: RingToBuild[] = [];
  for (const [i, ring] of rings.entries()) {
    if (!ring.made.ok)
      return refuse(
        'cannot-rehearse',
        `rings.${i}`,
        say`Ring ${i + 1} cannot be made as it is; put it right, then the build can be tried.`,
      );
    if (ring.made.value.ball !== null)
      return refuse(
        'cannot-rehearse',
        `rings.${i}`,
        say`Ring ${i + 1} is a shell of panels: how these come out when they are sawn and glued is not worked out here.`,
      );
    const { made, turn, stands, wallAlong } = ring;
    const meets = stands.bottomMm < vessel.heightMm;
    ready.push({
      made: made.value,
      turn,
      bottomMm: stands.bottomMm,
      topMm: stands.topMm,
      body: bodyOf(ring.ring.making),
      wall: meets ? wallAlong : NO_WALL,
      risesBy: meets ? risesBy(vessel, ring) : NO_WALL,
      layerLeftMm: layerLeft(ring, vessel),
    });
  }
  return done(ready);
}

/** How the wall that a ring has to hold changes for every mm that it stands higher. */
function risesBy(vessel: Vessel, { stands }: PreparedRing): Band {
  const at = (by: number) =>
    wallBand(vessel, {
      bottomMm: mm(Math.max(0, Math.min(stands.bottomMm + by, vessel.heightMm - NEAR))),
      topMm: mm(Math.max(NEAR, stands.topMm + by)),
    });
  const [low, high] = [at(-NEAR), at(NEAR)];
  return {
    outerRadiusMm: (high.outerRadiusMm - low.outerRadiusMm) / (2 * NEAR),
    innerRadiusMm: (high.innerRadiusMm - low.innerRadiusMm) / (2 * NEAR),
  };
}

function layerLeft({ made, course, reaches }: PreparedRing, vessel: Vessel): number | null {
  if (!made.ok || made.value.layers.length === 0) return null;
  const { layers, gives } = made.value;
  const left = layerMargins({ layers, course, reaches, gives }, vessel).flatMap(
    ({ outsideLeftMm, insideLeftMm }) => [outsideLeftMm, insideLeftMm],
  );
  // What is cut through as it is drawn is meant so, and no error breaks it.
  const whole = left.filter((margin) => margin > 0);
  return whole.length > 0 ? Math.min(...whole) : null;
}

function wallRing({ ring, made, turn, stands }: PreparedRing, vessel: Vessel): WallRing | null {
  if (!made.ok || stands.bottomMm >= vessel.heightMm) return null;
  return {
    made: made.value,
    turn,
    woods: ring.woods,
    topRadiusMm: stands.topMm >= vessel.heightMm ? 0 : radiusAt(vessel.outside, Math.max(0, stands.topMm)),
  };
}

/** A joint as near under the floor as this is meant to be cut to (mm). */
const AT_FLOOR = 0.05;

/** The joint under the hollow's floor, where there is one. */
function floorOf({ inside, hollowFromMm }: Vessel, rings: readonly RingToBuild[]): ToBuild['floor'] {
  if (!inside) return null;
  const ring = rings.findLastIndex(({ topMm }) => topMm < hollowFromMm - AT_FLOOR);
  return ring < 0 ? null : { fromMm: hollowFromMm, ring };
}

/** The same piece as one build of it came out: every drawing of it shows its gaps and steps as they are. */
export function asBuilt(prepared: Prepared, errors: Errors, method: Method, seed: number): Result<Prepared> {
  const ready = ringsToBuild(prepared);
  if (!ready.ok) return ready;
  // What is seen of it does not come in.
  const built = build({ rings: ready.value, lines: [], floor: null }, errors, method, seed);
  const { heightMm } = prepared.vessel;
  return done({
    ...prepared,
    rings: prepared.rings.map((ring, i) => {
      const is = built.rings[i]!;
      if (!ring.made.ok) return ring;
      // Bands through a stack are drawn where they are planned: its rings keep their heights.
      if (prepared.cuts.length > 0)
        return { ...ring, made: done(builtMade(ring.made.value, { ...is, ...heightsOf(ring) })) };
      const lifted = is.bottomMm + ready.value[0]!.bottomMm;
      const stands = { ...ring.stands, bottomMm: mm(lifted), topMm: mm(lifted + is.topMm - is.bottomMm) };
      const [fromMm, toMm] = [stands.bottomMm, Math.min(heightMm, stands.topMm)];
      return {
        ...ring,
        made: done(builtMade(ring.made.value, is)),
        stands,
        course: stands,
        reaches: ring.reaches.map((reach) => ({ ...reach, fromMm, toMm })),
      };
    }),
  });
}

const heightsOf = ({ course: { bottomMm, topMm } }: PreparedRing) => ({ bottomMm, topMm });
