import { calledOf, segmentsOf } from '../making/registry.js';
import { plain, type Said, say, sayMm } from '../measure/said.js';
import { FINISHES } from '../settings/finishes.js';
import type { Project, Ring } from './schema.js';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const counted = (n: number, of: string): string => `${n} ${of}${n === 1 ? '' : 's'}`;

/** So many rings are told apart by what happened to each; more are counted. */
const MOST_RINGS_TOLD = 3;

/**
 * What changed from one state of a piece to a later one, in a few sentences for a list of versions; none where nothing did.
 */
export function changesBetween(before: Project, after: Project): Said[] {
  const told: Said[] = [];
  if (before.name !== after.name) told.push(say`Named “${after.name}”, before “${before.name}”.`);
  told.push(...formChanges(before, after), ...ringChanges(before, after));
  if (!same(before.palette, after.palette)) told.push(paletteChange(before, after));
  if (!same(before.motifs, after.motifs)) told.push(...countChange('motif', before.motifs, after.motifs));
  if (!same(before.blanks, after.blanks)) told.push(...countChange('blank', before.blanks, after.blanks));
  if (!same(before.slants, after.slants))
    told.push(...countChange('slanted band', before.slants, after.slants));
  if (!same(before.inlays, after.inlays)) told.push(...countChange('inlay', before.inlays, after.inlays));
  if (!same(before.allowances, after.allowances)) told.push('Allowances for truing changed.');
  if (!same(before.passport, after.passport)) told.push('What stands on the passport changed.');
  if (before.finish !== after.finish)
    told.push(
      after.finish ? `Finish: ${FINISHES[after.finish].name}.` : 'Finished as the shop usually does.',
    );
  if (!same(before.underlay, after.underlay)) told.push('The picture underneath changed.');
  return told;
}

function formChanges({ form: was }: Project, { form: is }: Project): Said[] {
  if (same(was, is)) return [];
  const told: Said[] = [];
  const height = (form: Project['form']) => form.points.at(-1)!.heightMm;
  const widest = (form: Project['form']) => 2 * Math.max(...form.points.map(({ radiusMm }) => radiusMm));
  const [h0, h1, w0, w1] = [height(was), height(is), widest(was), widest(is)];
  if (h0 !== h1) told.push(say`Height ${sayMm(h1)}, before ${sayMm(h0)}.`);
  if (w0 !== w1) told.push(say`Widest ${sayMm(w1)}, before ${sayMm(w0)}.`);
  if (h0 === h1 && w0 === w1 && !same(was.points, is.points)) told.push('The outer curve was moved.');
  told.push(...insideChanges(was.inside, is.inside));
  if (!same(was.recess, is.recess)) told.push('The recess under the foot changed.');
  if (!same(was.lid, is.lid)) told.push('The lid changed.');
  return told;
}

/** What changed inside: wall and floor by their figures where there is one of each, else that it did. */
function insideChanges(was: Project['form']['inside'], is: Project['form']['inside']): Said[] {
  if (same(was, is)) return [];
  const simple = was.by === 'wall' && is.by === 'wall' && was.walls.length === 1 && is.walls.length === 1;
  if (!simple) return ['The inside changed.'];
  const [w0, w1] = [was.walls[0]!.wallMm, is.walls[0]!.wallMm];
  return [
    ...(w0 === w1 ? [] : [say`Wall ${sayMm(w1)}, before ${sayMm(w0)}.`]),
    ...(was.floorMm === is.floorMm ? [] : [say`Floor ${sayMm(is.floorMm)}, before ${sayMm(was.floorMm)}.`]),
  ];
}

function ringChanges({ rings: was }: Project, { rings: is }: Project): Said[] {
  if (same(was, is)) return [];
  const earlier = new Map(was.map((ring) => [ring.id, ring]));
  const later = new Set(is.map(({ id }) => id));
  const added = is.filter(({ id }) => !earlier.has(id)).length;
  const gone = was.filter(({ id }) => !later.has(id)).length;
  const told: Said[] = [];
  if (added > 0) told.push(say`${counted(added, 'ring')} added.`);
  if (gone > 0) told.push(say`${counted(gone, 'ring')} taken away.`);
  const kept = is.flatMap((ring, index) => {
    const old = earlier.get(ring.id);
    return old && !same(old, ring) ? [{ index, what: ringChange(old, ring) }] : [];
  });
  if (kept.length > MOST_RINGS_TOLD) {
    const [first] = kept;
    const alike = kept.every(({ what }) => plain(what) === plain(first!.what));
    told.push(
      alike
        ? say`${counted(kept.length, 'ring')} from ring ${first!.index + 1}: ${first!.what}.`
        : say`${counted(kept.length, 'ring')} changed.`,
    );
  } else told.push(...kept.map(({ index, what }) => say`Ring ${index + 1}: ${what}.`));
  if (added + gone + kept.length === 0) told.push('Rings were put in another order.');
  return told;
}

function ringChange(was: Ring, is: Ring): Said {
  const [n0, n1] = [segmentsOf(was.making), segmentsOf(is.making)];
  if (calledOf(was.making) !== calledOf(is.making)) return say`made as “${calledOf(is.making)}”`;
  if (n0 !== n1) return say`${n1 ?? 'no'} segments, before ${n0 ?? 'none'}`;
  if (was.heightMm !== is.heightMm) return say`${sayMm(is.heightMm)} high, before ${sayMm(was.heightMm)}`;
  if (!same(was.measured, is.measured)) return 'measured';
  if (!same(was.making, is.making)) return 'made otherwise';
  const painted = is.woods.filter((wood, place) => wood !== was.woods[place]).length;
  if (painted > 0) return say`${counted(painted, 'place')} painted`;
  return was.turn !== is.turn ? 'turned' : 'settings changed';
}

function paletteChange({ palette: was }: Project, { palette: is }: Project): string {
  const more = is.filter(({ wood }) => !was.some((entry) => entry.wood === wood)).map(({ wood }) => wood);
  const less = was.filter(({ wood }) => !is.some((entry) => entry.wood === wood)).map(({ wood }) => wood);
  const parts = [
    ...(more.length > 0 ? [`with ${more.join(', ')}`] : []),
    ...(less.length > 0 ? [`without ${less.join(', ')}`] : []),
  ];
  return parts.length > 0 ? `Palette ${parts.join(', ')}.` : 'Tones or order of the palette changed.';
}

const countChange = (
  what: string,
  was: readonly unknown[] = [],
  is: readonly unknown[] = [],
): readonly string[] =>
  was.length === is.length
    ? [`${counted(is.length, what)} changed.`]
    : [`${counted(is.length, what)}, before ${was.length}.`];
