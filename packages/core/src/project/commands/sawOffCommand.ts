import { current } from 'immer';
import { croppedForm } from '../../form/crop.js';
import type { Vessel } from '../../form/vessel.js';
import { bodyOf } from '../../making/registry.js';
import { mm } from '../../measure/quantity.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { type Prepared, prepare } from '../prepare.js';
import type { Project, Ring } from '../schema.js';
import type { Command, Outcome } from './command.js';
import { fixSizes } from './fixCommands.js';
import { freeze } from './freeze.js';
import { refusedEdit } from './refusedEdit.js';

/**
 * The work sawn off at a height: what stands keeps its radii, woods and turns, r′(z) = r(z + cut) where the foot goes; what is gone is kept in the
 * record as sawn off. A ring that the cut goes through stays as high as what is left of it.
 */
export const sawOff = (atMm: number, gone: 'below' | 'above'): Command => ({
  label: `Sawn off ${gone} ${Math.round(atMm)} mm`,
  apply(draft, ripping) {
    const prepared = prepare(current(draft as object) as Project, ripping);
    if (!prepared.ok) return { reasons: prepared.reasons };
    const { vessel, rings, bands } = prepared.value;
    const cut = atJoint(atMm, rings);
    const wrong = whyNot(vessel, atMm) ?? whyNotBands(bands, cut, gone);
    if (wrong) return wrong;
    const stands = gone === 'below' ? { from: cut, to: vessel.heightMm } : { from: 0, to: cut };
    const lost = rings.flatMap(({ stands: ring }, i) =>
      (gone === 'below' ? ring.topMm <= cut + SAME_LENGTH : ring.bottomMm >= cut - SAME_LENGTH) ? [i] : [],
    );
    if (lost.length === rings.length)
      return refusedEdit('nothing-left', 'atMm', say`A cut at ${sayMm(atMm)} leaves no ring; saw elsewhere.`);
    const through = rings.findIndex(
      ({ stands: ring }) => ring.bottomMm < cut - SAME_LENGTH && ring.topMm > cut + SAME_LENGTH,
    );
    const touched = [...lost, ...(through >= 0 ? [through] : [])];
    // Slices of a glue-up that stand keep the size that they had with those that go.
    const bodies = new Set(touched.flatMap((i) => bodyOf(draft.rings[i]!.making) ?? []));
    const own = draft.rings.flatMap(({ making, fixed }, i) => {
      const goes = touched.includes(i) || bodies.has(bodyOf(making) ?? '');
      return goes && !fixed && making.way !== 'stock' ? [i] : [];
    });
    const sizes = own.length > 0 ? fixSizes(own).apply(draft, ripping) : undefined;
    if (sizes?.reasons) return sizes;
    // A motif counts its rings from below: it would show otherwise on what stands.
    freeze(draft, new Set(draft.motifs.map(({ id }) => id)));
    if (through >= 0) {
      const { course, stands: at } = rings[through]!;
      const off = gone === 'below' ? cut - at.bottomMm : at.topMm - cut;
      shorten(draft.rings[through]!, course.topMm - course.bottomMm - off);
    }
    const form = croppedForm(
      current(draft.form as object) as Project['form'],
      vessel,
      stands.from,
      stands.to,
    );
    const slants = bandsAfter(draft, bands, cut, gone);
    draft.sawnOff = [
      ...(draft.sawnOff ?? []),
      {
        atMm: mm(atMm),
        gone,
        rings: lost.map((i) => draft.rings[i]!),
        ...(slants.length > 0 && { slants }),
      },
    ];
    draft.rings = draft.rings.filter((_, i) => !lost.includes(i));
    draft.form = form;
    inlaysAfter(draft, cut, gone);
    return told(draft as Project, prepared.value, lost.length, ripping);
  },
});

/** Less than this of a ring (mm) is sawn and sanded away with the cut. */
const LEAST_LEFT = 0.5;

/** The height of a cut, or of the joint that it comes so near to that nothing is left between. */
const atJoint = (atMm: number, rings: Prepared['rings']): number =>
  rings.map(({ stands }) => stands.topMm).find((top) => Math.abs(top - atMm) < LEAST_LEFT) ?? atMm;

function whyNot({ heightMm }: Vessel, atMm: number): Outcome | null {
  if (atMm > LEAST_LEFT && atMm < heightMm - LEAST_LEFT) return null;
  return refusedEdit(
    'cut-outside',
    'atMm',
    say`The cut at ${sayMm(atMm)} does not go through the work, which is ${sayMm(heightMm)} high.`,
    { least: LEAST_LEFT, most: heightMm - LEAST_LEFT },
  );
}

/** Between which heights a slanted band lies in the turned piece. */
function extentOf({ reaches, slant }: Prepared['bands'][number]): readonly [from: number, to: number] {
  const ends = reaches.flatMap(({ fromMm, toMm }) => [fromMm, toMm]);
  return ends.length > 0 ? [Math.min(...ends), Math.max(...ends)] : [slant.heightMm, slant.heightMm];
}

/** A cut goes clear of slanted bands; and what lies above a band was moved sideways by it, so that it does not stand without it. */
function whyNotBands(bands: Prepared['bands'], cut: number, gone: 'below' | 'above'): Outcome | null {
  for (const [i, band] of bands.entries()) {
    const [from, to] = extentOf(band);
    if (cut > from && cut < to)
      return refusedEdit(
        'saw-slanted',
        'atMm',
        say`The cut at ${sayMm(cut)} goes through slanted band ${i + 1}, which lies between ${sayMm(from)} and ${sayMm(to)}. Saw below or above it.`,
      );
    if (gone === 'below' && to <= cut)
      return refusedEdit(
        'saw-slanted',
        'atMm',
        say`Slanted band ${i + 1} would be sawn off with what is below, and what stands above it was moved sideways by it. Saw below ${sayMm(Math.min(...bands.map((each) => extentOf(each)[0])))}, or take the band out first.`,
      );
  }
  return null;
}

/** Bands that stand come down with what is sawn off below them; those that are gone are taken out, and given back. */
function bandsAfter(
  draft: Project,
  bands: Prepared['bands'],
  cut: number,
  gone: 'below' | 'above',
): NonNullable<Project['slants']> {
  if (!draft.slants) return [];
  if (gone === 'below') {
    for (const slant of draft.slants) slant.heightMm = mm(slant.heightMm - cut);
    return [];
  }
  const all = draft.slants;
  const isGone = (i: number) => extentOf(bands[i]!)[0] >= cut;
  draft.slants = all.filter((_, i) => !isGone(i));
  if (draft.slants.length === 0) delete draft.slants;
  return all.filter((_, i) => isGone(i));
}

/** Inlays that stand come down with what is sawn off below them; those whose middle is gone are gone. */
function inlaysAfter(draft: Project, cut: number, gone: 'below' | 'above'): void {
  if (!draft.inlays) return;
  const stand = draft.inlays.filter(({ heightMm }) => (gone === 'below' ? heightMm > cut : heightMm < cut));
  for (const inlay of gone === 'below' ? stand : []) inlay.heightMm = mm(inlay.heightMm - cut);
  if (stand.length > 0) draft.inlays = stand;
  else delete draft.inlays;
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
    return refusedEdit(
      'saw-at-joint',
      `rings.${broken.course.index}`,
      say`The cut goes through a ring that cannot be so low: ${broken.made.reasons[0]!.message} Saw at the joint above or below it.`,
    );
  return { note: say`${lost} ${lost === 1 ? 'ring is' : 'rings are'} sawn off and kept in the record.` };
}
