import type { Fit } from '../form/corridor.js';
import { placesOf } from '../making/registry.js';
import { type Mm, mm } from '../measure/quantity.js';
import { type Result, refuse } from '../measure/reason.js';
import { say } from '../measure/said.js';
import { run } from './commands/command.js';
import { fitForm } from './commands/fitCommands.js';
import { usualSegments, usualSolid } from './commands/stack.js';
import { readProject } from './inspect.js';
import { type Project, type Ring, SCHEMA_VERSION } from './schema.js';
import { usualPalette } from './start.js';

/** One size of ring, as it is after it has been trued, and how many of it lie on each other. */
export interface RingSize {
  readonly outerDiameterMm: Mm;
  /** 0: solid, a disc. */
  readonly innerDiameterMm: Mm;
  readonly heightMm: Mm;
  readonly rings: number;
}

/** What a piece is begun with when the rings come first: sizes from the bottom up. */
export interface RingsBeginning {
  readonly name: string;
  readonly sizes: readonly RingSize[];
  readonly wallMm: Mm;
  /** Segments of a ring with a hole. */
  readonly count: number;
  readonly woods: readonly [string, ...string[]];
  readonly fit: Fit;
  /** Left on either side for truing; 0 where the rings were trued dry. */
  readonly truingMm: Mm;
}

/** A new piece from rings of a few sizes, in brick bond, and the curve that fits inside them. */
export function startFromRings(beginning: RingsBeginning): Result<Project> {
  const { sizes, wallMm } = beginning;
  if (sizes.length === 0) return refuse('no-rings', 'sizes', 'List at least one size of ring.');
  const odd = sizes.findIndex(({ rings }) => !Number.isInteger(rings) || rings < 1 || rings > 400);
  if (odd >= 0)
    return refuse(
      'ring-number',
      `sizes.${odd}.rings`,
      say`Size ${odd + 1}: the number of rings is ${sizes[odd]!.rings}; it has to be a whole number from 1 to 400.`,
    );
  const rings = ringsOf(beginning);
  const heightMm = mm(rings.reduce((sum, ring) => sum + ring.heightMm, 0));
  const radius = mm(Math.max(2, Math.min(...sizes.map(({ outerDiameterMm }) => outerDiameterMm / 2)) - 1));
  const floorMm = sizes[0]!.innerDiameterMm > 0 ? heightMm : sizes[0]!.heightMm;
  const draft = readProject({
    schema: SCHEMA_VERSION,
    name: beginning.name,
    form: {
      points: [
        { radiusMm: radius, heightMm: 0, kind: 'smooth' },
        { radiusMm: radius, heightMm, kind: 'smooth' },
      ],
      inside: { by: 'wall', walls: [{ heightMm: 0, wallMm: Math.min(wallMm, radius / 2) }], floorMm },
      recess: null,
      lid: null,
    },
    rings,
    palette: usualPalette(beginning.woods),
    allowances: { outsideMm: beginning.truingMm, insideMm: beginning.truingMm },
    motifs: [],
    underlay: null,
  });
  if (!draft.ok) return draft;
  const walled = run(draft.value, {
    label: 'Wall',
    apply(project) {
      if (project.form.inside.by === 'wall') project.form.inside.walls = [{ heightMm: mm(0), wallMm }];
      return fitForm(beginning.fit).apply(project);
    },
  });
  return walled.ok ? { ok: true, value: walled.value.project } : walled;
}

function ringsOf({ sizes, count, woods }: RingsBeginning): Ring[] {
  const each = sizes.flatMap((size) => Array.from({ length: size.rings }, () => size));
  return each.map(({ outerDiameterMm, innerDiameterMm, heightMm }, i): Ring => {
    const making = innerDiameterMm === 0 ? usualSolid() : usualSegments(count);
    return {
      id: `r${i + 1}`,
      heightMm,
      making,
      turn: (i % 2) / 2,
      woods: Array.from({ length: Math.min(2000, placesOf(making)) }, () => woods[0]),
      fixed: { outerRadiusMm: mm(outerDiameterMm / 2), innerRadiusMm: mm(innerDiameterMm / 2) },
    };
  });
}
