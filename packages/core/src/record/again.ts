import { type Mm, mm } from '../measure/quantity.js';
import { done, type Result } from '../measure/reason.js';
import { type Command, run } from '../project/commands/command.js';
import { setDiameter } from '../project/commands/formCommands.js';
import { fitStack } from '../project/commands/stack.js';
import { noted, setTop, stretch } from '../project/commands/stretch.js';
import { copyOf } from '../project/copy.js';
import { mirrorImage } from '../project/mirror.js';
import type { Ripping } from '../project/ripping.js';
import type { Project, Ring } from '../project/schema.js';

/** How a piece is made once more. */
export interface Once {
  readonly name: string;
  readonly heightMm: Mm;
  /** Across the widest place. */
  readonly diameterMm: Mm;
  /** Whether wall and floor stay as thick as they are, or become thicker and thinner as the piece becomes wider and narrower. */
  readonly walls: 'kept' | 'scaled';
  /** Whether rings keep the height of the boards, and others are put on top or taken away, or all of them become higher or lower. */
  readonly rings: 'kept' | 'scaled';
  /** Other woods, by palette key. */
  readonly woods: Readonly<Record<string, string>>;
  readonly mirrored: boolean;
}

/**
 * A piece of its own like another: larger or smaller, in other woods, as in a mirror. What was measured, cut or sawn off
 * of the old one is its own, and so is what stands on its passport but for the maker. Refused with its sentence where it cannot be.
 */
export function madeAgain(project: Project, once: Once, ripping?: Ripping): Result<Project> {
  const fresh = planned(copyOf(project, once.name));
  const own = once.mirrored ? mirrorImage(fresh, once.name) : fresh;
  const scaled = run(own, scaling(own, once), ripping);
  return scaled.ok ? done(scaled.value.project) : scaled;
}

function planned({ sawnOff: _, passport, ...project }: Project): Project {
  const bare = ({ measured: _, cut: __, fixed: ___, locked: ____, ...ring }: Ring): Ring => ring;
  return {
    ...project,
    rings: project.rings.map(bare),
    ...(project.slants && { slants: project.slants.map(({ made: _, ...slant }) => slant) }),
    ...(passport && { passport: { maker: passport.maker, number: '', made: '', note: '' } }),
  };
}

/** Most pieces that are made at once. */
export const MOST_AT_ONCE = 24;

/** So many of a piece, numbered: each is a piece of its own, with its own journal and passport. */
export const manyOf = (project: Project, count: number): Project[] =>
  count <= 1
    ? [project]
    : Array.from({ length: count }, (_, i) => {
        const number = `${i + 1} of ${count}`;
        const { maker = '', made = '', note = '' } = project.passport ?? {};
        return {
          ...copyOf(project, `${project.name.slice(0, 68)}, ${number}`),
          passport: { maker, number, made, note },
        };
      });

const scaling = (project: Project, once: Once): Command => ({
  label: 'Made again',
  apply(draft) {
    const high = once.heightMm / project.form.points.at(-1)!.heightMm;
    const widest = 2 * Math.max(...project.form.points.map(({ radiusMm }) => radiusMm));
    const wide = once.diameterMm / widest;
    if (wide !== 1) {
      const outcome = setDiameter(once.diameterMm).apply(draft);
      if (outcome?.reasons) return outcome;
    }
    const { inside } = draft.form;
    if (high !== 1) {
      stretch(draft, high);
      setTop(draft.form, once.heightMm);
      for (const slant of draft.slants ?? []) slant.heightMm = mm(slant.heightMm * high);
    }
    if (inside.by === 'wall' && project.form.inside.by === 'wall') {
      const times = once.walls === 'scaled' ? wide : 1;
      inside.floorMm = mm(project.form.inside.floorMm * times);
      for (const wall of inside.walls) wall.wallMm = mm(wall.wallMm * times);
    }
    for (const entry of draft.palette) entry.wood = once.woods[entry.key] ?? entry.wood;
    if (once.rings === 'scaled') for (const ring of draft.rings) ring.heightMm = mm(ring.heightMm * high);
    return noted(fitStack(draft));
  },
});
