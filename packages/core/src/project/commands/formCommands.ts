import { LEAST_RIM } from '../../form/recess.js';
import type { Form, FormPoint, Lid, Recess } from '../../form/shape.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { Reason } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import type { Project, Underlay } from '../schema.js';
import type { Command } from './command.js';
import { fitStack } from './stack.js';
import { lip, noted, setTop, steepen, stretch } from './stretch.js';

const widest = (points: readonly FormPoint[]): number => Math.max(...points.map((point) => point.radiusMm));

/** The form made taller or lower, everything in it in proportion; rings are added or taken away at the top. */
export const setFormHeight = (heightMm: Mm): Command => ({
  label: 'Height',
  apply(draft) {
    const { form } = draft;
    if (!(heightMm > 0)) return { reasons: [mustBeAboveNothing('Height', 'form.heightMm', heightMm)] };
    stretch(draft, heightMm / lip(form.points));
    setTop(form, heightMm);
    return noted(fitStack(draft));
  },
});

/** The form made wider or narrower, heights unchanged; the widest curve point comes to the diameter. */
export const setDiameter = (diameterMm: Mm): Command => ({
  label: 'Diameter',
  apply({ form }) {
    if (!(diameterMm > 0))
      return { reasons: [mustBeAboveNothing('Diameter', 'form.diameterMm', diameterMm)] };
    const factor = diameterMm / 2 / widest(form.points);
    const all = form.inside.by === 'curve' ? [...form.points, ...form.inside.points] : form.points;
    for (const point of all) {
      point.radiusMm = mm(point.radiusMm * factor);
      steepen(point, factor);
    }
    if (form.recess) form.recess.radiusMm = mm(form.recess.radiusMm * factor);
    return undefined;
  },
});

const mustBeAboveNothing = (label: string, path: string, given: number): Reason => ({
  code: 'too_small',
  path,
  message: say`${label} is ${sayMm(given)}; it has to be more than ${sayMm(0)}.`,
  limits: { least: 0 },
});

export const setRecess = (recess: Recess | null): Command => ({
  label: 'Foot recess',
  apply({ form }) {
    form.recess = recess && { ...recess };
    return undefined;
  },
});

/** A foot recess of usual size: two thirds of the foot, as deep as a third of the floor allows, 3 mm at most. */
export function usualRecess({ points, inside }: Form): Recess {
  const floor = inside.by === 'wall' ? inside.floorMm : inside.points[0]!.heightMm;
  const depth = Math.max(0.5, Math.min(3, (floor - LEAST_RIM) / 3));
  return { radiusMm: mm((points[0]!.radiusMm * 2) / 3), depthMm: mm(depth) };
}

export const setLid = (lid: Lid | null): Command => ({
  label: 'Lid',
  apply({ form }) {
    form.lid = lid && { ...lid };
    const { inside, points } = form;
    if (inside.by === 'curve')
      inside.points[inside.points.length - 1]!.heightMm = mm(lip(points) - (lid?.roofMm ?? 0));
    return undefined;
  },
});

/** A lid of usual size: parted at three quarters of the height, a tenth of it solid at the top. */
export function usualLid({ points, inside }: Form): Lid {
  const top = lip(points);
  const floor = inside.by === 'wall' ? inside.floorMm : inside.points[0]!.heightMm;
  return { heightMm: mm(floor + (top - floor) * 0.7), roofMm: mm(Math.max(1, (top - floor) * 0.1)) };
}

export const setAllowance = (side: 'outsideMm' | 'insideMm', value: Mm): Command => ({
  label: side === 'outsideMm' ? 'Outside allowance' : 'Inside allowance',
  apply({ allowances }) {
    allowances[side] = value;
    return undefined;
  },
});

export const setUnderlay = (underlay: Underlay | null): Command => ({
  label: 'Picture underneath',
  apply(draft: Project) {
    draft.underlay = underlay && { ...underlay };
    return undefined;
  },
});
