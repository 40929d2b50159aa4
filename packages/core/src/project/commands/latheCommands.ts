import { current } from 'immer';
import { croppedForm } from '../../form/crop.js';
import type { CurvePoint } from '../../form/curve.js';
import { type Vessel, vesselOf } from '../../form/vessel.js';
import { type Mm, mm } from '../../measure/quantity.js';
import type { ReasonCode } from '../../measure/reasonCodes.js';
import { type Said, say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { type Prepared, prepare } from '../prepare.js';
import type { Project, Ring } from '../schema.js';
import { heightOf } from '../sizing.js';
import type { Command, Outcome } from './command.js';
import { fixSizes } from './fixCommands.js';
import { freeze } from './freeze.js';
import { freshId, usualSolid } from './stack.js';
import { lip } from './stretch.js';

const refused = (
  code: ReasonCode,
  path: string,
  message: Said,
  limits?: Readonly<Record<string, number>>,
): Outcome => ({
  reasons: [{ code, path, message, ...(limits && { limits }) }],
});

/**
 * The work sawn off at a height: what stands keeps its radii, woods and turns, r′(z) = r(z + cut) where the foot goes; what is gone is kept in the
 * record as sawn off. A ring that the cut goes through stays as high as what is left of it.
 */
export const sawOff = (atMm: number, gone: 'below' | 'above'): Command => ({
  label: `Sawn off ${gone} ${Math.round(atMm)} mm`,
  apply(draft, ripping) {
    const prepared = prepare(current(draft as object) as Project, ripping);
    if (!prepared.ok) return { reasons: prepared.reasons };
    const { vessel, rings } = prepared.value;
    const wrong = whyNot(draft, vessel, atMm);
    if (wrong) return wrong;
    const cut = atJoint(atMm, rings);
    const stands = gone === 'below' ? { from: cut, to: vessel.heightMm } : { from: 0, to: cut };
    const lost = rings.flatMap(({ course }, i) =>
      (gone === 'below' ? course.topMm <= cut + SAME_LENGTH : course.bottomMm >= cut - SAME_LENGTH)
        ? [i]
        : [],
    );
    if (lost.length === rings.length)
      return refused('nothing-left', 'atMm', say`A cut at ${sayMm(atMm)} leaves no ring; saw elsewhere.`);
    const through = rings.findIndex(
      ({ course }) => course.bottomMm < cut - SAME_LENGTH && course.topMm > cut + SAME_LENGTH,
    );
    const own = [...lost, ...(through >= 0 ? [through] : [])].filter(
      (i) => !draft.rings[i]!.fixed && draft.rings[i]!.making.way !== 'stock',
    );
    const sizes = own.length > 0 ? fixSizes(own).apply(draft, ripping) : undefined;
    if (sizes?.reasons) return sizes;
    // A motif counts its rings from below: it would show otherwise on what stands.
    freeze(draft, new Set(draft.motifs.map(({ id }) => id)));
    if (through >= 0) {
      const { bottomMm, topMm } = rings[through]!.course;
      shorten(draft.rings[through]!, gone === 'below' ? topMm - cut : cut - bottomMm);
    }
    const form = croppedForm(
      current(draft.form as object) as Project['form'],
      vessel,
      stands.from,
      stands.to,
    );
    draft.sawnOff = [
      ...(draft.sawnOff ?? []),
      { atMm: mm(atMm), gone, rings: lost.map((i) => draft.rings[i]!) },
    ];
    draft.rings = draft.rings.filter((_, i) => !lost.includes(i));
    draft.form = form;
    return told(draft as Project, prepared.value, lost.length, ripping);
  },
});

/** Less than this of a ring (mm) is sawn and sanded away with the cut. */
const LEAST_LEFT = 0.5;

/** The height of a cut, or of the joint that it comes so near to that nothing is left between. */
const atJoint = (atMm: number, rings: Prepared['rings']): number =>
  rings.map(({ course }) => course.topMm).find((top) => Math.abs(top - atMm) < LEAST_LEFT) ?? atMm;

function whyNot(draft: Project, { heightMm }: Vessel, atMm: number): Outcome | null {
  if (draft.slants?.length)
    return refused(
      'saw-slanted',
      'slants',
      'A piece with slanted bands is not sawn off here: its bands would have to be sawn with it. Take the bands out first.',
    );
  if (atMm > LEAST_LEFT && atMm < heightMm - LEAST_LEFT) return null;
  return refused(
    'cut-outside',
    'atMm',
    say`The cut at ${sayMm(atMm)} does not go through the work, which is ${sayMm(heightMm)} high.`,
    { least: LEAST_LEFT, most: heightMm - LEAST_LEFT },
  );
}

function shorten(ring: Ring, leftMm: number): void {
  if (ring.measured?.heightMm !== undefined) ring.measured.heightMm = mm(leftMm);
  else ring.heightMm = mm(leftMm);
}

/** Refuses where the ring that was cut through can no longer be made as it is; else says what is gone. */
function told(
  project: Project,
  was: Prepared,
  lost: number,
  ripping: Parameters<typeof prepare>[1],
): Outcome {
  const now = prepare(current(project as object) as Project, ripping);
  if (!now.ok) return { reasons: now.reasons };
  const broken = now.value.rings.find(
    ({ ring, made }) => !made.ok && was.rings.some((before) => before.ring.id === ring.id && before.made.ok),
  );
  if (broken && !broken.made.ok)
    return refused(
      'saw-at-joint',
      `rings.${broken.course.index}`,
      say`The cut goes through a ring that cannot be so low: ${broken.made.reasons[0]!.message} Saw at the joint above or below it.`,
    );
  return { note: say`${lost} ${lost === 1 ? 'ring is' : 'rings are'} sawn off and kept in the record.` };
}

/** A solid foot glued under the work: so thick, so wide at the bench, of a palette wood; all above comes up by it. */
export const newFoot = (heightMm: Mm, radiusMm: Mm, wood: string): Command => ({
  label: 'New foot',
  apply(draft) {
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
    for (const slant of draft.slants ?? []) slant.heightMm = mm(slant.heightMm + heightMm);
    draft.rings.unshift({ id: freshId(draft.rings), heightMm, making: usualSolid(), turn: 0, woods: [wood] });
    return undefined;
  },
});

/** A ring glued on top late, a cap or rim: made like the top one, of one wood; the form goes on to a new lip. */
export const newRim = (heightMm: Mm, radiusMm: Mm, wood: string): Command => ({
  label: 'New rim',
  apply(draft) {
    const { form } = draft;
    if (form.lid)
      return refused(
        'lid-line',
        'form.lid',
        'A piece with a lid ends in its knob; nothing is glued on top of that here.',
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
      return refused(
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
