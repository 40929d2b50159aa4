import { freeze } from 'immer';
import type { Form } from '../form/shape.js';
import { begun, type ParamsOf, placesOf, type RingMaking, tonesOf } from '../making/registry.js';
import { START_OF } from '../making/segmented/starts.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { keyOfTone } from '../pattern/tones.js';
import { type Command, run } from '../project/commands/command.js';
import { type Project, type Ring, SCHEMA_VERSION } from '../project/schema.js';

type Palette = Project['palette'];

export const entry = (key: string, tone: Palette[number]['tone']) => ({ key, tone, wood: key });

/** A ring of the demo, mm: its woods are those that its way means, or one wood all through. */
export type Course = readonly [heightMm: number, making: RingMaking, turn: number, wood?: string];

export const flat = (count: number): RingMaking => ({ way: 'segmented', count });
export const disc: RingMaking = { way: 'disc' };

const from = (segments: number) => ({ segments, body: 'section-1' });

/** A piece of the demo with some edits; each of them can be made. */
export const edited = (begun: Project, ...commands: Command[]): Project =>
  commands.reduce((project, command) => {
    const done = run(project, command);
    if (!done.ok) throw new Error(`${project.name}: ${plain(done.reasons[0]!.message)}`);
    return done.value.project;
  }, begun);

/** A piece of the demo: drawn when it is first asked for, and frozen as every document is that is worked on. */
export const drawnOnce = (draw: () => Project): (() => Project) => {
  let drawn: Project | undefined;
  return () => {
    drawn ??= freeze(draw(), true);
    return drawn;
  };
};

type Segmented = ParamsOf<'segmented'>;
type SawnFrom = NonNullable<Segmented['sawnFrom']>;

/** Segments sawn from something as they are started, some of it changed, and other answers beside it. */
export const sawn = <I extends SawnFrom['is']>(
  is: I,
  segments: number,
  change: Partial<Extract<SawnFrom, { is: I }>> = {},
  beside: Partial<Segmented> = {},
): Segmented => {
  const begin = begun(START_OF[is], from(segments)) as Segmented;
  return { ...begin, ...beside, sawnFrom: { ...begin.sawnFrom, ...change } as SawnFrom };
};

function ring([heightMm, making, turn, wood]: Course, i: number, palette: Palette): Ring {
  const meant = wood === undefined ? tonesOf(making)?.map((tone) => keyOfTone(palette, tone)) : undefined;
  return {
    id: `r${i + 1}`,
    heightMm: mm(heightMm),
    making,
    turn,
    woods: meant ?? Array.from({ length: placesOf(making) }, () => wood ?? palette[0]!.key),
  };
}

/** Radii over heights of the outside, mm; a wall of one thickness and a floor. */
export const form = (
  points: readonly (readonly [radius: number, height: number, corner?: 'corner'])[],
  wall: number,
  floor: number,
): Form => ({
  points: points.map(([radius, height, corner]) => ({
    radiusMm: mm(radius),
    heightMm: mm(height),
    kind: corner ?? 'smooth',
  })),
  inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(wall) }], floorMm: mm(floor) },
  recess: null,
  lid: null,
});

export const piece = (name: string, shape: Form, palette: Palette, courses: readonly Course[]): Project => ({
  schema: SCHEMA_VERSION,
  name,
  form: shape,
  rings: courses.map((course, i) => ring(course, i, palette)),
  palette,
  allowances: { outsideMm: mm(4), insideMm: mm(4) },
  motifs: [],
  underlay: null,
});
