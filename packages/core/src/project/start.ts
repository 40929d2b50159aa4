import type { Form } from '../form/shape.js';
import { STARTING_SHAPES, startingForm } from '../form/starting.js';
import { solidSomewhere, vesselOf } from '../form/vessel.js';
import { groupsOf } from '../making/registry.js';
import { type Mm, mm } from '../measure/quantity.js';
import { type Result, refuse } from '../measure/reason.js';
import { say } from '../measure/said.js';
import { usualSegments, usualShell, usualSolid } from './commands/stack.js';
import { readProject } from './inspect.js';
import { type Project, type Ring, SCHEMA_VERSION } from './schema.js';

/** What a new piece is begun with. */
export interface Beginning {
  readonly name: string;
  readonly shape: string;
  readonly heightMm: Mm;
  readonly diameterMm: Mm;
  readonly wallMm: Mm;
  readonly ringHeightMm: Mm;
  readonly count: number;
  /** Ids of species: the first for the rings, the others ready on the palette. */
  readonly woods: readonly [string, ...string[]];
}

export const USUAL_ALLOWANCES = { outsideMm: mm(4), insideMm: mm(4) };

/** A new piece: the shape to size, rings of one height in brick bond, solid discs where the form is solid; or one shell of panels. */
export function startProject(beginning: Beginning): Result<Project> {
  const shape = STARTING_SHAPES.find(({ id }) => id === beginning.shape);
  if (!shape) return refuse('shape-unknown', 'shape', say`There is no starting shape “${beginning.shape}”.`);
  const form = betweenRings(
    startingForm(shape, beginning.heightMm, beginning.diameterMm, beginning.wallMm),
    beginning.ringHeightMm,
  );
  const vessel = vesselOf(form);
  if (!vessel.ok) return vessel;
  const palette = usualPalette(beginning.woods);
  const whole = (rings: readonly Ring[]) =>
    readProject({
      schema: SCHEMA_VERSION,
      name: beginning.name,
      form,
      rings,
      motifs: [],
      palette,
      allowances: USUAL_ALLOWANCES,
      underlay: null,
    });
  if (shape.shell) return whole([shellIn(beginning)]);
  const total = Math.ceil(beginning.heightMm / beginning.ringHeightMm - 1e-9);
  const rings = Array.from({ length: Math.min(total, 1000) }, (_, i): Ring => {
    const from = i * beginning.ringHeightMm;
    const solid = solidSomewhere(vessel.value, from, from + beginning.ringHeightMm);
    const ring = { id: `r${i + 1}`, heightMm: beginning.ringHeightMm };
    if (solid) return { ...ring, making: usualSolid(), turn: 0, woods: [beginning.woods[0]] };
    const woods = Array.from({ length: Math.min(beginning.count, 1000) }, () => beginning.woods[0]);
    return { ...ring, making: usualSegments(beginning.count), turn: i % 2 === 1 ? 0.5 : 0, woods };
  });
  return whole(rings);
}

/** A shell for the whole height: panels of the first wood, those between them of the second. */
function shellIn({ heightMm, woods: [first, second = first] }: Beginning): Ring {
  const making = usualShell();
  const woods = groupsOf(making).flatMap(({ count }, group) =>
    Array.from({ length: count }, () => (group === 0 ? first : second)),
  );
  return { id: 'r1', heightMm, making, turn: 0, woods };
}

/** Two halves that are joined for good are joined where a ring ends, as long as that lies in the hollow. */
function betweenRings(form: Form, ringHeightMm: number): Form {
  if (!form.lid?.joined) return form;
  const rings = Math.max(1, Math.round(form.lid.heightMm / ringHeightMm));
  const moved = { ...form, lid: { ...form.lid, heightMm: mm(rings * ringHeightMm) } };
  return vesselOf(moved).ok ? moved : form;
}

/** The first wood light, the others dark. */
export const usualPalette = (woods: readonly string[]): Project['palette'] =>
  woods.map((wood, i) => ({ key: wood, tone: i === 0 ? ('light' as const) : ('dark' as const), wood }));
