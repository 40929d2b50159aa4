import type { Check, Remedy } from '../check/check.js';
import { say, sayGap } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { FinishId } from '../settings/finishes.js';
import type { Shop } from '../settings/shop.js';
import { MOST_SIDE, type Moving, movingOf } from '../shop/moves.js';
import { moistureRange } from '../wood/moisture.js';
import type { Species } from '../wood/species.js';
import { underFinish } from '../wood/underFinish.js';
import { type ColourNote, colourNotes } from './colourNotes.js';
import { type TouchingPair, touchingPairs } from './contrast.js';
import type { Plan } from './plan.js';
import type { Prepared } from './prepare.js';
import type { Project } from './schema.js';
import { woodInstead } from './woodInstead.js';

/** What is called that moves. */
export const MOVING_NAMES: Readonly<Record<Moving['what'], string>> = {
  disc: 'disc',
  plug: 'plug',
  staves: 'staves',
  wedges: 'wedges with the grain outwards',
};

/** The woods of a palette as they look under a finish, by key. */
export const finishedPalette = (
  palette: Project['palette'],
  woods: readonly Species[],
  finish: FinishId,
): Map<string, Species> =>
  new Map(
    palette.flatMap(({ key, wood }) => {
      const species = woods.find(({ id }) => id === wood);
      return species ? [[key, underFinish(species, finish)] as const] : [];
    }),
  );

/**
 * What years and air do to a piece, to note, with what helps: wood that moves against what it is glued to, woods that cannot be told
 * apart, bleed, or turn round. Not among the checks of the plan: every edit would wait for a look at all borders.
 */
export function ageingChecks(
  project: Pick<Project, 'palette' | 'finish'>,
  prepared: Prepared,
  { rings }: Pick<Plan, 'rings'>,
  woods: readonly Species[],
  shop: Shop,
): Check[] {
  const known = new Map(woods.map((wood) => [wood.id, wood]));
  const { most } = moistureRange(shop.workshop.climate);
  const moving = movingOf(rings, known, most).filter(({ sideMm }) => sideMm > MOST_SIDE);
  const finish = project.finish ?? shop.workshop.finish.usual;
  const pairs = touchingPairs(prepared, finishedPalette(project.palette, woods, finish));
  const looks = woods.map((wood) => underFinish(wood, finish));
  return [
    ...moving.map((each) => movingCheck(each, rings, known)),
    ...colourNotes(pairs).map((note) => colourCheck(note, pairs, project, looks, finish === 'lacquer')),
  ];
}

function movingCheck(
  { what, ring, against, wood, sideMm }: Moving,
  rings: Plan['rings'],
  woods: ReadonlyMap<string, Species>,
): Check {
  const where = against === ring ? say`in its ring` : say`against ring ${against + 1}`;
  const moves = what === 'staves' || what === 'wedges' ? 'move' : 'moves';
  return {
    code: 'moves',
    owners: [...new Set([ring, against])].map((i) => ringOwner(rings[i]!.id)),
    message: say`${woods.get(wood)?.name ?? wood} ${MOVING_NAMES[what]} of ring ${ring + 1} ${moves} ${sayGap(sideMm)} on a side ${where} over a year; more than ${sayGap(MOST_SIDE)} opens joints or cracks wood in time. A thinner or smaller disc, one that floats, segments instead, or the same grain on both sides helps.`,
    remedies: what === 'disc' ? [{ does: 'make-plugged', ring }] : [],
    note: true,
  };
}

const CODES = { weak: 'woods-alike', bleeds: 'woods-bleed', 'turns-round': 'woods-turn-round' } as const;

function colourCheck(
  { kind, woods: [a, b], says, helps }: ColourNote,
  pairs: readonly TouchingPair[],
  { palette }: Pick<Project, 'palette'>,
  looks: readonly Species[],
  sprayed: boolean,
): Check {
  const remedies: Remedy[] =
    kind === 'bleeds'
      ? sprayed
        ? []
        : [{ does: 'finish', finish: 'lacquer' }]
      : [b, a].flatMap((wood) => otherWood(wood, pairs, palette, looks)).slice(0, 1);
  return { code: CODES[kind], owners: [], message: say`${says} ${helps}`, remedies, note: true };
}

/** Another wood in the place of one, where there is one that stays apart from all that touch it. */
function otherWood(
  wood: string,
  pairs: readonly TouchingPair[],
  palette: Project['palette'],
  looks: readonly Species[],
): Remedy[] {
  const entry = palette.find((each) => each.wood === wood);
  const own = looks.find(({ id }) => id === wood);
  if (!entry || !own) return [];
  const beside = pairs.flatMap(({ a, b }) => (a.id === wood ? [b] : b.id === wood ? [a] : []));
  const taken = new Set(palette.map((each) => each.wood));
  const instead = woodInstead(
    own,
    beside,
    looks.filter(({ id }) => !taken.has(id)),
  );
  return instead
    ? [{ does: 'other-wood', key: entry.key, wood: instead.id, name: instead.name, instead: own.name }]
    : [];
}
