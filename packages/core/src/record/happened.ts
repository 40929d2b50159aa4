import type { Project, Ring } from '../project/schema.js';
import type { Happened } from './journalEntry.js';

const MEASURES = ['heightMm', 'diameterMm'] as const;

/**
 * What happened to a piece at work between two of its saved states: measured, sawn off, glued on, cut anew, patched. What was
 * only planned otherwise is none of it.
 */
export function happenedBetween(before: Project, after: Project): Happened[] {
  return [
    ...sawn(before, after),
    ...gluedOn(before, after),
    ...ringsBetween(before, after),
    ...patched(before, after),
  ];
}

function sawn({ sawnOff: was = [] }: Project, { sawnOff: is = [] }: Project): Happened[] {
  if (is.length < was.length) return [{ kind: 'put-back' }];
  return is.slice(was.length).map(({ gone, atMm, rings }) => ({
    kind: 'sawn-off',
    gone,
    atMm,
    rings: rings.length,
  }));
}

const begun = ({ rings }: Project): boolean => rings.some(({ cut, locked }) => cut || locked);

/** A foot or rim that was glued on when rings of the piece were made already. */
function gluedOn(before: Project, after: Project): Happened[] {
  if (!begun(before) || after.rings.length <= before.rings.length) return [];
  const known = new Set(
    [...before.rings, ...(before.sawnOff ?? []).flatMap(({ rings }) => rings)].map(({ id }) => id),
  );
  const ends = [
    ['foot', after.rings[0]!],
    ['rim', after.rings.at(-1)!],
  ] as const;
  return ends.flatMap(([end, { id, heightMm }]): Happened[] =>
    known.has(id) ? [] : [{ kind: 'glued-on', end, heightMm }],
  );
}

function ringsBetween(before: Project, after: Project): Happened[] {
  const earlier = new Map(before.rings.map((ring) => [ring.id, ring]));
  return after.rings.flatMap((ring, index) => {
    const was = earlier.get(ring.id);
    return was === ring ? [] : ringBetween(index, was, ring);
  });
}

function ringBetween(ring: number, was: Ring | undefined, is: Ring): Happened[] {
  const told: Happened[] = [];
  if (was?.cut && !is.cut) told.push({ kind: 'ring-anew', ring });
  for (const what of MEASURES) {
    const [old, now] = [was?.measured?.[what], is.measured?.[what]];
    if (old === now) continue;
    const plannedMm = what === 'heightMm' ? is.heightMm : null;
    told.push({ kind: 'measured', ring, what, mm: now ?? null, plannedMm });
  }
  return told;
}

function patched({ inlays: was = [] }: Project, { inlays: is = [] }: Project): Happened[] {
  const known = new Set(was.filter(({ patch }) => patch).map(({ id }) => id));
  return is.flatMap(({ id, patch, heightMm, copies }): Happened[] =>
    patch && !known.has(id) ? [{ kind: 'patched', heightMm, copies }] : [],
  );
}
