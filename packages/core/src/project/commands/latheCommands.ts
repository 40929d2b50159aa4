import { current } from 'immer';
import type { CurvePoint } from '../../form/curve.js';
import { vesselOf } from '../../form/vessel.js';
import { segmentCount } from '../../making/segments.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import type { Project, Ring } from '../schema.js';
import { reasonsOf } from '../sentences.js';
import { heightOf } from '../sizing.js';
import type { Command } from './command.js';
import { refusedEdit } from './refusedEdit.js';
import { freshId, usualSegments, usualSolid } from './stack.js';
import { lip } from './stretch.js';

/**
 * A foot glued under the work: so thick, so wide at the bench, of a palette wood; all above comes up by it. A disc, or a ring of so many segments
 * whose points meet in the middle.
 */
export const newFoot = (
  heightMm: Mm,
  radiusMm: Mm,
  wood: string,
  segments: number | null = null,
): Command => ({
  label: 'New foot',
  apply(draft) {
    const counted = segmentCount.nullable().safeParse(segments);
    if (!counted.success) return { reasons: reasonsOf(counted.error) };
    const { form } = draft;
    const up = (point: CurvePoint): CurvePoint => ({ ...point, heightMm: mm(point.heightMm + heightMm) });
    const [old, ...rest] = form.points.map(up);
    form.points = [{ radiusMm, heightMm: mm(0), kind: 'smooth' }, { ...old!, kind: 'corner' }, ...rest];
    form.recess = null;
    if (form.lid) form.lid.heightMm = mm(form.lid.heightMm + heightMm);
    if (form.inside.by === 'curve') form.inside.points = form.inside.points.map(up);
    else {
      form.inside.floorMm = mm(form.inside.floorMm + heightMm);
      if (form.inside.walls.length > 1)
        form.inside.walls = form.inside.walls.map((wall) => ({
          ...wall,
          heightMm: mm(wall.heightMm + heightMm),
        }));
    }
    for (const inlay of draft.inlays ?? []) inlay.heightMm = mm(inlay.heightMm + heightMm);
    for (const slant of draft.slants ?? []) slant.heightMm = mm(slant.heightMm + heightMm);
    const making = segments === null ? usualSolid() : usualSegments(segments);
    const woods = Array.from({ length: segments ?? 1 }, () => wood);
    draft.rings.unshift({ id: freshId(draft.rings), heightMm, making, turn: 0, woods });
    return undefined;
  },
});

/** A ring glued on top late, a cap or rim: made like the top one, of one wood; the form goes on to a new lip. */
export const newRim = (heightMm: Mm, radiusMm: Mm, wood: string): Command => ({
  label: 'New rim',
  apply(draft) {
    const { form } = draft;
    if (form.lid)
      return refusedEdit(
        'lid-line',
        'form.lid',
        form.lid.joined
          ? 'A hollow without a mouth has no rim: nothing is glued on top of it here.'
          : 'A piece with a lid ends in its knob; nothing is glued on top of that here.',
      );
    const top = lip(form.points) + heightMm;
    form.points.push({ radiusMm, heightMm: mm(top), kind: 'smooth' });
    const { inside } = form;
    if (inside.by === 'curve') {
      const last = inside.points.at(-1)!;
      inside.points.push({
        radiusMm: mm(Math.max(0, radiusMm - (form.points.at(-2)!.radiusMm - last.radiusMm))),
        heightMm: mm(top),
        kind: 'smooth',
      });
    }
    const below = draft.rings.at(-1)!;
    const stack = draft.rings.reduce((sum, ring) => sum + heightOf(ring), 0);
    const { measured: _, locked: __, fixed: ___, cut: ____, motif: _____, ...like } = below;
    const making = JSON.parse(JSON.stringify(like.making)) as Ring['making'];
    draft.rings.push({
      ...like,
      id: freshId(draft.rings),
      making,
      heightMm: mm(Math.max(0.5, top - stack)),
      woods: below.woods.map(() => wood),
    });
    return undefined;
  },
});

/** The outside as it was turned: measured radii at heights take the place of its points; its ends stay where none was measured. */
export const curveAsTurned = (
  measured: readonly { readonly heightMm: Mm; readonly radiusMm: Mm }[],
): Command => ({
  label: 'Outside as turned',
  apply({ form }) {
    const top = lip(form.points);
    const high = measured.find(({ heightMm }) => heightMm > top + SAME_LENGTH);
    if (high)
      return refusedEdit(
        'cut-outside',
        'heightMm',
        say`Nothing can be measured at ${sayMm(high.heightMm)}: the lip is at ${sayMm(top)}.`,
        { most: top },
      );
    const points = [...measured]
      .sort((a, b) => a.heightMm - b.heightMm)
      .map(({ heightMm, radiusMm }): CurvePoint => ({ heightMm, radiusMm, kind: 'smooth' }));
    const [first, last] = [points[0], points.at(-1)];
    if (!first || first.heightMm > SAME_LENGTH) points.unshift({ ...form.points[0]!, kind: 'smooth' });
    if (!last || last.heightMm < top - SAME_LENGTH) points.push({ ...form.points.at(-1)!, kind: 'smooth' });
    form.points = points.map(({ radiusMm, heightMm, kind }) => ({ radiusMm, heightMm, kind }));
    const made = vesselOf(current(form as object) as Project['form']);
    return made.ok ? undefined : { reasons: made.reasons };
  },
});

/** A disc let into the bottom, or none any more. */
export const setLetIn = (letIn: Project['letIn'] | null): Command => ({
  label: 'Disc let into the bottom',
  apply(draft) {
    if (letIn) draft.letIn = { ...letIn };
    else delete draft.letIn;
    return undefined;
  },
});
